/**
 * A score in a version, carried over to the workout as written: arithmetic on its reading.
 * The fitness that explains the score is taken as a measurement of what the athlete's file and past results lead one to expect: the posterior mean of a normal model
 * (decision 0007). What one version tells badly, because its score hardly moves with fitness or its swaps are unproved, comes back as a wide band.
 */
import type { Workout } from '../workout/workout';
import { evidenceSentence, learnedOffset, type LearnedConversions, type LearnedOffset } from './learn-conversions';
import { readDone, scoreAt, type Done, type Reading } from './reading';
import { dayNoise, leastTold } from './score-of-fitness';
import { usualScoreRules, type ScoreRules, type ScoreUnit } from './score-value';

/** log standard deviation that carrying a score over adds, by what differs (round figures; the fairness study measures 0.05–0.06 for other movements) */
const carriedOver = { sameMovements: 0.03, otherMovements: 0.06 };
/** log standard deviation of the model's error about a whole workout (round figure) */
const wholeWorkout = 0.1;

/** A reading with what logged results say about the swaps of its version. */
export interface Weighed extends Reading {
  readonly offset: LearnedOffset;
  /** standard deviation of `apparent`: the day and the carrying over, ÷ elasticity */
  readonly noise: number;
  /** share of the score's word that is taken: 1 for the workout as written */
  readonly trust: number;
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

export function weigh(reading: Reading, learned: LearnedConversions | null = null): Weighed {
  const { asWritten, swaps, elasticity, expectedSpread } = reading;
  const offset = learnedOffset(learned, swaps);
  // a score as written is its own equivalent; in a version, what the score leaves open is filled by what is expected of the athlete
  const carried = asWritten ? 0 : swaps.length === 0 ? carriedOver.sameMovements : carriedOver.otherMovements * Math.sqrt(offset.open);
  const noise = Math.hypot(dayNoise, carried) / Math.max(leastTold, elasticity);
  return { ...reading, offset, noise, trust: asWritten ? 1 : 1 / (1 + (noise / expectedSpread) ** 2) };
}

/**
 * How much better everybody on a board did than expected, ln; shrunk towards 0. What the model has wrong about the whole workout, or a windy day, must not
 * tell those who did it as written from those whose versions are believed less.
 */
export function boardShift(readings: readonly Weighed[]): number {
  let weighted = 0;
  let precision = 1 / wholeWorkout ** 2;
  for (const { apparent, expected, expectedSpread, noise, offset } of readings) {
    const weight = 1 / (noise ** 2 + expectedSpread ** 2);
    weighted += weight * (apparent - offset.log - expected);
    precision += weight;
  }
  return weighted / precision;
}

/** A weighed reading → the score this athlete would have in the original. @param shift of the board the score is on, ln */
export function carryOver(weighed: Weighed, shift = 0, rules: ScoreRules = usualScoreRules): Equivalent {
  const { trust, elasticity, offset, value, original } = weighed;
  const expected = weighed.expected + shift;
  const log = expected + trust * (weighed.apparent - offset.log - expected);
  const spread = Math.min(0.5, 1.2816 * Math.sqrt(trust) * weighed.noise);
  const simulated = scoreAt(original.curve, log);
  // a score as written is its own equivalent, also where no fitness of the simulation gives it
  const median = trust === 1 && rules.unfinished !== 'equivalentTime' ? value : simulated;
  const ends = [-spread, spread].map((by) => (scoreAt(original.curve, log + by) / simulated) * median);
  return {
    low: Math.min(median, ...ends),
    median,
    high: Math.max(median, ...ends),
    unit: original.unit,
    fitness: Math.exp(log),
    elasticity,
    value,
    evidence: evidenceSentence(offset),
  };
}

/** A score in a version → the score this athlete would have in the original; null when the score cannot be carried over. */
export function equivalentOf(original: Workout, done: Done, learned: LearnedConversions | null = null, rules: ScoreRules = usualScoreRules): Equivalent | null {
  const reading = readDone(original, done, rules);
  return reading && carryOver(weigh(reading, learned), 0, rules);
}
