/** A sent version as a calendar entry (RFC 5545): a whole day, since the athlete chooses the hour. */
import { createEvent } from 'ics';

export interface CalendarEntry {
  /** stable: sent again, the entry in the calendar is replaced, not doubled */
  readonly uid: string;
  readonly title: string;
  readonly text: string;
  readonly url: string;
  /** ISO 8601 date */
  readonly day: string;
  readonly now: Date;
}

const parts = (day: string): [number, number, number] => day.split('-').map(Number) as [number, number, number];
const dayAfter = (day: string): string => new Date(Date.parse(`${day}T00:00:00Z`) + 86_400_000).toISOString().slice(0, 10);

/** Marks that turn the direction of what follows stay inside the text they came with. */
const isolated = (text: string): string => (/[\u202A-\u202E\u2066-\u2069]/.test(text) ? `\u2068${text}\u202C\u2069` : text);

/** @throws {RangeError} when the entry cannot be written, which is a bug of ours */
export function calendarFile({ uid, title, text, url, day, now }: CalendarEntry): string {
  const { error, value } = createEvent({
    uid,
    title: isolated(title),
    description: text,
    url,
    start: parts(day),
    end: parts(dayAfter(day)),
    created: now.getTime(),
    productId: '-//Gambito//Lanterns//EN',
    calName: 'Gambito',
  });
  if (!value) throw new RangeError(`calendarFile: ${String(error)}`);
  return value;
}
