/** Coaches and their sessions. */
import { readRules, type HouseRules, type MassUnit } from '@gambito/core';
import { Op, type WhereOptions } from 'sequelize';
import type { Database } from '../platform/database';
import type { CoachRow } from '../platform/models';

export interface Coach {
  readonly id: number;
  readonly email: string;
  readonly name: string;
  readonly timeZone: string;
  /** the room's unit, for loads that say none */
  readonly units: MassUnit;
  readonly rules: HouseRules;
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
  change(id: number, change: Partial<Pick<NewCoach, 'timeZone' | 'units' | 'passwordHash'>>): Promise<void>;
  /** Changes some house rules, beside what others change at the same moment. */
  changeRules(id: number, change: Readonly<Record<string, unknown>>): Promise<HouseRules>;
}

const show = ({ id, email, name, timeZone, units, rules }: CoachRow): Coach => ({
  id,
  email,
  name,
  timeZone,
  units: units === 'lb' ? 'lb' : 'kg',
  rules: readRules(rules).rules,
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

export interface SessionStore {
  open(tokenHash: string, coachId: number, expiresAt: Date): Promise<void>;
  coachOf(tokenHash: string, now: Date): Promise<Coach | null>;
  close(tokenHash: string): Promise<void>;
  /** every session of a coach, but for the one that is kept */
  closeAll(coachId: number, keep: string | null): Promise<void>;
  sweep(now: Date): Promise<void>;
}

export function sessionStore({ models, read, write }: Database): SessionStore {
  return {
    open: async (tokenHash, coachId, expiresAt) => {
      await write(() => models.sessions.upsert({ tokenHash, coachId, expiresAt }));
    },
    coachOf: async (tokenHash, now) => {
      const session = await read(() => models.sessions.findOne({ where: { tokenHash, expiresAt: { [Op.gt]: now } } }));
      const row = session && (await read(() => models.coaches.findByPk(session.coachId)));
      return row && show(row);
    },
    close: async (tokenHash) => {
      await write(() => models.sessions.destroy({ where: { tokenHash } }));
    },
    closeAll: async (coachId, keep) => {
      await write(() => models.sessions.destroy({ where: { coachId, ...(keep === null ? {} : { tokenHash: { [Op.ne]: keep } }) } }));
    },
    sweep: async (now) => {
      await models.sessions.destroy({ where: { expiresAt: { [Op.lt]: now } } });
    },
  };
}
