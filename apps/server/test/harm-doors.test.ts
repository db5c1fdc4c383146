/** Whatever door a word of harm comes in by, it changes the versions or holds them back: the interface, and an athlete’s own door. Tables and forms: apps/web/src/people/harm-doors.test.ts. */
import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { avoidNames } from '@gambito/core';
import { harmShapes, isHeeded, spellingsOf } from '../../../packages/core/test/harm-shapes';
import { addAthlete, addWorkout, openInstance, sendTo, type Desk, type Instance } from './instance';

let instance: Instance;
let desk: Desk;
beforeAll(async () => {
  instance = await openInstance('gambito_jest_harm');
  ({ desk } = await instance.newCoach('harbour@lanterns.example'));
});
afterAll(() => instance.close());

test('the interface: each shape, and the spellings in turn', async () => {
  const missed: string[] = [];
  for (const [at, [shape, made]] of harmShapes.entries())
    for (const name of [avoidNames[at % avoidNames.length]!, avoidNames[(at + 3) % avoidNames.length]!]) {
      const word = spellingsOf(name)[at % 4]!;
      const id = await addAthlete(desk, 'Hespe', made(word));
      if (!isHeeded((await desk('GET', `/athletes/${id}`)).json.file, name)) missed.push(`${shape}: ${word}`);
    }
  expect(missed).toEqual([]);
});

test('an athlete’s own door: forty words hold what was sent until the coach has answered', async () => {
  const athlete = await addAthlete(desk, 'Tabrik');
  const { token } = (await desk('PUT', `/athletes/${athlete}/door`)).json.door as { token: string };
  const link = await sendTo(desk, await addWorkout(desk), athlete);
  const missed: string[] = [];
  for (const word of avoidNames.flatMap(spellingsOf)) {
    instance.clock.now = new Date(instance.clock.now.getTime() + 3_600_000);
    await instance.stranger('POST', `/d/${token}/proposals`, { avoid: word });
    if ((await instance.stranger('GET', `/a/${link}`)).json.held !== true) missed.push(word);
    for (const { id } of (await desk('GET', '/proposals')).json.proposals as { id: number }[]) await desk('PUT', `/proposals/${id}`, { taken: false });
  }
  expect(missed).toEqual([]);
});
