import { describe, expect, test } from '@jest/globals';
import { tidyFile } from './file-keys';
import { readAthlete } from './read-athlete';

const read = (file: Record<string, unknown>) => readAthlete(file, '2026-12-01');
const said = (file: Record<string, unknown>) => read(file).problems.map(({ level, key, message }) => `${level} ${key}: ${message}`);

describe('keys of an athlete file, as people call them', () => {
  test.each([
    ['Best Sets', { push_up: 30 }, (file: object) => read(file as Record<string, unknown>).athlete.bestSets],
    ['weight', '64 kg', (file: object) => read(file as Record<string, unknown>).athlete.bodyMassKg],
    ['Height', '1.72 m', (file: object) => read(file as Record<string, unknown>).athlete.statureM],
    ['sex', 'female', (file: object) => read(file as Record<string, unknown>).athlete.category],
    ['1RM', { 'Back Squat': '90 kg' }, (file: object) => read(file as Record<string, unknown>).athlete.maxes],
    ['Equipment', ['dumbbell 10 kg x 2'], (file: object) => read(file as Record<string, unknown>).athlete.places],
  ])('%s', (key, value, of) => {
    expect(of({ [key]: value })).not.toEqual(of({}));
    expect(said({ [key]: value })).toContainEqual(expect.stringMatching(new RegExp(`^info ${key}: read as “`)));
  });
  test('the key that stands as it should goes first, and the other one is told', () => {
    const file = { weight: '50 kg', body_mass: '64 kg' };
    expect(read(file).athlete.bodyMassKg).toBe(64);
    expect(said(file)).toContainEqual(expect.stringMatching(/^warning weight: “body_mass” stands in the file too/));
  });
  test('one that nobody knows is told with the nearest, and kept', () => {
    expect(said({ maxs: { deadlift: '90 kg' } })).toContainEqual(expect.stringMatching(/unknown key “maxs” \(“maxes”\?\)/));
    expect(tidyFile({ phone: '012', 'Best Sets': { push_up: 3 }, Sex: 'F', avoids: 'running' })).toEqual({
      phone: '012',
      best_sets: { push_up: 3 },
      category: 'women',
      avoids: 'running',
    });
  });
  test.each([
    ['run_400_m', 'run', 400],
    ['2 km row', 'row', 2000],
    ['5k run', 'run', 5000],
    ['Row 500m', 'row', 500],
    ['1 mile run', 'run', 1609.344],
    ['bike_1.5_km', 'bike', 1500],
  ])('a time under “%s”', (key, engine, metres) => expect(read({ times: { [key]: '8:10' } }).athlete.times).toEqual([{ engine, metres, seconds: 490 }]));
  test.each(['run', 'run 400', '400 run', 'swim 400 m', 'run m 400'])('“%s” is no distance of a machine or a run', (key) => {
    expect(read({ times: { [key]: '8:10' } }).athlete.times).toEqual([]);
    expect(said({ times: { [key]: '8:10' } })).toContainEqual(expect.stringMatching(/expected run, row or bike with a distance/));
  });
});
