/** Three databases that keep the same data on one machine (MariaDB with Galera), for `npm run cluster` and the fire bench. */
import { spawn, spawnSync } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readdirSync } from 'node:fs';
import { join } from 'node:path';
import { databaseAccount, giveTo, reachable } from './account.mjs';
import { createDatabase, environmentFor, grants, mariadbd, passwordOf, query, settings } from './database.mjs';
import { dataFolder } from './database-files.mjs';
import { freePort } from './ports.mjs';
import { Refusal, say } from './say.mjs';
import { keepAlive } from './supervise.mjs';

const provider = '/usr/lib/galera/libgalera_smm.so';
/** s after which a silent node is suspected and put out; the defaults (5 s and 15 s) are for wide networks */
const providerTimes =
  'evs.keepalive_period=PT0.3S;evs.inactive_check_period=PT0.3S;evs.suspect_timeout=PT1.2S;evs.inactive_timeout=PT3S;evs.install_timeout=PT3S';
/** ms a node may take to be in step */
const patience = 90_000;

/** The library and rsync are Debian packages; the scripts that bring a node in step lie in mariadb-server, which is unpacked and not installed: it would start a database of its own. */
export function installCluster(directory) {
  const missing = [existsSync(provider) ? null : 'galera-4', existsSync('/usr/bin/rsync') ? null : 'rsync'].filter(Boolean);
  if (missing.length > 0) {
    if (process.getuid() !== 0)
      throw new Refusal(`Missing: ${missing.join(', ')}. Install once as root: apt-get install --no-install-recommends ${missing.join(' ')}`);
    say(`Installing ${missing.join(', ')} …`);
    const done = spawnSync('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...missing], {
      encoding: 'utf8',
      env: { ...process.env, DEBIAN_FRONTEND: 'noninteractive' },
    });
    if (done.status !== 0) throw new Refusal(`apt-get could not install ${missing.join(', ')}: ${done.stderr.trim().split('\n').slice(-2).join(' ')}`);
  }
  const scripts = join(directory, 'scripts');
  if (existsSync(join(scripts, 'usr/bin/wsrep_sst_rsync'))) return join(scripts, 'usr/bin');
  mkdirSync(scripts, { recursive: true, mode: 0o755 });
  spawnSync('apt-get', ['download', 'mariadb-server'], { cwd: scripts, stdio: 'ignore' });
  const [archive] = readdirSync(scripts).filter((name) => name.endsWith('.deb'));
  if (!archive || spawnSync('dpkg', ['-x', archive, '.'], { cwd: scripts, stdio: 'ignore' }).status !== 0)
    throw new Refusal('The package mariadb-server could not be fetched: the scripts that bring a node in step are in it.');
  return join(scripts, 'usr/bin');
}

async function planNodes(directory, count, account) {
  const nodes = [];
  for (let at = 1; at <= count; at++) {
    const own = join(directory, `node-${at}`);
    mkdirSync(join(own, 'run'), { recursive: true });
    giveTo(join(own, 'run'), account);
    const [port, group, ist, sst] = [await freePort(), await freePort(), await freePort(), await freePort()];
    nodes.push({ name: `node-${at}`, at, own, data: join(own, 'mariadb'), socket: join(own, 'run', 's'), port, group, ist, sst, account });
  }
  return nodes;
}

function spawnNode(node, nodes, scripts, isFirst) {
  const { account, data, socket, port, group, ist, sst, name } = node;
  return spawn(
    mariadbd,
    [
      '--no-defaults',
      ...(account.isSystem ? [`--user=${account.name}`] : []),
      `--datadir=${data}`,
      `--socket=${socket}`,
      `--pid-file=${socket}.pid`,
      `--port=${port}`,
      ...settings,
      '--binlog-format=ROW',
      '--innodb-autoinc-lock-mode=2',
      '--wsrep-on=ON',
      `--wsrep-provider=${provider}`,
      '--wsrep-cluster-name=gambito',
      `--wsrep-cluster-address=gcomm://${nodes.map((each) => `127.0.0.1:${each.group}`).join(',')}`,
      `--wsrep-node-name=${name}`,
      `--wsrep-node-address=127.0.0.1:${group}`,
      `--wsrep-provider-options=base_port=${group};gmcast.listen_addr=tcp://127.0.0.1:${group};ist.recv_addr=127.0.0.1:${ist};${providerTimes}`,
      '--wsrep-sst-method=rsync',
      `--wsrep-sst-receive-address=127.0.0.1:${sst}`,
      ...(isFirst ? ['--wsrep-new-cluster'] : []),
    ],
    { stdio: ['ignore', 'ignore', 'pipe'], detached: true, env: { ...process.env, PATH: `${scripts}:${process.env.PATH}` } },
  );
}

const isInStep = ({ socket, account }) => /Synced/.test(query(socket, account.admin, "SHOW STATUS LIKE 'wsrep_local_state_comment'").stdout ?? '');

async function startNode(node, nodes, scripts, isFirst) {
  const child = spawnNode(node, nodes, scripts, isFirst);
  let log = '';
  child.stderr.on('data', (chunk) => (log = (log + chunk).slice(-8000)));
  for (const began = Date.now(); !isInStep(node);) {
    if (child.exitCode !== null || child.signalCode !== null || Date.now() - began > patience)
      throw new Refusal(
        `${node.name} did not come in step: ${
          log
            .split('\n')
            .filter((line) => /error/i.test(line))
            .slice(-3)
            .join(' ') || log.slice(-300)
        }`,
      );
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
  return child;
}

/** Others that are alive and in step: a node that comes back joins them; alone, it would begin a cluster of its own. */
const anyInStep = (nodes, besides) => nodes.some((node) => node !== besides && isInStep(node));

/**
 * Starts them one after the other and keeps each alive.
 * @returns {{nodes: object[], environment: (name: string) => object, stop: () => Promise<void>}}
 */
export async function startCluster(wanted, { count = 3 } = {}) {
  const account = databaseAccount();
  mkdirSync(wanted, { recursive: true });
  const directory = reachable(wanted, account);
  const scripts = installCluster(directory);
  const nodes = await planNodes(directory, count, account);
  const { path: passwordFile, password } = passwordOf(directory);
  await dataFolder(nodes[0].own, account);
  for (const node of nodes.slice(1)) {
    // the first one's files, so that the others need not fetch all of them over the network at the first start
    if (!existsSync(node.data)) cpSync(nodes[0].data, node.data, { recursive: true });
    giveTo(node.data, account);
  }
  for (const node of nodes) {
    let up;
    const first = new Promise((resolve, reject) => (up = { resolve, reject }));
    node.kept = keepAlive(node.name, async () => {
      try {
        const child = await startNode(node, nodes, scripts, !anyInStep(nodes, node) && node.at === 1);
        up.resolve();
        return child;
      } catch (error) {
        up.reject(error);
        throw error;
      }
    });
    await first;
    if (node.at === 1) {
      const granted = query(node.socket, account.admin, grants(password));
      if (granted.status !== 0) throw new Refusal(`The cluster refused its accounts: ${granted.stderr.trim()}`);
    }
  }
  return {
    nodes,
    allInStep: () => nodes.every(isInStep),
    create: (name) => createDatabase(nodes[0], name),
    environment: (name) => ({
      ...environmentFor({ port: nodes[0].port, passwordFile }, name),
      GAMBITO_DATABASE: `mariadb://gambito@${nodes.map(({ port }) => `127.0.0.1:${port}`).join(',')}/${name}`,
    }),
    async stop() {
      for (const node of [...nodes].reverse()) await node.kept.stop();
    },
  };
}
