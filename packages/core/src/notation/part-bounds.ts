/** What every kind of part checks before it takes a figure: lengths, counts, open rests, missing work; and sets at the head of the work. */
import type { Item, Range, Rest } from '../workout/workout';
import type { BareCount } from './item-reader';
import { readFrame } from './labels';
import { most } from './limits';
import { cursorOf, restOfLine, spanOfLine, type Line } from './lines';
import type { Opening } from './open-part';
import { hasClock } from './header';
import { readHeader } from './read-header';

export const range = (value: number): Range => ({ low: value, high: value });

/** A length the clock can have; a missing or impossible one is said and replaced by a usual one. */
export function lengthOf(seconds: number | null, usual: number, { reader, first }: Opening): number {
  const text = first.text.replace(/[:\s]+$/, '');
  if (seconds === null || seconds <= 0) {
    reader.report({ code: 'no_duration', span: spanOfLine(first), header: text, usual: `${usual / 60}:00` });
    return usual;
  }
  if (seconds > most.seconds) reader.report({ code: 'limit', span: spanOfLine(first), limit: 'minutes', found: seconds, most: most.seconds });
  return Math.min(seconds, most.seconds);
}
export function countWithin(count: number, { reader, first }: Opening): number {
  if (count > most.intervals) reader.report({ code: 'limit', span: spanOfLine(first), limit: 'intervals', found: count, most: most.intervals });
  return Math.max(1, Math.min(Math.floor(count), most.intervals));
}
export function tellNoMovement(lists: readonly (readonly Item[])[], { reader, first }: Opening): void {
  if (lists.every((list) => list.length === 0)) reader.report({ code: 'no_movement', span: spanOfLine(first), header: first.text });
}
/** `buy-in: 1000 m row` under a clock whose rounds repeat whatever stands there. */
export function tellOnce({ reader, work, first }: Opening): void {
  for (const line of work)
    if (readFrame(cursorOf(line))) reader.report({ code: 'once_in_rounds', span: spanOfLine(line), header: line.text, clock: first.text });
}
export const itemsOf = ({ reader, work }: Opening, bare: BareCount): Item[] => reader.items(work, bare);

export function tellOpenRest(rest: Rest | null, { reader, first }: Opening): void {
  if (rest?.open && rest.open !== 'left') reader.report({ code: 'open_rest', span: spanOfLine(first), low: rest.low, high: rest.high });
}

/** `3 sets, rest 1:00 between` at the head of the work. */
export function takeSets(opening: Opening): { sets: number; work: readonly Line[]; rest: Rest | null } {
  const { header, work } = opening;
  if (header.sets !== null) return { sets: header.sets, work, rest: header.restBetween };
  const first = work[0];
  const cursor = first ? cursorOf(first) : null;
  const inner = cursor ? readHeader(cursor) : null;
  if (!first || !cursor || !inner || inner.sets === null || hasClock(inner)) return { sets: 1, work, rest: null };
  const inline = cursor.done ? [] : [restOfLine(first, cursor, cursor.at)];
  const children = work.slice(1).filter((line) => line.indent > first.indent);
  return { sets: inner.sets, work: [...inline, ...(children.length > 0 ? children : work.slice(1))], rest: inner.restBetween };
}
