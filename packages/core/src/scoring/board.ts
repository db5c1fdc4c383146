/** The board: results in different versions, each carried over to the workout as written, best first, with a verdict on the version. Arithmetic on readings. */
import type { Workout } from '../workout/workout';
import { boardShift, carryOver, weigh, type Equivalent, type Weighed } from './equivalent';
import { isBelievable, unfairBecause } from './fair';
import type { LearnedConversions } from './learn-conversions';
import { readDone, type Done, type Reading } from './reading';
import type { Score } from './score-text';
import { higherIsBetter, usualScoreRules, type ScoreRules, type ScoreUnit } from './score-value';

export interface Result extends Done {
  readonly versionName: string;
  readonly scoreText: string;
}
/** What a board shows of a result, and its reading; null where the score cannot be carried over, and then what is said instead. */
export interface ReadResult {
  readonly athlete: string;
  readonly version: string;
  readonly score: string;
  readonly reading: Reading | null;
  readonly unread: string;
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
  /** why the score stands for itself, without an equivalent; null where it is compared */
  readonly unfair: string | null;
}

/** Index 100: what the reference athlete of the column scores in the original. Higher is better, for times too. */
const indexOf = ({ median, unit }: Equivalent, par: number): number => 100 * (higherIsBetter(unit) ? median / par : par / median);

const bandOf = ({ low, median, high, unit }: Equivalent): NonNullable<BoardRow['equivalent']> => ({ low, median, high, unit });

/** The school that counts reps done: an equivalent past the cap is told as the reps done when it was called. The index, and so the order, stay those of cap and reps left. */
function inRepsDone(equivalent: Equivalent, { capSeconds, repsInAll }: Reading['original']): NonNullable<BoardRow['equivalent']> {
  if (capSeconds === null || equivalent.unit !== 'seconds' || equivalent.median <= capSeconds) return bandOf(equivalent);
  const done = (seconds: number): number => Math.min(repsInAll, Math.max(0, repsInAll - Math.max(0, seconds - capSeconds)));
  return { low: done(equivalent.high), median: done(equivalent.median), high: done(equivalent.low), unit: 'reps' };
}

/** A row and what it was made from; names alone do not tell two namesakes apart. */
export interface Placed<R> {
  readonly row: BoardRow;
  readonly result: R;
}

const named = ({ athlete, version, score }: ReadResult): Pick<BoardRow, 'athlete' | 'version' | 'score' | 'rank'> => ({ athlete, version, score, rank: 0 });
const unreadRow = (result: ReadResult): BoardRow => ({
  ...named(result),
  equivalent: null,
  index: null,
  inWindow: null,
  verdict: result.unread,
  elasticity: null,
  evidence: null,
  unfair: null,
});
function readRow(result: ReadResult, weighed: Weighed, shift: number, rules: ScoreRules): BoardRow {
  const equivalent = carryOver(weighed, shift, rules);
  const { inWindow, verdict, elasticity, original } = weighed;
  const index = Math.round(indexOf(equivalent, original.par) * 10) / 10;
  const unfair = unfairBecause(weighed, equivalent, index);
  const compared = rules.unfinished === 'reps' ? inRepsDone(equivalent, original) : bandOf(equivalent);
  return {
    ...named(result),
    equivalent: unfair === null ? compared : null,
    index: unfair === null ? index : null,
    inWindow,
    verdict,
    elasticity,
    evidence: equivalent.evidence,
    unfair,
  };
}

/** Every result with its equivalent, best first. Ties share a rank; what cannot be carried over stands last, in the order it came. */
export function placeReadings<R extends ReadResult>(results: readonly R[], learned: LearnedConversions | null, rules: ScoreRules): Placed<R>[] {
  const weighed = results.map(({ reading }) => reading && weigh(reading, learned));
  const shift = boardShift(weighed.flatMap((each) => (each && isBelievable(each) ? [each] : [])));
  const rows = results.map((result, at) => (weighed[at] ? readRow(result, weighed[at], shift, rules) : unreadRow(result)));
  const ordered = rows.map((row, at) => ({ row, at })).sort((a, b) => (b.row.index ?? -1) - (a.row.index ?? -1) || a.at - b.at);
  let rank = 0;
  return ordered.map(({ row, at }, place) => {
    if (place === 0 || row.index !== ordered[place - 1]!.row.index) rank = place + 1;
    return { row: { ...row, rank }, result: results[at]! };
  });
}

/** What is said of a score that has no reading. */
export const unreadWords = (score: Score): string =>
  score.kind === 'done' ? (score.done ? 'done' : 'not done') : 'this kind of score does not fit the version';

export function readResult(original: Workout, { athlete, version, score, versionName, scoreText }: Result, rules: ScoreRules): ReadResult {
  return {
    athlete: athlete.name,
    version: versionName,
    score: scoreText,
    reading: readDone(original, { athlete, version, score }, rules),
    unread: unreadWords(score),
  };
}

/** The board of results that were not read before. */
export function placeResults<R extends Result>(
  original: Workout,
  results: readonly R[],
  learned: LearnedConversions | null = null,
  rules: ScoreRules = usualScoreRules,
): Placed<R>[] {
  const read = results.map((result) => ({ ...readResult(original, result, rules), result }));
  return placeReadings(read, learned, rules).map(({ row, result }) => ({ row, result: result.result }));
}

/** The rows of the board alone. */
export function compareScores(...asked: Parameters<typeof placeResults>): BoardRow[] {
  return placeResults(...asked).map((each) => each.row);
}
