import { describe, expect, test } from '@jest/globals';
import { emptyForm, fileOf, formOf, readForm, readMovementLines, readTimeLines } from './athlete-form';

describe('the athlete form', () => {
  test('a file survives the form and back, keys it does not show included', () => {
    const file = {
      name: 'Orvenna',
      category: 'women',
      level: 'trained',
      units: 'kg',
      body_mass: '63 kg',
      maxes: { back_squat: '88 kg' },
      best_sets: { strict_pull_up: '6' },
      times: { run_400_m: '1:36' },
      avoid: ['running'],
      limits: { squat_depth: 'chair' },
      place: { name: 'cabin', floor: '2 x 2 m', noise: 'quiet', kit: ['rope'] },
    };
    expect(fileOf(formOf(file), file)).toEqual(file);
  });
  test('reads lines a coach would type', () => {
    expect(readMovementLines('back squat 88 kg\nClean: 60 kg x 3')).toEqual({ values: { back_squat: '88 kg', clean: '60 kg x 3' }, problems: [] });
    expect(readTimeLines('run 400 m 1:36\nrow 500 m: 2:04\nrun 5 km 26:10')).toEqual({
      values: { run_400_m: '1:36', row_500_m: '2:04', run_5_km: '26:10' },
      problems: [],
    });
  });
  test('says by field what was expected', () => {
    const { problems } = readForm({ ...emptyForm, lifts: 'strong', kit: 'unicorn', bodyMass: 'heavy' }, {}, '2026-11-25');
    expect(problems['lifts']).toMatch(/back squat 88 kg/);
    expect(problems['kit']).toMatch(/unicorn/);
    expect(problems['bodyMass']).toMatch(/64 kg/);
    expect(problems['name']).toMatch(/name/);
  });
});
