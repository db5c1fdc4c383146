/** A private MariaDB on loopback: own account, data directory, socket, port and password; never the system's instance, never root's process. */
import { spawn, spawnSync } from 'node:child_process';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { databaseAccount, giveTo, reachable } from './account.mjs';
import { dataFolder } from './database-files.mjs';
import { placesOf } from './places.mjs';
import { freePort, thisOrFree } from './ports.mjs';
import { endThoseOn } from './processes.mjs';
import { Refusal } from './say.mjs';
import { writeWhole } from './write-whole.mjs';

export const mariadbd = existsSync('/usr/sbin/mariadbd') ? '/usr/sbin/mariadbd' : 'mariadbd';
const fast = [
  '--skip-log-bin',
  '--innodb-flush-log-at-trx-commit=0',
  '--innodb-doublewrite=0',
  '--innodb-flush-method=nosync',
  '--sync-frm=0',
  '--innodb-fast-shutdown=2',
];
/** ms the database may take to answer after its start; recovery after a kill is longer than a plain start */
const patience = 60_000;

/** What every database of ours is started with. */
export const settings = [
  '--bind-address=127.0.0.1',
  '--performance-schema=OFF',
  '--skip-name-resolve',
  '--innodb-buffer-pool-size=128M',
  '--innodb-log-file-size=32M',
  '--max-connections=200',
  '--character-set-server=utf8mb4',
  '--collation-server=utf8mb4_unicode_ci',
  '--default-time-zone=+00:00',
  '--sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO',
];

export const query = (socket, admin, sql) =>
  spawnSync('mariadb', ['--no-defaults', `--socket=${socket}`, `--user=${admin}`, '--batch', '--skip-column-names', '-e', sql], { encoding: 'utf8' });

/** Random, kept for its owner's eyes only; made once, and whole. */
export function passwordOf(directory) {
  const path = join(directory, 'password');
  const kept = existsSync(path) ? readFileSync(path, 'utf8').trim() : '';
  if (kept === '') writeWhole(path, randomBytes(24).toString('base64url'), 0o600);
  return { path, password: readFileSync(path, 'utf8').trim() };
}

/** Root by its socket only, no account without a password, and ours without the right to files. */
export const grants = (password) => `
  DELETE FROM mysql.global_priv WHERE User = 'root' AND Host <> 'localhost';
  FLUSH PRIVILEGES;
  ALTER USER 'root'@'localhost' IDENTIFIED VIA unix_socket;
  CREATE USER IF NOT EXISTS 'gambito'@'127.0.0.1';
  ALTER USER 'gambito'@'127.0.0.1' IDENTIFIED BY '${password}';
  GRANT ALL ON \`gambito%\`.* TO 'gambito'@'127.0.0.1';`;

/** What the database said when it would not start, as a sentence with what to do. */
function whyNot(data, log) {
  if (/No space left|Disk is full|errno: 28/i.test(log))
    return `The disk is full: the database could not start in ${data}. Make room and start again; nothing is lost.`;
  const said = log
    .split('\n')
    .filter((line) => /error/i.test(line))
    .slice(-2)
    .join(' ');
  return `The database did not start in ${data}: ${said || 'it said nothing'}. If its files were damaged or cut short, put them back from a backup (npm run restore); nothing was touched.`;
}

async function untilItAnswers(server, socket, admin, data, log) {
  const began = Date.now();
  while (query(socket, admin, 'select 1').status !== 0) {
    if (server.exitCode !== null || server.signalCode !== null || Date.now() - began > patience) throw new Refusal(whyNot(data, log()));
    await new Promise((resolve) => setTimeout(resolve, 60));
  }
}

/**
 * The place of a database: its folder, account, socket, port and password. Nothing runs yet.
 * @param options.throwAway speed before safety, for tests only
 * @param options.isAnew a database whose files are gone is replaced by an empty one
 */
export async function placeDatabase(wanted, { throwAway = false, isAnew = false } = {}) {
  const account = databaseAccount();
  mkdirSync(wanted, { recursive: true });
  const directory = reachable(wanted, account);
  const { data, isNew } = await dataFolder(directory, account, { isAnew, places: placesOf(resolve(wanted)) });
  // a database left behind by a start that was killed still holds the files: it is stopped in good order first
  if (!(await endThoseOn(data, 'SIGTERM', 30_000))) throw new Refusal(`Another database still works on ${data} and does not end; stop it and start again.`);
  const run = join(directory, 'run');
  mkdirSync(run, { recursive: true });
  giveTo(run, account);
  // a socket path longer than 107 characters is refused by the system
  const socket = join(run.length > 80 ? '/tmp' : run, `gambito-${process.pid}.sock`);
  const pidFile = join(run, 'mariadb.pid');
  const { path: passwordFile, password } = passwordOf(directory);
  return { account, directory, data, isNew, socket, pidFile, passwordFile, password, port: await freePort(), throwAway };
}

/** @returns the process of the database, once it answers and its accounts are as they should be */
export async function runDatabase(place) {
  const { account, directory, data, socket, pidFile, password, throwAway } = place;
  place.port = await thisOrFree(place.port);
  // a backup asks here where the database is
  writeWhole(join(directory, 'database.json'), JSON.stringify({ port: place.port }));
  const server = spawn(
    mariadbd,
    [
      '--no-defaults',
      ...(account.isSystem ? [`--user=${account.name}`] : []),
      `--datadir=${data}`,
      `--socket=${socket}`,
      `--pid-file=${pidFile}`,
      `--port=${place.port}`,
      ...settings,
      ...(throwAway ? fast : []),
    ],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  );
  let log = '';
  server.stderr.on('data', (chunk) => (log = (log + chunk).slice(-6000)));
  try {
    await untilItAnswers(server, socket, account.admin, data, () => log);
    const granted = query(socket, account.admin, grants(password));
    if (granted.status !== 0) throw new Refusal(`The database refused its accounts: ${granted.stderr.trim()}`);
  } catch (error) {
    server.kill('SIGTERM');
    throw error;
  }
  return server;
}

export function createDatabase({ socket, account }, name) {
  const made = query(socket, account.admin, `create database if not exists \`${name}\``);
  if (made.status !== 0) throw new Refusal(`The database ${name} could not be made: ${made.stderr.trim()}`);
}

/** What the server is told of it. */
export const environmentFor = ({ port, passwordFile }, name) => ({
  GAMBITO_DATABASE: `mariadb://gambito@127.0.0.1:${port}/${name}`,
  GAMBITO_DB_PASSWORD_FILE: passwordFile,
});

/** One that runs until it is stopped, for tests and benches. */
export async function startDatabase(directory, options = {}) {
  const place = await placeDatabase(directory, options);
  const server = await runDatabase(place);
  const ended = new Promise((resolve) => server.once('exit', resolve));
  return {
    ...place,
    process: server,
    create: (name) => createDatabase(place, name),
    environment: (name) => environmentFor(place, name),
    async stop() {
      if (server.exitCode === null && server.signalCode === null) server.kill('SIGTERM');
      await ended;
    },
  };
}
