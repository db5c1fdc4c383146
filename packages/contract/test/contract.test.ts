/** What crosses a boundary: what is taken, what is refused and how it is said, and what was stored by an older version and must still open. */
import { describe, expect, test } from '@jest/globals';
import type { z } from 'zod';
import {
  archiveHeadSchema,
  archiveLineSchema,
  audienceSchema,
  briefSchema,
  changePasswordSchema,
  everybody,
  feltSchema,
  feltSentence,
  groupsOf,
  isForEverybody,
  isMeant,
  libraryFileSchema,
  lockSchema,
  newCoachSchema,
  portableWorkoutSchema,
  readPlain,
  rounded,
  signInSchema,
  tagsSchema,
  todayAskedSchema,
} from '../src';

const takes = (schema: z.ZodType, value: unknown): boolean => schema.safeParse(value).success;
const refusal = (schema: z.ZodType, value: unknown): string =>
  schema
    .safeParse(value)
    .error?.issues.map(({ message }) => message)
    .join('; ') ?? '';

describe('whom a workout is for', () => {
  test.each([
    ['a list', ['ferry crew', ' new '], ['ferry crew', 'new']],
    ['words between commas', 'ferry crew, new, ferry crew', ['ferry crew', 'new']],
    ['a list with something else in it', ['new', 4, null, ''], ['new']],
    ['nothing', undefined, []],
    ['a figure', 4, []],
  ])('groups of a file come from %s', (_, written, groups) => expect(groupsOf(written)).toEqual(groups));
  test('everybody is meant where nobody is named', () => {
    expect(isForEverybody(everybody)).toBe(true);
    expect(isMeant(everybody, { id: 3, groups: [] })).toBe(true);
  });
  test.each([
    ['by name', { groups: [], athletes: [3] }, true],
    ['by a group, whatever its letters', { groups: ['Ferry Crew'], athletes: [] }, true],
    ['by either of them', { groups: ['keepers'], athletes: [3] }, true],
    ['by neither', { groups: ['keepers'], athletes: [4] }, false],
  ])('somebody is meant %s', (_, audience, meant) => expect(isMeant(audience, { id: 3, groups: ['ferry crew'] })).toBe(meant));
  test('a group without a name and a person without a number are refused', () => {
    expect(takes(audienceSchema, { groups: [' '], athletes: [] })).toBe(false);
    expect(takes(audienceSchema, { groups: [], athletes: [0] })).toBe(false);
    expect(takes(audienceSchema, { groups: [], athletes: [4_294_967_296] })).toBe(false);
  });
  test('tags are few, short and not blank', () => {
    expect(tagsSchema.parse([' gale '])).toEqual(['gale']);
    expect(takes(tagsSchema, [' '])).toBe(false);
    expect(takes(tagsSchema, ['x'.repeat(41)])).toBe(false);
    expect(takes(tagsSchema, Array(21).fill('x'))).toBe(false);
  });
});

describe('what an athlete says', () => {
  test('of something that hurt, as one sentence', () => {
    expect(feltSentence({ where: 'low back', much: 3, movement: 'deadlift', note: 'Since the third round.' })).toBe(
      'low back in deadlift: had to stop. Since the third round.',
    );
    expect(feltSentence({ where: 'wrist', much: 1, movement: '', note: '' })).toBe('wrist: noticed it.');
  });
  test('needs a place, and one of three degrees', () => {
    expect(refusal(feltSchema, { where: ' ', much: 1 })).toMatch(/expected where/);
    expect(takes(feltSchema, { where: 'knee', much: 4 })).toBe(false);
    expect(feltSchema.parse({ where: ' knee ', much: 2 })).toEqual({ where: 'knee', much: 2, movement: '', note: '' });
  });
  test('of today: all of the first place where nothing is said, and only limits that are known', () => {
    expect(todayAskedSchema.parse({})).toEqual({ place: 0, kit: null, minutes: null, spare: [] });
    expect(takes(todayAskedSchema, { spare: ['deep_knee'] })).toBe(true);
    expect(takes(todayAskedSchema, { spare: ['moonlight'] })).toBe(false);
    expect(takes(todayAskedSchema, { minutes: 4 })).toBe(false);
  });
});

describe('a door', () => {
  const coach = { name: 'Maruvel', email: 'maruvel@lanterns.example', password: 'a long lantern' };
  test.each([
    ['no name', { name: '  ' }, /a name/],
    ['no address', { email: 'maruvel' }, /such as maruvel@/],
    ['a short password', { password: 'lantern' }, /10 characters/],
    ['an endless password', { password: 'x'.repeat(201) }, /200 characters/],
  ])('says of %s what was expected', (_, change, words) => expect(refusal(newCoachSchema, { ...coach, ...change })).toMatch(words));
  test('takes a password of an older, looser rule to sign in, and not as a new one', () => {
    expect(takes(signInSchema, { email: coach.email, password: 'short' })).toBe(true);
    expect(takes(changePasswordSchema, { before: 'short', after: 'short' })).toBe(false);
  });
});

describe('a decision of the coach', () => {
  test.each([
    ['a movement', { part: 0, slot: 1, movement: 'ring-row' }],
    ['a line by hand', { part: 0, slot: 1, line: '12 goblet squat' }],
    ['a whole version', { byHand: 'AMRAP 8:00\n5 pull-up' }],
    ['a word to the athlete', { note: 'mind the step' }],
  ])('is %s', (_, lock) => expect(lockSchema.parse(lock)).toEqual(lock));
  test.each([
    ['a slot before the first', { part: 0, slot: -1 }],
    ['no reps at all', { part: 0, slot: 0, reps: 0 }],
    ['a load nobody lifts', { part: 0, slot: 0, loadKg: 601 }],
    ['an endless line', { part: 0, slot: 0, line: 'x'.repeat(301) }],
    ['an endless text', { byHand: 'x'.repeat(20_001) }],
  ])('is never %s', (_, lock) => expect(takes(lockSchema, lock)).toBe(false));
});

describe('files of workouts and desks', () => {
  test('a workout without a day or tags is one', () =>
    expect(portableWorkoutSchema.parse({ text: 'AMRAP 5:00' })).toEqual({ text: 'AMRAP 5:00', day: null, tags: [] }));
  test('a library of another format is refused, not guessed at', () => {
    expect(takes(libraryFileSchema, { gambito: 'library', format: 1, workouts: [] })).toBe(true);
    expect(takes(libraryFileSchema, { gambito: 'library', format: 2, workouts: [] })).toBe(false);
    expect(refusal(libraryFileSchema, { gambito: 'library', format: 1, workouts: Array(501).fill({ text: 'rest' }) })).toMatch(/500 workouts/);
  });
  const coach = { name: 'Maruvel', timeZone: 'UTC', units: 'kg', firstDay: 1, rules: {} };
  test('a desk saved before there were tiers opens', () =>
    expect(archiveHeadSchema.parse({ gambito: 'desk', format: 1, at: '2026-11-25', coach }).coach.tiers).toEqual([]));
  test('each line of a desk is one thing', () => {
    expect(takes(archiveLineSchema, { end: true, lines: 4 })).toBe(true);
    expect(takes(archiveLineSchema, { athlete: { id: 1, file: { name: 'Orlindo', harbour: 'kept as it is' } } })).toBe(true);
    expect(takes(archiveLineSchema, { lighthouse: {} })).toBe(false);
    expect(takes(archiveLineSchema, { athlete: { id: -1, file: { name: 'Orlindo' } } })).toBe(false);
  });
  test('what else stands in an athlete file is kept', () => {
    const line = archiveLineSchema.parse({ athlete: { id: 1, file: { name: 'Orlindo', harbour: 'north' } } });
    expect(line).toMatchObject({ athlete: { file: { harbour: 'north' } } });
  });
});

test('a page sent before there were rows, grids, notes or a warm-up clock still opens', () => {
  const expected = { unit: 'seconds', low: 240, median: 280, high: 330 };
  const brief = briefSchema.parse({
    title: 'Squall',
    athlete: 'Orlindo',
    place: 'cabin',
    parts: [{ header: 'for time', lines: [] }],
    predicted: expected,
    window: null,
    warmUp: [],
    coolDown: [],
    pacing: [],
    standards: [{ movement: 'push-up', points: [], noReps: [] }],
    cautions: [],
    warnings: [],
    clock: { cues: [{ atSeconds: 0, kind: 'cap', text: 'go', part: 0, lengthSeconds: null, lines: [] }], totalSeconds: null },
  });
  expect(brief.parts[0]).toMatchObject({ name: null, rows: [], grid: [], notes: [], predicted: null });
  expect(brief.clock.cues[0]).toMatchObject({ ticks: [], repeats: false, ticksARound: 1 });
  expect(brief).toMatchObject({ note: null, units: 'kg', fields: [] });
});

test('figures cross with six decimals, whatever they hang in', () =>
  expect(rounded({ a: 1 / 3, list: [2 / 3, 'x', null], whole: 1e12 })).toEqual({ a: 0.333333, list: [0.666667, 'x', null], whole: 1e12 }));

describe('a plain file', () => {
  test.each([
    ['JSON', '{"name": "Orlindo", "place": {"kit": ["rope"]}}'],
    ['YAML', 'name: Orlindo\nplace:\n  kit: [rope]'],
  ])('is read as %s', (_, text) => expect(readPlain(text)).toEqual({ ok: true, value: { name: 'Orlindo', place: { kit: ['rope'] } } }));
  const problems = (text: string): string => {
    const read = readPlain(text);
    return read.ok ? '' : read.problems.join(' ');
  };
  test.each([
    ['that breaks off', '{"name": ', /./],
    ['that is endless', `note: ${'x'.repeat(500_001)}`, /expected at most 500000/],
    [
      'that unfolds to a huge one',
      [
        'a: &a [x]',
        ...Array.from(
          { length: 9 },
          (_, at) =>
            `b${at}: &b${at} [${Array(9)
              .fill(at ? `*b${at - 1}` : '*a')
              .join(', ')}]`,
        ),
      ].join('\n'),
      /cannot be unfolded/,
    ],
  ])('%s is refused with a sentence', (_, text, words) => expect(problems(text)).toMatch(words));
});
