/** A run of a version → what one lane of the strip draws. Pure, so that it can be tested without a page. */
import { mainPattern, movementOf, schedule, slotsOfPart, wordsOf, type Pattern, type Run, type Workout } from '@gambito/core';

export interface LaneBlock {
  readonly key: string;
  readonly start: number;
  readonly end: number;
  readonly count: number;
  readonly part: number;
  readonly slot: number;
  readonly pattern: Pattern;
  readonly swapped: boolean;
  readonly label: string;
}
export interface LanePart {
  readonly start: number;
  readonly end: number;
  /** the window on the time axis; null where it is counted in rounds */
  readonly window: { readonly from: number; readonly to: number } | null;
  readonly isRest: boolean;
}
export interface Lane {
  readonly blocks: readonly LaneBlock[];
  readonly parts: readonly LanePart[];
  readonly end: number;
}

export function laneOf(workout: Pick<Workout, 'parts'>, run: Run, swapped: (part: number, slot: number) => boolean): Lane {
  const slots = workout.parts.map(slotsOfPart);
  const blocks = run.trace.map((block, index): LaneBlock => {
    const slot = slots[block.part]?.[block.slot];
    const movement = movementOf(slot?.movement ?? 'air-squat');
    const unit = slot && slot.unit !== 'reps' ? ` ${slot.unit}` : '';
    return {
      key: `${index}`,
      start: block.start,
      end: block.end,
      count: Math.round(block.count),
      part: block.part,
      slot: block.slot,
      pattern: mainPattern(movement),
      swapped: swapped(block.part, block.slot),
      label: `${Math.round(block.count)}${unit} ${wordsOf(movement.id)}`,
    };
  });
  const parts = run.parts.flatMap((result): LanePart[] => {
    const part = workout.parts[result.part];
    if (!part) return [];
    const { window } = part;
    const timed = window && window.unit === 'seconds' && part.kind === 'forTime' && window.per !== 'round';
    const pieces = schedule(part);
    const sets = part.kind === 'forTime' ? pieces.filter((piece) => piece.kind === 'work').length : 1;
    const rests = part.kind === 'forTime' ? pieces.reduce((sum, piece) => sum + (piece.kind === 'rest' ? piece.rest.high : 0), 0) : 0;
    const times = timed && window.per === 'set' ? sets : 1;
    const at = (value: number): number => result.startSeconds + value * times + (times > 1 ? rests : 0);
    return [
      {
        start: result.startSeconds,
        end: result.endSeconds,
        isRest: part.kind === 'rest',
        window: timed ? { from: at(window.low ?? 0), to: window.high === null ? at((window.low ?? 0) * 1.5) : at(window.high) } : null,
      },
    ];
  });
  return { blocks, parts, end: run.totalSeconds };
}

/** Round tick spacing for an axis of this length. */
export function tickSeconds(total: number): number {
  return [30, 60, 120, 180, 300, 600, 900, 1800, 3600].find((step) => total / step <= 9) ?? 7200;
}
