/** The server through `inject`, against a real throw-away MariaDB (GAMBITO_DATABASE, set by tools/test.mjs). */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { lanternWorkouts } from '../src/demo/lantern-workouts';
import { seedDemo } from '../src/demo/seed';
import { finished, openInstance, type Instance, type Method } from './instance';

let instance: Instance;
let cookie = '';
const text = '# Breakwater\nAMRAP 14:00\n7 db push press @ 2x17.5/12.5 kg\n9 toes-to-bar\n40 m shuttle run\nintent: 8-10 rounds\n';
const call = (method: Method, url: string, body?: unknown, as = cookie) => instance.desk(as)(method, url, body);

beforeAll(async () => {
  instance = await openInstance('gambito_jest');
});
afterAll(() => instance.close());

describe('the way in', () => {
  test('a fresh database asks for a coach, once', async () => {
    expect((await call('GET', '/me')).json).toMatchObject({ signedIn: false, setUp: false });
    expect((await call('GET', '/athletes')).status).toBe(401);
    const weak = await call('POST', '/set-up', { name: 'Maruvel', email: 'coach@lanterns.example', password: 'short', timeZone: 'UTC' });
    expect(weak.status).toBe(400);
    expect(weak.json.detail).toMatch(/10 characters/);
    const made = await call('POST', '/set-up', { name: 'Maruvel', email: 'coach@lanterns.example', password: 'a long lantern', timeZone: 'UTC' });
    expect(made.status).toBe(200);
    cookie = String(made.headers['set-cookie']).split(';')[0]!;
    expect(String(made.headers['set-cookie'])).toMatch(/HttpOnly.*SameSite=Strict/);
    expect((await call('POST', '/set-up', { name: 'Other', email: 'o@lanterns.example', password: 'a long lantern', timeZone: 'UTC' })).status).toBe(409);
  });
  test('a wrong password is refused without saying which half was wrong', async () => {
    expect((await call('POST', '/login', { email: 'coach@lanterns.example', password: 'wrong wrong' }, '')).json.code).toBe('wrong_password');
    expect((await call('POST', '/login', { email: 'nobody@lanterns.example', password: 'wrong wrong' }, '')).json.code).toBe('wrong_password');
    expect((await call('POST', '/login', { email: 'COACH@lanterns.example', password: 'a long lantern' }, '')).status).toBe(200);
    expect((await call('POST', '/demo-login', undefined, '')).status).toBe(404);
  });
  test('security headers stand, and only JSON may write', async () => {
    const { headers } = await call('GET', '/me');
    expect(headers['content-security-policy']).toMatch(/script-src 'self'/);
    const form = await instance.app.inject({ method: 'POST', url: '/api/workouts', headers: { cookie, 'content-type': 'text/plain' }, payload: 'text=x' });
    expect(form.statusCode).toBe(400);
  });
  test('RFC 9457: a refusal is problem details', async () => {
    const answer = await instance.app.inject({ method: 'GET', url: '/api/workouts/987654', headers: { cookie } });
    expect(answer.headers['content-type']).toMatch(/^application\/problem\+json/);
    expect(answer.json()).toMatchObject({ status: 404, title: expect.any(String), type: expect.stringMatching(/^urn:/) });
  });
  test('OpenAPI stands at /api/docs', async () => {
    const answer = await instance.app.inject({ method: 'GET', url: '/api/docs/json' });
    expect(Object.keys(answer.json().paths)).toEqual(expect.arrayContaining(['/api/workouts/{id}/board', '/api/a/{token}/score']));
  });
});

describe('the whole path', () => {
  let workout: { id: number; revision: number };
  let athlete: { id: number; revision: number };
  let token = '';
  test('people: add, change, delete, restore', async () => {
    athlete = (
      await call('POST', '/athletes', {
        file: {
          name: 'Tabrik',
          category: 'men',
          level: 'trained',
          shoe: 'left',
          place: { kit: ['dumbbell 17.5 kg x 2', 'pull-up bar'], floor: '10 x 3 m', ceiling: '3 m' },
        },
      })
    ).json;
    const changed = await call('PUT', `/athletes/${athlete.id}`, {
      file: { name: 'Tabrik', category: 'men', level: 'trained', place: { kit: ['dumbbell 17.5 kg x 2', 'pull-up bar'], floor: '10 x 3 m', ceiling: '3 m' } },
      revision: 1,
    });
    expect(changed.json.revision).toBe(2);
    expect((await call('PUT', `/athletes/${athlete.id}`, { file: { name: 'Late' }, revision: 1 })).json).toMatchObject({
      code: 'changed_elsewhere',
      current: { name: 'Tabrik' },
    });
    await call('DELETE', `/athletes/${athlete.id}`);
    expect((await call('GET', '/athletes')).json.athletes).toEqual([]);
    await call('POST', `/athletes/${athlete.id}/restore`);
    expect((await call('GET', '/athletes')).json.athletes).toHaveLength(1);
    expect((await call('POST', '/athletes', { file: { name: '' } })).status).toBe(400);
  });
  test('workouts: save, conflict, duplicate, delete, restore', async () => {
    workout = (await call('POST', '/workouts', { text, day: '2026-11-25' })).json;
    const saved = await call('PUT', `/workouts/${workout.id}`, { text: `${text}note: mind the wind\n`, revision: 1 });
    expect(saved.json).toMatchObject({ title: 'Breakwater', revision: 2 });
    expect((await call('PUT', `/workouts/${workout.id}`, { text: 'lost?', revision: 1 })).status).toBe(409);
    const copy = (await call('POST', `/workouts/${workout.id}/duplicate`)).json;
    expect(copy.title).toBe('Breakwater (copy)');
    await call('DELETE', `/workouts/${copy.id}`);
    expect((await call('GET', `/workouts/${copy.id}`)).status).toBe(404);
    await call('POST', `/workouts/${copy.id}/restore`);
    expect((await call('GET', `/workouts/${copy.id}`)).status).toBe(200);
    expect((await call('POST', '/workouts', { text: 'x'.repeat(30_000) })).status).toBe(400);
    expect((await call('POST', '/workouts', { text: 'x'.repeat(90_000) })).status).toBe(413);
  });
  test('locks are kept', async () => {
    const locks = [{ part: 0, slot: 1, movement: 'v-up', reps: 9 }];
    await call('PUT', `/workouts/${workout.id}/locks/${athlete.id}`, { locks });
    expect((await call('GET', `/workouts/${workout.id}/locks`)).json.locks).toEqual([{ athleteId: athlete.id, locks, by: expect.stringMatching(/./) }]);
  });
  test('send: a link opens one version and says when the workout changed; withdrawn it is gone', async () => {
    const { sends } = (await call('POST', `/workouts/${workout.id}/sends`, { athleteIds: [athlete.id] })).json;
    token = sends[0].token;
    expect(token).toMatch(/^[\w-]{32}$/);
    const page = await call('GET', `/a/${token}`, undefined, '');
    expect(page.json.brief).toMatchObject({ title: 'Breakwater', athlete: 'Tabrik', fields: [{ part: 0, kind: 'rounds' }], window: '8–10 rounds' });
    expect(page.json.versionText).toMatch(/9 v-up/);
    expect(page.json.changed).toBe(false);
    await call('PUT', `/workouts/${workout.id}`, { text, revision: 2 });
    expect((await call('GET', `/a/${token}`, undefined, '')).json.changed).toBe(true);
    expect((await call('GET', '/a/aaaaaaaaaaaaaaaaaaaaaaaaaaaaaaaa', undefined, '')).status).toBe(404);
  });
  test('scores: the wrong kind is refused with what was expected, the right one lands on the board, corrected, deleted, restored', async () => {
    const wrong = await call('POST', `/a/${token}/score`, { score: '8:41' }, '');
    expect(wrong.json).toMatchObject({ code: 'bad_score' });
    expect(wrong.json.detail).toMatch(/7\+12/);
    expect((await call('GET', `/workouts/${workout.id}/board`)).json.missing).toHaveLength(1);
    await call('POST', `/a/${token}/score`, { score: '8+5', note: 'windy' }, '');
    const { boards, missing } = (await call('GET', `/workouts/${workout.id}/board`)).json;
    const board = boards[0].rows;
    expect(missing).toEqual([]);
    expect(board[0]).toMatchObject({ athlete: 'Tabrik', score: '8+5', note: 'windy', inWindow: true, rank: 1 });
    expect(board[0].equivalent.median).toBeGreaterThan(4);
    await call('POST', `/workouts/${workout.id}/scores`, { athleteId: athlete.id, score: '9+0' });
    const corrected = (await call('GET', `/workouts/${workout.id}/board`)).json.boards[0].rows;
    expect(corrected).toHaveLength(1);
    expect(corrected[0].score).toBe('9+0');
    await call('DELETE', `/workouts/${workout.id}/scores/${corrected[0].scoreId}`);
    expect((await call('GET', `/workouts/${workout.id}/board`)).json.boards[0].rows).toEqual([]);
    await call('POST', `/workouts/${workout.id}/scores/${corrected[0].scoreId}/restore`);
    expect((await call('GET', `/workouts/${workout.id}/board`)).json.boards[0].rows).toHaveLength(1);
  });
  test('an athlete’s scores feed the next versions, but not the version they were scored in', async () => {
    const run = '# Long Mole\nfor time, cap 40:00\n3000 m run\nwindow: 14:00-19:00\n';
    const file = { name: 'Quessil', category: 'women', level: 'trained', place: { kit: ['run route 200 m'] } };
    const quick = (await call('POST', '/athletes', { file })).json.id as number;
    const metres = async (id: number): Promise<number> => {
      const { sends } = (await call('POST', `/workouts/${id}/sends`, { athleteIds: [quick] })).json;
      const { token: link } = sends.find((each: { athleteId: number }) => each.athleteId === quick);
      return Number(/(\d+) m run/.exec((await call('GET', `/a/${link}`, undefined, '')).json.versionText)![1]);
    };
    const [first, second] = [(await call('POST', '/workouts', { text: run })).json, (await call('POST', '/workouts', { text: run })).json];
    expect(await metres(second.id)).toBe(3000);
    await call('POST', `/workouts/${first.id}/scores`, { athleteId: quick, score: '12:00' });
    const { athletes } = (await call('GET', '/athletes')).json;
    expect(athletes.find((each: { id: number }) => each.id === quick).results).toEqual([
      { workoutId: first.id, result: { fitness: { log: expect.any(Number), spread: expect.any(Number) }, movements: ['run'], reps: {}, seconds: 720 } },
    ]);
    // fitter than her file says: the window asks for more metres now
    expect(await metres(second.id)).toBeGreaterThan(3100);
    expect(await metres(first.id)).toBe(3000);
    await call('DELETE', `/athletes/${quick}`);
  });
  test('a withdrawn link answers that it is gone; opened again it is the same one', async () => {
    const { sends } = (await call('GET', `/workouts/${workout.id}/sends`)).json;
    await call('DELETE', `/workouts/${workout.id}/sends/${sends[0].id}`);
    expect((await call('GET', `/a/${token}`, undefined, '')).status).toBe(410);
    const reopened = (await call('PUT', `/workouts/${workout.id}/sends/${sends[0].id}/open`)).json.sends[0];
    expect([reopened.revoked, reopened.token]).toEqual([false, token]);
    expect((await call('GET', `/a/${token}`, undefined, '')).status).toBe(200);
    expect((await call('PUT', `/workouts/${workout.id}/sends/999999/open`)).status).toBe(404);
    await call('DELETE', `/workouts/${workout.id}/sends/${sends[0].id}`);
    const again = (await call('POST', `/workouts/${workout.id}/sends`, { athleteIds: [athlete.id] })).json.sends[0];
    expect(again.token).not.toBe(token);
  });
  test('sending to many is a job with its progress; the version goes into a calendar', async () => {
    const workout = (await call('POST', '/workouts', { text, day: '2026-12-03' })).json;
    const started = await call('POST', `/workouts/${workout.id}/send-jobs`, { athleteIds: [athlete.id, 999_999] });
    expect(started.status).toBe(202);
    expect(await finished(call, started.json.id)).toMatchObject({ total: 2, done: 2, finished: true, failed: [{ athleteId: 999_999 }] });
    const [sent] = (await call('GET', `/workouts/${workout.id}/sends`)).json.sends;
    const calendar = await instance.app.inject({ method: 'GET', url: `/api/a/${sent.token}/calendar.ics` });
    expect(calendar.headers['content-type']).toMatch(/^text\/calendar/);
    expect(calendar.body).toMatch(/BEGIN:VEVENT[\s\S]*SUMMARY:Breakwater/);
    expect((await call('GET', '/jobs/999999')).status).toBe(404);
  });
  test('an unreadable workout is not sent, and says which line', async () => {
    const nested = Array.from({ length: 9 }, (_, depth) => `${' '.repeat(depth)}2 rounds`).join('\n');
    const bad = (await call('POST', '/workouts', { text: `AMRAP 5:00\n${nested}\n          5 burpee` })).json;
    expect((await call('POST', `/workouts/${bad.id}/sends`, { athleteIds: [athlete.id] })).json).toMatchObject({
      code: 'unreadable_workout',
      detail: expect.stringMatching(/Line 9: .*more than 6 deep/),
    });
  });
  test('house rules: the schools offered are the only ones taken', async () => {
    expect((await call('PUT', '/rules', { rules: { noDoubleUnders: 'sameTime' } })).json.rules.noDoubleUnders).toBe('sameTime');
    expect((await call('PUT', '/rules', { rules: { noDoubleUnders: 'never' } })).status).toBe(400);
  });
  test('signing out ends the session', async () => {
    await call('POST', '/logout');
    expect((await call('GET', '/athletes')).status).toBe(401);
  });
});

test('a connection that says nothing is not held for ever', () => {
  const { requestTimeout, headersTimeout } = instance.app.server;
  expect([requestTimeout, headersTimeout]).toEqual([120_000, 20_000]);
});

describe('the demo', () => {
  test('loads once: fourteen athletes, weeks of history, plausible boards', async () => {
    const lanterns = await openInstance('gambito_jest_demo', { demo: true });
    // the whole history is what the browser tests sign in to
    const few = lanternWorkouts.filter(({ text }) => /# (?:Fog Signal|Lantern Oil)/.test(text));
    for (let start = 0; start < 2; start++) await seedDemo(lanterns.database, new Date('2026-11-25T12:00:00Z'), () => undefined, few);
    const demo = lanterns.app;
    const login = await demo.inject({ method: 'POST', url: '/api/demo-login' });
    const headers = { cookie: String(login.headers['set-cookie']).split(';')[0]! };
    expect((await demo.inject({ url: '/api/athletes', headers })).json().athletes).toHaveLength(14);
    const { workouts } = (await demo.inject({ url: '/api/workouts', headers })).json();
    expect(workouts.map((each: { day: string }) => each.day)).toEqual(['2026-11-27', '2026-11-23']);
    const fog = workouts.find((each: { title: string }) => each.title === 'Fog Signal');
    const board = (await demo.inject({ url: `/api/workouts/${fog.id}/board`, headers })).json().boards[0].rows;
    expect(board.length).toBeGreaterThan(8);
    for (const row of board) expect(row.index).toBeGreaterThan(10);
    await lanterns.close();
  });
});
