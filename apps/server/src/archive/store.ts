/** A desk's rows, read one after the other for an archive, and written into an empty desk: all of it or nothing. */
import { everybody, type ArchiveLine, type Brief, type Measured } from '@gambito/contract';
import type { Lock } from '@gambito/core';
import { Op, type Transaction } from 'sequelize';
import type { Database } from '../platform/database';
import type { ScoreRow, SendRow } from '../platform/rows';
import type { ScoreStore } from '../scores/store';
import type { SendStore } from '../sends/store';
import type { LineOf, Numbers } from './line';
import { putOldReports, putReport, reportLine } from './reports-store';

export interface ArchiveStore {
  isEmpty(coachId: number): Promise<boolean>;
  /** every line but the head and the end */
  lines(coachId: number): AsyncGenerator<ArchiveLine>;
  /** Puts lines into a desk, all of them or none; where the database wants it begun again, `run` is asked again. */
  fill<T>(coachId: number, run: (put: (line: ArchiveLine) => Promise<void>) => Promise<T>): Promise<T>;
}
/** letters of a name */
const longestName = 120;
/** rows read at once */
const page = 100;

/** Every line of a desk, one after the other. */
function reading(database: Database): ArchiveStore['lines'] {
  const { models, read } = database;
  /** Rows by number, a page at a time, so that a long history is never in memory as a whole. */
  async function* pages<T extends { id: number }>(next: (after: number) => Promise<T[]>): AsyncGenerator<T> {
    for (let after = 0; ;) {
      const rows = await read(() => next(after));
      yield* rows;
      if (rows.length < page) return;
      after = rows.at(-1)!.id;
    }
  }
  const order: [string, string][] = [['id', 'ASC']];
  const kept = (coachId: number, after: number) => ({ coachId, deletedAt: null, id: { [Op.gt]: after } });
  /** of workouts and people that are kept */
  const ofKept = (coachId: number) => ({
    workoutId: { [Op.in]: database.sequelize.literal(`(SELECT id FROM workouts WHERE coach_id = ${coachId} AND deleted_at IS NULL)`) },
    athleteId: { [Op.in]: database.sequelize.literal(`(SELECT id FROM athletes WHERE coach_id = ${coachId} AND deleted_at IS NULL)`) },
  });
  async function* lines(coachId: number): AsyncGenerator<ArchiveLine> {
    const athletes = pages((after) => models.athletes.findAll({ where: kept(coachId, after), order, limit: page }));
    for await (const { id, file } of athletes) yield { athlete: { id, file } };
    const ofPeople = { athleteId: ofKept(coachId).athleteId as never };
    for await (const row of pages((after) => models.figures.findAll({ where: { ...ofPeople, id: { [Op.gt]: after } }, order, limit: page }))) {
      const { athleteId, name, told, createdAt } = row;
      yield { figure: { athleteId, name, told, at: createdAt.toISOString() } };
    }
    const workouts = pages((after) => models.workouts.findAll({ where: kept(coachId, after), order, limit: page }));
    for await (const { id, title, text, day, tags, audience, changedBy: by } of workouts) {
      const locks = await read(() => models.locks.findAll({ where: { workoutId: id, ...ofPeople } }));
      const decisions = locks.map((row) => ({
        athleteId: row.athleteId,
        by: row.changedBy,
        locks: row.locks as Lock[],
      })) as LineOf<'workout'>['workout']['decisions'];
      yield { workout: { id, title, text, day, tags: tags ?? [], audience: audience ?? everybody, by, decisions } };
    }
    for await (const row of pages((after) => models.painReports.findAll({ where: { ...ofPeople, id: { [Op.gt]: after } }, order, limit: page })))
      yield reportLine(row);
    const where = (after: number) => ({ ...(ofKept(coachId) as object), id: { [Op.gt]: after } });
    for await (const row of pages((after) => models.sends.findAll({ where: { ...where(after), revokedAt: null }, order, limit: page }))) yield sendLine(row);
    for await (const row of pages((after) => models.scores.findAll({ where: { ...where(after), deletedAt: null }, order, limit: page }))) yield scoreLine(row);
  }
  return lines;
}

function sendLine(row: SendRow): LineOf<'send'> {
  const { workoutId, athleteId, sentBy: by, originalText, versionText, brief, sentAt } = row;
  return { send: { workoutId, athleteId, by, originalText, versionText, brief: brief as Brief, sentAt: sentAt.toISOString(), hurt: null } };
}
function scoreLine(row: ScoreRow): LineOf<'score'> {
  const { workoutId, athleteId, enteredName: by, score, note, versionText, originalText, createdAt, rating, measured } = row;
  return {
    score: {
      workoutId,
      athleteId,
      by,
      score,
      note,
      versionText,
      originalText,
      enteredBy: row.enteredBy === 'athlete' ? 'athlete' : 'coach',
      at: createdAt.toISOString(),
      rating,
      measured: measured as Measured | null,
      counts: row.teaches === 1,
    },
  };
}

type Put = (coachId: number, line: ArchiveLine, numbers: Numbers, transaction: Transaction) => Promise<void>;
/** One line into a desk, under the numbers that it gets here. */
function writing({ models }: Database, sends: SendStore, scores: ScoreStore): Put {
  const putAthlete = async (coachId: number, { athlete }: LineOf<'athlete'>, numbers: Numbers, transaction: Transaction): Promise<void> => {
    const { id, file } = athlete;
    const named = typeof file.name === 'string' ? file.name.trim().slice(0, longestName) : '';
    const row = await models.athletes.create({ coachId, name: named || 'Athlete', file, revision: 1, deletedAt: null }, { transaction });
    numbers.athletes.set(id, row.id);
  };
  const putFigure = async ({ figure: { athleteId, name, told, at } }: LineOf<'figure'>, numbers: Numbers, transaction: Transaction): Promise<void> => {
    const here = numbers.athletes.get(athleteId);
    if (here === undefined) throw new RangeError('of somebody who is not in it');
    await models.figures.bulkCreate([{ athleteId: here, name, told, createdAt: new Date(at) }], { transaction });
  };
  const putWorkout = async (coachId: number, { workout }: LineOf<'workout'>, numbers: Numbers, transaction: Transaction): Promise<void> => {
    const { id, decisions, audience, by: changedBy, ...rest } = workout;
    const here = (athleteId: number): number[] => [numbers.athletes.get(athleteId) ?? []].flat();
    const meant = { groups: audience.groups, athletes: audience.athletes.flatMap(here) };
    const row = await models.workouts.create({ coachId, ...rest, audience: meant, changedBy, revision: 1, deletedAt: null }, { transaction });
    numbers.workouts.set(id, row.id);
    for (const { athleteId, locks, by } of decisions)
      for (const athlete of here(athleteId)) await models.locks.create({ workoutId: row.id, athleteId: athlete, locks, changedBy: by }, { transaction });
  };
  return async (coachId, line, numbers, transaction) => {
    if ('athlete' in line) return putAthlete(coachId, line, numbers, transaction);
    if ('workout' in line) return putWorkout(coachId, line, numbers, transaction);
    if ('end' in line) return;
    if ('figure' in line) return putFigure(line, numbers, transaction);
    if ('report' in line) return putReport({ models, coachId, numbers, transaction }, line.report);
    const told = 'send' in line ? line.send : line.score;
    const [workoutId, athleteId] = [numbers.workouts.get(told.workoutId), numbers.athletes.get(told.athleteId)];
    if (workoutId === undefined || athleteId === undefined) throw new RangeError('of somebody or something that is not in it');
    if ('send' in line) {
      const { originalText, versionText, brief, sentAt, by, hurt } = line.send;
      await sends.send({ workoutId, athleteId, originalText, made: { brief, versionText }, by }, new Date(sentAt), transaction);
      if (hurt) await putOldReports({ models, coachId, numbers, transaction }, line.send, hurt);
    } else {
      const { at, by: enteredName, ...entry } = line.score;
      await scores.save({ ...entry, enteredName, coachId, workoutId, athleteId }, new Date(at), transaction);
    }
  };
}

export function archiveStore(database: Database, sends: SendStore, scores: ScoreStore): ArchiveStore {
  const { models, read, transact } = database;
  const put = writing(database, sends, scores);
  return {
    isEmpty: async (coachId) =>
      (await read(() => models.athletes.count({ where: { coachId, deletedAt: null } }))) === 0 &&
      (await read(() => models.workouts.count({ where: { coachId, deletedAt: null } }))) === 0,
    lines: reading(database),
    fill: (coachId, run) =>
      transact((transaction) => {
        const numbers: Numbers = { athletes: new Map(), workouts: new Map() };
        return run((line) => put(coachId, line, numbers, transaction));
      }),
  };
}
