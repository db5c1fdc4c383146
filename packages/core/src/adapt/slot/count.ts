/**
 * The count of an option. What is kept keeps its count; a swap keeps it too, unless a stated conversion or a house rule says otherwise or it would be really different
 * (a third more or less effort or time). What is counted in other units takes the time it was meant to take.
 */
import { movementOf } from '../../movements/catalogue';
import type { FeasibleLoad } from '../../kit/loads';
import type { Movement } from '../../movements/movement';
import { needsRoute } from '../../movements/needs';
import type { RuleKey } from '../../rules/house-rules';
import type { Demand } from '../../simulate/demand';
import { boutOf } from '../../stimulus/bout';
import type { Category, Count, CountUnit, Slot } from '../../workout/workout';
import { figureBelow, nearestFigure } from './coach-numbers';
import { statedConversion, type Conversion } from './conversions';
import { isAskedForIt, isAsWritten, totalKg, writtenKg } from './load';
import type { Proposed } from './propose';
import { isNewer, type AdaptContext, type SlotQuestion } from './question';

export interface Counted {
  readonly count: Count;
  readonly unit: CountUnit;
  readonly perSide: boolean;
  readonly rule: RuleKey | null;
  readonly said: string | null;
  /** one bout, mean over its rungs, both sides; the reference's where it is open */
  readonly whole: number;
  /** the bout with the written count, where it is counted alike; what the effort of a swap is judged by */
  readonly plain: number;
}

/** a third more or less is really different */
export const alike = 1.5;
/** share of the reps at hand up to which a set is done in one go */
const unbroken = 0.95;
/** a swap's count moves no further than this at once, up and down (round figures) */
const mostUp = 4 / 3;
const mostDown = 0.5;
/** strength sets of what is light go nearer to failure (round figure) */
const mostUpInStrength = 2;
/** both sides in full may take so many times what was meant (round figure) */
const mostTwice = 1.8;
/** no count moves by less */
const leastChange = 0.2;
/** s in all of jogging, marching and high knees (common practice) */
export const mostFillerSeconds = 240;
const leastFillerSeconds = 20;
/** s of one hold that stands in for something else (common practice: planks and wall sits go to a minute) */
export const mostHoldSeconds = 60;

/** Jogging, marching and high knees: dull, by the clock. */
export const isFiller = ({ family, limit }: Movement): boolean => family === 'run' && limit.by === 'ease';

/** a rep that takes so many steps is no step (round figure) */
const slowerThanSteps = 2;
/** The unit a swap is counted in: its own, but calories stay calories, and breath on the spot goes by the clock. */
export function unitFor(original: Movement, movement: Movement, unit: CountUnit): CountUnit {
  if (unit === 's' && movement.unit !== 'm') return 's';
  const slower = original.cycleSeconds > slowerThanSteps * movement.cycleSeconds;
  if (isFiller(movement) && !isFiller(original) && (original.limit.by === 'engine' || slower)) return 's';
  if (unit === 'cal' && movement.limit.by === 'engine' && movement.limit.engine !== 'run') return 'cal';
  return movement.unit;
}

export const meanCount = (slot: Slot, ladder: readonly number[] | null, category: Category): number | null => {
  switch (slot.count.kind) {
    case 'fixed':
      return slot.count[category];
    case 'rung':
      return ladder ? mean(ladder) : 10;
    case 'ladder':
      return mean(slot.count.rungs);
    case 'growing':
      return slot.count.start + slot.count.step * 2;
    case 'max':
    case 'matchTime':
      return null;
  }
};
const mean = (rungs: readonly number[]): number => rungs.reduce((sum, rung) => sum + rung, 0) / rungs.length;

interface Ask {
  readonly proposed: Proposed;
  readonly demand: Demand;
  /** what is in the hands; null where nothing is */
  readonly load: FeasibleLoad | null;
  readonly question: SlotQuestion;
  readonly context: AdaptContext;
}

/** A count changed figure by figure. */
function mapCount(count: Count, ladder: readonly number[] | null, category: Category, change: (figure: number) => number): Count {
  switch (count.kind) {
    case 'fixed': {
      const figure = change(count[category]);
      return { kind: 'fixed', men: figure, women: figure, low: null };
    }
    case 'rung':
      return ladder ? { kind: 'ladder', rungs: ladder.map(change) } : count;
    case 'ladder':
      return { kind: 'ladder', rungs: count.rungs.map(change) };
    case 'growing':
      return { kind: 'growing', start: change(count.start), step: change(count.step) };
    case 'max':
    case 'matchTime':
      return count;
  }
}

/** both sides at once for so many on each: half as many again (round figure) */
const bothForEach = 1.5;
/** Sides of a swap: the trade alternates where it can; one side at a time takes half of the count each, or all of it where it is light. */
function sidesOf({ proposed: { movement }, question: { slot } }: Ask): { perSide: boolean; factor: number } {
  if (movement.side === 'perSide') return { perSide: true, factor: slot.perSide ? 1 : 0.5 };
  if (slot.perSide) return { perSide: false, factor: movement.side === 'alternating' ? 2 : bothForEach };
  return { perSide: false, factor: 1 };
}

function wholeOf(count: Count, perSide: boolean, { question, context }: Ask): number {
  const figure = meanCount({ ...question.slot, count }, question.ladder, context.athlete.category);
  return figure === null ? question.stimulus.count : figure * (perSide ? 2 : 1) * (question.slot.bracket?.times ?? 1);
}

const made = (ask: Ask, count: Count, unit: CountUnit, perSide: boolean, rule: RuleKey | null = null, said: string | null = null): Counted => ({
  count,
  unit,
  perSide,
  rule,
  said,
  whole: wholeOf(count, perSide, ask),
  plain: unit === ask.question.slot.unit && ask.question.slot.unit === 'reps' ? plainOf(ask) : wholeOf(count, perSide, ask),
});

/** The written reps in all, both arms of a row counted once. */
function plainOf(ask: Ask): number {
  const { slot } = ask.question;
  const { perSide, factor } = sidesOf(ask);
  const written = wholeOf(slot.count, slot.perSide, ask);
  return slot.perSide && !perSide ? (written * factor) / 2 : written;
}

const rounding =
  ({ side }: Movement, unit: CountUnit, even: boolean) =>
  (figure: number): number =>
    nearestFigure(figure, unit, even && side === 'alternating');

/** What the trade states: exact along a ladder and where it comes out whole, in figures a coach would write otherwise; no more than still adds up. */
function converted(ask: Ask, { factor, perSide, rule, said }: Conversion): Counted {
  const { proposed, question, context, demand } = ask;
  const { count } = question.slot;
  const most = (proposed.movement.mostInAll ?? Infinity) / question.bouts;
  const even = count.kind === 'fixed' && proposed.movement.side === 'alternating';
  const figure = (written: number): number => {
    const stated = written * factor;
    if (stated > most) return figureBelow(most, demand.unit, even);
    const exact = Number.isInteger(stated) && (count.kind !== 'fixed' || Number.isInteger(factor));
    return exact ? stated : Math.max(1, nearestFigure(stated, demand.unit, even));
  };
  const addsUp = meanOr(count, context) * factor > most ? `fewer, because ${Math.round(question.bouts)} bouts add up` : said;
  return made(ask, factor === 1 ? count : mapCount(count, question.ladder, context.athlete.category, figure), demand.unit, perSide, rule, addsUp);
}
const meanOr = (count: Count, { athlete }: AdaptContext): number => (count.kind === 'fixed' ? count[athlete.category] : 0);

/** What is bearable of a stand-in by the clock, in its unit: filler so long in all, a hold or trunk work for a carry a minute at once. @param perUnit s */
function bearable({ proposed: { movement }, question, demand }: Ask, perUnit: number): number {
  if (isFiller(movement)) return demand.unit === 's' ? Math.max(leastFillerSeconds, mostFillerSeconds / question.bouts) : Infinity;
  const forCarry = movementOf(question.slot.movement).family === 'carry' && movement.family !== 'carry';
  return demand.isHold || forCarry ? mostHoldSeconds / perUnit : Infinity;
}

/** In other units: as long as the reference takes; filler no longer than is bearable in all. */
function byTime(ask: Ask): Counted {
  const { proposed, question, context, demand } = ask;
  const { movement } = proposed;
  const { stimulus } = question;
  const perUnit = boutOf(demand, 10, context.capacity).seconds / 10;
  const wanted = stimulus.bout.seconds / Math.max(1, stimulus.count) / perUnit;
  const { perSide } = sidesOf(ask);
  const machines = movementOf(question.slot.movement).patterns.machine !== undefined && movement.patterns.machine !== undefined;
  const most = bearable(ask, perUnit);
  const figure = (written: number): number => {
    const asked = Math.min(most, (written * wanted) / (perSide ? 2 : 1));
    // a machine for a machine: calorie for calorie and metre for metre, where it is near enough
    if (machines && demand.unit === question.slot.unit && Math.abs(asked / written - 1) < leastChange) return written;
    const figure =
      needsRoute(movement.needs) && demand.unit === 'm' ? lapsFor(asked, context) : nearestFigure(asked, demand.unit, movement.side === 'alternating');
    return figure > most && Number.isFinite(most) ? Math.floor(most / 5) * 5 : figure;
  };
  return made(ask, mapCount(question.slot.count, question.ladder, context.athlete.category, figure), demand.unit, perSide);
}

/** Whole laps of the known route; without known points, figures a coach writes. */
export function lapsFor(metres: number, { place }: AdaptContext): number {
  const points = place.kit.flatMap((item) => (item.kind === 'route' ? item.metres : []));
  const lap = points.length > 0 ? Math.min(...points) : null;
  if (lap === null || points.some((each) => metres % each === 0)) return nearestFigure(metres, 'm', false);
  return Math.max(1, Math.round(metres / lap)) * lap;
}

/** The same unit: the same count, unless the set would be another one altogether. */
function byEffort(ask: Ask): Counted {
  const { proposed, question, context, demand } = ask;
  const { movement } = proposed;
  const { slot, stimulus, ladder } = question;
  const sides = sidesOf(ask);
  const category = context.athlete.category;
  // a ladder keeps its rungs, and so does a composite rep
  const keeps =
    slot.count.kind === 'rung' ||
    slot.count.kind === 'ladder' ||
    slot.count.kind === 'growing' ||
    slot.bracket !== null ||
    context.rules.otherImplement === 'sameReps';
  const bout = boutOf(demand, plainOf(ask), context.capacity);
  const effort = bout.setShare / Math.max(0.02, stimulus.bout.setShare);
  const time = bout.seconds / Math.max(1, stimulus.bout.seconds);
  const factor = keeps || movement.adjusts !== null ? 1 : factorOf(bout.setShare, effort, time, ask);
  const light = sides.perSide && !slot.perSide && !question.strength && effort < 1 / alike && 2 * time < mostTwice && !isNewer(context.athlete);
  // one side at a time and light: the whole count each side
  const each = light ? 1 : sides.factor * factor;
  if (each === 1 && sides.perSide === slot.perSide) return made(ask, slot.count, demand.unit, slot.perSide);
  const round = rounding(movement, demand.unit, slot.count.kind === 'fixed');
  const figure = (count: number): number => {
    const wanted = count * each;
    if (sides.perSide && !slot.perSide && !light && factor === 1) return Math.max(1, Math.ceil(wanted));
    const rounded = round(wanted);
    return Math.abs(rounded / Math.max(1, count * (light ? 1 : sides.factor)) - 1) < leastChange
      ? Math.max(1, Math.ceil(count * (light ? 1 : sides.factor)))
      : rounded;
  };
  return made(ask, mapCount(slot.count, sides.perSide !== slot.perSide || each !== 1 ? ladder : null, category, figure), demand.unit, sides.perSide);
}

/** The same movement with another implement, and the written load: as light as the coach wrote it. */
export function weighsAsWritten({ proposed, load, question: { slot }, context }: Pick<Ask, 'proposed' | 'load' | 'question' | 'context'>): boolean {
  const kg = load && isAskedForIt(proposed) ? writtenKg(slot, context, proposed.movement) : null;
  return load !== null && kg !== null && isAsWritten(load, kg);
}
/** More for what is light, but not for newer athletes: their swaps inherit the count (C14, common practice). */
function factorOf(setShare: number, effort: number, time: number, ask: Ask): number {
  const { proposed, question, context } = ask;
  const load = proposed.movement.load !== null && question.slot.load !== null;
  if (!weighsAsWritten(ask) && !isNewer(context.athlete) && effort < 1 / alike && time < alike && (load || time < 1 / alike)) {
    const most = question.strength ? mostUpInStrength : mostUp;
    // near failure, not beyond it
    return Math.max(1, Math.min(most, 1 / Math.max(effort, question.strength ? 0 : time), unbroken / Math.max(0.02, setShare)));
  }
  // what is still done in one go is not cut for being harder
  return (effort > alike && setShare > unbroken) || time > alike ? Math.max(mostDown, 1 / Math.max(effort, time)) : 1;
}

/** @param demand of the proposed movement in the unit it is to be counted in, with its load */
export function countFor(ask: Ask): Counted {
  const { proposed, question, context, demand } = ask;
  const { movement, coachRank, source } = proposed;
  const { slot } = question;
  if (coachRank !== null && source.count.kind !== 'matchTime') return made(ask, source.count, source.unit, source.perSide);
  if (movement.id === slot.movement && coachRank === null) return made(ask, withReserve(ask, keptCount(slot, context)), slot.unit, slot.perSide);
  const conversion = coachRank === null ? statedConversion(slot.movement, movement.id, context.rules, context.capacity) : null;
  if (conversion) return converted(ask, conversion);
  // as many as possible in the time that was written for it
  if (slot.count.kind === 'max') return made(ask, slot.count, demand.unit, sidesOf(ask).perSide);
  if (slot.count.kind === 'matchTime') return made(ask, { kind: 'max' }, demand.unit, sidesOf(ask).perSide);
  return demand.unit === slot.unit && movement.limit.by !== 'engine' ? byEffort(ask) : byTime(ask);
}

/** reps that a strength set leaves at the least (judgement: about one to three) */
const leastReserve = 1;
/** a share is rounded to what the plates make; by more than this it is another load (a step of 2.5 kg on 50; common practice) */
const roundedBy = 1.05;
/** The reps of a set whose load is a share of the max and whose lightest owned load is heavier: as many as leave one; null where that load is there. */
export function repsThatLeaveOne(slot: Slot, load: FeasibleLoad | null, repsToFailure: number, context: AdaptContext): number | null {
  const kg = load && slot.load?.kind === 'share' ? writtenKg(slot, context, movementOf(slot.movement)) : null;
  if (!load || kg === null || totalKg(load) <= kg * roundedBy || slot.count.kind !== 'fixed') return null;
  const most = Math.max(1, Math.floor(repsToFailure - leastReserve));
  return most < slot.count[context.athlete.category] ? most : null;
}
function withReserve({ question: { slot, strength }, load, demand, context }: Ask, count: Count): Count {
  const most = strength ? repsThatLeaveOne(slot, load, demand.repsToFailure, context) : null;
  return most === null ? count : { kind: 'fixed', men: most, women: most, low: null };
}

/** nearer than this the written metres are run where the route has its points */
const sameRun = 0.3;
/** The written count; a run as whole laps of the known route. */
function keptCount(slot: Slot, context: AdaptContext): Count {
  if (!needsRoute(movementOf(slot.movement).needs) || slot.unit !== 'm' || slot.count.kind !== 'fixed') return slot.count;
  const metres = slot.count[context.athlete.category];
  const points = context.place.kit.flatMap((item) => (item.kind === 'route' ? item.metres : []));
  if (points.length === 0 || points.some((each) => metres % each === 0)) return slot.count;
  const laps = lapsFor(metres, context);
  return Math.abs(laps / metres - 1) > sameRun ? slot.count : { kind: 'fixed', men: laps, women: laps, low: null };
}
