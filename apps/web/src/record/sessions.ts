/** A person's record as its parts are drawn: sessions, calendar, repeats. Pure. */
import type { PersonRecord, Recorded } from '@gambito/contract';
import { addDays, weekOf, type Session } from '@gambito/core';

export const sessionsOf = ({ sessions }: PersonRecord): Session[] =>
  sessions.map(({ day, rating, seconds, reps, movements }) => ({ day, rating, seconds, reps, movements }));

export interface CalendarDay {
  readonly day: string;
  readonly done: readonly string[];
  readonly missed: readonly string[];
  readonly ahead: boolean;
}
/** Whole weeks up to today's, a row each. */
export function calendarOf(record: PersonRecord, today: string, firstDay: number, weeks: number): CalendarDay[][] {
  const first = addDays(weekOf(today, firstDay), -7 * (weeks - 1));
  return Array.from({ length: weeks }, (_, week) =>
    Array.from({ length: 7 }, (_day, at): CalendarDay => {
      const day = addDays(first, 7 * week + at);
      const titles = (rows: readonly { readonly day: string; readonly title: string }[]): string[] =>
        rows.filter((row) => row.day === day).map(({ title }) => title);
      return { day, done: titles(record.sessions), missed: day < today ? titles(record.missed) : [], ahead: day > today };
    }),
  );
}

export const plannedOf = (record: PersonRecord): { day: string; kept: boolean }[] => [
  ...record.sessions.map(({ day }) => ({ day, kept: true })),
  ...record.missed.map(({ day }) => ({ day, kept: false })),
];

export interface Repeat {
  readonly title: string;
  /** the oldest first */
  readonly scores: readonly Recorded[];
}
/** Workouts that were done more than once, by their name. */
export function repeatsOf({ sessions }: PersonRecord): Repeat[] {
  const byTitle = new Map<string, Recorded[]>();
  for (const session of [...sessions].reverse()) byTitle.set(session.title, [...(byTitle.get(session.title) ?? []), session]);
  return [...byTitle].filter(([, scores]) => scores.length > 1).map(([title, scores]) => ({ title, scores }));
}
