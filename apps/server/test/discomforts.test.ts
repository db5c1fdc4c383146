/** What hurt waits on the desk until it is settled, says what could be spared, and moves house with the desk. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Discomfort } from '@gambito/contract';
import { addAthlete, addWorkout, openInstance, sendTo, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
let cookie: string;
let workout: number;
let athlete: number;
let token: string;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_hurt');
  ({ desk, cookie } = await instance.newCoach('ashore@lanterns.example'));
  workout = await addWorkout(desk, '# Low Water\nfor time, cap 15:00\n3 rounds\n  12 deadlift @ 60/40 kg\n  15 push-up');
  athlete = await addAthlete(desk, 'Orvenna', { place: { floor: '4 x 3 m', kit: ['barbell 20 kg', 'plates 4x20 2x10 kg'] }, maxes: { deadlift: '120 kg' } });
  token = await sendTo(desk, workout, athlete);
});
afterAll(() => instance?.close());

const felt = { where: 'low back', much: 3, movement: 'Deadlift', note: 'Since the third round.' };
const tell = (body: object | null = felt, at = token) => instance.stranger('POST', `/a/${at}/felt`, body);
const waiting = async (): Promise<Discomfort[]> => (await desk('GET', '/discomforts')).json.discomforts;

describe('what hurt', () => {
  test('waits with who, where, in what and when; told twice it is one; told anew it adds up, the gravest first', async () => {
    const light = { ...felt, where: 'shin', much: 1 };
    await tell(light);
    await tell(light);
    await tell();
    expect(await waiting()).toMatchObject([
      { workoutId: workout, athleteId: athlete, name: 'Orvenna', title: 'Low Water', felt: { ...felt, also: [light] }, at: instance.clock.now.toISOString() },
    ]);
  });
  test('taken back, what made them stop is told to the coach all the same; what was noticed only is gone, and stays in the record', async () => {
    await tell(null);
    expect((await waiting()).map(({ felt: told }) => told)).toEqual([{ ...felt, takenBack: true }]);
    expect((await desk('GET', `/athletes/${athlete}/record`)).json.hurt[0].felt).toMatchObject({
      where: 'low back',
      also: [{ where: 'shin', takenBack: true }],
    });
    expect((await instance.stranger('GET', `/a/${token}`)).json.felt).toBeNull();
    const [{ id }] = (await waiting()) as [Discomfort];
    await desk('PUT', `/discomforts/${id}`, { settled: true });
    expect(await waiting()).toEqual([]);
    await tell();
  });
  test('what could be spared, the line that would stand instead, and whom to ask; the athlete’s file is as it was', async () => {
    const [{ id }] = (await waiting()) as [Discomfort];
    const { spare, swaps, ask } = (await desk('GET', `/discomforts/${id}/spared`)).json;
    expect(spare).toEqual(['spinal_loading']);
    expect(swaps).toHaveLength(1);
    expect(swaps[0].was).toMatch(/deadlift/);
    expect(ask).toMatch(/licensed professional before the next session/);
    expect((await desk('GET', `/athletes/${athlete}`)).json.file.avoid).toBeUndefined();
  });
  test('settled it waits no longer, whatever the day; undone it does; told anew it waits again', async () => {
    const [{ id }] = (await waiting()) as [Discomfort];
    await desk('PUT', `/discomforts/${id}`, { settled: true });
    expect(await waiting()).toEqual([]);
    await desk('PUT', `/discomforts/${id}`, { settled: false });
    expect(await waiting()).toHaveLength(1);
    await desk('PUT', `/discomforts/${id}`, { settled: true });
    await tell({ ...felt, note: 'Again.' });
    expect((await waiting()).map(({ felt: told }) => [told.note, told.also])).toEqual([['Again.', undefined]]);
    expect((await desk('PUT', `/discomforts/${id}`, { settled: 'yes' })).status).toBe(400);
    expect((await desk('GET', '/discomforts/999999/spared')).status).toBe(404);
  });
  test('outlives its workout: thrown into the bin it still waits, and says what it was', async () => {
    await desk('DELETE', `/workouts/${workout}`);
    expect(await waiting()).toMatchObject([{ title: 'Low Water', name: 'Orvenna' }]);
    await desk('POST', `/workouts/${workout}/restore`);
  });
  test('adds up: the gravest report stays first, whatever is told after it, and asks for a doctor now', async () => {
    await tell({ where: 'chest', much: 2, movement: '', note: 'had to stop, nearly fainted' });
    await tell({ where: 'left calf', much: 1, movement: '', note: 'a little' });
    const [{ id, felt: told }] = (await waiting()) as [Discomfort];
    expect(told).toMatchObject({ where: 'chest', also: [{ where: 'low back' }, { where: 'left calf' }] });
    const { json } = await instance.stranger('GET', `/a/${token}`);
    expect([json.doctorNow, json.felt.where, json.felt.also.length > 0]).toEqual([true, 'chest', true]);
    expect((await desk('GET', `/discomforts/${id}/spared`)).json).toEqual({
      spare: [],
      swaps: [],
      ask: 'Ask them to stop training and to see a doctor now.',
      urgent: true,
    });
    await desk('PUT', `/discomforts/${id}`, { settled: true });
    await tell();
  });
  test('of who was deleted nothing waits', async () => {
    await desk('DELETE', `/athletes/${athlete}`);
    expect(await waiting()).toEqual([]);
    await desk('POST', `/athletes/${athlete}/restore`);
    expect(await waiting()).toHaveLength(1);
  });
  test('whose workout is gone for good still waits, with what it was of', async () => {
    const gone = await addWorkout(desk, '# Neap\nAMRAP 9:00\n9 burpee');
    const link = await sendTo(desk, gone, athlete);
    await tell({ ...felt, where: 'chest' }, link);
    await instance.database.models.workouts.destroy({ where: { id: gone } });
    const [first] = await waiting();
    expect(first).toMatchObject({ workoutId: null, title: 'Neap', felt: { where: 'chest' } });
    expect((await desk('GET', `/discomforts/${first!.id}/spared`)).json).toMatchObject({ spare: [], swaps: [] });
    await desk('PUT', `/discomforts/${first!.id}`, { settled: true });
  });
  test('goes into the archive, open or settled, and out of it', async () => {
    const other = await sendTo(desk, workout, await addAthlete(desk, 'Brontek'));
    await tell({ ...felt, where: 'wrist' }, other);
    const settled = (await waiting()).find(({ name }) => name === 'Brontek')!;
    await desk('PUT', `/discomforts/${settled.id}`, { settled: true });
    const { rawPayload: payload } = await instance.app.inject({ url: '/api/archive', headers: { cookie } });
    const empty = await instance.newCoach('elsewhere@lanterns.example');
    const headers = { cookie: empty.cookie, 'content-type': 'application/gzip' };
    expect((await instance.app.inject({ method: 'POST', url: '/api/archive', headers, payload })).statusCode).toBe(200);
    expect((await empty.desk('GET', '/discomforts')).json.discomforts.map(({ name, felt: told }: Discomfort) => [name, told.where])).toEqual([
      ['Orvenna', 'low back'],
    ]);
  });
});
