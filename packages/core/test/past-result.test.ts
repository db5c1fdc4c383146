/** A past result read once says the same as its text, so that it may be stored and travel in the text's place. */
import { describe, expect, test } from '@jest/globals';
import { adapt, athleteWith, capacityOf, readPastResult, type Athlete } from '../src/index';
import { workout } from './asking';

const file = {
  name: 'Hespin',
  category: 'women',
  level: 'trained',
  best_sets: { push_up: 20, strict_pull_up: 4 },
  place: { kit: ['dumbbell 10 kg x 2', 'rope'] },
};
const today = '2026-11-28';
const athlete: Athlete = athleteWith(file, [], today);
const logged = [
  { workout: 'for time, cap 15:00\n5 rounds\n  10 push-up\n  20 air squat', score: '9:10' },
  { workout: 'AMRAP 12:00\n8 db thruster @ 10 kg\n30 single-under', score: '7+12' },
  { workout: 'for time, cap 9:00\n40 burpee\n40 sit-up', score: 'CAP+22' },
];
const read = logged.map((result) => readPastResult(athlete, result));

describe('a past result, read', () => {
  test('gives the same capacity to the bit, after a journey as JSON', () => {
    const travelled = JSON.parse(JSON.stringify(read)) as typeof read;
    const [byText, byReading] = [athleteWith(file, logged, today), athleteWith(file, travelled, today)].map(capacityOf);
    expect(byReading!.fitness).toBe(byText!.fitness);
    expect(byReading!.fitnessSpread).toBe(byText!.fitnessSpread);
    expect(byText!.pastResults).toBe(3);
  });
  test('gives the same version', () => {
    const asked = workout('AMRAP 20:00\n5 pull-up\n10 push-up\n15 air squat\nwindow: 12-16 rounds');
    const [byText, byReading] = [logged, read].map((past) => adapt(asked, athleteWith(file, past, today), { runs: 1 }));
    expect(byReading!.version).toEqual(byText!.version);
    expect(byReading!.warnings).toEqual(byText!.warnings);
  });
  test('says what was done: a capped workout to its end, an AMRAP as far as its score says', () => {
    expect(read[0]!.reps).toEqual({ horizontalPush: 50, squat: 100 });
    expect(read[1]!.movements).toEqual(['dumbbell-thruster', 'single-under']);
    const [rounds, more] = [7, 8].map((each) => each * 8);
    expect(read[1]!.reps.squat).toBeGreaterThanOrEqual(rounds!);
    expect(read[1]!.reps.squat).toBeLessThan(more! + 1);
  });
  test('a score that cannot be read says nothing of fitness, and still what was done', () =>
    expect(readPastResult(athlete, { workout: logged[0]!.workout, score: 'felt grand' })).toEqual({
      fitness: null,
      movements: ['push-up', 'air-squat'],
      reps: { horizontalPush: 50, squat: 100 },
      seconds: expect.any(Number),
    }));
});
