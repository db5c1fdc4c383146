/**
 * Several scores in one workout: each scored part has its own board, and the day's board ranks over them by the house rule.
 * Parts that the coach adds up (`score: sum`) are one score and share one board.
 */
import type { Athlete } from '../athlete/athlete';
import type { HouseRules } from '../rules/house-rules';
import type { Workout } from '../workout/workout';
import { placeReadings, readResult, type Placed, type ReadResult } from './board';
import { joinScores, leadingScore, scoreFields, splitScores, type ScoreField } from './check-score';
import type { LearnedConversions } from './learn-conversions';
import { usualScoreRules, type ScoreRules } from './score-value';

/** What one athlete did that day. */
export interface DayEntry {
  readonly athlete: Athlete;
  readonly version: Workout;
  readonly versionName: string;
  /** every part's score as it was logged, in the order of the parts: `8:41 | 92.5 kg` */
  readonly scoreText: string;
}
/** A board before anybody is on it. */
export interface BoardLabel {
  /** numbers of the parts it scores: one, or those that are added up */
  readonly parts: readonly number[];
  readonly label: string;
}
/** An entry and what was read of it: a board each, null where nothing was logged for it. */
export interface ReadEntry<E> {
  readonly entry: E;
  readonly read: readonly (ReadResult | null)[];
}
export interface PartBoard<E> extends BoardLabel {
  /** best first */
  readonly placed: readonly Placed<ReadResult & { readonly entry: E }>[];
}
export interface DayRow<E> {
  readonly rank: number;
  /** place on each board, in the order of the boards; null where no score was logged */
  readonly places: readonly (number | null)[];
  /** what the rank is of: places added up (fewest first), or the mean index (highest first); null where it cannot be said */
  readonly points: number | null;
  readonly entry: E;
}
export interface DayBoard<E> {
  readonly boards: readonly PartBoard<E>[];
  /** null where the workout has one score */
  readonly day: readonly DayRow<E>[] | null;
}
export type DayRules = ScoreRules & Pick<HouseRules, 'severalScores'>;

/** The scores of a workout, those that are added up as one. */
function scoreGroups(fields: readonly ScoreField[]): number[][] {
  const summed = fields.flatMap(({ kind }, at) => (kind === 'sum' ? [at] : []));
  const together = summed.length > 1 ? summed : [];
  return fields.flatMap((_, at) => (together.includes(at) ? (at === together[0] ? [together] : []) : [[at]]));
}

/** The workout with these scores leading: everything before is still done, and still tires. */
function ledBy(workout: Workout, fields: readonly ScoreField[], group: readonly number[]): Workout {
  const leading = new Set(group.map((at) => fields[at]?.part));
  return { ...workout, parts: workout.parts.map((part, index) => (leading.has(index) ? { ...part, optional: false } : { ...part, optional: true })) };
}

/** One part's share of an entry, read; null where nothing was logged for it. */
function readShare(original: Workout, written: readonly ScoreField[], entry: DayEntry, group: readonly number[], rules: ScoreRules): ReadResult | null {
  const fields = scoreFields(entry.version);
  const typed = fields.length > 1 ? splitScores(entry.scoreText, fields.length) : [entry.scoreText];
  const scoreText = joinScores(group.map((at) => typed[at] ?? ''));
  const version = ledBy(entry.version, fields, group);
  const score = leadingScore(scoreText, version);
  return score && readResult(ledBy(original, written, group), { ...entry, version, score, scoreText }, rules);
}

/** The boards of a workout, before anybody is on them. */
export function boardLabels(original: Pick<Workout, 'parts'>): BoardLabel[] {
  const fields = scoreFields(original);
  return scoreGroups(fields).map((group) => ({ parts: group.map((at) => fields[at]!.part), label: group.map((at) => fields[at]!.label).join(' + ') }));
}

/** What one entry says, for each board. */
export function readEntry(original: Workout, entry: DayEntry, rules: ScoreRules = usualScoreRules): (ReadResult | null)[] {
  const fields = scoreFields(original);
  return scoreGroups(fields).map((group) => readShare(original, fields, entry, group, rules));
}

type DayScore<E> = Omit<DayRow<E>, 'rank'>;
/** What a rank is given for; lower sorts first. */
const keyOf = <E>({ points }: DayScore<E>, rule: DayRules['severalScores']): number => (points === null ? Infinity : rule === 'index' ? -points : points);

/** @param rows of one entry, a board each; who has no score takes the place behind a board's last (common practice) */
function pointsOf<E>(boards: readonly PartBoard<E>[], rows: readonly (Placed<unknown>['row'] | null)[], rule: DayRules['severalScores']): number | null {
  if (rule === 'lead') return rows[0]?.rank ?? null;
  if (rule === 'places') return rows.reduce((sum, row, at) => sum + (row?.rank ?? boards[at]!.placed.length + 1), 0);
  const indexes = rows.flatMap((row) => (row === null || row.index === null ? [] : [row.index]));
  return indexes.length < boards.length ? null : indexes.reduce((sum, index) => sum + index, 0) / indexes.length;
}

function rankDay<E>(boards: readonly PartBoard<E>[], entries: readonly ReadEntry<E>[], rule: DayRules['severalScores']): DayRow<E>[] {
  const placed = boards.map((board) => new Map(board.placed.map(({ row, result }) => [result.entry, row])));
  const scores = entries.map(({ entry }): DayScore<E> => {
    const rows = placed.map((board) => board.get(entry) ?? null);
    return { entry, points: pointsOf(boards, rows, rule), places: rows.map((row) => row?.rank ?? null) };
  });
  const ordered = scores.map((row, at) => ({ row, at, key: keyOf(row, rule) })).sort((a, b) => (a.key === b.key ? a.at - b.at : a.key - b.key));
  return ordered.map(({ row, key }) => ({ ...row, rank: ordered.findIndex((other) => other.key === key) + 1 }));
}

/** The boards of entries that were read, and the day's where there are several. Entries are told apart by identity: two namesakes are two people. */
export function placeEntries<E>(
  labels: readonly BoardLabel[],
  entries: readonly ReadEntry<E>[],
  learned: LearnedConversions | null,
  rules: DayRules,
): DayBoard<E> {
  const boards = labels.map((label, at): PartBoard<E> => {
    const results = entries.flatMap(({ entry, read }) => (read[at] ? [{ ...read[at], entry }] : []));
    return { ...label, placed: placeReadings(results, learned, rules) };
  });
  return { boards, day: boards.length > 1 ? rankDay(boards, entries, rules.severalScores) : null };
}

/** The boards of a workout from entries that were not read before. */
export function placeDay<E extends DayEntry>(
  original: Workout,
  entries: readonly E[],
  learned: LearnedConversions | null = null,
  rules: DayRules = { ...usualScoreRules, severalScores: 'places' },
): DayBoard<E> {
  return placeEntries(
    boardLabels(original),
    entries.map((entry) => ({ entry, read: readEntry(original, entry, rules) })),
    learned,
    rules,
  );
}
