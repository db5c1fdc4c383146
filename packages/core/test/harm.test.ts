/** What speaks of harm is placed, or holds versions back, however it is spelled and wherever it stands (words and shapes: common practice, from memory). */
import { describe, expect, test } from '@jest/globals';
import { avoidNames, readAthlete } from '../src/index';
import { harmShapes, spellingsOf } from './harm-shapes';

const read = (file: Record<string, unknown>) => readAthlete({ level: 'trained', ...file }, '2026-12-01');
const avoids = (file: Record<string, unknown>) => read(file).athlete.avoid;
const held = (file: Record<string, unknown>) => read(file).athlete.unanswered.map(({ path, text }) => `${path} ← ${text}`);

describe('a word of the avoid-list', () => {
  test.each(harmShapes)('%s', (_name, shape) => {
    const missed = avoidNames.flatMap((name) => spellingsOf(name).filter((word) => !avoids(shape(word)).includes(name)));
    expect(missed).toEqual([]);
  });
});

describe('what cannot be placed holds versions back', () => {
  test.each([
    [{ injuries: 'left knee, old' }, ['injuries ← injuries: left knee, old']],
    [{ pain: ['low back'] }, ['pain ← pain: low back']],
    [{ pregnant: true }, ['pregnant ← pregnant']],
    [{ Pregnancy: '20 weeks' }, ['Pregnancy ← Pregnancy: 20 weeks']],
    [{ health: { heart: 'valve' } }, ['health ← health: heart: valve']],
    [{ kneePain: 'yes' }, ['kneePain ← kneePain']],
    [{ blood_pressure: 'high' }, ['blood_pressure ← blood_pressure: high']],
    [{ notes2: { doctors_note: 'no lifting above 10 kg' } }, ['notes2.doctors_note ← doctors_note: no lifting above 10 kg']],
    [{ limits: { shoulder: 'bad' } }, ['limits.shoulder ← shoulder: bad']],
    [{ no_squats: true }, ['no_squats ← no_squats: true']],
    [{ avoid: true }, ['avoid ← yes']],
    [{ avoid: ['knees', 'running'] }, ['avoid ← knees']],
    [{ avoid: { running: 'since the operation' } }, ['avoid.running ← running: since the operation']],
    [{ unread: { columns: ['Injuries: hernia 2024', 'phone: 012'] } }, ['unread.columns.Injuries ← Injuries: hernia 2024']],
    [{ pregnant: '?' }, ['pregnant ← pregnant: ?']],
    [{ injurys: 'wrist' }, ['injurys ← injurys: wrist']],
  ])('%j', (file, expected) => {
    expect(held(file)).toEqual(expected);
    expect(read(file).problems.filter(({ level }) => level === 'error')).toHaveLength(expected.length);
  });
  test.each([
    { injuries: 'none' },
    { injuries: [] },
    { pregnant: 'no' },
    { pain: false },
    { limits: {} },
    { avoid: [] },
    { avoid: null },
    { avoid: 'none' },
    { avoid: ['none'] },
    { no_running: false },
    { notes: 'knees complain when it rains' },
    { prefer: { lunge: 'forward', note: 'reverse lunge bothers the low back' } },
    { maxes: { overhead_squat: '60 kg' } },
    { limits: { squat_depth: 'chair', reach: 'knees' } },
    { place: { name: 'no rack', kit: [] } },
  ])('%j says nothing of it', (file) => expect(held(file)).toEqual([]));
});

describe('an answer of the coach', () => {
  const answer = { text: 'left knee, old', by: 'coach', date: '2026-12-01', spares: ['deep_knee'] };
  test('settles it, and spares what it says', () => {
    const file = { injuries: 'left knee, old', read: [answer] };
    expect(held(file)).toEqual([]);
    expect(avoids(file)).toEqual(['deep_knee']);
  });
  test('may spare nothing', () => expect(held({ injuries: 'left knee, old', read: [{ ...answer, spares: [] }] })).toEqual([]));
  test.each([
    ['of other words', { ...answer, text: 'right knee' }],
    ['that nobody gave', { text: 'left knee, old', date: '2026-12-01' }],
    ['of no day', { text: 'left knee, old', by: 'coach' }],
  ])('%s settles nothing', (_name, other) => expect(held({ injuries: 'left knee, old', read: [other] })).toHaveLength(1));
  test('that spares what is no entry of the list is held itself', () =>
    expect(held({ read: [{ ...answer, spares: ['the moon'] }] })).toEqual(['read.1.spares ← the moon']));
});

describe('what is read besides', () => {
  test('limits under other names', () => {
    expect(read({ limits: { squat: 'chair' } }).athlete.limits.squatDepth).toBe('chair');
    expect(read({ Limits: { 'Squat depth': 'parallel' } }).athlete.limits.squatDepth).toBe('parallel');
  });
  test('a max of 0 is a movement that cannot be done; a skill is No, no, or false', () => {
    expect(read({ maxes: { clean: 0, 'back squat': '0 kg' } }).athlete.skills).toEqual({ clean: 'no', 'back-squat': 'no' });
    expect(read({ skills: { pistol: 'No', ring_muscle_up: false, toes_to_bar: true } }).athlete.skills).toEqual({
      pistol: 'no',
      'ring-muscle-up': 'no',
      'toes-to-bar': 'owned',
    });
  });
  test('a list where names and figures were expected is said', () =>
    expect(read({ maxes: ['back squat 90 kg'], best_sets: [12] }).problems.map(({ key }) => key)).toEqual(['maxes', 'best_sets']));
  test('a kit at the top is the place’s', () =>
    expect(read({ kit: ['kettlebell 16 kg'] }).athlete.places[0]!.kit.map(({ kind }) => kind)).toEqual(['kettlebell']));
  test('a key with a slip names the one that may be meant', () =>
    expect(read({ body_mas: '70 kg' }).problems.map(({ message }) => message)).toEqual([
      'unknown key “body_mas” (“body_mass”?); kept in the file and not read.',
    ]));
});
