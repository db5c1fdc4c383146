/** What a step is computed with where the text does not say it: loads, tempo, plates that have no partner. */
import { describe, expect, test } from '@jest/globals';
import { capacityOf, parseWorkout, readAthlete } from '../index';
import { slotsOfPart } from '../workout/walk';
import { atTempo, compile, demandOfSlot, loadOfSlot, tempoSeconds } from './program';

const athleteWith = (kit: readonly string[] = []) =>
  readAthlete({ category: 'men', maxes: { deadlift: '160 kg', 'power-clean': '90 kg' }, place: { kit } }, '2026-12-02').athlete;
const slotOf = (line: string) => slotsOfPart(parseWorkout(`for time, cap 20:00\n${line}`).workout.parts[0]!)[0]!;

describe('a load nobody wrote', () => {
  const capacity = capacityOf(athleteWith());
  test('is half of the max, and said', () => {
    expect(loadOfSlot(slotOf('10 deadlift'), capacity)).toEqual({ kg: 80, assumed: expect.stringContaining('half of the max taken (80 kg)') });
  });
  test('as heavy as possible leaves two reps in reserve: 5 at what 7 could be done with', () => {
    const heavy = loadOfSlot(slotOf('5 deadlift @ heavy'), capacity).kg;
    expect(heavy).toBeGreaterThan(0.75 * 160);
    expect(heavy).toBeLessThan(loadOfSlot(slotOf('3 deadlift @ heavy'), capacity).kg);
    expect(loadOfSlot(slotOf('max deadlift @ heavy'), capacity).kg).toBe(heavy);
  });
});

describe('a tempo', () => {
  test.each([
    ['31X1', 6],
    ['2020', 4],
    ['X0X0', 2],
  ])('%s is %i s', (tempo, seconds) => expect(tempoSeconds(tempo)).toBe(seconds));
  test('leaves fewer reps at hand where it is slower, and none more where it is quicker', () => {
    const { demand } = demandOfSlot(slotOf('5 deadlift @ 100 kg'), capacityOf(athleteWith()), null, 0);
    expect(atTempo(demand, '5151').repsToFailure).toBeCloseTo(demand.repsToFailure * Math.sqrt(demand.cycleSeconds / 12), 9);
    expect(atTempo(demand, '0010').repsToFailure).toBe(demand.repsToFailure);
  });
});

test('plates go onto the bar in pairs: one plate of a mass stays off', () => {
  const secondsWith = (plates: string): number => {
    const athlete = athleteWith([`barbell 20 kg, plates ${plates} kg`]);
    return compile(parseWorkout('for time, cap 20:00\n5 deadlift @ 60 kg').workout, capacityOf(athlete), athlete.places[0]).plateSeconds(20, 60);
  };
  // a lone 20 has no partner: two tens a side
  expect(secondsWith('1x20 4x10')).toBeGreaterThan(secondsWith('2x20 4x10'));
});
