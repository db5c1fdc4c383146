import { LRUCache } from 'lru-cache';

/** making one costs more than a query does */
const calendars = new LRUCache<string, Intl.DateTimeFormat>({ max: 100 });
function calendarOf(timeZone: string): Intl.DateTimeFormat {
  const before = calendars.get(timeZone);
  if (before) return before;
  const calendar = new Intl.DateTimeFormat('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' });
  calendars.set(timeZone, calendar);
  return calendar;
}
const clocks = new LRUCache<string, Intl.DateTimeFormat>({ max: 100 });
/** The day and the time of day it is where the coach is, as 2026-11-28T21:05. */
export function wallClockIn(timeZone: string, now: Date): string {
  const clock = clocks.get(timeZone) ?? new Intl.DateTimeFormat('en-GB', { timeZone, hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });
  clocks.set(timeZone, clock);
  return `${todayIn(timeZone, now)}T${clock.format(now)}`;
}
/** The day it is where the coach is, as YYYY-MM-DD. */
export const todayIn = (timeZone: string, now: Date): string => calendarOf(timeZone).format(now);

/** days that something deleted lies in the bin */
const binDays = 30;
export const binnedSince = (now: Date): Date => new Date(now.getTime() - binDays * 24 * 3600 * 1000);
