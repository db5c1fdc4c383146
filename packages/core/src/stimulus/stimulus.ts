/** The stimulus of a part: what it asks, slot by slot and in all, from the program and one run of it. */
import { muscles, patterns, type Pattern } from '../movements/movement';
import type { Capacity } from '../capacity/capacity';
import { compile, type Program } from '../simulate/program';
import type { PartResult } from '../simulate/walk-program';
import type { Workout } from '../workout/workout';
import { boutOf, type Bout } from './bout';

export interface SlotStimulus {
  readonly movement: string;
  readonly bout: Bout;
  /** count of one bout (mean over rungs), both sides */
  readonly count: number;
  readonly loadShare: number | null;
  readonly repsToFailure: number;
}
export interface PartStimulus {
  readonly slots: readonly SlotStimulus[];
  /** share of the working seconds by pattern, summing to 1 (all 0 for a rest) */
  readonly patterns: Readonly<Record<Pattern, number>>;
  readonly gripShare: number;
  readonly skill: number;
  readonly boutSeconds: number;
  readonly joulesPerKg: number;
  /** mean metabolic power over the work, W per kg */
  readonly breathing: number;
  /** mean of ln(set share), weighted by seconds: how heavy it feels */
  readonly feel: number;
  readonly score: number;
  readonly seconds: number;
}

const gripIndex = muscles.indexOf('grip');

/** Mean count of each slot over one pass (all rungs), from the flattened steps. */
export function slotCounts(program: Program, part: number): Map<number, { total: number; bouts: number }> {
  const counts = new Map<number, { total: number; bouts: number }>();
  const compiled = program.parts[part]!;
  for (let list = 0; list < compiled.lists; list++)
    for (const step of compiled.steps(list, compiled.grows ? 2 : 0)) {
      if (step.kind !== 'move') continue;
      const known = counts.get(step.slot) ?? { total: 0, bouts: 0 };
      // an open "max" counts as half a minute of work
      const count =
        step.count ?? (step.demand.secondsPerUnit ? 30 / step.demand.secondsPerUnit(12) : Math.min(30 / step.demand.cycleSeconds, step.demand.repsToFailure));
      counts.set(step.slot, { total: known.total + count, bouts: known.bouts + 1 });
    }
  return counts;
}

/** One mean bout of each slot of a part, on its own. */
export function bouts(workout: Pick<Workout, 'parts'>, capacity: Capacity, part = 0): Bout[] {
  return stimulusOf(compile(workout, capacity), part, null).slots.map((slot) => slot.bout);
}

export function stimulusOf(program: Program, part: number, result: PartResult | null): PartStimulus {
  const compiled = program.parts[part]!;
  const counts = slotCounts(program, part);
  const bySlot = new Map<number, SlotStimulus>();
  const share = Object.fromEntries(patterns.map((pattern) => [pattern, 0])) as Record<Pattern, number>;
  let seconds = 0;
  let joules = 0;
  let grip = 0;
  let skill = 0;
  let feel = 0;
  for (let list = 0; list < compiled.lists; list++)
    for (const step of compiled.steps(list, compiled.grows ? 2 : 0)) {
      if (step.kind !== 'move' || bySlot.has(step.slot)) continue;
      const { total, bouts } = counts.get(step.slot)!;
      const bout = boutOf(step.demand, total / bouts, program.capacity);
      const whole = bout.seconds * bouts;
      const { movement } = step.demand;
      for (const [pattern, value] of Object.entries(movement.patterns) as [Pattern, number][]) share[pattern] += value * whole;
      seconds += whole;
      joules += bout.joulesPerKg * bouts;
      grip += step.demand.tires[gripIndex]! * whole;
      skill += movement.skill * whole;
      feel += Math.log(Math.max(0.02, bout.setShare)) * whole;
      bySlot.set(step.slot, { movement: movement.id, bout, count: total / bouts, loadShare: step.demand.share, repsToFailure: step.demand.repsToFailure });
    }
  const whole = Math.max(1e-6, seconds);
  for (const pattern of patterns) share[pattern] /= whole;
  const slots = [...bySlot.entries()].sort((a, b) => a[0] - b[0]).map(([, value]) => value);
  return {
    slots,
    patterns: share,
    gripShare: grip / whole,
    skill: skill / whole,
    boutSeconds: seconds,
    joulesPerKg: joules,
    breathing: joules / whole,
    feel: feel / whole,
    score: result?.score ?? 0,
    seconds: result ? result.endSeconds - result.startSeconds : 0,
  };
}
