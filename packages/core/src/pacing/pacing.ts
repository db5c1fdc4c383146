/** A pacing plan: how each slot is split, where the breaks are, what comes when that fails. Splits are the trade's usual ones (common practice). */
import type { Capacity } from '../capacity/capacity';
import { wordsOf } from '../notation/format-workout';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';

export interface SlotPacing {
  readonly part: number;
  readonly slot: number;
  readonly movement: string;
  /** reps of each set in the first and in the middle round */
  readonly sets: readonly number[];
  readonly later: readonly number[];
  readonly breakSeconds: number;
  readonly planB: string | null;
  /** seconds this slot takes in all: the largest decides the score */
  readonly seconds: number;
}
export interface Pacing {
  readonly slots: readonly SlotPacing[];
  /** the slot that takes most of the time, by number in `slots` */
  readonly limiting: number | null;
}

/** 15 → 5-5-5, 21 → 7-7-7 or 9-7-5 …: even sets, the larger first, as few as `largest` allows. */
export function splitOf(count: number, largest: number): number[] {
  const usual: Readonly<Record<number, readonly number[]>> = { 30: [18, 12], 21: [7, 7, 7], 15: [5, 5, 5], 11: [6, 5], 9: [5, 4], 7: [4, 3] };
  if (count <= largest) return [count];
  const known = usual[count];
  if (known && known[0]! <= largest && known.length === Math.ceil(count / largest)) return [...known];
  const pieces = Math.min(count, Math.ceil(count / Math.max(1, largest)));
  const base = Math.floor(count / pieces);
  const rest = count - base * pieces;
  return Array.from({ length: pieces }, (_, index) => base + (index < rest ? 1 : 0));
}

export function planPacing(workout: Pick<Workout, 'parts'>, capacity: Capacity): Pacing {
  const program = compile(workout, capacity);
  const run = walkProgram(program, { whole: true, trace: true });
  const slots = workout.parts.flatMap((part, partIndex): SlotPacing[] =>
    slotsOfPart(part).flatMap((slot, slotIndex): SlotPacing[] => {
      const blocks = run.trace.filter((block) => block.part === partIndex && block.slot === slotIndex);
      const first = blocks[0];
      if (!first) return [];
      const middle = blocks[Math.floor(blocks.length / 2)]!;
      const seconds = blocks.reduce((sum, block) => sum + block.end - block.start, 0);
      const counted = slot.unit === 'reps' && slot.count.kind !== 'max';
      const split = (sets: readonly number[]): number[] =>
        counted
          ? splitOf(Math.round(sets.reduce((sum, each) => sum + each, 0)), Math.max(1, Math.round(Math.max(...sets))))
          : [Math.round(sets.reduce((sum, each) => sum + each, 0))];
      const sets = split(first.sets);
      const later = split(middle.sets);
      const largest = Math.max(...later);
      const planB = counted && largest > 2 ? `if sets of ${largest} fail: sets of ${Math.max(1, Math.ceil(largest / 2))} with 5 s between` : null;
      return [
        {
          part: partIndex,
          slot: slotIndex,
          movement: slot.movement,
          sets,
          later,
          breakSeconds: later.length > 1 ? Math.min(20, Math.max(5, Math.round(5 + 3 * later.length))) : 0,
          planB,
          seconds,
        },
      ];
    }),
  );
  const limiting = slots.length === 0 ? null : slots.reduce((best, each, index) => (each.seconds > slots[best]!.seconds ? index : best), 0);
  return { slots, limiting };
}

/** `7-7-7 push-ups, 5–10 s between` */
export function pacingSentence({ movement, sets, later, breakSeconds }: SlotPacing): string {
  const show = (list: readonly number[]): string => list.join('-');
  const change = show(sets) === show(later) ? '' : `, later ${show(later)}`;
  return `${wordsOf(movement)}: ${sets.length === 1 ? `${show(sets)} in one go` : show(sets)}${change}${breakSeconds > 0 ? `, ${breakSeconds} s between` : ''}`;
}
