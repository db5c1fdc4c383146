/** Every figure has a range where it is read, all of them in one table: just outside it is said with what was expected, just inside it is taken. */
import { describe, expect, test } from '@jest/globals';
import { parseWorkout, readAthlete, readKit } from '../src/index';
import { ranges } from '../src/units/ranges';

type Row = readonly [range: keyof typeof ranges, taken: string, outside: string];

describe('of a person and a place', () => {
  const saidOf = (key: string, value: unknown): string[] =>
    readAthlete({ [key]: value }, '2026-12-02')
      .problems.filter(({ level }) => level !== 'info')
      .map(({ message }) => message);
  const file: readonly (readonly [keyof typeof ranges, string, (figure: string) => unknown, string, string])[] = [
    ['ageYears', 'age', String, '8', '7'],
    ['ageYears', 'age', String, '100', '101'],
    ['bodyMassKg', 'body_mass', String, '25 kg', '24.9 kg'],
    ['bodyMassKg', 'body_mass', String, '250 kg', '251 kg'],
    ['statureM', 'stature', String, '120 cm', '119 cm'],
    ['statureM', 'stature', String, '230 cm', '231 cm'],
    ['reachM', 'reach', String, '130 cm', '129 cm'],
    ['reachM', 'reach', String, '320 cm', '321 cm'],
    ['maxKg', 'maxes', (deadlift) => ({ deadlift }), '0.5 kg', '0.4 kg'],
    ['maxKg', 'maxes', (deadlift) => ({ deadlift }), '600 kg', '601 kg'],
    ['maxKg', 'maxes', (deadlift) => ({ deadlift }), '60 kg x 100', '60 kg x 101'],
    ['bestSet', 'best_sets', (reps) => ({ 'push-up': reps }), '5000', '5001'],
    ['effortSeconds', 'times', (time) => ({ run_400_m: time }), '0:05', '0:04'],
    ['timeAvailableSeconds', 'time_available', String, '360 min', '361 min'],
    ['floorM', 'place', (floor) => ({ floor }), '0.3 x 200 m', '0.2 x 200 m'],
    ['floorM', 'place', (floor) => ({ floor }), '0.3 x 200 m', '0.3 x 201 m'],
    ['ceilingM', 'place', (ceiling) => ({ ceiling }), '1.2 m', '1.1 m'],
    ['ceilingM', 'place', (ceiling) => ({ ceiling }), '30 m', '31 m'],
    ['toStreetSeconds', 'place', (way) => ({ to_street: way }), '30:00', '30:01'],
  ];
  test.each(file)('%s: %s', (range, key, made, taken, outside) => {
    expect(saidOf(key, made(taken))).toEqual([]);
    expect(saidOf(key, made(outside))).toEqual([expect.stringContaining(`expected`)]);
    expect(saidOf(key, made(outside))[0]).toContain(ranges[range].said);
  });
});

describe('of a kit', () => {
  const kit: readonly Row[] = [
    ['implementGrams', 'dumbbell 0.1 kg', 'dumbbell 0.09 kg'],
    ['implementGrams', 'sandbag 250 kg', 'sandbag 251 kg'],
    ['implements', 'dumbbell 5 kg x 40', 'dumbbell 5 kg x 41'],
    ['barGrams', 'barbell 1 kg, plates 2x5 kg', 'barbell 0.9 kg, plates 2x5 kg'],
    ['plateGrams', 'barbell 20 kg, plates 2x0.05 kg', 'barbell 20 kg, plates 2x0.04 kg'],
    ['plates', 'barbell 20 kg, plates 200x5 kg', 'barbell 20 kg, plates 202x5 kg'],
    ['furnitureCm', 'box 299 cm', 'box 300 cm'],
    ['routeM', 'run route 100 km', 'run route 101 km'],
  ];
  test.each(kit)('%s: %s', (range, taken, outside) => {
    expect(readKit([taken]).problems.filter(({ code }) => code !== 'assumed')).toEqual([]);
    expect(readKit([outside])).toMatchObject({ items: [], problems: [{ message: expect.stringContaining(`outside of ${ranges[range].said}`) }] });
  });
});

describe('of a workout', () => {
  const saidOf = (text: string): string[] => parseWorkout(text).diagnostics.flatMap(({ level, message }) => (level === 'info' ? [] : [message]));
  const workouts: readonly Row[] = [
    ['loadKg', 'AMRAP 9:00\n5 deadlift @ 1500 kg', 'AMRAP 9:00\n5 deadlift @ 1501 kg'],
    ['loadKg', 'AMRAP 9:00\n5 deadlift @ 0.1 kg', 'AMRAP 9:00\n5 deadlift @ 0 kg'],
    ['loadShare', '5 x 3 back squat @ 200 %', '5 x 3 back squat @ 201 %'],
    ['loadShare', '5 x 3 back squat @ 60-200 %', '5 x 3 back squat @ 60-201 %'],
    ['heightCm', 'AMRAP 9:00\n5 box jump @ 500 cm', 'AMRAP 9:00\n5 box jump @ 501 cm'],
    ['bodyShare', '5 x 3 back squat @ 10 BW', '5 x 3 back squat @ 11 BW'],
  ];
  test.each(workouts)('%s: %s', (range, taken, outside) => {
    expect(saidOf(taken)).toEqual([]);
    expect(saidOf(outside)).toEqual([expect.stringContaining(ranges[range].said)]);
  });
  test.each([
    ['for time, cap 20:00\n100001 burpee', /at most 100000/],
    ['301 rounds, cap 20:00\n5 burpee', /301 rounds/],
    ['every 1:00 x 301\n5 burpee', /301 intervals/],
    ['AMRAP 361:00\n5 burpee', /361 minutes are more than a session/],
    ['for time, cap 20:00\n5 rounds\n  400 m run\n  rest 6:00:01', /360 minutes are more than a session/],
    ['AMRAP 9:00\n5 burpee\n\nrest 6:01:00\n\nAMRAP 9:00\n5 burpee', /361 minutes are more than a session/],
  ])('%s is cut, and said', (text, sentence) => expect(saidOf(text).join()).toMatch(sentence));
});
