/** Scores: one that counts for each athlete and workout; older and deleted ones are kept. */
import type { Transaction } from 'sequelize';
import { ScoreRow, WorkoutRow } from '../platform/models';
import { Problem } from '../platform/errors';

export interface NewScore {
  readonly workoutId: number;
  readonly athleteId: number;
  readonly score: string;
  readonly note: string;
  readonly versionText: string;
  readonly originalText: string;
  readonly enteredBy: 'coach' | 'athlete';
}

export async function latestScore(workoutId: number, athleteId: number): Promise<ScoreRow | null> {
  return ScoreRow.findOne({ where: { workoutId, athleteId, deletedAt: null }, order: [['id', 'DESC']] });
}

/** Runs with the workout's row held, so that of two people who log for one athlete at once one comes after the other. */
function oneAtATime<T>(workoutId: number, run: (transaction: Transaction) => Promise<T>): Promise<T> {
  return ScoreRow.sequelize!.transaction(async (transaction) => {
    await WorkoutRow.findByPk(workoutId, { transaction, lock: transaction.LOCK.UPDATE, attributes: ['id'] });
    return run(transaction);
  });
}

/** The score that counts steps back for another; it stays in the table, marked. */
async function stepBack(workoutId: number, athleteId: number, now: Date, transaction: Transaction): Promise<void> {
  await ScoreRow.update({ deletedAt: now }, { where: { workoutId, athleteId, deletedAt: null }, transaction });
}

/** A new score replaces the one before. */
export function saveScore(entry: NewScore, now: Date): Promise<ScoreRow> {
  return oneAtATime(entry.workoutId, async (transaction) => {
    await stepBack(entry.workoutId, entry.athleteId, now, transaction);
    return ScoreRow.create({ ...entry, deletedAt: null }, { transaction });
  });
}

export async function scoresOf(workoutId: number): Promise<ScoreRow[]> {
  return ScoreRow.findAll({ where: { workoutId, deletedAt: null }, order: [['id', 'ASC']] });
}

/** The latest results of all a coach's workouts, what conversions are learned from. */
export async function scoresOfCoach(coachId: number, most = 1000): Promise<ScoreRow[]> {
  const workouts = await WorkoutRow.findAll({ where: { coachId }, attributes: ['id'] });
  return ScoreRow.findAll({ where: { workoutId: workouts.map((each) => each.id), deletedAt: null }, order: [['id', 'DESC']], limit: most });
}

async function findScore(workoutId: number, id: number, transaction?: Transaction): Promise<ScoreRow> {
  const row = await ScoreRow.findOne({ where: { id, workoutId }, ...(transaction ? { transaction } : {}) });
  if (!row) throw new Problem('not_found');
  return row;
}

export async function deleteScore(workoutId: number, id: number, now: Date): Promise<void> {
  await (await findScore(workoutId, id)).update({ deletedAt: now });
}

/** The score counts again, in place of any that was logged meanwhile. */
export function restoreScore(workoutId: number, id: number, now: Date): Promise<void> {
  return oneAtATime(workoutId, async (transaction) => {
    const row = await findScore(workoutId, id, transaction);
    await stepBack(workoutId, row.athleteId, now, transaction);
    await row.update({ deletedAt: null }, { transaction });
  });
}
