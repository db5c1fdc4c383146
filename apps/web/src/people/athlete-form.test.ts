import { describe, expect, test } from '@jest/globals';
import { readAthlete } from '@gambito/core';
import { emptyForm, emptyPlace, fileOf, formOf, type AthleteForm } from './athlete-form';
import { readMovementLines, readPreferLines, readSkillLines, readTimeLines } from './movement-lines';
import { readForm } from './read-form';

const withPlace = (place: Partial<AthleteForm['places'][number]>): Pick<AthleteForm, 'places'> => ({ places: [{ ...emptyPlace, ...place }] });

describe('a place nobody told', () => {
  test('is no place after the form either: the person still gets what a text asks for', () => {
    const file = { name: 'Orvenna', category: 'women', level: 'trained', units: 'kg', maxes: {}, best_sets: {}, times: {}, avoid: [] };
    const again = fileOf({ ...formOf(file), notes: 'on the early ferry' }, file);
    expect(again).toMatchObject({ notes: 'on the early ferry' });
    expect(again).not.toHaveProperty('place');
    expect(readAthlete(again, '2026-12-02').athlete.places[0]!.name).toBe('not told');
  });
  test.each([{ kit: 'rope' }, { kit: 'nothing' }, { ceiling: '2.3 m' }, { floor: '2 x 2 m' }, { noise: 'quiet' }, { name: 'pier' }, { street: '20 s' }])(
    'is one as soon as anything of it is typed: %j',
    (typed) => expect(fileOf({ ...emptyForm, name: 'Orvenna', ...withPlace(typed) }, {})).toHaveProperty('place'),
  );
  test('that was told empty stays told, and “nothing” is a kit', () => {
    const file = { name: 'Orvenna', place: { name: 'home', noise: 'normal', kit: [] } };
    expect(fileOf(formOf(file), file)).toHaveProperty('place');
    const { athlete, problems } = readAthlete(fileOf({ ...emptyForm, name: 'Orvenna', ...withPlace({ kit: 'nothing' }) }, {}), '2026-12-02');
    expect([athlete.places[0]!.kit, problems]).toEqual([[], []]);
  });
});

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
  test('reads skills and preferences', () => {
    expect(readSkillLines('double under: half\nhandstand push-up owned')).toMatchObject({
      values: { double_under: 'half', handstand_push_up: 'owned' },
      unread: [],
    });
    expect(readPreferLines('push-up: raised on the table')).toMatchObject({ values: { push_up: 'raised on the table' }, unread: [] });
    expect(readPreferLines('raised').unread).toEqual(['raised']);
  });
  test('of several places each tells its own problems', () => {
    const form = { ...emptyForm, name: 'Lumerik', places: [emptyPlace, { ...emptyPlace, name: 'hotel', kit: 'unicorn' }] };
    expect(readForm(form, {}, '2026-11-25', 0).problems).not.toHaveProperty('kit');
    expect(readForm(form, {}, '2026-11-25', 1).problems['kit']).toMatch(/unicorn/);
  });
  test('says by field what was expected', () => {
    const { problems } = readForm({ ...emptyForm, lifts: 'strong', bodyMass: 'heavy', ...withPlace({ kit: 'unicorn' }) }, {}, '2026-11-25');
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
    expect(form).toMatchObject({ places: [{ name: 'ferry', kit: 'rope' }], lifts: 'clean: 60 kg' });
    const emptied = fileOf({ ...form, notes: ' ', lifts: '', places: [{ ...form.places[0]!, kit: '\n \n' }] }, file);
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
        times: 'quick',
        bestSets: 'push-up many',
        timeAvailable: 'plenty',
        reach: 'far',
        skills: 'double under maybe',
        prefer: 'whatever',
        ...withPlace({ floor: 'wide', ceiling: 'low', street: 'far', kit: 'rope' }),
      },
      {},
      '2026-11-25',
    );
    for (const field of ['stature', 'born', 'floor', 'ceiling', 'street', 'times', 'bestSets', 'timeAvailable', 'reach', 'skills', 'prefer'])
      expect([field, problems[field]]).toEqual([field, expect.stringMatching(/expected/i)]);
    expect(problems).not.toHaveProperty('name');
    expect(athlete.places[0]!.kit.map((item) => item.kind)).toEqual(['rope']);
  });
});
