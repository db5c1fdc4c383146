/**
 * Who may do what: every route against everybody who might ask. A route that is added without a row here fails the first test.
 * Then what comes in from outside: other sites, other types, names that mean mischief, and bodies thrown at every write route.
 */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { seededRandom } from '@gambito/core';
import { hostname } from 'node:os';
import { Op } from 'sequelize';
import { resetLink } from '../src/auth/resets';
import { cases } from '../../../packages/core/test/cases';
import { addAthlete, addWorkout, openInstance, password, sendTo, squall, until, type Desk, type Instance, type Method } from './instance';

let instance: Instance;
let maruvel: Desk;
let cookie: string;
let other: Desk;
let lobby: Instance;
const mine = {
  hash: 'ab'.repeat(32),
  workout: 0,
  revision: 1,
  athlete: 0,
  send: 0,
  score: 0,
  job: 0,
  token: '',
  gone: '',
  door: '',
  delivery: 0,
  proposal: 0,
  person: 0,
  face: 'txt',
};
const theirs = { workout: 0, athlete: 0 };

beforeAll(async () => {
  instance = await openInstance('gambito_jest_gate');
  const owner = await instance.newCoach('maruvel@lanterns.example');
  ({ desk: maruvel, cookie } = owner);
  const guest = {
    email: 'guest@lanterns.example',
    name: 'Sasquel',
    passwordHash: '',
    timeZone: 'UTC',
    units: 'kg',
    rules: {},
    founder: null,
    deskId: owner.id,
  };
  mine.person = (await instance.database.models.coaches.create(guest)).id;
  ({ desk: other } = await instance.newCoach('other@lanterns.example'));
  mine.workout = await addWorkout(maruvel);
  mine.athlete = await addAthlete(maruvel, 'Tabrik');
  mine.token = await sendTo(maruvel, mine.workout, mine.athlete);
  mine.send = (await maruvel('GET', `/workouts/${mine.workout}/sends`)).json.sends[0].id;
  mine.score = (await maruvel('POST', `/workouts/${mine.workout}/scores`, { athleteId: mine.athlete, score: '9+3' })).json.scoreId;
  mine.job = (await maruvel('POST', `/workouts/${mine.workout}/send-jobs`, { athleteIds: [mine.athlete] })).json.id;
  mine.door = (await maruvel('PUT', `/athletes/${mine.athlete}/door`)).json.door.token;
  await instance.stranger('POST', `/d/${mine.door}/proposals`, { note: 'a word' });
  mine.delivery = (
    await instance.database.models.deliveries.create({
      coachId: (await instance.database.models.coaches.findOne({ where: { email: 'maruvel@lanterns.example' } }))!.id,
      workoutId: mine.workout,
      athleteId: mine.athlete,
      sentAt: new Date(0),
      recipient: 'x',
      subject: 'x',
      body: 'x',
      state: 'failed',
      tries: 5,
      nextTryAt: null,
      failure: 'x',
    })
  ).id;
  mine.proposal = (await maruvel('GET', '/proposals')).json.proposals[0].id;
  theirs.workout = await addWorkout(other);
  theirs.athlete = await addAthlete(other, 'Brontek');
  const withdrawn = await addAthlete(maruvel, 'Ostrame');
  mine.gone = await sendTo(maruvel, mine.workout, withdrawn);
  const { sends } = (await maruvel('GET', `/workouts/${mine.workout}/sends`)).json;
  await maruvel('DELETE', `/workouts/${mine.workout}/sends/${sends.find((each: { athleteId: number }) => each.athleteId === withdrawn).id}`);
});
afterAll(async () => {
  await instance.close();
  await lobby?.close();
});

interface Row {
  readonly method: Method;
  readonly path: string;
  /** anybody · a coach, own things only · a link to one version · an athlete’s own door */
  readonly who: 'anybody' | 'coach' | 'link' | 'door';
  /** of the other coach's; leaves nothing behind where it is refused */
  readonly body?: () => unknown;
  /** to another coach, where it is not 404 */
  readonly refusal?: number;
}
const row = (method: Method, path: string, who: Row['who'], body?: () => unknown): Row => ({ method, path, who, ...(body ? { body } : {}) });
const file = () => ({ file: { name: 'Mine' }, revision: 1 });
const matrix: readonly Row[] = [
  row('GET', '/me', 'anybody'),
  row('POST', '/login', 'anybody', () => ({ email: 'x', password: 'y' })),
  row('POST', '/demo-login', 'anybody'),
  row('POST', '/set-up', 'anybody', () => ({})),
  row('POST', '/logout', 'anybody'),
  row('GET', '/movements', 'anybody'),
  row('GET', '/health', 'anybody'),
  row('GET', '/join/:token', 'anybody'),
  row('POST', '/join/:token', 'anybody', () => ({})),
  row('POST', '/forgotten', 'anybody', () => ({ email: 'x' })),
  row('GET', '/reset/:token', 'anybody'),
  row('POST', '/reset/:token', 'anybody', () => ({ password: 'a longer lantern' })),
  row('GET', '/athletes/:athlete/door', 'coach'),
  row('PUT', '/athletes/:athlete/door', 'coach'),
  row('DELETE', '/athletes/:athlete/door', 'coach'),
  row('GET', '/proposals', 'coach'),
  row('PUT', '/proposals/:proposal', 'coach', () => ({ taken: true })),
  row('GET', '/silent', 'coach'),
  row('GET', '/ritual', 'coach'),
  row('PUT', '/ritual', 'coach', () => ({ ritual: 'breathe' })),
  row('GET', '/discomforts', 'coach'),
  row('GET', '/discomforts/:send/spared', 'coach'),
  row('PUT', '/discomforts/:send', 'coach', () => ({ settled: true })),
  row('GET', '/me/calendar', 'coach'),
  row('PUT', '/me/calendar', 'coach'),
  row('DELETE', '/me/calendar', 'coach'),
  row('GET', '/c/:token/calendar.ics', 'anybody'),
  row('GET', '/a/:token/version/:face', 'link'),
  row('GET', '/d/:door/calendar.ics', 'door'),
  row('GET', '/d/:door', 'door'),
  row('POST', '/d/:door/proposals', 'door', () => ({ note: 'mine' })),
  row('GET', '/workouts/:workout/class', 'coach'),
  row('PUT', '/workouts/:workout/class', 'coach'),
  row('POST', '/workouts/:workout/class/moves', 'coach', () => ({ move: 'start' })),
  row('PUT', '/workouts/:workout/class/later', 'coach', () => ({ later: {} })),
  row('GET', '/workouts/:workout/class/news', 'coach'),
  row('GET', '/time', 'anybody'),
  row('GET', '/a/:token/class/news', 'link'),
  row('PUT', '/a/:token/class', 'link', () => ({ startedAt: 1, taps: [], ended: {}, finishedAt: null })),
  row('POST', '/workouts/:workout/messages/preview', 'coach', () => ({ athleteIds: [theirs.athlete] })),
  row('POST', '/workouts/:workout/messages', 'coach', () => ({ athleteIds: [theirs.athlete] })),
  row('GET', '/deliveries', 'coach'),
  row('POST', '/deliveries/:delivery/again', 'coach'),
  row('PUT', '/messenger', 'coach', () => ({ mode: 'works' })),
  row('GET', '/outbox', 'coach'),
  row('GET', '/backups', 'coach'),
  row('GET', '/me/sessions', 'coach'),
  row('DELETE', '/me/sessions/:hash', 'coach'),
  row('GET', '/invitations', 'coach'),
  row('POST', '/invitations', 'coach'),
  { ...row('DELETE', '/invitations/:hash', 'coach'), refusal: 403 },
  row('GET', '/desk/people', 'coach'),
  row('DELETE', '/desk/people/:person', 'coach'),
  row('POST', '/desk/people/:person/owner', 'coach'),
  row('GET', '/archive', 'coach'),
  row('POST', '/archive', 'coach'),
  row('PUT', '/me', 'coach', () => ({ timeZone: 'UTC', units: 'kg' })),
  row('PUT', '/me/password', 'coach', () => ({ before: 'x', after: 'a longer lantern' })),
  row('GET', '/rules', 'coach'),
  row('GET', '/tiers', 'coach'),
  row('PUT', '/tiers', 'coach', () => ({ tiers: ['no kit'] })),
  row('GET', '/words', 'coach'),
  row('PUT', '/words', 'coach', () => ({ keep: [{ kind: 'name', words: 'swign', means: 'Kettlebell swing' }] })),
  row('PUT', '/rules', 'coach', () => ({ rules: {} })),
  row('GET', '/athletes', 'coach'),
  row('GET', '/athletes/deleted', 'coach'),
  row('GET', '/athletes/:athlete', 'coach'),
  row('GET', '/athletes/:athlete/results', 'coach'),
  row('GET', '/athletes/:athlete/record', 'coach'),
  row('POST', '/athletes', 'coach', file),
  row('POST', '/athletes/many', 'coach', () => ({ athletes: [{ id: theirs.athlete, ...file() }] })),
  row('PUT', '/athletes/:athlete', 'coach', file),
  row('DELETE', '/athletes/:athlete', 'coach'),
  row('POST', '/athletes/:athlete/restore', 'coach'),
  row('GET', '/workouts', 'coach'),
  row('GET', '/workout-movements', 'coach'),
  row('GET', '/workout-tags', 'coach'),
  row('POST', '/workouts', 'coach', () => ({ text: squall })),
  row('POST', '/workouts/many', 'coach', () => ({ workouts: [{ text: squall }] })),
  row('POST', '/workouts/texts', 'coach', () => ({ ids: [theirs.workout] })),
  row('GET', '/workouts/:workout/revisions', 'coach'),
  row('GET', '/workouts/:workout/revisions/:revision', 'coach'),
  row('GET', '/workouts/:workout', 'coach'),
  row('PUT', '/workouts/:workout', 'coach', () => ({ text: 'mine now', revision: 1 })),
  row('POST', '/workouts/:workout/duplicate', 'coach'),
  row('DELETE', '/workouts/:workout', 'coach'),
  row('POST', '/workouts/:workout/restore', 'coach'),
  row('GET', '/workouts/:workout/locks', 'coach'),
  row('PUT', '/workouts/:workout/locks/:athlete', 'coach', () => ({ locks: [] })),
  row('GET', '/workouts/:workout/sends', 'coach'),
  row('POST', '/workouts/:workout/sends', 'coach', () => ({ athleteIds: [theirs.athlete] })),
  row('DELETE', '/workouts/:workout/sends/:send', 'coach'),
  row('PUT', '/workouts/:workout/sends/:send/open', 'coach'),
  row('POST', '/workouts/:workout/send-jobs', 'coach', () => ({ athleteIds: [theirs.athlete] })),
  row('GET', '/jobs/:job', 'coach'),
  row('DELETE', '/jobs/:job', 'coach'),
  row('GET', '/workouts/:workout/board', 'coach'),
  row('GET', '/workouts/:workout/next', 'coach'),
  row('POST', '/workouts/:workout/scores', 'coach', () => ({ athleteId: theirs.athlete, score: '1+0' })),
  row('DELETE', '/workouts/:workout/scores/:score', 'coach'),
  row('POST', '/workouts/:workout/scores/:score/restore', 'coach'),
  row('PUT', '/workouts/:workout/scores/:score/counts', 'coach', () => ({ counts: false })),
  row('GET', '/a/:token', 'link'),
  row('GET', '/a/:token/calendar.ics', 'link'),
  row('POST', '/a/:token/today', 'link', () => ({ minutes: 20 })),
  row('DELETE', '/a/:token/today', 'link'),
  row('POST', '/a/:token/felt', 'link', () => ({ where: 'knee', much: 1 })),
  row('POST', '/a/:token/score', 'link', () => ({ score: '1+0' })),
];
const filled = (path: string, token = mine.token): string =>
  path.replace(/:(\w+)/g, (_all, key: keyof typeof mine) => (key === 'token' ? token : String(mine[key])));
const openApi = async (): Promise<string[]> => {
  const { paths } = (await instance.app.inject('/api/docs/json')).json() as { paths: Record<string, Record<string, unknown>> };
  return Object.entries(paths).flatMap(([path, methods]) =>
    Object.keys(methods).map((method) => `${method.toUpperCase()} ${path.replace('/api', '').replace(/\{\w+\}/g, ':')}`),
  );
};

describe('the matrix', () => {
  test('has a row for every route', async () => {
    expect((await openApi()).sort()).toEqual(matrix.map(({ method, path }) => `${method} ${path.replace(/:\w+/g, ':')}`).sort());
  });
  test.each(matrix.filter(({ who }) => who === 'coach'))(
    '$method $path: nobody without a session, nothing of another coach',
    async ({ method, path, body, refusal = 404 }) => {
      expect((await instance.stranger(method, filled(path), body?.())).status).toBe(401);
      expect((await instance.desk('gambito_session=made-up')(method, filled(path), body?.())).status).toBe(401);
      if (path.includes(':')) expect((await other(method, filled(path), body?.())).status).toBe(refusal);
    },
  );
  test.each(matrix.filter(({ who }) => who === 'door'))('$method $path: no other door opens it', async ({ method, path, body }) => {
    const status = async (door: string): Promise<number> => (await instance.stranger(method, path.replace(':door', door), body?.())).status;
    // neither a made-up one, nor a link to one version, nor the same letters in another case
    for (const door of ['a'.repeat(32), mine.token, mine.door.toLowerCase(), mine.door.slice(0, -1)]) expect(await status(door)).toBe(410);
    expect(await status(mine.door)).toBe(200);
  });
  test.each(matrix.filter(({ who }) => who === 'link'))('$method $path: no other link opens it', async ({ method, path, body }) => {
    const status = async (token: string): Promise<number> => (await instance.stranger(method, filled(path, token), body?.())).status;
    expect(await status('a'.repeat(32))).toBe(404);
    expect(await status(mine.token.toLowerCase())).toBe(404);
    expect(await status(`${mine.token.slice(0, -1)}`)).toBe(404);
    expect(await status('%00')).toBe(404);
    expect(await status(mine.gone)).toBe(410);
  });
  test.each(matrix)('$method $path: the wrong method leads nowhere, another type is refused', async ({ method, path, who }) => {
    const url = `/api${filled(path)}`;
    expect((await instance.app.inject({ method: 'PATCH', url, headers: { cookie } })).statusCode).toBe(404);
    if (method === 'GET' || method === 'DELETE') return;
    const headers = who === 'link' ? {} : { cookie };
    const form = await instance.app.inject({ method, url, headers: { ...headers, 'content-type': 'application/x-www-form-urlencoded' }, payload: 'a=b' });
    expect(form.statusCode).toBe(400);
  });
  test.each(matrix.filter(({ method }) => method !== 'GET'))('$method $path: not from another site', async ({ method, path }) => {
    const url = `/api${filled(path)}`;
    for (const headers of [{ origin: 'https://elsewhere.example' }, { origin: 'null' }, { 'sec-fetch-site': 'cross-site' }])
      expect((await instance.app.inject({ method, url, headers: { cookie, ...headers } })).statusCode).toBe(403);
  });
  test('a link of a deleted athlete, of a deleted workout, and one that ran out are gone, and take no score', async () => {
    const [workout, athlete] = [await addWorkout(maruvel), await addAthlete(maruvel, 'Wendrith')];
    const token = await sendTo(maruvel, workout, athlete);
    const status = async (): Promise<number[]> => [
      (await instance.stranger('GET', `/a/${token}`)).status,
      (await instance.stranger('POST', `/a/${token}/score`, { score: '9+0' })).status,
    ];
    expect(await status()).toEqual([200, 200]);
    await maruvel('DELETE', `/athletes/${athlete}`);
    expect(await status()).toEqual([410, 410]);
    await maruvel('POST', `/athletes/${athlete}/restore`);
    await maruvel('DELETE', `/workouts/${workout}`);
    expect(await status()).toEqual([410, 410]);
    await maruvel('POST', `/workouts/${workout}/restore`);
    expect(await status()).toEqual([200, 200]);
    const before = instance.clock.now;
    instance.clock.now = new Date(before.getTime() + 121 * 86_400_000);
    expect(await status()).toEqual([410, 410]);
    instance.clock.now = before;
  });
  test('the calendar leads to the address the instance was given, whatever the request calls itself', async () => {
    const given = await openInstance('gambito_jest_gate', { address: 'https://lanterns.example' });
    const page = await given.app.inject({ url: `/api/a/${mine.token}/calendar.ics`, headers: { host: '10.1.2.3:4780' } });
    expect(page.body.replace(/\r\n\s/g, '')).toContain(`https://lanterns.example/a/${mine.token}`);
    expect(page.body).not.toContain('10.1.2.3');
    await given.close();
  });
});

describe('sessions and tries', () => {
  describe('a forgotten password', () => {
    const email = 'forgetful@lanterns.example';
    const fresh = 'a fresh long lantern';
    const use = (token: string, word = fresh) => instance.stranger('POST', `/reset/${token}`, { password: word });
    test('by a link from the machine: it opens the desk once, and ends every session with the old one', async () => {
      const forgetful = await instance.newCoach(email);
      expect(await resetLink(instance.database, 'nobody@lanterns.example')).toBeNull();
      const token = (await resetLink(instance.database, ' Forgetful@lanterns.example', instance.clock.now))!;
      expect(token).toMatch(/^[\w-]{32}$/);
      expect((await use(token, 'short')).status).toBe(400);
      expect((await forgetful.desk('GET', '/rules')).status).toBe(200);
      expect((await instance.stranger('GET', `/reset/${token}`)).json).toEqual({ open: true });
      const answers = await Promise.all(Array.from({ length: 4 }, () => use(token)));
      expect(answers.map(({ status }) => status).sort()).toEqual([200, 404, 404, 404]);
      expect((await forgetful.desk('GET', '/rules')).status).toBe(401);
      const tries = [password, fresh].map((tried) => instance.stranger('POST', '/login', { email, password: tried }));
      expect((await Promise.all(tries)).map(({ status }) => status)).toEqual([401, 200]);
    });
    test('by the outbox of who set the instance up; whether anybody signs in so is told to nobody', async () => {
      const { desk: founder, id } = await instance.newCoach('founder@lanterns.example');
      await instance.database.models.coaches.update({ founder: 1 }, { where: { id } });
      const asked = await Promise.all([email, 'nobody@lanterns.example'].map((who) => instance.stranger('POST', '/forgotten', { email: who })));
      expect(asked.map(({ status, json }) => [status, json])).toEqual(Array(2).fill([200, { done: true }]));
      const sent = async () => (await founder('GET', '/outbox')).json.messages;
      expect(await until(async () => (await sent()).length > 0)).toBe(true);
      const messages = await sent();
      // whatever a request calls this machine, the link does not lead there
      expect(messages[0].body).not.toContain('://');
      expect(messages.map(({ recipient }: { recipient: string }) => recipient)).toEqual([email]);
      const [, token] = /\/reset\/([\w-]+)/.exec(messages[0].body) as unknown as [string, string];
      expect((await use(token)).status).toBe(200);
      expect((await maruvel('GET', '/outbox')).status).toBe(403);
      expect((await maruvel('GET', '/backups')).status).toBe(403);
    });
    test('lasts an hour, and a newer link ends it', async () => {
      const before = (await resetLink(instance.database, email, instance.clock.now))!;
      const after = (await resetLink(instance.database, email, instance.clock.now))!;
      expect((await use(before)).status).toBe(404);
      const then = instance.clock.now;
      instance.clock.now = new Date(then.getTime() + 3600_001);
      expect((await instance.stranger('GET', `/reset/${after}`)).json).toEqual({ open: false });
      expect((await use(after)).status).toBe(404);
      instance.clock.now = then;
    });
    test('is asked for three times in ten minutes, and no more', async () => {
      const ask = async () => (await instance.stranger('POST', '/forgotten', { email: 'often@lanterns.example' })).status;
      expect([await ask(), await ask(), await ask(), await ask()]).toEqual([200, 200, 200, 429]);
    });
  });
  test('a changed password ends every other session, and the wrong one before it changes nothing', async () => {
    const { desk, cookie: own } = await instance.newCoach('changing@lanterns.example');
    const signIn = (word: string) => instance.stranger('POST', '/login', { email: 'changing@lanterns.example', password: word });
    const elsewhere = instance.desk(String((await signIn(password)).headers['set-cookie']).split(';')[0]!);
    expect((await desk('PUT', '/me/password', { before: 'wrong', after: 'a longer lantern' })).status).toBe(401);
    expect((await elsewhere('GET', '/rules')).status).toBe(200);
    expect((await desk('PUT', '/me/password', { before: password, after: 'a longer lantern' })).status).toBe(200);
    expect((await elsewhere('GET', '/rules')).status).toBe(401);
    expect((await instance.desk(own)('GET', '/rules')).status).toBe(200);
    expect([(await signIn(password)).status, (await signIn('a longer lantern')).status]).toEqual([401, 200]);
  });
  test('an account is tried ten times in five minutes, from wherever; another one is not kept out by that', async () => {
    const tries = async (email: string): Promise<number> => (await instance.stranger('POST', '/login', { email, password: 'no' })).status;
    const answers = [];
    for (let at = 0; at < 12; at++) answers.push(await tries('tried@lanterns.example'));
    expect(answers).toEqual([...Array<number>(10).fill(401), 429, 429]);
    expect(await tries('untried@lanterns.example')).toBe(401);
  });
  test('who guesses elsewhere does not lock a browser out that signed in before; its own tries are counted too', async () => {
    const email = 'known@lanterns.example';
    await instance.newCoach(email);
    const from = async (cookie: string, tried: string): Promise<number> =>
      (await instance.app.inject({ method: 'POST', url: '/api/login', payload: { email, password: tried }, headers: cookie ? { cookie } : {} })).statusCode;
    const first = await instance.app.inject({ method: 'POST', url: '/api/login', payload: { email, password } });
    const known = first.cookies.find(({ name }) => name === 'gambito_browser')!;
    expect(known).toMatchObject({ httpOnly: true, sameSite: 'Strict' });
    for (let at = 0; at < 12; at++) await from('', 'no');
    expect([await from('', password), await from(`gambito_browser=${known.value}`, password)]).toEqual([429, 200]);
    const own = [];
    for (let at = 0; at < 11; at++) own.push(await from(`gambito_browser=${known.value}`, 'no'));
    expect(own.at(-1)).toBe(429);
    // known for its person, and for nobody else
    const other = await instance.app.inject({
      method: 'POST',
      url: '/api/login',
      payload: { email: 'tried@lanterns.example', password },
      headers: { cookie: `gambito_browser=${known.value}` },
    });
    expect(other.statusCode).toBe(429);
  });
  test('an address that is nobody’s writes no row of its own, however many there are', async () => {
    const tallies = () => instance.database.models.tallies.count({ where: { name: { [Op.like]: '%address%' } } });
    const proxied = await openInstance('gambito_jest_gate', { proxies: ['127.0.0.1'] });
    for (let at = 0; at < 30; at++)
      await proxied.app.inject({
        method: 'POST',
        url: '/api/forgotten',
        payload: { email: 'nobody@lanterns.example' },
        headers: { 'x-forwarded-for': `10.0.0.${at}` },
      });
    expect(await tallies()).toBe(0);
    await proxied.close();
  });
  test('a name that anybody can point here is refused, with what to do; numbers, this machine and the address that was given are not', async () => {
    const given = await openInstance('gambito_jest_gate', { address: 'https://lanterns.example' });
    const asked = async (host: string): Promise<number> => (await given.app.inject({ url: '/api/health', headers: { host } })).statusCode;
    expect(await Promise.all(['localhost:4780', '127.0.0.1', '[::1]:4780', '192.168.1.7:80', `${hostname()}:4780`, 'lanterns.example'].map(asked))).toEqual(
      Array(6).fill(200),
    );
    expect(await asked('elsewhere.example:4780')).toBe(421);
    const { detail } = (await given.app.inject({ url: '/api/me', headers: { host: 'elsewhere.example' } })).json<{ detail: string }>();
    expect(detail).toBe('“elsewhere.example” is not known here. Whoever keeps Gambito names it: GAMBITO_ADDRESS=https://elsewhere.example');
    await given.close();
  });
  test('a body that is far too large gets its answer, and the connection lives on', async () => {
    const listening = await openInstance('gambito_jest_gate');
    const address = await listening.app.listen({ port: 0, host: '127.0.0.1' });
    const body = JSON.stringify({ email: 'x'.repeat(6_000_000), password: 'y' });
    for (const url of ['/api/login', '/api/athletes/many', '/api/login']) {
      const answer = await fetch(`${address}${url}`, { method: 'POST', body, headers: { 'content-type': 'application/json', cookie } });
      expect([answer.status, ((await answer.json()) as { detail: string }).detail]).toEqual([413, expect.stringMatching(/^Expected at most (64|4096) kB\.$/)]);
    }
    await listening.close();
  });
  test('no more than 200 characters of what was typed come back', async () => {
    const score = 'x'.repeat(50_000);
    const answer = await maruvel('POST', `/workouts/${mine.workout}/scores`, { athleteId: mine.athlete, score });
    expect(answer.status).toBeGreaterThanOrEqual(400);
    expect(JSON.stringify(answer.json).length).toBeLessThan(1_000);
  });
  test('of six set-ups at once one makes a coach', async () => {
    lobby = await openInstance('gambito_jest_fuzz');
    const setUps = Array.from({ length: 6 }, (_, at) =>
      lobby.stranger('POST', '/set-up', { name: 'Maruvel', email: `c${at}@lanterns.example`, password, timeZone: 'UTC' }),
    );
    expect((await Promise.all(setUps)).map(({ status }) => status).sort()).toEqual([200, 409, 409, 409, 409, 409]);
    expect(await lobby.database.models.coaches.count()).toBe(1);
  });
  test('cookies are for https alone where people come by https, and HSTS is said there', async () => {
    const secure = await openInstance('gambito_jest_gate', { https: true });
    const { headers } = await secure.stranger('POST', '/login', { email: 'other@lanterns.example', password });
    expect(String(headers['set-cookie'])).toMatch(/; Secure/);
    expect(headers['strict-transport-security']).toMatch(/max-age/);
    await secure.close();
  });
});

test('twenty first locks at once all stand or give way, none fails; forty rule changes at once are all kept', async () => {
  const workout = await addWorkout(maruvel);
  const lock = (at: number) => ({ locks: [{ part: 0, slot: 0, reps: 5 + at }] });
  const locks = await Promise.all(Array.from({ length: 20 }, (_, at) => maruvel('PUT', `/workouts/${workout}/locks/${mine.athlete}`, lock(at))));
  expect(new Set(locks.map(({ status }) => status))).toEqual(new Set([200]));
  expect((await maruvel('GET', `/workouts/${workout}/locks`)).json.locks).toHaveLength(1);
  const keys = Object.keys((await maruvel('GET', '/rules')).json.rules).filter(
    (key) => !['board', 'unfinished', 'setsOneScore', 'compositeCount'].includes(key),
  );
  const { ruleSpecs } = await import('@gambito/core');
  const changes = keys.map((key) => [key, ruleSpecs[key as keyof typeof ruleSpecs].options.at(-1)!.value] as const);
  const answers = await Promise.all(changes.map(([key, value]) => maruvel('PUT', '/rules', { rules: { [key]: value } })));
  expect(answers.map(({ status }) => status)).toEqual(changes.map(() => 200));
  expect((await maruvel('GET', '/rules')).json.rules).toMatchObject(Object.fromEntries(changes));
});

describe('mischief in names and texts', () => {
  const names = [
    '<img src=x onerror=alert(1)>',
    '=HYPERLINK("https://elsewhere.example")',
    'Tab\r\nDTEND:19700101',
    '\u202Edrowssap',
    'constructor',
    '__proto__',
  ];
  test.each(names)('%j is a name like any other, and the calendar stays one entry', async (name) => {
    const athlete = await addAthlete(maruvel, name);
    const workout = await addWorkout(maruvel, `# ${name.replace(/\s+/g, ' ')}\nAMRAP 5:00\n5 burpee`);
    const token = await sendTo(maruvel, workout, athlete);
    const { body, headers } = await instance.app.inject(`/api/a/${token}/calendar.ics`);
    expect(headers['content-type']).toMatch(/text\/calendar/);
    expect(body.match(/^BEGIN:VEVENT\r?$/gm)).toHaveLength(1);
    expect(body.match(/^DTEND/gm)).toHaveLength(1);
    expect((await instance.stranger('GET', `/a/${token}`)).json.brief.athlete).toBe(name.trim());
  });
  test('half a letter is taken as a sign for it, wherever it stands', async () => {
    const id = await addAthlete(maruvel, 'Hespin');
    const saved = await maruvel('PUT', `/athletes/${id}`, { file: { name: 'Hes\uD800pin', notes: 'x\uDC00', '\uDBFF': ['\uD83D\uDE00'] }, revision: 1 });
    expect(saved.json.file).toEqual({ name: 'Hes\uFFFDpin', notes: 'x\uFFFD', '\uFFFD': ['\uD83D\uDE00'] });
  });
  test('a key that is an object’s own is a key like any other', async () => {
    const odd = JSON.parse('{"name":"Hespin","constructor":"x","__proto__":{"name":"y"},"maxes":{"constructor":"80 kg","__proto__":"1 kg"}}') as object;
    expect((await maruvel('POST', '/athletes', { file: odd })).status).toBeLessThan(500);
    const workout = await addWorkout(maruvel, 'AMRAP 5:00\n5 constructor\n5 toString\n5 __proto__');
    expect((await maruvel('POST', `/workouts/${workout}/sends`, { athleteIds: [mine.athlete] })).status).toBeLessThan(500);
  });
});

/** Values that break what takes them for something else. */
const oddities: readonly unknown[] = [
  null, true, -1, 0, 1e308, 2 ** 53, '', ' ', '\uD800', '\u0000', '𝟠', 'constructor', '__proto__', '9999-12-31', '0000-00-00', '8:41', '7+12', 'CAP+14',
  'x'.repeat(500), '9'.repeat(60), [], [[]], {}, { constructor: 1 }, [null], ['\uDC00'], `${'['.repeat(200)}${']'.repeat(200)}`,
  'AMRAP 5:00\n5 burpee', '# \u202E\nfor time\n999999999 burpee', 'EMOM 99999:00\n1 burpee', { name: 'x', maxes: { squat: [] } }, { name: '\uD800', place: { kit: ['plates 100000x2.5 kg'] } },
]; // prettier-ignore

test('bodies of any shape at every write route (300; 4 000 in the bench): no failure of ours, nothing of another coach', async () => {
  const random = seededRandom(20261127);
  const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
  const value = (depth: number): unknown =>
    depth > 0 && random() < 0.25 ? (random() < 0.5 ? [value(depth - 1)] : { [pick(['name', 'file', 'x', 'locks'])]: value(depth - 1) }) : pick(oddities);
  const keys = [
    'text',
    'day',
    'revision',
    'file',
    'athleteIds',
    'athleteId',
    'score',
    'note',
    'locks',
    'rules',
    'athletes',
    'workouts',
    'ids',
    'tags',
    'tiers',
    'keep',
    'drop',
    'audience',
    'timeZone',
    'units',
    'email',
    'password',
    'before',
    'after',
    'name',
  ];
  const body = (): unknown =>
    random() < 0.1 ? value(3) : Object.fromEntries(Array.from({ length: 1 + Math.floor(random() * 4) }, () => [pick(keys), value(2)]));
  const writes = matrix.filter(({ method, path }) => (method === 'POST' || method === 'PUT') && path !== '/logout');
  const { desk } = await lobby.newCoach('fuzz@lanterns.example');
  const ids = { workout: await addWorkout(desk), athlete: await addAthlete(desk, 'Quessil') };
  const token = await sendTo(desk, ids.workout, ids.athlete);
  const failures: unknown[] = [];
  for (let at = 0; at < cases(300, 4000); at++) {
    const { method, path } = pick(writes);
    const url = path.replace(/:(\w+)/g, (_all, key: string) =>
      key === 'token'
        ? token
        : String(random() < 0.8 ? (ids[key as keyof typeof ids] ?? 1) : pick(['0', '-1', '1e9', '99999999999', 'x', '%00', 'constructor'])),
    );
    const sent = body();
    const { status, json } = await desk(method, url, sent);
    if (status >= 500) failures.push({ method, url, sent, json });
  }
  expect(failures).toEqual([]);
  expect((await other('GET', '/workouts')).json.workouts.map(({ id }: { id: number }) => id)).toEqual([theirs.workout]);
});

test('JSON two hundred deep is refused or taken, never a failure', async () => {
  const deep = `{"file":{"name":"Deep","x":${'['.repeat(200)}${']'.repeat(200)}}}`;
  const answer = await instance.app.inject({ method: 'POST', url: '/api/athletes', headers: { cookie, 'content-type': 'application/json' }, payload: deep });
  expect(answer.statusCode).toBeLessThan(500);
});
