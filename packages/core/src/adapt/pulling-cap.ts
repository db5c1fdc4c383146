/**
 * High-rep pulling on the own arms, lowering above all, makes newer athletes sore days later and in rare cases worse; it is capped before anything else is weighed.
 * That it is capped is common practice; the figures are round ones of ours, a part.
 */
import type { Level } from '../athlete/athlete';
import { movementOf } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import type { Program } from '../simulate/program';
import type { PartResult } from '../simulate/walk-program';
import { slotCounts } from '../stimulus/stimulus';
import { slotsOfPart } from '../workout/walk';

const mostPulls: Readonly<Record<Level, number | null>> = { new: 30, newer: 60, trained: null, competitive: null };

/** Pull-ups of every kind: the body hangs, and vertical pulling is what moves or lowers it. */
export const isHangingPull = (movement: Movement): boolean => movement.avoid.includes('hanging') && (movement.patterns.verticalPull ?? 0) >= 0.4;

/** Reps of hanging pulls that a part comes to, as far as the athlete gets. */
export function pullingReps(program: Program, part: number, result: PartResult): number {
  const compiled = program.parts[part]!;
  const own = compiled.part;
  const slots = slotsOfPart(own);
  if (!slots.some((slot) => isHangingPull(movementOf(slot.movement)))) return 0;
  const times =
    own.kind === 'amrap' ? result.score : own.kind === 'every' ? own.count / compiled.lists : own.kind === 'forTime' || own.kind === 'strength' ? own.sets : 1;
  let reps = 0;
  for (const [slot, { total }] of slotCounts(program, part)) if (isHangingPull(movementOf(slots[slot]!.movement))) reps += total * times;
  return reps;
}

/** How far beyond the cap for this level, as a share of it; 0 within. */
export function beyondPullingCap(level: Level, program: Program, part: number, result: PartResult): number {
  const most = mostPulls[level];
  return most === null ? 0 : Math.max(0, pullingReps(program, part, result) / most - 1);
}
