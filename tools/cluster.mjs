/**
 * `npm run cluster [-- --port N]`: three databases and two servers behind a small proxy, all on loopback, with the demo. Kill any of them (`kill -9`): the rest goes on, and it comes
 * back by itself. A demonstration, and what the fire bench burns; docs/operations.md tells how it is done on several machines.
 */
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { startCluster } from './lib/cluster.mjs';
import { checkDisk, checkNode, installDebian, installDependencies } from './lib/install.mjs';
import { takeLock } from './lib/lock.mjs';
import { freePort } from './lib/ports.mjs';
import { startProxy } from './lib/proxy.mjs';
import { orRefuse, say } from './lib/say.mjs';
import { keepAlive } from './lib/supervise.mjs';
import { root } from './lib/root.mjs';

/** @returns {{ports: number[], kept: object[], environment: object, stop: () => Promise<void>}} */
export async function startServers(environment, count, { web = join(root, 'apps/web/dist'), demo = true } = {}) {
  const servers = [];
  for (let at = 1; at <= count; at++) {
    const port = await freePort();
    const env = {
      ...process.env,
      ...environment,
      NODE_ENV: 'production',
      GAMBITO_PORT: String(port),
      GAMBITO_DEMO: demo ? '1' : '',
      GAMBITO_WEB: web,
      GAMBITO_PROXY: '127.0.0.1',
      GAMBITO_THREADS: '1',
    };
    const kept = keepAlive(`Server ${at}`, () =>
      spawn(process.execPath, [join(root, 'apps/server/dist/server.mjs')], { stdio: ['ignore', 'inherit', 'inherit', 'ipc'], cwd: root, detached: true, env }),
    );
    servers.push({ port, kept });
  }
  return { servers, stop: () => Promise.all(servers.map(({ kept }) => kept.stop())) };
}

async function main() {
  const { values } = parseArgs({ options: { port: { type: 'string', default: '4780' } } });
  checkNode();
  checkDisk(root);
  installDebian({ mariadbd: 'mariadb-server-core', mariadb: 'mariadb-client-core' });
  installDependencies(root);
  const folder = join(root, '.data/cluster');
  const giveBack = takeLock(folder, `http://127.0.0.1:${values.port}`);
  const cluster = await startCluster(folder);
  cluster.create('gambito_demo');
  const { servers, stop } = await startServers(cluster.environment('gambito_demo'), 2);
  const proxy = await startProxy(
    servers.map(
      ({ port }) =>
        () =>
          port,
    ),
    Number(values.port),
  );
  for (const { name, port, kept } of cluster.nodes) say(`  ${name}: port ${port}, process ${kept.child()?.pid}`);
  for (const [at, { port, kept }] of servers.entries()) say(`  server ${at + 1}: port ${port}, process ${kept.child()?.pid}`);
  say(`Gambito: http://127.0.0.1:${proxy.port}, behind a proxy; Ctrl-C ends all of it`);
  const end = async () => {
    await proxy.stop();
    await stop();
    await cluster.stop();
    giveBack();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, () => void end());
}
if (process.argv[1] === fileURLToPath(import.meta.url)) await orRefuse(main);
