/**
 * `npm start [-- --port N] [--data DIRECTORY] [--empty] [--anew] [--backups DIRECTORY [--backup-at HH:MM]]`: installs what is missing, builds, starts the private database, migrates, loads the demo, serves.
 * A second start takes seconds and keeps what was entered; `--anew` begins with an empty database where the one that was there is gone. Ctrl-C at any moment stops everything started here and nothing else.
 * The database and the server are started again when one of them ends by itself.
 */
import { spawn } from 'node:child_process';
import { existsSync, readdirSync, rmdirSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { isBuilt } from './lib/built.mjs';
import { createDatabase, environmentFor, placeDatabase, runDatabase } from './lib/database.mjs';
import { checkDisk, checkNode, installDebian, installDependencies } from './lib/install.mjs';
import { watchDisk } from './lib/disk-watch.mjs';
import { takeLock } from './lib/lock.mjs';
import { minutesOf, takeNightly } from './lib/nightly.mjs';
import { portIsFree } from './lib/ports.mjs';
import { Refusal, orRefuse, say } from './lib/say.mjs';
import { keepAlive } from './lib/supervise.mjs';
import { root } from './lib/root.mjs';

async function build() {
  if (isBuilt()) return;
  say('Building …');
  await run(process.execPath, [join(root, 'tools/build.mjs')]);
}

function run(command, args) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: ['inherit', 'inherit', 'inherit', 'ipc'], cwd: root });
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Refusal(`The build failed (${code}).`))));
  });
}

const options = {
  port: { type: 'string', default: process.env.PORT ?? '4780' },
  empty: { type: 'boolean', default: false },
  anew: { type: 'boolean', default: false },
  host: { type: 'string', default: '127.0.0.1' },
  data: { type: 'string', default: join(root, '.data') },
  backups: { type: 'string' },
  'backup-at': { type: 'string', default: '03:17' },
};
function readOptions() {
  let values;
  try {
    ({ values } = parseArgs({ options }));
  } catch (error) {
    throw new Refusal(
      `${error.message.split('. ')[0]}. Expected: npm start [-- --port N] [--host ADDRESS] [--data DIRECTORY] [--empty] [--anew] [--backups DIRECTORY [--backup-at HH:MM]]`,
    );
  }
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Refusal(`--port: “${values.port}” is no port; expected a number from 1 to 65535.`);
  if (minutesOf(values['backup-at']) === null) throw new Refusal(`--backup-at: “${values['backup-at']}” is no time of day; expected such as 03:17.`);
  return { ...values, port, backups: values.backups === undefined ? null : resolve(values.backups), backupAt: values['backup-at'] };
}

/** Starts the server on a database that may come and go; it ends when this starter does, however that ends. */
function startServer(place, { port, host, empty, backups, backupAt }) {
  return spawn(process.execPath, ['--enable-source-maps', join(root, 'apps/server/dist/server.mjs')], {
    stdio: ['inherit', 'inherit', 'inherit', 'ipc'],
    cwd: root,
    detached: true,
    env: {
      ...process.env,
      ...environmentFor(place, empty ? 'gambito_own' : 'gambito_demo'),
      NODE_ENV: 'production',
      GAMBITO_PORT: String(port),
      GAMBITO_HOST: host,
      GAMBITO_DEMO: empty ? '' : '1',
      // links in calendars lead here, whatever a request calls this machine
      ...(process.env.GAMBITO_ADDRESS || host === '0.0.0.0' ? {} : { GAMBITO_ADDRESS: `http://${host}:${port}` }),
      ...(backups === null ? {} : { GAMBITO_BACKUP_AT: backupAt }),
      GAMBITO_WEB: join(root, 'apps/web/dist'),
    },
  });
}

/** Both run until a signal comes; either is started again when it ends by itself. */
async function serve(place, wanted, giveBack) {
  let up;
  const first = new Promise((resolve, reject) => (up = { resolve, reject }));
  let ran = false;
  const database = keepAlive('The database', async () => {
    try {
      const child = await runDatabase(place);
      ran = true;
      up.resolve();
      return child;
    } catch (error) {
      // the first start is refused with its reason; a later one is tried again
      if (!ran) up.reject(error);
      throw error;
    }
  });
  let server = null;
  let endWatch = () => undefined;
  const stop = async () => {
    endWatch();
    await server?.stop();
    await database.stop();
    giveBack();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop().then(() => process.exit(0)));
  try {
    await first;
    createDatabase(place, wanted.empty ? 'gambito_own' : 'gambito_demo');
  } catch (error) {
    await stop();
    throw error;
  }
  server = keepAlive('The server', () => startServer(place, wanted));
  const endDisk = watchDisk(place, () => {
    process.stderr.write(
      `${place.data} is gone or was moved while Gambito ran. Gambito stops, so that nothing is written elsewhere. Put it back where it was and start again.\n`,
    );
    void stop().then(() => process.exit(1));
  });
  const name = wanted.empty ? 'gambito_own' : 'gambito_demo';
  const endNights =
    wanted.backups === null ? () => undefined : takeNightly({ root, environment: environmentFor(place, name), directory: wanted.backups, at: wanted.backupAt });
  endWatch = () => {
    endDisk();
    endNights();
  };
}

/** A folder that a refused start made for its lock would be in the way of one that is put back. */
function leaveNothingEmpty(folder) {
  if (existsSync(folder) && readdirSync(folder).length === 0) rmdirSync(folder);
}

await orRefuse(async () => {
  const wanted = readOptions();
  checkNode();
  const folder = join(resolve(wanted.data), wanted.empty ? 'own' : 'demo');
  checkDisk(root, folder);
  const giveBack = takeLock(folder, `http://${wanted.host === '0.0.0.0' ? 'localhost' : wanted.host}:${wanted.port}`);
  try {
    if (!(await portIsFree(wanted.port, wanted.host)))
      throw new Refusal(`Port ${wanted.port} is taken; choose another one: npm start -- --port ${wanted.port + 1}`);
    installDebian({ mariadbd: 'mariadb-server-core', mariadb: 'mariadb-client-core' });
    installDependencies(root);
    await build();
    const place = await placeDatabase(folder, { isAnew: wanted.anew });
    if (place.isNew) say(`A new database was made in ${place.data}.`);
    else if (wanted.anew) say(`The database in ${place.data} is there, and is used as it is.`);
    await serve(place, wanted, giveBack);
  } catch (error) {
    giveBack();
    leaveNothingEmpty(folder);
    throw error;
  }
});
