/** Workouts as calendar entries (RFC 5545): whole days, since the athlete chooses the hour; one alone, or a feed that a calendar asks for again and again. */
import { createEvents, type EventAttributes } from 'ics';

export interface CalendarEntry {
  /** stable: sent again, the entry in the calendar is replaced, not doubled */
  readonly uid: string;
  readonly title: string;
  readonly text: string;
  readonly url: string;
  /** ISO 8601 date */
  readonly day: string;
  /** when it last changed: a later change has a higher number, so that calendars take it */
  readonly changedAt: Date;
  /** withdrawn or thrown away: calendars take it out */
  readonly cancelled?: boolean;
}

/** The same entry, alone or in a feed. */
export const uidOf = (workoutId: number, athleteId: number): string => `${workoutId}-${athleteId}@gambito`;

const parts = (day: string): [number, number, number] => day.split('-').map(Number) as [number, number, number];
const dayAfter = (day: string): string => new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);
/** ms: numbers of changes are counted in seconds from here, so that they fit the 31 bits calendars have for them */
const firstChange = Date.UTC(2026, 0, 1);

/** Marks that turn the direction of what follows stay inside the text they came with. */
const isolated = (text: string): string => (/[\u202A-\u202E\u2066-\u2069]/.test(text) ? `\u2068${text}\u202C\u2069` : text);

const eventOf = ({ uid, title, text, url, day, changedAt, cancelled = false }: CalendarEntry): EventAttributes => ({
  uid,
  title: isolated(title),
  // what was taken back is not read there any more
  description: cancelled ? '' : text,
  url,
  start: parts(day),
  end: parts(dayAfter(day)),
  created: changedAt.getTime(),
  lastModified: changedAt.getTime(),
  sequence: Math.max(0, Math.floor((changedAt.getTime() - firstChange) / 1000)),
  status: cancelled ? 'CANCELLED' : 'CONFIRMED',
});

/** @throws {RangeError} when an entry cannot be written, which is a bug of ours */
export function calendarFile(entries: readonly CalendarEntry[], name = 'Gambito'): string {
  const { error, value } = createEvents(entries.map(eventOf), { productId: '-//Gambito//Lanterns//EN', calName: name, method: 'PUBLISH' });
  if (!value || error) throw new RangeError(`calendarFile: ${String(error)}`);
  return value;
}
