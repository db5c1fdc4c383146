/**
 * What adds up over a part until no drift is worth it: pulling for newer athletes, and double-unders that nobody wrote.
 * High-rep pulling on the own arms, lowering above all, makes newer athletes sore days later and in rare cases worse; that it is capped is common practice, the figures are
 * round ones of ours. Double-unders come down to about fifty a bout where the bout comes twelve to fifteen times (C1, common practice).
 */
import type { Level } from '../athlete/athlete';
import { movementOf } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import type { Program } from '../simulate/program';
import type { PartResult } from '../simulate/walk-part';
import { slotCounts } from '../stimulus/stimulus';
import { slotsOfPart } from '../workout/walk';
import type { Part } from '../workout/workout';
import type { Choice } from './choice';
import type { SlotQuestion } from './question';

const mostPulls: Readonly<Record<Level, number | null>> = { new: 30, newer: 60, trained: null, competitive: null };
const mostDoubleUnders = 50 * 13.5;
/** what rounding to figures a coach would write may add */
const rounding = 0.05;

/** Pull-ups of every kind: the body hangs, and vertical pulling is what moves or lowers it. */
export const isHangingPull = (movement: Movement): boolean => movement.avoid.includes('hanging') && (movement.patterns.verticalPull ?? 0) >= 0.4;
const isDoubleUnder = (movement: Movement): boolean => movement.id === 'double-under';

/** How often a part goes through its lists. @param score its rounds, where they are what is scored */
export function timesThrough(part: Part, lists: number, score: number): number {
  return part.kind === 'amrap' ? score : part.kind === 'every' ? part.count / lists : part.kind === 'forTime' || part.kind === 'strength' ? part.sets : 1;
}

/** Reps of a kind that a part comes to, as far as the athlete gets. */
function repsOf(program: Program, part: number, result: PartResult, counts: (movement: Movement, slot: number) => boolean): number {
  const compiled = program.parts[part]!;
  const counted = slotsOfPart(compiled.part).map((slot, at) => counts(movementOf(slot.movement), at));
  if (!counted.includes(true)) return 0;
  let reps = 0;
  for (const [slot, { total }] of slotCounts(program, part)) if (counted[slot]) reps += total;
  return reps * timesThrough(compiled.part, compiled.lists, result.score);
}

export const pullingReps = (program: Program, part: number, result: PartResult): number => repsOf(program, part, result, isHangingPull);

/** How far beyond the cap for this level, as a share of it; 0 within. */
export function beyondPullingCap(level: Level, program: Program, part: number, result: PartResult): number {
  const most = mostPulls[level];
  return most === null ? 0 : Math.max(0, pullingReps(program, part, result) / most - 1);
}

/** Whether a count of a bout, rounded as a coach would, goes beyond the most of it. */
export const isBeyond = (reps: number, most: number): boolean => reps > most * (1 + rounding);

/** A choice of the model's own, not of the coach's. */
const isSwappedIn = (choice: Choice, question: SlotQuestion): boolean => choice.movement !== question.slot.movement && choice.coachRank === null;

/** How far the double-unders that were swapped in go beyond what still adds up, as a share of it; 0 within. @param result of the program's only part */
export function beyondRopeCap(program: Program, result: PartResult, choices: readonly Choice[], questions: readonly SlotQuestion[]): number {
  const reps = repsOf(program, 0, result, (movement, slot) => isDoubleUnder(movement) && isSwappedIn(choices[slot]!, questions[slot]!));
  return Math.max(0, reps / mostDoubleUnders - 1 - rounding);
}

/** The most reps of a bout that still add up to the cap; infinite where there is none. */
export const mostOfBout = (movement: Movement, question: SlotQuestion): number =>
  isDoubleUnder(movement) && movement.id !== question.slot.movement ? mostDoubleUnders / question.bouts : Infinity;
