/** How often something may be tried, counted in the database, so that all servers count together. A database that is away limits nobody: it refuses by itself. */
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
  /** @throws {Problem} too_many */
  spend(limit: Limit, who: string, now: Date): Promise<void>;
  sweep(now: Date): Promise<void>;
}

/** Keys are hashed: an address or an e-mail is nobody's business afterwards. */
const nameOf = ({ name }: Limit, who: string): string => `${name}:${createHash('sha256').update(who).digest('base64url').slice(0, 32)}`;

export function limiterOn({ sequelize, models, write }: Database): Limiter {
  return {
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
