/** What a coach states in free words, and the window a reference athlete meets (common practice: about a seventh to either side, in round figures). */
import { describe, expect, test } from '@jest/globals';
import { formatWindow, parseWorkout, says, statementsIn, windowAround } from '../src/index';

describe('statements', () => {
  test.each([
    ['light and fast', { feel: 'light', unbroken: false, oneLoad: false }],
    ['Heavy, unbroken while fresh', { feel: 'heavy', unbroken: true }],
    ['light, not heavy', { feel: 'light' }],
    ['the same weight throughout', { oneLoad: true }],
    ['keep the pull, legs must stay', { mustStay: ['verticalPull', 'horizontalPull', 'squat', 'lunge', 'hinge', 'jump'], held: [] }],
    ['grip must hold, pace must hold', { mustStay: [], held: ['time', 'grip'] }],
    ['enlighten the crew', { feel: null }],
  ])('%s', (words, stated) => expect(statementsIn(words)).toMatchObject(stated));
  test.each([
    ['unbroken while fresh', 'unbroken', true],
    ['light and fast', 'heavy', false],
    ['pull must stay', 'pulling must stay', true],
    ['legs must stay', 'squatting must stay', false],
    ['grip must hold', 'time must hold', false],
    ['9-12 rounds', 'one load', false],
  ])('“%s” says “%s”: %s', (words, phrase, expected) => expect(says(words, phrase)).toBe(expected));
});

describe('a window around the reference', () => {
  test.each([
    ['AMRAP 12:00\n5 burpee', { unit: 'rounds', median: 10.4 }, '9-12 rounds'],
    ['AMRAP 12:00\n5 burpee', { unit: 'rounds', median: 3.1 }, '2.5-3.5 rounds'],
    ['AMRAP 12:00\n5 burpee', { unit: 'rounds', median: 0.6 }, null],
    ['for time, cap 15:00\n50 burpee', { unit: 'seconds', median: 493 }, '7:00-9:30'],
    ['for time, cap 15:00\n50 burpee', { unit: 'seconds', median: 150 }, '2:15-3:00'],
    ['3 sets, rest 1:00 between\n  10 burpee', { unit: 'seconds', median: 150 }, null],
    ['EMOM 10:00\n1: 5 burpee', { unit: 'reps', median: 50 }, null],
  ])('%j', (text, predicted, expected) => {
    const window = windowAround(parseWorkout(text).workout.parts[0]!, predicted);
    expect(window && formatWindow(window)).toBe(expected);
  });
  test('is read again as it is written', () => {
    const window = windowAround(parseWorkout('AMRAP 12:00\n5 burpee').workout.parts[0]!, { unit: 'rounds', median: 10.4 })!;
    expect(parseWorkout(`AMRAP 12:00\n5 burpee\nwindow: ${formatWindow(window)}`).workout.parts[0]!.window).toEqual(window);
  });
});
