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
});
