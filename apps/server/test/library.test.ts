/** A coach's library over HTTP: found by what stands in a workout, kept as it was before, thrown into a bin, taken in and given out by the dozen; and several people saved at once. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import type { Discomfort } from '@gambito/contract';
import { addAthlete, addWorkout, cookieOf, openInstance, password, sendTo, squall, until, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_library');
});
afterAll(() => instance.close());

const own = async (name: string): Promise<Desk> => (await instance.newCoach(`${name}@lanterns.example`)).desk;
const day = 24 * 3600 * 1000;
const titles = async (query: string): Promise<string[]> => (await desk('GET', `/workouts?${query}`)).json.workouts.map(({ title }: { title: string }) => title);

describe('finding', () => {
  const texts = [
    { text: '# Half Tide\nAMRAP 14:00\n10 push-up\n10 air squat', day: '2026-11-20', tags: ['short', 'no kit'] },
    { text: '# Winch\nfor time, cap 25:00\n500 m row\n40 goblet squat @ 16 kg', day: '2026-11-10', tags: ['long'] },
    { text: '# Ledger\nEMOM 12:00\n1: 8 push-up\n2: 10 sit-up', day: null, tags: ['short'] },
  ];
  beforeAll(async () => {
    desk = await own('finder');
    expect((await desk('POST', '/workouts/many', { workouts: texts })).json.ids).toHaveLength(3);
    expect(await until(async () => (await desk('GET', '/workouts')).json.workouts.every(({ facts }: { facts: unknown }) => facts !== null))).toBe(true);
  });
  test.each([
    ['kind=amrap', ['Half Tide']],
    ['kind=every', ['Ledger']],
    ['minutes=14', ['Half Tide', 'Ledger']],
    ['movement=push-up', ['Half Tide', 'Ledger']],
    ['movement=push', []],
    ['tag=short', ['Half Tide', 'Ledger']],
    ['tag=short&kind=every', ['Ledger']],
    ['tag=no%20kit', ['Half Tide']],
    ['tag=%22%27', []],
  ])('%s', async (query, expected) => expect(await titles(query)).toEqual(expected));
  test('a movement says on which day it was last; days to come and what has none say nothing', async () => {
    await addWorkout(desk, '# Tomorrow\nfor time, cap 9:00\n500 m row');
    const { workouts } = (await desk('GET', '/workouts?search=Tomorrow')).json;
    await desk('PUT', `/workouts/${workouts[0].id}`, { day: '2026-12-01', revision: workouts[0].revision });
    const { movements } = (await desk('GET', '/workout-movements')).json as { movements: { movement: string; day: string }[] };
    const days = new Map(movements.map(({ movement, day }) => [movement, day]));
    expect([days.get('push-up'), days.get('row'), days.get('sit-up')]).toEqual(['2026-11-20', '2026-11-10', undefined]);
    await desk('DELETE', `/workouts/${workouts[0].id}`);
  });
  test('a movement of the coach’s own is known as the newest text defines it', async () => {
    const there = await own('maker');
    await addWorkout(there, 'movement: lantern hop = burpee\nAMRAP 9:00\n10 lantern hop');
    await addWorkout(there, 'movement: Lantern hop = burpee x 1.2; both feet land\nAMRAP 9:00\n10 lantern hop');
    const known = async () => (await there('GET', '/workout-movements')).json.own;
    expect(
      await until(async () => (await known()).length > 0 && (await there('GET', '/workouts')).json.workouts.every(({ facts }: { facts: unknown }) => facts)),
    ).toBe(true);
    expect(await known()).toEqual([
      { as: 'burpee', own: { name: expect.stringMatching(/^lantern hop$/i), share: expect.any(Number), link: null, standard: expect.anything() } },
    ]);
  });
  test('tags come by how often they are used', async () => expect((await desk('GET', '/workout-tags')).json.tags).toEqual(['short', 'long', 'no kit']));
  test('who did it, and how it went', async () => {
    const [{ id }] = (await desk('GET', '/workouts?search=half')).json.workouts;
    const athlete = await addAthlete(desk, 'Thessin');
    expect(await titles(`doneBy=${athlete}`)).toEqual([]);
    await desk('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '11+4' });
    expect(await titles(`doneBy=${athlete}`)).toEqual(['Half Tide']);
    const [{ done }] = (await desk('GET', '/workouts?search=half')).json.workouts;
    expect(done).toEqual({ scores: 1, last: instance.clock.now.toISOString(), inWindow: 0, judged: 0 });
  });
  test('facts follow the text', async () => {
    const [{ id, revision }] = (await desk('GET', '/workouts?search=ledger')).json.workouts;
    await desk('PUT', `/workouts/${id}`, { text: '# Ledger\nEMOM 12:00\n1: 8 ring row\n2: 10 sit-up', revision });
    expect(await until(async () => (await titles('movement=ring-row')).length === 1)).toBe(true);
    expect(await titles('movement=push-up')).toEqual(['Half Tide']);
  });
});

describe('how it went', () => {
  test('scores inside the window are counted beside those that have one', async () => {
    desk = await own('window');
    const workout = await addWorkout(desk, '# Bollard\nAMRAP 10:00\n10 push-up\n10 air squat\nwindow: 1-30 rounds');
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: await addAthlete(desk, 'Hespin'), score: '9+4' });
    await desk('POST', `/workouts/${workout}/scores`, { athleteId: await addAthlete(desk, 'Ostrame'), score: '0+4' });
    await desk('GET', `/workouts/${workout}/board`);
    expect((await desk('GET', '/workouts')).json.workouts[0].done).toMatchObject({ scores: 2, inWindow: 1, judged: 2 });
  });
});

describe('what it said before', () => {
  test('the text a spell of typing began from is kept, once a spell', async () => {
    desk = await own('typist');
    const id = await addWorkout(desk);
    const save = async (text: string): Promise<void> => {
      const { revision } = (await desk('GET', `/workouts/${id}`)).json;
      expect((await desk('PUT', `/workouts/${id}`, { text, revision })).status).toBe(200);
    };
    const kept = async (): Promise<number[]> =>
      (await desk('GET', `/workouts/${id}/revisions`)).json.revisions.map(({ revision }: { revision: number }) => revision);
    const before = instance.clock.now;
    await save(`${squall}note: one`);
    await save(`${squall}note: one two`);
    expect(await kept()).toEqual([1]);
    instance.clock.now = new Date(before.getTime() + day);
    await save(`${squall}note: three`);
    instance.clock.now = before;
    expect(await kept()).toEqual([3, 1]);
    expect((await desk('GET', `/workouts/${id}/revisions/1`)).json.text).toBe(squall);
    expect((await desk('GET', `/workouts/${id}/revisions/3`)).json.text).toBe(`${squall}note: one two`);
    expect((await desk('GET', `/workouts/${id}/revisions/2`)).status).toBe(404);
  });
  test('where two windows met, each text alone is kept, within one spell of typing too', async () => {
    const id = await addWorkout(desk);
    const put = (body: object) => desk('PUT', `/workouts/${id}`, body);
    await put({ text: `${squall}note: theirs`, revision: 1 });
    const merged = await put({ text: `${squall}note: theirs\nnote: mine`, revision: 2, aside: `${squall}note: mine` });
    expect(merged.json).toMatchObject({ text: `${squall}note: theirs\nnote: mine`, revision: 4 });
    const { revisions } = (await desk('GET', `/workouts/${id}/revisions`)).json as { revisions: { revision: number }[] };
    const texts = await Promise.all(revisions.map(async ({ revision }) => (await desk('GET', `/workouts/${id}/revisions/${revision}`)).json.text as string));
    expect(texts).toEqual([`${squall}note: mine`, `${squall}note: theirs`, squall]);
    // a text that is put aside without another one met says the same
    expect((await put({ text: `${squall}note: theirs`, revision: 4, aside: '' })).json.revision).toBe(6);
    expect((await put({ text: squall, revision: 4, aside: 'lost?' })).status).toBe(409);
  });
  test('a save that lost against another window keeps nothing', async () => {
    const id = await addWorkout(desk);
    expect((await desk('PUT', `/workouts/${id}`, { text: 'mine', revision: 7 })).status).toBe(409);
    expect((await desk('GET', `/workouts/${id}/revisions`)).json.revisions).toEqual([]);
  });
});

describe('the bin', () => {
  test('holds what was deleted for thirty days; what nobody scored is then gone, a scored one only leaves the bin', async () => {
    desk = await own('binner');
    const [plain, scored] = [await addWorkout(desk), await addWorkout(desk)];
    await desk('POST', `/workouts/${scored}/scores`, { athleteId: await addAthlete(desk, 'Brontek'), score: '9+0' });
    for (const id of [plain, scored]) await desk('DELETE', `/workouts/${id}`);
    const binned = async (): Promise<number[]> => (await desk('GET', '/workouts?bin=true')).json.workouts.map(({ id }: { id: number }) => id);
    expect([await titles(''), (await binned()).sort()]).toEqual([[], [plain, scored]]);
    await desk('POST', `/workouts/${plain}/restore`);
    expect(await binned()).toEqual([scored]);
    await desk('DELETE', `/workouts/${plain}`);
    const { now } = instance.clock;
    instance.clock.now = new Date(now.getTime() + 31 * day);
    const { headers } = await instance.stranger('POST', '/login', { email: 'binner@lanterns.example', password });
    desk = instance.desk(cookieOf(headers));
    expect(await binned()).toEqual([]);
    instance.clock.now = now;
    const { workoutStore } = await import('../src/workouts/store');
    await workoutStore(instance.database).sweep(new Date(now.getTime() + day));
    const left = await instance.database.models.workouts.findAll({ where: { id: [plain, scored] }, attributes: ['id'] });
    expect(left.map(({ id }) => id)).toEqual([scored]);
  });
});

describe('deleted people', () => {
  test('are listed for thirty days, the last one first, and come back with their file', async () => {
    const clock = instance.clock.now;
    const there = await own('deleter');
    const [one, other] = [await addAthlete(there, 'Hespin', { groups: ['crew'] }), await addAthlete(there, 'Orvenna')];
    const deleted = async (at = there): Promise<string[]> => (await at('GET', '/athletes/deleted')).json.athletes.map(({ name }: { name: string }) => name);
    expect(await deleted()).toEqual([]);
    await there('DELETE', `/athletes/${one}`);
    instance.clock.now = new Date(clock.getTime() + day);
    await there('DELETE', `/athletes/${other}`);
    expect(await deleted()).toEqual(['Orvenna', 'Hespin']);
    await there('POST', `/athletes/${one}/restore`);
    expect(await deleted()).toEqual(['Orvenna']);
    expect((await there('GET', `/athletes/${one}`)).json.file.groups).toEqual(['crew']);
    instance.clock.now = new Date(clock.getTime() + 32 * day);
    const { headers } = await instance.stranger('POST', '/login', { email: 'deleter@lanterns.example', password });
    expect(await deleted(instance.desk(cookieOf(headers)))).toEqual([]);
    instance.clock.now = clock;
  });
});

describe('whom it is for', () => {
  test('who is not meant is not missing', async () => {
    desk = await own('groups');
    const [crew, nurse] = [await addAthlete(desk, 'Orvenna', { groups: ['Ferry crew'] }), await addAthlete(desk, 'Quillume')];
    await addAthlete(desk, 'Tabrik', { groups: ['keepers'] });
    const id = await addWorkout(desk);
    const missing = async (): Promise<string[]> => (await desk('GET', `/workouts/${id}/board`)).json.missing.map(({ name }: { name: string }) => name);
    const give = async (audience: unknown): Promise<number> =>
      (await desk('PUT', `/workouts/${id}`, { audience, revision: (await desk('GET', `/workouts/${id}`)).json.revision })).status;
    expect(await missing()).toEqual(['Orvenna', 'Quillume', 'Tabrik']);
    expect(await give({ groups: ['ferry crew'], athletes: [] })).toBe(200);
    expect(await missing()).toEqual(['Orvenna']);
    expect(await give({ groups: ['ferry crew'], athletes: [nurse] })).toBe(200);
    expect(await missing()).toEqual(['Orvenna', 'Quillume']);
    expect((await desk('GET', `/workouts/${id}`)).json.audience).toEqual({ groups: ['ferry crew'], athletes: [nurse] });
    expect(await give({ groups: [''], athletes: [crew] })).toBe(400);
  });
  test('a copy keeps tags and audience, and takes its day', async () => {
    const { id } = (await desk('POST', '/workouts', { text: squall, tags: ['short'] })).json;
    const copy = (await desk('POST', `/workouts/${id}/duplicate`, { day: '2026-12-01' })).json;
    expect(copy).toMatchObject({ text: squall, day: '2026-12-01', tags: ['short'] });
    expect((await desk('POST', `/workouts/${id}/duplicate`)).json).toMatchObject({ title: 'Squall (copy)', day: null });
  });
});

describe('several people at once', () => {
  test('are saved all of them or none', async () => {
    desk = await own('crowd');
    const first = await addAthlete(desk, 'Hespin');
    const names = async (): Promise<string[]> => (await desk('GET', '/athletes?results=no')).json.athletes.map(({ name }: { name: string }) => name);
    const many = (athletes: unknown[]) => desk('POST', '/athletes/many', { athletes });
    expect(
      (
        await many([
          { id: null, file: { name: 'Drosimel' } },
          { id: first, file: { name: 'Hespin of the Wick' }, revision: 1 },
        ])
      ).json.ids,
    ).toHaveLength(2);
    expect(await names()).toEqual(['Drosimel', 'Hespin of the Wick']);
    // the second was changed meanwhile: nothing of it is taken
    expect(
      (
        await many([
          { id: null, file: { name: 'Maruvo' } },
          { id: first, file: { name: 'Lost' }, revision: 1 },
        ])
      ).status,
    ).toBe(409);
    expect(
      (
        await many([
          { id: null, file: { name: 'Maruvo' } },
          { id: 4_000_000, file: { name: 'Nobody' }, revision: 1 },
        ])
      ).status,
    ).toBe(404);
    expect(
      (
        await many([
          { id: null, file: { name: 'Maruvo' } },
          { id: null, file: { name: ' ' } },
        ])
      ).status,
    ).toBe(400);
    expect(await names()).toEqual(['Drosimel', 'Hespin of the Wick']);
  });
});

describe('decisions of one version', () => {
  test('a version by hand is sent as it was written, with the note above it; both are lifted again', async () => {
    desk = await own('hand');
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Lumerik')];
    const decide = async (locks: unknown[]): Promise<number> => (await desk('PUT', `/workouts/${workout}/locks/${athlete}`, { locks })).status;
    const page = async () => (await instance.stranger('GET', `/a/${await sendTo(desk, workout, athlete)}`)).json;
    expect(await decide([{ byHand: '# Squall\nAMRAP 8:00\n4 burpee\n' }, { note: 'Mind the hatch.' }])).toBe(200);
    expect((await desk('GET', `/workouts/${workout}/locks`)).json.locks[0].locks).toHaveLength(2);
    expect(await page()).toMatchObject({ versionText: '# Squall\nAMRAP 8:00\n4 burpee\n', brief: { note: 'Mind the hatch.' } });
    await decide([]);
    expect(await page()).toMatchObject({ versionText: expect.stringContaining('AMRAP 12:00'), brief: { note: null } });
    expect(await decide([{ note: 'x'.repeat(1001) }])).toBe(400);
  });
});

describe('links', () => {
  test('whoever opens one is told to the coach, once it is the newest that was sent; a coach who looks does not count', async () => {
    const coach = await instance.newCoach('opened@lanterns.example');
    desk = coach.desk;
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Hespin')];
    const token = await sendTo(desk, workout, athlete);
    const opened = async (): Promise<boolean> => (await desk('GET', `/workouts/${workout}/sends`)).json.sends[0].opened;
    await desk('GET', `/a/${token}`);
    expect(await opened()).toBe(false);
    await instance.stranger('GET', `/a/${token}`);
    expect(await opened()).toBe(true);
    const { now } = instance.clock;
    instance.clock.now = new Date(now.getTime() + 60_000);
    await sendTo(desk, workout, athlete);
    expect(await opened()).toBe(false);
    instance.clock.now = now;
    expect((await desk('GET', '/workouts')).json.workouts[0].sent).toBe(1);
  });
});

describe('what an athlete says of today', () => {
  test('a version for it stands beside the first, is scored as it was done, is told to the coach, and is taken back', async () => {
    desk = await own('today');
    const workout = await addWorkout(desk, '# Squall\nfor time, cap 12:00\n3 rounds\n  10 goblet squat @ 16 kg\n  10 push-up');
    const athlete = await addAthlete(desk, 'Lumerik', { place: { kit: ['dumbbell 16 kg', 'chair 45 cm'] } });
    const token = await sendTo(desk, workout, athlete);
    const page = async () => (await instance.stranger('GET', `/a/${token}`)).json;
    const sent = async () => (await desk('GET', `/workouts/${workout}/sends`)).json.sends[0];
    const first = await page();
    expect(first).toMatchObject({ today: null, felt: null, places: [{ name: 'home', kit: ['dumbbell 16 kg', 'chair 45 cm'] }] });
    expect((await instance.stranger('POST', `/a/${token}/today`, { kit: ['chair 45 cm'], spare: ['wrists'] })).status).toBe(200);
    const now = await page();
    expect(now.today).toBe('without dumbbell 16 kg · spare wrists');
    expect(now.versionText).toMatch(/fist push-up/);
    expect(now.versionText).not.toMatch(/16 kg/);
    expect(await sent()).toMatchObject({ today: now.today });
    await instance.stranger('POST', `/a/${token}/score`, { score: '7:40' });
    expect((await desk('GET', `/workouts/${workout}/board`)).json.boards[0].rows[0].versionText).toBe(now.versionText);
    await instance.stranger('DELETE', `/a/${token}/today`);
    expect((await page()).versionText).toBe(first.versionText);
    // a new version is sent: what was asked for was of another one
    await instance.stranger('POST', `/a/${token}/today`, { minutes: 10 });
    await sendTo(desk, workout, athlete);
    expect((await page()).today).toBeNull();
    expect((await instance.stranger('POST', `/a/${token}/today`, { spare: ['feelings'] })).status).toBe(400);
  });
  test('what hurt lands with the coach, and taken back says so', async () => {
    const [workout, athlete] = [await addWorkout(desk), await addAthlete(desk, 'Orvenna')];
    const token = await sendTo(desk, workout, athlete);
    const felt = { where: 'low back', much: 3, movement: 'burpee', note: 'Since the third round.' };
    const told = async () =>
      (await desk('GET', '/discomforts')).json.discomforts.filter((one: Discomfort) => one.workoutId === workout).map((one: Discomfort) => one.felt);
    expect((await instance.stranger('POST', `/a/${token}/felt`, felt)).status).toBe(200);
    expect(await told()).toEqual([felt]);
    expect((await instance.stranger('GET', `/a/${token}`)).json.felt).toEqual(felt);
    expect((await instance.stranger('POST', `/a/${token}/felt`)).status).toBe(200);
    expect(await told()).toEqual([{ ...felt, takenBack: true }]);
    expect((await instance.stranger('POST', `/a/${token}/felt`, { where: ' ', much: 1 })).status).toBe(400);
  });
});
