/** A private MariaDB on loopback: own data directory, socket and port; never the system's instance. */
import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { join } from 'node:path';
import { Refusal } from './say.mjs';

const mariadbd = existsSync('/usr/sbin/mariadbd') ? '/usr/sbin/mariadbd' : 'mariadbd';
const user = process.getuid?.() === 0 ? 'root' : process.env.USER;

export function freePort() {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.on('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const { port } = probe.address();
      probe.close(() => resolve(port));
    });
  });
}

export function portIsFree(port, host = '127.0.0.1') {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.on('error', () => resolve(false));
    probe.listen(port, host, () => probe.close(() => resolve(true)));
  });
}

const query = (socket, sql) =>
  spawnSync('mariadb', ['--no-defaults', `--socket=${socket}`, `--user=${user}`, '--batch', '--skip-column-names', '-e', sql], { encoding: 'utf8' });

/** A server left behind by a start that was killed still holds the files: it is ours, by its pid file and its data directory, and is stopped in good order first. */
async function stopLeftBehind(pidFile, data) {
  const pid = existsSync(pidFile) ? Number(readFileSync(pidFile, 'utf8')) : NaN;
  const isOurs = () => existsSync(`/proc/${pid}/cmdline`) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(`--datadir=${data}\0`);
  if (!Number.isInteger(pid) || !isOurs()) return;
  process.kill(pid, 'SIGTERM');
  for (let waited = 0; waited < 30_000 && isOurs(); waited += 100) await new Promise((resolve) => setTimeout(resolve, 100));
}

/**
 * @param directory where its files live; made when missing
 * @param options.throwAway speed before safety, for tests only
 * @returns port and stop(); stop ends exactly the server started here
 */
export async function startDatabase(directory, { throwAway = false } = {}) {
  const data = join(directory, 'mariadb');
  // a socket path longer than 107 characters is refused by the system
  const socket = join(directory.length > 80 ? '/tmp' : directory, `gambito-${process.pid}.sock`);
  mkdirSync(directory, { recursive: true });
  if (!existsSync(join(data, 'mysql'))) {
    rmSync(data, { recursive: true, force: true });
    const made = spawnSync(
      'mariadb-install-db',
      [
        '--no-defaults',
        `--user=${user}`,
        `--datadir=${data}`,
        '--auth-root-authentication-method=normal',
        '--skip-test-db',
        '--innodb-log-file-size=8M',
        '--aria-log-file-size=8M',
      ],
      {
        encoding: 'utf8',
      },
    );
    if (made.status !== 0)
      throw new Refusal(
        `The database could not be made in ${data}: ${(made.stderr || made.stdout || String(made.error)).trim().split('\n').slice(-3).join(' ')}`,
      );
  }
  const pidFile = join(directory, 'mariadb.pid');
  await stopLeftBehind(pidFile, data);
  const port = await freePort();
  const fast = [
    '--skip-log-bin',
    '--innodb-flush-log-at-trx-commit=0',
    '--innodb-doublewrite=0',
    '--innodb-flush-method=nosync',
    '--sync-frm=0',
    '--innodb-fast-shutdown=2',
  ];
  const server = spawn(
    mariadbd,
    [
      '--no-defaults',
      `--user=${user}`,
      `--datadir=${data}`,
      `--socket=${socket}`,
      `--pid-file=${pidFile}`,
      '--bind-address=127.0.0.1',
      `--port=${port}`,
      '--performance-schema=OFF',
      '--skip-name-resolve',
      '--innodb-buffer-pool-size=128M',
      '--character-set-server=utf8mb4',
      '--collation-server=utf8mb4_unicode_ci',
      '--default-time-zone=+00:00',
      '--sql-mode=STRICT_ALL_TABLES,NO_ENGINE_SUBSTITUTION,NO_ZERO_DATE,NO_ZERO_IN_DATE,ERROR_FOR_DIVISION_BY_ZERO',
      ...(throwAway ? fast : []),
    ],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true },
  );
  let log = '';
  server.stderr.on('data', (chunk) => (log = (log + chunk).slice(-4000)));
  const ended = new Promise((resolve) => server.once('exit', resolve));
  for (let attempt = 0; ; attempt++) {
    if (query(socket, 'select 1').status === 0) break;
    if (server.exitCode !== null || attempt > 150)
      throw new Refusal(
        `The database did not start in ${data}: ${
          log
            .split('\n')
            .filter((line) => /error/i.test(line))
            .slice(-2)
            .join(' ') || 'see if another Gambito is running there'
        }`,
      );
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  const granted = query(
    socket,
    "create user if not exists 'gambito'@'127.0.0.1' identified by 'gambito-loopback'; grant all on `gambito%`.* to 'gambito'@'127.0.0.1';",
  );
  if (granted.status !== 0) throw new Refusal(`The database refused its user: ${granted.stderr.trim()}`);
  return {
    port,
    create(name) {
      const made = query(socket, `create database if not exists \`${name}\``);
      if (made.status !== 0) throw new Refusal(`The database ${name} could not be made: ${made.stderr.trim()}`);
    },
    async stop() {
      if (server.exitCode === null) server.kill('SIGTERM');
      await ended;
    },
  };
}
