/** A week's balance and collisions (common practice: grip on grip, low back on low back, one pattern two days running). */
import { describe, expect, test } from '@jest/globals';
import { collisionsBetween, dayLoadOf, mainOf } from '../src/index';
import { workout } from './asking';

const load = (text: string) => dayLoadOf(workout(text));
const pulls = load('AMRAP 12:00\n8 pull-up\n9 toes-to-bar');
const lifts = load('strength\n5 x 5 deadlift @ 70%, rest 2:00');
const squats = load('for time, cap 15:00\n100 air squat');
const legs = load('EMOM 10:00\n1: 12 goblet squat @ 16 kg');
const run = load('for time, cap 30:00\n5 km run');

describe('a day of a week', () => {
  test('is what its seconds go into', () => {
    expect(mainOf(squats)).toBe('squat');
    expect(mainOf(run)).toBe('run');
    expect(run.seconds.run).toBeGreaterThan(1000);
    expect(Object.keys(run.seconds)).toEqual(['run']);
    expect(pulls.grip).toEqual(['pull-up', 'toes-to-bar']);
    expect(lifts.lowBack).toEqual(['deadlift']);
    expect(squats).toMatchObject({ grip: [], lowBack: [] });
  });
  test('a rest works nothing', () => expect(load('AMRAP 5:00\n5 push-up\n\nrest 20:00\n\nAMRAP 5:00\n5 push-up').seconds.horizontalPush).toBeLessThan(660));
});

describe('two days beside each other', () => {
  const kinds = (a: typeof pulls, b: typeof pulls): string[] => collisionsBetween(a, b).map(({ kind }) => kind);
  test.each([
    ['grip on grip', pulls, lifts, ['grip']],
    ['low back on low back', lifts, lifts, ['grip', 'lowBack', 'pattern']],
    ['one pattern twice', squats, legs, ['pattern']],
    ['nothing against each other', run, squats, []],
  ] as const)('%s', (_name, a, b, expected) => expect(kinds(a, b)).toEqual(expected));
  test('names both', () => expect(collisionsBetween(pulls, lifts)[0]!.names).toEqual(['pull-up', 'toes-to-bar', 'deadlift']));
});
