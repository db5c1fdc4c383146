import { describe, expect, test } from '@jest/globals';
import { barLoads, feasibleLoads, readAthlete, readKit, seededRandom } from '../src/index';

describe('readKit', () => {
  const kinds = (text: string) => readKit([text]).items.map((item) => item.kind);
  test('reads a line with several items, fragments going on with the item before', () => {
    expect(kinds('table 75 cm, chair 45 cm x 2, stairs 18 cm, wall, couch to anchor')).toEqual(['table', 'chair', 'stairs', 'wall', 'couch', 'anchor']);
    expect(readKit(['run route 200 m, 800 m']).items).toEqual([{ kind: 'route', metres: [200, 800] }]);
    expect(readKit(['barbell 15 kg, plates 2x10 2x5 2x2.5 kg']).items).toEqual([
      {
        kind: 'barbell',
        barGrams: 15000,
        collarGrams: 0,
        plates: [
          { grams: 10000, pieces: 2 },
          { grams: 5000, pieces: 2 },
          { grams: 2500, pieces: 2 },
        ],
      },
    ]);
  });
  test.each([
    ['dumbbell 10 kg x 2', { kind: 'dumbbell', grams: 10000, count: 2 }],
    ['dumbbell 15 kg', { kind: 'dumbbell', grams: 15000, count: 1 }],
    ['kettlebell 35 lb', { kind: 'kettlebell', grams: 15876, count: 1 }],
    ['water can 10 l x 2', { kind: 'can', grams: 10000, count: 2 }],
    ['adjustable dumbbell 4-20 kg step 2 x 2', { kind: 'adjustable', fromGrams: 4000, toGrams: 20000, stepGrams: 2000, count: 2 }],
    ['backpack up to 18 kg', { kind: 'backpack', toGrams: 18000 }],
    ['pull-up bar', { kind: 'bar' }],
    ['air bike', { kind: 'airBike' }],
  ])('%j', (text, item) => expect(readKit([text]).items[0]).toEqual(item));
  test('says what it expected and keeps the rest', () => {
    const read = readKit(['kettlebell', 'unicorn', 'rope']);
    expect(read.items).toEqual([{ kind: 'rope' }]);
    expect(read.problems.map((each) => each.code)).toEqual(['no_mass', 'unknown_item']);
  });
});

describe('feasibleLoads', () => {
  test('an unpaired plate cannot go on a bar', () => {
    const { items, problems } = readKit(['barbell 20 kg, plates 2x10 1x5 kg']);
    expect(feasibleLoads(items).map((load) => load.grams)).toEqual([20000, 40000]);
    expect(problems[0]?.code).toBe('odd_plate');
  });
  test('plates count pieces: 2x20 is one pair', () =>
    expect(feasibleLoads(readKit(['barbell 20 kg, plates 2x20 kg']).items).map((load) => load.grams)).toEqual([20000, 60000]));
  test('two single dumbbells of one mass make a pair', () => {
    const loads = feasibleLoads(readKit(['dumbbell 15 kg', 'dumbbell 15 kg']).items);
    expect(loads.filter((load) => load.count === 2)).toHaveLength(1);
  });

  /** The slow way: every subset of single plates on one side. */
  function bruteForce(barGrams: number, pairs: readonly { grams: number; pairs: number }[]): number[] {
    const pieces = pairs.flatMap((each) => Array.from({ length: each.pairs }, () => each.grams));
    const totals = new Set<number>();
    for (let mask = 0; mask < 2 ** pieces.length; mask++)
      totals.add(barGrams + 2 * pieces.reduce((sum, grams, index) => sum + (mask & (1 << index) ? grams : 0), 0));
    return [...totals].sort((a, b) => a - b);
  }
  test('bar loads equal brute force on 300 random kits (seed 5)', () => {
    const random = seededRandom(5);
    const sizes = [250, 500, 1250, 2500, 5000, 10000, 15000, 20000, 226, 11340];
    for (let kit = 0; kit < 300; kit++) {
      const pairs = sizes
        .filter(() => random() < 0.4)
        .map((grams) => ({ grams, pairs: 1 + Math.floor(random() * 2) }))
        .slice(0, 6);
      const fast = barLoads(20000, pairs);
      expect(fast.map((load) => load.totalGrams)).toEqual(bruteForce(20000, pairs));
      for (const load of fast) expect(20000 + 2 * load.sideGrams.reduce((sum, grams) => sum + grams, 0)).toBe(load.totalGrams);
    }
  });
  test('refuses a mass that is no positive integer', () => expect(() => barLoads(0, [])).toThrow(RangeError));
});

describe('readAthlete', () => {
  test('level and body mass alone are enough; what is missing is assumed', () => {
    const { athlete, problems } = readAthlete({ level: 'newer', body_mass: '70 kg' }, '2026-11-25');
    expect(problems).toEqual([]);
    expect(athlete).toMatchObject({ level: 'newer', bodyMassKg: 70, places: [{ floor: { lengthM: 2, widthM: 2 }, ceilingM: 2.4, noise: 'normal', kit: [] }] });
    expect(athlete.assumed.length).toBeGreaterThan(0);
  });
  test('an unknown key or a wrong figure is a warning, never a refusal', () => {
    const { problems } = readAthlete({ shoe: 42, body_mass: 'heavy', avoid: ['mornings'], maxes: { back_squat: 'lots' } }, '2026-11-25');
    expect(problems.map((each) => each.level)).toEqual(['warning', 'warning', 'warning', 'warning']);
  });
  test('reads lengths and masses in either system', () => {
    const { athlete } = readAthlete({ body_mass: '154 lb', stature: '5\'7"', maxes: { clean: '135 lb' } }, '2026-11-25');
    expect(athlete.bodyMassKg).toBeCloseTo(69.853, 3);
    expect(athlete.statureM).toBeCloseTo(1.7018, 4);
    expect(athlete.maxes['clean']!.kg).toBeCloseTo(61.235, 3);
  });
});
