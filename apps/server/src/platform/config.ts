/** The environment, read once and checked. No secret has a default. */
import { readFileSync } from 'node:fs';
import { z } from 'zod';

const flag = z
  .string()
  .default('')
  .transform((value) => value !== '' && value !== '0');
const schema = z.object({
  GAMBITO_PORT: z.coerce.number().int().default(4780),
  GAMBITO_HOST: z.string().default('127.0.0.1'),
  GAMBITO_DATABASE: z.string(),
  GAMBITO_DB_PASSWORD: z.string().optional(),
  GAMBITO_DB_PASSWORD_FILE: z.string().optional(),
  GAMBITO_DB_CONNECTIONS: z.coerce.number().int().min(1).max(200).default(8),
  GAMBITO_DEMO: flag,
  GAMBITO_WEB: z.string().optional(),
  GAMBITO_LOG: z.string().default('warn'),
  GAMBITO_PROXY: z.string().default(''),
  GAMBITO_HTTPS: flag,
  GAMBITO_ADDRESS: z.string().optional(),
  GAMBITO_WATCH: flag,
  GAMBITO_THREADS: z.coerce.number().int().min(1).max(64).default(2),
  GAMBITO_BACKUP_AT: z.string().max(60).optional(),
  GAMBITO_BOARD_WAIT: z.coerce.number().int().min(0).max(60_000).default(1_500),
});

export interface Host {
  readonly host: string;
  readonly port: number;
}
export interface Config {
  readonly port: number;
  readonly host: string;
  readonly database: {
    readonly hosts: readonly Host[];
    readonly name: string;
    readonly user: string;
    readonly password: string;
    /** most connections of this process */
    readonly connections: number;
  };
  readonly demo: boolean;
  readonly webDirectory: string | null;
  readonly logLevel: string;
  /** addresses of proxies whose word about the caller is taken; none by default */
  readonly proxies: readonly string[];
  /** people reach it over https: secure cookies and HSTS */
  readonly https: boolean;
  /** where people reach it, for links that leave the page; null: as the request came */
  readonly address: string | null;
  /** tell how the event loop fares, for benches */
  readonly watch: boolean;
  /** workers that compute */
  readonly threads: number;
  /** ms that a board waits for scores nobody has read yet; they come with the next look */
  readonly boardWait: number;
  /** time of day at which the starter takes a backup; null: it takes none */
  readonly backupAt: string | null;
}

const shape = /^mariadb:\/\/([\w.-]+)@([\w.:,-]+)\/(\w+)$/;

/** `mariadb://user@host:port,host:port/name`; the password stands apart. @throws {RangeError} where it is none */
function readDatabase(address: string, password: string, connections: number): Config['database'] {
  const read = shape.exec(address);
  if (!read) throw new RangeError(`GAMBITO_DATABASE: “${address}”; expected mariadb://user@host:port,host:port/name.`);
  const hosts = read[2]!.split(',').map((each) => {
    const [host, port = '3306'] = each.split(':');
    return { host: host!, port: Number(port) };
  });
  if (hosts.some(({ host, port }) => !host || !Number.isInteger(port) || port < 1 || port > 65_535))
    throw new RangeError(`GAMBITO_DATABASE: a host of “${read[2]!}” cannot be read; expected host:port.`);
  return { user: read[1]!, hosts, name: read[3]!, password, connections };
}

export function readConfig(environment: Record<string, string | undefined>): Config {
  const read = schema.parse(environment);
  const password = read.GAMBITO_DB_PASSWORD ?? (read.GAMBITO_DB_PASSWORD_FILE ? readFileSync(read.GAMBITO_DB_PASSWORD_FILE, 'utf8').trim() : '');
  return {
    port: read.GAMBITO_PORT,
    host: read.GAMBITO_HOST,
    database: readDatabase(read.GAMBITO_DATABASE, password, read.GAMBITO_DB_CONNECTIONS),
    demo: read.GAMBITO_DEMO,
    webDirectory: read.GAMBITO_WEB ?? null,
    logLevel: read.GAMBITO_LOG,
    proxies: read.GAMBITO_PROXY.split(',').flatMap((each) => each.trim() || []),
    https: read.GAMBITO_HTTPS,
    address: read.GAMBITO_ADDRESS?.replace(/\/$/, '') ?? null,
    watch: read.GAMBITO_WATCH,
    threads: read.GAMBITO_THREADS,
    boardWait: read.GAMBITO_BOARD_WAIT,
    backupAt: read.GAMBITO_BACKUP_AT ?? null,
  };
}
