/** What a version is against what its athlete did before: new movements, sudden volume; and the tier it is nearest to. */
import { describe, expect, test } from '@jest/globals';
import { adapt, nearestTier, tierAthlete, usualTiers, type Athlete } from '../src/index';
import { withKit, workout } from './asking';

const warned = (text: string, athlete: Athlete, code: string): string[] =>
  adapt(workout(text), athlete, { runs: 1 })
    .warnings.filter((each) => each.code === code)
    .map((each) => each.message);
const did = (...results: [string, string][]): Athlete =>
  withKit(['pull-up bar', 'rope'], {
    name: 'Ostrame',
    best_sets: { double_under: 150, strict_pull_up: 15 },
    results: results.map(([text, score]) => ({ workout: text, score })),
  });

describe('novelty', () => {
  const text = 'for time, cap 20:00\n5 rounds\n  20 double-under\n  10 air squat';
  test('a skill not met before is said, a plain movement is not', () => {
    const athlete = did(['for time, cap 10:00\n3 rounds\n  10 push-up', '2:40']);
    expect(warned(text, athlete, 'novelty')).toEqual(['New to Ostrame: double-under. Practise it before the clock runs.']);
  });
  test('once done it is new no more', () =>
    expect(warned(text, did(['for time, cap 10:00\n3 rounds\n  30 double-under\n  10 push-up', '4:10']), 'novelty')).toEqual([]));
  test('nothing is new to somebody nothing is known of', () =>
    expect(warned(text, withKit(['rope'], { best_sets: { double_under: 150 } }), 'novelty')).toEqual([]));
});

describe('volume', () => {
  const hundredAndFifty = 'for time, cap 30:00\n10 rounds\n  15 push-up\n  10 air squat';
  test('a jump over the most of any past workout is said with both figures', () => {
    const athlete = did(['for time, cap 10:00\n3 rounds\n  10 push-up\n  50 air squat', '4:00']);
    expect(warned(hundredAndFifty, athlete, 'volume_jump')).toEqual([
      expect.stringMatching(/^1\d\d reps of .*push.*, the most before was 30: expect soreness, or cut it\.$/),
    ]);
  });
  test('the rounds of a past AMRAP count: ten push-ups a round are no ten push-ups', () => {
    const athlete = did(['AMRAP 20:00\n10 push-up\n10 air squat', '14+0']);
    expect(warned(hundredAndFifty, athlete, 'volume_jump')).toEqual([]);
  });
  test('so do the rounds of the version', () => {
    const athlete = did(['for time, cap 10:00\n3 rounds\n  10 push-up\n  80 air squat', '6:00']);
    expect(warned('AMRAP 20:00\n10 push-up\n10 air squat', athlete, 'volume_jump')).toEqual([expect.stringMatching(/the most before was 30/)]);
  });
  test('few reps are no jump, whatever was done before', () =>
    expect(
      warned('for time, cap 10:00\n2 rounds\n  15 push-up\n  20 air squat', did(['for time, cap 10:00\n5 push-up\n30 air squat', '1:10']), 'volume_jump'),
    ).toEqual([]));
});

describe('tiers (C19, common practice: kit × ability × minutes)', () => {
  test.each([
    ['no kit, newer, 30 min', { level: 'newer', timeAvailableSeconds: 1800 }],
    ['bodyweight, beginner', { level: 'newer', timeAvailableSeconds: null }],
    ['little kit, new, 20 min', { level: 'new', timeAvailableSeconds: 1200 }],
    ['garage, very fit, 60 min', { level: 'competitive', timeAvailableSeconds: 3600 }],
    ['one dumbbell', { level: 'trained', timeAvailableSeconds: null }],
  ])('%s', (name, expected) => expect(tierAthlete(name, 'women').athlete).toMatchObject(expected));
  test('kit grows with its word, and one dumbbell is one', () => {
    const kinds = (name: string): number => tierAthlete(name, 'men').place.kit.length;
    const pieces = ['no kit', 'one dumbbell', 'little kit', 'full kit'].map(kinds);
    for (let at = 1; at < pieces.length; at++) expect(pieces[at]!).toBeGreaterThan(pieces[at - 1]!);
    expect(tierAthlete('one dumbbell', 'men').place.kit.find((item) => item.kind === 'dumbbell')).toMatchObject({ grams: 20000, count: 1 });
  });
  test.each(usualTiers)('the pseudo-athlete of “%s” is nearest to its own tier, at no distance', (name) => {
    const { athlete, place } = tierAthlete(name, 'men');
    expect(nearestTier([], athlete, place)).toEqual({ name, distance: 0 });
  });
  test('a text’s own tiers are asked before the usual ones, and level and minutes count', () => {
    const tiers = [{ name: 'no kit, newer, 15 min' }, { name: 'no kit, trained, 45 min' }];
    const { athlete, place } = tierAthlete('no kit, trained, 30 min', 'women');
    expect(nearestTier(tiers, athlete, place).name).toBe('no kit, trained, 45 min');
    expect(nearestTier(tiers, { ...athlete, level: 'new', timeAvailableSeconds: 900 }, place).name).toBe('no kit, newer, 15 min');
  });
});
