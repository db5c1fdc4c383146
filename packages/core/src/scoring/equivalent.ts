/**
 * A score in a version, carried over to the workout as written.
 * The fitness that explains it (root-finding through the simulation) is taken as a measurement of what the athlete's file and past results lead one to expect: the posterior
 * mean of a normal model (decision 0007). What one version tells badly, because its score hardly moves with fitness or its swaps are unproved, comes back as a wide band.
 */
import type { Athlete } from '../athlete/athlete';
import type { Capacity } from '../capacity/capacity';
import { headline } from '../simulate/predict';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import type { Workout } from '../workout/workout';
import { mapSlots, slotsOfPart } from '../workout/walk';
import { evidenceSentence, learnedOffset, type FitnessResult, type LearnedConversions, type LearnedOffset } from './learn-conversions';
import { capacityOf } from './learn-fitness';
import { dayNoise, elasticityNear, fitnessFor, leastTold, scorer, withinReach } from './score-of-fitness';
import type { Score } from './score-text';
import { higherIsBetter, scoreValue, usualScoreRules, type ScoreRules, type ScoreUnit } from './score-value';

/** log standard deviation that carrying a score over adds, by what differs (round figures; the fairness study measures 0.05–0.06 for other movements) */
const carriedOver = { sameMovements: 0.03, otherMovements: 0.06 };
/** below this elasticity a result teaches nothing about its swaps */
const leastTaught = 0.15;
/** log standard deviation of what an athlete can do in one workout around what the athlete can do in general: whose figures are off for just these movements (round figure) */
const ownWorkout = 0.08;
/** log standard deviation of the model's error about a whole workout (round figure) */
const wholeWorkout = 0.1;

/** What was done, by whom. */
export interface Done {
  readonly athlete: Athlete;
  /** the workout this athlete did; the original itself for "as written" */
  readonly version: Workout;
  readonly score: Score;
}

/** Without the alternatives: what was done is what is scored. */
export function neutral(workout: Workout): Workout {
  return { ...workout, parts: workout.parts.map((part) => mapSlots(part, (slot) => ({ ...slot, alternatives: [] }))) };
}

/** What a score says of its athlete, before it is carried anywhere. Fitness is in logarithms, 0 as the figures told say. */
export interface Reading {
  readonly capacity: Capacity;
  /** the fitness that the score alone says */
  readonly apparent: number;
  /** the fitness that the file and past results lead one to expect, and its standard deviation */
  readonly expected: number;
  readonly expectedSpread: number;
  /** standard deviation of `apparent`: the day and the carrying over, ÷ elasticity */
  readonly noise: number;
  /** share of the score's word that is taken: 1 for the workout as written */
  readonly trust: number;
  readonly elasticity: number;
  /** what logged results say about the swaps of the version */
  readonly offset: LearnedOffset;
  readonly value: number;
  /** of `value` */
  readonly unit: ScoreUnit;
}

export interface Equivalent {
  readonly low: number;
  readonly median: number;
  readonly high: number;
  readonly unit: ScoreUnit;
  /** best estimate, a factor: 1 as the figures told say */
  readonly fitness: number;
  readonly elasticity: number;
  /** the score as the figure the simulation uses */
  readonly value: number;
  /** what logged results said about this version's swaps; null when nothing */
  readonly evidence: string | null;
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

/** Whether a version asks what the original asks in this column, so that nothing has to be carried over. */
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

/** Reads a score through the simulation of its version; null when the score cannot be carried over (done, wrong kind). */
export function readDone(
  original: Workout,
  { athlete, version: done, score }: Done,
  learned: LearnedConversions | null = null,
  rules: ScoreRules = usualScoreRules,
): Reading | null {
  const capacity = capacityOf(athlete);
  const version = neutral(done);
  const program = compile(version, capacity);
  const read = scoreValue(score, version, program, rules);
  if (!read || read.value <= 0) return null;
  const inVersion = scorer(version, capacity, true, rules);
  const unit = headline(version, walkProgram(program)).unit;
  if (unit !== read.unit) return null;
  const apparent = fitnessFor(read.value, inVersion, higherIsBetter(unit) ? 'higher' : 'lower');
  const elasticity = elasticityNear(inVersion, apparent);
  const swaps = swapsOf(original, version);
  const offset = learnedOffset(learned, swaps);
  // a score as written is its own equivalent; in a version, what the score leaves open is filled by what is expected of the athlete
  const asWritten = swaps.length === 0 && sameAsked(original, version, athlete.category);
  const carried = asWritten ? 0 : swaps.length === 0 ? carriedOver.sameMovements : carriedOver.otherMovements * Math.sqrt(offset.open);
  const noise = Math.hypot(dayNoise, carried) / Math.max(leastTold, elasticity);
  const expectedSpread = Math.hypot(capacity.fitnessSpread, ownWorkout);
  return {
    capacity,
    apparent: Math.log(apparent),
    expected: Math.log(capacity.fitness),
    expectedSpread,
    noise,
    trust: asWritten ? 1 : 1 / (1 + (noise / expectedSpread) ** 2),
    elasticity,
    offset,
    value: read.value,
    unit,
  };
}

/**
 * How much better everybody on a board did than expected, ln; shrunk towards 0. What the model has wrong about the whole workout, or a windy day, must not
 * tell those who did it as written from those whose versions are believed less.
 */
export function boardShift(readings: readonly Reading[]): number {
  let weighted = 0;
  let precision = 1 / wholeWorkout ** 2;
  for (const { apparent, expected, expectedSpread, noise, offset } of readings) {
    const weight = 1 / (noise ** 2 + expectedSpread ** 2);
    weighted += weight * (apparent - offset.log - expected);
    precision += weight;
  }
  return weighted / precision;
}

/** A reading → the score this athlete would have in the original. @param shift of the board the score is on, ln */
export function carryOver(original: Workout, reading: Reading, shift = 0, rules: ScoreRules = usualScoreRules): Equivalent {
  const { capacity, trust, elasticity, offset, value } = reading;
  const expected = reading.expected + shift;
  const fitness = Math.exp(expected + trust * (reading.apparent - offset.log - expected));
  const spread = Math.min(0.5, 1.2816 * Math.sqrt(trust) * reading.noise);
  const written = neutral(original);
  // under the cap-plus-reps and the reps school a board is read with its cap; equivalent time looks past it
  const inOriginal = scorer(written, capacity, rules.unfinished !== 'equivalentTime', rules);
  const simulated = inOriginal(fitness);
  // a score as written is its own equivalent, also where no fitness of the simulation gives it
  const median = trust === 1 && rules.unfinished !== 'equivalentTime' ? value : simulated;
  const ends = [-spread, spread].map((by) => (inOriginal(fitness * Math.exp(by)) / simulated) * median);
  return {
    low: Math.min(median, ...ends),
    median,
    high: Math.max(median, ...ends),
    unit: headline(written, walkProgram(compile(written, capacity))).unit,
    fitness,
    elasticity,
    value,
    evidence: evidenceSentence(offset),
  };
}

/** A score in a version → the score this athlete would have in the original; null when the score cannot be carried over. */
export function equivalentOf(original: Workout, done: Done, learned: LearnedConversions | null = null, rules: ScoreRules = usualScoreRules): Equivalent | null {
  const reading = readDone(original, done, learned, rules);
  return reading && carryOver(original, reading, 0, rules);
}

/** What a logged result teaches about the swaps in it; null where its score tells as good as nothing. @param who tells athletes apart @param workout tells workouts apart */
export function lessonOf(original: Workout, done: Done, who: string, workout: string): FitnessResult | null {
  const reading = readDone(original, done);
  if (!reading || reading.elasticity < leastTaught || !withinReach(Math.exp(reading.apparent))) return null;
  return {
    athlete: who,
    workout,
    swaps: swapsOf(original, done.version),
    log: reading.apparent - reading.expected,
    spread: dayNoise / reading.elasticity,
    prior: reading.expectedSpread,
  };
}
