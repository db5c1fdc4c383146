/** What makes a version unsafe after it was sent is told, and a score keeps the version it is of. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addAthlete, addWorkout, openInstance, sendTo, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_safe');
  ({ desk } = await instance.newCoach('pilot@lanterns.example'));
});
afterAll(() => instance?.close());

const place = { floor: '5 x 4 m', ceiling: '3 m', noise: 'free', kit: ['run route 200 m'] };
const sent = async (workout: number) => (await desk('GET', `/workouts/${workout}/sends`)).json.sends[0];
async function runner(name: string, text = '# Quay\nAMRAP 9:00\n200 m run\n8 burpee') {
  const [workout, athlete] = [await addWorkout(desk, text), await addAthlete(desk, name, { place })];
  const token = await sendTo(desk, workout, athlete);
  const file = (await desk('GET', `/athletes/${athlete}`)).json.file;
  return {
    workout,
    athlete,
    token,
    page: async () => (await instance.stranger('GET', `/a/${token}`)).json,
    put: (change: object) => desk('PUT', `/athletes/${athlete}`, { file: { ...file, ...change } }),
  };
}

describe('a limit that comes after the sending', () => {
  test('holds the link, says which line, and is over when it is sent anew', async () => {
    const { workout, athlete, page, put } = await runner('Orvenna');
    expect([(await page()).held, (await sent(workout)).against]).toEqual([false, []]);
    await put({ avoid: ['running'] });
    expect([(await page()).held, (await sent(workout)).against]).toEqual([true, ['“200 m run” on the avoid-list: running']]);
    const { token } = await sent(workout);
    for (const face of ['pdf', 'md', 'txt']) expect((await instance.stranger('GET', `/a/${token}/version/${face}`)).status).toBe(409);
    const { json: calendar } = await instance.stranger('GET', `/a/${token}/calendar.ics`);
    expect(calendar).toContain('Your coach is looking at this again');
    expect(calendar).not.toContain('burpee');
    await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
    expect([(await page()).held, (await sent(workout)).against]).toEqual([false, []]);
  });
  test('that the version keeps anyway holds nothing', async () => {
    const { page, put } = await runner('Tabrik');
    await put({ avoid: ['hanging'] });
    expect((await page()).held).toBe(false);
  });
  test('so does kit that is gone, and a place that is quiet by now; what is added holds nothing', async () => {
    const { workout, athlete, page, put } = await runner('Hespin', '# Quay\nAMRAP 9:00\n12 dumbbell thruster @ 2x15/2x10 kg\n20 jumping jack');
    const kit = ['dumbbell 10 kg x 2', 'dumbbell 15 kg x 2', 'skipping rope'];
    await put({ place: { ...place, kit } });
    await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
    expect((await page()).versionText).toMatch(/dumbbell thruster/);
    await put({ place: { ...place, kit: [...kit, 'pull-up bar'] }, notes: 'a new bar' });
    expect((await page()).held).toBe(false);
    await put({ place: { ...place, kit: ['skipping rope'] } });
    expect((await sent(workout)).against.join()).toMatch(/dumbbell thruster.*needs/);
    await put({ place: { ...place, noise: 'quiet', kit } });
    expect((await sent(workout)).against).toEqual([expect.stringMatching(/jumping jack” too loud/)]);
    await put({ place: { ...place, kit } });
    expect((await page()).held).toBe(false);
  });
  test('a decision of the coach after the sending is a change, and holds nothing', async () => {
    const { workout, athlete, page } = await runner('Ylmarra');
    await desk('PUT', `/workouts/${workout}/locks/${athlete}`, { locks: [{ part: 0, slot: 1, movement: 'sit-up' }] });
    expect([(await page()).held, (await sent(workout)).changed]).toEqual([false, true]);
    await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
    expect((await sent(workout)).changed).toBe(false);
  });
  test('that nobody can place holds the link until it is answered', async () => {
    const { page, put } = await runner('Brontek');
    await put({ injuries: 'left knee, old' });
    expect((await page()).held).toBe(true);
    await put({ injuries: 'left knee, old', read: [{ text: 'left knee, old', by: 'Maruvel', date: '2026-12-01', spares: [] }] });
    expect((await page()).held).toBe(false);
  });
});

describe('a word of harm over the API', () => {
  // the version has no run, or none is made: nothing goes out as it was
  test.each([
    { avoid: { running: true } },
    { Avoid: 'running' },
    { avoids: ['running'] },
    { limits: { avoid: 'running' } },
    { limits: 'no running' },
    { limits: { no_running: true } },
    { place: { ...place, avoid: ['running'] } },
    { injuries: 'running hurts the shin' },
    { pain: ['left knee'] },
    { pregnant: true },
    { avoid: true },
    { doctors_note: 'no impact' },
  ])('%j', async (change) => {
    const [workout, athlete] = [
      await addWorkout(desk, '# Quay\nAMRAP 9:00\n200 m run\n8 push-up'),
      await addAthlete(desk, JSON.stringify(change), { place, ...change }),
    ];
    const { status, json } = await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
    if (status === 200 && json.sends.length > 0) expect((await instance.stranger('GET', `/a/${json.sends[0].token}`)).json.versionText).not.toMatch(/m run/);
    else expect(JSON.stringify(json)).toMatch(/cannot tell what that spares/);
  });
});

test('a score of the version before is read as one of it, not of the version sent since', async () => {
  const { workout, athlete, token, page } = await runner('Wendrith', '# Quay\nAMRAP 12:00\n8 push-up\n15 air squat');
  const { versionText } = await page();
  await desk('PUT', `/workouts/${workout}`, { text: '# Quay\nAMRAP 20:00\n2 push-up\n5 air squat', revision: 1 });
  await desk('POST', `/workouts/${workout}/sends`, { athleteIds: [athlete] });
  expect((await instance.stranger('POST', `/a/${token}/score`, { score: '9+4', note: 'Late.', versionText })).status).toBe(200);
  expect((await desk('GET', `/workouts/${workout}/board`)).json.boards[0].rows[0]).toMatchObject({ score: '9+4', versionText });
});

test('a workout without a scored part has no next time, and no failure', async () => {
  const workout = await addWorkout(desk, '# Ease\nfor quality\n3 rounds\n  10 air squat');
  expect(await desk('GET', `/workouts/${workout}/next`)).toMatchObject({ status: 200, json: { next: [] } });
});
