/**
 * Several scores in one workout: each scored part has its own board, and the day's board ranks over them by the house rule.
 * Parts that the coach adds up (`score: sum`) are one score and share one board.
 */
import type { Athlete } from '../athlete/athlete';
import type { HouseRules } from '../rules/house-rules';
import type { Workout } from '../workout/workout';
import { placeResults, type Placed, type Result } from './board';
import { leadingScore, scoreFields, splitScores, joinScores, type ScoreField } from './check-score';
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
export interface PartBoard<E extends DayEntry> {
  /** numbers of the parts it scores: one, or those that are added up */
  readonly parts: readonly number[];
  readonly label: string;
  /** best first */
  readonly placed: readonly Placed<E & Result>[];
}
export interface DayRow<E extends DayEntry> {
  readonly rank: number;
  /** place on each board, in the order of the boards; null where no score was logged */
  readonly places: readonly (number | null)[];
  /** what the rank is of: places added up (fewest first), or the mean index (highest first); null where it cannot be said */
  readonly points: number | null;
  readonly entry: E;
}
export interface DayBoard<E extends DayEntry> {
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

/** One part's share of an entry, as a result of its own; null where nothing was logged for it. */
function resultOf<E extends DayEntry>(entry: E, group: readonly number[]): (E & Result) | null {
  const fields = scoreFields(entry.version);
  const typed = fields.length > 1 ? splitScores(entry.scoreText, fields.length) : [entry.scoreText];
  const scoreText = joinScores(group.map((at) => typed[at] ?? ''));
  const version = ledBy(entry.version, fields, group);
  const score = leadingScore(scoreText, version);
  return score && { ...entry, version, score, scoreText };
}

/** What a rank is given for; lower sorts first. */
const keyOf = <E extends DayEntry>(row: Omit<DayRow<E>, 'rank'>, rule: DayRules['severalScores']): number =>
  row.points === null ? Infinity : rule === 'index' ? -row.points : row.points;

/** Who has no score on a board takes the place behind its last (common practice). */
const behindLast = (board: PartBoard<DayEntry>): number => board.placed.length + 1;

function pointsOf(boards: readonly PartBoard<DayEntry>[], entry: DayEntry, rule: DayRules['severalScores']): number | null {
  const rows = boards.map((board) => board.placed.find(({ result }) => result.athlete === entry.athlete)?.row ?? null);
  if (rule === 'lead') return rows[0]?.rank ?? null;
  if (rule === 'places') return rows.reduce((sum, row, at) => sum + (row?.rank ?? behindLast(boards[at]!)), 0);
  const indexes = rows.flatMap((row) => (row === null || row.index === null ? [] : [row.index]));
  return indexes.length < boards.length ? null : indexes.reduce((sum, index) => sum + index, 0) / indexes.length;
}

function rankDay<E extends DayEntry>(boards: readonly PartBoard<E>[], entries: readonly E[], rule: DayRules['severalScores']): DayRow<E>[] {
  const rows = entries.map((entry) => ({
    entry,
    points: pointsOf(boards, entry, rule),
    places: boards.map(({ placed }) => placed.find(({ result }) => result.athlete === entry.athlete)?.row.rank ?? null),
  }));
  const ordered = rows.map((row, at) => ({ row, at, key: keyOf(row, rule) })).sort((a, b) => (a.key === b.key ? a.at - b.at : a.key - b.key));
  return ordered.map(({ row, key }) => ({ ...row, rank: ordered.findIndex((other) => other.key === key) + 1 }));
}

/** The boards of a workout and, where it has several scores, the day's. Athletes are told apart by identity: two namesakes are two people. */
export function placeDay<E extends DayEntry>(
  original: Workout,
  entries: readonly E[],
  learned: LearnedConversions | null = null,
  rules: DayRules = { ...usualScoreRules, severalScores: 'places' },
): DayBoard<E> {
  const fields = scoreFields(original);
  const boards = scoreGroups(fields).map((group): PartBoard<E> => {
    const results = entries.flatMap((entry) => resultOf(entry, group) ?? []);
    return {
      parts: group.map((at) => fields[at]!.part),
      label: group.map((at) => fields[at]!.label).join(' + '),
      placed: placeResults(ledBy(original, fields, group), results, learned, rules),
    };
  });
  return { boards, day: boards.length > 1 ? rankDay(boards, entries, rules.severalScores) : null };
}
