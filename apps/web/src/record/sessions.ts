/** A person's record as its parts are drawn: sessions, calendar, repeats. Pure. */
import type { PersonRecord, Recorded } from '@gambito/contract';
import { addDays, alikeGroups, shownFitness, weekOf, type Session, type ShownFitness } from '@gambito/core';

export const sessionsOf = ({ sessions }: PersonRecord): Session[] =>
  sessions.map(({ day, rating, seconds, reps, movements }) => ({ day, rating, seconds, reps, movements }));

export interface CalendarDay {
  readonly day: string;
  readonly done: readonly string[];
  readonly missed: readonly string[];
  /** sent and not due yet */
  readonly open: readonly string[];
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
      return { day, done: titles(record.sessions), missed: titles(record.missed), open: titles(record.open), ahead: day > today };
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
const oldestFirst = ({ sessions }: PersonRecord): Recorded[] => [...sessions].reverse();
/** Workouts that were done more than once, by their name. */
export function repeatsOf(record: PersonRecord): Repeat[] {
  const byTitle = new Map<string, Recorded[]>();
  for (const session of oldestFirst(record)) byTitle.set(session.title, [...(byTitle.get(session.title) ?? []), session]);
  return [...byTitle].filter(([, scores]) => scores.length > 1).map(([title, scores]) => ({ title, scores }));
}
/** Alike work under several names, the oldest first: scores of it cannot be held against each other, what they show can. */
export const alikeOf = (record: PersonRecord): Recorded[][] =>
  alikeGroups(oldestFirst(record).filter(({ fitness }) => fitness !== null)).filter((group) => new Set(group.map(({ title }) => title)).size > 1);

/** How unsure it is in one figure, %. */
export const giveOrTake = ({ spread: [below, above] }: ShownFitness): number => Math.round((below + above) / 2);
export interface Shown extends ShownFitness {
  readonly at: number;
  readonly title: string;
  readonly score: string;
}
/** What each score shows of a person, with how unsure it is, the oldest first. */
export const shownOver = (record: PersonRecord): Shown[] =>
  oldestFirst(record).flatMap(({ fitness, counts, day, title, score }) =>
    fitness && counts ? [{ ...shownFitness(fitness), at: Date.parse(day), title, score }] : [],
  );
