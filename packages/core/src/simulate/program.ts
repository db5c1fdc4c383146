/**
 * Workout × athlete → a program the walk can run: every slot resolved to its demand, every pass flattened to steps.
 * Kit is ignored here: the loads are the ones written, in the athlete's column.
 */
import type { Capacity } from '../capacity/capacity';
import { shareAtReps } from '../capacity/strength-laws';
import { movementOf } from '../movements/catalogue';
import { amountOf, growsByPass, stepsOfPass, type Step as PassStep } from '../workout/schedule';
import { itemLists, slotsOfPart } from '../workout/walk';
import type { Category, Item, Part, PartKind, Rest, ScoreKind, Slot, Workout } from '../workout/workout';
import type { Place } from '../kit/kit';
import { changeSeconds, stackChange, stackFor, usualBarGrams, usualPlates, usualStack } from '../kit/plate-changes';
import { demandOf, maxOf, type Demand } from './demand';
import { placeCost } from './place-costs';

export interface MoveStep {
  readonly kind: 'move';
  readonly slot: number;
  readonly demand: Demand;
  /** in the demand's unit, both sides and all bracket repeats counted; null is "as many as possible in what is left" */
  readonly count: number | null;
  /** s this step has where it is "as many as possible" in a time of its own; null: what is left */
  readonly seconds: number | null;
  /** "as many as possible" where no clock ends it: one set to failure */
  readonly toFailure: boolean;
  /** what the whole step is worth in a score of reps: 1 a rep, 1 each 10 m, 1 a calorie, 0 for held seconds */
  readonly worth: number;
  readonly round: number;
  readonly unbroken: boolean;
  /** the step goes on with the implement of the step before: no transition */
  readonly linked: boolean;
  /** s to get there and back again, for a run from upstairs */
  readonly wayOutSeconds: number;
}
export interface PauseStep {
  readonly kind: 'pause';
  readonly rest: Rest;
}
export type Step = MoveStep | PauseStep;

export interface PartProgram {
  readonly part: Part;
  readonly kind: PartKind;
  readonly score: ScoreKind;
  /** steps of a pass (AMRAP), of a set (for time), of a station or window */
  steps(list: number, pass: number): readonly Step[];
  readonly lists: number;
  readonly grows: boolean;
  /** work that interrupts the part again and again */
  readonly interruption: { readonly everySeconds: number; readonly steps: readonly Step[] } | null;
}
export interface Program {
  readonly capacity: Capacity;
  readonly parts: readonly PartProgram[];
  readonly assumed: readonly string[];
  /** s to change the bar's plates from one load to another, kg */
  plateSeconds(fromKg: number, toKg: number): number;
}
/** "As heavy as possible" for the reps written: two reps short of failure. */
const heavyShare = (slot: Slot): number => shareAtReps((slot.count.kind === 'fixed' ? slot.count.men : 5) + 2);

/** Whole load of a slot in the athlete's column, kg; null when the movement takes a load and none is written. */
export function loadOfSlot(slot: Slot, capacity: Capacity): { kg: number; assumed: string | null } {
  const movement = movementOf(slot.movement);
  if (slot.load?.kind === 'mass') return { kg: slot.load[capacity.athlete.category] * slot.load.count, assumed: null };
  if (slot.load?.kind === 'bodyShare') return { kg: slot.load[capacity.athlete.category] * capacity.athlete.bodyMassKg, assumed: null };
  const max = maxOf(movement, capacity);
  if (slot.load?.kind === 'heavy' && max !== null) return { kg: heavyShare(slot) * max, assumed: null };
  if (slot.load?.kind === 'share') return max === null ? { kg: 0, assumed: null } : { kg: slot.load[capacity.athlete.category] * max, assumed: null };
  if (!movement.load || movement.load.optional || max === null) return { kg: 0, assumed: null };
  const share = 0.5;
  return { kg: share * max, assumed: `${movement.name.toLowerCase()}: no load written; half of the max taken (${(share * max).toFixed(0)} kg)` };
}

function worthOf(demand: Demand, count: number): number {
  return demand.unit === 'reps' ? count : demand.unit === 'm' ? count / 10 : demand.unit === 'cal' ? count : 0;
}

/** Sums the members' counts of each bracket, so that one bracket is worth one rep. */
function bracketSizes(items: readonly Item[], into: Map<number, number>): Map<number, number> {
  for (const item of items) {
    if (item.kind === 'block') bracketSizes(item.items, into);
    else if (item.kind === 'slot' && item.bracket)
      into.set(item.bracket.id, (into.get(item.bracket.id) ?? 0) + (item.count.kind === 'fixed' ? item.count.men * (item.perSide ? 2 : 1) : 1));
  }
  return into;
}

/** What one unit of a slot asks, with its load, height, tempo and the turns of a small place. */
export function demandOfSlot(slot: Slot, capacity: Capacity, place: Place | null, vestKg: number): { demand: Demand; assumedLoad: string | null } {
  const { category } = capacity.athlete;
  const load = loadOfSlot(slot, capacity);
  const demand = demandOf(movementOf(slot.movement).reckonedAs ?? slot.movement, slot.unit, capacity, load.kg, slot.heightCm?.[category] ?? null, vestKg);
  const turns = demand.unit === 'm' ? placeCost(demand.movement, place).turnSecondsPerMetre : 0;
  const paced = slot.tempo === null ? demand : atTempo(demand, slot.tempo);
  const turned = turns === 0 ? paced : { ...paced, cycleSeconds: paced.cycleSeconds + turns };
  return { demand: slot.own === null || slot.own.share === 1 ? turned : atShare(turned, slot.own.share), assumedLoad: load.assumed };
}

/** A movement of the coach's own beside its neighbour: a rep takes its share of the time and of the work, and so many fewer are at hand. */
const atShare = (demand: Demand, share: number): Demand => ({
  ...demand,
  cycleSeconds: demand.cycleSeconds * share,
  joulesPerKg: demand.joulesPerKg * share,
  repsToFailure: demand.repsToFailure / share,
});

/** A rep at a tempo takes its seconds; the muscles are under load longer, so fewer of them are at hand (the square root of the time; a round figure). */
export function atTempo(demand: Demand, tempo: string): Demand {
  const cycleSeconds = tempoSeconds(tempo) ?? demand.cycleSeconds;
  return { ...demand, cycleSeconds, repsToFailure: demand.repsToFailure * Math.min(1, Math.sqrt(demand.cycleSeconds / cycleSeconds)) };
}

interface Resolved {
  readonly demandOf: (slot: Slot) => { index: number; demand: Demand };
  readonly brackets: ReadonlyMap<number, number>;
  readonly place: Place | null;
  readonly category: Category;
  /** no clock ends the part's work */
  readonly unclocked: boolean;
}

const linkedTo = (slot: Slot, previous: Slot | null): boolean =>
  previous !== null && ((slot.link !== null && slot.link === previous.link) || (slot.bracket !== null && slot.bracket.id === previous.bracket?.id));

/** Steps of the schedule with what they ask of this athlete. */
function resolveSteps(steps: readonly PassStep[], outerRound: number, { demandOf, brackets, place, category, unclocked }: Resolved): Step[] {
  let previous: Slot | null = null;
  return steps.map((step): Step => {
    if (step.kind === 'pause') {
      previous = null;
      return { kind: 'pause', rest: step.rest };
    }
    const { slot } = step;
    const { index, demand } = demandOf(slot);
    const count = amountOf(step, category);
    const worth = count === null ? 0 : slot.bracket ? count / Math.max(1, brackets.get(slot.bracket.id) ?? 1) : worthOf(demand, count);
    const linked = linkedTo(slot, previous);
    previous = slot;
    return {
      kind: 'move',
      slot: index,
      demand,
      count,
      seconds: slot.count.kind === 'max' ? (slot.count.seconds ?? null) : null,
      toFailure: unclocked && slot.count.kind === 'max' && slot.count.seconds === undefined && !demand.secondsPerUnit,
      worth,
      round: (step.rounds[step.rounds.length - 1]?.number ?? outerRound + 1) - 1,
      unbroken: slot.hold === 'unbroken',
      linked,
      wayOutSeconds: placeCost(demand.movement, place).wayOutSeconds,
    };
  });
}

function compilePart(part: Part, capacity: Capacity, place: Place | null, assumed: Set<string>): PartProgram {
  const { category } = capacity.athlete;
  const slots = slotsOfPart(part);
  const indexOf = new Map(slots.map((slot, index) => [slot, index]));
  const vestKg = part.vest ? part.vest[category] : 0;
  const demands = slots.map((slot) => {
    const { demand, assumedLoad } = demandOfSlot(slot, capacity, place, vestKg);
    if (assumedLoad && part.kind !== 'strength' && part.kind !== 'maxLoad') assumed.add(assumedLoad);
    if (demand.guessed) assumed.add(demand.guessed);
    return demand;
  });
  const lists = itemLists(part);
  const brackets = new Map<number, number>();
  for (const items of lists) bracketSizes(items, brackets);
  const resolved: Resolved = {
    demandOf: (slot) => {
      const index = indexOf.get(slot)!;
      return { index, demand: demands[index]! };
    },
    brackets,
    place,
    category,
    unclocked: (part.kind === 'forTime' || part.kind === 'quality') && !('capSeconds' in part && part.capSeconds !== null),
  };
  const grows = growsByPass(part);
  const cached = new Map<number, readonly Step[]>();
  return {
    part,
    kind: part.kind,
    score: part.score,
    lists: lists.length,
    grows,
    interruption: part.interruption && {
      everySeconds: part.interruption.everySeconds,
      steps: resolveSteps(stepsOfPass(part.interruption.items, 0), 0, resolved),
    },
    steps: (list, pass) => {
      const key = grows ? list + 1000 * pass : list;
      const known = cached.get(key);
      if (known) return known;
      const steps = resolveSteps(stepsOfPass(lists[list] ?? [], pass), pass, resolved);
      cached.set(key, steps);
      return steps;
    },
  };
}

/** @param place what the place adds (way to the street, turns of a lap); null for the workout as written, wherever it is done */
export function compile(workout: Pick<Workout, 'parts'>, capacity: Capacity, place: Place | null = null): Program {
  const assumed = new Set<string>();
  const parts = workout.parts.map((part) => compilePart(part, capacity, place, assumed));
  return { capacity, parts, assumed: [...assumed], plateSeconds: plateClock(capacity.athlete.category, place) };
}

/** Plate changes on the bar of the place, or on a usual one. */
function plateClock(category: Category, place: Place | null): Program['plateSeconds'] {
  const bar = place?.kit.find((item) => item.kind === 'barbell');
  const barGrams = bar?.kind === 'barbell' ? bar.barGrams + bar.collarGrams : usualBarGrams[category];
  const pairs = bar?.kind === 'barbell' ? bar.plates.map(({ grams, pieces }) => ({ grams, pairs: Math.floor(pieces / 2) })) : usualPlates;
  const known = new Map<number, number>();
  return (fromKg, toKg) => {
    const key = Math.round(fromKg * 100) * 1_000_000 + Math.round(toKg * 100);
    const before = known.get(key);
    if (before !== undefined) return before;
    const stack = (kg: number): readonly number[] => (bar ? stackFor(kg, barGrams, pairs) : usualStack(kg, barGrams));
    const { off, on } = stackChange(stack(fromKg), stack(toKg));
    const seconds = changeSeconds(off.length + on.length);
    known.set(key, seconds);
    return seconds;
  };
}

/** `31X1` → 3 + 1 + 1 + 1 s; X counts one second. */
export function tempoSeconds(tempo: string | null): number | null {
  return tempo === null ? null : [...tempo].reduce((sum, sign) => sum + (sign === 'X' ? 1 : Number(sign)), 0);
}
