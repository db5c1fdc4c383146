/**
 * How often something may be tried. What belongs to somebody we know is counted in the database, so that all servers count together; addresses, which anybody has many of, are counted in
 * this server's memory and write nothing. A database that is away limits nobody: it refuses by itself.
 */
import { LRUCache } from 'lru-cache';
import { createHash } from 'node:crypto';
import { Op, QueryTypes } from 'sequelize';
import type { Database } from './database';
import { Problem } from './errors';

export interface Limit {
  readonly name: string;
  readonly most: number;
  readonly seconds: number;
}
export interface Limiter {
  /** @param who an account, a link, a browser: somebody we know, or one of a bounded number of names @throws {Problem} too_many */
  spend(limit: Limit, who: string, now: Date): Promise<void>;
  /** By address: counted here, written nowhere. @throws {Problem} too_many */
  spendHere(limit: Limit, address: string, now: Date): void;
  sweep(now: Date): Promise<void>;
}

/** Keys are hashed: an address or an e-mail is nobody's business afterwards. */
const nameOf = ({ name }: Limit, who: string): string => `${name}:${createHash('sha256').update(who).digest('base64url').slice(0, 32)}`;

/** addresses that are remembered; the one that was silent longest goes first */
const mostAddresses = 20_000;

function countHere(): Limiter['spendHere'] {
  const counts = new LRUCache<string, { count: number; resetsAt: number }>({ max: mostAddresses });
  return (limit, address, now) => {
    const name = nameOf(limit, address);
    const before = counts.get(name);
    const isOver = before === undefined || before.resetsAt <= now.getTime();
    const tally = isOver ? { count: 1, resetsAt: now.getTime() + limit.seconds * 1000 } : { ...before, count: before.count + 1 };
    counts.set(name, tally);
    if (tally.count > limit.most) throw new Problem('too_many');
  };
}

export function limiterOn({ sequelize, models, write }: Database): Limiter {
  return {
    spendHere: countHere(),
    async spend(limit, who, now) {
      const name = nameOf(limit, who);
      const resetsAt = new Date(now.getTime() + limit.seconds * 1000);
      const [row] = await write(() =>
        sequelize.query<{ count: number }>(
          `INSERT INTO tallies (name, count, resets_at, created_at, updated_at) VALUES (:name, 1, :resetsAt, :now, :now)
           ON DUPLICATE KEY UPDATE count = IF(resets_at <= :now, 1, count + 1), resets_at = IF(resets_at <= :now, :resetsAt, resets_at), updated_at = :now
           RETURNING count`,
          { replacements: { name, resetsAt, now }, type: QueryTypes.SELECT },
        ),
      );
      if (row && row.count > limit.most) throw new Problem('too_many');
    },
    async sweep(now) {
      await models.tallies.destroy({ where: { resetsAt: { [Op.lt]: now } } });
    },
  };
}
