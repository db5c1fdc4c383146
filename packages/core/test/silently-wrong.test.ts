/** What was once read into something else without a word: each keeps its meaning, or says what it could not read. */
import { describe, expect, test } from '@jest/globals';
import { formatWorkout, parseWorkout, readKit } from '../src/index';
import { readWorkoutText } from '../src/message/read-any';

const meant = (text: string): string => formatWorkout(readWorkoutText(text).workout).trim().replace(/\n\s*/g, ' / ');
const said = (text: string): string =>
  readWorkoutText(text)
    .diagnostics.flatMap(({ level, message }) => (level === 'info' ? [] : [message]))
    .join(' ');

describe('a workout', () => {
  test.each([
    ['AMRAP 9:00\n15 dumbbell push press @ 2x15/2x10 kg', 'AMRAP 9:00 / 15 dumbbell push press @ 2x15/10 kg'],
    ['for time, cap 9:00\n20 box jump 24"/20"', 'for time, cap 9:00 / 20 box jump @ 24/20 in'],
    ['for time, cap 9:00\n20 box jump 60 cm/50 cm', 'for time, cap 9:00 / 20 box jump @ 60/50 cm'],
    ['AMRAP 9:00\n10 one and a quarter air squats', 'AMRAP 9:00 / 10 one and a quarter air squats'],
    ['AMRAP 9:00\n10 single-dumbbell hang clean and jerk @ 22.5 kg', 'AMRAP 9:00 / 10 single dumbbell hang clean and jerk @ 22.5 kg'],
    ['AMRAP 20:00\n2k row @ 80%', 'AMRAP 20:00 / 2 km row @ 80%'],
    ['5 sets, rest 2:00 between\n2+2+2 back squat @ 80%', 'strength / 5 sets, rest 2:00 between / 6 back squat @ 80%'],
    ['5 rounds\n400 m run\nrest 2 minutes between rounds', '5 rounds, rest 2:00 between / 400 m run'],
    ['3 sets, rest 2:00\nfor time, cap 9:00\n10 burpee\n20 air squat', 'for time, cap 9:00 / 3 sets, rest 2:00 between / 10 burpee / 20 air squat'],
    ['run 1 mile, cap 12:00', 'for time, cap 12:00 / 1 mile run'],
  ])('%j is %j', (text, expected) => expect(meant(text)).toBe(expected));
  test('metres and calories of a row are the machine’s, whatever effort is told', () => {
    const [part] = parseWorkout('AMRAP 20:00\n2 km row @ 80%\n20 cal row').workout.parts;
    expect(JSON.stringify(part).match(/"movement":"row"/g)).toHaveLength(2);
  });
  test.each([
    ['5 x 3 back squat @ 70% of clean', /70% of clean/],
    ['AMRAP 9:00\n10 burpee\nrow 4 laps', /4 laps/],
  ])('%j says what it could not place', (text, sentence) => expect(said(text)).toMatch(sentence));
  test('laps of a length nobody told are no metres', () =>
    expect(formatWorkout(parseWorkout('AMRAP 9:00\nrow 4 laps\n10 burpee').workout).trim()).toBe('AMRAP 9:00\nmax distance row "4 laps"\n10 burpee'));
  test('a share of another lift is no share of this one', () => {
    expect(JSON.stringify(readWorkoutText('5 x 3 back squat @ 70% of clean').workout)).not.toContain('0.7');
    expect(JSON.stringify(parseWorkout('5 x 3 back squat @ 70% of 1RM').workout)).toContain('0.7');
  });
  test('a unit that is taken for granted is said', () =>
    expect(parseWorkout('AMRAP 9:00\n55 shuttle run').diagnostics.map(({ message }) => message)).toEqual(['“55 shuttle run” is read as 55 m.']));
});

describe('what is shorter than its interval is work in it', () => {
  const chipper = 'for time, cap 20:00\n80 air squat';
  test.each([
    [`${chipper}\nevery 2:00: 20 s plank`, `${chipper}\nevery 2:00: 20 s plank`],
    [`${chipper}\nevery 2:00, 20 s plank`, `${chipper}\nevery 2:00: 20 s plank`],
    ['every 2:00, 20 s plank\n10 push-up', 'every 2:00 x 10\n20 s plank\n10 push-up'],
    // that it is in all was said
    ['every 2:00 for 1:00\n5 push-up', 'every 2:00 x 1\n5 push-up'],
    ['every 2:00, 12:00\n5 push-up', 'every 2:00 x 6\n5 push-up'],
  ])('%j', (text, plain) => expect(formatWorkout(parseWorkout(text).workout).trim()).toBe(plain));
});

describe('a comma in a bracket', () => {
  test.each([
    ['2 x (1 lunge, each side + 1 air squat)', '2 x (1 lunge, each side + 1 air squat)'],
    ['2 x ((1 lunge, each side) + (1 air squat))', '2 x (1 lunge, each side + 1 air squat)'],
    ['2 x (5 push-up + 10 air squat, 200 m run)', '2 rounds\n  5 push-up + 10 air squat\n  200 m run'],
    ['2 x (5 push-up, 10 lunge)', '2 rounds\n  5 push-up\n  10 lunge'],
  ])('%s', (text, plain) => expect(formatWorkout(parseWorkout(`AMRAP 10:00\n${text}`).workout).trim()).toBe(`AMRAP 10:00\n${plain}`));
});

test.each([
  ['broken box', []],
  ['bar broken rings', ['rings']],
  ['a broken box and a chair 45 cm', ['chair']],
  ['rings, broken rower', ['rings']],
  ['I have no bench', []],
  ['no rower but a ski machine', ['ski']],
  ['35lb dumbbells (two) + a 53 lb kettlebell', ['dumbbell', 'kettlebell']],
  ['two 1.5 pood bells', ['kettlebell']],
  ['rope 4,5m', ['climbingRope']],
  ['rope 2.8 m', ['rope']],
  ['rope', ['rope']],
])('a kit: %s', (line, kinds) => expect(readKit([line]).items.map(({ kind }) => kind)).toEqual(kinds));
