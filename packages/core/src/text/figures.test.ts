/** Figures as they stand in a text: hours count, and a range is one whichever end stands first. */
import { describe, expect, test } from '@jest/globals';
import { parseWorkout } from '../notation/parse-workout';

const summaryOf = (text: string) => parseWorkout(text).summary;

describe('an hour', () => {
  test.each(['AMRAP 1 hour\n10 burpee', 'AMRAP 1 h\n10 burpee', 'AMRAP 60 min\n10 burpee'])('%j', (text) => expect(summaryOf(text).clockSeconds).toBe(3600));
});
describe('a range', () => {
  test.each([
    ['3 sets, rest 2:00-3:00 between\n5 back squat', { low: 120, high: 180 }],
    ['3 sets, rest 3:00-2:00 between\n5 back squat', { low: 120, high: 180 }],
  ])('of rest: %j', (text, rest) => expect(parseWorkout(text).workout.parts[0]).toMatchObject({ restBetween: rest }));
  test.each(['7-10', '10-7', '7 to 10', '10 – 7'])('of reps and of rounds: %s', (span) => {
    const [part] = parseWorkout(`AMRAP 12:00\n8 burpee\nintent: ${span} rounds`).workout.parts;
    expect(part!.window).toMatchObject({ low: 7, high: 10 });
  });
  test.each(['3-5 rounds', '5-3 rounds'])('of rounds before the work: %s', (rounds) => {
    expect(parseWorkout(`${rounds} for time, cap 20:00\n10 burpee`).workout).toEqual(parseWorkout('3-5 rounds for time, cap 20:00\n10 burpee').workout);
  });
});
