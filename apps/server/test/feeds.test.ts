/** Calendar feeds, read back by a reference library (ical.js): entries keep their names, move with their day, and are cancelled when they are withdrawn or thrown away. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import ICAL from 'ical.js';
import { addAthlete, addWorkout, openInstance, sendTo, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
let athlete: number;
let workout: number;
let door: string;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_feeds');
  ({ desk } = await instance.newCoach('almanac@lanterns.example'));
  athlete = await addAthlete(desk, 'Tabrik');
  workout = await addWorkout(desk, '# Gale\nAMRAP 8:00\n10 burpee');
  await desk('PUT', `/workouts/${workout}`, { day: '2026-11-27', revision: 1 });
  await sendTo(desk, workout, athlete);
  door = (await desk('PUT', `/athletes/${athlete}/door`)).json.door.token;
});
afterAll(() => instance.close());

const eventsAt = async (path: string) => {
  const { body, statusCode, headers } = await instance.app.inject(`/api${path}`);
  expect([statusCode, headers['content-type']]).toEqual([200, 'text/calendar; charset=utf-8']);
  const events = new ICAL.Component(ICAL.parse(body) as unknown[]).getAllSubcomponents('vevent').map((event) => new ICAL.Event(event));
  return events.map((event) => ({
    uid: event.uid,
    day: event.startDate.toString(),
    title: event.summary,
    status: event.component.getFirstPropertyValue('status') as string,
    sequence: Number(event.component.getFirstPropertyValue('sequence')),
  }));
};
/** What was changed so far was changed some minutes earlier than it was: a feed counts in seconds. */
const minutesAgo = async (minutes: number): Promise<void> => {
  for (const table of ['workouts', 'sends'])
    await instance.database.sequelize.query(
      `UPDATE ${table} SET created_at = created_at - INTERVAL ${minutes} MINUTE, updated_at = updated_at - INTERVAL ${minutes} MINUTE`,
    );
};

describe('an athlete’s feed', () => {
  test('has what was sent; a moved day moves it, withdrawn it is cancelled, opened again it is back', async () => {
    await minutesAgo(20);
    const [first] = await eventsAt(`/d/${door}/calendar.ics`);
    expect(first).toMatchObject({ day: '2026-11-27', title: 'Gale', status: 'CONFIRMED' });
    await desk('PUT', `/workouts/${workout}`, { day: '2026-11-30', revision: 2 });
    await minutesAgo(10);
    const [moved] = await eventsAt(`/d/${door}/calendar.ics`);
    expect(moved).toMatchObject({ uid: first!.uid, day: '2026-11-30' });
    expect(moved!.sequence).toBeGreaterThan(first!.sequence);
    const { sends } = (await desk('GET', `/workouts/${workout}/sends`)).json;
    await desk('DELETE', `/workouts/${workout}/sends/${sends[0].id}`);
    const [gone] = await eventsAt(`/d/${door}/calendar.ics`);
    expect(gone).toMatchObject({ uid: first!.uid, status: 'CANCELLED' });
    expect(gone!.sequence).toBeGreaterThan(moved!.sequence);
    await desk('PUT', `/workouts/${workout}/sends/${sends[0].id}/open`);
    expect((await eventsAt(`/d/${door}/calendar.ics`))[0]!.status).toBe('CONFIRMED');
  });
  test('has the name that the single entry has, so that one calendar has it once', async () => {
    const { sends } = (await desk('GET', `/workouts/${workout}/sends`)).json;
    const [[alone], [fed]] = [await eventsAt(`/a/${sends[0].token}/calendar.ics`), await eventsAt(`/d/${door}/calendar.ics`)];
    expect(alone!.uid).toBe(fed!.uid);
  });
});

describe('a coach’s feed', () => {
  test('has what has a day, cancels what is thrown away, and ends with its link', async () => {
    const { token } = (await desk('PUT', '/me/calendar')).json;
    expect((await desk('GET', '/me/calendar')).json.token).toBe(token);
    await addWorkout(desk, '# Undated\nAMRAP 8:00\n10 burpee');
    expect(await eventsAt(`/c/${token}/calendar.ics`)).toEqual([expect.objectContaining({ title: 'Gale', day: '2026-11-30', status: 'CONFIRMED' })]);
    await desk('DELETE', `/workouts/${workout}`);
    expect((await eventsAt(`/c/${token}/calendar.ics`))[0]!.status).toBe('CANCELLED');
    const { token: next } = (await desk('PUT', '/me/calendar')).json;
    expect((await instance.app.inject(`/api/c/${token}/calendar.ics`)).statusCode).toBe(410);
    await desk('DELETE', '/me/calendar');
    expect((await instance.app.inject(`/api/c/${next}/calendar.ics`)).statusCode).toBe(410);
    expect((await desk('GET', '/me/calendar')).json.token).toBeNull();
  });
  test('has nothing of another coach', async () => {
    const { desk: other } = await instance.newCoach('elsewhere@lanterns.example');
    const { token } = (await other('PUT', '/me/calendar')).json;
    expect(await eventsAt(`/c/${token}/calendar.ics`)).toEqual([]);
  });
});
