/** An athlete's own door: what it opens, that it ends, and that nobody sees anything of anybody else; what is proposed through it waits for the coach. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addAthlete, addWorkout, openInstance, sendTo, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
let athlete: number;
let neighbour: number;
let token: string;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_doors');
  ({ desk } = await instance.newCoach('maruvel@lanterns.example'));
  athlete = await addAthlete(desk, 'Tabrik', { maxes: { back_squat: '88 kg' }, best_sets: { push_up: 20 }, avoid: ['running'], notes: 'sleeps badly' });
  neighbour = await addAthlete(desk, 'Wendrith', { body_mass: '61.5 kg', notes: 'bad knee' });
  token = (await desk('PUT', `/athletes/${athlete}/door`)).json.door.token;
});
afterAll(() => instance.close());

const open = (at = token) => instance.stranger('GET', `/d/${at}`);
const propose = (change: object) => instance.stranger('POST', `/d/${token}/proposals`, change);

describe('an athlete’s own door', () => {
  test('opens the days that were sent, with their scores, and what is known of kit and figures', async () => {
    const [gale, squall] = [await addWorkout(desk, '# Gale\nAMRAP 8:00\n10 burpee'), await addWorkout(desk)];
    await desk('PUT', `/workouts/${gale}`, { day: '2026-11-20', revision: 1 });
    await sendTo(desk, squall, neighbour);
    const sent = await sendTo(desk, gale, athlete);
    await instance.stranger('POST', `/a/${sent}/score`, { score: '7+3' });
    const { json } = await open();
    expect(json).toMatchObject({
      name: 'Tabrik',
      days: [{ title: 'Gale', day: '2026-11-20', token: sent, score: '7+3' }],
      lifts: ['back squat: 88 kg'],
      bestSets: ['push up: 20'],
      avoid: ['running'],
    });
    expect(json.results).toEqual([expect.objectContaining({ title: 'Gale', score: '7+3' })]);
  });
  test('says nothing of anybody else, and nothing the coach noted', async () => {
    const said = JSON.stringify((await open()).json);
    for (const foreign of ['Wendrith', '61.5', 'bad knee', 'sleeps badly']) expect(said).not.toContain(foreign);
  });
  test('a day whose link was withdrawn is not in it', async () => {
    const workout = await addWorkout(desk, '# Ebb\nAMRAP 8:00\n10 burpee');
    await sendTo(desk, workout, athlete);
    const { sends } = (await desk('GET', `/workouts/${workout}/sends`)).json;
    await desk('DELETE', `/workouts/${workout}/sends/${sends[0].id}`);
    expect((await open()).json.days.map(({ title }: { title: string }) => title)).not.toContain('Ebb');
  });
  test('is withdrawn, and opened again as the same link', async () => {
    await desk('DELETE', `/athletes/${athlete}/door`);
    expect((await open()).status).toBe(410);
    expect((await desk('GET', `/athletes/${athlete}/door`)).json.door).toMatchObject({ revoked: true, opened: true });
    expect((await desk('DELETE', `/athletes/${athlete}/door`)).status).toBe(404);
    expect((await desk('PUT', `/athletes/${athlete}/door`)).json.door.token).toBe(token);
    expect((await open()).status).toBe(200);
  });
  test('is another link after it ran out', async () => {
    const { token: short } = (await desk('PUT', `/athletes/${neighbour}/door`)).json.door;
    await instance.database.models.doors.update({ expiresAt: new Date(instance.clock.now.getTime() - 1) }, { where: { athleteId: neighbour } });
    expect((await open(short)).status).toBe(410);
    expect((await desk('GET', `/athletes/${neighbour}/door`)).json.door).toBeNull();
    expect((await desk('PUT', `/athletes/${neighbour}/door`)).json.door.token).not.toBe(short);
  });
  test('closes with its athlete, and letters’ case counts', async () => {
    const gone = await addAthlete(desk, 'Ostrame');
    const door = (await desk('PUT', `/athletes/${gone}/door`)).json.door.token;
    await desk('DELETE', `/athletes/${gone}`);
    expect((await open(door)).status).toBe(410);
    expect((await open(token.toLowerCase() === token ? token.toUpperCase() : token.toLowerCase())).status).toBe(410);
  });
});

describe('a proposal', () => {
  const waiting = async () => (await desk('GET', '/proposals')).json.proposals;
  test('waits for the coach as it was typed; nothing of the file changes by itself', async () => {
    await propose({ kit: 'kettlebell 16 kg\nchair 45 cm', bestSets: 'push up: 26', note: 'new kettlebell' });
    expect(await waiting()).toEqual([
      expect.objectContaining({ athleteId: athlete, change: { kit: 'kettlebell 16 kg\nchair 45 cm', bestSets: 'push up: 26', note: 'new kettlebell' } }),
    ]);
    expect((await desk('GET', `/athletes/${athlete}`)).json.file.best_sets).toEqual({ push_up: 20 });
  });
  test('is taken or left, and waits again when that is undone', async () => {
    const [{ id }] = await waiting();
    await desk('PUT', `/proposals/${id}`, { taken: false });
    expect(await waiting()).toEqual([]);
    await desk('PUT', `/proposals/${id}`, { taken: null });
    expect(await waiting()).toHaveLength(1);
    await desk('PUT', `/proposals/${id}`, { taken: true });
    expect(await waiting()).toEqual([]);
    expect((await desk('PUT', '/proposals/999999', { taken: true })).status).toBe(404);
  });
  test('that says nothing, or too much, is refused; of many the newest twenty wait', async () => {
    expect((await propose({})).status).toBe(400);
    expect((await propose({ kit: 'x'.repeat(4001) })).status).toBe(400);
    const { models } = instance.database;
    const { coachId } = (await models.athletes.findByPk(athlete))!;
    for (let at = 0; at < 22; at++) await models.proposals.create({ coachId, athleteId: athlete, change: { note: `${at}` }, settledAt: null, taken: null });
    expect((await propose({ note: 'the last' })).status).toBe(200);
    const notes = (await waiting()).map(({ change }: { change: { note: string } }) => change.note);
    expect(notes).toHaveLength(20);
    expect(notes.at(-1)).toBe('the last');
  });
});

describe('what speaks of harm and came through the door', () => {
  const settleAll = async (): Promise<void> => {
    for (const { id } of (await desk('GET', '/proposals')).json.proposals as { id: number }[]) await desk('PUT', `/proposals/${id}`, { taken: false });
  };
  test.each([
    [{ avoid: 'running\njumping' }],
    [{ avoid: 'the left knee' }],
    [{ note: 'My knee hurts since Sunday.' }],
    [{ note: 'I am pregnant, 20 weeks' }],
    [{ note: 'no jumping please' }],
    [{ note: 'had an operation, the doctor says nothing overhead' }],
    [{ kit: 'dumbbell 10 kg x 2', note: 'chest pain after the last one' }],
    [{ note: 'cannot hang from a bar at the moment' }],
  ])('%j holds what was sent and what is to be sent, until the coach has taken or left it', async (change) => {
    await settleAll();
    const workout = await addWorkout(desk);
    const sent = await sendTo(desk, workout, athlete);
    expect((await propose(change)).status).toBe(200);
    expect((await instance.stranger('GET', `/a/${sent}`)).json.held).toBe(true);
    const { sends } = (await desk('GET', `/workouts/${workout}/sends`)).json;
    expect(sends[0].against).toEqual(expect.arrayContaining([expect.stringMatching(/was written on the athlete’s own page and waits for an answer/)]));
    const refused = await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
    expect([refused.status, refused.json.detail]).toEqual([422, expect.stringMatching(/^Tabrik wrote on their own page: “/)]);
    await settleAll();
    expect((await instance.stranger('GET', `/a/${sent}`)).json.held).toBe(false);
    expect((await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] })).status).toBe(200);
  });
  test.each([
    [{ avoid: 'running' }],
    [{ note: 'I have a new kettlebell' }],
    [{ lifts: 'back squat: 92 kg' }],
    [{ note: 'a great number of rounds! can’t wait for Friday' }],
  ])('%j says nothing of it, and holds nothing', async (change) => {
    await settleAll();
    const sent = await sendTo(desk, await addWorkout(desk), athlete);
    await propose(change);
    expect((await instance.stranger('GET', `/a/${sent}`)).json.held).toBe(false);
  });
  test('is not pushed out by what comes after it', async () => {
    await settleAll();
    instance.clock.now = new Date(instance.clock.now.getTime() + 3_600_000);
    await propose({ note: 'the shoulder hurts' });
    for (let at = 0; at < 3; at++) {
      instance.clock.now = new Date(instance.clock.now.getTime() + 3_600_000);
      for (let each = 0; each < 10; each++) await propose({ note: `a word, number ${at}.${each}` });
    }
    const notes = ((await desk('GET', '/proposals')).json.proposals as { change: { note: string } }[]).map(({ change }) => change.note);
    expect(notes).toContain('the shoulder hurts');
    expect(notes).not.toContain('a word, number 0.0');
  });
});
