/** The board: results in different versions, each carried over to the workout as written, best first, with a verdict on the version. */
import type { Athlete } from '../athlete/athlete';
import { referenceCapacity } from '../capacity/reference-athlete';
import { scoredParts } from '../simulate/predict';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import type { Window, Workout } from '../workout/workout';
import { boardShift, carryOver, neutral, readDone, type Done, type Equivalent } from './equivalent';
import type { LearnedConversions } from './learn-conversions';
import { scorer } from './score-of-fitness';
import { higherIsBetter, usualScoreRules, type ScoreRules, type ScoreUnit } from './score-value';

export interface Result extends Done {
  readonly versionName: string;
  readonly scoreText: string;
}
export interface BoardRow {
  readonly athlete: string;
  readonly version: string;
  readonly score: string;
  readonly equivalent: { readonly low: number; readonly median: number; readonly high: number; readonly unit: ScoreUnit } | null;
  /** 100 is what the reference athlete of the column would score in the original; higher is better */
  readonly index: number | null;
  readonly rank: number;
  readonly inWindow: boolean | null;
  readonly verdict: string;
  /** how far the version's score moves with fitness: 1 is in proportion */
  readonly elasticity: number | null;
  readonly evidence: string | null;
}

/** Index 100: what the reference athlete of the column scores in the original. Higher is better, for times too. */
export function indexOf(original: Workout, category: Athlete['category'], median: number, unit: ScoreUnit, rules: ScoreRules = usualScoreRules): number {
  const par = scorer(neutral(original), referenceCapacity(category), rules.unfinished !== 'equivalentTime', rules)(1);
  return 100 * (higherIsBetter(unit) ? median / par : par / median);
}

/** What the score says about the version: too light, too heavy, too long, paced wrong, in the window, capped. */
export function verdictOf(result: Pick<Done, 'score' | 'version'>, value: number, unit: ScoreUnit): string {
  const window = windowOf(result.version);
  if (result.score.kind === 'capped') return 'capped: too much for the time';
  if (!window || window.unit !== unit) return 'logged';
  const { low, high } = window;
  if (result.score.kind === 'sets') {
    const first = result.score.seconds[0]!;
    const last = result.score.seconds[result.score.seconds.length - 1]!;
    if (low !== null && high !== null && first < low && last > high) return 'paced wrong: the first set too fast, the last too slow';
  }
  const within = inside(window, value, unit);
  if (within) return 'in the window';
  if (unit === 'rounds') return high !== null && value > high ? 'too light: more rounds than meant' : 'too heavy or too long: fewer rounds than meant';
  return low !== null && value < low ? 'too light: done before the window' : 'too heavy or too long: over the window';
}

export function windowOf(workout: Workout): Window | null {
  const part = workout.parts[scoredParts(workout)[0] ?? 0];
  return part?.window ?? null;
}

export function inside(window: Window | null, value: number, unit: ScoreUnit): boolean | null {
  if (!window || window.unit !== unit || window.per === 'round') return null;
  return (window.low === null || value >= window.low) && (window.high === null || value <= window.high);
}

const bandOf = ({ low, median, high, unit }: Equivalent): NonNullable<BoardRow['equivalent']> => ({ low, median, high, unit });

/** The school that counts reps done: an equivalent past the cap is told as the reps done when it was called. The index, and so the order, stay those of cap and reps left. */
function inRepsDone(original: Workout, category: Athlete['category'], equivalent: Equivalent): NonNullable<BoardRow['equivalent']> {
  const lead = scoredParts(original)[0] ?? 0;
  const part = original.parts[lead];
  const cap = part?.kind === 'forTime' && part.score !== 'eachSet' ? part.capSeconds : null;
  if (cap === null || equivalent.unit !== 'seconds' || equivalent.median <= cap) return bandOf(equivalent);
  const atOnce = { parts: original.parts.map((each, index) => (index === lead && each.kind === 'forTime' ? { ...each, capSeconds: 1 } : each)) };
  const whole = Math.round(walkProgram(compile(atOnce, referenceCapacity(category))).parts[lead]!.reached?.repsLeft ?? 0);
  const done = (seconds: number): number => Math.min(whole, Math.max(0, whole - Math.max(0, seconds - cap)));
  return { low: done(equivalent.high), median: done(equivalent.median), high: done(equivalent.low), unit: 'reps' };
}

/** A row and the result it was made from; names alone do not tell two namesakes apart. */
export interface Placed<R extends Result> {
  readonly row: BoardRow;
  readonly result: R;
}

/**
 * The board: every result with its equivalent, best first. Ties share a rank; what cannot be carried over stands last, in the order it came.
 */
export function placeResults<R extends Result>(
  original: Workout,
  results: readonly R[],
  learned: LearnedConversions | null = null,
  rules: ScoreRules = usualScoreRules,
): Placed<R>[] {
  const readings = results.map((result) => readDone(original, result, learned, rules));
  const shift = boardShift(readings.flatMap((reading) => reading ?? []));
  const rows = results.map((result, at): BoardRow => {
    const reading = readings[at];
    const base = { athlete: result.athlete.name, version: result.versionName, score: result.scoreText };
    if (!reading)
      return {
        ...base,
        equivalent: null,
        index: null,
        rank: 0,
        inWindow: null,
        verdict: result.score.kind === 'done' ? (result.score.done ? 'done' : 'not done') : 'this kind of score does not fit the version',
        elasticity: null,
        evidence: null,
      };
    const equivalent = carryOver(original, reading, shift, rules);
    const { median, unit, value, elasticity, evidence } = equivalent;
    return {
      ...base,
      equivalent: rules.unfinished === 'reps' ? inRepsDone(original, result.athlete.category, equivalent) : bandOf(equivalent),
      index: Math.round(indexOf(original, result.athlete.category, median, unit, rules) * 10) / 10,
      rank: 0,
      inWindow: inside(windowOf(result.version), value, reading.unit),
      verdict: verdictOf(result, value, reading.unit),
      elasticity,
      evidence,
    };
  });
  const ordered = rows.map((row, at) => ({ row, at })).sort((a, b) => (b.row.index ?? -1) - (a.row.index ?? -1) || a.at - b.at);
  let rank = 0;
  return ordered.map(({ row, at }, place) => {
    if (place === 0 || row.index !== ordered[place - 1]!.row.index) rank = place + 1;
    return { row: { ...row, rank }, result: results[at]! };
  });
}

/** The rows of the board alone. */
export function compareScores(...asked: Parameters<typeof placeResults>): BoardRow[] {
  return placeResults(...asked).map((each) => each.row);
}
