/** What one person did, from scores and their readings; and what was sent to them and not scored. */
import type { Measured, PersonRecord, Recorded, Unscored } from '@gambito/contract';
import type { ReadPast, ReadResult } from '@gambito/core';
import { QueryTypes } from 'sequelize';
import type { Database } from '../platform/database';
import { groupBy } from '../platform/group-by';
import { parsed } from '../platform/parsed';

/** What a person's record is made of, before anybody looks at what is due. */
export interface Done extends Pick<PersonRecord, 'sessions' | 'figures'> {
  /** what was sent and not scored, the newest first */
  readonly unscored: readonly Unscored[];
}
/** A sending, and whether a score came. */
export interface Answered {
  readonly athleteId: number;
  readonly name: string;
  readonly day: string;
  readonly scored: boolean;
}
export interface RecordStore {
  of(athleteId: number): Promise<Done>;
  /** @param from ISO date that the days begin at */
  answered(coachId: number, from: string): Promise<Answered[]>;
}
/** sessions that are told */
const most = 300;

const sessionsQuery = `SELECT s.id AS scoreId, s.workout_id AS workoutId, w.title, CAST(COALESCE(w.day, DATE(s.created_at)) AS CHAR) AS day, s.score, s.note, s.rating, s.measured, s.teaches,
    IF(r.read_revision = r.revision, r.past, NULL) AS past, IF(r.read_revision = r.revision, r.reading, NULL) AS reading
  FROM scores s JOIN workouts w ON w.id = s.workout_id LEFT JOIN readings r ON r.score_id = s.id
  WHERE s.athlete_id = :athleteId AND s.deleted_at IS NULL ORDER BY s.created_at DESC, s.id DESC LIMIT :most`;
const unscoredQuery = `SELECT w.id AS workoutId, w.title, CAST(COALESCE(w.day, DATE(n.sent_at)) AS CHAR) AS day
  FROM sends n JOIN workouts w ON w.id = n.workout_id AND w.deleted_at IS NULL
    LEFT JOIN scores s ON s.workout_id = n.workout_id AND s.athlete_id = n.athlete_id AND s.deleted_at IS NULL
  WHERE n.athlete_id = :athleteId AND n.revoked_at IS NULL AND s.id IS NULL ORDER BY day DESC LIMIT :most`;
const figuresQuery = 'SELECT name, told, created_at AS at FROM figures WHERE athlete_id = :athleteId ORDER BY created_at DESC, id DESC LIMIT 400';
const answeredQuery = `SELECT n.athlete_id AS athleteId, a.name, CAST(w.day AS CHAR) AS day, MAX(s.id IS NOT NULL) AS scored
  FROM workouts w JOIN sends n ON n.workout_id = w.id AND n.revoked_at IS NULL JOIN athletes a ON a.id = n.athlete_id AND a.deleted_at IS NULL
    LEFT JOIN scores s ON s.workout_id = n.workout_id AND s.athlete_id = n.athlete_id AND s.deleted_at IS NULL
  WHERE w.coach_id = :coachId AND w.deleted_at IS NULL AND w.day >= :from GROUP BY n.id ORDER BY day DESC, n.id DESC LIMIT 20000`;

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

interface FigureTold {
  readonly name: string;
  readonly told: string;
  readonly at: Date;
}
/** Figures that were told otherwise once, the oldest first. */
function figuresOver(rows: readonly FigureTold[]): PersonRecord['figures'] {
  const byName = groupBy([...rows].reverse(), ({ name }) => name);
  return [...byName]
    .filter(([, told]) => told.length > 1)
    .map(([name, told]) => ({ name, told: told.map(({ told: text, at }) => ({ text, at: at.toISOString() })) }));
}

export const recordStore = ({ sequelize, read }: Database): RecordStore => {
  const select = <Row extends object>(query: string, replacements: Readonly<Record<string, unknown>>): Promise<Row[]> =>
    read(() => sequelize.query<Row>(query, { replacements: { ...replacements, most }, type: QueryTypes.SELECT }));
  return {
    of: async (athleteId) => ({
      sessions: (await select<SessionRow>(sessionsQuery, { athleteId })).map(shown),
      unscored: await select<Unscored>(unscoredQuery, { athleteId }),
      figures: figuresOver(await select<FigureTold>(figuresQuery, { athleteId })),
    }),
    answered: async (coachId, from) =>
      (await select<Omit<Answered, 'scored'> & { scored: number }>(answeredQuery, { coachId, from })).map((row) => ({
        ...row,
        scored: Number(row.scored) === 1,
      })),
  };
};
