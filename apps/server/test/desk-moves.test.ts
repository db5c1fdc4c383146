/** A desk that moves house: its archive, several coaches, and where one is signed in. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { request } from 'node:http';
import { gunzipSync, gzipSync } from 'node:zlib';
import { addAthlete, addWorkout, cookieOf, openInstance, password, sendTo, squall, until, type Desk, type Instance } from './instance';

let instance: Instance;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_moves');
});
afterAll(() => instance.close());

interface House {
  readonly desk: Desk;
  readonly cookie: string;
}
const open = (name: string): Promise<House> => instance.newCoach(`${name}@lanterns.example`);
const give = async ({ cookie }: House): Promise<Buffer> => (await instance.app.inject({ url: '/api/archive', headers: { cookie } })).rawPayload;
const take = async ({ cookie }: House, payload: Buffer): Promise<{ status: number; detail?: string; lines?: number }> => {
  const answer = await instance.app.inject({ method: 'POST', url: '/api/archive', payload, headers: { cookie, 'content-type': 'application/gzip' } });
  return { status: answer.statusCode, ...(answer.json() as object) };
};
const linesOf = (archive: Buffer): Record<string, unknown>[] =>
  gunzipSync(archive)
    .toString()
    .trim()
    .split('\n')
    .map((line) => JSON.parse(line) as Record<string, unknown>);
const zipped = (lines: readonly unknown[]): Buffer => gzipSync(lines.map((line) => JSON.stringify(line)).join('\n'));

/** What a board says, whatever its rows are numbered. */
async function boardOf(desk: Desk): Promise<unknown> {
  const { workouts } = (await desk('GET', '/workouts')).json;
  const id = workouts.find(({ title }: { title: string }) => title === 'Squall').id as number;
  const board = (await desk('GET', `/workouts/${id}/board`)).json;
  return JSON.parse(JSON.stringify(board, (key, value: unknown) => (key === 'scoreId' || key === 'athleteId' ? 0 : value)));
}

describe('a desk as an archive', () => {
  let from: House;
  let archive: Buffer;
  beforeAll(async () => {
    from = await open('old-house');
    const { desk } = from;
    await desk('PUT', '/me', { timeZone: 'Atlantic/Azores', units: 'lb', firstDay: 0 });
    await desk('PUT', '/rules', { rules: { board: 'perVersion' } });
    await desk('PUT', '/words', { keep: [{ kind: 'like', words: 'deck roll', means: 'Burpee' }] });
    const [first, second] = [await addAthlete(desk, 'Hespin', { groups: ['crew'] }), await addAthlete(desk, 'Orvenna', { place: { kit: ['rope'] } })];
    const [before, workout] = [await addWorkout(desk, '# Before\nfor time, cap 9:00\n40 burpee'), await addWorkout(desk)];
    await desk('PUT', `/workouts/${workout}`, { audience: { groups: ['crew'], athletes: [second] }, tags: ['short'], revision: 1 });
    await desk('PUT', `/workouts/${workout}/locks/${second}`, { locks: [{ part: 0, slot: 0, reps: 6 }, { note: 'Slowly.' }] });
    for (const athlete of [first, second]) await sendTo(desk, workout, athlete);
    await desk('POST', `/workouts/${before}/scores`, { athleteId: first, score: '4:10' });
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: first, score: '9+4', note: 'Windy.' });
    archive = await give(from);
  });

  test('goes into an empty desk, whose boards are the same', async () => {
    const to = await open('new-house');
    expect(await take(to, archive)).toMatchObject({ status: 200, lines: 8 });
    expect(await boardOf(to.desk)).toEqual(await boardOf(from.desk));
    expect((await to.desk('GET', '/me')).json.coach).toMatchObject({ timeZone: 'Atlantic/Azores', units: 'lb', firstDay: 0 });
    expect((await to.desk('GET', '/words')).json.words).toEqual([{ kind: 'like', words: 'deck roll', means: 'Burpee' }]);
    const { workouts } = (await to.desk('GET', '/workouts?tag=short')).json;
    expect(workouts[0]).toMatchObject({ title: 'Squall', audience: { groups: ['crew'], athletes: [expect.any(Number)] } });
    const { locks } = (await to.desk('GET', `/workouts/${workouts[0].id}/locks`)).json;
    expect(locks[0]).toMatchObject({ athleteId: workouts[0].audience.athletes[0], locks: [{ reps: 6 }, { note: 'Slowly.' }] });
    // what goes out of the new desk is what came in, but for the numbers and the moment
    const ofTheirOwn = ['id', 'workoutId', 'athleteId', 'at', 'name', 'athletes'];
    const plain = (archived: Buffer): unknown =>
      JSON.parse(JSON.stringify(linesOf(archived), (key, value: unknown) => (ofTheirOwn.includes(key) ? undefined : value)));
    expect(plain(await give(to))).toEqual(plain(archive));
  });
  test('of an older format keeps what hurt, which stood with what was sent', async () => {
    const felt = { where: 'chest', much: 3, movement: '', note: 'faint', also: [{ where: 'knee', much: 1, movement: '', note: '' }] };
    const hurt = { felt, at: '2026-11-25T09:00:00.000Z', open: true };
    const lines = linesOf(archive);
    const sent = lines.findIndex((line) => 'send' in line);
    const old = lines.map((line, at) => (at === sent ? { send: { ...(line['send'] as object), hurt } } : line));
    const to = await open('older-house');
    expect(await take(to, zipped(old))).toMatchObject({ status: 200 });
    expect((await to.desk('GET', '/discomforts')).json.discomforts).toMatchObject([{ title: 'Squall', felt, at: hurt.at }]);
  });
  test('does not go into a desk that has something', async () => expect((await take(from, archive)).status).toBe(409));
  test('holds no links, no passwords and nothing of another coach', () => {
    const text = gunzipSync(archive).toString();
    expect(text).not.toMatch(/token|password|argon/i);
    expect(linesOf(archive)).toHaveLength(10);
  });
  test.each([
    ['cut short', (lines: unknown[]) => lines.slice(0, -2), /not whole: 7 lines, and no end/],
    ['one line less', (lines: unknown[]) => lines.toSpliced(3, 1), /not in it|not whole/],
    ['another file', () => [{ gambito: 'backup' }], /head of a desk/],
    ['a line that is none', (lines: unknown[]) => lines.toSpliced(2, 0, { athlete: { id: 'x' } }), /Line 3/],
    [
      'a score of nobody',
      (lines: unknown[]) => lines.toSpliced(-1, 0, { score: { ...(lines.at(-2) as { score: object }).score, athleteId: 77 } }),
      /not in it/,
    ],
  ])('%s is refused with its reason, and leaves nothing', async (name, change, expected) => {
    const to = await open(`refused-${name.replaceAll(' ', '-')}`);
    const answer = await take(to, zipped(change(linesOf(archive))));
    expect([answer.status, answer.detail]).toEqual([422, expect.stringMatching(expected)]);
    expect((await to.desk('GET', '/athletes')).json.athletes).toEqual([]);
    expect((await to.desk('GET', '/workouts')).json.workouts).toEqual([]);
  });
  test('what is no gzip is told so', async () => {
    const answer = await take(await open('no-gzip'), Buffer.from('{"gambito":"desk"}'));
    expect([answer.status, answer.detail]).toEqual([422, expect.stringMatching(/no gzip file/)]);
  });
  test('a line without an end is not waited for', async () => {
    const head = JSON.stringify(linesOf(archive)[0]);
    const answer = await take(await open('endless'), gzipSync(`${head}\n${'x'.repeat(60_000_000)}`));
    expect([answer.status, answer.detail]).toEqual([422, 'Line 2 has no end.']);
  });
  test('an upload that breaks off leaves nothing, and holds no connection', async () => {
    const to = await open('broken-off');
    const address = new URL(await instance.app.listen({ port: 0, host: '127.0.0.1' }));
    const headers = { cookie: to.cookie, 'content-type': 'application/gzip', 'content-length': String(archive.length) };
    for (let tries = 0; tries < 12; tries++) {
      const upload = request({ port: address.port, host: address.hostname, method: 'POST', path: '/api/archive', headers });
      upload.on('error', () => undefined);
      upload.write(archive.subarray(0, archive.length >> 1));
      await new Promise((resolve) => setTimeout(resolve, 50));
      upload.destroy();
    }
    expect(await until(async () => (await to.desk('GET', '/athletes')).json.athletes.length === 0)).toBe(true);
    await to.desk('POST', '/athletes', { file: { name: 'Afterwards' } });
    expect((await to.desk('GET', '/athletes')).json.athletes).toHaveLength(1);
  });
  test('a database that goes away while a desk is given out breaks the file off, and nothing else', async () => {
    const { athletes } = instance.database.models;
    const findAll = athletes.findAll.bind(athletes);
    athletes.findAll = (() => Promise.reject(new Error('away'))) as unknown as typeof athletes.findAll;
    const broken = await instance.app.inject({ url: '/api/archive', headers: { cookie: from.cookie } }).catch((error: unknown) => error);
    athletes.findAll = findAll as typeof athletes.findAll;
    expect(broken).toBeDefined();
    expect(linesOf(await give(from))).toHaveLength(10);
  });
});

describe('several coaches', () => {
  const newcomer = { name: 'Sella', email: 'sella@lanterns.example', password, timeZone: 'UTC', units: 'kg' };
  test('the founder’s link makes one more coach with a desk of their own, once', async () => {
    const founder = await open('founder');
    expect((await founder.desk('POST', '/invitations')).status).toBe(403);
    await instance.database.models.coaches.update({ founder: 1 }, { where: { email: 'founder@lanterns.example' } });
    await addWorkout(founder.desk, squall);
    const { token } = (await founder.desk('POST', '/invitations')).json;
    expect((await founder.desk('GET', '/invitations')).json.invitations).toHaveLength(1);
    expect((await instance.stranger('GET', `/join/${token}`)).json).toEqual({ open: true });
    expect((await instance.stranger('POST', `/join/${token}`, { ...newcomer, password: 'short' })).status).toBe(400);
    expect((await instance.stranger('POST', `/join/${token}`, { ...newcomer, email: 'founder@lanterns.example' })).status).toBe(409);
    const joined = await instance.stranger('POST', `/join/${token}`, newcomer);
    expect(joined.json.coach).toMatchObject({ name: 'Sella', founder: false });
    expect((await instance.desk(cookieOf(joined.headers))('GET', '/workouts')).json.workouts).toEqual([]);
    expect((await instance.stranger('POST', `/join/${token}`, { ...newcomer, email: 'other@lanterns.example' })).status).toBe(404);
    expect((await instance.stranger('GET', `/join/${token}`)).json).toEqual({ open: false });
  });
  test('a withdrawn invitation and one that ran out open nothing', async () => {
    const { desk } = await open('inviter');
    await instance.database.models.coaches.update({ founder: null }, { where: { founder: 1 } });
    await instance.database.models.coaches.update({ founder: 1 }, { where: { email: 'inviter@lanterns.example' } });
    const [gone, late] = [(await desk('POST', '/invitations')).json.token, (await desk('POST', '/invitations')).json.token];
    const { createHash } = await import('node:crypto');
    expect((await desk('DELETE', `/invitations/${createHash('sha256').update(gone).digest('hex')}`)).status).toBe(200);
    expect((await instance.stranger('GET', `/join/${gone}`)).json.open).toBe(false);
    const { now } = instance.clock;
    instance.clock.now = new Date(now.getTime() + 8 * 24 * 3600 * 1000);
    expect((await instance.stranger('POST', `/join/${late}`, { ...newcomer, email: 'late@lanterns.example' })).status).toBe(404);
    instance.clock.now = now;
  });
});

test('where one is signed in is listed, and ended one by one', async () => {
  const { desk } = await open('traveller');
  const signIn = await instance.app.inject({
    method: 'POST',
    url: '/api/login',
    payload: { email: 'traveller@lanterns.example', password },
    headers: { 'user-agent': 'Harbour office browser' },
  });
  const elsewhere = instance.desk(cookieOf(signIn.headers));
  const { sessions } = (await desk('GET', '/me/sessions')).json;
  expect(sessions.map(({ here }: { here: boolean }) => here).sort()).toEqual([false, true]);
  const other = sessions.find(({ here }: { here: boolean }) => !here);
  expect(other.device).toBe('Harbour office browser');
  expect((await desk('DELETE', `/me/sessions/${other.id}`)).status).toBe(200);
  expect((await elsewhere('GET', '/workouts')).status).toBe(401);
  expect((await desk('GET', '/workouts')).status).toBe(200);
  expect((await desk('DELETE', `/me/sessions/${other.id}`)).status).toBe(404);
});
