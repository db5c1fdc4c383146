/** Coaches and their sessions. */
import { readRules, type HouseRules, type MassUnit } from '@gambito/core';
import { Op, type WhereOptions } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import type { CoachRow } from '../platform/models';

export interface Coach {
  readonly id: number;
  readonly email: string;
  readonly name: string;
  readonly timeZone: string;
  /** the room's unit, for loads that say none */
  readonly units: MassUnit;
  readonly rules: HouseRules;
  /** of the week: 0 Sunday, 1 Monday */
  readonly firstDay: number;
  /** named by the coach; none: the usual ones */
  readonly tiers: readonly string[];
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
    change: Partial<Pick<NewCoach, 'timeZone' | 'units' | 'passwordHash'> & { readonly firstDay: number; readonly tiers: string[] }>,
  ): Promise<void>;
  /** Changes some house rules, beside what others change at the same moment. */
  changeRules(id: number, change: Readonly<Record<string, unknown>>): Promise<HouseRules>;
}

const show = ({ id, email, name, timeZone, units, rules, firstDay, tiers, founder }: CoachRow): Coach => ({
  id,
  email,
  name,
  timeZone,
  units: units === 'lb' ? 'lb' : 'kg',
  rules: readRules(rules).rules,
  firstDay: firstDay ?? 1,
  tiers: tiers ?? [],
  founder: founder === 1,
});

export function coachStore({ models, read, write, transact }: Database): CoachStore {
  const one = async (where: WhereOptions<CoachRow>): Promise<Coach | null> => {
    const row = await read(() => models.coaches.findOne({ where: where as never }));
    return row && show(row);
  };
  return {
    count: () => read(() => models.coaches.count()),
    byId: (id) => one({ id }),
    byEmail: (email) => one({ email }),
    passwordHash: async (id) => (await read(() => models.coaches.findByPk(id, { attributes: ['id', 'passwordHash'] })))?.passwordHash ?? null,
    createFounder: (coach) => transact(async (transaction) => show(await models.coaches.create({ ...coach, rules: {}, founder: 1 }, { transaction }))),
    createInvited: (coach, tokenHash, now) =>
      transact(async (transaction) => {
        // of two who follow one link one is taken
        const used = await models.invitations.destroy({ where: { tokenHash, expiresAt: { [Op.gt]: now } }, transaction });
        if (used === 0) throw new Problem('not_found');
        return show(await models.coaches.create({ ...coach, rules: {}, founder: null }, { transaction }));
      }),
    change: async (id, change) => {
      await write(() => models.coaches.update(change, { where: { id } }));
    },
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

export function sessionStore({ sequelize, models, read, write }: Database): SessionStore {
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
    coachOf: async (tokenHash, now) => {
      const [row] = await read(() =>
        sequelize.query('SELECT c.* FROM sessions s JOIN coaches c ON c.id = s.coach_id WHERE s.token_hash = :tokenHash AND s.expires_at > :now', {
          replacements: { tokenHash, now },
          model: models.coaches,
          mapToModel: true,
        }),
      );
      return row ? show(row) : null;
    },
    close: async (tokenHash) => {
      await write(() => models.sessions.destroy({ where: { tokenHash } }));
    },
    closeAll: async (coachId, keep) => {
      await write(() => models.sessions.destroy({ where: { coachId, ...(keep === null ? {} : { tokenHash: { [Op.ne]: keep } }) } }));
    },
    sweep: async (now) => {
      await models.sessions.destroy({ where: { expiresAt: { [Op.lt]: now } } });
      await models.invitations.destroy({ where: { expiresAt: { [Op.lt]: now } } });
    },
  };
}

export interface Invitation {
  readonly id: string;
  readonly expiresAt: Date;
}
export interface InvitationStore {
  make(coachId: number, tokenHash: string, expiresAt: Date): Promise<void>;
  isOpen(tokenHash: string, now: Date): Promise<boolean>;
  list(coachId: number, now: Date): Promise<Invitation[]>;
  /** @throws {Problem} not_found */
  withdraw(coachId: number, tokenHash: string): Promise<void>;
}

export const invitationStore = ({ models, read, write }: Database): InvitationStore => ({
  make: async (coachId, tokenHash, expiresAt) => {
    await write(() => models.invitations.upsert({ tokenHash, coachId, expiresAt }));
  },
  isOpen: async (tokenHash, now) => (await read(() => models.invitations.count({ where: { tokenHash, expiresAt: { [Op.gt]: now } } }))) > 0,
  list: async (coachId, now) => {
    const rows = await read(() => models.invitations.findAll({ where: { coachId, expiresAt: { [Op.gt]: now } }, order: ['expiresAt'] }));
    return rows.map(({ tokenHash, expiresAt }) => ({ id: tokenHash, expiresAt }));
  },
  withdraw: async (coachId, tokenHash) => {
    if ((await write(() => models.invitations.destroy({ where: { coachId, tokenHash } }))) === 0) throw new Problem('not_found');
  },
});
