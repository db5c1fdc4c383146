/** Something hurt: what is spared, what stands instead, and whom to ask. Words → avoid-list: common practice, from memory. */
import { describe, expect, test } from '@jest/globals';
import { adapt, avoidNames, barePlace, defaultRules, movements, spareIn, sparedFor, whomToAsk, type Athlete, type Hurt } from '../src/index';
import { seedsTo } from './cases';
import { withKit, workout } from './asking';
import { randomAthlete, randomWorkout } from './people';

const hurt = (change: Partial<Hurt> = {}): Hurt => ({ where: 'low back', much: 2, movement: '', note: '', ...change });
const shed = (change: Record<string, unknown> = {}): Athlete => withKit(['barbell 20 kg', 'plates 4x20 4x10 2x5 kg', 'pull-up bar', 'box 50 cm'], change);
const asked = (athlete: Athlete, locks: Parameters<typeof spareIn>[3]['locks'] = []) =>
  ({ place: athlete.places[0] ?? barePlace, rules: defaultRules, locks, units: 'kg' }) as const;
const text = '# Low Water\nfor time, cap 15:00\n3 rounds\n  12 deadlift @ 80/55 kg\n  15 box jump @ 50 cm\n  10 pull-up';

describe('what is spared', () => {
  test.each([
    ['low back', '', ['spinal_loading']],
    ['left knee', '', ['deep_knee']],
    ['Shoulders', '', ['overhead']],
    ['right wrist', '', ['wrists']],
    ['elbow', '', ['hanging']],
    ['Achilles', '', ['high_impact']],
    ['hip', '', ['deep_knee']],
    ['hamstring', '', ['running']],
    ['neck', '', ['inverted']],
    ['knees and low back', '', ['deep_knee', 'spinal_loading']],
    // nothing stands for it
    ['ear', '', []],
    ['backpack strap', '', []],
    ['from the march', '', []],
    // which side of it is no place of its own
    ['back of the left knee', '', ['deep_knee']],
    ['Back of my thigh', '', ['running']],
    ['forefoot', '', ['high_impact']],
  ])('%s', (where, movement, tags) => expect(sparedFor({ where, movement })).toEqual(tags));
  test.each([
    ['knee', 'Box jump', ['high_impact']],
    ['knee', 'Run', ['high_impact']],
    ['shoulder', 'Pull-up', ['hanging']],
    ['wrist', 'Push-up', ['wrists']],
    // it is of none of them: the usual one
    ['shoulder', 'Deadlift', ['overhead']],
    ['shoulder', 'something of the coach’s own', ['overhead']],
  ])('%s in %s: what that movement does of it', (where, movement, tags) => expect(sparedFor({ where, movement })).toEqual(tags));
  test('each entry of the avoid-list can be proposed; jumping is of what is hard on the feet', () => {
    const wheres = ['knee', 'shoulder', 'back', 'wrist', 'hand', 'ankle', 'hip', 'hamstring', 'neck'];
    const proposed = new Set(wheres.flatMap((where) => ['', ...movements.map(({ name }) => name)].flatMap((movement) => sparedFor({ where, movement }))));
    expect([...proposed].sort()).toEqual(avoidNames.filter((tag) => tag !== 'jumping').sort());
  });
});

describe('what stands instead', () => {
  test('the lines that would be others, as the version would have them', () => {
    const { spare, swaps } = spareIn(workout(text), shed(), hurt(), asked(shed()));
    expect(spare).toEqual(['spinal_loading']);
    expect(swaps).toHaveLength(1);
    expect(swaps[0]!.was).toMatch(/^12 deadlift @ 80/);
    const athlete = shed({ avoid: ['spinal_loading'] });
    const version = adapt(workout(text), athlete, { place: athlete.places[0]!, rules: defaultRules, runs: 4 });
    expect(version.version.text).toContain(swaps[0]!.now);
  });
  test('what is on the list already is not proposed again', () =>
    expect(spareIn(workout(text), shed({ avoid: ['spinal_loading'] }), hurt(), asked(shed()))).toMatchObject({ spare: [], swaps: [] }));
  test('a decision of the coach stands, but where it is what hurts', () => {
    const locks = [
      { part: 0, slot: 0, movement: 'deadlift' },
      { part: 0, slot: 1, movement: 'box-step-up' },
    ];
    const { swaps } = spareIn(workout(text), shed(), hurt(), asked(shed(), locks));
    expect(swaps.map(({ was }) => was.replace(/ @.*/, ''))).toEqual(['12 deadlift']);
    const jumps = spareIn(workout(text), shed(), hurt({ where: 'ankle' }), asked(shed(), [{ part: 0, slot: 1, movement: 'box-jump' }]));
    expect(jumps.swaps.map(({ was }) => was.replace(/ @.*/, ''))).toEqual(['15 box jump']);
  });
  test('nothing that is to be spared is left in it (random people)', () => {
    for (const seed of seedsTo(16, 40)) {
      const athlete = randomAthlete(seed);
      const where = ['knee', 'shoulder', 'low back', 'wrist', 'ankle'][seed % 5]!;
      const { spare, swaps } = spareIn(workout(randomWorkout(seed)), athlete, hurt({ where }), asked(athlete));
      for (const tag of spare) expect(athlete.avoid).not.toContain(tag);
      if (spare.length === 0) expect(swaps).toEqual([]);
      for (const { was, now } of swaps) expect(was).not.toBe(now);
    }
  });
});

test('of several reports all that stands for them is spared', () => {
  const athlete = { ...randomAthlete(1), avoid: [] };
  const [knee, wrist] = ['knee', 'wrist'].map((where) => hurt({ where, movement: '' })) as [Hurt, Hurt];
  const spareOf = (told: Hurt) => spareIn(workout('AMRAP 9:00\n9 burpee'), athlete, told, asked(athlete)).spare;
  expect(spareOf({ ...knee, also: [wrist] })).toEqual([...spareOf(knee), ...spareOf(wrist)]);
  expect(spareOf(wrist)).not.toEqual([]);
});
test('beside what asks for a doctor now no advice for training stands', () =>
  expect(spareIn(workout('AMRAP 9:00\n9 box jump'), randomAthlete(1), hurt({ where: 'knee', note: 'went numb' }), asked(randomAthlete(1)))).toEqual({
    spare: [],
    swaps: [],
    ask: 'Ask them to stop training and to see a doctor now.',
    urgent: true,
  }));

describe('whom to ask', () => {
  test.each([
    [hurt({ much: 1 }), 'Ask how it is before the next session.'],
    [hurt({ much: 2 }), 'If it is there again, ask them to see a licensed professional.'],
    [hurt({ much: 3 }), 'Ask them to see a licensed professional before the next session.'],
    [hurt({ much: 1, note: 'went numb' }), 'Ask them to stop training and to see a doctor now.'],
    // words that only look like it
    [hurt({ much: 1, note: 'in round number 3, chest-to-bar, stable again' }), 'Ask how it is before the next session.'],
    [hurt({ much: 1, note: 'it popped' }), 'Ask them to stop training and to see a doctor now.'],
    ...['dark urine since yesterday', 'brown urine', 'suddenly', 'breathless at rest', 'nearly fainted'].map(
      (note) => [hurt({ much: 1, note }), 'Ask them to stop training and to see a doctor now.'] as const,
    ),
    [hurt({ much: 1, where: 'chest' }), 'Ask them to stop training and to see a doctor now.'],
  ])('%o', (told, sentence) => expect(whomToAsk(told)).toBe(sentence));
});
