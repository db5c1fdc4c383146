/** What was sent to whom, behind which link. A link opens one athlete's version of one workout and nothing else. */
import type { Brief, StoredSend } from '@gambito/contract';
import { QueryTypes, type Transaction } from 'sequelize';
import { orAgain, type Database } from '../platform/database';
import { newToken } from '../auth/token';
import { Problem } from '../platform/errors';
import type { SendRow } from '../platform/rows';
import { parsed } from '../platform/parsed';
import type { MadeBrief } from './brief';
import type { SentVersion } from './still-safe';

/** What a living link opens. */
export interface OpenLink {
  readonly coachId: number;
  readonly workoutId: number;
  readonly athleteId: number;
  readonly originalText: string;
  readonly versionText: string;
  readonly brief: Brief;
  readonly sentAt: Date;
  readonly expiresAt: Date;
  readonly revokedAt: Date | null;
  /** of the workout as it stands; null where it was deleted */
  readonly workout: { readonly text: string; readonly day: string | null } | null;
  readonly athleteDeleted: boolean;
  /** h after midnight of its day at which a score is due */
  readonly logByHours: number;
  /** as it stands */
  readonly athleteFile: Readonly<Record<string, unknown>>;
  /** asked for on the day, in words; the version and the page are those made for it */
  readonly today: string | null;
  /** a class was opened and not ended */
  readonly together: boolean;
}
/** What an athlete asked for on the day, with the version made for it. */
export interface Today {
  readonly said: string;
  readonly versionText: string;
  readonly brief: Brief;
}
export interface Sent {
  readonly athleteId: number;
  readonly versionText: string;
  readonly expected: Brief['parts'][number]['predicted'][];
}
export interface NewSend {
  readonly workoutId: number;
  readonly athleteId: number;
  readonly originalText: string;
  readonly made: MadeBrief;
  /** who sends it; left out where nobody is noted */
  readonly by?: string;
}
export interface SendStore {
  /** @param text of the workout as it stands */
  list(workoutId: number, text: string): Promise<StoredSend[]>;
  /** What stands behind each open link, for whoever asks whether it may still be done. */
  standing(workoutId: number): Promise<(SentVersion & { readonly id: number; readonly athleteId: number })[]>;
  /** Sends or sends again: the link stays while it is alive; a withdrawn or expired one is replaced by a new one. */
  send(send: NewSend, now: Date, transaction?: Transaction): Promise<void>;
  /** The version a score of this athlete is of; null where nothing was sent. */
  versionFor(workoutId: number, athleteId: number): Promise<string | null>;
  /** s that each version is expected to take, by athlete; 0 where that was not told yet */
  lengths(workoutId: number): Promise<ReadonlyMap<number, number>>;
  /** What was sent and not withdrawn, without the pages. */
  expected(workoutId: number): Promise<Sent[]>;
  /** @throws {Problem} not_found */
  revoke(workoutId: number, id: number, now: Date): Promise<void>;
  /** The withdrawn link opens again, the same one. @throws {Problem} not_found */
  reopen(workoutId: number, id: number): Promise<void>;
  /** The link was opened; only the first time after it was sent is written down. */
  noteOpened(workoutId: number, athleteId: number, now: Date): Promise<void>;
  /** null: back to the version that was sent */
  setToday(workoutId: number, athleteId: number, today: Today | null): Promise<void>;
  /** null where no link has this token */
  open(token: string): Promise<OpenLink | null>;
}

/** ms a link lives after it was sent */
const lifetime = 120 * 24 * 3600 * 1000;

const show = (
  row: Pick<SendRow, 'id' | 'athleteId' | 'token' | 'sentAt' | 'revokedAt' | 'openedAt' | 'originalText' | 'today' | 'sentBy'>,
  text: string,
): StoredSend => ({
  id: row.id,
  athleteId: row.athleteId,
  token: row.token,
  sentAt: row.sentAt.toISOString(),
  sentBy: row.sentBy,
  revoked: row.revokedAt !== null,
  opened: row.openedAt !== null && row.openedAt >= row.sentAt,
  changed: row.originalText !== text,
  against: [],
  today: row.today ? parsed<Today>(row.today).said : null,
});
const expectedOf = ({ brief }: Pick<MadeBrief, 'brief'>): Sent['expected'] => brief.parts.map(({ predicted }) => predicted ?? null);

interface LinkRow {
  readonly coachId: number;
  readonly workoutId: number;
  readonly athleteId: number;
  readonly originalText: string;
  readonly versionText: string;
  readonly brief: Brief | string;
  readonly sentAt: Date;
  readonly expiresAt: Date;
  readonly revokedAt: Date | null;
  readonly text: string;
  readonly day: string | null;
  readonly workoutDeleted: Date | null;
  readonly athleteDeleted: Date | null;
  readonly athleteFile: unknown;
  readonly today: unknown;
  readonly together: 0 | 1;
  readonly logByHours: number;
}
const linkQuery = `SELECT w.coach_id AS coachId, s.workout_id AS workoutId, s.athlete_id AS athleteId, s.original_text AS originalText, s.version_text AS versionText,
    s.brief, s.today, s.sent_at AS sentAt, s.expires_at AS expiresAt, s.revoked_at AS revokedAt, w.text, CAST(w.day AS CHAR) AS day, w.deleted_at AS workoutDeleted, a.deleted_at AS athleteDeleted, a.file AS athleteFile, d.log_by_hours AS logByHours,
    (k.workout_id IS NOT NULL AND k.ended_at IS NULL) AS together
  FROM sends s JOIN workouts w ON w.id = s.workout_id JOIN athletes a ON a.id = s.athlete_id JOIN coaches d ON d.id = w.coach_id LEFT JOIN class_clocks k ON k.workout_id = s.workout_id WHERE s.token = :token`;

/** Of each link that is open: the version behind it, what it was made for, and the file as it stands. */
const standingQuery = `SELECT s.id, s.athlete_id AS athleteId, s.version_text AS versionText, JSON_EXTRACT(s.brief, '$.madeFor') AS madeFor, s.today, a.file
  FROM sends s JOIN athletes a ON a.id = s.athlete_id AND a.deleted_at IS NULL WHERE s.workout_id = :workoutId AND s.revoked_at IS NULL`;
interface StandingRow {
  readonly id: number;
  readonly athleteId: number;
  readonly versionText: string;
  readonly madeFor: unknown;
  readonly today: unknown;
  readonly file: unknown;
}
const standingOf = ({ id, athleteId, today, file, ...sent }: StandingRow): SentVersion & { readonly id: number; readonly athleteId: number } => {
  const asked = today ? parsed<Today>(today) : null;
  const madeFor = asked ? asked.brief.madeFor : sent.madeFor ? parsed<NonNullable<Brief['madeFor']>>(sent.madeFor) : undefined;
  return { id, athleteId, versionText: asked?.versionText ?? sent.versionText, madeFor, file: parsed<SentVersion['file']>(file) };
};

type Reads = Pick<SendStore, 'list' | 'standing' | 'versionFor' | 'lengths' | 'expected' | 'open'>;
function sendReads({ sequelize, models, read }: Database): Reads {
  return {
    list: async (workoutId, text) => {
      const attributes = ['id', 'athleteId', 'token', 'sentAt', 'revokedAt', 'openedAt', 'originalText', 'today', 'sentBy'] as const;
      const rows = await read(() => models.sends.findAll({ where: { workoutId }, attributes: [...attributes], order: ['id'] }));
      return rows.map((row) => show(row, text));
    },
    standing: async (workoutId) =>
      (await read(() => sequelize.query<StandingRow>(standingQuery, { replacements: { workoutId }, type: QueryTypes.SELECT }))).map(standingOf),
    versionFor: async (workoutId, athleteId) => {
      const row = await read(() => models.sends.findOne({ where: { workoutId, athleteId }, attributes: ['versionText', 'today'] }));
      if (!row) return null;
      return row.today ? parsed<Today>(row.today).versionText : row.versionText;
    },
    lengths: async (workoutId) => {
      const rows = await read(() =>
        sequelize.query<{ athleteId: number; seconds: string | null }>(
          "SELECT athlete_id AS athleteId, JSON_VALUE(brief, '$.wholeSeconds') AS seconds FROM sends WHERE workout_id = :workoutId",
          { replacements: { workoutId }, type: QueryTypes.SELECT },
        ),
      );
      return new Map(rows.map(({ athleteId, seconds }) => [athleteId, Number(seconds ?? 0)]));
    },
    expected: async (workoutId) =>
      (await read(() => models.sends.findAll({ where: { workoutId, revokedAt: null }, attributes: ['athleteId', 'versionText', 'expected', 'today'] }))).map(
        ({ athleteId, versionText, expected, today }) => {
          const asked = today ? parsed<Today>(today) : null;
          return { athleteId, versionText: asked?.versionText ?? versionText, expected: asked ? expectedOf(asked) : (expected as Sent['expected']) };
        },
      ),
    open: async (token) => {
      const [row] = await read(() => sequelize.query<LinkRow>(linkQuery, { replacements: { token }, type: QueryTypes.SELECT }));
      if (!row) return null;
      const today = row.today ? parsed<Today>(row.today) : null;
      const { brief, versionText } = today ?? { brief: parsed<Brief>(row.brief), versionText: row.versionText };
      return {
        ...row,
        brief,
        versionText,
        today: today?.said ?? null,
        workout: row.workoutDeleted ? null : { text: row.text, day: row.day },
        together: row.together === 1,
        athleteDeleted: row.athleteDeleted !== null,
        athleteFile: parsed<OpenLink['athleteFile']>(row.athleteFile),
      };
    },
  };
}

function sendWrites({ sequelize, models, read, write, transact }: Database): Omit<SendStore, keyof Reads> {
  /** In one transaction, so that two who send at once leave one row. */
  const put = async ({ workoutId, athleteId, originalText, made, by = '' }: NewSend, now: Date, transaction: Transaction): Promise<void> => {
    const fresh = {
      originalText,
      versionText: made.versionText,
      brief: made.brief,
      expected: expectedOf(made),
      sentAt: now,
      sentBy: by,
      expiresAt: new Date(now.getTime() + lifetime),
      revokedAt: null,
      // what was asked for was of another version
      today: null,
    };
    const row = await models.sends.findOne({ where: { workoutId, athleteId }, transaction, lock: transaction.LOCK.UPDATE });
    if (!row) await models.sends.create({ workoutId, athleteId, token: newToken(), ...fresh }, { transaction });
    else await row.update({ ...fresh, ...(row.revokedAt || row.expiresAt < now ? { token: newToken() } : {}) }, { transaction });
  };
  const setRevoked = async (workoutId: number, id: number, revokedAt: Date | null): Promise<void> => {
    if (!(await read(() => models.sends.findOne({ where: { id, workoutId }, attributes: ['id'] })))) throw new Problem('not_found');
    await write(() => models.sends.update({ revokedAt }, { where: { id, workoutId, ...(revokedAt ? { revokedAt: null } : {}) } }));
  };
  return {
    send: (send, now, transaction) => (transaction ? put(send, now, transaction) : orAgain(() => transact((own) => put(send, now, own)))),
    revoke: (workoutId, id, now) => setRevoked(workoutId, id, now),
    reopen: (workoutId, id) => setRevoked(workoutId, id, null),
    noteOpened: async (workoutId, athleteId, now) => {
      await write(() =>
        sequelize.query(
          'UPDATE sends SET opened_at = :now WHERE workout_id = :workoutId AND athlete_id = :athleteId AND (opened_at IS NULL OR opened_at < sent_at)',
          { replacements: { workoutId, athleteId, now } },
        ),
      );
    },
    setToday: async (workoutId, athleteId, today) => {
      await write(() => models.sends.update({ today }, { where: { workoutId, athleteId } }));
    },
  };
}

export const sendStore = (database: Database): SendStore => ({ ...sendReads(database), ...sendWrites(database) });
