/** The heaviest one makes in a time: `max load in 7:00`, `find a 3RM in 15:00`, `build to a heavy single`, `10 min to build to a heavy 3 rep push press`. */
import type { Cursor } from '../text/cursor';
import { readDuration } from '../text/figures';
import { own } from '../text/own';
import type { Phrase } from './header';

const repsOfHeavy: Readonly<Record<string, number>> = { single: 1, double: 2, triple: 3, rep: 1 };
/** more in one go is no maximum */
const mostReps = 10;

export const maxLoad: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    const before = readTimeBefore(c);
    const sought = readSeeking(c);
    if (before !== null && !sought) return null;
    const reps = readHeavy(c);
    if (reps === undefined) return null;
    return { reps, seconds: before ?? c.try((d) => (d.phrase('in|within|for') ? readDuration(d, 'minutes', true) : null)) };
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'maxLoad', ...found };
  return true;
};

/** `in 12 minutes`, `10 min to`, `15 min:`. */
const readTimeBefore = (cursor: Cursor): number | null =>
  cursor.try((c) => {
    c.phrase('in|within|take');
    const length = readDuration(c, 'none', true);
    if (length === null) return null;
    c.word('to');
    c.sign(':', ',', '-');
    return length;
  });

/** `build up to a`, `find today's`, `work to`. @returns whether it said so */
function readSeeking(cursor: Cursor): boolean {
  const sought = cursor.phrase('find|establish|hit|work|build|test', 'up?');
  cursor.phrase('to');
  cursor.phrase('a|your|todays');
  return sought;
}

/** @returns how many reps, null where it is not said, undefined where nothing heavy is asked */
function readHeavy(cursor: Cursor): number | null | undefined {
  if (cursor.phrase('max', 'load|weight')) return null;
  if (cursor.phrase('one', 'rep', 'max')) return 1;
  return readRepMax(cursor) ?? readHeavySet(cursor);
}
const readRepMax = (cursor: Cursor): number | null =>
  cursor.try((c) => {
    const reps = c.isNumber() ? c.next()!.value : null;
    if (reps === null) return null;
    c.sign('-');
    return c.word('rm') || c.phrase('rep', 'max') ? reps : null;
  });

/** `a heavy single`, `heavy 2 rep`, `heavy set of 3`. */
function readHeavySet(cursor: Cursor): number | null | undefined {
  const read = cursor.try((c) => {
    if (!c.phrase('a|one?', 'heavy')) return null;
    const reps = readFew(c);
    if (reps !== null) return { reps };
    const word = c.peek();
    if (word?.kind !== 'word' || (own(repsOfHeavy, word.text) === undefined && word.text !== 'set')) return null;
    c.at++;
    return { reps: own(repsOfHeavy, word.text) ?? c.try((d) => (d.word('of') ? readFew(d) : null)) };
  });
  return read === null ? undefined : read.reps;
}
/** `3`, `3 rep`, `3-rep`. */
const readFew = (cursor: Cursor): number | null =>
  cursor.try((c) => {
    const reps = c.isNumber() ? c.next()!.value : NaN;
    if (!(reps >= 1 && reps <= mostReps)) return null;
    c.try((d) => (d.sign('-') && d.isWord(['rep', 'reps']) ? true : null));
    c.word('rep', 'reps');
    return c.isWord(['kg', 'lb', 'lbs', 'min', 'x', 'rounds', 'sets']) ? null : reps;
  });
