import { describe, expect, test } from '@jest/globals';
import { parseWorkout, planClock, scoreFields } from '@gambito/core';
import {
  begunBetween,
  freshClock,
  promptsBetween,
  scoreOfClock,
  secondsOf,
  soundsBetween,
  startsOf,
  tapped,
  untapped,
  viewOf,
  wordsOf,
  type ClockState,
} from './clock-state';

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
    expect(soundsBetween(cues, started(), 56, 60)).toEqual(['count', 'count', 'count', 'work']);
    expect(soundsBetween(cues, started(), 60, 60.1)).toEqual([]);
  });
  test('says what begins, once, and what to do first', () => {
    const cues = cuesOf('EMOM 2:00\nminute 1: 5 thruster @ 40 kg\nminute 2: 30 single-under');
    expect(begunBetween(cues, started(), 59.9, 60)).toBe(cues[1]);
    expect(begunBetween(cues, started(), 60, 60.1)).toBeNull();
    expect(begunBetween(cues, started(), -0.1, 0)).toBe(cues[0]);
    expect(wordsOf(cues[0]!)).toMatch(/5 thruster at 40/);
    expect(wordsOf(cues.at(-1)!)).toBe('Time');
  });
  /** A clock of a text that was tapped at these seconds. */
  const tappedAt = (text: string, ...seconds: number[]) => {
    const cues = cuesOf(text);
    const state = seconds.reduce((before, at) => tapped(cues, before, 1_000_000 + at * 1000), started());
    return { cues, state, score: scoreOfClock(cues, state, scoreFields(parseWorkout(text).workout)) };
  };
  test.each([
    ['AMRAP 10:00\n5 burpee\n5 push-up', [50, 99], '2+0'],
    ['for time, cap 10:00\n50 burpee', [312], '5:12'],
    // the athlete adds the reps left
    ['for time, cap 10:00\n50 burpee', [], 'CAP+'],
    ['3 rounds\n  5 burpee', [], null],
    // one tap a rung; the last ends it
    ['for time, cap 9:00\n21-15-9\n  thruster @ 40 kg', [100, 180, 250], '4:10'],
    // each set's time is its own, without the rests
    ['3 sets, rest 1:00 between\n  2 rounds\n    5 burpee\nscore: each set', [50, 100, 210, 275, 400, 460], '1:40 1:55 2:05'],
    // a windows clock keeps the time of each window
    ['every 3:00 x 2\nwindow 1:\n  20 burpee\nwindow 2:\n  300 m row', [95, 260], '1:35 1:20'],
    // every part its own
    ['AMRAP 2:00\n5 burpee\n\nrest 1:00\n\nfor time, cap 5:00\n20 push-up', [30, 60, 240], '2+0 | 1:00'],
    ['max load in 7:00\n1 clean', [], null],
  ])('%j, tapped at %j, tells %j', (text, seconds, score) => expect(tappedAt(text, ...seconds).score).toBe(score));
  test('a second tap within half a second is the same one, and a tap can be taken back with the end it brought', () => {
    const { state } = tappedAt('for time, cap 9:00\n3 rounds\n  5 burpee', 60, 60.3, 120);
    expect(state.taps.map(({ at }) => at)).toEqual([60, 120]);
    const { cues, state: done } = tappedAt('for time, cap 9:00\n50 burpee', 60);
    expect(viewOf(cues, done, 1_061_000).over).toBe(true);
    expect(viewOf(cues, untapped(done), 1_061_000).over).toBe(false);
  });
  test('shows the rung that is due and the one after it', () => {
    const { cues, state } = tappedAt('for time, cap 9:00\n21-15-9\n  thruster @ 40 kg\n  pull-up', 100);
    const view = viewOf(cues, state, 1_101_000);
    expect(view.now).toEqual({ text: '15 (2 of 3)', lines: ['15 thruster @ 40 kg', '15 pull-up'] });
    expect(view.upcoming?.lines[0]).toBe('9 thruster @ 40 kg');
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
  test('a phone that slept through a piece shows where it is now', () => {
    const cues = cuesOf('EMOM 10:00\n5 burpee');
    expect(viewOf(cues, started(), 1_000_000 + 437_000)).toMatchObject({ index: 7, into: 17, left: 43 });
  });
});

describe('each beginning has its own sound, and what is said in between one more', () => {
  const { cues } = planClock(parseWorkout('AMRAP 2:00 x 2, rest 1:00 between\n10 burpee').workout);
  test.each([
    [119.9, 120.1, ['rest']],
    [179.9, 180.1, ['work']],
    [299.9, 300.1, ['end']],
    [118.9, 119.1, ['count']],
  ])('from %d to %d s: %j', (from, to, sounds) => expect(soundsBetween(cues, started(), from, to)).toEqual(sounds));
  test('a prompt shows from its second on, is heard and said once, and goes with its piece', () => {
    const prompted = cues.map((cue, at) =>
      at === 0
        ? {
            ...cue,
            prompts: [
              { atSeconds: 0, text: 'Attempt 1' },
              { atSeconds: 60, text: 'Attempt 2' },
            ],
          }
        : cue,
    );
    const at = (seconds: number) => viewOf(prompted, started(), 1_000_000 + seconds * 1000).prompt;
    expect([at(0), at(59.9), at(60), at(119), at(121), at(181)]).toEqual(['Attempt 1', 'Attempt 1', 'Attempt 2', 'Attempt 2', null, null]);
    expect(soundsBetween(prompted, started(), 59.9, 60)).toEqual(['prompt']);
    expect(promptsBetween(prompted, started(), 59.9, 60)).toEqual(['Attempt 2']);
    expect(promptsBetween(prompted, started(), 60, 61)).toEqual([]);
    // the first is told with the beginning
    expect(promptsBetween(prompted, started(), -0.1, 0.1)).toEqual([]);
    expect(wordsOf(prompted[0]!)).toMatch(/Attempt 1$/);
    // a page from before there were any
    const { prompts: _prompts, ...old } = prompted[0]!;
    expect(viewOf([old as (typeof cues)[number], ...prompted.slice(1)], started(), 1_090_000).prompt).toBeNull();
  });
});
