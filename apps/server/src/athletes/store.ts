/** Athletes as the database keeps them: the file as it was typed, so that nothing typed is lost. */
import { figuresOf, groupsOf, type DeletedAthlete, type ListedResult, type StoredAthlete } from '@gambito/contract';
import { mostResults, tidyFile, type ReadPast, type ReadResult } from '@gambito/core';
import { Op, QueryTypes, type Transaction } from 'sequelize';
import { setDeleted } from '../platform/bin';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { groupBy } from '../platform/group-by';
import type { AthleteRow } from '../platform/rows';
import { parsed } from '../platform/parsed';

export type AthleteFile = Readonly<Record<string, unknown>>;

/** What a screen needs to name somebody. */
export interface AthleteName {
  readonly id: number;
  readonly name: string;
  readonly category: 'men' | 'women';
  readonly groups: readonly string[];
}
/** One of several files that are saved at once. */
export interface FileToSave {
  /** null: a new one */
  readonly id: number | null;
  readonly file: AthleteFile;
  /** that it was changed from */
  readonly revision: number;
}
export interface AthletePageAsked {
  /** the last of the page before */
  readonly after: number | null;
  readonly most: number;
  /** whether past results are wanted */
  readonly results: boolean;
}
export interface AthleteStore {
  /** By name. */
  page(coachId: number, asked: AthletePageAsked): Promise<StoredAthlete[]>;
  names(coachId: number): Promise<AthleteName[]>;
  /** Who was deleted since then, the last one first. */
  deletedSince(coachId: number, since: Date): Promise<DeletedAthlete[]>;
  /** @throws {Problem} not_found */
  find(coachId: number, id: number): Promise<StoredAthlete>;
  /** what somebody scored, newest first; the athlete is the coach's. @throws {Problem} not_found */
  results(coachId: number, id: number): Promise<ListedResult[]>;
  create(coachId: number, file: AthleteFile): Promise<StoredAthlete>;
  /** New ones (no id) and changed ones, all of them or none. @throws {Problem} not_found, changed_elsewhere */
  saveMany(coachId: number, files: readonly FileToSave[]): Promise<number[]>;
  /** @throws {Problem} changed_elsewhere, with what stands there */
  save(coachId: number, id: number, file: AthleteFile, revision: number): Promise<StoredAthlete>;
  /** @throws {Problem} not_found */
  setDeleted(coachId: number, id: number, at: Date | null): Promise<void>;
}

/** deleted people that are listed */
const mostDeleted = 200;

const nameOf = (file: AthleteFile): string => (typeof file['name'] === 'string' && file['name'].trim()) || 'Athlete';
const categoryOf = (category: unknown): AthleteName['category'] => (category === 'women' ? 'women' : 'men');

/** What each says where it was read; its text only where it waits to be. */
const newestResults = `SELECT n.athlete_id AS athleteId, n.workout_id AS workoutId, IF(r.read_revision = r.revision, r.past, NULL) AS past,
    IF(r.read_revision = r.revision AND r.past IS NOT NULL, NULL, s.version_text) AS workout, s.score
  FROM (SELECT id, athlete_id, workout_id, ROW_NUMBER() OVER (PARTITION BY athlete_id ORDER BY created_at DESC, id DESC) AS place
        FROM scores WHERE deleted_at IS NULL AND teaches = 1 AND athlete_id IN (:ids)) AS n
    JOIN scores s ON s.id = n.id LEFT JOIN readings r ON r.score_id = n.id
  WHERE n.place <= :mostResults ORDER BY n.athlete_id, n.place`;
interface ResultRow {
  readonly athleteId: number;
  readonly workoutId: number;
  readonly past: unknown;
  readonly workout: string | null;
  readonly score: string;
}
const resultOf = ({ workoutId, past, workout, score }: ResultRow): StoredAthlete['results'][number] => ({
  workoutId,
  result: workout === null ? parsed<ReadPast>(past) : { workout, score },
});

const listedResults = `SELECT s.workout_id AS workoutId, w.title, s.score, s.created_at AS loggedAt, IF(r.read_revision = r.revision, r.reading, NULL) AS reading
  FROM scores s JOIN workouts w ON w.id = s.workout_id LEFT JOIN readings r ON r.score_id = s.id
  WHERE s.athlete_id = :id AND s.deleted_at IS NULL ORDER BY s.created_at DESC, s.id DESC LIMIT :mostListed`;
interface ListedRow extends Omit<ListedResult, 'loggedAt' | 'beyond' | 'verdict'> {
  readonly loggedAt: Date;
  readonly reading: unknown;
}
/** results that a person's screen lists */
const mostListed = 100;

function listed({ reading, loggedAt, ...row }: ListedRow): ListedResult {
  const [lead] = reading === null ? [] : parsed<(ReadResult | null)[]>(reading);
  const read = lead?.reading;
  return { ...row, loggedAt: loggedAt.toISOString(), beyond: read ? read.apparent - read.expected : null, verdict: read?.verdict ?? null };
}

/** Rows as a coach sees them, with their newest results. */
const showing =
  ({ sequelize, read }: Database) =>
  async (rows: readonly AthleteRow[], withResults = true): Promise<StoredAthlete[]> => {
    const ids = withResults ? rows.map(({ id }) => id) : [];
    const past =
      ids.length === 0 ? [] : await read(() => sequelize.query<ResultRow>(newestResults, { replacements: { ids, mostResults }, type: QueryTypes.SELECT }));
    const results = groupBy(past, ({ athleteId }) => athleteId);
    return rows.map(({ id, name, file, revision }) => ({
      id,
      name,
      file,
      revision,
      results: (results.get(id) ?? []).map(resultOf),
    }));
  };

/** One athlete of this coach. @throws {Problem} not_found */
const finding =
  (database: Database) =>
  async (coachId: number, id: number): Promise<StoredAthlete> => {
    const row = await database.read(() => database.models.athletes.findOne({ where: { id, coachId, deletedAt: null } }));
    if (!row) throw new Problem('not_found');
    return (await showing(database)([row]))[0]!;
  };

type Reads = Pick<AthleteStore, 'page' | 'deletedSince' | 'names' | 'find' | 'results'>;
function athleteReads(database: Database): Reads {
  const { sequelize, models, read } = database;
  const [show, find] = [showing(database), finding(database)];
  return {
    page: async (coachId, { after, most, results }) => {
      const last = after === null ? null : await read(() => models.athletes.findOne({ where: { id: after, coachId }, attributes: ['id', 'name'] }));
      const beyond = last ? { [Op.or]: [{ name: { [Op.gt]: last.name } }, { name: last.name, id: { [Op.gt]: last.id } }] } : {};
      const where = { coachId, deletedAt: null, ...beyond };
      return show(await read(() => models.athletes.findAll({ where, order: ['name', 'id'], limit: most })), results);
    },
    deletedSince: async (coachId, since) => {
      const where = { coachId, deletedAt: { [Op.gte]: since } };
      const attributes = ['id', 'name', 'deletedAt'];
      const rows = await read(() => models.athletes.findAll({ where, attributes, order: [['deletedAt', 'DESC']], limit: mostDeleted }));
      return rows.map(({ id, name, deletedAt }) => ({ id, name, deletedAt: deletedAt!.toISOString() }));
    },
    names: async (coachId) => {
      const rows = await read(() =>
        sequelize.query<{ id: number; name: string; category: string | null; groups: string | null }>(
          `SELECT id, name, JSON_VALUE(file, '$.category') AS category, JSON_EXTRACT(file, '$.groups') AS \`groups\` FROM athletes WHERE coach_id = :coachId AND deleted_at IS NULL ORDER BY name, id`,
          { replacements: { coachId }, type: QueryTypes.SELECT },
        ),
      );
      return rows.map(({ id, name, category, groups }) => ({
        id,
        name,
        category: categoryOf(category),
        groups: groupsOf(groups === null ? [] : parsed<unknown>(groups)),
      }));
    },
    find,
    results: async (coachId, id) => {
      await find(coachId, id);
      const rows = await read(() => sequelize.query<ListedRow>(listedResults, { replacements: { id, mostListed }, type: QueryTypes.SELECT }));
      return rows.map(listed);
    },
  };
}

/** figures that are noted of one change */
const mostFigures = 200;
/** What stood there before, and since when; null: somebody new. */
type Before = { readonly file: unknown; readonly updatedAt?: Date } | null;
/** What a file says otherwise of its figures than before, blank where it says nothing any more; with what it said first where nobody noted that. */
async function noteFigures({ models }: Database, athleteId: number, before: Before, file: AthleteFile, transaction: Transaction): Promise<void> {
  const [was, is] = [figuresOf((before?.file ?? {}) as AthleteFile), figuresOf(file)];
  const changed = [...new Set([...was.keys(), ...is.keys()])].filter((name) => was.get(name) !== is.get(name)).slice(0, mostFigures);
  if (changed.length === 0) return;
  const noted = was.size === 0 ? [] : await models.figures.findAll({ where: { athleteId, name: changed }, attributes: ['name'], transaction });
  const known = new Set(noted.map(({ name }) => name));
  const first = changed.filter((name) => was.has(name) && !known.has(name));
  const row = (name: string, told: string) => ({ athleteId, name: name.slice(0, 120), told: told.slice(0, 190) });
  const rows = [
    ...first.map((name) => ({ ...row(name, was.get(name)!), ...(before?.updatedAt ? { createdAt: before.updatedAt } : {}) })),
    ...changed.map((name) => row(name, is.get(name) ?? '')),
  ];
  await models.figures.bulkCreate(rows, { transaction });
}

function athleteWrites(database: Database): Omit<AthleteStore, keyof Reads> {
  const { models, transact } = database;
  const find = finding(database);
  /** @returns its number */
  const put = async (coachId: number, id: number | null, typed: AthleteFile, revision: number, transaction: Transaction): Promise<number> => {
    const file = tidyFile(typed);
    const fresh = { name: nameOf(file), file: { ...file } };
    if (id === null) {
      const made = await models.athletes.create({ coachId, ...fresh, revision: 1, deletedAt: null }, { transaction });
      await noteFigures(database, made.id, null, file, transaction);
      return made.id;
    }
    const before = await models.athletes.findOne({ where: { id, coachId }, attributes: ['file', 'updatedAt'], transaction });
    const [saved] = await models.athletes.update({ ...fresh, revision: revision + 1 }, { where: { id, coachId, deletedAt: null, revision }, transaction });
    if (saved === 0)
      throw new Problem((await models.athletes.count({ where: { id, coachId, deletedAt: null }, transaction })) > 0 ? 'changed_elsewhere' : 'not_found');
    await noteFigures(database, id, before, file, transaction);
    return id;
  };
  return {
    create: async (coachId, file) => find(coachId, await transact((transaction) => put(coachId, null, file, 0, transaction))),
    saveMany: (coachId, files) =>
      transact(async (transaction) => {
        const ids: number[] = [];
        for (const { id, file, revision } of files) ids.push(await put(coachId, id, file, revision, transaction));
        return ids;
      }),
    save: async (coachId, id, file, revision) => {
      // the database decides who was first
      await transact((transaction) => put(coachId, id, file, revision, transaction)).catch(async (error: unknown) => {
        if (error instanceof Problem && error.code === 'changed_elsewhere') throw new Problem('changed_elsewhere', null, { current: await find(coachId, id) });
        throw error;
      });
      return find(coachId, id);
    },
    setDeleted: (coachId, id, at) => setDeleted(database, models.athletes, coachId, id, at),
  };
}

export const athleteStore = (database: Database): AthleteStore => ({ ...athleteReads(database), ...athleteWrites(database) });
