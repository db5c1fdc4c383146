/**
 * `npm run bench -- fire [single] [cluster] [start] [disk] [--kills N]`: writers on all routes while servers and databases are killed (kill -9); then: what that was acknowledged is gone, and how
 * long until it served again. Also: first starts, each killed at a random moment, and whether the next one completes.
 */
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { root } from '../../tools/lib/root.mjs';
import { startCluster } from '../../tools/lib/cluster.mjs';
import { startServers } from '../../tools/cluster.mjs';
import { freePort } from '../../tools/lib/ports.mjs';
import { startProxy } from '../../tools/lib/proxy.mjs';
import { fullDisk } from './full-disk.mjs';
import { enter, lost, newTally, prepareDesk, quantile, visitor, write } from './writers.mjs';

const pause = (milliseconds) => new Promise((resolve) => setTimeout(resolve, milliseconds));
const show = (text) => console.log(text);
/** the same dice every time */
let seed = 7;
const random = () => (seed = (seed * 48271) % 2147483647) / 2147483647;

async function serving(base, from, patience = 90_000) {
  for (;;) {
    const answer = await fetch(`${base}/api/health`, { signal: AbortSignal.timeout(3000) }).catch(() => null);
    if (answer?.ok) return Date.now() - from;
    if (Date.now() - from > patience) return Infinity;
    await pause(40);
  }
}

/** Writers write while `kill` is called so many times. */
async function burn(title, base, kills, kill, writers = 6) {
  const calm = newTally();
  const coach = visitor(() => base, calm);
  const rows = await prepareDesk(coach, writers);
  const run = async (tally, milliseconds, during) => {
    let over = false;
    const ways = rows.map(() => visitor(() => base, tally, coach));
    const writing = rows.map((row, at) => write(ways[at], row, () => over));
    await (during ? during() : pause(milliseconds));
    over = true;
    return (await Promise.all(writing)).reduce((sum, count) => sum + count, 0);
  };
  await run(calm, kills > 4 ? 5_000 : 1_500);
  const fire = newTally();
  const back = [];
  const written = await run(fire, 0, async () => {
    for (let at = 0; at < kills; at++) {
      // a process that lived for ten seconds is started again at once: two take turns here
      await pause((kills > 4 ? 5_500 : 1_000) + 1_500 * random());
      await kill(at);
      back.push(await serving(base, Date.now()));
      if (!Number.isFinite(back.at(-1))) break;
    }
  });
  await pause(500);
  const way = visitor(() => base, newTally(), coach);
  const missing = await lost(way, rows);
  show(
    `\n${title}: ${kills} kills, ${written} acknowledged writes, ${missing.length} lost; serving again after ${quantile(back, 0.5)} ms in the middle, ${Math.max(...back)} ms at most`,
  );
  show(
    `  p99 of what was answered: ${quantile(calm.times, 0.99).toFixed(0)} ms calm, ${quantile(fire.times, 0.99).toFixed(0)} ms burning; answers while burning: ${[...fire.statuses].map(([status, count]) => `${status} × ${count}`).join(', ')}`,
  );
  for (const each of missing.slice(0, 10)) show(`  LOST ${each}`);
  // a sample runs beside other tests: it is of what is lost, not of how long it takes
  const patience = kills > 4 ? 5_000 : 60_000;
  return missing.length === 0 && back.every((milliseconds) => milliseconds < patience);
}

/** As `npm start` does it, with files of its own. */
function starter(data, port, ...more) {
  const child = spawn(process.execPath, [join(root, 'tools/start.mjs'), '--port', String(port), '--data', data, ...more], {
    cwd: root,
    stdio: ['ignore', 'pipe', 'pipe'],
    detached: true,
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream.on('data', (chunk) => (said += chunk));
  return { child, said: () => said, ended: new Promise((resolve) => child.once('exit', resolve)) };
}
/** The starter's own children, by what they run. */
function childOf(pid, needle) {
  const { stdout } = spawnSync('pgrep', ['-P', String(pid), '-f', needle], { encoding: 'utf8' });
  const found = Number(stdout.trim().split('\n')[0]);
  return found > 0 ? found : null;
}
function killHard(pid) {
  try {
    if (pid) process.kill(pid, 'SIGKILL');
  } catch {
    // it was gone already
  }
}

async function single(kills) {
  const data = mkdtempSync(join(tmpdir(), 'gambito-fire-'));
  const port = await freePort();
  const base = `http://127.0.0.1:${port}`;
  // a sample runs beside other checks, which have made the demo already
  const { child, said, ended } = starter(data, port, ...(kills > 4 ? [] : ['--empty']));
  try {
    // its demo is made beside other checks here
    if (!Number.isFinite(await serving(base, Date.now(), 240_000))) throw new Error(said());
    const fine = await burn('One server, one database', base, kills, (at) => killHard(childOf(child.pid, at % 2 === 0 ? 'server.mjs' : 'mariadbd')));
    child.kill('SIGINT');
    await ended;
    return fine;
  } finally {
    child.kill('SIGINT');
    await ended;
    rmSync(data, { recursive: true, force: true });
  }
}

async function cluster(kills) {
  const folder = mkdtempSync(join(tmpdir(), 'gambito-fire-cluster-'));
  const nodes = await startCluster(folder);
  nodes.create('gambito_demo');
  const { servers, stop } = await startServers(nodes.environment('gambito_demo'), 2);
  const proxy = await startProxy(
    servers.map((server) => () => server.port),
    0,
  );
  const base = `http://127.0.0.1:${proxy.port}`;
  try {
    await serving(base, Date.now());
    const victims = [...nodes.nodes.map(({ kept }) => kept), ...servers.map(({ kept }) => kept)];
    return await burn('Two servers, three databases', base, kills, async (at) => {
      const victim = victims[at % victims.length];
      // a node that is still coming back is not killed: of three, one may be away
      for (let waited = 0; waited < 60_000 && !nodes.allInStep(); waited += 200) await pause(200);
      killHard(victim.child()?.pid);
    });
  } finally {
    await proxy.stop();
    await stop();
    await nodes.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** All that a process began, and what those began. */
function below(pid) {
  const { stdout } = spawnSync('pgrep', ['-P', String(pid)], { encoding: 'utf8' });
  const own = stdout.split('\n').filter(Boolean).map(Number);
  return own.flatMap((each) => [each, ...below(each)]);
}

/** A first start in a folder of its own, killed at a random moment: the starter alone, or all that it began; the next start must complete, with the whole demo and nothing left running. */
async function killedFirstStart(at) {
  const data = mkdtempSync(join(tmpdir(), 'gambito-first-'));
  try {
    const first = starter(data, await freePort());
    const moment = 50 + 11_000 * random();
    await pause(moment);
    const others = at % 2 === 0 ? [] : below(first.child.pid);
    for (const pid of [first.child.pid, ...others]) killHard(pid);
    await first.ended;
    const port = await freePort();
    const { child, said, ended } = starter(data, port);
    const time = await serving(`http://127.0.0.1:${port}`, Date.now());
    const way = visitor(() => `http://127.0.0.1:${port}`, newTally());
    if (Number.isFinite(time)) await enter(way);
    const { athletes } = Number.isFinite(time) ? (await way.surely('GET', '/athletes')).json : { athletes: [] };
    child.kill('SIGINT');
    await ended;
    const left = spawnSync('pgrep', ['-f', data], { encoding: 'utf8' }).stdout.trim();
    const fine = athletes.length === 14 && left === '';
    if (!fine) show(`  killed after ${moment.toFixed(0)} ms: ${athletes.length} athletes, left running: ${left || 'nothing'}\n${said()}`);
    return { fine, time };
  } finally {
    rmSync(data, { recursive: true, force: true });
  }
}

async function firstStarts(kills) {
  const ends = [];
  for (let at = 0; at < kills; at++) ends.push(await killedFirstStart(at));
  const times = ends.map(({ time }) => time);
  const good = ends.filter(({ fine }) => fine).length;
  show(
    `\nFirst starts, each killed at a random moment: ${good} of ${kills} ended well; the next start served after ${quantile(times, 0.5)} ms in the middle, ${Math.max(...times)} ms at most`,
  );
  return good === kills;
}

async function disk() {
  const fine = await fullDisk(async (folder) => {
    const port = await freePort();
    const { child, said, ended } = starter(folder, port);
    const base = `http://127.0.0.1:${port}`;
    // its demo is made beside other checks here
    if (!Number.isFinite(await serving(base, Date.now(), 240_000))) throw new Error(said());
    return {
      base,
      end: async () => {
        child.kill('SIGINT');
        await ended;
      },
    };
  });
  if (fine === null) show('\nA full disk: not tried, which needs root and a disk in memory');
  return fine ?? true;
}

const { values, positionals } = parseArgs({ options: { kills: { type: 'string', default: '40' } }, allowPositionals: true });
const kills = Number(values.kills);
const wanted = positionals.length > 0 ? positionals : ['single', 'cluster', 'start', 'disk'];
const results = [];
for (const [name, run] of Object.entries({
  single: () => single(kills),
  cluster: () => cluster(Math.max(5, Math.round(kills / 4))),
  start: () => firstStarts(kills),
  disk,
}))
  if (wanted.includes(name)) results.push(await run());
process.exit(results.every(Boolean) ? 0 : 1);
