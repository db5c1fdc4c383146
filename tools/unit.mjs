/**
 * `npm run unit -- [--database] [--together] PATTERN …`: bundles the unit tests and runs those whose path matches. `--database` starts a throw-away one for the server's, which are left out otherwise; `--together` bundles as `npm test` does, and needs the database.
 */
import { spawn } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { databases } from './checks/databases.mjs';
import { startDatabase } from './lib/database.mjs';
import { root } from './lib/root.mjs';
import { bundleUnits } from './lib/unit-bundle.mjs';

const flags = ['--database', '--together'];
const wanted = process.argv.slice(2).filter((each) => !flags.includes(each));

async function run(environment) {
  await bundleUnits(undefined, process.argv.includes('--together'));
  const jest = spawn(join(root, 'node_modules/.bin/jest'), wanted, {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, ...environment, NODE_OPTIONS: '--experimental-vm-modules --no-warnings' },
  });
  process.exitCode = await new Promise((resolve) => jest.once('exit', (code) => resolve(code ?? 1)));
}

if (process.argv.includes('--database')) {
  const folder = mkdtempSync(join(existsSync('/dev/shm') ? '/dev/shm' : tmpdir(), 'gambito-unit-'));
  const database = await startDatabase(folder, { throwAway: true });
  try {
    for (const name of databases) database.create(name);
    await run(database.environment('gambito_jest'));
  } finally {
    await database.stop();
    rmSync(folder, { recursive: true, force: true });
  }
} else await run({});
