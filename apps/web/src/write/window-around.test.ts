import { describe, expect, test } from '@jest/globals';
import { parseWorkout } from '@gambito/core';
import { windowAround } from './window-around';

const part = (text: string) => parseWorkout(text).workout.parts[0]!;
const of = (unit: string, median: number) => ({ unit, low: median * 0.8, median, high: median * 1.2 });

describe('a window around the reference', () => {
  test.each([
    ['AMRAP 12:00\n5 burpee', of('rounds', 10.4), '9-12 rounds'],
    ['AMRAP 12:00\n5 burpee', of('rounds', 3.1), '2.5-3.5 rounds'],
    ['for time, cap 15:00\n50 burpee', of('seconds', 493), '7:00-9:30'],
    ['for time, cap 15:00\n50 burpee', of('seconds', 150), '2:15-3:00'],
    ['3 sets, rest 1:00 between\n  10 burpee', of('seconds', 150), null],
    ['EMOM 10:00\n1: 5 burpee', of('reps', 50), null],
  ])('%j', (text, predicted, expected) => expect(windowAround(part(text), predicted, 1)).toBe(expected));
  test('of several parts none is told', () => expect(windowAround(part('AMRAP 12:00\n5 burpee'), of('rounds', 10), 2)).toBeNull());
});
