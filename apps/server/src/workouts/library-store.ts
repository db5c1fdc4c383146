/** The library: lists of workouts with how they went, the tags in use, what they are found by, and the bin's end. */
import { everybody, type ListedWorkout, type MovementUsed } from '@gambito/contract';
import type { DefinedMovement, WorkoutFacts } from '@gambito/core';
import { Op, QueryTypes, col, fn } from 'sequelize';
import type { Database } from '../platform/database';
import type { WorkoutRow } from '../platform/rows';
import { parsed } from '../platform/parsed';
import { beyond, narrowed, type WorkoutsAsked } from './asked';
import { previewed, previewOf } from './preview';

export interface LibraryStore {
  /** Newest day first, those without a day last. */
  page(coachId: number, asked: WorkoutsAsked, most: number): Promise<ListedWorkout[]>;
  /** the tags in use, those used most first */
  tags(coachId: number): Promise<string[]>;
  /** when each movement was last on a day, up to one */
  movementsUsed(coachId: number, until: string): Promise<MovementUsed[]>;
  /** movements of the coach's own, as the newest text that has each defines it */
  ownMovements(coachId: number): Promise<DefinedMovement[]>;
  /** texts that the library cannot find by their facts yet */
  unshelved(most: number): Promise<Pick<WorkoutRow, 'id' | 'coachId' | 'text'>[]>;
  /** noted only while the text is still this one */
  shelve(id: number, text: string, facts: WorkoutFacts): Promise<void>;
  /** What lies in the bin since before this, and nobody scored, is gone for good. */
  sweep(before: Date): Promise<void>;
}

const movementsUsedQuery = `SELECT m.movement, MAX(w.day) AS day
  FROM workouts w, JSON_TABLE(w.facts, '$.movements[*]' COLUMNS (movement VARCHAR(120) PATH '$')) m
  WHERE w.coach_id = :coachId AND w.deleted_at IS NULL AND w.day <= :until GROUP BY m.movement`;
const ownQuery = `SELECT o.defined FROM workouts w, JSON_TABLE(w.facts, '$.own[*]' COLUMNS (defined JSON PATH '$')) o
  WHERE w.coach_id = :coachId AND w.deleted_at IS NULL ORDER BY w.updated_at DESC, w.id DESC LIMIT :mostOwn`;
/** definitions that are looked through */
const mostOwn = 1000;
const doneQuery = `SELECT s.workout_id AS workoutId, COUNT(*) AS scores, MAX(s.created_at) AS last,
    COALESCE(SUM(JSON_VALUE(r.reading, '$[0].reading.inWindow') = 1), 0) AS inWindow, COALESCE(SUM(JSON_VALUE(r.reading, '$[0].reading.inWindow') IN (0, 1)), 0) AS judged
  FROM scores s LEFT JOIN readings r ON r.score_id = s.id AND r.read_revision = r.revision WHERE s.workout_id IN (:ids) AND s.deleted_at IS NULL GROUP BY s.workout_id`;
interface DoneRow {
  readonly workoutId: number;
  readonly scores: number;
  readonly last: Date;
  readonly inWindow: number;
  readonly judged: number;
}
const listedColumns = ['id', 'title', 'day', 'tags', 'audience', 'facts', 'revision', 'deletedAt', [fn('LEFT', col('text'), previewed), 'text']] as const;

/** How often each was done and how it went, to how many it was sent. */
function lister({ sequelize, read }: Database): (rows: readonly WorkoutRow[]) => Promise<ListedWorkout[]> {
  /** How often each was done, and how it went. */
  const doneOf = async (ids: readonly number[]): Promise<Map<number, ListedWorkout['done']>> => {
    const rows = ids.length === 0 ? [] : await read(() => sequelize.query<DoneRow>(doneQuery, { replacements: { ids }, type: QueryTypes.SELECT }));
    return new Map(
      rows.map(({ workoutId, scores, last, inWindow, judged }) => [
        workoutId,
        { scores: Number(scores), last: last.toISOString(), inWindow: Number(inWindow), judged: Number(judged) },
      ]),
    );
  };
  const sentOf = async (ids: readonly number[]): Promise<Map<number, number>> => {
    const counted = 'SELECT workout_id AS workoutId, COUNT(*) AS sent FROM sends WHERE workout_id IN (:ids) AND revoked_at IS NULL GROUP BY workout_id';
    const rows =
      ids.length === 0
        ? []
        : await read(() => sequelize.query<{ workoutId: number; sent: number }>(counted, { replacements: { ids }, type: QueryTypes.SELECT }));
    return new Map(rows.map(({ workoutId, sent }) => [workoutId, Number(sent)]));
  };
  const listed = async (rows: readonly WorkoutRow[]): Promise<ListedWorkout[]> => {
    const ids = rows.map(({ id }) => id);
    const [done, sent] = await Promise.all([doneOf(ids), sentOf(ids)]);
    return rows.map(({ id, title, day, tags, audience, facts, revision, text, deletedAt }) => ({
      id,
      title,
      day,
      tags: tags ?? [],
      audience: audience ?? everybody,
      facts: facts ?? null,
      revision,
      preview: previewOf(text),
      done: done.get(id) ?? null,
      sent: sent.get(id) ?? 0,
      deletedAt: deletedAt?.toISOString() ?? null,
    }));
  };
  return listed;
}

type Reads = Pick<LibraryStore, 'page' | 'tags' | 'movementsUsed' | 'ownMovements'>;
function libraryReads(database: Database): Reads {
  const { sequelize, models, read } = database;
  const listed = lister(database);
  return {
    page: async (coachId, asked, most) => {
      const { after } = asked;
      const last = after === undefined ? null : await read(() => models.workouts.findOne({ where: { id: after, coachId }, attributes: ['id', 'day'] }));
      const rows = await read(() =>
        models.workouts.findAll({
          attributes: listedColumns as never,
          where: { coachId, [Op.and]: [...narrowed(database, asked), ...(last ? [beyond(last)] : [])] },
          order: [
            ['day', 'DESC'],
            ['id', 'DESC'],
          ],
          limit: most,
        }),
      );
      return listed(rows);
    },
    tags: async (coachId) => {
      const rows = await read(() =>
        sequelize.query<{ tags: unknown }>("SELECT tags FROM workouts WHERE coach_id = :coachId AND deleted_at IS NULL AND tags <> '[]'", {
          replacements: { coachId },
          type: QueryTypes.SELECT,
        }),
      );
      const counts = new Map<string, number>();
      for (const tag of rows.flatMap(({ tags }) => parsed<string[]>(tags))) counts.set(tag, (counts.get(tag) ?? 0) + 1);
      return [...counts].sort(([a, times], [b, others]) => others - times || (a < b ? -1 : 1)).map(([tag]) => tag);
    },
    movementsUsed: (coachId, until) =>
      read(() => sequelize.query<MovementUsed>(movementsUsedQuery, { replacements: { coachId, until }, type: QueryTypes.SELECT })),
    ownMovements: async (coachId) => {
      const rows = await read(() => sequelize.query<{ defined: unknown }>(ownQuery, { replacements: { coachId, mostOwn }, type: QueryTypes.SELECT }));
      const byName = new Map<string, DefinedMovement>();
      for (const defined of rows.map((row) => parsed<DefinedMovement>(row.defined)))
        if (!byName.has(defined.own.name.toLowerCase())) byName.set(defined.own.name.toLowerCase(), defined);
      return [...byName.values()];
    },
  };
}

/** What is written beside a text once it has been read, and what is thrown away after the days in the bin. */
function shelving({ sequelize, read, write }: Database): Omit<LibraryStore, keyof Reads> {
  return {
    unshelved: (most) =>
      read(() =>
        sequelize.query<Pick<WorkoutRow, 'id' | 'coachId' | 'text'>>('SELECT id, coach_id AS coachId, text FROM workouts WHERE shelved = 0 LIMIT :most', {
          replacements: { most },
          type: QueryTypes.SELECT,
        }),
      ),
    shelve: async (id, text, facts) => {
      await write(() =>
        sequelize.query('UPDATE workouts SET facts = :facts WHERE id = :id AND text = :text', { replacements: { id, text, facts: JSON.stringify(facts) } }),
      );
    },
    sweep: async (before) => {
      await write(() =>
        sequelize.query('DELETE FROM workouts WHERE deleted_at < :before AND NOT EXISTS (SELECT 1 FROM scores s WHERE s.workout_id = workouts.id)', {
          replacements: { before },
        }),
      );
    },
  };
}

export const libraryStore = (database: Database): LibraryStore => ({ ...libraryReads(database), ...shelving(database) });
