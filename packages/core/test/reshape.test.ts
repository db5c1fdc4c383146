/** A part changed as a whole: fewer minutes, no loads, a forgetful coach. */
import { describe, expect, test } from '@jest/globals';
import { adapt, type Athlete, type Part } from '../src/index';
import { healed } from '../src/adapt/asked/by-rule';
import { fitText, fitToTime } from '../src/adapt/asked/minutes';
import { roundTime } from '../src/adapt/slot/coach-numbers';
import { withKit, workout } from './asking';

const partsFitted = (text: string, seconds: number[], available: number | null) => {
  const whole = workout(text);
  const fitted = fitToTime(whole, seconds, available);
  return { ...fitted, said: fitText(whole, fitted, available) };
};

describe('the minutes there are', () => {
  test.each<[string, object, string]>([
    ['AMRAP 20:00\n10 burpee\nwindow: 10-14 rounds', { kind: 'amrap', seconds: { high: 840 }, window: { low: 7, high: 10 } }, '14 of 20 minutes'],
    ['EMOM 20:00\n1: 10 push-up\n2: 15 air squat', { kind: 'every', count: 14 }, '14 of 20 minutes'],
    ['every 2:30 x 8\n5 back squat, build', { kind: 'strength', sets: 5 }, '5 of 8 sets'],
    [
      'for time, cap 20:00\n10 rounds\n  10 push-up\nwindow: 12:00-18:00',
      { capSeconds: 840, window: { low: 510, high: 750 }, items: [{ rounds: { high: 7 } }] },
      '7 of 10 rounds',
    ],
    ['for time, cap 20:00\n30-20-10\npush-up\nair squat', { capSeconds: 900, items: [{ ladder: [21, 15, 9] }] }, '21-15-9 for 30-20-10'],
    ['5 sets, rest 1:00 between\n  3 rounds\n    10 push-up', { kind: 'forTime', sets: 3 }, '3 of 5 sets'],
  ])('%j at 70 %% of its 20 minutes', (text, expected, words) => {
    // six minutes of the twenty are the warm-up's
    const { workout: fitted, said } = partsFitted(text, [1200], 1200);
    expect(fitted.parts[0]).toMatchObject(expected);
    expect(said).toEqual(['20:00 available, warm-up counted', words]);
  });
  test('nothing is cut while there is time, and no part to less than half', () => {
    expect(partsFitted('AMRAP 20:00\n10 burpee', [1200], 3600)).toMatchObject({ said: [], from: [0] });
    expect(partsFitted('AMRAP 20:00\n10 burpee', [1200], null).said).toEqual([]);
    expect(partsFitted('AMRAP 20:00\n10 burpee', [1200], 420).workout.parts[0]).toMatchObject({ seconds: { high: 600 } });
  });
  test('then the last parts go, and a rest that leads nowhere with them; what is left keeps its own number', () => {
    const text = 'AMRAP 10:00\n10 burpee\n\nrest 2:00\n\nAMRAP 8:00\n10 air squat\n\nrest 2:00\n\nAMRAP 6:00\n10 sit-up';
    const { workout: fitted, from, said } = partsFitted(text, [600, 120, 480, 120, 360], 1000);
    expect(fitted.parts.map((part) => part.kind)).toEqual(['amrap']);
    expect(from).toEqual([0]);
    expect(said.filter((each) => each.startsWith('left out for time'))).toEqual(['left out for time: sit-up', 'left out for time: air squat']);
  });
  test('a version for thirty minutes predicts no more than thirty minutes, whatever the workout', () => {
    const athlete: Athlete = { ...withKit(['pull-up bar', 'run route 400 m']), timeAvailableSeconds: 1800 };
    for (const text of [
      'AMRAP 30:00\n400 m run\n10 pull-up',
      'for time, cap 60:00\n12 rounds\n  400 m run\n  15 push-up',
      'EMOM 40:00\n1: 10 push-up\n2: 15 air squat\n\nquality:\n3 rounds\n  10 hollow rock',
    ]) {
      const { run, warnings } = adapt(workout(text), athlete, { runs: 1 });
      expect([text, run.totalSeconds <= 1800]).toEqual([text, true]);
      expect(warnings.map((each) => each.code)).toContain('time_budget');
    }
  });
});

describe('without loads', () => {
  const bar = ['barbell 20 kg, plates 2x20 2x15 4x10 2x5 2x2.5 kg'];
  const partOf = (text: string, kit: string[]) => adapt(workout(text), withKit(kit), { runs: 1 }).version.parts[0]!;
  test('a max load becomes hard sets in the same minutes, scored as an estimated max; owners of a bar get the bar', () => {
    expect(partOf('max load in 10:00\n1 clean', bar)).toMatchObject({ kind: 'maxLoad', seconds: 600, slots: [{ movement: 'clean' }] });
    const hard = partOf('max load in 10:00\n1 front squat', ['kettlebell 16 kg x 2']);
    expect(hard).toMatchObject({ kind: 'strength', sets: 4, slots: [{ movement: 'kettlebell-front-squat', load: { kg: 16, count: 2 } }] });
    // as many as are hard, never hundreds
    expect(hard.slots[0]!.reps[0]).toBeGreaterThanOrEqual(8);
    expect(hard.slots[0]!.reps[0]).toBeLessThanOrEqual(20);
    // nothing at all: still hard sets, of the likest
    expect(partOf('max load in 7:00\n1 front squat', [])).toMatchObject({ kind: 'strength', slots: [{ load: null }] });
  });
  test('strength sets keep their sets and rest; what is light is done slowly, nearer to failure', () => {
    const light = partOf('every 3:00 x 5\n5 back squat @ 75%, tempo 31X1', ['dumbbell 20 kg', 'chair 45 cm']);
    expect(light).toMatchObject({ kind: 'strength', sets: 5, seconds: 900 });
    expect(light.slots[0]!.reps[0]).toBeGreaterThanOrEqual(6);
    expect(light.slots[0]!.load?.kg).toBe(20);
    expect(partOf('5x5 back squat @ 75%', [...bar, 'squat rack'])).toMatchObject({ kind: 'strength', sets: 5, slots: [{ movement: 'back-squat', reps: [5] }] });
  });
  test('a share of the max is of the load alone, as near as the bar can make it: 75 % of 140 is 105', () => {
    const lifter = withKit(['barbell 20 kg, plates 4x20 2x15 4x10 2x5 2x2.5 kg', 'squat rack'], { maxes: { back_squat: '140 kg' } });
    const { version } = adapt(workout('5x5 back squat @ 75%'), lifter, { runs: 1 });
    expect(version.parts[0]!.slots[0]).toMatchObject({ movement: 'back-squat', reps: [5], load: { kg: 105 }, reason: 'As written, 105 kg.' });
    const squat = adapt(workout('every 3:00 x 5\n6 front squat @ 65%, tempo 31X1'), lifter, { runs: 1 }).version.parts[0]!;
    expect(squat).toMatchObject({ kind: 'strength', sets: 5, slots: [{ movement: 'front-squat', reps: [6], style: { tempo: '31X1' } }] });
  });
});

describe('what a coach forgot', () => {
  const every = (change: object): Part => ({ ...workout('EMOM 12:00\n1: 10 push-up\n2: 15 air squat\n3: 10 sit-up').parts[0]!, ...change }) as Part;
  test('an EMOM ends with a whole round of its stations, at least one', () => {
    expect(healed(every({ count: 11 }))).toMatchObject({ count: 9 });
    expect(healed(every({ count: 2 }))).toMatchObject({ count: 3 });
    expect(healed(every({ count: 12 }))).toMatchObject({ count: 12 });
  });
  test('a cap inside the interval is no longer than it', () => {
    expect(healed(every({ capSeconds: 90 }))).toMatchObject({ capSeconds: 60 });
    expect(healed(every({ capSeconds: 45 }))).toMatchObject({ capSeconds: 45 });
  });
});

describe('figures a coach would write', () => {
  test.each([
    [62, 60],
    [173, 175],
    [180, 180],
    [200, 210],
    [1214, 1200],
    [1, 5],
  ])('%d s on a clock are %d s', (seconds, rounded) => expect(roundTime(seconds)).toBe(rounded));
});
