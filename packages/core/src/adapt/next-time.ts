/**
 * After a score: what to change in this athlete's version when the same workout comes again. The version is run as fit as the score shows its athlete, with one line
 * changed at a time: a load they have, or a count a coach writes. The gentlest change that would have met the window is the proposal, as decisions of the coach that
 * can be taken with one key. What was in its window stays as it was.
 */
import type { Athlete } from '../athlete/athlete';
import type { Place } from '../kit/kit';
import { movementOf } from '../movements/catalogue';
import { formatSlot } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import { leadingScore } from '../scoring/check-score';
import { isFarOff } from '../scoring/fair';
import { fitnessFor, scorer } from '../scoring/score-of-fitness';
import { higherIsBetter, scoreValue } from '../scoring/score-value';
import { inside, windowOf } from '../scoring/verdict';
import { compile } from '../simulate/program';
import { mapSlots, slotsOfPart } from '../workout/walk';
import type { Slot, Window, Workout } from '../workout/workout';
import type { Lock } from './lock';
import { contextFor } from './planned';
import { figuresWithin } from './slot/coach-numbers';
import type { AdaptContext } from './slot/question';

export interface NextTime {
  /** one sentence for the coach */
  readonly words: string;
  /** what taking it decides, beside the decisions that stand; empty where nothing is to be decided */
  readonly locks: readonly Lock[];
}
/** What was done. */
export interface DoneBefore {
  readonly version: Workout;
  /** as it is kept */
  readonly score: string;
  /** what the score said of the version */
  readonly verdict: string;
}
export interface Change {
  readonly words: string;
  readonly lock: Lock;
  readonly workout: Workout;
  /** how much it changes, to choose the gentlest by */
  readonly size: number;
}

/** Loads that are looked at on either side, and the most one step may add (round figures: what a coach changes between two times) */
const mostLoadSteps = 3;
const mostMore = 1.35;
/** shares of a count that are looked at */
const counts = { low: 0.6, high: 1.6 };
/** a load step is gentler than a count changed by this share of itself */
const countOfAStep = 0.12;

/** ln; a score at the edge of its window is in it */
const nearEnough = 0.005;

const isEven = (slot: Slot): boolean => movementOf(slot.movement).side === 'alternating';

/** Loads of the same implement, lighter or heavier. */
function loadChanges(slot: Slot, { loads, athlete }: AdaptContext): { slot: Slot; loadKg: number; steps: number }[] {
  const { load } = slot;
  if (load?.kind !== 'mass' || load.sets) return [];
  const kg = load[athlete.category];
  const usable = movementOf(slot.movement).load?.implements ?? [];
  const feasible = loads.filter(({ implement, count }) => count === load.count && (slot.implement ? implement === slot.implement : usable.includes(implement)));
  // made with the implement that makes the load there is
  const inHand = feasible.find(({ grams }) => Math.abs(grams / 1000 - kg) < 0.05)?.implement;
  const masses = [...new Set(feasible.filter(({ implement }) => implement === inHand).map(({ grams }) => grams / 1000))].sort((a, b) => a - b);
  const at = masses.findIndex((mass) => Math.abs(mass - kg) < 0.05);
  if (at < 0) return [];
  return masses.flatMap((mass, index) => {
    const steps = Math.abs(index - at);
    if (steps === 0 || steps > mostLoadSteps || mass > kg * mostMore) return [];
    return [{ slot: { ...slot, load: { ...load, men: mass, women: mass } }, loadKg: mass, steps }];
  });
}
function countChanges(slot: Slot, { athlete }: AdaptContext): { slot: Slot; reps: number; share: number }[] {
  const { count } = slot;
  if (count.kind !== 'fixed' || count.low !== null) return [];
  const now = count[athlete.category];
  return figuresWithin(now * counts.low, now * counts.high, slot.unit, isEven(slot))
    .filter((figure) => figure !== now)
    .map((reps) => ({ slot: { ...slot, count: { ...count, men: reps, women: reps } }, reps, share: Math.abs(Math.log(reps / now)) }));
}

/** One line changed, in every way that is looked at. */
export function changesOf(version: Workout, context: AdaptContext): Change[] {
  const plain = (slot: Slot): string => formatSlot({ ...slot, alternatives: [] });
  return version.parts.flatMap((part, at) =>
    slotsOfPart(part).flatMap((before, number) => {
      const changed = (slot: Slot, size: number, decides: Partial<{ reps: number; loadKg: number }>): Change => ({
        words: `${plain(before)} → ${plain(slot)}`,
        lock: { part: at, slot: number, movement: before.movement, ...decides },
        workout: {
          ...version,
          parts: version.parts.map((each, index) => (index === at ? mapSlots(each, (own, place) => (place === number ? slot : own)) : each)),
        },
        size,
      });
      return [
        ...loadChanges(before, context).map(({ slot, loadKg, steps }) => changed(slot, steps, { loadKg })),
        ...countChanges(before, context).map(({ slot, reps, share }) => changed(slot, 0.5 + share / countOfAStep, { reps })),
      ];
    }),
  );
}

/** How far a score lies outside the window, ln; 0 inside. */
function outside({ low, high }: Window, value: number): number {
  if (low !== null && value < low) return Math.log(low / Math.max(value, 1e-9));
  return high !== null && value > high ? Math.log(value / high) : 0;
}

/** What was scored: the window it was to meet, and how fit it shows the athlete beside the figures told; null where there is none to meet. */
function shownBy({ version, score }: DoneBefore, { capacity }: AdaptContext): { readonly window: Window; readonly fitness: number } | null {
  const window = windowOf(version);
  const read = leadingScore(score, version);
  const value = read && scoreValue(read, version, compile(version, capacity));
  if (!window || !value || inside(window, value.value, value.unit) === null) return null;
  const better = higherIsBetter(value.unit) ? 'higher' : 'lower';
  return { window, fitness: fitnessFor(value.value, scorer(version, capacity, read.kind !== 'capped'), better) };
}

/** The gentlest change that would have met the window, as fit as the score shows; null where none would. */
function gentlest(version: Workout, context: AdaptContext, window: Window, fitness: number): Change | null {
  const meeting = changesOf(version, context).filter(({ workout }) => outside(window, scorer(workout, context.capacity, false)(fitness)) < nearEnough);
  return meeting.reduce<Change | null>((best, change) => (best === null || change.size < best.size ? change : best), null);
}

/** Whether a line of the one is the same line of the other: a decision is about a line the coach wrote. */
const sameLines = (one: Workout, other: Workout): boolean =>
  one.parts.length === other.parts.length && one.parts.every((part, index) => slotsOfPart(part).length === slotsOfPart(other.parts[index]!).length);

export function nextTime(original: Workout, athlete: Athlete, done: DoneBefore, place: Place, rules: HouseRules): NextTime {
  const said = (words: string): NextTime => ({ words, locks: [] });
  if (done.verdict.startsWith('paced wrong')) return said('The same work, begun slower: the first set at the time of the middle one.');
  if (!/^(?:too|capped)/.test(done.verdict)) return said('Keep it as it is.');
  const context = contextFor(athlete, place, rules, original.parts);
  const shown = shownBy(done, context);
  if (!shown) return said('There is no window to meet: look at it under Adapt.');
  if (isFarOff(Math.log(shown.fitness / context.capacity.fitness))) return said('Look at the score first: it is far from what is known of this athlete.');
  const change = gentlest(done.version, context, shown.window, shown.fitness);
  if (!change) return said('No single load or count would have met the window: look at it under Adapt, or at the window.');
  // where the version has other lines than the text, it is told and left to the coach
  return { words: change.words, locks: sameLines(original, done.version) ? [change.lock] : [] };
}
