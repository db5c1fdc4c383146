/** A desk that two work at: the same people and workouts, each with their own password, and the name on what they change. */
import { afterAll, beforeAll, describe, expect, test } from '@jest/globals';
import { addAthlete, addWorkout, cookieOf, openInstance, sendTo, type Desk, type Instance } from './instance';

let instance: Instance;
let owner: Desk;
let guest: Desk;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_shared');
  const made = await instance.newCoach('keeper@lanterns.example');
  owner = made.desk;
  await instance.database.models.coaches.update({ founder: null }, { where: {} });
  await instance.database.models.coaches.update({ founder: 1, name: 'Maruvel' }, { where: { id: made.id } });
  const { token } = (await owner('POST', '/invitations', { shared: true })).json;
  const joined = await instance.stranger('POST', `/join/${token}`, {
    name: 'Sasquel',
    email: 'sasquel@lanterns.example',
    password: 'another lantern',
    timeZone: 'UTC',
  });
  guest = instance.desk(cookieOf(joined.headers));
});
afterAll(() => instance.close());

const textOf = (rounds: number): string => `# Gale\n${rounds} rounds for time, cap 15:00\n10 burpee`;

describe('a shared desk', () => {
  test('is the owner’s: people, rules and room are the same from both sides', async () => {
    await addAthlete(owner, 'Tabrik');
    await addAthlete(guest, 'Wendrith');
    const namesFrom = async (desk: Desk) => (await desk('GET', '/athletes')).json.athletes.map(({ name }: { name: string }) => name);
    expect(await namesFrom(guest)).toEqual(await namesFrom(owner));
    await guest('PUT', '/rules', { rules: { board: 'raw' } });
    expect((await owner('GET', '/rules')).json).toEqual((await guest('GET', '/rules')).json);
  });
  test('what is answered about words of a message is of the desk: both keep theirs at once, and one can be taken back', async () => {
    const [hop, roll] = ['lantern hop', 'deck roll'].map((words) => ({ kind: 'name', words, means: 'Burpee' }));
    await Promise.all([owner('PUT', '/words', { keep: [hop] }), guest('PUT', '/words', { keep: [roll, { kind: 'figure', words: '3', means: '' }] })]);
    const kept = (await owner('GET', '/words')).json.words;
    // a figure is of one message
    expect(kept).toHaveLength(2);
    expect(kept).toEqual(expect.arrayContaining([hop, roll]));
    expect((await guest('PUT', '/words', { drop: [hop] })).json.words).toEqual([roll]);
    expect((await guest('PUT', '/words', { keep: [{ kind: 'guess', words: 'x', means: '' }] })).status).toBe(400);
  });
  test('says whose it is to the guest, and only its owner invites and sees the instance', async () => {
    expect((await guest('GET', '/me')).json.coach).toMatchObject({ name: 'Sasquel', email: 'sasquel@lanterns.example', guestOf: 'Maruvel', founder: false });
    expect((await owner('GET', '/me')).json.coach).toMatchObject({ name: 'Maruvel', guestOf: null, founder: true });
    expect((await guest('POST', '/invitations', {})).status).toBe(403);
    expect((await guest('GET', '/outbox')).status).toBe(403);
  });
  test('has a name on every change: text, decisions, what was sent, a score', async () => {
    const id = await addWorkout(owner, textOf(5));
    expect((await guest('GET', `/workouts/${id}`)).json.changedBy).toBe('Maruvel');
    const saved = (await guest('PUT', `/workouts/${id}`, { text: textOf(4), revision: 1 })).json;
    expect(saved.changedBy).toBe('Sasquel');
    const { revisions } = (await owner('GET', `/workouts/${id}/revisions`)).json;
    expect(revisions.map(({ by }: { by: string }) => by)).toEqual(['Maruvel']);
    const athlete = await addAthlete(owner, 'Brontek');
    await guest('PUT', `/workouts/${id}/locks/${athlete}`, { locks: [{ note: 'mind the step' }] });
    expect((await owner('GET', `/workouts/${id}/locks`)).json.locks).toEqual([{ athleteId: athlete, locks: [{ note: 'mind the step' }], by: 'Sasquel' }]);
    await sendTo(guest, id, athlete);
    expect((await owner('GET', `/workouts/${id}/sends`)).json.sends[0].sentBy).toBe('Sasquel');
    await owner('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '9:10' });
    expect((await guest('GET', `/workouts/${id}/board`)).json.boards[0].rows[0].by).toBe('Maruvel');
  });
  test('says whose score replaced whose, and puts it back', async () => {
    const [id, athlete] = [await addWorkout(owner, textOf(5)), await addAthlete(owner, 'Ylmarra')];
    const token = await sendTo(owner, id, athlete);
    const row = async () => (await owner('GET', `/workouts/${id}/board`)).json.boards[0].rows[0];
    await owner('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '9:10' });
    await owner('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '9:12' });
    // one's own correction is nobody's loss
    expect((await row()).replaced).toBeNull();
    await instance.stranger('POST', `/a/${token}/score`, { score: '8:30' });
    const late = await row();
    expect(late).toMatchObject({ entry: '8:30', by: '', replaced: { entry: '9:12', by: 'Maruvel' } });
    await owner('POST', `/workouts/${id}/scores/${late.replaced.scoreId}/restore`);
    expect(await row()).toMatchObject({ entry: '9:12', by: 'Maruvel', replaced: null });
    await owner('POST', `/workouts/${id}/scores/${late.scoreId}/restore`);
    await guest('POST', `/workouts/${id}/scores`, { athleteId: athlete, score: '8:45' });
    expect(await row()).toMatchObject({ entry: '8:45', by: 'Sasquel', replaced: { entry: '8:30', by: '' } });
  });
  test('keeps the decisions of both on one version, also when they come at once', async () => {
    const [id, athlete] = [await addWorkout(owner, textOf(5)), await addAthlete(owner, 'Nivaro')];
    const put = (desk: Desk, locks: unknown[], before: unknown[] = []) => desk('PUT', `/workouts/${id}/locks/${athlete}`, { locks, before });
    const slot = { part: 0, slot: 0, movement: 'air-squat' };
    const note = { note: 'mind the step' };
    const answers = await Promise.all([put(owner, [slot]), put(guest, [note]), put(owner, [slot]), put(guest, [note])]);
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200, 200]);
    const standing = async () => (await owner('GET', `/workouts/${id}/locks`)).json.locks.flatMap(({ locks }: { locks: unknown[] }) => locks);
    expect(await standing()).toEqual(expect.arrayContaining([slot, note]));
    expect(await standing()).toHaveLength(2);
    // taken back by one, the other's stays
    expect((await put(owner, [], [slot])).json.locks).toEqual([note]);
    // who says nothing of what was seen replaces all of it
    expect((await owner('PUT', `/workouts/${id}/locks/${athlete}`, { locks: [] })).json.locks).toEqual([]);
  });
  test('has a password and sessions for each: one signs out, the other stays', async () => {
    expect((await guest('PUT', '/me/password', { before: 'another lantern', after: 'yet another lantern' })).status).toBe(200);
    expect((await owner('GET', '/rules')).status).toBe(200);
    const sessions = async (desk: Desk) => (await desk('GET', '/me/sessions')).json.sessions.map(({ id }: { id: string }) => id);
    const [mine] = await sessions(guest);
    expect(await sessions(owner)).not.toContain(mine);
    expect((await owner('DELETE', `/me/sessions/${mine}`)).status).toBe(404);
  });
  test('has invitations that only its founder sees and withdraws', async () => {
    const { token } = (await owner('POST', '/invitations', { shared: true })).json;
    const [{ id }] = (await owner('GET', '/invitations')).json.invitations;
    expect((await guest('GET', '/invitations')).json.invitations).toEqual([]);
    expect((await guest('DELETE', `/invitations/${id}`)).status).toBe(403);
    expect((await instance.stranger('GET', `/join/${token}`)).json).toEqual({ open: true });
    expect((await owner('DELETE', `/invitations/${id}`)).status).toBe(200);
  });
  test('is handed over and back: the same things on it, each with their own password, both signed in', async () => {
    const people = async (desk: Desk): Promise<[string, boolean, boolean][]> =>
      (await desk('GET', '/desk/people')).json.people.map(({ name, owner: owns, you }: { name: string; owner: boolean; you: boolean }) => [name, owns, you]);
    const idOf = async (desk: Desk, name: string): Promise<number> =>
      (await desk('GET', '/desk/people')).json.people.find((each: { name: string }) => each.name === name).id as number;
    expect(await people(guest)).toEqual([
      ['Maruvel', true, false],
      ['Sasquel', false, true],
    ]);
    expect((await guest('POST', `/desk/people/${await idOf(guest, 'Sasquel')}/owner`)).status).toBe(403);
    const before = (await owner('GET', '/athletes')).json;
    expect((await owner('POST', `/desk/people/${await idOf(owner, 'Sasquel')}/owner`)).status).toBe(200);
    expect((await guest('GET', '/me')).json.coach).toMatchObject({ name: 'Sasquel', guestOf: null, founder: false });
    expect((await owner('GET', '/me')).json.coach).toMatchObject({ name: 'Maruvel', guestOf: 'Sasquel', founder: true });
    expect([(await owner('GET', '/athletes')).json, (await guest('GET', '/athletes')).json]).toEqual([before, before]);
    expect((await instance.stranger('POST', '/login', { email: 'sasquel@lanterns.example', password: 'yet another lantern' })).json.coach.guestOf).toBeNull();
    expect((await guest('POST', `/desk/people/${await idOf(guest, 'Maruvel')}/owner`)).status).toBe(200);
    expect((await owner('GET', '/me')).json.coach).toMatchObject({ name: 'Maruvel', guestOf: null });
  });
  test('is not what an ordinary invitation opens', async () => {
    const { token } = (await owner('POST', '/invitations', {})).json;
    const joined = await instance.stranger('POST', `/join/${token}`, {
      name: 'Quillume',
      email: 'quillume@lanterns.example',
      password: 'a third lantern',
      timeZone: 'UTC',
    });
    expect(joined.json.coach).toMatchObject({ guestOf: null });
    expect((await instance.desk(cookieOf(joined.headers))('GET', '/athletes')).json.athletes).toEqual([]);
  });
  test('is left by a guest whom its owner removes: signed out, with an empty desk of their own; what they did stays', async () => {
    const { people } = (await owner('GET', '/desk/people')).json as { people: { id: number; name: string }[] };
    const sasquel = people.find(({ name }) => name === 'Sasquel')!.id;
    expect((await guest('DELETE', `/desk/people/${people[0]!.id}`)).status).toBe(403);
    expect((await owner('DELETE', `/desk/people/${people[0]!.id}`)).status).toBe(404);
    const before = (await owner('GET', '/athletes')).json;
    expect((await owner('DELETE', `/desk/people/${sasquel}`)).json.people).toHaveLength(1);
    expect((await guest('GET', '/athletes')).status).toBe(401);
    const again = await instance.stranger('POST', '/login', { email: 'sasquel@lanterns.example', password: 'yet another lantern' });
    expect(again.json.coach).toMatchObject({ name: 'Sasquel', guestOf: null });
    expect((await instance.desk(cookieOf(again.headers))('GET', '/athletes')).json.athletes).toEqual([]);
    expect((await owner('GET', '/athletes')).json).toEqual(before);
  });
});
