/**
 * The whole instance as one file of lines of JSON, gzipped: a head, every table with its rows, an end that says how many. Taken from one consistent snapshot while everybody goes on working;
 * restored into an empty instance only, all of it or nothing.
 */
import { createReadStream, createWriteStream } from 'node:fs';
import { rename } from 'node:fs/promises';
import { createInterface } from 'node:readline';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { EventEmitter } from 'node:events';
import { createGunzip, createGzip } from 'node:zlib';
import mariadb, { type Connection } from 'mariadb';
import type { Config } from '../platform/config';

/** What is kept, in the order that rows need each other. Sessions, links to new passwords, messages, tallies and leases are of the moment. */
const tables = [
  'coaches',
  'athletes',
  'figures',
  'workouts',
  'workout_revisions',
  'locks',
  'sends',
  'scores',
  'readings',
  'jobs',
  'job_items',
  'doors',
  'proposals',
  'deliveries',
  'class_clocks',
  'class_runs',
] as const;
const format = 1;

interface Head {
  readonly gambito: 'backup';
  readonly format: number;
  readonly at: string;
  readonly migrations: readonly string[];
}
interface TableLine {
  readonly table: string;
  readonly columns: readonly string[];
}
interface EndLine {
  readonly end: true;
  readonly rows: number;
}
export class BackupRefusal extends Error {}

async function open({ hosts, name, user, password }: Config['database']): Promise<Connection> {
  const [first] = hosts;
  // values as the database writes them: a date, a number, a text stay what they are
  return mariadb.createConnection({
    ...first!,
    user,
    password,
    database: name,
    dateStrings: true,
    bigIntAsNumber: true,
    decimalAsNumber: false,
    autoJsonMap: false,
    timezone: 'Z',
  });
}
const quoted = (names: readonly string[]): string => names.map((name) => `\`${name}\``).join(', ');

/** Columns that are written; those the database works out by itself are left out. */
async function columnsOf(connection: Connection, table: string): Promise<string[]> {
  const rows = await connection.query<{ name: string }[]>(
    'SELECT COLUMN_NAME AS name FROM information_schema.COLUMNS WHERE TABLE_SCHEMA = DATABASE() AND TABLE_NAME = ? AND GENERATION_EXPRESSION IS NULL ORDER BY ORDINAL_POSITION',
    [table],
  );
  return rows.map(({ name }) => name);
}
const migrationsOf = async (connection: Connection): Promise<string[]> =>
  (await connection.query<{ name: string }[]>('SELECT name FROM migrations ORDER BY name')).map(({ name }) => name);

async function* lines(connection: Connection, at: Date, counted: (rows: number) => void): AsyncGenerator<string> {
  const line = (value: object): string => `${JSON.stringify(value)}\n`;
  yield line({ gambito: 'backup', format, at: at.toISOString(), migrations: await migrationsOf(connection) } satisfies Head);
  let rows = 0;
  for (const table of tables) {
    const columns = await columnsOf(connection, table);
    yield line({ table, columns } satisfies TableLine);
    for await (const row of connection.queryStream({ sql: `SELECT ${quoted(columns)} FROM \`${table}\``, rowsAsArray: true })) {
      rows++;
      yield line(row as object);
    }
  }
  counted(rows);
  yield line({ end: true, rows } satisfies EndLine);
}

/** Written beside and put in place when it is whole. @returns how many rows */
export async function writeBackup(config: Config['database'], file: string, at: Date): Promise<number> {
  const connection = await open(config);
  let rows = 0;
  const counted = (count: number): void => void (rows = count);
  try {
    await connection.query('SET TRANSACTION ISOLATION LEVEL REPEATABLE READ');
    await connection.query('START TRANSACTION WITH CONSISTENT SNAPSHOT');
    await pipeline(Readable.from(lines(connection, at, counted)), createGzip(), createWriteStream(`${file}.part`, { mode: 0o600 }));
    await rename(`${file}.part`, file);
    return rows;
  } finally {
    await connection.end();
  }
}

/** Why a file cannot even be opened; null: it can, and what is in it is the matter. */
const unopened: Readonly<Record<string, string>> = {
  ENOENT: 'is not there',
  EACCES: 'may not be read by this user',
  EISDIR: 'is a folder; a file was expected',
  EIO: 'lies on a disk that does not answer',
};
const whyUnopened = (error: unknown): string | null => unopened[String((error as { code?: unknown } | null)?.code)] ?? null;

async function* readLines(file: string): AsyncGenerator<unknown> {
  const input = createGunzip();
  // whichever fails, the reading of lines ends with it
  createReadStream(file)
    .on('error', (error) => input.destroy(error))
    .pipe(input);
  const reader = createInterface({ input, crlfDelay: Infinity });
  // it tells again what its input told
  (reader as EventEmitter).on('error', () => undefined);
  let failure: unknown = null;
  const failed = new Promise<never>((_resolve, reject) => input.on('error', (error) => reject((failure ??= error))));
  failed.catch(() => undefined);
  try {
    for await (const line of reader) if (line !== '') yield JSON.parse(line) as unknown;
    await Promise.race([failed, new Promise((resolve) => setImmediate(resolve))]);
  } catch (error) {
    const why = whyUnopened(failure ?? error);
    throw new BackupRefusal(why === null ? `${file} cannot be read to its end: it is no backup, or was cut short.` : `${file} ${why}.`);
  }
}
const isHead = (value: unknown): value is Head => typeof value === 'object' && value !== null && (value as Head).gambito === 'backup';
const isTable = (value: unknown): value is TableLine => typeof value === 'object' && value !== null && 'table' in value;
const isEnd = (value: unknown): value is EndLine => typeof value === 'object' && value !== null && 'end' in value;

/** Reads the file to its end before anything is written. @throws {BackupRefusal} */
export async function checkBackup(file: string): Promise<{ head: Head; rows: number }> {
  let head: Head | null = null;
  let rows = 0;
  let end: EndLine | null = null;
  for await (const line of readLines(file)) {
    if (head === null) {
      if (!isHead(line) || line.format !== format) throw new BackupRefusal(`${file} is no backup of Gambito that this version reads.`);
      head = line;
    } else if (isEnd(line)) end = line;
    else if (!isTable(line)) rows++;
  }
  if (head === null || end === null || end.rows !== rows)
    throw new BackupRefusal(`${file} is not whole: ${rows} rows, and ${end ? `${end.rows} were written` : 'no end'}.`);
  return { head, rows };
}

/** rows of one insert */
const batch = 200;

async function insertAll(connection: Connection, file: string): Promise<void> {
  let target: TableLine | null = null;
  let waiting: unknown[][] = [];
  const flush = async (): Promise<void> => {
    if (target && waiting.length > 0)
      await connection.batch(`INSERT INTO \`${target.table}\` (${quoted(target.columns)}) VALUES (${target.columns.map(() => '?').join(', ')})`, waiting);
    waiting = [];
  };
  for await (const line of readLines(file)) {
    if (isTable(line)) {
      await flush();
      target = line;
    } else if (Array.isArray(line)) {
      waiting.push(line);
      if (waiting.length >= batch) await flush();
    }
  }
  await flush();
}

/**
 * Into an instance whose tables are there and empty.
 * @returns how many rows
 * @throws {BackupRefusal} where somebody is in it already, or the file is of a later version
 */
export async function restoreBackup(config: Config['database'], file: string): Promise<number> {
  const { head, rows } = await checkBackup(file);
  const connection = await open(config);
  try {
    const known = new Set(await migrationsOf(connection));
    const later = head.migrations.filter((name) => !known.has(name));
    if (later.length > 0) throw new BackupRefusal(`${file} is of a later version of Gambito (${later.join(', ')}); restore it with that one.`);
    const [{ coaches } = { coaches: 0 }] = await connection.query<{ coaches: number }[]>('SELECT COUNT(*) AS coaches FROM coaches');
    if (coaches > 0) throw new BackupRefusal('There is a desk here already; a backup goes into an empty instance only, so that nothing is written over.');
    await connection.query('SET foreign_key_checks = 0');
    await connection.beginTransaction();
    await insertAll(connection, file);
    await connection.commit();
    return rows;
  } catch (error) {
    await connection.rollback().catch(() => undefined);
    throw error;
  } finally {
    await connection.end();
  }
}
