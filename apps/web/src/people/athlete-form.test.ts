import { describe, expect, test } from '@jest/globals';
import { readAthlete } from '@gambito/core';
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
    expect(readMovementLines('back squat 88 kg\nClean: 60 kg x 3')).toEqual({ values: { back_squat: '88 kg', clean: '60 kg x 3' }, unread: [], problems: [] });
    expect(readTimeLines('run 400 m 1:36\nrow 500 m: 2:04\nrun 5 km 26:10')).toEqual({
      values: { run_400_m: '1:36', row_500_m: '2:04', run_5_km: '26:10' },
      unread: [],
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
  test.each([
    { name: 'Hespin', category: 'women', level: 'newer', place: { name: 'hut' } },
    {
      name: 'Corvalume',
      category: 'men',
      level: 'trained',
      units: 'lb',
      body_mass: '181 lb',
      maxes: { back_squat: '225 lb x 3' },
      place: { ceiling: '2.1 m', kit: [] },
    },
    {
      name: 'Ylmarra',
      category: 'women',
      level: 'new',
      avoid: ['jumping', 'wrists'],
      time_available: '25 min',
      born: 1961,
      limits: { squat_depth: 'chair' },
      place: { kit: ['chair 45 cm'] },
    },
  ])('what is written by hand means the same after the form: $name', (file: Record<string, unknown>) => {
    const again = fileOf(formOf(file), file);
    expect(readAthlete(again, '2026-11-25').athlete).toEqual(readAthlete(file, '2026-11-25').athlete);
  });
  test('lines that nobody can read stay where they were typed, saved and read again', () => {
    const typed = { ...emptyForm, name: 'Tabrik', lifts: 'back squat 88 kg\nzibble lift 70 kg', bestSets: 'push-up many', times: 'quick\nrun 400 m 1:36' };
    const again = formOf(fileOf(typed, {}));
    expect(again).toMatchObject({ lifts: 'back squat: 88 kg\nzibble lift 70 kg', bestSets: 'push-up many', times: 'run 400 m: 1:36\nquick' });
    expect(Object.keys(readForm(again, {}, '2026-11-25').problems)).toEqual(['lifts', 'bestSets', 'times']);
    expect(fileOf({ ...again, lifts: 'back squat 88 kg', bestSets: '', times: '' }, fileOf(typed, {}))).not.toHaveProperty('unread');
  });
  test('places and keys the form does not show are kept, and a word that is not in the avoid-list is not passed over', () => {
    const file = {
      name: 'Tabrik',
      avoid: ['knees'],
      places: [
        { name: 'ferry', to_street: '20 s', kit: ['rope'] },
        { name: 'hut', kit: ['chair 45 cm'] },
      ],
    };
    const again = fileOf(formOf(file), file);
    expect(again).toMatchObject({
      avoid: ['knees'],
      places: [
        { name: 'ferry', to_street: '20 s', kit: ['rope'] },
        { name: 'hut', kit: ['chair 45 cm'] },
      ],
    });
    expect(readForm(formOf(file), file, '2026-11-25').problems['avoid']).toMatch(/deep_knee/);
  });
  test('of several places the first is shown, and what is emptied is gone', () => {
    const file = { name: 'Tabrik', notes: 'ferry', maxes: { clean: '60 kg' }, places: [{ name: 'ferry', kit: ['rope'] }] };
    const form = formOf(file);
    expect(form).toMatchObject({ placeName: 'ferry', kit: 'rope', lifts: 'clean: 60 kg' });
    const emptied = fileOf({ ...form, notes: ' ', lifts: '', kit: '\n \n' }, file);
    expect(emptied).not.toHaveProperty('notes');
    expect(emptied).toMatchObject({ maxes: {}, place: { name: 'ferry', kit: [] } });
  });
  test('each field that cannot be read says so beside itself, and the rest is taken', () => {
    const { athlete, problems } = readForm(
      {
        ...emptyForm,
        name: 'Tabrik',
        stature: 'tall',
        born: 'long ago',
        floor: 'wide',
        ceiling: 'low',
        times: 'quick',
        bestSets: 'push-up many',
        timeAvailable: 'plenty',
        kit: 'rope',
      },
      {},
      '2026-11-25',
    );
    for (const field of ['stature', 'born', 'floor', 'ceiling', 'times', 'bestSets', 'timeAvailable'])
      expect([field, problems[field]]).toEqual([field, expect.stringMatching(/expected/i)]);
    expect(problems).not.toHaveProperty('name');
    expect(athlete.places[0]!.kit.map((item) => item.kind)).toEqual(['rope']);
  });
});
