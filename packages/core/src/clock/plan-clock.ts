/** Workout → clock plan: what the clock shows and says, and when. The plan is pure; the screen plays it against the real time. */
import { formatSlot } from '../notation/format-workout';
import { formatClock } from '../units/duration';
import { slotsOfItems } from '../workout/walk';
import type { Item, Part, Workout } from '../workout/workout';

export type CueKind = 'countIn' | 'work' | 'rest' | 'interval' | 'cap' | 'open' | 'end';
export interface Cue {
  readonly atSeconds: number;
  readonly kind: CueKind;
  readonly text: string;
  /** number of the part, for the display */
  readonly part: number;
  /** seconds until the clock goes on by itself; null when the athlete ends it */
  readonly lengthSeconds: number | null;
  /** what to do meanwhile */
  readonly lines: readonly string[];
}
export interface ClockPlan {
  readonly cues: readonly Cue[];
  /** whole length where the clock fixes it; caps count as time */
  readonly totalSeconds: number | null;
}

const linesOf = (items: readonly Item[]): string[] => slotsOfItems(items).map(formatSlot);
/** a count-in of ten seconds before the first work */
export const countInSeconds = 10;

interface Piece {
  readonly kind: 'work' | 'rest' | 'interval' | 'cap' | 'open';
  readonly seconds: number | null;
  readonly text: string;
  readonly lines: readonly string[];
}

function piecesOf(part: Part, at: number): Piece[] {
  const rest = (seconds: number): Piece => ({ kind: 'rest', seconds, text: `Rest ${formatClock(seconds)}`, lines: [] });
  switch (part.kind) {
    case 'rest':
      return [rest(part.untilSeconds !== null ? Math.max(0, part.untilSeconds - at) : (part.seconds ?? 0))];
    case 'amrap':
      return Array.from({ length: part.sets }, (_, set): Piece[] => [
        {
          kind: 'work',
          seconds: part.seconds.high,
          text: part.sets > 1 ? `AMRAP ${set + 1} of ${part.sets}` : `AMRAP ${formatClock(part.seconds.high)}`,
          lines: linesOf(part.items),
        },
        ...(set < part.sets - 1 && part.restBetween ? [rest(part.restBetween.high)] : []),
      ]).flat();
    case 'forTime':
      if (part.sets === 1)
        return [
          {
            kind: part.capSeconds === null ? 'open' : 'cap',
            seconds: part.capSeconds,
            text: part.capSeconds === null ? 'For time' : `For time, cap ${formatClock(part.capSeconds)}`,
            lines: linesOf(part.items),
          },
        ];
      return Array.from({ length: part.sets }, (_, set): Piece[] => [
        {
          kind: part.capPerSet && part.capSeconds !== null ? 'cap' : 'open',
          seconds: part.capPerSet ? part.capSeconds : null,
          text: `Set ${set + 1} of ${part.sets}`,
          lines: linesOf(part.items),
        },
        ...(set < part.sets - 1 && part.restBetween ? [rest(part.restBetween.high)] : []),
      ]).flat();
    case 'every':
      return Array.from({ length: part.count }, (_, interval): Piece => ({
        kind: 'interval',
        seconds: part.intervalSeconds,
        text: `${interval + 1} of ${part.count}`,
        lines: linesOf(part.stations[interval % Math.max(1, part.stations.length)] ?? []),
      }));
    case 'windows':
      return Array.from({ length: part.count }, (_, window): Piece => ({
        kind: 'interval',
        seconds: part.intervalSeconds,
        text: `Window ${window + 1} of ${part.count}`,
        lines: linesOf(part.windows[window % Math.max(1, part.windows.length)] ?? []),
      }));
    case 'intervals':
      return part.segments.flatMap((segment, index): Piece[] => {
        const lines = linesOf(part.stations[index % Math.max(1, part.stations.length)] ?? []);
        return [
          {
            kind: lines.length === 0 ? 'rest' : 'work',
            seconds: segment.workSeconds,
            text: lines.length === 0 ? 'Rest' : `${index + 1} of ${part.segments.length}`,
            lines,
          },
          ...(segment.restSeconds > 0 ? [rest(segment.restSeconds)] : []),
        ];
      });
    case 'maxLoad':
      return [{ kind: 'work', seconds: part.seconds, text: `Max load in ${formatClock(part.seconds)}`, lines: linesOf(part.items) }];
    case 'strength':
      return Array.from({ length: part.sets }, (_, set): Piece[] => [
        {
          kind: part.everySeconds === null ? 'open' : 'interval',
          seconds: part.everySeconds,
          text: `Set ${set + 1} of ${part.sets}`,
          lines: linesOf(part.items),
        },
        ...(part.everySeconds === null && set < part.sets - 1 ? [rest(part.restBetween?.high ?? 120)] : []),
      ]).flat();
    case 'quality':
      return [{ kind: 'open', seconds: part.seconds, text: 'For quality', lines: linesOf(part.items) }];
  }
}

/**
 * @param workout a version, or the workout as written
 * @returns cues from 0 on, the count-in not included; after an open piece (the athlete ends it) later cues count from its end, and `totalSeconds` is null
 */
export function planClock(workout: Pick<Workout, 'parts'>): ClockPlan {
  const cues: Cue[] = [];
  let at = 0;
  let fixed = true;
  workout.parts.forEach((part, index) => {
    for (const piece of piecesOf(part, at)) {
      cues.push({ atSeconds: at, kind: piece.kind, text: piece.text, part: index, lengthSeconds: piece.seconds, lines: piece.lines });
      if (piece.seconds === null) fixed = false;
      at += piece.seconds ?? 0;
    }
  });
  cues.push({ atSeconds: at, kind: 'end', text: 'Time', part: Math.max(0, workout.parts.length - 1), lengthSeconds: null, lines: [] });
  return { cues, totalSeconds: fixed ? at : null };
}
