/**
 * A pacing plan: how each slot is split, where the breaks are, what comes when that fails, which slot decides.
 * The splits are the trade's; which of them is chosen by walking the workout with each on a usual, a bad and a good day (reps at hand −15 %, 0, +12 %):
 * large sets fail on the bad day, small ones cost breaks on all three, so there is a best one in between. Coordinate descent, deterministic.
 */
import type { Capacity } from '../capacity/capacity';
import type { Place } from '../kit/kit';
import { plainName } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import { Body, usualForm, type Form } from '../simulate/body';
import { compile, type MoveStep, type Program } from '../simulate/program';
import { easierBy } from '../simulate/demand';
import { walkProgram, type Run } from '../simulate/walk-program';
import type { TraceBlock, WalkOptions } from '../simulate/walker';
import { slotsOfPart } from '../workout/walk';
import type { CountUnit, Workout } from '../workout/workout';
import { attemptLadder, type Attempt } from './attempts';
import { splitOf, splitsFor } from './splits';

export interface SlotPacing {
  readonly part: number;
  readonly slot: number;
  readonly movement: string;
  /** as the athlete reads it */
  readonly name: string;
  readonly unit: CountUnit;
  /** reps of each set in the first bout, and in the second half of the bouts */
  readonly sets: readonly number[];
  readonly later: readonly number[];
  /** s between sets, a figure to keep: 5–20 in fives; 0 where nothing is broken */
  readonly breakSeconds: number;
  readonly planB: string | null;
  /** s this slot takes in all */
  readonly seconds: number;
  /** s of it lost to breaks and slowing: beyond doing it fresh and in one go */
  readonly lostSeconds: number;
  /** s the whole would gain if this slot alone were a tenth easier */
  readonly wonSeconds: number;
}
export interface Pacing {
  readonly slots: readonly SlotPacing[];
  /** the slot that decides the score: where a tenth more would win most, on a fixed clock where most is lost; by number in `slots` */
  readonly limiting: number | null;
  /** slots time will be called before */
  readonly neverReached: readonly { readonly part: number; readonly slot: number }[];
  readonly attempts: readonly { readonly part: number; readonly list: readonly Attempt[] }[];
}

const days: readonly Form[] = [usualForm, { ...usualForm, local: 0.85 }, { ...usualForm, local: 1.12 }];
/** a slot's larger bouts decide; beyond this many sets a plan is no plan any more */
const mostSets = 12;
const easierFactor = 1.1;

interface Plan {
  readonly first: readonly number[];
  readonly later: readonly number[];
}
type Plans = ReadonlyMap<string, Plan>;
const slotKey = (part: number, slot: number): string => `${part}:${slot}`;

/** The slot's split carried to another count: as it is for its own, else sets of the same size. */
const carried = (split: readonly number[], count: number): readonly number[] =>
  split.reduce((sum, each) => sum + each, 0) === count ? split : splitOf(Math.round(count), Math.max(...split));

function splitsOf(plans: Plans, half: (part: number, slot: number) => number): NonNullable<WalkOptions['splits']> {
  return (part, slot, round, count) => {
    const plan = plans.get(slotKey(part, slot));
    return plan ? carried(round >= half(part, slot) ? plan.later : plan.first, count) : null;
  };
}

/** Less is better: each part's time, or the inverse of its rounds, reps or kilograms; for work on a clock the seconds worked. */
function costOf(run: Run, base: Run): number {
  return run.parts.reduce((sum, part, index) => {
    const own = base.parts[index]!;
    if (own.score <= 0) return sum;
    if (part.unit === 'seconds') return sum + part.score / own.score;
    return sum + own.score / Math.max(1e-6, part.score) + 0.3 * (part.workSeconds / Math.max(1, own.workSeconds));
  }, 0);
}

interface Bouts {
  readonly part: number;
  readonly slot: number;
  readonly blocks: readonly TraceBlock[];
  readonly step: MoveStep;
}

function boutsOf(workout: Pick<Workout, 'parts'>, program: Program, run: Run): Bouts[] {
  return workout.parts.flatMap((part, partIndex) =>
    slotsOfPart(part).flatMap((_, slot): Bouts[] => {
      const blocks = run.trace.filter((block) => block.part === partIndex && block.slot === slot);
      const compiled = program.parts[partIndex]!;
      const step = Array.from({ length: compiled.lists }, (__, list) => compiled.steps(list, 0))
        .flat()
        .find((each): each is MoveStep => each.kind === 'move' && each.slot === slot);
      return blocks.length > 0 && step ? [{ part: partIndex, slot, blocks, step }] : [];
    }),
  );
}

/** The round of a slot's middle bout: from there on its later split counts. */
function halfway(bouts: readonly Bouts[]): (part: number, slot: number) => number {
  const middle = new Map(bouts.map((each) => [slotKey(each.part, each.slot), each.blocks[Math.floor(each.blocks.length / 2)]!.round]));
  return (part, slot) => Math.max(1, middle.get(slotKey(part, slot)) ?? 1);
}

/** The best of the trade's splits for every slot that is counted in reps and not linked to the next. */
function chooseSplits(program: Program, base: Run, bouts: readonly Bouts[]): Plans {
  const lengths = base.parts.map((part) => Math.max(30, part.endSeconds - part.startSeconds));
  const half = halfway(bouts);
  const cost = (plans: Plans): number =>
    days.reduce((sum, form) => sum + costOf(walkProgram(program, { form, lengths, splits: splitsOf(plans, half) }), base), 0);
  const free = bouts.filter(
    ({ step }) => step.count !== null && !step.demand.secondsPerUnit && !step.demand.isHold && !step.unbroken && step.demand.unit === 'reps' && step.count >= 2,
  );
  let plans: Plans = new Map(
    free.map(({ part, slot, blocks, step }) => {
      const habit = splitOf(Math.round(step.count!), Math.max(1, Math.round(Math.max(...blocks[0]!.sets))));
      return [slotKey(part, slot), { first: habit, later: habit }];
    }),
  );
  let best = cost(plans);
  for (let sweep = 0; sweep < 2; sweep++) {
    const before = best;
    for (const { part, slot, step, blocks } of free) {
      const options = splitsFor(step.count!).filter((split) => split.length <= mostSets);
      for (const phase of blocks.length > 1 ? (['first', 'later'] as const) : (['first'] as const))
        for (const split of options) {
          const own = plans.get(slotKey(part, slot))!;
          // nobody plans to do larger sets when tired than when fresh
          if (phase === 'first' ? Math.max(...split) < Math.max(...own.later) && blocks.length > 1 : Math.max(...split) > Math.max(...own.first)) continue;
          const next = new Map(plans).set(
            slotKey(part, slot),
            phase === 'first' && blocks.length === 1 ? { first: split, later: split } : { ...own, [phase]: split },
          );
          const value = cost(next);
          if (value < best - 1e-4) {
            best = value;
            plans = next;
          }
        }
    }
    if (best >= before - 1e-4) break;
  }
  return plans;
}

/** share of the max from which a lift is heavy enough for singles */
const heavyFrom = 0.75;

/** The school's own word over what the walk would choose. */
function bySchool(plans: Plans, bouts: readonly Bouts[], school: HouseRules['breaks']): Plans {
  if (school === 'planned') return plans;
  return new Map(
    [...plans].map(([key, plan]): [string, Plan] => {
      const { step } = bouts.find((each) => slotKey(each.part, each.slot) === key)!;
      const count = Math.round(step.count!);
      if (school === 'unbroken') return [key, { ...plan, first: step.demand.repsToFailure * 0.8 >= count ? [count] : plan.first }];
      return [key, (step.demand.share ?? 0) >= heavyFrom ? { first: splitOf(count, 1), later: splitOf(count, 1) } : plan];
    }),
  );
}

/** A break to keep to: the mean of what the walk took, in fives between 5 and 20 s (common practice). */
const breakToKeep = (blocks: readonly TraceBlock[]): number => {
  const breaks = blocks.reduce((sum, block) => sum + block.sets.length - 1, 0);
  if (breaks === 0) return 0;
  const mean = blocks.reduce((sum, block) => sum + block.breakSeconds, 0) / breaks;
  return Math.min(20, Math.max(5, Math.round(mean / 5) * 5));
};

function freshSeconds(program: Program, { blocks, step }: Bouts, length: number): number {
  return blocks.reduce((sum, block) => {
    if (block.count <= 0) return sum;
    const body = new Body(program.capacity, usualForm);
    body.perform(step.demand, block.count, Math.max(60, length), Infinity);
    return sum + body.elapsed();
  }, 0);
}

/** What the pacing of a slot is read from. */
interface Paced {
  readonly workout: Pick<Workout, 'parts'>;
  readonly program: Program;
  readonly plans: Plans;
  readonly lengths: readonly number[];
  /** without planned breaks */
  readonly soft: Run;
}

/** Smaller sets when the planned ones fail: half, threes, singles; 0: there is nothing smaller. */
const smallerSet = (largest: number): number => (largest > 5 ? Math.ceil(largest / 2) : largest > 3 ? 3 : largest > 1 ? 1 : 0);
const setsWord = (reps: number): string => (reps === 1 ? 'singles' : `sets of ${reps}`);

/** What the part would win were this slot a little easier: seconds, or their worth in rounds. */
function wonBy({ part, slot }: Bouts, { program, lengths, soft }: Paced): number {
  const easier = walkProgram(program, {
    lengths,
    demands: (atPart, atSlot, demand) => (atPart === part && atSlot === slot ? easierBy(demand, easierFactor) : demand),
  });
  const [now, then] = [soft.parts[part]!, easier.parts[part]!];
  return now.unit === 'seconds' ? now.score - then.score : lengths[part]! * (then.score / Math.max(1e-6, now.score) - 1);
}

function slotPacing(own: Bouts, paced: Paced): SlotPacing {
  const { part, slot, blocks, step } = own;
  const plan = paced.plans.get(slotKey(part, slot));
  // what is not split: its own count, or what a slot without one came to first and last
  const whole = [Math.round(step.count ?? blocks[0]!.count)];
  const later = plan?.later ?? (step.count === null ? [Math.round(blocks[blocks.length - 1]!.count)] : whole);
  const largest = Math.max(...later);
  const smaller = smallerSet(largest);
  const seconds = blocks.reduce((sum, block) => sum + block.end - block.start, 0);
  return {
    part,
    slot,
    movement: step.demand.movement.id,
    name: plainName(slotsOfPart(paced.workout.parts[part]!)[slot]!),
    unit: step.demand.unit,
    sets: plan?.first ?? whole,
    later,
    breakSeconds: later.length > 1 || (plan?.first.length ?? 1) > 1 ? Math.max(5, breakToKeep(blocks)) : 0,
    planB: plan && smaller > 0 ? `if ${setsWord(largest)} fail: ${setsWord(smaller)} with 5 s between` : null,
    seconds,
    lostSeconds: Math.max(0, seconds - freshSeconds(paced.program, own, paced.lengths[part]!)),
    wonSeconds: Math.max(0, wonBy(own, paced)),
  };
}

/** @param school the house rule on breaks: planned before failure, unbroken while fresh, or quick singles for heavy lifts */
export function planPacing(workout: Pick<Workout, 'parts'>, capacity: Capacity, place: Place | null = null, school: HouseRules['breaks'] = 'planned'): Pacing {
  const program = compile(workout, capacity, place);
  const habit = walkProgram(program, { whole: true, trace: true });
  const habitual = boutsOf(workout, program, habit);
  const plans = bySchool(chooseSplits(program, habit, habitual), habitual, school);
  const lengths = habit.parts.map((part) => Math.max(30, part.endSeconds - part.startSeconds));
  const splits = splitsOf(plans, halfway(habitual));
  const run = walkProgram(program, { whole: true, trace: true, lengths, splits });
  const soft = walkProgram(program, { lengths });
  const bouts = boutsOf(workout, program, run);
  const slots = bouts.map((own) => slotPacing(own, { workout, program, plans, lengths, soft }));
  const decides = slots.some((each) => each.wonSeconds >= 1) ? 'wonSeconds' : 'lostSeconds';
  const limiting = slots.length === 0 ? null : slots.reduce((best, each, index) => (each[decides] > slots[best]![decides] ? index : best), 0);
  const reached = new Set(bouts.map((each) => slotKey(each.part, each.slot)));
  return {
    slots,
    limiting,
    neverReached: workout.parts.flatMap((part, index) =>
      part.optional
        ? []
        : slotsOfPart(part).flatMap((_, slot) =>
            reached.has(slotKey(index, slot)) || part.kind === 'maxLoad' || part.kind === 'strength' ? [] : [{ part: index, slot }],
          ),
    ),
    attempts: workout.parts.flatMap((part, index) =>
      part.kind === 'maxLoad' && habit.parts[index]!.score > 0 ? [{ part: index, list: attemptLadder(habit.parts[index]!.score, part.seconds) }] : [],
    ),
  };
}

/** `7-7-7 push-ups, 5 s between` */
export function pacingSentence({ name, unit, sets, later, breakSeconds }: SlotPacing): string {
  const show = (list: readonly number[]): string => `${list.join('-')}${unit === 'reps' ? '' : ` ${unit}`}`;
  const change = show(sets) === show(later) ? '' : `, later ${show(later)}`;
  return `${name}: ${sets.length === 1 ? `${show(sets)} in one go` : show(sets)}${change}${breakSeconds > 0 ? `, ${breakSeconds} s between` : ''}`;
}
