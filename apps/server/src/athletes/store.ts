/** Athletes as the database keeps them: the file as it was typed, so that nothing typed is lost. */
import type { StoredAthlete } from '@gambito/contract';
import { Op, QueryTypes } from 'sequelize';
import { setDeleted } from '../platform/bin';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { groupBy } from '../platform/group-by';
import type { AthleteRow } from '../platform/models';

type PastResult = StoredAthlete['results'][number];
export type AthleteFile = Readonly<Record<string, unknown>>;

/** What a screen needs to name somebody. */
export interface AthleteName {
  readonly id: number;
  readonly name: string;
  readonly category: 'men' | 'women';
}
export interface AthletePageAsked {
  /** the last of the page before */
  readonly after: number | null;
  readonly most: number;
  /** whether past results are wanted: each is a text */
  readonly results: boolean;
}
export interface AthleteStore {
  /** By name. */
  page(coachId: number, asked: AthletePageAsked): Promise<StoredAthlete[]>;
  names(coachId: number): Promise<AthleteName[]>;
  /** @throws {Problem} not_found */
  find(coachId: number, id: number): Promise<StoredAthlete>;
  create(coachId: number, file: AthleteFile): Promise<StoredAthlete>;
  /** @throws {Problem} changed_elsewhere, with what stands there */
  save(coachId: number, id: number, file: AthleteFile, revision: number): Promise<StoredAthlete>;
  /** @throws {Problem} not_found */
  setDeleted(coachId: number, id: number, at: Date | null): Promise<void>;
}

/** older ones say little about today, and each costs a root-finding wherever the athlete is adapted for */
export const mostResults = 8;

const nameOf = (file: AthleteFile): string => (typeof file['name'] === 'string' && file['name'].trim()) || 'Athlete';
const categoryOf = (category: unknown): AthleteName['category'] => (category === 'women' ? 'women' : 'men');

const newestResults = `SELECT athlete_id AS athleteId, workout_id AS workoutId, version_text AS workout, score
  FROM (SELECT athlete_id, workout_id, version_text, score, id, ROW_NUMBER() OVER (PARTITION BY athlete_id ORDER BY created_at DESC, id DESC) AS place
        FROM scores WHERE deleted_at IS NULL AND athlete_id IN (:ids)) AS newest
  WHERE place <= :mostResults ORDER BY athlete_id, place`;

export function athleteStore(database: Database): AthleteStore {
  const { sequelize, models, read, transact } = database;
  const show = async (rows: readonly AthleteRow[], withResults = true): Promise<StoredAthlete[]> => {
    const ids = withResults ? rows.map(({ id }) => id) : [];
    const past =
      ids.length === 0
        ? []
        : await read(() => sequelize.query<PastResult & { athleteId: number }>(newestResults, { replacements: { ids, mostResults }, type: QueryTypes.SELECT }));
    const results = groupBy(past, ({ athleteId }) => athleteId);
    return rows.map(({ id, name, file, revision }) => ({
      id,
      name,
      file,
      revision,
      results: (results.get(id) ?? []).map(({ workoutId, workout, score }) => ({ workoutId, workout, score })),
    }));
  };
  const find = async (coachId: number, id: number): Promise<StoredAthlete> => {
    const row = await read(() => models.athletes.findOne({ where: { id, coachId, deletedAt: null } }));
    if (!row) throw new Problem('not_found');
    return (await show([row]))[0]!;
  };
  return {
    page: async (coachId, { after, most, results }) => {
      const last = after === null ? null : await read(() => models.athletes.findOne({ where: { id: after, coachId }, attributes: ['id', 'name'] }));
      const beyond = last ? { [Op.or]: [{ name: { [Op.gt]: last.name } }, { name: last.name, id: { [Op.gt]: last.id } }] } : {};
      const where = { coachId, deletedAt: null, ...beyond };
      return show(await read(() => models.athletes.findAll({ where, order: ['name', 'id'], limit: most })), results);
    },
    names: async (coachId) => {
      const rows = await read(() =>
        sequelize.query<{ id: number; name: string; category: string | null }>(
          `SELECT id, name, JSON_VALUE(file, '$.category') AS category FROM athletes WHERE coach_id = :coachId AND deleted_at IS NULL ORDER BY name, id`,
          { replacements: { coachId }, type: QueryTypes.SELECT },
        ),
      );
      return rows.map(({ id, name, category }) => ({ id, name, category: categoryOf(category) }));
    },
    find,
    create: async (coachId, file) => {
      const row = await transact((transaction) =>
        models.athletes.create({ coachId, name: nameOf(file), file: { ...file }, revision: 1, deletedAt: null }, { transaction }),
      );
      return (await show([row]))[0]!;
    },
    save: async (coachId, id, file, revision) => {
      // the database decides who was first
      const change = { name: nameOf(file), file: { ...file }, revision: revision + 1 };
      const [saved] = await transact((transaction) => models.athletes.update(change, { where: { id, coachId, deletedAt: null, revision }, transaction }));
      const current = await find(coachId, id);
      if (saved === 0) throw new Problem('changed_elsewhere', null, { current });
      return current;
    },
    setDeleted: (coachId, id, at) => setDeleted(database, models.athletes, coachId, id, at),
  };
}
