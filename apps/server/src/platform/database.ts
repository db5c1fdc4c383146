/** Sequelize on MariaDB, with the settings that keep numbers numbers; over several hosts where there are several, always on one that answers. */
import mariadb from 'mariadb';
import { QueryTypes, Sequelize, type Transaction } from 'sequelize';
import type { Config, Host } from './config';
import { defineModels, type Models } from './models';
import { isAway, isDuplicate, persistently } from './trouble';

/** s a query may take */
const longestQuery = 15;

/** The connection all stores share. */
export interface Database {
  readonly sequelize: Sequelize;
  readonly models: Models;
  /** A transaction, begun again after a conflict. @throws what the database said, where trying again does not help */
  transact<T>(run: (transaction: Transaction) => Promise<T>): Promise<T>;
  /** A read, asked again of another host where one is away. */
  read<T>(run: () => Promise<T>): Promise<T>;
  /** A single write that a key decides. Done twice it does no harm. */
  write<T>(run: () => Promise<T>): Promise<T>;
  /** whether a database answers now */
  answers(): Promise<boolean>;
  close(): Promise<void>;
}

/** The hosts in turn: the next one is asked when the one in use fails. */
function rotation(hosts: readonly Host[]): { current: () => Host; next: () => void } {
  let at = 0;
  return { current: () => hosts[at % hosts.length]!, next: () => void at++ };
}

/** `2026-12-01 23:58:00.000`, in UTC, which is what the database keeps. */
const inUtc = (value: unknown): unknown =>
  value instanceof Date ? value.toISOString().replace('T', ' ').replace('Z', '') : Array.isArray(value) ? value.map(inUtc) : value;
/** Replacements of a query of one's own are written by Sequelize in the machine's time zone, whatever it is told: times go in as text, so that a server in Auckland keeps the same ones. */
function withTimesInUtc(sequelize: Sequelize): void {
  const query = sequelize.query.bind(sequelize) as (sql: unknown, options?: { replacements?: unknown }) => Promise<unknown>;
  const ask = (sql: unknown, options?: { replacements?: unknown }): Promise<unknown> => {
    const { replacements } = options ?? {};
    if (replacements === undefined || replacements === null) return query(sql, options);
    const plain = Array.isArray(replacements)
      ? replacements.map(inUtc)
      : Object.fromEntries(Object.entries(replacements as object).map(([name, value]) => [name, inUtc(value)]));
    return query(sql, { ...options, replacements: plain });
  };
  Object.assign(sequelize, { query: ask });
}

function sequelizeFor(config: Config['database'], hosts: ReturnType<typeof rotation>): Sequelize {
  const sequelize = new Sequelize(config.name, config.user, config.password, {
    dialect: 'mariadb',
    dialectModule: mariadb,
    host: hosts.current().host,
    port: hosts.current().port,
    logging: false,
    timezone: '+00:00',
    pool: { max: config.connections, min: 0, idle: 10_000, acquire: 5_000 },
    define: { underscored: true, freezeTableName: true, charset: 'utf8mb4' },
    dialectOptions: {
      supportBigNumbers: false,
      bigNumberStrings: false,
      bigIntAsNumber: true,
      decimalAsNumber: false,
      insertIdAsNumber: true,
      connectTimeout: 2_000,
      socketTimeout: (longestQuery + 5) * 1000,
      initSql: [
        `SET SESSION max_statement_time=${longestQuery}, innodb_lock_wait_timeout=5`,
        // unique keys decide; a gap that is locked for a row that is not there yet would stand in everybody's way
        'SET SESSION TRANSACTION ISOLATION LEVEL READ COMMITTED',
      ],
    },
  });
  // every new connection goes to the host in use
  sequelize.addHook('beforeConnect', (options) => {
    const { host, port } = hosts.current();
    Object.assign(options as object, { host, port });
  });
  withTimesInUtc(sequelize);
  return sequelize;
}

export function connect(config: Config['database']): Database {
  const hosts = rotation(config.hosts);
  const sequelize = sequelizeFor(config, hosts);
  const watched = async <T>(run: () => Promise<T>): Promise<T> => {
    try {
      return await run();
    } catch (error) {
      if (isAway(error)) hosts.next();
      throw error;
    }
  };
  return {
    sequelize,
    models: defineModels(sequelize),
    transact: (run) => persistently(() => watched(() => sequelize.transaction(run)), false),
    read: (run) => persistently(() => watched(run), true),
    write: (run) => persistently(() => watched(run), true),
    answers: () =>
      Promise.race([
        watched(() => sequelize.query('SELECT 1', { type: QueryTypes.SELECT })).then(
          () => true,
          () => false,
        ),
        new Promise<boolean>((resolve) => setTimeout(() => resolve(false), 2_500).unref()),
      ]),
    close: () => sequelize.close(),
  };
}

/** Does it, and where a unique key says that somebody was quicker, does it again knowing so. */
export async function orAgain<T>(run: () => Promise<T>, tries = 4): Promise<T> {
  for (let at = 1; ; at++) {
    try {
      return await run();
    } catch (error) {
      if (!isDuplicate(error) || at >= tries) throw error;
    }
  }
}
