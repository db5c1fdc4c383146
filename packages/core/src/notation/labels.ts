/** Labels at the head of a line: `A)`, `Part B:`, `Warm-up:`, `1:`, `min 2:`, `odd:`, `window 3:`, `buy-in:`, `then`. */
import type { Cursor } from '../text/cursor';
import { cursorOf, restOfLine, type Line } from './lines';
import { readRest } from './read-rest';

export type SectionKind = 'quality' | 'strength' | null;
export interface SectionLabel {
  readonly name: string;
  readonly kind: SectionKind;
  /** superset letters with a figure (A1, A2) go together */
  readonly superset: boolean;
}

const sections: readonly (readonly [readonly string[], SectionKind])[] = [
  [['warm', 'up'], 'quality'],
  [['warmup|wu'], 'quality'],
  [['cool', 'down'], 'quality'],
  [['cooldown'], 'quality'],
  [['mobility'], 'quality'],
  [['recovery'], 'quality'],
  [['skill|skills'], 'quality'],
  [['strength'], 'strength'],
  [['weightlifting|lifting'], 'strength'],
  [['conditioning|metcon|wod|workout|engine'], null],
  [['accessory|accessories'], null],
  [['finisher'], null],
  [['core'], null],
  [['main', 'piece|part|set?'], null],
];

const closes = (cursor: Cursor): boolean =>
  cursor.sign(':', ')') || (cursor.isSign('.') && cursor.sign('.')) || (cursor.isSign('-') && cursor.peek()!.spaced && cursor.sign('-')) || cursor.done;

/** min; a recovery below is a rest of its part, and a session of its own from here on */
const leastRecoverySeconds = 600;
/** `Recovery: 2 min` is a rest, `Recovery: 30 min walk` a part. */
const restAt = (cursor: Cursor): boolean => {
  if (!cursor.isWord('recovery')) return false;
  const read = readRest(cursor);
  return read !== null && (cursor.done || read.kind === 'until' || read.rest.high < leastRecoverySeconds);
};

/** @returns the label of a section, and leaves the cursor at what follows it */
export function readSectionLabel(cursor: Cursor): SectionLabel | null {
  return cursor.try((c) => {
    const from = c.at;
    c.sign('[', '(');
    if (c.word('part') && (c.peek()?.kind === 'word' || c.isNumber()) && c.peek()!.text.length <= 2) {
      const name = c.next()!.text.toUpperCase();
      return closes(c) ? { name, kind: null, superset: /\d/.test(name) } : null;
    }
    c.at = from;
    const letter = c.peek();
    if (letter?.kind === 'word' && /^[a-h]\d?$/.test(letter.text)) {
      c.at++;
      const figured = /\d/.test(letter.text);
      const closed = c.sign(':', ')') || (c.isSign('.') && c.sign('.')) || (figured && !c.done);
      return closed ? { name: letter.text.toUpperCase(), kind: null, superset: figured } : null;
    }
    for (const [words, kind] of sections) {
      if (restAt(c.part(c.at, c.end)) || !c.phrase(...words)) continue;
      const name = c.text(from, c.at);
      c.sign(']', ')');
      // a bare "strength" is the header of its part, not a name
      const closed = c.sign(':') || (c.done && kind !== 'strength') || (c.isSign('-') && c.sign('-'));
      return closed ? { name, kind, superset: false } : null;
    }
    return null;
  });
}

export type Station = { readonly kind: 'number'; readonly number: number; readonly word: string | null } | { readonly kind: 'odd' | 'even' };

/** `1:`, `2)`, `min 3:`, `station 1`, `window 2:`, `odd:`, `even minutes:`. @param numbers whether a bare figure with a colon is a station */
export function readStation(cursor: Cursor, numbers = true): Station | null {
  return cursor.try((c) => {
    if (c.isWord(['odd', 'even'])) {
      const kind = c.next()!.text as 'odd' | 'even';
      c.phrase('minutes|minute|mins|min|rounds|intervals|numbers');
      c.sign(':', '-', ')', '.');
      return c.done && kind === 'even' && c.at === 1 ? null : { kind };
    }
    const word = c.isWord(['min', 'minute', 'mins', 'station', 'window', 'interval', 'round', 'set']) ? c.next()!.text : null;
    const token = c.peek();
    if (token?.kind !== 'number' || !/^\d{1,2}$/.test(token.text) || token.value < 1) return null;
    c.at++;
    const closed = c.sign(':', ')') || (c.isSign('.') && !c.peek()!.spaced && c.sign('.')) || (word !== null && (c.done || (c.isSign('-') && c.sign('-'))));
    if (!closed || (word === null && !numbers)) return null;
    return { kind: 'number', number: token.value, word };
  });
}

/** `1)`, `2.` before an item that is no station: a bullet. */
export function passBullet(cursor: Cursor): void {
  cursor.try((c) => {
    const token = c.peek();
    if (token?.kind !== 'number' || !/^\d{1,2}$/.test(token.text)) return null;
    c.at++;
    if (c.sign(')')) return true;
    const dot = c.peek();
    return c.isSign('.') && !dot!.spaced && c.peek(1)?.spaced === true && c.sign('.') ? true : null;
  });
}

/** `buy-in:`, `cash-out:`, `finish with`. @returns which, for the end of a block without indentation */
export function readFrame(cursor: Cursor): 'buyIn' | 'cashOut' | null {
  if (cursor.phrase('buy', 'in') || cursor.phrase('buyin') || cursor.phrase('start', 'with')) return (cursor.sign(':', '-'), 'buyIn');
  if (cursor.phrase('cash|buy', 'out') || cursor.phrase('cashout|buyout') || cursor.phrase('finish', 'with')) return (cursor.sign(':', '-'), 'cashOut');
  return null;
}

/** `then`, `straight into`, `directly into`: the next piece begins. */
export function readThen(cursor: Cursor): boolean {
  const found =
    cursor.phrase('straight|directly|immediately', 'into') ||
    cursor.phrase('into') ||
    cursor.phrase('then', 'straight|directly|immediately?', 'into?') ||
    cursor.phrase('followed', 'by');
  if (found) cursor.sign(':', ',', '-', '.', '…');
  return found;
}

/** A line without its bullet, its frame word and its "then". */
export function headless(line: Line): Line {
  const cursor = cursorOf(line);
  passBullet(cursor);
  readFrame(cursor);
  readThen(cursor);
  if (cursor.isWord('then')) cursor.word('then');
  return cursor.at === 0 || cursor.done ? line : restOfLine(line, cursor, cursor.at);
}
