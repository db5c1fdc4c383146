/** A person's record: sessions with their rating, what was missed, and a score that the coach refuses is counted by nothing that comes after. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { PersonRecord } from '@gambito/contract';
import { readingStore } from '../src/readings/store';
import { addAthlete, addWorkout, openInstance, sendTo, until, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
let coachId: number;
let tabrik: number;
let squall: number;
let token: string;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_record');
  ({ desk, id: coachId } = await instance.newCoach('maruvel@lanterns.example'));
  tabrik = await addAthlete(desk, 'Tabrik');
  squall = await addWorkout(desk);
  token = await sendTo(desk, squall, tabrik);
});
afterAll(() => instance?.close());

const record = async (): Promise<PersonRecord> => (await desk('GET', `/athletes/${tabrik}/record`)).json as PersonRecord;
const read = () => until(async () => (await record()).sessions.every((session) => session.read));

describe('a record', () => {
  test('says what was sent and not scored: open until it is due where the coach is, then missed', async () => {
    const { now } = instance.clock;
    const unscored = [{ workoutId: squall, title: 'Squall' }];
    expect(await record()).toMatchObject({ sessions: [], missed: [], open: unscored });
    // the noon after, and not a minute before
    instance.clock.now = new Date('2026-11-26T11:59:00Z');
    expect(await record()).toMatchObject({ missed: [], open: unscored });
    instance.clock.now = new Date('2026-11-26T12:00:00Z');
    expect(await record()).toMatchObject({ missed: unscored, open: [] });
    const room = { units: 'kg', firstDay: 1 };
    await desk('PUT', '/me', { ...room, timeZone: 'Atlantic/Azores' });
    expect(await record()).toMatchObject({ missed: [], open: unscored });
    await desk('PUT', '/me', { ...room, timeZone: 'UTC', logByHours: 48 });
    expect(await record()).toMatchObject({ missed: [], open: unscored });
    expect((await desk('PUT', '/me', { ...room, timeZone: 'UTC', logByHours: 37 })).status).toBe(400);
    await desk('PUT', '/me', { ...room, timeZone: 'UTC', logByHours: 36 });
    instance.clock.now = now;
  });
  test('the athlete reads by when', async () => {
    expect((await instance.stranger('GET', `/a/${token}`)).json.logBy).toBeNull();
    const { revision } = (await desk('GET', `/workouts/${squall}`)).json;
    await desk('PUT', `/workouts/${squall}`, { day: '2026-11-25', revision });
    expect((await instance.stranger('GET', `/a/${token}`)).json.logBy).toBe('2026-11-26T12:00');
  });
  test('remembers what figures were: the first, each change, and what was taken out', async () => {
    const person = async () => (await desk('GET', `/athletes/${tabrik}`)).json;
    const change = async (file: object): Promise<void> => {
      const { revision, file: before } = await person();
      await desk('PUT', `/athletes/${tabrik}`, { file: { ...before, ...file }, revision });
    };
    expect((await record()).figures).toEqual([]);
    await change({ maxes: { back_squat: '100 kg' }, best_sets: { push_up: 30 } });
    await change({ maxes: { back_squat: '105 kg' }, best_sets: { push_up: 30 } });
    await change({ maxes: {}, body_mass: '80 kg' });
    const told = (await record()).figures.map(({ name, told: texts }) => [name, ...texts.map(({ text }) => text)]);
    expect(told).toEqual([['back squat', '100 kg', '105 kg', '']]);
    // a max and a best set of one movement are two figures
    await change({ maxes: { strict_pull_up: '20 kg' }, best_sets: { push_up: 30, strict_pull_up: 9 } });
    await change({ maxes: { strict_pull_up: '25 kg' }, best_sets: { push_up: 30, strict_pull_up: 9 } });
    expect((await record()).figures.find(({ name }) => name === 'strict pull up')?.told.map(({ text }) => text)).toEqual(['20 kg', '25 kg']);
    // of somebody whose figures nobody noted the first is noted with its change
    await instance.database.models.figures.destroy({ where: { athleteId: tabrik } });
    await change({ best_sets: { push_up: 33, strict_pull_up: 9 } });
    expect((await record()).figures.map(({ name, told: texts }) => [name, ...texts.map(({ text }) => text)])).toEqual([['push up, best set', '30', '33']]);
  });
  test('has what hurt, and whether it waits', async () => {
    const felt = { where: 'knee', much: 1, movement: '', note: '' };
    await instance.stranger('POST', `/a/${token}/felt`, felt);
    expect((await record()).hurt).toEqual([{ title: 'Squall', day: '2026-11-25', felt, open: true }]);
    const [{ id }] = (await desk('GET', '/discomforts')).json.discomforts;
    await desk('PUT', `/discomforts/${id}`, { settled: true });
    expect((await record()).hurt).toMatchObject([{ felt, open: false }]);
  });
  test('has a session with how hard it was, how long it took, and what was done', async () => {
    expect((await instance.stranger('POST', `/a/${token}/score`, { score: '9+3', rating: 8 })).status).toBe(200);
    expect(await read()).toBe(true);
    const { sessions, missed } = await record();
    expect(missed).toEqual([]);
    expect(sessions).toMatchObject([{ title: 'Squall', score: '9+3', rating: 8, seconds: 720, counts: true }]);
    // nine rounds of eight burpees and fifteen squats, and what the run makes of the rest
    expect(sessions[0]!.reps.squat).toBeGreaterThan(9 * 15 - 20);
    expect(sessions[0]!.movements).toContain('air-squat');
  });
  test('keeps the rating through a correction that says none, and takes one that does', async () => {
    await desk('POST', `/workouts/${squall}/scores`, { athleteId: tabrik, score: '9+5' });
    expect((await record()).sessions).toMatchObject([{ score: '9+5', rating: 8 }]);
    await desk('POST', `/workouts/${squall}/scores`, { athleteId: tabrik, score: '9+5', rating: 6 });
    expect((await record()).sessions[0]!.rating).toBe(6);
    expect((await instance.stranger('GET', `/a/${token}`)).json.score).toMatchObject({ rating: 6 });
    expect((await desk('POST', `/workouts/${squall}/scores`, { athleteId: tabrik, score: '9+5', rating: 11 })).status).toBe(400);
  });
  test('a refused score is no past result of the next version, teaches no conversion, and stays refused when it is corrected', async () => {
    expect(await read()).toBe(true);
    const results = async () => (await desk('GET', `/athletes/${tabrik}`)).json.results as unknown[];
    const taught = async () => (await readingStore(instance.database).lessons(coachId)).length;
    expect(await results()).toHaveLength(1);
    const [{ scoreId }] = (await record()).sessions as [PersonRecord['sessions'][number]];
    await desk('PUT', `/workouts/${squall}/scores/${scoreId}/counts`, { counts: false });
    expect(await results()).toEqual([]);
    expect(await taught()).toBe(0);
    await desk('POST', `/workouts/${squall}/scores`, { athleteId: tabrik, score: '9+6' });
    const [after] = (await record()).sessions;
    expect(after).toMatchObject({ counts: false, score: '9+6' });
    await desk('PUT', `/workouts/${squall}/scores/${after!.scoreId}/counts`, { counts: true });
    expect(await results()).toHaveLength(1);
  });
});

describe('who is silent', () => {
  const silent = async () => (await desk('GET', '/silent')).json.silent;
  test('is who logged nothing of three in a row that were due; one score ends it; today’s counts for nobody yet', async () => {
    const quillume = await addAthlete(desk, 'Quillume');
    const days = ['2026-11-20', '2026-11-21', '2026-11-23', '2026-11-25'];
    const sent: { workout: number; link: string }[] = [];
    for (const day of days) {
      const workout = await addWorkout(desk);
      await desk('PUT', `/workouts/${workout}`, { day, revision: 1 });
      sent.push({ workout, link: await sendTo(desk, workout, quillume) });
    }
    expect(await silent()).toEqual([{ athleteId: quillume, name: 'Quillume', missed: 3, since: '2026-11-20' }]);
    await instance.stranger('POST', `/a/${sent[1]!.link}/score`, { score: '9+3' });
    expect(await silent()).toEqual([]);
    instance.clock.now = new Date('2026-11-26T12:00:00Z');
    expect(await silent()).toEqual([]);
    await sendTo(desk, squall, quillume);
    expect(await silent()).toMatchObject([{ missed: 3, since: '2026-11-23' }]);
    await desk('DELETE', `/athletes/${quillume}`);
    expect(await silent()).toEqual([]);
  });
});
