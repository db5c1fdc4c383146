/** Rounds, ladder, clock and cap of one person's version, set by the coach as one line; the rest re-balances. */
import { describe, expect, test } from '@jest/globals';
import { adapt, frameOf, inFrame, parseWorkout, readAthlete, type Lock } from '../src/index';

const partOf = (text: string) => parseWorkout(text).workout.parts[0]!;

describe('the frame of a part', () => {
  test.each([
    ['5 rounds for time, cap 12:00\n10 pull-up\n20 air squat', '5 rounds for time, cap 12:00'],
    ['21-15-9 for time\nthruster @ 40 kg\npull-up', '21-15-9 for time'],
    ['for time, cap 8:00\n50 burpee', 'for time, cap 8:00'],
    ['AMRAP 12:00\n8 pull-up\n12 push-up', 'AMRAP 12:00'],
    ['every 2:00 x 5\n8 push press @ 40 kg', 'every 2:00 x 5'],
  ])('of %j is one line, which reads back as it stands', (text, frame) => {
    expect(frameOf(partOf(text))).toBe(frame);
    const again = inFrame(partOf(text), frame, [])!;
    expect(frameOf(again)).toBe(frame);
    expect(again.kind).toBe(partOf(text).kind);
  });
  test.each([
    ['two blocks', 'for time\n3 rounds\n  10 burpee\n2 rounds\n  10 sit-up'],
    ['stations', 'every 1:00 x 6\n1: 10 burpee\n2: 10 sit-up'],
    ['a strength part', 'strength\n5 sets, rest 2:00 between\n5 back squat @ 75 %'],
  ])('of %s is more than a line', (_, text) => expect(frameOf(partOf(text))).toBeNull());
  test.each(['', 'dance', '10 burpee', '4 rounds for time\nwith a second line', 'strength'])('%j is none', (line) =>
    expect(inFrame(partOf('5 rounds for time\n10 pull-up\n20 air squat'), line, [])).toBeNull(),
  );
  test('keeps what is said of the part besides', () => {
    const part = partOf('5 rounds for time\n10 pull-up\nwindow: 8:00-11:00\nintent: steady\nnote: mind the step');
    expect(inFrame(part, '3 rounds for time, cap 9:00', [])).toMatchObject({ intent: 'steady', notes: part.notes, capSeconds: 540 });
  });
});

describe('the window of a part in another frame', () => {
  const windowIn = (text: string, frame: string) => inFrame(partOf(text), frame, [])?.window;
  test.each([
    ['less time of an AMRAP', 'AMRAP 14:00\n7 push-up\nwindow: 9-12 rounds', 'AMRAP 7:00', { low: 4.5, high: 6, unit: 'rounds' }],
    ['fewer rounds', '5 rounds for time\n10 pull-up\nwindow: 10:00-15:00', '3 rounds for time', { low: 360, high: 540, unit: 'seconds' }],
    ['a shorter ladder', '21-15-9 for time\npull-up\nwindow: 6:00-9:00', '15-10-5 for time', { low: 240, high: 360, unit: 'seconds' }],
    ['another cap alone', '5 rounds for time, cap 18:00\n10 pull-up\nwindow: 10:00-15:00', '5 rounds for time, cap 16:00', { low: 600, high: 900 }],
  ])('follows %s', (_, text, frame, window) => expect(windowIn(text, frame)).toMatchObject(window));
  test('says nothing where another thing is scored', () => expect(windowIn('5 rounds for time\n10 pull-up\nwindow: 10:00-15:00', 'AMRAP 8:00')).toBeNull());
  test('is met by the shorter version, which keeps its movements and loads', () => {
    const text = 'AMRAP 14:00\n7 goblet squat @ 16 kg\n9 push-up\nwindow: 12-16 rounds';
    const { athlete } = readAthlete(
      { category: 'men', level: 'trained', body_mass: '80 kg', place: { kit: ['kettlebell 16 kg', 'kettlebell 8 kg'] } },
      '2026-11-28',
    );
    const { workout } = parseWorkout(text);
    const half = adapt(workout, athlete, { locks: [{ part: 0, slot: 0, scheme: true, frame: 'AMRAP 7:00' }], runs: 20 });
    expect(half.version.text).toContain('7 goblet squat @ 16 kg');
    expect(half.version.text).toContain('9 push-up');
  });
});

describe('a frame the coach gave', () => {
  const text = '5 rounds for time, cap 15:00\n8 pull-up\n12 goblet squat @ 16 kg\n16 push-up';
  const workout = parseWorkout(text).workout;
  const person = (level: string, more = {}) =>
    readAthlete(
      {
        category: 'men',
        level,
        body_mass: '80 kg',
        best_sets: { strict_pull_up: 8, push_up: 30 },
        place: { kit: ['pull-up bar', 'kettlebell 16 kg'] },
        ...more,
      },
      '2026-11-28',
    ).athlete;
  const framed = (frame: string): Lock => ({ part: 0, slot: 0, scheme: true, frame });
  const versionFor = (locks: readonly Lock[], level = 'trained', more = {}) => adapt(workout, person(level, more), { locks, runs: 20 });
  test('is kept, and said as a change', () => {
    const { version } = versionFor([framed('3 rounds for time, cap 9:00')]);
    expect(version.text).toMatch(/for time, cap 9:00\n3 rounds/);
    expect(version.parts[0]!.edits.map((edit) => edit.text)).toEqual(expect.arrayContaining(['3 rounds for 5']));
  });
  test('is cut by nobody: neither for somebody new nor for the minutes', () => {
    expect(versionFor([], 'new').version.text).not.toMatch(/5 rounds/);
    expect(versionFor([framed('5 rounds for time, cap 20:00')], 'new').version.text).toMatch(/5 rounds/);
    const short = { time_available: '12 min' };
    expect(versionFor([framed('5 rounds for time, cap 20:00')], 'trained', short).version.text).toMatch(/5 rounds/);
  });
  test('stands beside a decision on a line', () => {
    const { version } = versionFor([framed('4 rounds for time'), { part: 0, slot: 2, movement: 'knee-push-up', reps: 10 }]);
    expect(version.text).toMatch(/4 rounds/);
    expect(version.text).toMatch(/10 knee push-up/);
  });
  test('may be another clock altogether', () => expect(versionFor([framed('AMRAP 10:00')]).version.text).toMatch(/^AMRAP 10:00/));
  test('that is none is told, and the version computed', () => {
    const { warnings, version } = versionFor([framed('a few rounds')]);
    expect(warnings.map(({ message }) => message).join(' ')).toContain('“a few rounds” is no frame');
    expect(version.text).toMatch(/5 rounds/);
  });
});
