/** What hurt: each report a row of its own. It waits on the coach's desk until it is settled, whatever the day and whatever becomes of its workout. */
import type { Discomfort, Felt, Report } from '@gambito/contract';
import { gravityOf } from '@gambito/core';
import { QueryTypes, type Transaction } from 'sequelize';
import { orAgain, type Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { bySession, feltOf, isWaiting, type PainfulSession, type PainReport } from './reports';

/** The session that a report is of. */
export interface PainSession {
  readonly coachId: number;
  readonly athleteId: number;
  readonly workoutId: number;
}
export interface DiscomfortStore {
  /** Adds a report to what was told of the session; the same told twice is one. */
  tell(session: PainSession, report: Report, now: Date, transaction?: Transaction): Promise<void>;
  /** All that the athlete told of the session. It is kept, and what is grave still waits. */
  takeBack(session: PainSession, now: Date): Promise<void>;
  /** what the athlete told of a session and did not take back; null: nothing */
  toldOf(workoutId: number, athleteId: number): Promise<Felt | null>;
  /** that wait for the coach, the gravest first */
  open(coachId: number): Promise<Discomfort[]>;
  /** what one person told, the last first */
  ofPerson(athleteId: number): Promise<PainfulSession[]>;
  /** waiting or settled, with the text it was told of @throws {Problem} not_found */
  find(coachId: number, id: number): Promise<PainfulSession & { readonly text: string }>;
  /** The session of a report; undone, what was settled with it waits again. @throws {Problem} not_found */
  settle(coachId: number, id: number, settled: boolean, now: Date): Promise<void>;
}
/** reports that are looked at, at once */
const most = 400;

const columns = `p.id, p.athlete_id AS athleteId, p.workout_id AS workoutId, p.title, CAST(p.day AS CHAR) AS day, p.body_part AS \`where\`, p.severity AS much, p.movement, p.note,
    p.told_at AS at, p.taken_back_at AS takenBackAt, p.settled_at AS settledAt`;
const ofPersonQuery = `SELECT ${columns} FROM pain_reports p WHERE p.athlete_id = :athleteId ORDER BY p.told_at DESC, p.id DESC LIMIT :most`;
const openQuery = `SELECT ${columns}, a.name FROM pain_reports p JOIN athletes a ON a.id = p.athlete_id AND a.deleted_at IS NULL
  WHERE p.coach_id = :coachId AND p.settled_at IS NULL ORDER BY p.told_at DESC, p.id DESC LIMIT :most`;
const toldQuery = `SELECT ${columns} FROM pain_reports p WHERE p.workout_id = :workoutId AND p.athlete_id = :athleteId AND p.taken_back_at IS NULL ORDER BY p.id LIMIT :most`;
/** the report and the others of its session */
const sessionQuery = `SELECT ${columns}, COALESCE(s.original_text, '') AS text FROM pain_reports one
    JOIN pain_reports p ON p.athlete_id = one.athlete_id AND p.workout_id <=> one.workout_id AND (one.workout_id IS NOT NULL OR (p.title = one.title AND p.day = one.day))
    LEFT JOIN sends s ON s.workout_id = p.workout_id AND s.athlete_id = p.athlete_id
  WHERE one.id = :id AND one.coach_id = :coachId ORDER BY p.id LIMIT :most`;

function reads({ sequelize, read }: Database) {
  const select = <More extends object = object>(query: string, replacements: Readonly<Record<string, unknown>>): Promise<(PainReport & More)[]> =>
    read(() => sequelize.query<PainReport & More>(query, { replacements: { ...replacements, most }, type: QueryTypes.SELECT }));
  /** @throws {Problem} not_found */
  const sessionOf = async (coachId: number, id: number): Promise<(PainReport & { text: string })[]> => {
    const reports = await select<{ text: string }>(sessionQuery, { coachId, id });
    if (reports.length === 0) throw new Problem('not_found');
    return reports;
  };
  return { select, sessionOf };
}

export const discomfortStore = (database: Database): DiscomfortStore => {
  const { select, sessionOf } = reads(database);
  return {
    ...writes(database, sessionOf),
    toldOf: async (workoutId, athleteId) => {
      const reports = await select(toldQuery, { workoutId, athleteId });
      return reports.length === 0 ? null : feltOf(reports);
    },
    ofPerson: async (athleteId) => bySession(await select(ofPersonQuery, { athleteId })),
    open: async (coachId) => {
      const reports = (await select<{ name: string }>(openQuery, { coachId })).filter(isWaiting);
      const nameOf = new Map(reports.map(({ athleteId, name }) => [athleteId, name]));
      // the gravest stays on top, however much was told after it
      return bySession(reports)
        .sort((a, b) => gravityOf(b.felt) - gravityOf(a.felt))
        .map(({ open: _open, at, ...session }) => ({ ...session, name: nameOf.get(session.athleteId)!, at: at.toISOString() }));
    },
    find: async (coachId, id) => {
      const reports = await sessionOf(coachId, id);
      const waiting = reports.filter(isWaiting);
      return { ...bySession(waiting.length > 0 ? waiting : reports)[0]!, text: reports[0]!.text };
    },
  };
};

function writes(
  { models, write, transact }: Database,
  sessionOf: (coachId: number, id: number) => Promise<PainReport[]>,
): Pick<DiscomfortStore, 'tell' | 'takeBack' | 'settle'> {
  /** Told of a sending: the lock on its row makes two at once wait for each other. */
  const add = async ({ coachId, athleteId, workoutId }: PainSession, report: Report, now: Date, transaction: Transaction): Promise<void> => {
    const { where: bodyPart, much: severity, movement, note } = report;
    const told = { athleteId, workoutId, bodyPart, severity, movement, note };
    const send = await models.sends.findOne({ where: { workoutId, athleteId }, attributes: ['sentAt'], transaction, lock: transaction.LOCK.UPDATE });
    if (await models.painReports.findOne({ where: { ...told, settledAt: null, takenBackAt: null }, attributes: ['id'], transaction })) return;
    const workout = await models.workouts.findOne({ where: { id: workoutId }, attributes: ['title', 'day'], transaction });
    const day = workout?.day ?? (send?.sentAt ?? now).toISOString().slice(0, 10);
    await models.painReports.create({ ...told, coachId, title: workout?.title ?? '', day, toldAt: now }, { transaction });
  };
  return {
    tell: (session, report, now, transaction) =>
      transaction ? add(session, report, now, transaction) : orAgain(() => transact((own) => add(session, report, now, own))),
    takeBack: async ({ athleteId, workoutId }, now) => {
      await write(() => models.painReports.update({ takenBackAt: now }, { where: { athleteId, workoutId, takenBackAt: null } }));
    },
    settle: async (coachId, id, settled, now) => {
      const reports = await sessionOf(coachId, id);
      const undone = reports.find((report) => report.id === id)!.settledAt;
      const own = reports.filter(({ settledAt }) => (settled ? settledAt === null : settledAt?.getTime() === undone?.getTime()));
      await write(() => models.painReports.update({ settledAt: settled ? now : null }, { where: { coachId, id: own.map((report) => report.id) } }));
    },
  };
}
