/**
 * `npm run bench -- class [--phones N] [--seconds N]`: a class of five hundred phones on one clock, twenty coaches writing beside it, on one machine.
 * How soon a start and a pause are heard by the phones, how soon a tap is at the coach's, what writing takes meanwhile, and how long the server's own callbacks are.
 */
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { startDatabase } from '../../tools/lib/database.mjs';
import { keeper, makeCoaches, password, pause, server } from './machine.mjs';
import { newTally, quantile, visitor } from './writers.mjs';

const { values } = parseArgs({ options: { phones: { type: 'string', default: '500' }, seconds: { type: 'string', default: '40' } } });
const [phones, seconds] = [Number(values.phones), Number(values.seconds)];
const coaches = 20;
const text = '# Bell Buoy\nAMRAP 12:00\n8 burpee\n12 air squat\n';

/** Signed in at a desk of one's own. */
async function deskOf(base, at) {
  const way = visitor(() => base, newTally());
  await way.surely('POST', '/login', { email: `c${at}@lanterns.example`, password });
  return way;
}
/** A workout that was sent to everybody. @returns the links */
async function makeClass(way) {
  const athletes = [];
  for (let from = 0; from < phones; from += 100) {
    const many = Array.from({ length: Math.min(100, phones - from) }, (_, at) => ({
      file: keeper(`Keeper ${String(from + at).padStart(3, '0')}`, from + at),
      revision: 0,
    }));
    for (const { file } of many) athletes.push((await way.surely('POST', '/athletes', { file })).json.id);
  }
  const workout = (await way.surely('POST', '/workouts', { text, day: null })).json.id;
  let job = (await way.surely('POST', `/workouts/${workout}/send-jobs`, { athleteIds: athletes })).json;
  while (!job.finished) {
    await pause(500);
    job = (await way.surely('GET', `/jobs/${job.id}`)).json;
  }
  const { sends } = (await way.surely('GET', `/workouts/${workout}/sends`)).json;
  return { workout, links: sends.map(({ token, athleteId }) => ({ token, athleteId })) };
}

/** Listens until it is stopped. */
async function listen(url, headers, hear) {
  const stop = new AbortController();
  const answer = await fetch(url, { headers, signal: stop.signal });
  void (async () => {
    let rest = '';
    for await (const chunk of answer.body.pipeThrough(new TextDecoderStream())) {
      const lines = (rest + chunk).split('\n\n');
      rest = lines.pop();
      for (const line of lines) if (line.startsWith('data: ')) hear(JSON.parse(line.slice(6)), performance.now());
    }
  })().catch(() => undefined);
  return () => stop.abort();
}

const say = (name, times) =>
  console.log(
    `${name}: ${times.length}, p50 ${quantile(times, 0.5).toFixed(0)} ms, p99 ${quantile(times, 0.99).toFixed(0)} ms, most ${Math.max(...times).toFixed(0)} ms`,
  );

const folder = mkdtempSync(join(tmpdir(), 'gambito-class-'));
const database = await startDatabase(folder);
database.create('gambito_load');
const { base, seen, stop } = await server(database);
try {
  await makeCoaches(database, coaches);
  const desks = [];
  for (let at = 0; at < coaches; at++) desks.push(await deskOf(base, at));
  const [coach] = desks;
  const { workout, links } = await makeClass(coach);
  await coach.surely('PUT', `/workouts/${workout}/class`);
  /** which state of the clock each phone heard, and when */
  const heard = new Map();
  const tapped = new Map();
  const taps = [];
  const stops = [];
  const opened = performance.now();
  for (const { token } of links)
    stops.push(
      await listen(`${base}/api/a/${token}/class/news`, {}, ({ clock }, at) => {
        const state = JSON.stringify(clock);
        heard.set(state, [...(heard.get(state) ?? []), at]);
      }),
    );
  console.log(`${links.length} phones listen after ${((performance.now() - opened) / 1000).toFixed(1)} s`);
  const login = await fetch(`${base}/api/login`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'c0@lanterns.example', password }),
  });
  const cookie = login.headers.get('set-cookie').split(';')[0];
  stops.push(
    await listen(`${base}/api/workouts/${workout}/class/news`, { cookie }, ({ runs }, at) => {
      for (const { athleteId, run } of runs) {
        const began = tapped.get(`${athleteId}.${run.taps.length}`);
        if (began !== undefined) taps.push(at - began);
      }
    }),
  );
  seen.length = 0;
  let over = false;
  const writing = newTally();
  const writers = desks.slice(1).map(async (way, at) => {
    let { id, revision } = (await way.surely('POST', '/workouts', { text: `# Write ${at}\nAMRAP 9:00\n5 burpee`, day: null })).json;
    for (let count = 0; !over; count++) {
      await pause(700 + 600 * Math.random());
      const began = performance.now();
      const { status, json } = await way.visit(
        'PUT',
        `/workouts/${id}`,
        { text: `# Write ${at}\nAMRAP 9:00\n${5 + (count % 20)} burpee`, revision },
        { quiet: true },
      );
      writing.note(status, performance.now() - began);
      if (status === 200) revision = json.revision;
    }
  });
  const move = async (what) => {
    const began = performance.now();
    const { clock } = (await coach.surely('POST', `/workouts/${workout}/class/moves`, { move: what })).json;
    await pause(3000);
    const times = (heard.get(JSON.stringify(clock)) ?? []).map((at) => at - began);
    say(`${what} heard by phones`, times);
    return clock;
  };
  const { startedAt } = await move('start');
  const telling = newTally();
  // a tap every twelve seconds: a short round
  const tappers = links.map(async ({ token, athleteId }) => {
    const way = visitor(() => base, newTally());
    for (let count = 1; !over; count++) {
      await pause(12_000 * Math.random() + (count > 1 ? 6_000 : 0));
      if (over) return;
      const run = { startedAt, taps: Array.from({ length: count }, (_, at) => ({ at: 10 * at, cue: 0 })), ended: {}, finishedAt: null };
      const began = performance.now();
      tapped.set(`${athleteId}.${count}`, began);
      const { status } = await way.visit('PUT', `/a/${token}/class`, run, { quiet: true });
      telling.note(status, performance.now() - began);
    }
  });
  await pause(seconds * 500);
  await move('pause');
  await move('goOn');
  await pause(seconds * 500);
  over = true;
  await Promise.all([...writers, ...tappers]);
  await pause(1500);
  say('taps answered', telling.times);
  say('taps at the coach’s', taps);
  say('a text saved meanwhile', writing.times);
  for (const [name, { statuses }] of [
    ['taps', telling],
    ['saves', writing],
  ])
    console.log(`${name}: ${[...statuses].map(([status, count]) => `${status} × ${count}`).join(', ')}`);
  console.log(
    `server: longest callback ${Math.max(...seen.map(({ callbackMs }) => callbackMs))} ms, longest delay of its loop ${Math.max(...seen.map(({ loopMs }) => loopMs)).toFixed(0)} ms, memory ${seen[0]?.rssMb} → ${seen.at(-1)?.rssMb} MB`,
  );
  for (const end of stops) end();
} finally {
  await stop();
  await database.stop();
  rmSync(folder, { recursive: true, force: true });
}
