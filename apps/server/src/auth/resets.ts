/** Links to a new password: one at a time, for an hour, used once. Only the hash of a token is kept. */
import { hash } from '@node-rs/argon2';
import { Op } from 'sequelize';
import type { Database } from '../platform/database';
import { Problem } from '../platform/errors';
import { newToken, tokenHash } from './token';

/** ms */
export const resetLength = 3600 * 1000;

export interface ResetStore {
  /** A link for this person; the one before opens no more. @returns its token, told once */
  make(personId: number, now: Date): Promise<string>;
  isOpen(token: string, now: Date): Promise<boolean>;
  /** The new password; every session of this person ends. @throws {Problem} not_found where the link was used or ran out */
  use(token: string, password: string, now: Date): Promise<number>;
}

export const resetStore = ({ models, read, transact }: Database): ResetStore => ({
  make: async (coachId, now) => {
    const token = newToken();
    await transact(async (transaction) => {
      await models.resets.destroy({ where: { coachId }, transaction });
      await models.resets.create({ tokenHash: tokenHash(token), coachId, expiresAt: new Date(now.getTime() + resetLength) }, { transaction });
    });
    return token;
  },
  isOpen: async (token, now) => (await read(() => models.resets.count({ where: { tokenHash: tokenHash(token), expiresAt: { [Op.gt]: now } } }))) > 0,
  use: async (token, password, now) => {
    const passwordHash = await hash(password);
    return transact(async (transaction) => {
      const open = { tokenHash: tokenHash(token), expiresAt: { [Op.gt]: now } };
      const reset = await models.resets.findOne({ where: open, transaction, lock: transaction.LOCK.UPDATE });
      // of two who follow one link one is taken
      if (!reset || (await models.resets.destroy({ where: open, transaction })) === 0) throw new Problem('not_found');
      await models.coaches.update({ passwordHash }, { where: { id: reset.coachId }, transaction });
      await models.sessions.destroy({ where: { coachId: reset.coachId }, transaction });
      return reset.coachId;
    });
  },
});

/** A link for who forgot a password, told to whoever keeps the machine. @returns its token; null where nobody has this e-mail */
export async function resetLink(database: Database, email: string, now = new Date()): Promise<string | null> {
  const coach = await database.models.coaches.findOne({ where: { email: email.trim().toLowerCase() }, attributes: ['id'] });
  return coach && resetStore(database).make(coach.id, now);
}
