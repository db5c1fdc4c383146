/**
 * `npm run bench -- load [--seconds N]`: twenty coaches and five hundred athletes on one machine, while one coach sends to two hundred. Latencies by what was asked, the longest delay of the
 * server's event loop, its memory over time, and how much of the machine the load itself took.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { startDatabase } from '../../tools/lib/database.mjs';
import { keeper, makeCoaches, password, pause, server } from './machine.mjs';
import { newTally, quantile, visitor } from './writers.mjs';

const coaches = 20;
const bigClass = 200;
const people = 500;
const text = '# Breakwater\nAMRAP 14:00\n7 db push press @ 2x17.5/12.5 kg\n9 toes-to-bar\n40 m shuttle run\nintent: 8-10 rounds\n';
async function makeDesks(base, tally) {
  const desks = [];
  for (let at = 0; at < coaches; at++) {
    const way = visitor(() => base, tally);
    await way.surely('POST', '/login', { email: `c${at}@lanterns.example`, password });
    const size = at === 0 ? bigClass : Math.ceil((people - bigClass) / (coaches - 1));
    const athletes = [];
    for (let person = 0; person < size; person++) {
      const file = keeper(`Keeper ${at}.${person}`, person);
      athletes.push((await way.surely('POST', '/athletes', { file })).json.id);
    }
    const workout = (await way.surely('POST', '/workouts', { text, day: '2026-11-27' })).json.id;
    desks.push({ way, athletes, workout, links: [] });
  }
  for (const desk of desks) {
    const own = desk.athletes.slice(0, 16);
    const { sends } = (await desk.way.surely('POST', `/workouts/${desk.workout}/sends`, { athleteIds: own })).json;
    desk.links = sends.map(({ token }) => token);
  }
  return desks;
}

/** Each kind of visit with its own times. */
function kinds() {
  const tallies = new Map();
  return { of: (name) => tallies.get(name) ?? tallies.set(name, newTally()).get(name), all: tallies };
}

async function coachAt(desk, base, record, over) {
  const via = async (name, method, path, body) => {
    const began = performance.now();
    const { status } = await desk.way.visit(method, path, body, { quiet: true });
    record.of(name).note(status, performance.now() - began);
  };
  await pause(3000 * Math.random());
  while (!over()) {
    await Promise.all(['/me', '/workouts', '/athletes', '/rules'].map((path) => via('home', 'GET', path)));
    await pause(1500 + 1500 * Math.random());
    await via('board', 'GET', `/workouts/${desk.workout}/board`);
    await pause(1500 + 1500 * Math.random());
  }
}
async function athleteAt(token, base, record, over) {
  const way = visitor(() => base, newTally());
  const via = async (name, method, path, body) => {
    const began = performance.now();
    const { status } = await way.visit(method, path, body, { quiet: true });
    record.of(name).note(status, performance.now() - began);
  };
  while (!over()) {
    await pause(4000 * Math.random() + 2000);
    await via('page', 'GET', `/a/${token}`);
    await pause(20_000 * Math.random());
    if (!over()) await via('score', 'POST', `/a/${token}/score`, { score: `${7 + Math.floor(3 * Math.random())}+${Math.floor(10 * Math.random())}`, note: '' });
  }
}
async function sendToAll({ way, workout, athletes }) {
  const began = performance.now();
  let job = (await way.surely('POST', `/workouts/${workout}/send-jobs`, { athleteIds: athletes })).json;
  const started = performance.now() - began;
  while (!job.finished) {
    await pause(300);
    job = (await way.surely('GET', `/jobs/${job.id}`)).json;
  }
  return { started, whole: performance.now() - began, failed: job.failed.length };
}

/** Answers a second of one reading with fifty connections, and their p99. */
async function throughput({ way }, path, milliseconds = 5000) {
  const times = [];
  const until = performance.now() + milliseconds;
  const one = async () => {
    while (performance.now() < until) {
      const began = performance.now();
      const { status } = await way.visit('GET', path, undefined, { quiet: true });
      if (status === 200) times.push(performance.now() - began);
    }
  };
  await Promise.all(Array.from({ length: 50 }, one));
  return { path, rate: times.length / (milliseconds / 1000), p99: quantile(times, 0.99) };
}

const { values } = parseArgs({ options: { seconds: { type: 'string', default: '60' } } });
const seconds = Number(values.seconds);
const folder = mkdtempSync(join(tmpdir(), 'gambito-load-'));
const database = await startDatabase(folder);
database.create('gambito_load');
const { base, seen, stop } = await server(database);
try {
  await makeCoaches(database, coaches);
  const desks = await makeDesks(base, newTally());
  await pause(3000);
  seen.length = 0;
  const record = kinds();
  let ended = false;
  const over = () => ended;
  const used = process.cpuUsage();
  const began = Date.now();
  const running = [
    ...desks.map((desk) => coachAt(desk, base, record, over)),
    ...desks.flatMap(({ links }) => links.map((token) => athleteAt(token, base, record, over))),
  ];
  await pause(5000);
  const bigJob = sendToAll(desks[0]);
  await pause(1000);
  // the other coaches send too, each to five
  const small = await Promise.all(desks.slice(1).map((desk) => sendToAll({ ...desk, athletes: desk.athletes.slice(0, 5) })));
  const sent = await bigJob;
  await pause(Math.max(0, seconds * 1000 - (Date.now() - began)));
  ended = true;
  await Promise.all(running);
  const { user, system } = process.cpuUsage(used);
  for (const [name, { times, statuses }] of record.all)
    console.log(
      `${name}: ${times.length} answers, p50 ${quantile(times, 0.5).toFixed(0)} ms, p99 ${quantile(times, 0.99).toFixed(0)} ms${[...statuses].some(([status]) => !status.startsWith('2')) ? `, ${[...statuses].map(([status, count]) => `${status} × ${count}`).join(', ')}` : ''}`,
    );
  console.log(`send to ${bigClass}: taken after ${sent.started.toFixed(0)} ms, done after ${(sent.whole / 1000).toFixed(1)} s, ${sent.failed} failed`);
  console.log(`send to 5 by ${small.length} coaches meanwhile: done after ${(Math.max(...small.map(({ whole }) => whole)) / 1000).toFixed(1)} s at most`);
  const held = seen.reduce((most, line) => (line.callbackMs > most.callbackMs ? line : most));
  console.log(
    `longest callback of the server: ${held.callbackMs} ms (${held.callback}); five seconds' longest in the middle ${quantile(
      seen.map(({ callbackMs }) => callbackMs),
      0.5,
    )} ms`,
  );
  console.log(
    `event loop of the server: longest delay ${Math.max(...seen.map(({ loopMs }) => loopMs)).toFixed(0)} ms, p99 ${quantile(
      seen.map(({ loopP99Ms }) => loopP99Ms),
      1,
    ).toFixed(
      0,
    )} ms; memory ${seen[0]?.rssMb} → ${seen.at(-1)?.rssMb} MB (most ${Math.max(...seen.map(({ rssMb }) => rssMb))}) in ${seconds} s; ${Math.round((100 * (user + system)) / 1e3 / (Date.now() - began) / cpus().length)} % of ${cpus().length} cores were the load's own`,
  );
  const [little, big] = [desks[1], desks[0]];
  for (const [at, athleteId] of big.athletes.entries())
    await big.way.surely('POST', `/workouts/${big.workout}/scores`, { athleteId, score: `${6 + (at % 4)}+${at % 15}` });
  for (const { rate, p99, path } of [
    await throughput(little, '/workouts'),
    await throughput(little, '/athletes'),
    await throughput(little, `/workouts/${little.workout}/board`),
    await throughput(big, `/workouts/${big.workout}/board`),
  ])
    console.log(`fifty at once ${path}: ${rate.toFixed(0)} a second, p99 ${p99.toFixed(0)} ms`);
} finally {
  await stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
