/** Long work as rows: an item an athlete, leased by the server that does it, so that any other goes on when that one dies. */
import { QueryTypes, UniqueConstraintError, type Transaction } from 'sequelize';
import { orAgain, type Database } from '../platform/database';
import { heldSeconds } from '../platform/leases';

export interface JobProgress {
  readonly id: number;
  readonly coachId: number;
  readonly total: number;
  readonly done: number;
  readonly cancelled: boolean;
  readonly failed: readonly { readonly athleteId: number; readonly message: string }[];
}
export interface JobItem {
  readonly jobId: number;
  readonly coachId: number;
  readonly athleteId: number;
  readonly task: SendTask;
}
/** What sending a workout to many needs to know, as it was when it was started. */
export interface SendTask {
  readonly workoutId: number;
  readonly text: string;
  /** who sends; absent in jobs begun before this was noted */
  readonly by?: string;
}
export interface JobStore {
  /** @param press names one press of a button: the same one again, however often, is the same job; null where it has no name */
  start(coachId: number, task: SendTask, athleteIds: readonly number[], press: string | null): Promise<number>;
  /** null where this coach has no such job */
  progress(coachId: number, id: number): Promise<JobProgress | null>;
  cancel(coachId: number, id: number): Promise<void>;
  /** Takes some items that nobody works on, a share of each job. */
  lease(owner: string, most: number): Promise<JobItem[]>;
  /** Still being done. */
  hold(items: readonly JobItem[], owner: string): Promise<void>;
  /** Done, together with what it wrote; whoever's lease ran out writes nothing. */
  finish(item: JobItem, owner: string, write: (transaction: Transaction) => Promise<void>): Promise<void>;
  /** Whoever is free does it. */
  release(item: JobItem): Promise<void>;
  fail(item: JobItem, message: string): Promise<void>;
  sweep(before: Date): Promise<void>;
}

/** s after the last sign of life of the server that does it, after which another takes an item over */
const leaseSeconds = heldSeconds;
const isFree = "state = 'waiting' AND (leased_until IS NULL OR leased_until < NOW(3))";

type Key = Pick<JobItem, 'jobId' | 'athleteId'>;
interface Counted {
  readonly state: string;
  readonly items: number | string;
}

function select<T extends object>({ sequelize }: Database, sql: string, replacements: Record<string, unknown>, transaction?: Transaction): Promise<T[]> {
  return sequelize.query<T>(sql, { replacements, type: QueryTypes.SELECT, ...(transaction ? { transaction } : {}) });
}

function makeJob({ models, transact }: Database, coachId: number, task: SendTask, athleteIds: readonly number[], press: string | null): Promise<number> {
  return transact(async (transaction) => {
    const { id } = await models.jobs.create({ coachId, kind: 'send', task, press, cancelledAt: null }, { transaction });
    const waiting = { jobId: id, state: 'waiting', message: null, leasedBy: null, leasedUntil: null };
    await models.jobItems.bulkCreate(
      [...new Set(athleteIds)].map((athleteId) => ({ ...waiting, athleteId })),
      { transaction },
    );
    return id;
  });
}

async function startJob(database: Database, coachId: number, task: SendTask, athleteIds: readonly number[], press: string | null): Promise<number> {
  const already = async (): Promise<number | null> =>
    press === null ? null : ((await database.read(() => database.models.jobs.findOne({ where: { coachId, press }, attributes: ['id'] })))?.id ?? null);
  try {
    return (await already()) ?? (await makeJob(database, coachId, task, athleteIds, press));
  } catch (error) {
    // another press of the same was quicker: its job is this one's
    const id = error instanceof UniqueConstraintError ? await already() : null;
    if (id === null) throw error;
    return id;
  }
}

async function progressOf(database: Database, coachId: number, id: number): Promise<JobProgress | null> {
  const { models, read } = database;
  const job = await read(() => models.jobs.findOne({ where: { id, coachId }, attributes: ['id', 'cancelledAt'] }));
  if (!job) return null;
  const counted = await read(() => select<Counted>(database, 'SELECT state, COUNT(*) AS items FROM job_items WHERE job_id = :id GROUP BY state', { id }));
  const failed = await read(() =>
    models.jobItems.findAll({ where: { jobId: id, state: 'failed' }, attributes: ['athleteId', 'message'], order: ['athleteId'] }),
  );
  const of = (...states: string[]): number => counted.reduce((sum, { state, items }) => sum + (states.includes(state) ? Number(items) : 0), 0);
  return {
    id,
    coachId,
    total: of('waiting', 'done', 'failed', 'cancelled'),
    done: of('done', 'failed', 'cancelled'),
    cancelled: job.cancelledAt !== null,
    failed: failed.map(({ athleteId, message }) => ({ athleteId, message: message ?? '' })),
  };
}

/** Items that nobody works on: a share of each job, so that a class of two thousand does not keep a class of five waiting. */
async function freeItems(database: Database, most: number, transaction: Transaction): Promise<Key[]> {
  const open = await select<{ jobId: number }>(database, `SELECT DISTINCT job_id AS jobId FROM job_items WHERE ${isFree} LIMIT :most`, { most }, transaction);
  const share = Math.ceil(most / Math.max(1, open.length));
  const free: Key[] = [];
  for (const { jobId } of open) {
    const sql = `SELECT job_id AS jobId, athlete_id AS athleteId FROM job_items WHERE job_id = :jobId AND ${isFree} ORDER BY athlete_id LIMIT :share FOR UPDATE`;
    free.push(...(await select<Key>(database, sql, { jobId, share }, transaction)));
  }
  return free;
}

function leaseItems(database: Database, owner: string, most: number): Promise<JobItem[]> {
  return database.transact(async (transaction) => {
    const free = await freeItems(database, most, transaction);
    const sql =
      'UPDATE job_items SET leased_by = :owner, leased_until = NOW(3) + INTERVAL :leaseSeconds SECOND WHERE job_id = :jobId AND athlete_id = :athleteId';
    for (const key of free) await database.sequelize.query(sql, { replacements: { ...key, owner, leaseSeconds }, transaction });
    const jobs = await database.models.jobs.findAll({ where: { id: [...new Set(free.map(({ jobId }) => jobId))] }, transaction });
    const byId = new Map(jobs.map((job) => [job.id, job]));
    return free.flatMap((key) => {
      const job = byId.get(key.jobId);
      return job ? [{ ...key, coachId: job.coachId, task: job.task as SendTask }] : [];
    });
  });
}

export function jobStore(database: Database): JobStore {
  const { sequelize, models, write, transact } = database;
  return {
    start: (coachId, task, athleteIds, press) => startJob(database, coachId, task, athleteIds, press),
    progress: (coachId, id) => progressOf(database, coachId, id),
    lease: (owner, most) => leaseItems(database, owner, most),
    cancel: async (coachId, id) => {
      await transact(async (transaction) => {
        const [changed] = await models.jobs.update({ cancelledAt: new Date() }, { where: { id, coachId, cancelledAt: null }, transaction });
        if (changed > 0) await models.jobItems.update({ state: 'cancelled' }, { where: { jobId: id, state: 'waiting' }, transaction });
      });
    },
    hold: async (items, owner) => {
      const sql = `UPDATE job_items SET leased_until = NOW(3) + INTERVAL :leaseSeconds SECOND
        WHERE leased_by = :owner AND state = 'waiting' AND leased_until IS NOT NULL AND job_id IN (:jobs) AND athlete_id IN (:athletes)`;
      const [jobs, athletes] = [items.map(({ jobId }) => jobId), items.map(({ athleteId }) => athleteId)];
      if (items.length > 0) await sequelize.query(sql, { replacements: { leaseSeconds, owner, jobs, athletes } });
    },
    finish: ({ jobId, athleteId }, owner, alsoWrite) =>
      orAgain(() =>
        transact(async (transaction) => {
          const own = { jobId, athleteId, state: 'waiting', leasedBy: owner };
          const [changed] = await models.jobItems.update({ state: 'done', leasedUntil: null }, { where: own, transaction });
          if (changed > 0) await alsoWrite(transaction);
        }),
      ),
    release: async ({ jobId, athleteId }) => {
      await write(() => models.jobItems.update({ leasedUntil: null }, { where: { jobId, athleteId, state: 'waiting' } }));
    },
    fail: async ({ jobId, athleteId }, message) => {
      await write(() => models.jobItems.update({ state: 'failed', message: message.slice(0, 500) }, { where: { jobId, athleteId, state: 'waiting' } }));
    },
    sweep: async (before) => {
      const sql = `DELETE FROM jobs WHERE created_at < :before AND NOT EXISTS (SELECT 1 FROM job_items i WHERE i.job_id = jobs.id AND i.state = 'waiting') LIMIT 500`;
      await write(() => sequelize.query(sql, { replacements: { before } }));
    },
  };
}
