/** An athlete's own door: one link a person, to all that was sent to them; and what they propose through it. */
import type { Door, OwnDay, Proposal, ProposedChange } from '@gambito/contract';
import { Op, QueryTypes } from 'sequelize';
import { orAgain, type Database } from '../platform/database';
import { newToken } from '../auth/token';
import { Problem } from '../platform/errors';
import type { DoorRow } from '../platform/rows';
import { parsed } from '../platform/parsed';
import { harmSaid } from './said';

/** What a living door opens. */
export interface OpenDoor {
  readonly coachId: number;
  readonly athleteId: number;
  readonly name: string;
  readonly athleteFile: Readonly<Record<string, unknown>>;
}
export interface DoorStore {
  /** null where there is none, or it ran out */
  find(athleteId: number, now: Date): Promise<Door | null>;
  /** Makes one, or opens the withdrawn one again: the same link. */
  open(athleteId: number, now: Date): Promise<Door>;
  withdraw(athleteId: number, now: Date): Promise<void>;
  /** null where no living door has this token */
  byToken(token: string, now: Date): Promise<OpenDoor | null>;
  noteOpened(athleteId: number, now: Date): Promise<void>;
  /** what was sent to somebody and is still open, the newest day first */
  days(athleteId: number, now: Date): Promise<OwnDay[]>;
}

/** ms a door stays open after it was made or opened again */
const lifetime = 365 * 24 * 3600 * 1000;
/** days that a door lists */
const mostDays = 60;

const show = ({ token, revokedAt, openedAt, expiresAt }: DoorRow): Door => ({
  token,
  revoked: revokedAt !== null,
  opened: openedAt !== null,
  expiresAt: expiresAt.toISOString(),
});

const byTokenQuery = `SELECT a.coach_id AS coachId, a.id AS athleteId, a.name, a.file AS athleteFile FROM doors d JOIN athletes a ON a.id = d.athlete_id AND a.deleted_at IS NULL
  WHERE d.token = :token AND d.revoked_at IS NULL AND d.expires_at > :now`;
const daysQuery = `SELECT w.title, CAST(COALESCE(w.day, DATE(s.sent_at)) AS CHAR) AS day, s.token, c.score FROM sends s
    JOIN workouts w ON w.id = s.workout_id AND w.deleted_at IS NULL
    LEFT JOIN scores c ON c.workout_id = s.workout_id AND c.athlete_id = s.athlete_id AND c.deleted_at IS NULL
  WHERE s.athlete_id = :athleteId AND s.revoked_at IS NULL AND s.expires_at > :now ORDER BY day DESC, s.id DESC LIMIT ${mostDays}`;

export function doorStore({ sequelize, models, read, write, transact }: Database): DoorStore {
  const living = (athleteId: number, now: Date) => ({ athleteId, expiresAt: { [Op.gt]: now } });
  return {
    find: async (athleteId, now) => {
      const row = await read(() => models.doors.findOne({ where: living(athleteId, now) }));
      return row && show(row);
    },
    open: (athleteId, now) =>
      orAgain(() =>
        transact(async (transaction) => {
          const expiresAt = new Date(now.getTime() + lifetime);
          const row = await models.doors.findOne({ where: { athleteId }, transaction, lock: transaction.LOCK.UPDATE });
          if (!row) return show(await models.doors.create({ athleteId, token: newToken(), expiresAt, revokedAt: null, openedAt: null }, { transaction }));
          // one that ran out is another link from then on
          const fresh = row.expiresAt <= now ? { token: newToken(), openedAt: null } : {};
          return show(await row.update({ ...fresh, expiresAt, revokedAt: null }, { transaction }));
        }),
      ),
    withdraw: async (athleteId, now) => {
      const [count] = await write(() => models.doors.update({ revokedAt: now }, { where: { ...living(athleteId, now), revokedAt: null } }));
      if (count === 0) throw new Problem('not_found');
    },
    byToken: async (token, now) => {
      const [row] = await read(() =>
        sequelize.query<OpenDoor & { athleteFile: unknown }>(byTokenQuery, { replacements: { token, now }, type: QueryTypes.SELECT }),
      );
      return row ? { ...row, athleteFile: parsed<OpenDoor['athleteFile']>(row.athleteFile) } : null;
    },
    noteOpened: async (athleteId, now) => {
      await write(() => models.doors.update({ openedAt: now }, { where: { athleteId, openedAt: null } }));
    },
    days: (athleteId, now) => read(() => sequelize.query<OwnDay>(daysQuery, { replacements: { athleteId, now }, type: QueryTypes.SELECT })),
  };
}

export interface ProposalStore {
  make(coachId: number, athleteId: number, change: ProposedChange): Promise<void>;
  /** what waits for the coach from some athletes */
  from(athleteIds: readonly number[]): Promise<ReadonlyMap<number, ProposedChange[]>>;
  /** that wait for the coach, the oldest first */
  open(coachId: number): Promise<Proposal[]>;
  /** @param taken whether the coach took it; null: it waits again @throws {Problem} not_found */
  settle(coachId: number, id: number, taken: boolean | null, now: Date): Promise<void>;
}
/** of one athlete that may wait; the oldest gives way */
const mostWaiting = 20;

export const proposalStore = ({ models, read, write, transact }: Database): ProposalStore => ({
  make: (coachId, athleteId, change) =>
    transact(async (transaction) => {
      await models.proposals.create({ coachId, athleteId, change, settledAt: null, taken: null }, { transaction });
      const waiting = await models.proposals.findAll({
        where: { athleteId, settledAt: null },
        attributes: ['id', 'change'],
        order: [['id', 'DESC']],
        transaction,
      });
      // what speaks of harm waits until it is answered, however much comes after it
      const old = waiting
        .filter((row) => harmSaid([row.change as ProposedChange], {}).length === 0)
        .slice(mostWaiting)
        .map(({ id }) => id);
      if (old.length > 0) await models.proposals.destroy({ where: { id: old }, transaction });
    }),
  from: async (athleteIds) => {
    const rows = await read(() => models.proposals.findAll({ where: { athleteId: [...athleteIds], settledAt: null }, order: ['id'] }));
    const changes = new Map<number, ProposedChange[]>();
    for (const { athleteId, change } of rows) changes.set(athleteId, [...(changes.get(athleteId) ?? []), change as ProposedChange]);
    return changes;
  },
  open: async (coachId) => {
    const rows = await read(() => models.proposals.findAll({ where: { coachId, settledAt: null }, order: ['id'], limit: 200 }));
    return rows.map(({ id, athleteId, change, createdAt }) => ({ id, athleteId, change: change as ProposedChange, at: createdAt.toISOString() }));
  },
  settle: async (coachId, id, taken, now) => {
    const change = taken === null ? { settledAt: null, taken: null } : { settledAt: now, taken: taken ? 1 : 0 };
    const [count] = await write(() => models.proposals.update(change, { where: { id, coachId } }));
    if (count === 0 && !(await read(() => models.proposals.findOne({ where: { id, coachId }, attributes: ['id'] })))) throw new Problem('not_found');
  },
});
