/**
 * What a score says of its athlete, read through the simulation once. A reading is plain data that holds everything a board asks of it, so that boards, learned conversions and
 * past results are arithmetic on stored readings (decision 0014): no simulation, and the same figures wherever they are added up.
 */
import type { Athlete } from '../athlete/athlete';
import type { Capacity } from '../capacity/capacity';
import { referenceCapacity } from '../capacity/reference-athlete';
import { headline, scoredParts } from '../simulate/predict';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { mapSlots, slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';
import { capacityOf } from './learn-fitness';
import { dayNoise, elasticityNear, fitnessFor, scorer, withinReach } from './score-of-fitness';
import type { Score } from './score-text';
import { higherIsBetter, scoreValue, usualScoreRules, type ScoreRules, type ScoreUnit } from './score-value';
import { inside, verdictOf, windowOf } from './verdict';
import type { FitnessResult } from './learn-conversions';

/** below this elasticity a result teaches nothing about its swaps */
const leastTaught = 0.15;
/** log standard deviation of what an athlete can do in one workout around what the athlete can do in general: whose figures are off for just these movements (round figure) */
const ownWorkout = 0.08;

/** What was done, by whom. */
export interface Done {
  readonly athlete: Athlete;
  /** the workout this athlete did; the original itself for "as written" */
  readonly version: Workout;
  readonly score: Score;
}

/** A score by fitness, at a few fitnesses; between them it is interpolated. */
export interface Curve {
  /** ln fitness, rising */
  readonly logs: readonly number[];
  readonly scores: readonly number[];
}

/** Plain data: it is stored as JSON. Fitness is in logarithms, 0 as the figures told say. */
export interface Reading {
  /** the fitness that the score alone says */
  readonly apparent: number;
  /** the fitness that the file and past results lead one to expect, and its standard deviation */
  readonly expected: number;
  readonly expectedSpread: number;
  readonly elasticity: number;
  /** the score as the figure the simulation uses, and its unit */
  readonly value: number;
  readonly unit: ScoreUnit;
  /** what sets the version apart: `toes-to-bar>sit-up` */
  readonly swaps: readonly string[];
  /** asked as written, so that nothing has to be carried over */
  readonly asWritten: boolean;
  readonly inWindow: boolean | null;
  readonly verdict: string;
  /** of this athlete in the workout as written */
  readonly original: {
    readonly unit: ScoreUnit;
    readonly curve: Curve;
    /** what the reference athlete of the column scores in it */
    readonly par: number;
    /** s, and the reps of the leading part in all, for the school that counts reps done */
    readonly capSeconds: number | null;
    readonly repsInAll: number;
  };
}

/** Without the alternatives: what was done is what is scored. */
export function neutral(workout: Workout): Workout {
  return { ...workout, parts: workout.parts.map((part) => mapSlots(part, (slot) => ({ ...slot, alternatives: [] }))) };
}

/** What sets a version apart from the original, slot by slot, for what is learned about conversions: `toes-to-bar>sit-up`. */
export function swapsOf(original: Workout, version: Workout): string[] {
  const written = original.parts.map((part) => slotsOfPart(part));
  const done = version.parts.map((part) => slotsOfPart(part));
  const pairs = written.flatMap((slots, part) =>
    slots.flatMap((slot, at) => {
      const other = done[part]?.[at];
      return other && other.movement !== slot.movement ? [`${slot.movement}>${other.movement}`] : [];
    }),
  );
  return [...new Set(pairs)].sort();
}

/** Whether a version asks what the original asks in this column. */
function sameAsked(original: Workout, version: Workout, category: Athlete['category']): boolean {
  const asked = (workout: Workout): string =>
    JSON.stringify(
      workout.parts.map((part) => [
        { ...part, items: null, stations: null, windows: null, window: null, intent: null, name: null, notes: null, scoreSaid: null },
        slotsOfPart(part).map((slot) => [
          slot.movement,
          slot.count,
          slot.unit,
          slot.perSide,
          slot.load?.kind === 'mass' ? Math.round(slot.load[category] * 10) * slot.load.count : null,
        ]),
      ]),
    );
  return asked(original) === asked(version);
}

/** ln fitness beyond what was seen and expected that a board may ask of a curve, and how close its points lie there; farther out a few are enough */
const curveReach = 0.35;
const curveStep = 0.05;
const curveEnds = [Math.log(0.3), Math.log(0.5), Math.log(0.75), 0, Math.log(1.4), Math.log(2.1), Math.log(3.2)];

function curveOf(score: (fitness: number) => number, from: number, to: number): Curve {
  const steps = Math.ceil((to - from + 2 * curveReach) / curveStep);
  const near = Array.from({ length: steps + 1 }, (_, at) => from - curveReach + at * curveStep);
  const far = curveEnds.filter((log) => log < near[0]! - curveStep || log > near[steps]! + curveStep);
  const logs = [...far, ...near].sort((a, b) => a - b);
  return { logs, scores: logs.map((log) => score(Math.exp(log))) };
}

/** The score at a fitness: straight between the points of the curve, in logarithms of the score; the ends hold. */
export function scoreAt({ logs, scores }: Curve, log: number): number {
  const last = logs.length - 1;
  if (log <= logs[0]!) return scores[0]!;
  if (log >= logs[last]!) return scores[last]!;
  const at = logs.findIndex((each) => each >= log);
  const [before, after] = [scores[at - 1]!, scores[at]!];
  const share = (log - logs[at - 1]!) / (logs[at]! - logs[at - 1]!);
  return before > 0 && after > 0 ? before * (after / before) ** share : before + share * (after - before);
}

/** Reps of the leading part in all, for the school that counts reps done; 0 where that is not asked. */
function repsInAll(original: Workout, category: Athlete['category'], rules: ScoreRules): number {
  if (rules.unfinished !== 'reps') return 0;
  const lead = scoredParts(original)[0] ?? 0;
  const atOnce = { parts: original.parts.map((part, index) => (index === lead && part.kind === 'forTime' ? { ...part, capSeconds: 1 } : part)) };
  return Math.round(walkProgram(compile(atOnce, referenceCapacity(category))).parts[lead]?.reached?.repsLeft ?? 0);
}

function capOf(original: Workout): number | null {
  const part = original.parts[scoredParts(original)[0] ?? 0];
  return part?.kind === 'forTime' && part.score !== 'eachSet' ? part.capSeconds : null;
}

/** The workout as written, as this athlete would do it at any fitness a board may come to. */
function inOriginal(original: Workout, capacity: Capacity, rules: ScoreRules, from: number, to: number): Reading['original'] {
  const written = neutral(original);
  // under the cap-plus-reps and the reps school a board is read with its cap; equivalent time looks past it
  const capped = rules.unfinished !== 'equivalentTime';
  const { category } = capacity.athlete;
  return {
    unit: headline(written, walkProgram(compile(written, capacity))).unit,
    curve: curveOf(scorer(written, capacity, capped, rules), Math.min(from, to), Math.max(from, to)),
    par: scorer(written, referenceCapacity(category), capped, rules)(1),
    capSeconds: capOf(original),
    repsInAll: repsInAll(original, category, rules),
  };
}

/** Reads a score through the simulation of its version; null when the score cannot be carried over (done, wrong kind). */
export function readDone(original: Workout, { athlete, version: done, score }: Done, rules: ScoreRules = usualScoreRules): Reading | null {
  const seen = fitnessSeen(athlete, done, score, rules);
  if (!seen) return null;
  const { capacity, apparent, elasticity, value, unit } = seen;
  const swaps = swapsOf(original, done);
  const expected = Math.log(capacity.fitness);
  return {
    apparent,
    expected,
    expectedSpread: Math.hypot(capacity.fitnessSpread, ownWorkout),
    elasticity,
    value,
    unit,
    swaps,
    asWritten: swaps.length === 0 && sameAsked(original, neutral(done), athlete.category),
    inWindow: inside(windowOf(done), value, unit),
    verdict: verdictOf({ score, version: done }, value, unit),
    original: inOriginal(original, capacity, rules, apparent, expected),
  };
}

interface Seen {
  readonly capacity: Capacity;
  /** ln */
  readonly apparent: number;
  readonly elasticity: number;
  readonly value: number;
  readonly unit: ScoreUnit;
}
/** The fitness that explains a score in its version, by root-finding through the simulation. */
function fitnessSeen(athlete: Athlete, done: Workout, score: Score, rules: ScoreRules): Seen | null {
  const capacity = capacityOf(athlete);
  const version = neutral(done);
  const program = compile(version, capacity);
  const read = scoreValue(score, version, program, rules);
  if (!read || read.value <= 0) return null;
  const { unit } = headline(version, walkProgram(program));
  if (unit !== read.unit) return null;
  const inVersion = scorer(version, capacity, true, rules);
  const apparent = fitnessFor(read.value, inVersion, higherIsBetter(unit) ? 'higher' : 'lower');
  return { capacity, apparent: Math.log(apparent), elasticity: elasticityNear(inVersion, apparent), value: read.value, unit };
}

/** What a logged result teaches about the swaps in it; null where its score tells as good as nothing. @param who tells athletes apart @param workout tells workouts apart */
export function lessonOf(original: Workout, { athlete, version, score }: Done, who: string, workout: string): FitnessResult | null {
  const seen = fitnessSeen(athlete, version, score, usualScoreRules);
  if (!seen || seen.elasticity < leastTaught || !withinReach(Math.exp(seen.apparent))) return null;
  return {
    athlete: who,
    workout,
    swaps: swapsOf(original, version),
    log: seen.apparent - Math.log(seen.capacity.fitness),
    spread: dayNoise / seen.elasticity,
    prior: Math.hypot(seen.capacity.fitnessSpread, ownWorkout),
  };
}
