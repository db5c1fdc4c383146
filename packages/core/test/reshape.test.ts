/** A part changed as a whole: fewer minutes, no loads, a forgetful coach. */
import { describe, expect, test } from '@jest/globals';
import { adapt, fitToTime, parseWorkout, type Athlete, type Part } from '../src/index';
import { healed } from '../src/adapt/reshape';
import { roundFigures, roundTime, scaleLadder } from '../src/adapt/coach-numbers';
import { withKit, workout } from './asking';

const partsFitted = (text: string, seconds: number[], available: number | null) => fitToTime(workout(text), seconds, available);

describe('the minutes there are', () => {
  test.each([
    ['AMRAP 20:00\n10 burpee\nwindow: 10-14 rounds', { kind: 'amrap', seconds: { high: 840 }, window: { low: 7, high: 10 } }],
    ['EMOM 20:00\n1: 10 push-up\n2: 15 air squat', { kind: 'every', count: 14 }],
    ['every 2:30 x 8\n5 back squat, build', { kind: 'strength', sets: 5 }],
    [
      'for time, cap 20:00\n10 rounds\n  10 push-up\nwindow: 12:00-18:00',
      { capSeconds: 840, window: { low: 510, high: 750 }, items: [{ rounds: { high: 7 } }] },
    ],
    ['for time, cap 20:00\n30-20-10\npush-up\nair squat', { capSeconds: 840, items: [{ ladder: [18, 14, 10] }] }],
    ['5 sets, rest 1:00 between\n  3 rounds\n    10 push-up', { kind: 'forTime', sets: 3 }],
  ])('%j at 70 %% of its 20 minutes', (text, expected) => {
    // six minutes of the twenty are the warm-up's
    const { workout: fitted, said } = partsFitted(text, [1200], 1200);
    expect(fitted.parts[0]).toMatchObject(expected);
    expect(said).toEqual(['20:00 available, warm-up counted', expect.stringMatching(/shortened to 70 %$/)]);
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
  test('a max load becomes a rep test of the same minutes, strength sets become paced sets; with loads enough they stay', () => {
    const kinds = (text: string, kit: string[]): (readonly [string, number | null])[] =>
      adapt(workout(text), withKit(kit), { runs: 1 }).version.parts.map((part) => [part.kind, part.seconds] as const);
    const bar = ['barbell 20 kg, plates 2x20 2x15 4x10 2x5 2x2.5 kg'];
    expect(kinds('max load in 7:00\n1 clean', [])).toEqual([['amrap', 420]]);
    expect(kinds('max load in 7:00\n1 clean', bar)).toEqual([['maxLoad', 420]]);
    expect(kinds('every 2:30 x 5\n5 back squat, build', [])).toEqual([['every', 750]]);
    expect(kinds('every 2:30 x 5\n5 back squat, build', bar)).toEqual([['strength', 750]]);
  });
  test('the rep test is of whatever likest can be done, as many as there are, and its text reads', () => {
    const { version } = adapt(workout('max load in 7:00\n1 front squat'), withKit([]), { runs: 1 });
    expect(version.text).toMatch(/^AMRAP 7:00\nmax /m);
    expect(parseWorkout(version.text).diagnostics.filter((each) => each.level !== 'info')).toEqual([]);
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
    [13, 'reps', false, 14],
    [17, 'reps', false, 18],
    [33, 'reps', false, 35],
    [47, 'reps', false, 45],
    [15, 'reps', true, 16],
    [430, 'm', false, 450],
    [33, 's', false, 35],
    [97, 's', false, 100],
    [13.4, 'cal', false, 13],
  ] as const)('%d %s (even %s) is %d', (wanted, unit, even, figure) => expect(roundFigures(wanted, unit, { even })[0]).toBe(figure));
  test('the nearest by ratio comes first, and what the coach wrote is always among them', () => {
    const figures = roundFigures(22, 'reps', { even: false, most: 4, kept: 23 });
    expect(figures[0]).toBe(23);
    const ratios = figures.map((figure) => Math.abs(Math.log(figure / 22)));
    expect(ratios).toEqual([...ratios].sort((a, b) => a - b));
  });
  test.each([
    [62, 60],
    [173, 175],
    [180, 180],
    [200, 210],
    [1214, 1200],
    [1, 5],
  ])('%d s on a clock are %d s', (seconds, rounded) => expect(roundTime(seconds)).toBe(rounded));
  test('a ladder down and up keeps its shape', () => {
    const rungs = scaleLadder([30, 20, 10, 20, 30], 0.5, false);
    expect(rungs[0]).toBe(rungs[4]);
    expect(rungs[1]).toBe(rungs[3]);
    expect(rungs[2]!).toBeLessThan(rungs[1]!);
  });
});
