/** What one person did, from scores and their readings; and what was sent to them and not scored. */
import type { Measured, PersonRecord, Recorded } from '@gambito/contract';
import type { ReadPast, ReadResult } from '@gambito/core';
import { QueryTypes } from 'sequelize';
import type { Database } from '../platform/database';
import { parsed } from '../platform/parsed';

export interface RecordStore {
  /** the newest first */
  of(athleteId: number, now: Date): Promise<PersonRecord>;
}
/** sessions that are told */
const most = 300;

const sessionsQuery = `SELECT s.id AS scoreId, s.workout_id AS workoutId, w.title, CAST(COALESCE(w.day, DATE(s.created_at)) AS CHAR) AS day, s.score, s.note, s.rating, s.measured, s.teaches,
    IF(r.read_revision = r.revision, r.past, NULL) AS past, IF(r.read_revision = r.revision, r.reading, NULL) AS reading
  FROM scores s JOIN workouts w ON w.id = s.workout_id LEFT JOIN readings r ON r.score_id = s.id
  WHERE s.athlete_id = :athleteId AND s.deleted_at IS NULL ORDER BY s.created_at DESC, s.id DESC LIMIT :most`;
const missedQuery = `SELECT w.id AS workoutId, w.title, CAST(COALESCE(w.day, DATE(n.sent_at)) AS CHAR) AS day
  FROM sends n JOIN workouts w ON w.id = n.workout_id AND w.deleted_at IS NULL
    LEFT JOIN scores s ON s.workout_id = n.workout_id AND s.athlete_id = n.athlete_id AND s.deleted_at IS NULL
  WHERE n.athlete_id = :athleteId AND n.revoked_at IS NULL AND s.id IS NULL AND COALESCE(w.day, DATE(n.sent_at)) <= DATE(:now) ORDER BY day DESC LIMIT :most`;

interface SessionRow extends Omit<Recorded, 'seconds' | 'reps' | 'movements' | 'fitness' | 'verdict' | 'counts' | 'read' | 'measured'> {
  readonly teaches: number;
  readonly measured: unknown;
  readonly past: unknown;
  readonly reading: unknown;
}
const nothing: ReadPast = { fitness: null, movements: [], reps: {} };

function shown({ past, reading, teaches, measured, ...row }: SessionRow): Recorded {
  const { fitness, movements, reps, seconds = 0 } = past === null ? nothing : parsed<ReadPast>(past);
  const [lead] = reading === null ? [] : parsed<(ReadResult | null)[]>(reading);
  return {
    ...row,
    measured: measured === null ? null : parsed<Measured>(measured),
    read: past !== null,
    counts: teaches === 1,
    fitness,
    movements: [...movements],
    reps,
    seconds,
    verdict: lead?.reading?.verdict ?? null,
  };
}

export const recordStore = ({ sequelize, read }: Database): RecordStore => {
  const select = <Row extends object>(query: string, replacements: Readonly<Record<string, unknown>>): Promise<Row[]> =>
    read(() => sequelize.query<Row>(query, { replacements: { ...replacements, most }, type: QueryTypes.SELECT }));
  return {
    of: async (athleteId, now) => ({
      sessions: (await select<SessionRow>(sessionsQuery, { athleteId })).map(shown),
      missed: await select<PersonRecord['missed'][number]>(missedQuery, { athleteId, now }),
    }),
  };
};
