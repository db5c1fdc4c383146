/**
 * `npm test`: installs what is missing, then every check: types, lint, format, unit tests, command line, server on a throw-away MariaDB, the built application in Chromium, a server killed under load.
 * `npm test -- quick`: what the change touches, for working. `--at TIME` and `--zone ZONE` run all of it at another time and place.
 */
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { startBrowserServer } from './checks/browser-server.mjs';
import { databases } from './checks/databases.mjs';
import { checkNode, installDebian, installDependencies } from './lib/install.mjs';
import { root } from './lib/root.mjs';
import { Refusal, orRefuse, say } from './lib/say.mjs';

const began = Date.now();
const { values: asked, positionals } = parseArgs({ allowPositionals: true, options: { at: { type: 'string' }, zone: { type: 'string' } } });
const isQuick = positionals.includes('quick');

/** what the checks need of Debian: command → package */
const debian = {
  mariadbd: 'mariadb-server-core',
  mariadb: 'mariadb-client-core',
  'chromium-headless-shell': 'chromium-headless-shell',
  ...(asked.at === undefined ? {} : { faketime: 'faketime' }),
};
/** What is there once everything is installed: the rest of the tools need packages. */
const loadTools = async () => ({
  ...(await import('./lib/built.mjs')),
  ...(await import('./lib/database.mjs')),
  ...(await import('./lib/unit-bundle.mjs')),
  ...(await import('./checks/machine-speed.mjs')),
  ...(await import('./checks/other-time.mjs')),
  ...(await import('./checks/report.mjs')),
  ...(await import('./checks/run.mjs')),
  ...(await import('./checks/touched.mjs')),
});

/** The checks by name; each says when it is done. @returns what each printed */
function checksOf(tools, { database, slow, results, shift }) {
  const { runCheck } = tools;
  const bin = (name) => join(root, 'node_modules/.bin', name);
  const cache = (name) => join(root, 'node_modules/.cache/gambito', name);
  const scaled = { GAMBITO_SLOWNESS: slow.toFixed(2) };
  const withoutFakeClock = { LD_PRELOAD: '', FAKETIME: '' };
  const checks = {
    build: () => runCheck('build', process.execPath, ['tools/build.mjs']),
    // quick goes on from what the last quick one knew; the whole run reads everything
    types: (...more) => runCheck('types', process.execPath, ['node_modules/typescript-native/bin/tsc', '-p', 'tsconfig.json', '--noEmit', ...more]),
    typesAgain: () => checks.types('--incremental', '--tsBuildInfoFile', cache('types.tsbuildinfo')),
    lint: () => runCheck('lint', bin('eslint'), ['.', '--cache', '--cache-strategy', 'content', '--cache-location', cache('eslint')]),
    format: () =>
      runCheck('format', bin('prettier'), [
        '--check',
        '--log-level',
        'warn',
        '--cache',
        '--cache-strategy',
        'content',
        '--cache-location',
        cache('prettier'),
        '.',
      ]),
    // a sample of `npm run bench -- fire`: nothing acknowledged is lost when server and database are killed
    fire: () => runCheck('fire', process.execPath, ['bench/fire/fire.mjs', 'single', '--kills', '2']),
    browser: (url, only = []) =>
      runCheck('browser', bin('playwright'), ['test', '-c', 'e2e/playwright.config.mjs', ...only], {
        GAMBITO_URL: url,
        ...scaled,
        ...withoutFakeClock,
        GAMBITO_SHIFT: shift,
      }),
    units: (only = []) =>
      runCheck('unit and server', bin('jest'), ['--json', '--outputFile', join(results, 'jest.json'), '--silent', '--maxWorkers', '2', ...only], {
        NODE_OPTIONS: '--experimental-vm-modules --no-warnings',
        ...scaled,
        ...database.environment('gambito_jest'),
      }),
  };
  return checks;
}

async function everyCheck(tools, checks, database) {
  const single = [await checks.build()];
  if (!single[0].passed) return { single, browser: null };
  // a starter that built once more beside the browser would empty the folder it is served from
  if (!tools.isBuilt()) throw new Refusal('What was built is not known as built (tools/lib/built.mjs).');
  const server = await startBrowserServer(database.environment('gambito_e2e'));
  let browser = null;
  try {
    const inTurn = async () => {
      const read = [await checks.types(), await checks.lint(), await checks.format()];
      await tools.bundleUnits(undefined, true);
      return read;
    };
    const [ofBrowser, fire, read] = await Promise.all([checks.browser(server.url), checks.fire(), inTurn()]);
    single.push(fire, ...read);
    browser = ofBrowser;
  } finally {
    await server.stop();
  }
  return { single, browser, units: await checks.units() };
}
/** Types, the touched workspaces' own tests, and three paths through the browser: beside each other, since each of them waits at times. */
async function quickChecks(tools, checks, database) {
  const touched = tools.touchedWorkspaces();
  const single = [await checks.build()];
  if (!single[0].passed) return { single, browser: null };
  const server = await startBrowserServer(database.environment('gambito_e2e'));
  const ownTests = async () => {
    if (touched.length === 0) return null;
    await tools.bundleUnits(touched, true);
    return checks.units(touched.map((workspace) => `${workspace}/.units`));
  };
  try {
    const browser = checks.browser(server.url, ['path.spec', '-g', 'write:|adapt:|athlete’s page']);
    const [types, units] = await Promise.all([checks.typesAgain(), ownTests()]);
    return { single: [...single, types], browser: await browser, units };
  } finally {
    await server.stop();
  }
}

function tell(tools, { single, reports }) {
  const tests = reports.flatMap((report) => report.tests);
  const failed = [...tests.filter(({ passed }) => !passed), ...reports.flatMap(({ broken }) => broken)];
  const bad = single.filter(({ passed }) => !passed);
  for (const { name, output } of bad) say(`\nFAILED  ${name}\n${output.trim()}`);
  for (const each of failed) say(`\n${tools.failureText(each)}`);
  say(`\nslowest:\n${tools.slowest(tests).join('\n')}`);
  const count = failed.length + bad.length;
  say(`\nin ${Math.round((Date.now() - began) / 1000)} s\n${tests.length + single.length - count} passed, ${count} failed`);
  if (count > 0) process.exitCode = 1;
}

await orRefuse(async () => {
  checkNode();
  installDebian(debian);
  installDependencies(root);
  const tools = await loadTools();
  const time = tools.otherTime(asked);
  const slow = tools.slowness();
  say(`limits are nets of ${slow.toFixed(1)} × their usual length on this machine now`);
  Object.assign(process.env, time);
  const results = join(root, 'test-results');
  rmSync(results, { recursive: true, force: true });
  mkdirSync(results, { recursive: true });
  const files = mkdtempSync(join(existsSync('/dev/shm') ? '/dev/shm' : '/tmp', 'gambito-test-'));
  const database = await tools.startDatabase(files, { throwAway: true });
  const clean = async () => {
    await database.stop();
    rmSync(files, { recursive: true, force: true });
  };
  process.once('SIGINT', () => void clean().then(() => process.exit(1)));
  try {
    for (const name of databases) database.create(name);
    const checks = checksOf(tools, { files, database, slow, results, shift: time.GAMBITO_SHIFT ?? '0' });
    const { single, browser, units = null } = await (isQuick ? quickChecks : everyCheck)(tools, checks, database);
    const reports = browser === null ? [] : [tools.browserReport(join(results, 'e2e.json'))];
    if (units !== null) reports.push(tools.unitReport(join(results, 'jest.json')));
    tell(tools, { single, reports });
  } finally {
    await clean();
  }
});
