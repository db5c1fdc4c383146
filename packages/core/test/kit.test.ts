import { describe, expect, test } from '@jest/globals';
import {
  barLoads,
  barPlan,
  changeSeconds,
  describeLoad,
  feasibleLoads,
  parseWorkout,
  planPlateChanges,
  readAthlete,
  readKit,
  seededRandom,
  stackChange,
} from '../src/index';
import { platesInHand } from '../src/kit/loads';
import { cases } from './cases';

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
  test('a plate of the bar can be held; one that is a kit line of its own is not listed twice', () => {
    const { items } = readKit(['barbell 20 kg, plates 2x10 2x5 kg', 'plate 5 kg']);
    expect(platesInHand(items).map(({ grams }) => grams)).toEqual([10_000]);
  });
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
  test('bar loads equal brute force on random kits (seed 5)', () => {
    const random = seededRandom(5);
    const sizes = [250, 500, 1250, 2500, 5000, 10000, 15000, 20000, 226, 11340];
    for (let kit = 0; kit < cases(100, 300); kit++) {
      const pairs = sizes
        .filter(() => random() < 0.4)
        .map((grams) => ({ grams, pairs: 1 + Math.floor(random() * 2) }))
        .slice(0, 6);
      const fast = barLoads(20000, pairs);
      expect(fast.map((load) => load.totalGrams)).toEqual(bruteForce(20000, pairs));
      expect(fast.filter((load) => 20000 + 2 * load.sideGrams.reduce((sum, grams) => sum + grams, 0) !== load.totalGrams)).toEqual([]);
    }
  });
  test('change plates down to half a pound a side count, in whole grams', () => {
    const { items } = readKit(['barbell 45 lb, plates 2x45 2x2.5 2x0.5 lb']);
    const totals = feasibleLoads(items).map((load) => load.grams);
    // NIST SP 811: 1 lb = 453.592 37 g; 45 lb = 20 412 g, 0.5 lb = 227 g
    expect(totals).toContain(20412 + 2 * 227);
    expect(totals).toContain(20412 + 2 * (20412 + 1134 + 227));
    expect(totals.every(Number.isInteger)).toBe(true);
  });
  test('two handles share their plates: equal to brute force on random sets (seed 8)', () => {
    const random = seededRandom(8);
    for (let kit = 0; kit < cases(40, 120); kit++) {
      const plates = [500, 1250, 2500, 5000].filter(() => random() < 0.7).map((grams) => ({ grams, pieces: 1 + Math.floor(random() * 8) }));
      const loads = feasibleLoads([{ kind: 'handles', handleGrams: 2000, count: 2, plates }]);
      for (const count of [1, 2] as const) {
        const pairs = plates.map(({ grams, pieces }) => ({ grams, pairs: Math.floor(pieces / (2 * count)) }));
        expect(loads.filter((load) => load.count === count).map((load) => load.grams)).toEqual(bruteForce(2000, pairs));
      }
    }
  });
  test.each([
    ['vest 9 kg', ['vest 9 kg']],
    ['band medium', ['band medium (about 15–30 kg)']],
    ['backpack up to 3 kg', ['backpack 1 kg', 'backpack 2 kg', 'backpack 3 kg']],
    ['water can 10 l x 2', ['water can 10 kg', '2 water cans 10 kg']],
    ['sandbag 30 kg', ['sandbag 30 kg']],
    [
      'dumbbell handle 2 kg x 2, plates 4x1.25 kg',
      ['dumbbell 2 kg', 'dumbbell 4.5 kg (1.25 a side)', 'dumbbell 7 kg (1.25 + 1.25 a side)', '2 dumbbells 2 kg', '2 dumbbells 4.5 kg (1.25 a side)'],
    ],
    ['barbell 15 kg, plates 2x10 kg, collars 0.5 kg', ['empty bar 15.5 kg', 'bar 35.5 kg (10 a side)']],
  ])('%j makes %j', (line, texts) => expect(feasibleLoads(readKit([line]).items).map(describeLoad)).toEqual(texts));
  test('refuses a mass that is no positive integer', () => expect(() => barLoads(0, [])).toThrow(RangeError));
});

describe('planPlateChanges', () => {
  const pairs = [
    { grams: 10000, pairs: 2 },
    { grams: 5000, pairs: 2 },
    { grams: 2500, pairs: 1 },
  ];
  test('takes plates off from the outside in', () => {
    expect(stackChange([15000, 5000, 2500], [15000, 10000])).toEqual({ off: [2500, 5000], on: [10000] });
    expect(stackChange([15000], [15000])).toEqual({ off: [], on: [] });
  });
  test('hangs 10 + 10 rather than change when the next load needs it', () => {
    // 40 kg with 10, or with 5 + 5: before 60 kg (10 + 10) the first saves two plates
    const steps = planPlateChanges(20000, pairs, [40000, 60000])!;
    expect(steps.map((step) => step.sideGrams)).toEqual([[10000], [10000, 10000]]);
    expect(steps[1]!.seconds).toBe(changeSeconds(1));
  });
  test('equals brute force over every way to make each load (seed 12)', () => {
    const random = seededRandom(12);
    const ways = (side: number): number[][] => {
      const found: number[][] = [];
      for (let a = 0; a <= 2; a++)
        for (let b = 0; b <= 2; b++)
          for (let c = 0; c <= 1; c++)
            if (a * 10000 + b * 5000 + c * 2500 === side) found.push([...Array(a).fill(10000), ...Array(b).fill(5000), ...Array(c).fill(2500)] as number[]);
      return found;
    };
    const cheapest = (from: readonly number[], totals: readonly number[]): number =>
      totals.length === 0
        ? 0
        : Math.min(
            ...ways((totals[0]! - 20000) / 2).map((side) => {
              const { off, on } = stackChange(from, side);
              return changeSeconds(off.length + on.length) + cheapest(side, totals.slice(1));
            }),
          );
    for (let time = 0; time < 60; time++) {
      const totals = Array.from({ length: 4 }, () => 20000 + 5000 * Math.floor(random() * 13)).filter((total) => ways((total - 20000) / 2).length > 0);
      const steps = planPlateChanges(20000, pairs, totals)!;
      expect(steps.reduce((sum, step) => sum + step.seconds, 0)).toBe(cheapest([], totals));
    }
  });
  test('says nothing of a load the kit cannot make', () => expect(planPlateChanges(20000, pairs, [41000])).toBeNull());
  test('a plan in sentences', () => {
    const place = {
      name: 'shed',
      floor: { lengthM: 5, widthM: 4 },
      ceilingM: 3,
      noise: 'free' as const,
      kit: readKit(['barbell 20 kg, plates 4x10 4x5 2x2.5 kg']).items,
    };
    const { workout } = parseWorkout('AMRAP 6:00\n5 power clean @ 60/40 kg\n\nrest 1:00\n\nAMRAP 6:00\n5 power clean @ 70/45 kg');
    expect(barPlan(workout, place, 'men', 'kg')).toEqual(['Bar: 60 kg, 10 kg + 10 kg a side', 'Bar to 70 kg: 5 kg on a side, about 11 s']);
  });
});

describe('readAthlete', () => {
  test('level and body mass alone are enough; what is missing is assumed', () => {
    const { athlete, problems } = readAthlete({ level: 'newer', body_mass: '70 kg' }, '2026-11-25');
    expect(problems).toEqual([]);
    expect(athlete).toMatchObject({ level: 'newer', bodyMassKg: 70, places: [{ name: 'not told', noise: 'normal', notTold: ['floor', 'ceiling'] }] });
    expect(athlete.assumed.join('; ')).toContain('place: nobody told where they train');
  });
  test('an unknown key or a wrong figure is a warning; only what somebody avoids is never passed over', () => {
    const { problems } = readAthlete({ shoe: 42, body_mass: 'heavy', avoid: ['mornings'], maxes: { back_squat: 'lots' } }, '2026-11-25');
    expect(problems.map((each) => each.level).sort()).toEqual(['error', 'warning', 'warning', 'warning']);
  });
  test.each([
    [{ born: 1988 }, 38, null],
    [{ born: '3 May 1988' }, 38, null],
    [{ age: 41 }, 41, null],
    [{ born: 'long ago' }, null, /“long ago” is no year; expected such as “1988”/],
    [{ age: 'old' }, null, /“old” is no age; expected such as “37”/],
    [{ born: 1820 }, null, /an age of 206; expected 8–100/],
    [{}, null, null],
  ])('the age of %j', (said, age, warning) => {
    const { athlete, problems } = readAthlete({ level: 'trained', category: 'women', ...said }, '2026-11-25');
    expect(athlete.ageYears).toBe(age);
    expect(problems.map((each) => each.message)).toEqual(warning ? [expect.stringMatching(warning)] : []);
  });
  test('minutes and units that cannot be read are said, not passed over', () => {
    const { athlete, problems } = readAthlete({ level: 'new', category: 'men', time_available: 'plenty', units: 'stone' }, '2026-11-25');
    expect(athlete).toMatchObject({ timeAvailableSeconds: null, units: 'kg' });
    expect(problems.map((each) => each.key).sort()).toEqual(['time_available', 'units']);
    expect(readAthlete({ level: 'new', category: 'men', time_available: 40 }, '2026-11-25')).toMatchObject({
      athlete: { timeAvailableSeconds: 2400 },
      problems: [],
    });
  });
  test('reads past results and the way to the street, and says what a wrong one should be', () => {
    const { athlete, problems } = readAthlete(
      {
        results: [
          { workout: 'AMRAP 10:00\n10 burpee', score: '8+3' },
          { workout: 'x', score: ' ' },
        ],
        place: { to_street: '20 s', kit: [] },
      },
      '2026-11-25',
    );
    expect(athlete.results).toEqual([{ workout: 'AMRAP 10:00\n10 burpee', score: '8+3' }]);
    expect(athlete.places[0]!.toStreetSeconds).toBe(20);
    expect(problems.map((each) => each.key)).toEqual(['results.2']);
  });
  test('reads lengths and masses in either system', () => {
    const { athlete } = readAthlete({ body_mass: '154 lb', stature: '5\'7"', maxes: { clean: '135 lb' } }, '2026-11-25');
    expect(athlete.bodyMassKg).toBeCloseTo(69.853, 3);
    expect(athlete.statureM).toBeCloseTo(1.7018, 4);
    expect(athlete.maxes['clean']!.kg).toBeCloseTo(61.235, 3);
  });
});

describe('lent equipment', () => {
  test('is there until it goes back, and asked about afterwards', () => {
    const line = 'kettlebell 16 kg, lent until 2026-12-24';
    expect(readKit([line], { today: '2026-12-01' })).toMatchObject({
      items: [{ kind: 'kettlebell', grams: 16000 }],
      problems: [],
      understood: [expect.stringMatching(/16 kg, lent until 2026-12-24$/)],
    });
    expect(readKit([line], { today: '2026-12-25' }).problems).toMatchObject([
      { code: 'overdue', message: '“kettlebell 16 kg” was lent until 2026-12-24: is it still there?' },
    ]);
    expect(readKit(['rings (borrowed until 2026-12-24)']).items).toEqual([expect.objectContaining({ kind: 'rings' })]);
    expect(readKit(['rope, lent until Christmas'])).toMatchObject({
      items: [{ kind: 'rope' }],
      problems: [{ code: 'unknown_item', text: 'lent until Christmas' }],
    });
  });
  test('a file says so with the day that is given', () =>
    expect(readAthlete({ name: 'Hespin', place: { kit: ['rope, lent until 2026-11-01'] } }, '2026-11-28').problems.map(({ message }) => message)).toContain(
      '“rope” was lent until 2026-11-01: is it still there?',
    ));
});

test('an athlete who is given a tier trains with its kit, level and minutes, and keeps what must be spared', () => {
  const { athlete } = readAthlete(
    { name: 'Paskelle', category: 'women', level: 'new', avoid: ['deep_knee'], tier: 'one dumbbell, trained, 30 min', place: { kit: ['rope'] } },
    '2026-11-28',
  );
  expect(athlete).toMatchObject({ name: 'Paskelle', level: 'trained', timeAvailableSeconds: 1800, avoid: ['deep_knee'] });
  expect(athlete.places[0]!.kit[0]).toMatchObject({ kind: 'dumbbell', grams: 12500 });
  expect(athlete.assumed.join()).toMatch(/tier “one dumbbell/);
});

describe('a tier in place of an athlete’s own', () => {
  const own = { name: 'Paskelle', category: 'women', level: 'competitive', time_available: '50 min', place: { kit: ['rope'] } };
  const read = (tier: string) => readAthlete({ ...own, tier }, '2026-11-28');
  test.each([
    ['one dumbbell', { level: 'competitive', timeAvailableSeconds: 3000 }, 'dumbbell'],
    ['newer, 20 min', { level: 'newer', timeAvailableSeconds: 1200 }, 'rope'],
    ['no kit', { level: 'competitive', timeAvailableSeconds: 3000 }, 'wall'],
  ])('%s: what it does not say stays', (tier, expected, kit) => {
    const { athlete, problems } = read(tier);
    expect(athlete).toMatchObject(expected);
    expect([athlete.places[0]!.kit[0]!.kind, problems]).toEqual([kit, []]);
  });
  test('words that say nothing of a tier are told, and change nothing', () => {
    const { athlete, problems } = read('two oars');
    expect(problems).toEqual([
      { level: 'warning', key: 'tier', message: '“two oars” says nothing of a tier; expected such as “one dumbbell, newer, 30 min”.' },
    ]);
    expect(athlete).toEqual(readAthlete(own, '2026-11-28').athlete);
    expect(read('one dumbbell, two oars').problems).toHaveLength(1);
  });
});
