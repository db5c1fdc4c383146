/** Something that one server does at a time: migrating, seeding the demo, clearing up. A lease runs out by itself when its holder dies. */
import { randomUUID } from 'node:crypto';
import { QueryTypes } from 'sequelize';
import type { Database } from './database';

export const thisServer: string = randomUUID();

/** @returns whether it is ours for so many seconds */
export async function takeLease({ sequelize, write }: Database, name: string, seconds: number, owner = thisServer): Promise<boolean> {
  const replacements = { name, owner, seconds };
  await write(() =>
    sequelize.query(
      `INSERT INTO leases (name, owner, held_until, created_at, updated_at) VALUES (:name, :owner, NOW(3) + INTERVAL :seconds SECOND, NOW(3), NOW(3))
       ON DUPLICATE KEY UPDATE owner = IF(held_until < NOW(3) OR owner = :owner, :owner, owner),
         held_until = IF(owner = :owner, NOW(3) + INTERVAL :seconds SECOND, held_until)`,
      { replacements },
    ),
  );
  const rows = await sequelize.query<{ owner: string }>('SELECT owner FROM leases WHERE name = :name', { replacements, type: QueryTypes.SELECT });
  return rows[0]?.owner === owner;
}

export async function endLease({ sequelize, write }: Database, name: string, owner = thisServer): Promise<void> {
  await write(() => sequelize.query('DELETE FROM leases WHERE name = :name AND owner = :owner', { replacements: { name, owner } }));
}

/** s a lease is held without a sign of life, and ms between two such signs: short, so that one killed keeps nobody waiting long */
export const [heldSeconds, signEvery] = [5, 1_000] as const;

/** Runs it and gives signs of life meanwhile. @param sign makes a lease longer */
export async function withSigns<T>(sign: () => Promise<unknown>, run: () => Promise<T>): Promise<T> {
  const signs = setInterval(() => void sign().catch(() => undefined), signEvery);
  try {
    return await run();
  } finally {
    clearInterval(signs);
  }
}

/** Runs it while no other server does. @throws {RangeError} where another one holds it for longer than `patience` seconds */
export async function alone<T>(database: Database, name: string, patience: number, run: () => Promise<T>): Promise<T> {
  const until = Date.now() + patience * 1000;
  while (!(await takeLease(database, name, heldSeconds))) {
    if (Date.now() > until) throw new RangeError(`Another server holds “${name}” for more than ${patience} s.`);
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  try {
    return await withSigns(() => takeLease(database, name, heldSeconds), run);
  } finally {
    await endLease(database, name);
  }
}
