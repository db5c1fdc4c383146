/**
 * `npm run backup -- FILE [--data DIRECTORY] [--empty]` and `npm run restore -- FILE …`: the whole instance as one file, and back into an empty one; `npm run password -- E-MAIL …`: a link to a new password
 * for who forgot it. Works beside a running Gambito, and without one. `--empty` means the instance of `npm start -- --empty`, as there; otherwise it is the demo's.
 */
import { spawnSync } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { createDatabase, environmentFor, placeDatabase, runDatabase } from './lib/database.mjs';
import { databaseAccount, reachable } from './lib/account.mjs';
import { ownerOf, takeLock } from './lib/lock.mjs';
import { Refusal, orRefuse } from './lib/say.mjs';
import { root } from './lib/root.mjs';

const usage = 'Expected: npm run backup -- FILE [--data DIRECTORY] [--empty], npm run restore -- FILE …, or npm run password -- E-MAIL …';

function readArguments() {
  try {
    const { values, positionals } = parseArgs({
      options: { data: { type: 'string', default: join(root, '.data') }, empty: { type: 'boolean', default: false } },
      allowPositionals: true,
    });
    const [command, what] = positionals;
    if (!['backup', 'restore', 'password'].includes(command) || !what) throw new Refusal(usage);
    if (command === 'restore' && !existsSync(what)) throw new Refusal(`${what} is not there.`);
    return {
      command,
      what: command === 'password' ? what : resolve(what),
      folder: join(resolve(values.data), values.empty ? 'own' : 'demo'),
      name: values.empty ? 'gambito_own' : 'gambito_demo',
    };
  } catch (error) {
    throw error instanceof Refusal ? error : new Refusal(usage);
  }
}

function run({ command, what }, environment) {
  const bundle = join(root, 'apps/server/dist/keeper.mjs');
  if (!existsSync(bundle)) spawnSync(process.execPath, [join(root, 'tools/build.mjs'), 'server'], { stdio: 'inherit' });
  return spawnSync(process.execPath, [bundle, command, what], { stdio: 'inherit', env: { ...process.env, ...environment } }).status ?? 1;
}

/** Beside a Gambito that runs: its database is asked. */
function beside(wanted) {
  const directory = reachable(wanted.folder, databaseAccount());
  const { port } = JSON.parse(readFileSync(join(directory, 'database.json'), 'utf8'));
  return run(wanted, {
    GAMBITO_ADDRESS: process.env.GAMBITO_ADDRESS ?? ownerOf(wanted.folder).url,
    ...environmentFor({ port, passwordFile: join(directory, 'password') }, wanted.name),
  });
}

/** Without one: the database is started for it, and stopped. */
async function alone(wanted) {
  const giveBack = takeLock(wanted.folder, 'a backup, restore or new password');
  try {
    // what is restored may take the place of files that are gone
    const place = await placeDatabase(wanted.folder, { isAnew: wanted.command === 'restore' });
    const server = await runDatabase(place);
    const ended = new Promise((done) => server.once('exit', done));
    try {
      createDatabase(place, wanted.name);
      return run(wanted, environmentFor(place, wanted.name));
    } finally {
      server.kill('SIGTERM');
      await ended;
    }
  } finally {
    giveBack();
  }
}

await orRefuse(async () => {
  const wanted = readArguments();
  const code = ownerOf(wanted.folder) ? beside(wanted) : await alone(wanted);
  if (code !== 0) process.exitCode = code;
});
