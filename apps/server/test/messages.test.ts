/** Messages to athletes: looked at before, one a sending however often somebody presses, tried again after a stumble, told when refused, and tried again on request. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Delivery } from '@gambito/contract';
import { deliveryStore } from '../src/deliveries/store';
import { addAthlete, addWorkout, openInstance, sendTo, until, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
let coachId: number;
let workout: number;
let tabrik: number;
let quillume: number;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_messages', { address: 'https://lanterns.example' });
  ({ desk, id: coachId } = await instance.newCoach('maruvel@lanterns.example'));
  workout = await addWorkout(desk);
  tabrik = await addAthlete(desk, 'Tabrik', { contact: 'tabrik@lanterns.example' });
  quillume = await addAthlete(desk, 'Quillume');
  await sendTo(desk, workout, tabrik);
});
afterAll(() => instance?.close());

const write = async (...athleteIds: number[]): Promise<number> => (await desk('POST', `/workouts/${workout}/messages`, { athleteIds })).json.queued as number;
const list = async (): Promise<Delivery[]> => (await desk('GET', `/deliveries?workout=${workout}`)).json.deliveries as Delivery[];
const behave = (mode: string) => desk('PUT', '/messenger', { mode });
const later = (seconds: number): void => void (instance.clock.now = new Date(instance.clock.now.getTime() + seconds * 1000));
const settled = (state: string) => until(async () => (await list())[0]?.state === state);

describe('messages to athletes', () => {
  test('are looked at before: to whom, what, where it leads, and who cannot be written to', async () => {
    const { drafts } = (await desk('POST', `/workouts/${workout}/messages/preview`, { athleteIds: [tabrik, quillume] })).json;
    expect(drafts).toMatchObject([
      { name: 'Tabrik', recipient: 'tabrik@lanterns.example', subject: 'Squall', reason: null },
      { name: 'Quillume', recipient: null, reason: 'not sent' },
    ]);
    expect(drafts[0].body).toMatch(/https:\/\/lanterns\.example\/a\/[\w-]{32}\n/);
    await sendTo(desk, workout, quillume);
    expect((await desk('POST', `/workouts/${workout}/messages/preview`, { athleteIds: [quillume] })).json.drafts[0].reason).toBe('no contact');
    const long = await addAthlete(desk, 'Brontek', { contact: `${'b'.repeat(190)}@lanterns.example` });
    await sendTo(desk, workout, long);
    expect((await desk('POST', `/workouts/${workout}/messages/preview`, { athleteIds: [long] })).json.drafts[0].reason).toBe('contact too long');
    expect(await list()).toEqual([]);
  });
  test('go out once a sending: pressed five times at once, on two screens, and again later', async () => {
    const queued = await Promise.all(Array.from({ length: 5 }, () => write(tabrik, quillume)));
    expect(queued.sort()).toEqual([0, 0, 0, 0, 1]);
    expect(await settled('sent')).toBe(true);
    expect(await write(tabrik)).toBe(0);
    expect(await list()).toHaveLength(1);
    expect((await desk('POST', `/workouts/${workout}/messages/preview`, { athleteIds: [tabrik] })).json.drafts[0].reason).toBe('told already');
  });
  test('that stumble wait and arrive; the failure is told meanwhile', async () => {
    await behave('stumbles');
    later(60);
    await sendTo(desk, workout, tabrik);
    expect(await write(tabrik)).toBe(1);
    expect(await until(async () => (await list())[0]!.failure !== null)).toBe(true);
    expect((await list())[0]).toMatchObject({ state: 'waiting', tries: 1 });
    later(6);
    expect(await settled('sent')).toBe(true);
    expect((await list())[0]).toMatchObject({ tries: 2, failure: null });
  });
  test('that are refused say so, and go out when asked again', async () => {
    await behave('refuses');
    later(60);
    await sendTo(desk, workout, tabrik);
    await write(tabrik);
    expect(await settled('failed')).toBe(true);
    const [failed] = await list();
    expect(failed!.failure).toContain('refused');
    await behave('works');
    await desk('POST', `/deliveries/${failed!.id}/again`);
    expect(await settled('sent')).toBe(true);
    expect(await list()).toHaveLength(3);
  });
  test('are tried by one server at a time, however many look', async () => {
    const store = deliveryStore(instance.database);
    const sentAt = new Date(0);
    const row = {
      coachId,
      workoutId: workout,
      athleteId: quillume,
      sentAt,
      recipient: 'x',
      subject: 'x',
      body: 'x',
      state: 'waiting',
      tries: 0,
      failure: null,
    };
    // far ahead, so that the background leaves it to us
    const then = new Date(instance.clock.now.getTime() + 1e9);
    await instance.database.models.deliveries.create({ ...row, nextTryAt: then });
    const leased = await Promise.all(Array.from({ length: 4 }, () => store.lease(8, then)));
    expect(leased.flat()).toHaveLength(1);
    // one that began and died is tried by another a minute later
    expect(await store.lease(8, new Date(then.getTime() + 59_000))).toHaveLength(0);
    expect(await store.lease(8, new Date(then.getTime() + 61_000))).toHaveLength(1);
  });
});
