/** Maxes and best sets with the day they are of: how it is written, and what an old one is still worth. */
import { describe, expect, test } from '@jest/globals';
import { datedFigure, yearsSince } from '../src/athlete/dated';
import { estimateCapacity, helpfulTests, readAthlete } from '../src/index';

const today = '2026-11-28';
const read = (file: object) => readAthlete({ category: 'men', level: 'trained', body_mass: '80 kg', ...file }, today);
const capacityOf = (file: object) => estimateCapacity(read(file).athlete);

describe('a figure with its day', () => {
  test.each([
    ['88 kg, 2026-09-14', '88 kg', { year: 2026, month: 9, day: 14 }],
    ['88 kg x 3 on 2026-09', '88 kg x 3', { year: 2026, month: 9, day: null }],
    ['24 (2025)', '24', { year: 2025, month: null, day: null }],
    ['6 in Sep 2026', '6', { year: 2026, month: 9, day: null }],
    ['1:30, 4 October 2025', '1:30', { year: 2025, month: 10, day: 4 }],
  ])('%s', (text, figure, on) => expect(datedFigure(text)).toEqual({ figure, on }));
  test.each(['88 kg', '2000', '64,5 kg', '80 kg x 5', '12, 2026-13', '12 of lately 2026', '12 on marble 2026'])('%s has none', (text) =>
    expect(datedFigure(text)).toEqual({ figure: text, on: null }),
  );
  test('is so many years old; this month and this year are now', () => {
    expect(yearsSince({ year: 2025, month: 11, day: 28 }, today)).toBeCloseTo(1, 2);
    expect(yearsSince({ year: 2024, month: null, day: null }, today)).toBeCloseTo(2.4, 1);
    expect(yearsSince({ year: 2026, month: 11, day: null }, today)).toBe(0);
    expect(yearsSince({ year: 2026, month: null, day: null }, today)).toBe(0);
    expect(yearsSince({ year: 2027, month: 1, day: 5 }, today)).toBeLessThan(0);
  });
  test('of a day to come is told, and stands; one that cannot be read is told as typed', () => {
    const { athlete, problems } = read({ maxes: { back_squat: '120 kg, 2027-03', deadlift: 'heavy, 2026' } });
    expect(athlete.maxes['back-squat']).toEqual({ kg: 120, reps: 1 });
    expect(problems.map(({ message }) => message)).toEqual([expect.stringContaining('2027-03 is yet to come'), expect.stringContaining('“heavy, 2026”')]);
  });
});

describe('what a measured figure is worth', () => {
  const squat = (text: string, more = {}) => capacityOf({ maxes: { back_squat: text, ...more } });
  test('of this season, or without a day: its word', () => {
    for (const text of ['120 kg', '120 kg, 2026-09', '120 kg, 2026']) {
      expect(squat(text).lifts.backSquat.value).toBe(120);
      expect(squat(text).ownMaxes['back-squat']).toBe(120);
    }
  });
  test('years old: less sure with every year, and weighed against what is newer', () => {
    const [one, four] = ['120 kg, 2025-11', '120 kg, 2022-11'].map((text) => squat(text).lifts.backSquat);
    expect(one!.spread).toBeGreaterThan(0.06);
    expect(four!.spread).toBeGreaterThan(one!.spread * 1.2);
    // a present deadlift and bench that are far below what goes with 160 kg of a squat
    const newer = { deadlift: '120 kg', bench_press: '75 kg' };
    const old = squat('160 kg, 2021-06', newer).lifts.backSquat.value;
    expect(old).toBeLessThan(145);
    expect(old).toBeGreaterThan(squat('100 kg, 2021-06', newer).lifts.backSquat.value);
  });
  test('is told with the figure that is used', () => {
    expect(squat('160 kg x 3, 2021-06').assumed.find((sentence) => sentence.includes('2021-06'))).toMatch(
      /^Back squat: 160 kg x 3 is of 2021-06; a max of \d+ kg is used$/,
    );
    expect(squat('160 kg, 2026-09').assumed.join()).not.toContain('2026-09');
  });
  test('of a best set likewise; none stays none', () => {
    const pulls = (text: string) => capacityOf({ best_sets: { strict_pull_up: text, push_up: '8' } });
    expect(pulls('20').sets.strictPullUp.value).toBe(20);
    expect(pulls('20, 2022').sets.strictPullUp.value).toBeLessThan(18);
    expect(pulls('20, 2022').ownBests['strict-pull-up']).toBeUndefined();
    expect(pulls('0, 2022').ownBests['strict-pull-up']).toBe(0);
  });
  test('that is old is proposed to be tested again', () => {
    const file = { maxes: { back_squat: '120 kg, 2023-01', deadlift: '150 kg', strict_press: '55 kg', bench_press: '90 kg', clean: '90 kg', snatch: '70 kg' } };
    const place = { kit: ['barbell 20 kg', 'plates 8x20 4x10 4x5 4x2.5 kg', 'rack'] };
    const asked = ['back-squat', 'front-squat', 'back-squat'];
    const testsOf = (maxes: object) => helpfulTests(read({ ...file, maxes, place }).athlete, asked).map(({ movement }) => movement);
    expect(testsOf(file.maxes)[0]).toBe('back-squat');
    expect(testsOf({ ...file.maxes, back_squat: '120 kg, 2026-10' })).not.toContain('back-squat');
  });
});
