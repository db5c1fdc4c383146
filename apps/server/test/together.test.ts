/** One clock for a class, over two servers on one database: everybody hears the same start and pause, phones that come late and come back too, and their taps arrive at the coach. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { ClassNews, ClassRoomNews } from '@gambito/contract';
import { sharedTimeOf } from '../src/together/shared-time';
import { addAthlete, addWorkout, openInstance, sendTo, until, type Desk, type Instance } from './instance';

let [here, there]: Instance[] = [];
let desk: Desk;
let cookie: string;
let workout: number;
let tokens: string[];
let addresses: string[];

beforeAll(async () => {
  here = await openInstance('gambito_jest_together');
  there = await openInstance('gambito_jest_together');
  ({ desk, cookie } = await here.newCoach('maruvel@lanterns.example'));
  workout = await addWorkout(desk);
  tokens = [];
  for (const name of ['Tabrik', 'Quillume']) tokens.push(await sendTo(desk, workout, await addAthlete(desk, name)));
  addresses = await Promise.all([here, there].map((instance) => instance!.app.listen({ port: 0, host: '127.0.0.1' })));
});
afterAll(async () => {
  await here?.close();
  await there?.close();
});

/** Listens to a stream of news. */
async function listen<News>(url: string, headers: Record<string, string> = {}) {
  const stop = new AbortController();
  const heard: News[] = [];
  const answer = await fetch(url, { headers, signal: stop.signal });
  const type = answer.headers.get('content-type');
  const ended = (async () => {
    let rest = '';
    for await (const chunk of answer.body!.pipeThrough(new TextDecoderStream())) {
      const lines = (rest + chunk).split('\n\n');
      rest = lines.pop()!;
      for (const line of lines) if (line.startsWith('data: ')) heard.push(JSON.parse(line.slice(6)) as News);
    }
  })().catch(() => undefined);
  return { heard, type, ended, stop: () => stop.abort() };
}
const phone = (at: number, server: number) => listen<ClassNews>(`${addresses[server]}/api/a/${tokens[at]}/class/news`);
const tell = (at: number, server: number, run: object) =>
  fetch(`${addresses[server]}/api/a/${tokens[at]}/class`, { method: 'PUT', headers: { 'content-type': 'application/json' }, body: JSON.stringify(run) });
const move = async (what: string) => (await desk('POST', `/workouts/${workout}/class/moves`, { move: what })).json.clock;

describe('a class on two servers', () => {
  test('nobody has opened one: the page says nothing of it', async () => {
    expect((await desk('GET', `/workouts/${workout}/class`)).json.clock).toBeNull();
    expect((await here!.stranger('GET', `/a/${tokens[0]}`)).json.together).toBe(false);
  });
  test('opened, started, paused, gone on and ended: phones on either server hear the same, one that comes late too', async () => {
    await desk('PUT', `/workouts/${workout}/class`);
    expect((await here!.stranger('GET', `/a/${tokens[0]}`)).json.together).toBe(true);
    const phones = [await phone(0, 0), await phone(1, 1)];
    expect(phones[0]!.type).toMatch(/event-stream/);
    const last = (at: number) => phones[at]!.heard.at(-1)?.clock;
    expect(await until(async () => last(0) !== undefined && last(1) !== undefined)).toBe(true);
    expect(last(1)).toEqual({ startedAt: null, pausedAt: null, pausedMs: 0, endedAt: null });
    const started = await move('start');
    // the count-in lies before it
    const { now } = (await here!.stranger('GET', '/time')).json;
    expect(started.startedAt - now).toBeGreaterThan(8_000);
    expect(started.startedAt - now).toBeLessThanOrEqual(10_000);
    const paused = await move('pause');
    expect(await until(async () => phones.every((_, at) => last(at)?.pausedAt === paused.pausedAt))).toBe(true);
    expect(last(0)).toEqual(last(1));
    const gone = await move('goOn');
    expect(gone.pausedMs).toBeGreaterThan(0);
    const late = await phone(0, 1);
    expect(await until(async () => late.heard.at(-1)?.clock?.pausedMs === gone.pausedMs)).toBe(true);
    for (const each of [...phones, late]) each.stop();
  });
  test('taps told to one server reach a coach at the other, each once', async () => {
    const watch = await listen<ClassRoomNews>(`${addresses[0]}/api/workouts/${workout}/class/news`, { cookie });
    const { clock } = (await desk('GET', `/workouts/${workout}/class`)).json;
    const run = { startedAt: clock.startedAt, taps: [{ at: 42.5, cue: 0 }], ended: {}, finishedAt: null };
    expect((await tell(1, 1, run)).status).toBe(200);
    const runs = () => watch.heard.flatMap((news) => news.runs);
    expect(await until(async () => runs().length > 0)).toBe(true);
    expect(runs().map(({ run: told }) => told)).toEqual([run]);
    await tell(1, 0, { ...run, taps: [...run.taps, { at: 88, cue: 0 }] });
    expect(await until(async () => runs().length > 1)).toBe(true);
    expect(runs().at(-1)!.run.taps).toHaveLength(2);
    watch.stop();
  });
  test('what is no run is refused, and a link that is gone follows nothing', async () => {
    expect((await tell(0, 0, { taps: 'many' })).status).toBe(400);
    const { sends } = (await desk('GET', `/workouts/${workout}/sends`)).json;
    await desk('DELETE', `/workouts/${workout}/sends/${sends[0].id}`);
    expect((await tell(0, 0, { startedAt: 1, taps: [], ended: {}, finishedAt: null })).status).toBe(410);
    await desk('PUT', `/workouts/${workout}/sends/${sends[0].id}/open`);
  });
  test('one link holds eight streams open: a ninth ends the oldest, and goes on', async () => {
    const streams: Awaited<ReturnType<typeof phone>>[] = [];
    const over = new Set<number>();
    for (let at = 0; at < 9; at++) {
      const stream = await phone(0, 1);
      void stream.ended.then(() => over.add(at));
      streams.push(stream);
    }
    expect(await until(async () => over.has(0) && streams[8]!.heard.length > 0)).toBe(true);
    expect([...over]).toEqual([0]);
    for (const each of streams) each.stop();
  });
  test('who asks for streams without end is asked to wait', async () => {
    const link = `/a/${'q'.repeat(32)}/class/news`;
    let last = 0;
    for (let at = 0; at < 91; at++) last = (await here!.stranger('GET', link)).status;
    expect(last).toBe(429);
  });
  test('who begins later hears so; a server that stops ends its streams', async () => {
    const { lanes } = (await desk('GET', `/workouts/${workout}/class`)).json;
    expect(lanes.map(({ name }: { name: string }) => name)).toEqual(['Quillume', 'Tabrik']);
    const [, tabrik] = lanes;
    expect(tabrik.clock.cues.length).toBeGreaterThan(1);
    expect(tabrik.uses).toEqual([]);
    await desk('PUT', `/workouts/${workout}/class/later`, { later: { [tabrik.athleteId]: 90 }, begins: { [tabrik.athleteId]: 'burpee' } });
    const follows = await phone(0, 1);
    expect(await until(async () => follows.heard.at(-1)?.later === 90)).toBe(true);
    expect(follows.heard.at(-1)).toMatchObject({ begin: 'burpee' });
    expect((await desk('GET', `/workouts/${workout}/class`)).json).toMatchObject({
      later: { [tabrik.athleteId]: 90 },
      begins: { [tabrik.athleteId]: 'burpee' },
      lanes: expect.arrayContaining([expect.objectContaining({ orders: expect.any(Array) })]),
    });
    await there!.close();
    there = undefined as never;
    await follows.ended;
  });
});

describe('the time that servers share', () => {
  test('is the database’s, however wrong the machine’s own is, asked again after a minute, and kept while the database is away', async () => {
    let machine = 5_000_000;
    let away = false;
    let asked = 0;
    const time = sharedTimeOf(
      async () => {
        asked++;
        if (away) throw new Error('away');
        // answered in the middle of 4 ms
        machine += 2;
        const now = machine + 123_456;
        machine += 2;
        return now;
      },
      () => machine,
    );
    expect(await time()).toBe(machine + 123_456);
    const first = asked;
    await time();
    expect(asked).toBe(first);
    machine += 61_000;
    away = true;
    expect(await time()).toBe(machine + 123_456);
    expect(asked).toBeGreaterThan(first);
  });
});
