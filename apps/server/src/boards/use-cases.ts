/** The board of a workout: stored readings, what logged results say about the swaps, and arithmetic. */
import { isMeant, rounded, type Board, type LoggedScore, type NextTimeFor, type StoredWorkout } from '@gambito/contract';
import { placeEntries, type BoardLabel, type LearnedConversions, type ReadEntry, type ReadResult, type ScoreField } from '@gambito/core';
import { LRUCache } from 'lru-cache';
import { setMaxListeners } from 'node:events';
import { athleteInput } from '../athletes/use-cases';
import type { Coach } from '../auth/store';
import { whoReadsLeft } from '../platform/readers';
import type { Services } from '../platform/services';
import type { BoardScore } from '../readings/store';
import { readScore } from '../readings/use-cases';

/** scores that a board waits for, and not for long, behind what somebody types; the rest come from the background, and with the next look */
const mostAwaited = 60;

/** What was learned from a set of lessons, and the boards of a text, are the same wherever they are computed: kept for a while, needed by nobody. */
const learnedBefore = new LRUCache<string, LearnedConversions>({ max: 200 });
const labelsBefore = new LRUCache<string, { boards: BoardLabel[]; fields: ScoreField[] }>({ max: 500 });

async function learnedFor(services: Services, coach: Coach): Promise<LearnedConversions> {
  const key = `${coach.id}:${await services.readings.lessonsMark(coach.id)}`;
  const before = learnedBefore.get(key);
  if (before) return before;
  const swaps = await services.pool.run(coach.id, 'learn', { lessons: await services.readings.lessons(coach.id) });
  const learned = { swaps: new Map(swaps.map((each) => [each.swap, each])), athletes: new Map() };
  learnedBefore.set(key, learned);
  return learned;
}

async function labelsFor(services: Services, coach: Coach, text: string): Promise<{ boards: BoardLabel[]; fields: ScoreField[] }> {
  const key = `${coach.units}:${text}`;
  const before = labelsBefore.get(key);
  if (before) return before;
  const labels = await services.pool.run(coach.id, 'labels', { text, units: coach.units });
  labelsBefore.set(key, labels);
  return labels;
}

/** Scores that nobody has read yet are read now, as far as one may wait for them. */
async function readScores(services: Services, workoutId: number): Promise<BoardScore[]> {
  const scores = await services.readings.board(workoutId);
  const unread = scores.filter(({ read }) => read === null).slice(0, mostAwaited);
  if (unread.length === 0) return scores;
  // what has not begun by then is taken out, and comes in the background: nobody waits for it any more
  const waited = AbortSignal.timeout(services.boardWait);
  const left = AbortSignal.any([waited, whoReadsLeft()].filter((signal) => signal !== undefined));
  setMaxListeners(0, left);
  const reading = Promise.all(unread.map(({ scoreId }) => readScore(services, scoreId, 'soon', left)));
  await Promise.race([reading, new Promise((resolve) => left.addEventListener('abort', resolve, { once: true }))]);
  return services.readings.board(workoutId);
}

const notRead = ({ name, score }: BoardScore): ReadResult => ({ athlete: name, version: '', score, reading: null, unread: 'not read yet' });

const loggedOf = ({ scoreId, athleteId, score, note, by, replaced, versionText, category }: BoardScore): LoggedScore => ({
  scoreId,
  athleteId,
  entry: score,
  note,
  by,
  replaced,
  versionText,
  category,
});

/** Names are as they are now, whatever they were when the score was read. */
function entryOf(score: BoardScore, boards: number): ReadEntry<BoardScore> {
  const read = score.read ?? Array.from({ length: boards }, () => notRead(score));
  return { entry: score, read: read.map((result) => result && { ...result, athlete: score.name }) };
}

/** Of those it is meant for, who has logged nothing. */
async function missingFrom(
  services: Services,
  coach: Coach,
  { id: workoutId, text, audience }: StoredWorkout,
  scores: readonly BoardScore[],
): Promise<Board['missing']> {
  const [names, sent] = await Promise.all([services.athletes.names(coach.id), services.sends.expected(workoutId)]);
  const logged = new Set(scores.map(({ athleteId }) => athleteId));
  const sentTo = new Map(sent.map((each) => [each.athleteId, each]));
  return names
    .filter((athlete) => !logged.has(athlete.id) && isMeant(audience, athlete))
    .map(({ id, name, category }) => {
      const own = sentTo.get(id);
      return { athleteId: id, name, category, sent: own !== undefined, versionText: own?.versionText ?? text, expected: own?.expected ?? [] };
    });
}

/** people whose next time is thought through at once */
const mostNext = 60;

/** What to change for each who has scored, in the order of the board. */
export async function nextTimes(services: Services, coach: Coach, workoutId: number): Promise<NextTimeFor[]> {
  const [{ text }, board] = [await services.workouts.find(coach.id, workoutId), await boardOf(services, coach, workoutId)];
  // a workout without a scored part has no board
  const rows = (board.boards[0]?.rows ?? []).slice(0, mostNext);
  return Promise.all(
    rows.map(async ({ athleteId, athlete: name, verdict, versionText, entry: score }) => {
      const { file, results, today } = await athleteInput(services, coach, athleteId, workoutId);
      const input = { file, results, today, text, versionText, score, verdict, rules: coach.rules, units: coach.units };
      const { words, locks } = await services.pool.run(coach.id, 'next', input, 'soon');
      return { athleteId, name, verdict, words, locks: [...locks] as NextTimeFor['locks'] };
    }),
  );
}

export async function boardOf(services: Services, coach: Coach, workoutId: number): Promise<Board> {
  const workout = await services.workouts.find(coach.id, workoutId);
  const labels = await labelsFor(services, coach, workout.text);
  const scores = await readScores(services, workoutId);
  const learned = await learnedFor(services, coach);
  const entries = scores.map((score) => entryOf(score, labels.boards.length));
  const { boards, day } = placeEntries(labels.boards, entries, learned, coach.rules);
  return {
    boards: boards.map(({ label, placed }) => ({ label, rows: placed.map(({ row, result }) => ({ ...rounded(row), ...loggedOf(result.entry) })) })),
    day: day && day.map(({ entry, ...row }) => ({ ...rounded(row), athlete: entry.name, ...loggedOf(entry) })),
    missing: await missingFrom(services, coach, workout, scores),
    fields: labels.fields,
    school: coach.rules.board,
    dayRule: coach.rules.severalScores,
  };
}
