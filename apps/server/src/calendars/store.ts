/** Calendar feeds: an athlete's, of all that was sent to them, behind their own door; a coach's, of all that has a day, behind a link of its own. */
import { QueryTypes } from 'sequelize';
import { newToken } from '../auth/token';
import type { Database } from '../platform/database';

/** What a feed is made of. */
export interface FeedRow {
  readonly workoutId: number;
  readonly title: string;
  readonly text: string;
  readonly day: string;
  /** of the page it leads to; null in a coach's feed */
  readonly token: string | null;
  readonly cancelled: boolean;
  readonly changedAt: Date;
}
export interface CalendarStore {
  /** the link of a coach's feed; null where there is none */
  token(coachId: number): Promise<string | null>;
  /** A new link; the one before opens no more. @param on false: none at all */
  renew(coachId: number, on: boolean): Promise<string | null>;
  coachOf(token: string): Promise<number | null>;
  ofAthlete(athleteId: number): Promise<FeedRow[]>;
  ofCoach(coachId: number): Promise<FeedRow[]>;
}
/** entries of a feed: a calendar keeps what it had before */
const mostEntries = 200;

const athleteFeed = `SELECT s.workout_id AS workoutId, w.title, s.version_text AS text, CAST(COALESCE(w.day, DATE(s.sent_at)) AS CHAR) AS day, s.token,
    (s.revoked_at IS NOT NULL OR w.deleted_at IS NOT NULL) AS cancelled, GREATEST(s.updated_at, w.updated_at) AS changedAt
  FROM sends s JOIN workouts w ON w.id = s.workout_id WHERE s.athlete_id = :id ORDER BY s.id DESC LIMIT ${mostEntries}`;
const coachFeed = `SELECT w.id AS workoutId, w.title, w.text, CAST(w.day AS CHAR) AS day, NULL AS token, (w.deleted_at IS NOT NULL) AS cancelled, w.updated_at AS changedAt
  FROM workouts w WHERE w.coach_id = :id AND w.day IS NOT NULL ORDER BY w.day DESC, w.id DESC LIMIT ${mostEntries}`;

export function calendarStore({ sequelize, models, read, write }: Database): CalendarStore {
  const feed = async (sql: string, id: number): Promise<FeedRow[]> => {
    const rows = await read(() => sequelize.query<Omit<FeedRow, 'cancelled'> & { cancelled: number }>(sql, { replacements: { id }, type: QueryTypes.SELECT }));
    return rows.map(({ cancelled, ...row }) => ({ ...row, cancelled: Number(cancelled) === 1 }));
  };
  return {
    token: async (coachId) => (await read(() => models.coaches.findByPk(coachId, { attributes: ['id', 'calendarToken'] })))?.calendarToken ?? null,
    renew: async (coachId, on) => {
      const calendarToken = on ? newToken() : null;
      await write(() => models.coaches.update({ calendarToken }, { where: { id: coachId } }));
      return calendarToken;
    },
    coachOf: async (calendarToken) => (await read(() => models.coaches.findOne({ where: { calendarToken }, attributes: ['id'] })))?.id ?? null,
    ofAthlete: (athleteId) => feed(athleteFeed, athleteId),
    ofCoach: (coachId) => feed(coachFeed, coachId),
  };
}
