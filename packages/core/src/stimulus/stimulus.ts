/** The stimulus of a part: what it asks, slot by slot and in all, from the program and one run of it. */
import { muscles, patterns, type Pattern } from '../movements/movement';
import type { Capacity } from '../capacity/capacity';
import type { Demand } from '../simulate/demand';
import { compile, type Program } from '../simulate/program';
import type { PartResult } from '../simulate/walk-part';
import type { Workout } from '../workout/workout';
import { boutElasticity, boutOf, type Bout } from './bout';

export interface SlotStimulus {
  readonly movement: string;
  readonly bout: Bout;
  /** count of one bout (mean over rungs), both sides */
  readonly count: number;
  /** bouts in one pass through the lists */
  readonly bouts: number;
  /** load ÷ max, body share included */
  readonly loadShare: number | null;
  /** external load ÷ its max; null where either is missing */
  readonly maxShare: number | null;
  readonly repsToFailure: number;
}
export interface PartStimulus {
  readonly slots: readonly SlotStimulus[];
  /** share of the working seconds by pattern, summing to 1 (all 0 for a rest) */
  readonly patterns: Readonly<Record<Pattern, number>>;
  /** the same in the order of `patterns` */
  readonly shares: readonly number[];
  /** share of the tiring work by muscle group, in the order of `muscles`, summing to 1 */
  readonly muscleShares: readonly number[];
  readonly gripShare: number;
  readonly skill: number;
  readonly boutSeconds: number;
  readonly joulesPerKg: number;
  /** mean metabolic power over the work, W per kg */
  readonly breathing: number;
  /** mean of ln(set share), weighted by seconds: how heavy it feels */
  readonly feel: number;
  /** how far its time moves with fitness, from the bouts: near 1 a score tells much of the athlete, near 0 little */
  readonly elasticity: number;
  readonly score: number;
  readonly seconds: number;
  /** rest density: share of the time that is not work, breaks and pauses alike; 0 before a run */
  readonly restShare: number;
}

const gripIndex = muscles.indexOf('grip');

/** An open "max" counts as half a minute of work. */
export const openCount = (demand: Demand): number =>
  demand.secondsPerUnit ? 30 / demand.secondsPerUnit(12) : Math.min(30 / demand.cycleSeconds, demand.repsToFailure);

/** Lists in the order of `patterns` and of `muscles`. */
export interface Shares {
  readonly patterns: number[];
  readonly muscles: number[];
}

/** Sums over the bouts of a part, from which its stimulus follows; additive over slots. */
export class Work {
  readonly shares = new Float64Array(patterns.length);
  readonly tired = new Float64Array(muscles.length);
  seconds = 0;
  joules = 0;
  grip = 0;
  skill = 0;
  feel = 0;
  elastic = 0;

  addBouts(demand: Demand, count: number, bouts: number, capacity: Capacity): Bout {
    const bout = boutOf(demand, count, capacity);
    const whole = bout.seconds * bouts;
    for (let at = 0; at < patterns.length; at++) this.shares[at]! += (demand.movement.patterns[patterns[at]!] ?? 0) * whole;
    for (let at = 0; at < muscles.length; at++) this.tired[at]! += demand.tires[at]! * whole;
    this.seconds += whole;
    this.joules += bout.joulesPerKg * bouts;
    this.grip += demand.tires[gripIndex]! * whole;
    this.skill += demand.movement.skill * whole;
    this.feel += Math.log(Math.max(0.02, bout.setShare)) * whole;
    this.elastic += boutElasticity(demand, bout, count, capacity) * whole;
    return bout;
  }

  add(other: Work): void {
    for (let at = 0; at < this.shares.length; at++) this.shares[at]! += other.shares[at]!;
    for (let at = 0; at < this.tired.length; at++) this.tired[at]! += other.tired[at]!;
    this.seconds += other.seconds;
    this.joules += other.joules;
    this.grip += other.grip;
    this.skill += other.skill;
    this.feel += other.feel;
    this.elastic += other.elastic;
  }

  clear(): void {
    this.shares.fill(0);
    this.tired.fill(0);
    this.seconds = this.joules = this.grip = this.skill = this.feel = this.elastic = 0;
  }

  /** Everything a stimulus says but its slots and its score. @param into where the shares are written; fresh lists when they are kept */
  sums(
    into: Shares = { patterns: [], muscles: [] },
  ): Pick<PartStimulus, 'feel' | 'shares' | 'muscleShares' | 'joulesPerKg' | 'breathing' | 'gripShare' | 'skill' | 'boutSeconds' | 'elasticity'> {
    const whole = Math.max(1e-6, this.seconds);
    for (let at = 0; at < this.shares.length; at++) into.patterns[at] = this.shares[at]! / whole;
    let tired = 1e-6;
    for (let at = 0; at < this.tired.length; at++) tired += this.tired[at]!;
    for (let at = 0; at < this.tired.length; at++) into.muscles[at] = this.tired[at]! / tired;
    return {
      shares: into.patterns,
      muscleShares: into.muscles,
      gripShare: this.grip / whole,
      skill: this.skill / whole,
      boutSeconds: this.seconds,
      joulesPerKg: this.joules,
      breathing: this.joules / whole,
      feel: this.feel / whole,
      elasticity: this.elastic / whole,
    };
  }
}

/** Mean count of each slot over one pass (all rungs), from the flattened steps. */
export function slotCounts(program: Program, part: number): Map<number, { total: number; bouts: number }> {
  const counts = new Map<number, { total: number; bouts: number }>();
  const compiled = program.parts[part]!;
  for (let list = 0; list < compiled.lists; list++)
    for (const step of compiled.steps(list, compiled.grows ? 2 : 0)) {
      if (step.kind !== 'move') continue;
      const known = counts.get(step.slot) ?? { total: 0, bouts: 0 };
      const count = step.count ?? openCount(step.demand);
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
  const work = new Work();
  for (let list = 0; list < compiled.lists; list++)
    for (const step of compiled.steps(list, compiled.grows ? 2 : 0)) {
      if (step.kind !== 'move' || bySlot.has(step.slot)) continue;
      const { total, bouts } = counts.get(step.slot)!;
      const bout = work.addBouts(step.demand, total / bouts, bouts, program.capacity);
      const { movement, share, repsToFailure, loadKg, maxKg } = step.demand;
      const maxShare = maxKg !== null && maxKg > 0 && loadKg > 0 ? loadKg / maxKg : null;
      bySlot.set(step.slot, { movement: movement.id, bout, count: total / bouts, bouts, loadShare: share, maxShare, repsToFailure });
    }
  const slots = [...bySlot.entries()].sort((a, b) => a[0] - b[0]).map(([, value]) => value);
  const sums = work.sums();
  const byPattern = Object.fromEntries(patterns.map((pattern, at) => [pattern, sums.shares[at]!])) as Record<Pattern, number>;
  const seconds = result ? result.endSeconds - result.startSeconds : 0;
  const restShare = result && seconds > 0 ? 1 - Math.min(1, result.workSeconds / seconds) : 0;
  return { ...sums, patterns: byPattern, slots, score: result?.score ?? 0, seconds, restShare };
}
