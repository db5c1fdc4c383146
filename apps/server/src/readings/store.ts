/** What scores say, stored: computed once by the workers, computed anew when something it was read of changes. */
import { mostResults, type FitnessResult, type ReadResult } from '@gambito/core';
import { QueryTypes } from 'sequelize';
import { parsed } from '../platform/parsed';
import type { Database } from '../platform/database';
import { heldSeconds } from '../platform/leases';
import type { MadeReading } from '../platform/pool/tasks';

/** A score with everything its reading is made of. */
export interface Unread {
  readonly scoreId: number;
  readonly coachId: number;
  readonly athleteId: number;
  readonly workoutId: number;
  readonly revision: number;
  readonly score: string;
  readonly versionText: string;
  readonly originalText: string;
  readonly workoutText: string;
  readonly file: Readonly<Record<string, unknown>>;
  readonly loggedAt: Date;
  /** what the athlete scored before, newest first */
  readonly earlier: readonly { readonly workout: string; readonly score: string }[];
}
/** A score on a board. */
export interface BoardScore {
  readonly scoreId: number;
  readonly athleteId: number;
  readonly name: string;
  readonly category: 'men' | 'women';
  readonly score: string;
  readonly note: string;
  /** the coach who entered it */
  readonly by: string;
  /** of somebody else, who had entered another one before; `by` is blank where it was the athlete */
  readonly replaced: { readonly scoreId: number; readonly entry: string; readonly by: string } | null;
  readonly versionText: string;
  /** null: not read yet */
  readonly read: readonly (ReadResult | null)[] | null;
}
export interface ReadingStore {
  /** null where it is read already, or gone */
  unread(scoreId: number): Promise<Unread | null>;
  /** numbers of scores that wait to be read; this server has them for a while */
  lease(most: number): Promise<number[]>;
  /** Still being read. */
  hold(ids: readonly number[]): Promise<void>;
  /** kept only if nothing it was read of changed meanwhile */
  keep(unread: Unread, made: MadeReading, model: string): Promise<void>;
  giveUp(scoreId: number): Promise<void>;
  board(workoutId: number): Promise<BoardScore[]>;
  /** the newest lessons of a coach, and what tells one set of them from another */
  lessons(coachId: number): Promise<FitnessResult[]>;
  lessonsMark(coachId: number): Promise<string>;
  /** @param after only of scores after this one */
  outdateAthlete(athleteId: number, after: number): Promise<void>;
  /** @returns whether there is anything to read anew */
  outdateWorkout(workoutId: number): Promise<boolean>;
  outdateCoach(coachId: number): Promise<void>;
  outdateOtherModels(model: string): Promise<void>;
}

/** s another server leaves a score alone after the last sign of life of the one that reads it */
const leaseSeconds = heldSeconds;
/** older results tell little about conversions */
const mostLessons = 1000;

const unreadQuery = `SELECT r.score_id AS scoreId, r.coach_id AS coachId, r.athlete_id AS athleteId, r.workout_id AS workoutId, r.revision,
    s.score, s.version_text AS versionText, s.original_text AS originalText, s.created_at AS loggedAt, w.text AS workoutText, a.file
  FROM readings r JOIN scores s ON s.id = r.score_id JOIN workouts w ON w.id = r.workout_id JOIN athletes a ON a.id = r.athlete_id
  WHERE r.score_id = :scoreId AND (r.read_revision IS NULL OR r.read_revision <> r.revision)`;
const earlierQuery = `SELECT version_text AS workout, score FROM scores
  WHERE athlete_id = :athleteId AND id < :scoreId AND workout_id <> :workoutId AND deleted_at IS NULL AND teaches = 1 ORDER BY created_at DESC, id DESC LIMIT ${mostResults}`;
const boardQuery = `SELECT s.id AS scoreId, s.athlete_id AS athleteId, a.name, JSON_VALUE(a.file, '$.category') AS category, s.score, s.note, s.entered_name AS \`by\`, s.version_text AS versionText,
    o.id AS replacedId, o.score AS replacedEntry, o.entered_name AS replacedBy,
    IF(r.read_revision = r.revision, r.reading, NULL) AS reading
  FROM scores s JOIN athletes a ON a.id = s.athlete_id AND a.deleted_at IS NULL LEFT JOIN readings r ON r.score_id = s.id
    LEFT JOIN scores o ON o.id = s.replaces AND o.score <> s.score AND (o.entered_by <> s.entered_by OR o.entered_name <> s.entered_name)
  WHERE s.workout_id = :workoutId AND s.deleted_at IS NULL ORDER BY s.id`;

const selecting =
  ({ sequelize, read }: Database) =>
  <T extends object>(sql: string, replacements: Record<string, unknown>): Promise<T[]> =>
    read(() => sequelize.query<T>(sql, { replacements, type: QueryTypes.SELECT }));

type Queue = Pick<ReadingStore, 'unread' | 'lease' | 'hold' | 'keep' | 'giveUp'>;
/** What waits to be read, and what was read of it. */
function readingQueue(database: Database): Queue {
  const { sequelize, write, transact } = database;
  const select = selecting(database);
  return {
    unread: async (scoreId) => {
      const [row] = await select<Omit<Unread, 'earlier' | 'file'> & { file: unknown }>(unreadQuery, { scoreId });
      if (!row) return null;
      const earlier = await select<Unread['earlier'][number]>(earlierQuery, { athleteId: row.athleteId, scoreId, workoutId: row.workoutId });
      return { ...row, file: parsed(row.file), earlier };
    },
    lease: (most) =>
      transact(async (transaction) => {
        const rows = await sequelize.query<{ scoreId: number }>(
          `SELECT r.score_id AS scoreId FROM readings r WHERE r.waits = 1 AND (r.leased_until IS NULL OR r.leased_until < NOW(3)) ORDER BY r.score_id LIMIT :most FOR UPDATE`,
          { replacements: { most }, type: QueryTypes.SELECT, transaction },
        );
        const ids = rows.map(({ scoreId }) => scoreId);
        if (ids.length > 0)
          await sequelize.query('UPDATE readings SET leased_until = NOW(3) + INTERVAL :leaseSeconds SECOND WHERE score_id IN (:ids)', {
            replacements: { ids, leaseSeconds },
            transaction,
          });
        return ids;
      }),
    hold: async (ids) => {
      if (ids.length > 0)
        await sequelize.query(
          'UPDATE readings SET leased_until = NOW(3) + INTERVAL :leaseSeconds SECOND WHERE score_id IN (:ids) AND leased_until IS NOT NULL',
          {
            replacements: { ids, leaseSeconds },
          },
        );
    },
    keep: async ({ scoreId, revision }, { read: reading, lesson, past }, model) => {
      await write(() =>
        sequelize.query(
          `UPDATE readings SET reading = :reading, lesson = :lesson, past = :past, model = :model, read_revision = :revision, leased_until = NULL, failures = 0, updated_at = NOW(3)
           WHERE score_id = :scoreId AND revision = :revision`,
          {
            replacements: {
              reading: JSON.stringify(reading),
              lesson: lesson && JSON.stringify(lesson),
              past: JSON.stringify(past),
              model,
              scoreId,
              revision,
            },
          },
        ),
      );
    },
    giveUp: async (scoreId) => {
      await write(() =>
        sequelize.query('UPDATE readings SET failures = failures + 1, leased_until = NULL WHERE score_id = :scoreId', { replacements: { scoreId } }),
      );
    },
  };
}

interface BoardRow extends Omit<BoardScore, 'read' | 'category' | 'replaced'> {
  readonly category: string | null;
  readonly reading: unknown;
  readonly replacedId: number | null;
  readonly replacedEntry: string | null;
  readonly replacedBy: string | null;
}
type Answers = Pick<ReadingStore, 'board' | 'lessons' | 'lessonsMark'>;
/** What readings answer: a board, and what results taught. */
function readingAnswers(database: Database): Answers {
  const select = selecting(database);
  return {
    board: async (workoutId) => {
      const rows = await select<BoardRow>(boardQuery, { workoutId });
      return rows.map(({ reading, category, replacedId, replacedEntry, replacedBy, ...row }) => ({
        ...row,
        replaced: replacedId === null ? null : { scoreId: replacedId, entry: replacedEntry!, by: replacedBy! },
        category: category === 'women' ? 'women' : 'men',
        read: reading === null ? null : parsed<(ReadResult | null)[]>(reading),
      }));
    },
    lessons: async (coachId) => {
      const rows = await select<{ lesson: unknown }>(
        `SELECT r.lesson FROM readings r JOIN scores s ON s.id = r.score_id AND s.teaches = 1
         WHERE r.coach_id = :coachId AND r.read_revision = r.revision AND r.lesson IS NOT NULL ORDER BY r.score_id DESC LIMIT ${mostLessons}`,
        { coachId },
      );
      return rows.map(({ lesson }) => parsed<FitnessResult>(lesson));
    },
    lessonsMark: async (coachId) => {
      const [row] = await select<{ mark: string }>(
        `SELECT CONCAT(COUNT(*), ':', COALESCE(BIT_XOR(CRC32(CONCAT(score_id, ':', read_revision, ':', COALESCE(model, '')))), 0)) AS mark
         FROM readings WHERE coach_id = :coachId AND read_revision = revision`,
        { coachId },
      );
      return row?.mark ?? '0';
    },
  };
}

/** A file, a text, rules or the model changed: their readings wait to be made anew. */
function outdating({ sequelize, write }: Database): Omit<ReadingStore, keyof Queue | keyof Answers> {
  const outdate = async (where: string, replacements: Record<string, unknown>): Promise<number> => {
    const [, changed] = await write(() =>
      sequelize.query(`UPDATE readings SET revision = revision + 1, failures = 0, leased_until = NULL WHERE ${where}`, {
        replacements,
        type: QueryTypes.UPDATE,
      }),
    );
    return Number(changed);
  };
  return {
    outdateAthlete: async (athleteId, after) => void (await outdate('athlete_id = :athleteId AND score_id > :after', { athleteId, after })),
    outdateWorkout: async (workoutId) => (await outdate('workout_id = :workoutId', { workoutId })) > 0,
    outdateCoach: async (coachId) => void (await outdate('coach_id = :coachId', { coachId })),
    outdateOtherModels: async (model) => void (await outdate('model IS NOT NULL AND model <> :model', { model })),
  };
}

export const readingStore = (database: Database): ReadingStore => ({ ...readingQueue(database), ...readingAnswers(database), ...outdating(database) });
