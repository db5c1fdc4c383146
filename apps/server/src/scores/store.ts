/** Scores: one that counts for each athlete and workout; older and deleted ones are kept. A unique key decides which one counts. */
import type { Measured } from '@gambito/contract';
import { QueryTypes, type Transaction } from 'sequelize';
import { orAgain, type Database } from '../platform/database';
import { Problem } from '../platform/errors';
import type { ScoreRow } from '../platform/rows';

/** characters of an entry: every part's score, in the order of the parts */
export const scoreLength = 400;

export interface NewScore {
  readonly coachId: number;
  readonly workoutId: number;
  readonly athleteId: number;
  readonly score: string;
  readonly note: string;
  readonly versionText: string;
  readonly originalText: string;
  readonly enteredBy: 'coach' | 'athlete';
  /** of the coach who enters it */
  readonly enteredName?: string;
  /** 0–10; left out: what was said before stands */
  readonly rating?: number | null;
  readonly counts?: boolean;
  /** left out: what was measured before stands */
  readonly measured?: Measured | null;
}
export interface ScoreStore {
  latest(workoutId: number, athleteId: number): Promise<{ score: string; note: string; rating: number | null; measured: Measured | null } | null>;
  /** Whether later versions count with it. @throws {Problem} not_found */
  setCounts(workoutId: number, id: number, counts: boolean): Promise<void>;
  /** A new score takes the place of the one before. @returns its number */
  save(entry: NewScore, now: Date, transaction?: Transaction): Promise<number>;
  /** @throws {Problem} not_found */
  remove(coachId: number, workoutId: number, id: number, now: Date): Promise<void>;
  /** The score counts again, in place of any that was logged meanwhile. @throws {Problem} not_found */
  restore(coachId: number, workoutId: number, id: number, now: Date): Promise<void>;
}

/** What happens to the row that counts, and to the readings behind it, inside a transaction. */
function counting({ sequelize, models }: Database) {
  /** The score that counts steps back for another; it stays in the table, marked, and is read no more. */
  const stepBack = async (
    workoutId: number,
    athleteId: number,
    now: Date,
    transaction: Transaction,
  ): Promise<Pick<ScoreRow, 'id' | 'rating' | 'teaches' | 'measured'> | null> => {
    // the workout's row is held, so that of two people who log for one athlete on one database one comes after the other; on two, the unique key decides
    await models.workouts.findByPk(workoutId, { transaction, lock: transaction.LOCK.UPDATE, attributes: ['id'] });
    const standing = await models.scores.findAll({
      where: { workoutId, athleteId, deletedAt: null },
      attributes: ['id', 'rating', 'teaches', 'measured'],
      transaction,
    });
    if (standing.length === 0) return null;
    const scoreId = standing.map(({ id }) => id);
    await models.readings.destroy({ where: { scoreId }, transaction });
    await models.scores.update({ deletedAt: now }, { where: { id: scoreId }, transaction });
    return standing[0]!;
  };
  /** To be read; and what the same athlete scored later is read anew, since more is known of before. */
  const readAnew = async (coachId: number, workoutId: number, athleteId: number, scoreId: number, transaction: Transaction): Promise<void> => {
    await models.readings.create(
      { scoreId, coachId, workoutId, athleteId, revision: 1, readRevision: null, model: null, reading: null, lesson: null, leasedUntil: null, failures: 0 },
      { transaction },
    );
    await outdateLater(athleteId, scoreId, transaction);
  };
  const outdateLater = (athleteId: number, scoreId: number, transaction: Transaction) =>
    sequelize.query('UPDATE readings SET revision = revision + 1, failures = 0 WHERE athlete_id = :athleteId AND score_id > :scoreId', {
      replacements: { athleteId, scoreId },
      type: QueryTypes.UPDATE,
      transaction,
    });
  const put = async ({ coachId, rating, counts, measured, ...entry }: NewScore, now: Date, transaction: Transaction): Promise<number> => {
    const before = await stepBack(entry.workoutId, entry.athleteId, now, transaction);
    // a correction of the score is none of what was said about it
    const said = {
      rating: rating === undefined ? (before?.rating ?? null) : rating,
      measured: measured === undefined ? (before?.measured ?? null) : measured,
      teaches: counts === undefined ? (before?.teaches ?? 1) : Number(counts),
    };
    const { id } = await models.scores.create({ ...entry, ...said, replaces: before?.id ?? null, deletedAt: null, createdAt: now }, { transaction });
    await readAnew(coachId, entry.workoutId, entry.athleteId, id, transaction);
    return id;
  };
  const find = async (workoutId: number, id: number, transaction: Transaction) => {
    const row = await models.scores.findOne({ where: { id, workoutId }, transaction });
    if (!row) throw new Problem('not_found');
    return row;
  };
  return { stepBack, readAnew, outdateLater, put, find };
}

export function scoreStore(database: Database): ScoreStore {
  const { models, read, transact } = database;
  const { stepBack, readAnew, outdateLater, put, find } = counting(database);
  return {
    latest: async (workoutId, athleteId) => {
      const row = await read(() =>
        models.scores.findOne({
          where: { workoutId, athleteId, deletedAt: null },
          attributes: ['score', 'note', 'rating', 'measured'],
          order: [['id', 'DESC']],
        }),
      );
      return row && { score: row.score, note: row.note, rating: row.rating, measured: row.measured as Measured | null };
    },
    save: (entry, now, transaction) => (transaction ? put(entry, now, transaction) : orAgain(() => transact((own) => put(entry, now, own)))),
    setCounts: (workoutId, id, counts) =>
      transact(async (transaction) => {
        const row = await find(workoutId, id, transaction);
        await row.update({ teaches: counts ? 1 : 0 }, { transaction });
        await outdateLater(row.athleteId, id, transaction);
      }),
    remove: (coachId, workoutId, id, now) =>
      transact(async (transaction) => {
        const row = await find(workoutId, id, transaction);
        await row.update({ deletedAt: now }, { transaction });
        await models.readings.destroy({ where: { scoreId: id, coachId }, transaction });
        await outdateLater(row.athleteId, id, transaction);
      }),
    restore: (coachId, workoutId, id, now) =>
      orAgain(() =>
        transact(async (transaction) => {
          const row = await find(workoutId, id, transaction);
          // it counts already: nothing to undo
          if (row.deletedAt === null) return;
          await stepBack(workoutId, row.athleteId, now, transaction);
          await row.update({ deletedAt: null }, { transaction });
          await readAnew(coachId, workoutId, row.athleteId, id, transaction);
        }),
      ),
  };
}
