/** Several windows, several coaches, namesakes, sessions that end, jobs that stop: what one person alone at one desk never sees. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Brief } from '@gambito/contract';
import { migrate } from '../src/migrations';
import { readConfig } from '../src/platform/config';
import { todayIn } from '../src/platform/days';
import { sendStore } from '../src/sends/store';
import { addAthlete, addWorkout, finished, openInstance, squall as text, type Desk, type Instance, type Method } from './instance';

let instance: Instance;
let maruvel: Desk;
let maruvelId: number;
let other: Desk;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_hands');
  ({ desk: maruvel, id: maruvelId } = await instance.newCoach('maruvel@lanterns.example'));
  ({ desk: other } = await instance.newCoach('other@lanterns.example'));
});
afterAll(() => instance.close());

test('migrations are applied once', async () => expect(await migrate(instance.database)).toEqual([]));

describe('another coach', () => {
  let workout: number;
  let athlete: number;
  let send: number;
  let score: number;
  let job: number;
  beforeAll(async () => {
    workout = await addWorkout(maruvel);
    athlete = await addAthlete(maruvel, 'Tabrik');
    send = (await maruvel('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] })).json.sends[0].id;
    score = (await maruvel('POST', `/workouts/${workout}/scores`, { athleteId: athlete, score: '9+3' })).json.scoreId;
    job = (await maruvel('POST', `/workouts/${workout}/send-jobs`, { athleteIds: [athlete] })).json.id;
  });
  test('sees an empty desk', async () => {
    expect((await other('GET', '/athletes')).json.athletes).toEqual([]);
    expect((await other('GET', '/workouts')).json.workouts).toEqual([]);
  });
  test('finds nothing of it by number, to read or to write', async () => {
    const own = await addAthlete(other, 'Brontek');
    const tries: [Method, string, unknown?][] = [
      ['GET', `/workouts/${workout}`],
      ['PUT', `/workouts/${workout}`, { text: 'mine now', revision: 1 }],
      ['POST', `/workouts/${workout}/duplicate`],
      ['DELETE', `/workouts/${workout}`],
      ['POST', `/workouts/${workout}/restore`],
      ['GET', `/workouts/${workout}/locks`],
      ['PUT', `/workouts/${workout}/locks/${own}`, { locks: [] }],
      ['GET', `/workouts/${workout}/sends`],
      ['POST', `/workouts/${workout}/sends`, { athleteIds: [own] }],
      ['DELETE', `/workouts/${workout}/sends/${send}`],
      ['PUT', `/workouts/${workout}/sends/${send}/open`],
      ['POST', `/workouts/${workout}/send-jobs`, { athleteIds: [own] }],
      ['GET', `/jobs/${job}`],
      ['GET', `/workouts/${workout}/board`],
      ['POST', `/workouts/${workout}/scores`, { athleteId: own, score: '1+0' }],
      ['DELETE', `/workouts/${workout}/scores/${score}`],
      ['POST', `/workouts/${workout}/scores/${score}/restore`],
      ['PUT', `/athletes/${athlete}`, { file: { name: 'Mine' }, revision: 1 }],
      ['DELETE', `/athletes/${athlete}`],
      ['POST', `/athletes/${athlete}/restore`],
    ];
    for (const [method, url, body] of tries) expect([method, url, (await other(method, url, body)).status]).toEqual([method, url, 404]);
    const theirs = await addWorkout(other);
    expect((await other('POST', `/workouts/${theirs}/scores`, { athleteId: athlete, score: '9+3' })).status).toBe(404);
    expect((await other('PUT', `/workouts/${theirs}/locks/${athlete}`, { locks: [] })).status).toBe(404);
    expect((await maruvel('GET', `/workouts/${workout}/board`)).json.boards[0].rows).toHaveLength(1);
    expect((await maruvel('GET', `/workouts/${workout}`)).json.text).toBe(text);
  });
  test('has house rules of its own', async () => {
    await other('PUT', '/rules', { rules: { warmUp: 'own' } });
    expect((await maruvel('GET', '/rules')).json.rules.warmUp).toBe('rounds');
  });
});

describe('several windows at once', () => {
  test('of five saves from one revision one is taken; the others are told, and given what stands there', async () => {
    const id = await addWorkout(maruvel);
    const answers = await Promise.all(
      Array.from({ length: 5 }, (_, at) => maruvel('PUT', `/workouts/${id}`, { text: `${text}note: window ${at}\n`, revision: 1 })),
    );
    const taken = answers.filter((each) => each.status === 200);
    expect(taken).toHaveLength(1);
    const stands = (await maruvel('GET', `/workouts/${id}`)).json;
    expect(stands).toMatchObject({ text: taken[0]!.json.text, revision: 2 });
    for (const refused of answers.filter((each) => each.status !== 200))
      expect(refused).toMatchObject({ status: 409, json: { current: { text: stands.text } } });
  });
  test('so it is with athletes', async () => {
    const id = await addAthlete(maruvel, 'Ostrame');
    const answers = await Promise.all(
      Array.from({ length: 4 }, (_, at) => maruvel('PUT', `/athletes/${id}`, { file: { name: `Ostrame ${at}` }, revision: 1 })),
    );
    expect(answers.map((each) => each.status).sort()).toEqual([200, 409, 409, 409]);
  });
  test('scores logged for one athlete at the same time: one counts, none is lost from the table', async () => {
    const [id, athlete] = [await addWorkout(maruvel), await addAthlete(maruvel, 'Ylmarra')];
    const scores = ['7+0', '8+0', '9+0', '10+0', '11+0'];
    for (const answer of await Promise.all(scores.map((score) => maruvel('POST', `/workouts/${id}/scores`, { athleteId: athlete, score }))))
      expect(answer.status).toBe(200);
    const board = (await maruvel('GET', `/workouts/${id}/board`)).json.boards[0].rows;
    expect(board).toHaveLength(1);
    expect(scores).toContain(board[0].score);
    expect(await instance.database.models.scores.count({ where: { workoutId: id, athleteId: athlete } })).toBe(5);
  });
  test('a deleted score that comes back takes the place of what was logged meanwhile', async () => {
    const [id, athlete] = [await addWorkout(maruvel), await addAthlete(maruvel, 'Wendrith')];
    const first = (await maruvel('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '9+4' })).json.scoreId;
    await maruvel('DELETE', `/workouts/${id}/scores/${first}`);
    await maruvel('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '5+0' });
    await maruvel('POST', `/workouts/${id}/scores/${first}/restore`);
    const board = (await maruvel('GET', `/workouts/${id}/board`)).json.boards[0].rows;
    expect(board.map((each: { score: string }) => each.score)).toEqual(['9+4']);
  });
});

test('a class is sent to all at once, at a workout nobody was sent yet: nobody stands in another’s way', async () => {
  const workout = await addWorkout(maruvel);
  const people: number[] = [];
  for (let at = 0; at < 60; at++) people.push(await addAthlete(maruvel, `Ferry ${at}`));
  const sends = sendStore(instance.database);
  const brief = { title: null, parts: [] } as unknown as Brief;
  const made = { versionText: text, brief };
  await Promise.all(people.map((athleteId) => sends.send({ workoutId: workout, athleteId, originalText: text, made }, instance.clock.now)));
  expect((await sends.list(workout, text)).map(({ athleteId }) => athleteId).sort()).toEqual([...people].sort());
});

test('namesakes keep their own rows: what is deleted is the score that was pointed at', async () => {
  const id = await addWorkout(maruvel);
  const [elder, younger] = [await addAthlete(maruvel, 'Quessil'), await addAthlete(maruvel, 'Quessil')];
  await maruvel('POST', `/workouts/${id}/scores`, { athleteId: elder, score: '11+0' });
  await maruvel('POST', `/workouts/${id}/scores`, { athleteId: younger, score: '6+0' });
  const board = (await maruvel('GET', `/workouts/${id}/board`)).json.boards[0].rows;
  expect(board.map((each: { athleteId: number; score: string }) => [each.athleteId, each.score])).toEqual([
    [elder, '11+0'],
    [younger, '6+0'],
  ]);
  await maruvel('DELETE', `/workouts/${id}/scores/${board[1].scoreId}`);
  expect((await maruvel('GET', `/workouts/${id}/board`)).json.boards[0].rows.map((each: { athleteId: number }) => each.athleteId)).toEqual([elder]);
});

test('past results: the newest eight of an athlete, deleted ones left out', async () => {
  const athlete = await addAthlete(maruvel, 'Drosimel');
  const ids: number[] = [];
  for (let at = 0; at < 10; at++) {
    const id = await addWorkout(maruvel);
    ids.push(id);
    await maruvel('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: `${at + 1}+0` });
  }
  const results = async (): Promise<number[]> =>
    (await maruvel('GET', '/athletes')).json.athletes
      .find((each: { id: number }) => each.id === athlete)
      .results.map((each: { workoutId: number }) => each.workoutId);
  expect(await results()).toEqual([...ids].reverse().slice(0, 8));
  const board = (await maruvel('GET', `/workouts/${ids[9]}/board`)).json.boards[0].rows;
  await maruvel('DELETE', `/workouts/${ids[9]}/scores/${board[0].scoreId}`);
  expect((await results())[0]).toBe(ids[8]);
});

test('a job whose server went down is gone on with by another, and counted once', async () => {
  const [id, athlete] = [await addWorkout(maruvel), await addAthlete(maruvel, 'Tabrik')];
  const { jobs, jobItems, sends } = instance.database.models;
  const job = await jobs.create({ coachId: maruvelId, kind: 'send', task: { workoutId: id, text }, cancelledAt: null });
  const before = {
    jobId: job.id,
    athleteId: athlete,
    state: 'waiting',
    message: null,
    leasedBy: 'a server that died',
    leasedUntil: new Date(Date.now() + 3_600_000),
  };
  await jobItems.create(before);
  expect((await maruvel('GET', `/jobs/${job.id}`)).json).toMatchObject({ total: 1, done: 0, finished: false });
  // the lease of a server that died runs out
  await jobItems.update({ leasedUntil: new Date(0) }, { where: { jobId: job.id } });
  expect(await finished(maruvel, job.id)).toMatchObject({ done: 1, finished: true, failed: [] });
  expect(await sends.count({ where: { workoutId: id } })).toBe(1);
});

describe('what comes in', () => {
  test('each wrong field is named with what was expected', async () => {
    const { status, json } = await maruvel('POST', '/workouts', { text: 'AMRAP 5:00', day: '25.11.2026' });
    expect(status).toBe(400);
    expect(json).toMatchObject({ code: 'invalid_input', fields: [{ path: 'day', message: expect.stringMatching(/2026-11-25/) }] });
    expect((await maruvel('PUT', '/me', { timeZone: 'Lanterns/Pier', units: 'kg' })).json.detail).toMatch(/Europe\/Lisbon/);
  });
  test('a broken body is refused as such, not as a failure of ours', async () => {
    const answer = await instance.app.inject({ method: 'POST', url: '/api/login', headers: { 'content-type': 'application/json' }, payload: '{"email":' });
    expect(answer.statusCode).toBe(400);
    expect(answer.json().code).toBe('invalid_input');
  });
  test('numbers that are none, and addresses that lead nowhere', async () => {
    expect((await maruvel('GET', '/workouts/lantern')).status).toBe(400);
    expect((await maruvel('GET', '/nowhere')).json).toMatchObject({ status: 404, code: 'not_found' });
  });
  test('the time zone and the units a coach chose are kept', async () => {
    expect((await maruvel('PUT', '/me', { timeZone: 'Atlantic/Azores', units: 'lb' })).json.coach).toMatchObject({ timeZone: 'Atlantic/Azores', units: 'lb' });
    expect((await maruvel('GET', '/me')).json.coach.units).toBe('lb');
  });
});

describe('the day and the environment', () => {
  test.each([
    ['UTC', '2026-11-25'],
    ['Pacific/Kiritimati', '2026-11-26'],
    ['Pacific/Pago_Pago', '2026-11-25'],
    ['America/New_York', '2026-11-25'],
  ])('at noon UTC it is another day in %s', (zone, day) => expect(todayIn(zone, new Date('2026-11-25T12:00:00Z'))).toBe(day));
  test('midnight belongs to the coach’s clock', () => {
    expect(todayIn('Atlantic/Azores', new Date('2026-11-26T00:30:00Z'))).toBe('2026-11-25');
    expect(todayIn('Atlantic/Azores', new Date('2026-11-26T01:30:00Z'))).toBe('2026-11-26');
  });
  test('the environment is read once, with defaults, and a database that is none is refused', () => {
    const at = { GAMBITO_DATABASE: 'mariadb://gambito@127.0.0.1:3399/gambito_own', GAMBITO_DB_PASSWORD: 'x' };
    expect(readConfig(at)).toMatchObject({ port: 4780, host: '127.0.0.1', demo: false, webDirectory: null, https: false, proxies: [] });
    expect(readConfig({ ...at, GAMBITO_DEMO: '1' }).demo).toBe(true);
    const several = readConfig({ ...at, GAMBITO_DATABASE: 'mariadb://gambito@lamp:1,pier,wick:3/gambito_own' });
    expect(several.database.hosts).toEqual([
      { host: 'lamp', port: 1 },
      { host: 'pier', port: 3306 },
      { host: 'wick', port: 3 },
    ]);
    expect(() => readConfig({ GAMBITO_DATABASE: 'pier' })).toThrow(/GAMBITO_DATABASE.*expected mariadb/);
    expect(() => readConfig({ GAMBITO_DATABASE: 'mariadb://gambito@pier:lamp/own' })).toThrow(/expected host:port/);
    expect(() => readConfig({})).toThrow(/GAMBITO_DATABASE/);
  });
});

test('a session lasts two weeks and no longer', async () => {
  const before = instance.clock.now;
  instance.clock.now = new Date(before.getTime() + 13.9 * 86_400_000);
  expect((await maruvel('GET', '/athletes')).status).toBe(200);
  instance.clock.now = new Date(before.getTime() + 14.1 * 86_400_000);
  expect((await maruvel('GET', '/athletes')).status).toBe(401);
  instance.clock.now = before;
});

test('passwords cannot be tried for ever', async () => {
  const tries = [];
  for (let at = 0; at < 12; at++)
    tries.push((await instance.app.inject({ method: 'POST', url: '/api/login', payload: { email: 'x@lanterns.example', password: 'no' } })).statusCode);
  expect(tries).toContain(401);
  expect(tries.at(-1)).toBe(429);
});
