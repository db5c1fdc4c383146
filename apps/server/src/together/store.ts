/** The clock of a class and what each phone tapped in it, as the database keeps them: any server shows the same. */
import type { ClassLane, ClassRun } from '@gambito/contract';
import type { ClassClock } from '@gambito/core';
import { QueryTypes } from 'sequelize';
import { orAgain, type Database } from '../platform/database';
import type { ClassClockRow } from '../platform/rows';
import { parsed } from '../platform/parsed';

/** s by which somebody begins after the others, by athlete */
export type Later = Readonly<Record<string, number>>;
/** the movement somebody begins with, by athlete */
export type Begins = Readonly<Record<string, string>>;
export interface OpenClass {
  readonly clock: ClassClock;
  readonly later: Later;
  readonly begins: Begins;
}
export interface SeenRun {
  readonly athleteId: number;
  readonly run: ClassRun;
  /** ms since the epoch, by the database */
  readonly seenAt: number;
}
/** Whose phone follows; `open`: the link still opens something. */
export interface Follower {
  readonly workoutId: number;
  readonly athleteId: number;
  readonly open: boolean;
}
export interface ClassStore {
  /** null where no class was opened */
  find(workoutId: number): Promise<OpenClass | null>;
  /** Changes the clock as it stands, one after the other; opens a class where there is none. @returns it afterwards */
  change(workoutId: number, change: (before: OpenClass | null) => OpenClass): Promise<OpenClass>;
  putRun(follower: Pick<Follower, 'workoutId' | 'athleteId'>, run: ClassRun): Promise<void>;
  /** runs that came in since then, by the database's time */
  runsSince(workoutId: number, since: number): Promise<SeenRun[]>;
  /** of everybody with a living link, by name */
  lanes(workoutId: number, now: Date): Promise<ClassLane[]>;
  /** null where no link has this token */
  follower(token: string, now: Date): Promise<Follower | null>;
  /** ms since the epoch, by the database: the one time of all servers */
  databaseTime(): Promise<number>;
}

const milliseconds = (date: Date | null): number | null => date && date.getTime();
const date = (moment: number | null): Date | null => (moment === null ? null : new Date(Math.round(moment)));
const show = ({ startedAt, pausedAt, pausedMs, endedAt, later, begins }: ClassClockRow): OpenClass => ({
  clock: { startedAt: milliseconds(startedAt), pausedAt: milliseconds(pausedAt), pausedMs, endedAt: milliseconds(endedAt) },
  later: parsed<Later>(later),
  begins: begins === null ? {} : parsed<Begins>(begins),
});
const columnsOf = ({ clock, later, begins }: OpenClass) => ({
  startedAt: date(clock.startedAt),
  pausedAt: date(clock.pausedAt),
  pausedMs: Math.round(clock.pausedMs),
  endedAt: date(clock.endedAt),
  later,
  begins,
});

/** of a version only what a lane draws: a page is long */
const lanesQuery = `SELECT a.id AS athleteId, a.name, JSON_EXTRACT(v.brief, '$.clock') AS clock, JSON_EXTRACT(v.brief, '$.fields') AS fields,
    JSON_EXTRACT(v.brief, '$.predicted') AS predicted, JSON_EXTRACT(v.brief, '$.uses') AS uses, JSON_EXTRACT(v.brief, '$.orders') AS orders, JSON_VALUE(v.brief, '$.wholeSeconds') AS wholeSeconds, c.score
  FROM (SELECT workout_id, athlete_id, COALESCE(JSON_EXTRACT(today, '$.brief'), brief) AS brief FROM sends WHERE workout_id = :workoutId AND revoked_at IS NULL AND expires_at > :now) v
    JOIN athletes a ON a.id = v.athlete_id AND a.deleted_at IS NULL
    LEFT JOIN scores c ON c.workout_id = v.workout_id AND c.athlete_id = v.athlete_id AND c.deleted_at IS NULL
  ORDER BY a.name, a.id`;
/** not the page behind it: a class asks often */
const followerQuery = `SELECT s.workout_id AS workoutId, s.athlete_id AS athleteId,
    (s.revoked_at IS NULL AND s.expires_at > :now AND w.deleted_at IS NULL AND a.deleted_at IS NULL) AS open
  FROM sends s JOIN workouts w ON w.id = s.workout_id JOIN athletes a ON a.id = s.athlete_id WHERE s.token = :token`;

interface LaneRow {
  readonly athleteId: number;
  readonly name: string;
  readonly clock: unknown;
  readonly fields: unknown;
  readonly predicted: unknown;
  /** null in what was sent before they were told */
  readonly uses: unknown;
  readonly orders: unknown;
  readonly wholeSeconds: string | null;
  readonly score: string | null;
}
const laneOf = ({ athleteId, name, score, clock, fields, predicted, uses, orders, wholeSeconds }: LaneRow): ClassLane => ({
  athleteId,
  name,
  score,
  clock: parsed(clock),
  fields: parsed(fields),
  predicted: parsed(predicted),
  uses: uses === null ? [] : parsed(uses),
  orders: orders === null ? [] : parsed(orders),
  wholeSeconds: Number(wholeSeconds ?? 0),
});

export function classStore({ sequelize, models, read, write, transact }: Database): ClassStore {
  const select = <Row extends object>(query: string, replacements: Readonly<Record<string, unknown>> = {}): Promise<Row[]> =>
    read(() => sequelize.query<Row>(query, { replacements, type: QueryTypes.SELECT }));
  return {
    find: async (workoutId) => {
      const row = await read(() => models.classClocks.findOne({ where: { workoutId } }));
      return row && show(row);
    },
    change: (workoutId, change) =>
      orAgain(() =>
        transact(async (transaction) => {
          const row = await models.classClocks.findOne({ where: { workoutId }, transaction, lock: transaction.LOCK.UPDATE });
          const after = change(row && show(row));
          if (row) await row.update(columnsOf(after), { transaction });
          else await models.classClocks.create({ workoutId, ...columnsOf(after) }, { transaction });
          return after;
        }),
      ),
    putRun: async ({ workoutId, athleteId }, run) => {
      await write(() =>
        sequelize.query(
          `INSERT INTO class_runs (workout_id, athlete_id, run, seen_at, created_at, updated_at) VALUES (:workoutId, :athleteId, :run, NOW(3), NOW(3), NOW(3))
           ON DUPLICATE KEY UPDATE run = VALUES(run), seen_at = NOW(3), updated_at = NOW(3)`,
          { replacements: { workoutId, athleteId, run: JSON.stringify(run) } },
        ),
      );
    },
    runsSince: async (workoutId, since) =>
      (
        await select<{ athleteId: number; run: unknown; seenAt: Date }>(
          'SELECT athlete_id AS athleteId, run, seen_at AS seenAt FROM class_runs WHERE workout_id = :workoutId AND seen_at >= :since',
          { workoutId, since: new Date(since) },
        )
      ).map(({ athleteId, run, seenAt }) => ({ athleteId, run: parsed<ClassRun>(run), seenAt: seenAt.getTime() })),
    lanes: async (workoutId, now) => (await select<LaneRow>(lanesQuery, { workoutId, now })).map(laneOf),
    follower: async (token, now) => {
      const [row] = await select<Omit<Follower, 'open'> & { open: 0 | 1 }>(followerQuery, { token, now });
      return row ? { ...row, open: row.open === 1 } : null;
    },
    databaseTime: async () => (await select<{ now: Date }>('SELECT NOW(3) AS now'))[0]!.now.getTime(),
  };
}
