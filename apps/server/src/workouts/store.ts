/** Workouts: the text as typed, its day, and the coach's locks on versions. */
import type { ListedWorkout, StoredWorkout } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import { Op, col, fn, type WhereOptions } from 'sequelize';
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
/** What a list is asked for; what is left out narrows nothing. */
export interface WorkoutsAsked {
  /** the last of the page before */
  readonly after?: number | undefined;
  /** words of the text */
  readonly search?: string | undefined;
  /** the first and the last day; with either, only what has a day */
  readonly from?: string | undefined;
  readonly to?: string | undefined;
  /** only what has no day */
  readonly undated?: boolean | undefined;
}
export interface WorkoutStore {
  /** Newest day first, those without a day last. */
  page(coachId: number, asked: WorkoutsAsked, most: number): Promise<ListedWorkout[]>;
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

/** letters of a text that a list shows of it */
const previewed = 300;

/** Its lines below the title, one after the other. */
const previewOf = (head: string): string =>
  head
    .replace(/^#.*\n/, '')
    .split('\n')
    .map((line) => line.trim())
    .filter((line) => line !== '')
    .join(' · ');

/** As they stand, in this order, whatever is between them. */
const likeOf = (search: string): string =>
  `%${search
    .replace(/[\\%_]/g, '\\$&')
    .trim()
    .split(/\s+/)
    .join('%')}%`;

const narrowed = ({ search, from, to, undated }: WorkoutsAsked): WhereOptions<WorkoutRow>[] => [
  ...(search?.trim() ? [{ text: { [Op.like]: likeOf(search) } }] : []),
  ...(from ? [{ day: { [Op.gte]: from } }] : []),
  ...(to ? [{ day: { [Op.lte]: to } }] : []),
  ...(undated ? [{ day: null }] : []),
];

/** What stands after a row when the newest day is first and those without a day are last. */
function beyond({ id, day }: Pick<WorkoutRow, 'id' | 'day'>): WhereOptions<WorkoutRow> {
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
    page: async (coachId, asked, most) => {
      const { after } = asked;
      const last = after === undefined ? null : await read(() => models.workouts.findOne({ where: { id: after, coachId }, attributes: ['id', 'day'] }));
      const rows = await read(() =>
        models.workouts.findAll({
          attributes: ['id', 'title', 'day', 'revision', [fn('LEFT', col('text'), previewed), 'text']],
          where: { coachId, deletedAt: null, [Op.and]: [...narrowed(asked), ...(last ? [beyond(last)] : [])] },
          order: [
            ['day', 'DESC'],
            ['id', 'DESC'],
          ],
          limit: most,
        }),
      );
      return rows.map(({ id, title, day, revision, text }) => ({ id, title, day, revision, preview: previewOf(text) }));
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
