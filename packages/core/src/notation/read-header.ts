/**
 * The line over a part or a block, read phrase by phrase in any order: `For time, 3 rounds, cap 12:00`, `20 min AMRAP`, `8 rounds :20/:10`, `In teams of 2: EMOM 10`.
 * A line is a header when its first words are such a phrase; what stands behind the last phrase is work on the same line, or unread.
 */
import type { Cursor } from '../text/cursor';
import { cap, rest, team, vest, workRest } from './header-clauses';
import { amrap, circuit, deathBy, emom, every, intervals, inTime, kinds, ladder, repeats, times, untilFailure, words } from './header-clocks';
import { emptyHeader, type Header, type Phrase } from './header';
import { maxLoad } from './header-max-load';

const phrases: readonly Phrase[] = [
  workRest,
  maxLoad,
  emom,
  amrap,
  intervals,
  every,
  untilFailure,
  deathBy,
  circuit,
  cap,
  rest,
  times,
  repeats,
  ladder,
  inTime,
  kinds,
  team,
  vest,
  words,
];
const glue = ['of', 'reps', 'and', 'total', 'complete', 'perform', 'do', 'then', 'all'];

/** Between phrases: commas, dashes, brackets, and words that say nothing. */
function passGlue(cursor: Cursor): void {
  while (cursor.sign(',', ';', '-', '(', ')', '[', ']', '.', '|') || cursor.word(...glue));
}

/** @returns null, nothing taken, when the line does not begin with a phrase of a header */
export function readHeader(cursor: Cursor): Header | null {
  const start = cursor.at;
  const header = emptyHeader();
  cursor.word('complete', 'perform', 'do', 'then');
  cursor.sign('(');
  let taken = false;
  while (!cursor.done) {
    const before = cursor.at;
    if (!phrases.some((phrase) => phrase(cursor, header))) break;
    if (cursor.at === before) break;
    taken = true;
    header.end = cursor.at;
    passGlue(cursor);
  }
  if (!taken) {
    cursor.at = start;
    return null;
  }
  // brackets and "of" are passed over, a comma before work that follows is not missed either
  cursor.sign(':');
  return header;
}
