/** Coaches and their sessions. */
import { houseWordsSchema, logBySchema, usualLogBy, type LogBy } from '@gambito/contract';
import { readRules, type HouseRules, type HouseWord, type MassUnit } from '@gambito/core';
import { Op, QueryTypes } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { parsed } from '../platform/parsed';

/** Somebody who is signed in, at the desk they work at: their own, or one that was shared with them. */
export interface Coach {
  /** of the desk: what everything on it belongs to */
  readonly id: number;
  /** of the person: what sessions, passwords and invitations belong to */
  readonly personId: number;
  readonly email: string;
  readonly name: string;
  /** whose desk it is; null: their own */
  readonly guestOf: string | null;
  readonly timeZone: string;
  /** the room's unit, for loads that say none */
  readonly units: MassUnit;
  readonly rules: HouseRules;
  /** of the week: 0 Sunday, 1 Monday */
  readonly firstDay: number;
  /** named by the coach; none: the usual ones */
  readonly tiers: readonly string[];
  /** what was answered about words of messages */
  readonly words: readonly HouseWord[];
  /** lines of the own warm-up; null: none was written */
  readonly ritual: string | null;
  /** h after midnight of its day at which a score is due */
  readonly logByHours: LogBy;
  /** who set the instance up */
  readonly founder: boolean;
}
export interface NewCoach {
  readonly email: string;
  readonly name: string;
  readonly passwordHash: string;
  readonly timeZone: string;
  readonly units: MassUnit;
}
export interface CoachStore {
  count(): Promise<number>;
  byId(id: number): Promise<Coach | null>;
  byEmail(email: string): Promise<Coach | null>;
  passwordHash(id: number): Promise<string | null>;
  /** The first coach of the instance. @throws what a unique key says where somebody was quicker */
  createFounder(coach: NewCoach): Promise<Coach>;
  /** A coach who was invited; the invitation is used up with it. @throws {Problem} not_found where it is no more; what a unique key says of the e-mail */
  createInvited(coach: NewCoach, tokenHash: string, now: Date): Promise<Coach>;
  change(
    id: number,
    change: Partial<
      Pick<NewCoach, 'timeZone' | 'units' | 'passwordHash'> &
        Pick<Coach, 'firstDay' | 'ritual' | 'logByHours'> & { readonly tiers: string[]; readonly words: HouseWord[] }
    >,
  ): Promise<void>;
  /** What was answered about words, beside what others answer at the same moment. */
  changeWords(id: number, change: (before: readonly HouseWord[]) => readonly HouseWord[]): Promise<readonly HouseWord[]>;
  /** Changes some house rules, beside what others change at the same moment. */
  changeRules(id: number, change: Readonly<Record<string, unknown>>): Promise<HouseRules>;
}

/** A person beside the desk they work at. */
interface AtDesk {
  readonly id: number;
  readonly personId: number;
  readonly email: string;
  readonly name: string;
  readonly owner: string;
  readonly founder: number | null;
  readonly timeZone: string;
  readonly units: string;
  readonly rules: unknown;
  readonly firstDay: number | null;
  readonly tiers: unknown;
  readonly words: unknown;
  readonly ritual: string | null;
  readonly logByHours: number;
}
const atDesk = `p.id AS personId, p.email, p.name, p.founder, d.id, d.name AS owner, d.time_zone AS timeZone, d.units, d.rules, d.first_day AS firstDay, d.tiers, d.words, d.ritual, d.log_by_hours AS logByHours
  FROM coaches p JOIN coaches d ON d.id = COALESCE(p.desk_id, p.id)`;

const show = ({ owner, units, rules, firstDay, tiers, words, founder, logByHours, ...row }: AtDesk): Coach => ({
  ...row,
  logByHours: logBySchema.safeParse(logByHours).data ?? usualLogBy,
  guestOf: row.id === row.personId ? null : owner,
  units: units === 'lb' ? 'lb' : 'kg',
  rules: readRules(parsed(rules)).rules,
  firstDay: firstDay ?? 1,
  tiers: parsed<string[] | null>(tiers) ?? [],
  words: houseWordsSchema.safeParse(parsed(words)).data ?? [],
  founder: founder === 1,
});

/** One coach, by what of the person or of the session is known. */
const oneCoach =
  ({ sequelize, read }: Database) =>
  async (where: string, replacements: Record<string, unknown>): Promise<Coach | null> => {
    const [row] = await read(() => sequelize.query<AtDesk>(`SELECT ${atDesk} ${where}`, { replacements, type: QueryTypes.SELECT }));
    return row ? show(row) : null;
  };

export function coachStore(database: Database): CoachStore {
  const { models, read, write, transact } = database;
  const one = oneCoach(database);
  const byId = (id: number): Promise<Coach | null> => one('WHERE p.id = :id', { id });
  const made = async (id: number): Promise<Coach> => (await byId(id))!;
  return {
    count: () => read(() => models.coaches.count()),
    byId,
    byEmail: (email) => one('WHERE p.email = :email', { email }),
    passwordHash: async (id) => (await read(() => models.coaches.findByPk(id, { attributes: ['id', 'passwordHash'] })))?.passwordHash ?? null,
    createFounder: async (coach) =>
      made(await transact(async (transaction) => (await models.coaches.create({ ...coach, rules: {}, founder: 1 }, { transaction })).id)),
    createInvited: async (coach, tokenHash, now) =>
      made(
        await transact(async (transaction) => {
          const open = { tokenHash, expiresAt: { [Op.gt]: now } };
          const invitation = await models.invitations.findOne({ where: open, transaction });
          // of two who follow one link one is taken
          const used = await models.invitations.destroy({ where: open, transaction });
          if (!invitation || used === 0) throw new Problem('not_found');
          const deskId = invitation.shared === 1 ? invitation.coachId : null;
          return (await models.coaches.create({ ...coach, rules: {}, founder: null, deskId }, { transaction })).id;
        }),
      ),
    change: async (id, change) => {
      await write(() => models.coaches.update(change, { where: { id } }));
    },
    changeWords: (id, change) =>
      transact(async (transaction) => {
        const row = await models.coaches.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE, rejectOnEmpty: true });
        const words = change(houseWordsSchema.safeParse(row.words).data ?? []);
        await row.update({ words: [...words] }, { transaction });
        return words;
      }),
    changeRules: (id, change) =>
      transact(async (transaction) => {
        const row = await models.coaches.findByPk(id, { transaction, lock: transaction.LOCK.UPDATE, rejectOnEmpty: true });
        const { rules } = readRules({ ...readRules(row.rules).rules, ...change });
        await row.update({ rules }, { transaction });
        return rules;
      }),
  };
}

export interface Session {
  readonly id: string;
  readonly device: string;
  readonly since: Date;
  readonly expiresAt: Date;
}
export interface SessionStore {
  /** @param device what the browser calls itself */
  open(tokenHash: string, coachId: number, expiresAt: Date, device: string): Promise<void>;
  /** the living ones, the newest first */
  list(coachId: number, now: Date): Promise<Session[]>;
  /** One of a coach's own. @throws {Problem} not_found */
  end(coachId: number, tokenHash: string): Promise<void>;
  coachOf(tokenHash: string, now: Date): Promise<Coach | null>;
  close(tokenHash: string): Promise<void>;
  /** every session of a coach, but for the one that is kept */
  closeAll(coachId: number, keep: string | null): Promise<void>;
  sweep(now: Date): Promise<void>;
}

export function sessionStore(database: Database): SessionStore {
  const { models, read, write } = database;
  const one = oneCoach(database);
  return {
    open: async (tokenHash, coachId, expiresAt, device) => {
      await write(() => models.sessions.upsert({ tokenHash, coachId, expiresAt, device: device.slice(0, 200) }));
    },
    list: async (coachId, now) => {
      const rows = await read(() => models.sessions.findAll({ where: { coachId, expiresAt: { [Op.gt]: now } }, order: [['createdAt', 'DESC']] }));
      return rows.map(({ tokenHash, device, createdAt, expiresAt }) => ({ id: tokenHash, device, since: createdAt, expiresAt }));
    },
    end: async (coachId, tokenHash) => {
      if ((await write(() => models.sessions.destroy({ where: { coachId, tokenHash } }))) === 0) throw new Problem('not_found');
    },
    coachOf: (tokenHash, now) => one('JOIN sessions s ON s.coach_id = p.id WHERE s.token_hash = :tokenHash AND s.expires_at > :now', { tokenHash, now }),
    close: async (tokenHash) => {
      await write(() => models.sessions.destroy({ where: { tokenHash } }));
    },
    closeAll: async (coachId, keep) => {
      await write(() => models.sessions.destroy({ where: { coachId, ...(keep === null ? {} : { tokenHash: { [Op.ne]: keep } }) } }));
    },
    sweep: async (now) => {
      await models.sessions.destroy({ where: { expiresAt: { [Op.lt]: now } } });
      await models.invitations.destroy({ where: { expiresAt: { [Op.lt]: now } } });
      await models.resets.destroy({ where: { expiresAt: { [Op.lt]: now } } });
      await models.browsers.destroy({ where: { expiresAt: { [Op.lt]: now } } });
    },
  };
}

/** Browsers a person has signed in with. */
export interface BrowserStore {
  know(personId: number, tokenHash: string, expiresAt: Date): Promise<void>;
  isKnown(personId: number, tokenHash: string, now: Date): Promise<boolean>;
}

export const browserStore = ({ models, read, write }: Database): BrowserStore => ({
  know: async (coachId, tokenHash, expiresAt) => {
    await write(() => models.browsers.upsert({ tokenHash, coachId, expiresAt }));
  },
  isKnown: async (coachId, tokenHash, now) => (await read(() => models.browsers.count({ where: { coachId, tokenHash, expiresAt: { [Op.gt]: now } } }))) > 0,
});

export interface Invitation {
  readonly id: string;
  readonly expiresAt: Date;
  /** to this desk, not to one of their own */
  readonly shared: boolean;
}
export interface InvitationStore {
  make(coachId: number, tokenHash: string, expiresAt: Date, shared: boolean): Promise<void>;
  isOpen(tokenHash: string, now: Date): Promise<boolean>;
  list(coachId: number, now: Date): Promise<Invitation[]>;
  /** @throws {Problem} not_found */
  withdraw(coachId: number, tokenHash: string): Promise<void>;
}

export const invitationStore = ({ models, read, write }: Database): InvitationStore => ({
  make: async (coachId, tokenHash, expiresAt, shared) => {
    await write(() => models.invitations.upsert({ tokenHash, coachId, expiresAt, shared: shared ? 1 : 0 }));
  },
  isOpen: async (tokenHash, now) => (await read(() => models.invitations.count({ where: { tokenHash, expiresAt: { [Op.gt]: now } } }))) > 0,
  list: async (coachId, now) => {
    const rows = await read(() => models.invitations.findAll({ where: { coachId, expiresAt: { [Op.gt]: now } }, order: ['expiresAt'] }));
    return rows.map(({ tokenHash, expiresAt, shared }) => ({ id: tokenHash, expiresAt, shared: shared === 1 }));
  },
  withdraw: async (coachId, tokenHash) => {
    if ((await write(() => models.invitations.destroy({ where: { coachId, tokenHash } }))) === 0) throw new Problem('not_found');
  },
});
