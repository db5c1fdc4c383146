/** Workouts: the text as typed, its day, and the coach's locks on versions. */
import type { StoredWorkout } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import { Op } from 'sequelize';
import { setDeleted } from '../platform/bin';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import type { WorkoutRow } from '../platform/models';

export interface LocksOfAthlete {
  readonly athleteId: number;
  readonly locks: readonly Lock[];
}
export interface WorkoutChange {
  readonly text?: string;
  readonly title?: string;
  readonly day?: string | null;
}
export interface WorkoutStore {
  /** Newest day first; `after` is the last of the page before. */
  page(coachId: number, after: number | null, most: number): Promise<StoredWorkout[]>;
  /** @throws {Problem} not_found */
  find(coachId: number, id: number): Promise<StoredWorkout>;
  create(coachId: number, workout: { readonly title: string; readonly text: string; readonly day: string | null }): Promise<StoredWorkout>;
  /** Refuses when another window saved in between, and gives back what stands there so that nothing is lost. @throws {Problem} changed_elsewhere */
  save(coachId: number, id: number, change: WorkoutChange, revision: number): Promise<StoredWorkout>;
  /** @throws {Problem} not_found */
  setDeleted(coachId: number, id: number, at: Date | null): Promise<void>;
  locks(workoutId: number): Promise<LocksOfAthlete[]>;
  saveLocks(workoutId: number, athleteId: number, locks: readonly Lock[]): Promise<void>;
}

const show = ({ id, title, text, day, revision, updatedAt }: WorkoutRow): StoredWorkout => ({
  id,
  title,
  text,
  day,
  revision,
  updatedAt: updatedAt.toISOString(),
});

/** What stands after a row when the newest day is first and those without a day are last. */
function beyond({ id, day }: Pick<WorkoutRow, 'id' | 'day'>): object {
  if (day === null) return { day: null, id: { [Op.lt]: id } };
  return { [Op.or]: [{ day: { [Op.lt]: day } }, { day, id: { [Op.lt]: id } }, { day: null }] };
}

export function workoutStore(database: Database): WorkoutStore {
  const { models, read, write, transact } = database;
  const find = async (coachId: number, id: number): Promise<StoredWorkout> => {
    const row = await read(() => models.workouts.findOne({ where: { id, coachId, deletedAt: null } }));
    if (!row) throw new Problem('not_found');
    return show(row);
  };
  return {
    page: async (coachId, after, most) => {
      const last = after === null ? null : await read(() => models.workouts.findOne({ where: { id: after, coachId }, attributes: ['id', 'day'] }));
      const rows = await read(() =>
        models.workouts.findAll({
          where: { coachId, deletedAt: null, ...(last ? beyond(last) : {}) },
          order: [
            ['day', 'DESC'],
            ['id', 'DESC'],
          ],
          limit: most,
        }),
      );
      return rows.map(show);
    },
    find,
    create: (coachId, workout) =>
      transact(async (transaction) => show(await models.workouts.create({ coachId, ...workout, revision: 1, deletedAt: null }, { transaction }))),
    save: async (coachId, id, change, revision) => {
      // the database decides who was first
      const [saved] = await transact((transaction) =>
        models.workouts.update({ ...change, revision: revision + 1 }, { where: { id, coachId, deletedAt: null, revision }, transaction }),
      );
      const current = await find(coachId, id);
      if (saved === 0) throw new Problem('changed_elsewhere', null, { current });
      return current;
    },
    setDeleted: (coachId, id, at) => setDeleted(database, models.workouts, coachId, id, at),
    locks: async (workoutId) =>
      (await read(() => models.locks.findAll({ where: { workoutId } }))).map(({ athleteId, locks }) => ({ athleteId, locks: locks as Lock[] })),
    saveLocks: async (workoutId, athleteId, locks) => {
      // one row a version, by its unique key: of two windows the later one stands
      if (locks.length === 0) await write(() => models.locks.destroy({ where: { workoutId, athleteId } }));
      else await transact((transaction) => models.locks.upsert({ workoutId, athleteId, locks }, { transaction }));
    },
  };
}
