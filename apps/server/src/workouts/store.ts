/** Workouts: the text as typed, its day and tags, whom it is for, and the coach's locks on versions. */
import { everybody, type Audience, type StoredWorkout } from '@gambito/contract';
import { mergedLocks, type Lock } from '@gambito/core';
import { setDeleted } from '../platform/bin';
import { orAgain, type Database } from '../platform/database';
import { Problem } from '../platform/errors';
import type { WorkoutRow } from '../platform/rows';
import { libraryStore, type LibraryStore } from './library-store';
import { keepAside, keepRevision, standingAt } from './revisions';

export interface LocksOfAthlete {
  readonly athleteId: number;
  readonly locks: readonly Lock[];
  /** who decided last */
  readonly by: string;
}
export interface WorkoutChange {
  readonly text?: string;
  readonly title?: string;
  readonly day?: string | null;
  readonly tags?: string[];
  readonly audience?: Audience;
}
export interface NewWorkout extends WorkoutChange {
  readonly title: string;
  readonly text: string;
  readonly day: string | null;
}
/** What whoever decided saw, what they made of it, and who it was. */
export interface Decision {
  readonly before: readonly Lock[];
  readonly after: readonly Lock[];
  readonly by: string;
}
/** What a change began from, when it was made and by whom. */
export interface Saving {
  readonly revision: number;
  readonly now: Date;
  readonly by: string;
  /** another text, to be kept among the earlier ones, beside the one that is replaced; null: nothing met */
  readonly aside: string | null;
}
export interface WorkoutStore extends LibraryStore {
  /** @throws {Problem} not_found */
  find(coachId: number, id: number): Promise<StoredWorkout>;
  /** In the order asked for. @throws {Problem} not_found where one of them is */
  several(coachId: number, ids: readonly number[]): Promise<StoredWorkout[]>;
  /** All of them or none. */
  create(coachId: number, workouts: readonly NewWorkout[], by: string): Promise<StoredWorkout[]>;
  /** Refuses when another window saved in between, and gives back what stands there so that nothing is lost. @throws {Problem} changed_elsewhere */
  save(coachId: number, id: number, change: WorkoutChange, saving: Saving): Promise<StoredWorkout>;
  /** @throws {Problem} not_found */
  setDeleted(coachId: number, id: number, at: Date | null): Promise<void>;
  locks(workoutId: number): Promise<LocksOfAthlete[]>;
  /** One decision on one version, beside what others decided meanwhile. @returns what stands */
  saveLocks(workoutId: number, athleteId: number, decision: Decision): Promise<Lock[]>;
}

const show = ({ id, title, text, day, tags, audience, revision, changedBy, updatedAt }: WorkoutRow): StoredWorkout => ({
  id,
  title,
  text,
  day,
  tags: tags ?? [],
  audience: audience ?? everybody,
  revision,
  changedBy: changedBy ?? '',
  updatedAt: updatedAt.toISOString(),
});

/** What coaches decided about single versions. */
const decisions = ({ models, read, transact }: Database): Pick<WorkoutStore, 'locks' | 'saveLocks'> => ({
  locks: async (workoutId) =>
    (await read(() => models.locks.findAll({ where: { workoutId } }))).map(({ athleteId, locks, changedBy }) => ({
      athleteId,
      locks: locks as Lock[],
      by: changedBy,
    })),
  saveLocks: (workoutId, athleteId, { before, after, by }) =>
    orAgain(() =>
      transact(async (transaction) => {
        const where = { workoutId, athleteId };
        const row = await models.locks.findOne({ where, transaction, lock: transaction.LOCK.UPDATE });
        const locks = mergedLocks((row?.locks ?? []) as Lock[], before, after);
        if (locks.length === 0) await models.locks.destroy({ where, transaction });
        else if (row) await row.update({ locks, changedBy: by }, { transaction });
        // of two who decide first at once the unique key lets one through, and the other comes again
        else await models.locks.create({ ...where, locks, changedBy: by }, { transaction });
        return locks;
      }),
    ),
});

export function workoutStore(database: Database): WorkoutStore {
  const { models, read, transact } = database;
  const find = async (coachId: number, id: number): Promise<StoredWorkout> => {
    const row = await read(() => models.workouts.findOne({ where: { id, coachId, deletedAt: null } }));
    if (!row) throw new Problem('not_found');
    return show(row);
  };
  const several = async (coachId: number, ids: readonly number[]): Promise<StoredWorkout[]> => {
    const rows = await read(() => models.workouts.findAll({ where: { id: [...ids], coachId, deletedAt: null } }));
    const byId = new Map(rows.map((row) => [row.id, show(row)]));
    return ids.map((id) => {
      const found = byId.get(id);
      if (!found) throw new Problem('not_found');
      return found;
    });
  };
  return {
    ...libraryStore(database),
    find,
    several,
    create: (coachId, workouts, by) =>
      transact(async (transaction) => {
        const rows: WorkoutRow[] = [];
        for (const workout of workouts)
          rows.push(await models.workouts.create({ coachId, ...workout, revision: 1, changedBy: by, deletedAt: null }, { transaction }));
        return rows.map(show);
      }),
    save: async (coachId, id, change, { revision, now, by, aside }) => {
      const saved = await transact(async (transaction) => {
        const before = change.text === undefined ? null : await standingAt(database, { coachId, id, revision }, transaction);
        // the database decides who was first
        const fresh = { ...change, ...(change.text === undefined ? {} : { facts: null }), revision: revision + (aside === null ? 1 : 2), changedBy: by };
        const [count] = await models.workouts.update(fresh, { where: { id, coachId, deletedAt: null, revision }, transaction });
        if (count > 0 && before !== null) await keepRevision(database, { id, revision, before, text: change.text!, now, apart: aside !== null }, transaction);
        // its number was passed over
        if (count > 0 && aside !== null) await keepAside(database, { id, revision: revision + 1, text: aside, by, now }, transaction);
        return count;
      });
      const current = await find(coachId, id);
      if (saved === 0) throw new Problem('changed_elsewhere', null, { current });
      return current;
    },
    setDeleted: (coachId, id, at) => setDeleted(database, models.workouts, coachId, id, at),
    ...decisions(database),
  };
}
