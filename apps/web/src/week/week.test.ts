import { describe, expect, test } from '@jest/globals';
import { dayLoadOf, parseWorkout } from '@gambito/core';
import type { ListedWorkout } from '../api/types';
import { balanceOf, clashesOn, daysOfWeek, freeDays, shifted, type Planned } from './week';

const planned = (id: number, day: string | null, text: string): Planned => ({
  workout: { id, title: `W${id}`, day } as ListedWorkout,
  load: dayLoadOf(parseWorkout(text).workout),
});
const pulls = planned(1, '2026-11-24', 'AMRAP 10:00\n8 pull-up');
const hangs = planned(2, '2026-11-25', 'AMRAP 10:00\n8 toes-to-bar');
const runs = planned(3, '2026-11-28', 'for time, cap 30:00\n5 km run');
const week = [pulls, hangs, runs];
const days = daysOfWeek('2026-11-28', 1);

describe('a week', () => {
  test('begins on the day the coach’s week begins', () => {
    expect([days[0], days[6]]).toEqual(['2026-11-23', '2026-11-29']);
    expect(daysOfWeek('2026-11-28', 0)[0]).toBe('2026-11-22');
    expect(daysOfWeek('2026-11-29', 1)[0]).toBe('2026-11-23');
    expect(shifted('2026-12-30', 7)).toBe('2027-01-06');
  });
  test('grip the day after grip is told from both sides; two days apart it is not', () => {
    expect(clashesOn('2026-11-25', hangs, week)).toEqual([expect.objectContaining({ kind: 'grip', with: 'W1', days: -1 })]);
    expect(clashesOn('2026-11-24', pulls, week)).toEqual([expect.objectContaining({ kind: 'grip', with: 'W2', days: 1 })]);
    expect(clashesOn('2026-11-26', hangs, week)).toEqual([]);
  });
  test('a make-up fits where nothing beside it collides', () => {
    const makeUp = planned(4, null, 'AMRAP 8:00\n6 strict pull-up');
    expect(freeDays(makeUp, days, week)).toEqual(['2026-11-27', '2026-11-28', '2026-11-29']);
    expect(freeDays({ ...makeUp, load: null }, days, week)).toEqual(days);
  });
  test('adds up what is worked on, by day', () => {
    const [first] = balanceOf(days, week);
    expect(first).toMatchObject({ pattern: 'run', byDay: [0, 0, 0, 0, 0, expect.any(Number), 0] });
    expect(balanceOf(days, [{ ...pulls, load: null }])).toEqual([]);
  });
});
