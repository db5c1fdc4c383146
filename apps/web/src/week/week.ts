/** A week of workouts as values: its days, what stands on each, what collides, and where a workout would not. */
import { collisionsBetween, type Collision, type DayLoad, type Pattern } from '@gambito/core';
import { addDays, differenceInCalendarDays, parseISO, startOfWeek } from 'date-fns';
import type { ListedWorkout } from '../api/types';
import { dayText } from '../shell/days';

/** @param firstDay 0 Sunday, 1 Monday */
export function daysOfWeek(day: string, firstDay: number): string[] {
  const first = startOfWeek(parseISO(day), { weekStartsOn: firstDay === 0 ? 0 : 1 });
  return Array.from({ length: 7 }, (_, index) => dayText(addDays(first, index)));
}
export const shifted = (day: string, days: number): string => dayText(addDays(parseISO(day), days));

/** A workout with a day and with what it asks; null until that is known. */
export interface Planned {
  readonly workout: ListedWorkout;
  readonly load: DayLoad | null;
}
export interface Clash extends Collision {
  /** the other workout */
  readonly with: string;
  /** it is the day before, the same day, or the day after */
  readonly days: -1 | 0 | 1;
}

const apart = (a: string, b: string): number => differenceInCalendarDays(parseISO(b), parseISO(a));

/** What a workout on a day has against what stands on that day and beside it. */
export function clashesOn(day: string, planned: Planned, all: readonly Planned[]): Clash[] {
  if (!planned.load) return [];
  return all.flatMap(({ workout, load }) => {
    if (workout.id === planned.workout.id || !workout.day || !load) return [];
    const days = apart(day, workout.day);
    if (Math.abs(days) > 1) return [];
    return collisionsBetween(planned.load!, load).map((collision) => ({ ...collision, with: workout.title, days: days as Clash['days'] }));
  });
}
/** Days of the week on which a workout would stand in nothing's way. */
export const freeDays = (planned: Planned, days: readonly string[], all: readonly Planned[]): string[] =>
  days.filter((day) => clashesOn(day, planned, all).length === 0);

/** s by pattern over the week, and on each of its days; the most first. */
export function balanceOf(days: readonly string[], all: readonly Planned[]): { pattern: Pattern; total: number; byDay: number[] }[] {
  const sums = new Map<Pattern, number[]>();
  for (const { workout, load } of all) {
    const at = days.indexOf(workout.day ?? '');
    if (at < 0 || !load) continue;
    for (const [pattern, seconds] of Object.entries(load.seconds) as [Pattern, number][]) {
      const byDay = sums.get(pattern) ?? days.map(() => 0);
      byDay[at]! += seconds;
      sums.set(pattern, byDay);
    }
  }
  return [...sums]
    .map(([pattern, byDay]) => ({ pattern, byDay, total: byDay.reduce((sum, seconds) => sum + seconds, 0) }))
    .filter(({ total }) => total >= 1)
    .sort((a, b) => b.total - a.total);
}
