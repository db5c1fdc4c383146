/** The coach's own slips: each is said where it stands, with a line to put in its place; and what is put there is read without it. */
import { describe, expect, test } from '@jest/globals';
import { parseWorkout } from '../src/index';

const slipsOf = (text: string) => parseWorkout(text).diagnostics.filter(({ code }) => !['no_cap', 'cap_assumed_open'].includes(code));

/** The text with the fix in the place of what it is for. */
function mended(text: string): string {
  const [slip] = slipsOf(text);
  const lines = text.split('\n');
  const { line, column, length, fix } = slip!;
  const before = lines[line - 1]!;
  lines[line - 1] = `${before.slice(0, column - 1)}${fix}${before.slice(column - 1 + length)}`;
  return lines.join('\n');
}

describe('slips', () => {
  test.each([
    ['minutes_do_not_add_up', 'EMOM 16:00\n1: 10 burpee\n2: 10 push-up\n3: 10 sit-up', 'EMOM 15:00'],
    ['minutes_do_not_add_up', 'every 1:30 x 7\n1: 10 burpee\n2: 10 push-up', 'every 1:30 x 8'],
    ['minutes_do_not_add_up', 'EMOM 10 min\n1: 10 burpee\n2: 10 push-up\n3: 10 sit-up', 'EMOM 9 min'],
    ['cap_before_window', 'for time, cap 5:00\n50 burpee\nwindow: 6:00-8:00', 'for time, cap 8:00'],
    ['cap_over_interval', 'every 3:00 x 4, cap 3:30\n400 m run', 'every 3:00 x 4, cap 3:00'],
    ['holds_over_interval', 'EMOM 10:00\n1: 70 s plank', 'every 1:30 x 10'],
    ['holds_over_interval', 'every 1:00 x 6\n1: 40 s plank, 40 s wall sit', 'every 1:30 x 6'],
    ['windows_do_not_add_up', 'every 7:00 x 3, rest what is left\nwindow 1:\n  400 m run\nwindow 2:\n  20 burpee', 'every 7:00 x 2, rest what is left'],
    ['long_rest', 'for time, cap 10:00\n3 rounds, rest 90 min between\n10 burpee', '3 rounds, rest 1:30 between'],
    ['long_rest', '3 sets, rest 60 minutes between\n  10 burpee', '3 sets, rest 1:00 between'],
    ['long_rest', 'AMRAP 5:00\n5 burpee\n\nrest 45 min\n\nAMRAP 5:00\n5 burpee', 'rest 0:45'],
    ['ladders_disagree', 'for time, cap 9:00\n21-15-9: thruster @ 40 kg\n21-15: pull-up', '21-15-9: pull-up'],
    ['ladders_disagree', 'for time, cap 9:00\n21-15-9\nburpee\npush-up 18-12', 'push-up'],
    ['ladders_disagree', 'for time, cap 9:00\n21-15-9\n  burpee\n  18-12 push-up', 'push-up'],
  ])('%s in %j becomes “%s”', (code, text, fix) => {
    expect(slipsOf(text)).toMatchObject([{ code, level: 'warning', fix }]);
    expect(slipsOf(mended(text))).toEqual([]);
  });
  test.each([
    'EMOM 15:00\n1: 10 burpee\n2: 10 push-up\n3: 10 sit-up',
    'for time, cap 9:00\n21-15-9\nburpee\npush-up 18-12-6',
    '3 sets, rest 90 s between\n  10 burpee',
    'AMRAP 5:00\n5 burpee\n\nrest 10 min\n\nAMRAP 5:00\n5 burpee',
  ])('none in %j', (text) => expect(slipsOf(text)).toEqual([]));
});
