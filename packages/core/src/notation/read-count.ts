/** How much of a movement: `9`, `12/9 cal`, `5-8`, `21-15-9:`, `4, +4 each round:`, `20 x 10 m`, `8/side`, `5+5`, `max cal in 2:00`, `1 min max`, `:30`. */
import type { Range } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { own } from '../text/own';
import { fixed, type Draft } from './draft';
import { isEven, readColumns, readDuration, readLadder, readSpan, readUnit, readMassUnit } from '../text/figures';

/** `+4 each round`, `+1 every minute`. */
export function readStep(cursor: Cursor): number | null {
  return cursor.try((c) => {
    if (!(c.sign('+') || c.phrase('add|adding|plus')) || !c.isNumber()) return null;
    const step = c.next()!.value;
    c.phrase('reps|rep|m|cal|more?');
    return c.phrase('each|every|per|a', 'round|rung|set|minute|min|interval|time') ? step : null;
  });
}

export interface Growth {
  /** null where the count that stands is the first one */
  readonly start: number | null;
  readonly step: number;
}
/** `start at 2, add 2 each minute` on a line of its own. */
export function readStartAndStep(cursor: Cursor): Growth | null {
  return cursor.try((c) => {
    if (!c.phrase('start|starting|begin|beginning|from', 'at|with?') || !c.isNumber()) return null;
    const start = c.next()!.value;
    c.phrase('reps|rep');
    c.sign(',', ';');
    c.phrase('and|then');
    const step = readStep(c);
    return step === null || !c.done ? null : { start, step };
  });
}

const sideWords = 'side|arm|leg|hand|sides|arms|legs|foot';
/** `each side`, `per arm`, `a leg`, `/side`, `e`, `ea`, `both sides`. */
export function readPerSide(cursor: Cursor): boolean {
  return (
    cursor.try((c) => {
      if (c.phrase('each|per|a|every', sideWords) || c.phrase('both', 'sides|arms|legs') || c.phrase('e|ea|es')) return true;
      if (c.sign('/') && c.phrase(`${sideWords}|s`)) return true;
      if (!c.word('each')) return null;
      // "each" alone says a side where nothing else follows that it could belong to
      return c.done || c.isSign(',') || c.isSign('@') || c.isSign(')') || c.isWord(['alternating', 'alt', 'db', 'kb', 'single']) || null;
    }) ?? false
  );
}

function readGrowing(cursor: Cursor, draft: Draft): boolean {
  const found = cursor.try((c) => {
    const start = c.isNumber() ? c.next()!.value : null;
    c.sign(',');
    const step = start === null ? null : readStep(c);
    return step === null ? null : { start: start!, step };
  });
  if (!found) return false;
  cursor.sign(':', ',');
  draft.count = { kind: 'growing', ...found };
  return true;
}

/** A ladder of the slot's own: before a colon, or before the movement. */
function readOwnLadder(cursor: Cursor, draft: Draft): boolean {
  const found = cursor.try((c) => {
    const ladder = readLadder(c);
    if (!ladder || (ladder.open && !isEven(ladder.rungs))) return null;
    c.phrase('reps|rep', 'of?');
    return c.sign(':') || c.peek()?.kind === 'word' ? ladder : null;
  });
  if (!found) return false;
  const [first = 1, second = first] = found.rungs;
  draft.count = found.open ? { kind: 'growing', start: first, step: second - first } : { kind: 'ladder', rungs: found.rungs };
  takeUnit(cursor, draft);
  return true;
}

const maxUnits: Readonly<Record<string, Draft['unit']>> = {
  distance: 'm',
  metres: 'm',
  meters: 'm',
  m: 'm',
  cal: 'cal',
  cals: 'cal',
  calories: 'cal',
  rep: 'reps',
  reps: 'reps',
  time: 's',
  hold: 's',
};
/** `in 2:00`, `in what is left`, `in remaining time`, `for 1 min`. @returns seconds, `left`, or null */
export function readMaxTime(cursor: Cursor): number | 'left' | null {
  return cursor.try((c) => {
    if (!c.word('in', 'for', 'until')) return null;
    if (c.phrase('what', 'is|remains', 'left?') || c.phrase('the?', 'remaining|remainder', 'of?', 'the?', 'time|interval|minute|window?')) return 'left';
    if (c.phrase('the', 'rest', 'of?', 'the?', 'time|interval|minute|window?') || c.phrase('the', 'time', 'left') || c.phrase('time', 'remaining|left'))
      return 'left';
    return readDuration(c, 'none', true);
  });
}
const maxCount = (seconds: number | 'left' | null): Draft['count'] => (typeof seconds === 'number' ? { kind: 'max', seconds } : { kind: 'max' });

function readMax(cursor: Cursor, draft: Draft): boolean {
  const timed = cursor.try((c) => {
    const seconds = readDuration(c, 'none', true);
    if (seconds === null) return null;
    c.word('of');
    return c.word('max', 'maximum') ? seconds : null;
  });
  // "max effort 500 m row" has its count
  if (timed === null && cursor.isWord('effort', 1) && cursor.isNumber(2)) cursor.phrase('max|maximum', 'effort');
  // "AMRAP burpee" in an interval is a max of it
  const asMany = timed === null && cursor.peek(1)?.kind === 'word' && cursor.word('amrap');
  if (timed === null && !asMany && !cursor.word('max', 'maximum')) return false;
  cursor.word('effort');
  const token = cursor.peek();
  const unit = token?.kind === 'word' && cursor.peek(1) !== null ? own(maxUnits, token.text) : undefined;
  if (unit !== undefined) {
    draft.unit = unit;
    cursor.at++;
  }
  cursor.sign(':');
  const inside = timed ?? readMaxTime(cursor);
  draft.count = maxCount(inside);
  cursor.word('of');
  return true;
}

/** `20 x 10 m`, `5x5`, `3 x 8`, `8 x 200m`; not `2x15 kg`, which is a load. */
function readTimesOf(cursor: Cursor): number | null {
  return cursor.try((c) => {
    const times = c.isNumber() ? c.next()!.value : NaN;
    const sets = c.phrase('sets|set');
    if (!(c.word('x') || (sets && c.word('of'))) || !(c.isNumber() || c.peek()?.kind === 'clock' || c.isWord('max'))) return null;
    const loaded = c.try((d) => (readColumns(d) && readMassUnit(d) ? true : null));
    return loaded || times < 1 ? null : times;
  });
}

/** `2+2+2`: one set with short breaks in it; as many as that in all. */
const readCluster = (cursor: Cursor): number | null =>
  cursor.try((c) => {
    const figures: number[] = c.isNumber() ? [c.next()!.value] : [];
    while (c.sign('+') && c.isNumber()) figures.push(c.next()!.value);
    return figures.length >= 3 && c.peek()?.kind === 'word' ? figures.reduce((sum, figure) => sum + figure, 0) : null;
  });

/** `5+5`, before a word: so many each side. */
function readBothSides(cursor: Cursor): number | null {
  return cursor.try((c) => {
    const left = c.isNumber() ? c.next()!.value : NaN;
    if (!c.sign('+')) return null;
    const right = c.isNumber() ? c.next()!.value : NaN;
    // `2+2+2` is a cluster, no count a side
    if (c.isSign('+') && c.isNumber(1)) return null;
    const linked = readUnit(c) !== null || c.peek()?.kind === 'word';
    return left === right && linked ? left : null;
  });
}

function takeSpan(cursor: Cursor): Range | null {
  return cursor.try((c) => {
    const span = readSpan(c);
    return span && span.low < span.high ? span : null;
  });
}

/** The plain figures: a time, a span, columns. @returns false where none stands here */
function readPlain(cursor: Cursor, draft: Draft): boolean {
  if (cursor.peek()?.kind === 'clock') {
    const seconds = readDuration(cursor, 'none')!;
    draft.count = fixed({ men: seconds, women: seconds });
    draft.unit = 's';
    draft.unitSaid = 'clock';
    return true;
  }
  const cluster = readCluster(cursor);
  if (cluster !== null) {
    draft.count = fixed({ men: cluster, women: cluster });
    return true;
  }
  const sided = readBothSides(cursor);
  if (sided !== null) {
    draft.count = fixed({ men: sided, women: sided });
    draft.perSide = true;
    return true;
  }
  const span = takeSpan(cursor);
  const from = cursor.at;
  const columns = span ? { men: span.high, women: span.high } : readColumns(cursor);
  if (!columns) return false;
  draft.count = fixed(columns, span ? span.low : null);
  if (!span && cursor.at - from >= 3 && columns.men === columns.women && cursor.tokens[from + 1]?.text === '/')
    draft.bare.push({ columns, from, to: cursor.at, paired: true });
  return true;
}

function scaleCount(draft: Draft, factor: number): void {
  const { count } = draft;
  if (count?.kind === 'fixed' && factor !== 1)
    draft.count = { ...count, men: count.men * factor, women: count.women * factor, low: count.low === null ? null : count.low * factor };
}

/** `m`, `cal`, `reps of` behind a count; nothing is taken where the line ends there without a movement having been named. */
export function takeUnit(cursor: Cursor, draft: Draft): void {
  const found = cursor.try((c) => {
    const distance = c.isWord(['m', 'km', 'mile', 'miles', 'metres', 'meters']);
    const quote = c.peek()?.kind === 'sign';
    const unit = readUnit(c);
    return unit && (!c.done || distance || draft.name !== '') ? { ...unit, quote } : null;
  });
  if (!found) return;
  draft.unit = found.unit;
  draft.unitSaid = found.said;
  draft.quoted = found.quote;
  scaleCount(draft, found.factor);
  cursor.word('of');
}

/** @returns false, nothing taken, where no count stands here */
export function readCount(cursor: Cursor, draft: Draft): boolean {
  cursor.phrase('accumulate|complete|perform');
  if (readGrowing(cursor, draft) || readMax(cursor, draft)) return true;
  if (cursor.phrase('match|matching', 'the?', 'time|times')) {
    cursor.sign(':');
    draft.count = { kind: 'matchTime' };
    return true;
  }
  if (readOwnLadder(cursor, draft)) return true;
  if (cursor.isWord(['cal', 'cals', 'calorie', 'calories']) && cursor.peek(1)?.kind === 'word') {
    cursor.next();
    draft.unit = 'cal';
    return true;
  }
  const times = readTimesOf(cursor);
  if (times !== null) draft.times = times;
  if (times !== null && readMax(cursor, draft)) return true;
  if (!readPlain(cursor, draft)) return times !== null;
  if (cursor.isWord('x') && !cursor.isNumber(1)) cursor.word('x');
  if (draft.unit === null) takeUnit(cursor, draft);
  if (readPerSide(cursor)) draft.perSide = true;
  return true;
}
