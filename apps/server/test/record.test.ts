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
}, 120_000);
afterAll(() => instance?.close());

const record = async (): Promise<PersonRecord> => (await desk('GET', `/athletes/${tabrik}/record`)).json as PersonRecord;
const read = () => until(async () => (await record()).sessions.every((session) => session.read));

describe('a record', () => {
  test('says what was sent and not scored', async () =>
    expect(await record()).toMatchObject({ sessions: [], missed: [{ workoutId: squall, title: 'Squall' }] }));
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
