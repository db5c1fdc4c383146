import { describe, expect, test } from '@jest/globals';
import { parseWorkout, planClock } from '@gambito/core';
import { beepsBetween, freshClock, scoreOfClock, secondsOf, startsOf, viewOf, type ClockState } from './clock-state';

const cuesOf = (text: string) => planClock(parseWorkout(text).workout).cues;
const started = (change: Partial<ClockState> = {}): ClockState => ({ ...freshClock, startedAt: 1_000_000, ...change });

describe('the clock as a value', () => {
  test('pauses stop it and a reload does not', () => {
    expect(secondsOf(started(), 1_030_000)).toBe(30);
    expect(secondsOf(started({ pausedAt: 1_020_000 }), 1_090_000)).toBe(20);
    expect(secondsOf(started({ pausedMs: 15_000 }), 1_030_000)).toBe(15);
    expect(secondsOf(started(), 995_000)).toBe(-5);
  });
  test('EMOM minutes follow one another', () => {
    const cues = cuesOf('EMOM 3:00\n5 burpee');
    expect(viewOf(cues, started(), 1_065_000)).toMatchObject({ index: 1, into: 5, left: 55, over: false });
    expect(viewOf(cues, started(), 1_181_000).over).toBe(true);
  });
  test('an open piece goes on until the athlete ends it; then the rest begins', () => {
    const cues = cuesOf('3 sets, rest 1:00 between\n  2 rounds\n    5 burpee');
    expect(viewOf(cues, started(), 1_500_000)).toMatchObject({ index: 0, left: null });
    const ended = started({ ended: { 0: 200 } });
    expect(startsOf(cues, ended.ended).slice(0, 3)).toEqual([0, 200, 260]);
    expect(viewOf(cues, ended, 1_210_000)).toMatchObject({ index: 1, left: 50 });
  });
  test('beeps three, two, one, go; none twice', () => {
    const cues = cuesOf('EMOM 2:00\n5 burpee');
    expect(beepsBetween(cues, started(), 56, 60)).toEqual(['short', 'short', 'short', 'long']);
    expect(beepsBetween(cues, started(), 60, 60.1)).toEqual([]);
  });
  test('tells the score it can', () => {
    expect(
      scoreOfClock(
        cuesOf('AMRAP 10:00\n5 burpee\n5 push-up'),
        started({
          taps: [
            { at: 50, part: 0 },
            { at: 99, part: 0 },
          ],
        }),
        'rounds',
      ),
    ).toBe('2+0');
    expect(scoreOfClock(cuesOf('for time, cap 10:00\n50 burpee'), started({ ended: { 0: 312 } }), 'time')).toBe('5:12');
    // the athlete adds the reps left
    expect(scoreOfClock(cuesOf('for time, cap 10:00\n50 burpee'), started(), 'time')).toBe('CAP+');
    expect(scoreOfClock(cuesOf('3 rounds\n  5 burpee'), started(), 'time')).toBeNull();
  });
  test('a piece with a cap ends early when the athlete is done, or with its cap', () => {
    const cues = cuesOf('for time, cap 10:00\n50 burpee\n\nrest 2:00\n\nAMRAP 5:00\n10 push-up');
    expect(startsOf(cues, {})).toEqual([0, 600, 720, 1020]);
    expect(startsOf(cues, { 0: 312 })).toEqual([0, 312, 432, 732]);
    expect(viewOf(cues, started({ ended: { 0: 312 } }), 1_330_000)).toMatchObject({ index: 1, next: { kind: 'work' } });
  });
  test('an end that was tapped twice, or out of turn, moves nothing backwards', () => {
    const cues = cuesOf('3 sets, rest 1:00 between\n  2 rounds\n    5 burpee');
    const starts = startsOf(cues, { 0: 200, 2: 100 });
    for (let at = 1; at < starts.length; at++) expect(starts[at]!).toBeGreaterThanOrEqual(starts[at - 1]!);
  });
  test('each set’s time is its own, without the rests', () => {
    const cues = cuesOf('3 sets, rest 1:00 between\n  2 rounds\n    5 burpee\nscore: each set');
    expect(scoreOfClock(cues, started({ ended: { 0: 100, 2: 275, 4: 460 } }), 'eachSet')).toBe('1:40 1:55 2:05');
    expect(scoreOfClock(cues, started(), 'eachSet')).toBeNull();
  });
  test('a score the clock cannot know is left to the athlete', () => expect(scoreOfClock(cuesOf('max load in 7:00\n1 clean'), started(), 'load')).toBeNull());
  test('a phone that slept through a piece shows where it is now', () => {
    const cues = cuesOf('EMOM 10:00\n5 burpee');
    expect(viewOf(cues, started(), 1_000_000 + 437_000)).toMatchObject({ index: 7, into: 17, left: 43 });
  });
});
