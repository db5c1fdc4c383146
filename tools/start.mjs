/**
 * `npm start [-- --port N] [--empty]`: installs what is missing, builds, starts the private database, migrates, loads the demo, serves.
 * A second start takes seconds and keeps what was entered. Ctrl-C stops everything started here and nothing else.
 */
import { spawn } from 'node:child_process';
import { existsSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { portIsFree, startDatabase } from './lib/database.mjs';
import { checkDisk, checkNode, installDebian, installDependencies } from './lib/install.mjs';
import { Refusal, orRefuse, say } from './lib/say.mjs';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');

function newestSource() {
  let newest = 0;
  const visit = (directory) => {
    for (const entry of readdirSync(directory, { withFileTypes: true })) {
      if (['node_modules', 'dist', '.data', 'test-results'].includes(entry.name)) continue;
      const path = join(directory, entry.name);
      if (entry.isDirectory()) visit(path);
      else newest = Math.max(newest, statSync(path).mtimeMs);
    }
  };
  for (const each of ['packages', 'apps']) visit(join(root, each));
  return newest;
}

async function build() {
  const stamp = join(root, 'apps/server/dist/.built');
  const outputs = ['apps/server/dist/server.mjs', 'apps/web/dist/index.html', 'apps/cli/dist/gambito.mjs'].map((each) => join(root, each));
  if (outputs.every(existsSync) && existsSync(stamp) && Number(readFileSync(stamp, 'utf8')) >= newestSource()) return;
  say('Building …');
  const newest = newestSource();
  await run(process.execPath, [join(root, 'tools/build.mjs')]);
  writeFileSync(stamp, String(newest));
}

function run(command, args) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', cwd: root });
    child.once('exit', (code) => (code === 0 ? resolve() : reject(new Refusal(`The build failed (${code}).`))));
  });
}

await orRefuse(async () => {
  const { values } = parseArgs({
    options: {
      port: { type: 'string', default: process.env.PORT ?? '4780' },
      empty: { type: 'boolean', default: false },
      host: { type: 'string', default: '127.0.0.1' },
    },
  });
  const port = Number(values.port);
  if (!Number.isInteger(port) || port < 1 || port > 65535) throw new Refusal(`--port: “${values.port}” is no port; expected a number from 1 to 65535.`);
  checkNode();
  if (!(await portIsFree(port, values.host))) throw new Refusal(`Port ${port} is taken; choose another one: npm start -- --port ${port + 1}`);
  checkDisk(root);
  installDebian({ mariadbd: 'mariadb-server-core', mariadb: 'mariadb-client-core' });
  installDependencies(root);
  await build();
  const name = values.empty ? 'gambito_own' : 'gambito_demo';
  const database = await startDatabase(join(root, '.data', values.empty ? 'own' : 'demo'));
  let server;
  let stopping = false;
  const stop = async () => {
    if (stopping) return;
    stopping = true;
    if (server && server.exitCode === null) {
      server.kill('SIGTERM');
      await new Promise((resolve) => server.once('exit', resolve));
    }
    await database.stop();
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void stop().then(() => process.exit(0)));
  try {
    database.create(name);
    server = spawn(process.execPath, ['--enable-source-maps', join(root, 'apps/server/dist/server.mjs')], {
      stdio: 'inherit',
      cwd: root,
      detached: true,
      env: {
        ...process.env,
        NODE_ENV: 'production',
        GAMBITO_PORT: String(port),
        GAMBITO_HOST: values.host,
        GAMBITO_DB_PORT: String(database.port),
        GAMBITO_DB_NAME: name,
        GAMBITO_DEMO: values.empty ? '' : '1',
        GAMBITO_WEB: join(root, 'apps/web/dist'),
      },
    });
    const code = await new Promise((resolve) => server.once('exit', resolve));
    await stop();
    if (code) process.exitCode = 1;
  } catch (error) {
    await stop();
    throw error;
  }
});
