/** `npm test`: installs what is missing, then every check: types, lint, unit, command line, server on a throw-away MariaDB, the built application in Chromium. */
import { spawn } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { isBuilt } from './lib/built.mjs';
import { startDatabase } from './lib/database.mjs';
import { checkNode, installDebian, installDependencies } from './lib/install.mjs';
import { freePort } from './lib/ports.mjs';
import { Refusal, orRefuse, say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const bin = (name) => join(root, 'node_modules/.bin', name);
const results = join(root, 'test-results');
let passed = 0;
let failed = 0;

/** One check; what it says is kept and shown when it is done, all of it where it failed. @returns whether it passed */
function check(name, command, args, env = {}) {
  const began = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env } });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (output += data));
    child.once('close', (code) => {
      say(`\n— ${name}`);
      if (code !== 0) process.stdout.write(output);
      say(`  ${name}: ${code === 0 ? 'passed' : 'FAILED'} in ${((Date.now() - began) / 1000).toFixed(1)} s`);
      resolve(code === 0);
    });
  });
}
/** Checks that need nothing of each other, side by side, each counting as one. */
async function together(checks) {
  for (const fine of await Promise.all(checks.map((each) => check(...each)))) {
    if (fine) passed++;
    else failed++;
  }
}

/** Waits for the server; it loads its demo first. @throws {Refusal} when it does not come */
async function answers(address, alive) {
  for (let attempt = 0; attempt < 600 && alive(); attempt++) {
    const fine = await fetch(address).then(
      (answer) => answer.ok,
      () => false,
    );
    if (fine) return;
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  throw new Refusal('The server did not start for the browser tests.');
}

/** A server with its demo on a database of its own, once it answers. @returns its address */
async function startServer(environment, servers) {
  const port = await freePort();
  const server = spawn(process.execPath, ['--enable-source-maps', 'apps/server/dist/server.mjs'], {
    cwd: root,
    stdio: 'inherit',
    env: { ...process.env, GAMBITO_PORT: String(port), ...environment, GAMBITO_DEMO: '1', GAMBITO_WEB: join(root, 'apps/web/dist') },
  });
  servers.push(server);
  const url = `http://127.0.0.1:${port}`;
  await answers(`${url}/api/health`, () => server.exitCode === null);
  return url;
}

/** `backup` or `restore` of a whole instance. */
function keep(command, file, environment) {
  return new Promise((resolve, reject) => {
    const keeper = spawn(process.execPath, ['apps/server/dist/keeper.mjs', command, file], {
      cwd: root,
      stdio: 'inherit',
      env: { ...process.env, ...environment },
    });
    keeper.once('exit', (code) => (code === 0 ? resolve() : reject(new Refusal(`The demo could not be taken over (${command}).`))));
  });
}

function count(file, read) {
  try {
    const [good, bad] = read(JSON.parse(readFileSync(join(results, file), 'utf8')));
    passed += good;
    failed += bad;
    return good + bad;
  } catch {
    failed++;
    return 0;
  }
}

/** each test file that needs one has a database of its own, and so has each part of the browser's */
const databases = [
  'gambito_jest',
  'gambito_jest_demo',
  'gambito_jest_hands',
  'gambito_jest_gate',
  'gambito_jest_fuzz',
  'gambito_jest_two',
  'gambito_jest_servers',
  'gambito_jest_saved',
  'gambito_jest_restored',
  'gambito_jest_empty',
  'gambito_jest_cases',
  'gambito_jest_library',
  'gambito_jest_moves',
  'gambito_jest_shared',
  'gambito_jest_doors',
  'gambito_jest_feeds',
  'gambito_jest_together',
  'gambito_jest_messages',
  'gambito_jest_record',
  'gambito_jest_hurt',
  'gambito_e2e',
  'gambito_e2e_too',
  'gambito_e2e_three',
];

await orRefuse(async () => {
  checkNode();
  installDebian({ mariadbd: 'mariadb-server-core', mariadb: 'mariadb-client-core', chromium: 'chromium' });
  installDependencies(root);
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  const files = mkdtempSync(join(existsSync('/dev/shm') ? '/dev/shm' : '/tmp', 'gambito-test-'));
  const database = await startDatabase(files, { throwAway: true });
  const servers = [];
  const clean = async () => {
    for (const server of servers)
      if (server.exitCode === null && server.signalCode === null) {
        server.kill('SIGTERM');
        await new Promise((resolve) => server.once('exit', resolve));
      }
    await database.stop();
    rmSync(files, { recursive: true, force: true });
  };
  process.once('SIGINT', () => void clean().then(() => process.exit(1)));
  try {
    for (const name of databases) database.create(name);
    await together([['build', process.execPath, ['tools/build.mjs']]]);
    // a starter that built once more beside the browser would empty the folder it is served from
    if (!isBuilt()) throw new Refusal('What was built is not known as built (tools/lib/built.mjs).');
    // side by side with the browser, what only reads sources takes five times as long, and the browser twice: it comes first, in a minute
    await together([
      ['types', bin('tsc'), ['-p', 'tsconfig.json', '--noEmit']],
      ['lint', bin('eslint'), ['.']],
      ['format', bin('prettier'), ['--check', '--log-level', 'warn', '.']],
    ]);
    // the demo with the machine to itself; then the browser; the unit tests come after it: side by side both take longer.
    // each of its three parts has a server and a database of its own; the demo is made once, and taken over by the others
    const [first, ...more] = ['gambito_e2e', 'gambito_e2e_too', 'gambito_e2e_three'].map((name) => database.environment(name));
    const urls = [await startServer(first, servers)];
    const demo = join(files, 'demo.backup');
    await keep('backup', demo, first);
    for (const environment of more) {
      await keep('restore', demo, environment);
      urls.push(await startServer(environment, servers));
    }
    // a sample of `npm run bench -- fire`: nothing acknowledged is lost when the server and the database are killed; it waits most of its time
    const fire = together([['fire', process.execPath, ['bench/fire/fire.mjs', 'single', '--kills', '2']]]);
    const browser = check('browser', bin('playwright'), ['test', '-c', 'e2e/playwright.config.mjs'], { GAMBITO_URL: urls.join(',') });
    await Promise.all([fire, browser]);
    for (const server of servers) server.kill('SIGTERM');
    await check('unit and server', bin('jest'), ['--json', '--outputFile', join(results, 'jest.json'), '--silent', '--maxWorkers', '2'], {
      NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
      ...database.environment('gambito_jest'),
    });
    count('jest.json', (json) => [json.numPassedTests, json.numFailedTests + json.numRuntimeErrorTestSuites]);
    count('e2e.json', ({ stats }) => [stats.expected + stats.flaky, stats.unexpected + stats.skipped]);
  } finally {
    await clean();
  }
  say(`\n${passed} passed, ${failed} failed`);
  if (failed > 0) process.exitCode = 1;
});
