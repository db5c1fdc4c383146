/** Rests: `rest 1:00`, `1 min rest between rounds`, `rest 60`, `rest 2-3`, `rest 1:1`, `rest until recovered`, `rest as needed`, `rest what is left`, `rest until 14:00`. */
import type { Rest } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { readDuration, readDurationSpan } from '../text/figures';
import { ranges } from '../units/ranges';

export type ReadRest =
  | { readonly kind: 'rest'; readonly rest: Rest; readonly between: boolean; readonly inMinutes: boolean }
  /** the clock of the whole workout at which the next part starts, s */
  | { readonly kind: 'until'; readonly seconds: number };

/** What an open rest is reckoned as: 2–4 minutes until recovered, one to two as needed, and about a minute where it follows the work (round figures, common practice). */
export const openRests: Readonly<Record<NonNullable<Rest['open']>, Rest>> = {
  recovered: { low: 120, high: 180, open: 'recovered' },
  asNeeded: { low: 60, high: 90, open: 'asNeeded' },
  ratio: { low: 60, high: 60, open: 'ratio', ratio: 1 },
  left: { low: 0, high: 0, open: 'left' },
};

/** No longer than a session; scanLines tells of a longer one. */
const withinSession = ({ low, high }: Rest): Rest => ({ low: Math.min(low, ranges.clockSeconds.most), high: Math.min(high, ranges.clockSeconds.most) });
/** A bare figure after `rest`: minutes from 1 to 9, seconds above. */
function readLength(cursor: Cursor): { rest: Rest; inMinutes: boolean } | null {
  const start = cursor.at;
  const figure = cursor.peek();
  const bare = figure?.kind === 'number' && figure.value < 10 ? 'minutes' : 'seconds';
  const span = readDurationSpan(cursor, bare, true);
  if (!span) return null;
  const inMinutes = cursor.text(start, cursor.at).includes('min');
  return { rest: withinSession(span), inMinutes };
}

/** `1:1`, `1 : 2`, `equal to work`, `= work`. */
function readRatio(cursor: Cursor): Rest | null {
  const figures = cursor.try((c) => {
    const work = c.isNumber() ? c.next()!.value : NaN;
    if (!c.sign(':')) return null;
    const rest = c.isNumber() ? c.next()!.value : NaN;
    return work > 0 && rest > 0 && work < 20 && rest < 20 ? rest / work : null;
  });
  if (figures !== null) return { ...openRests.ratio, ratio: figures };
  if (cursor.phrase('equal', 'to?', 'work') || cursor.phrase('same', 'as?', 'work|you') || cursor.phrase('as', 'long', 'as', 'work|it|you')) {
    cursor.phrase('took|worked|takes');
    return openRests.ratio;
  }
  return cursor.try((c) => (c.sign('=') && c.word('work') ? openRests.ratio : null));
}

function readOpen(cursor: Cursor): Rest | null {
  if (cursor.phrase('until|till|to', 'fully?', 'recovered|ready|recovery') || cursor.phrase('fully?', 'recovered')) return openRests.recovered;
  if (cursor.phrase('as', 'needed|required|necessary|you')) {
    cursor.phrase('need|like');
    return openRests.asNeeded;
  }
  if (
    cursor.phrase('what', 'is|remains', 'left?') ||
    cursor.phrase('the?', 'remainder|remaining', 'time?') ||
    cursor.phrase('the', 'rest', 'of?', 'the?', 'time|interval|minute?')
  ) {
    cursor.phrase('of', 'the', 'minute|time|interval|window');
    return openRests.left;
  }
  return cursor.phrase('in', 'the', 'time', 'left') ? openRests.left : null;
}

/** `between`, `between rounds`, `after each set`, `a round`. @returns whether it said so */
function readBetween(cursor: Cursor): boolean {
  const places = 'round|rounds|set|sets|effort|efforts|interval|intervals|piece|pieces|amraps|amrap|run|row|lift|lifts|rep|reps|movements';
  const said =
    cursor.phrase('between|btw', 'each|every|the|all?', `${places}?`) ||
    cursor.phrase('after', 'each|every|a', places) ||
    cursor.phrase('each|every|per|a', places);
  if (said) return true;
  return cursor.try((c) => (c.isWord('b') && c.isSign('/', 1) && c.isWord('w', 2) ? ((c.at += 3), c.phrase(places), true) : null)) ?? false;
}

/** @returns null where no rest stands here, or one that is not finished yet (`rest 3:0`) */
export function readRest(cursor: Cursor): ReadRest | null {
  return cursor.try(() => {
    if (cursor.word('rest', 'resting', 'recover', 'recovery')) {
      cursor.sign(':');
      cursor.phrase('for|of|exactly');
      const until = cursor.try((c) => (c.word('until', 'till') ? readDuration(c, 'minutes', true) : null));
      if (until !== null) return { kind: 'until', seconds: until };
      const ratio = readRatio(cursor);
      const length = ratio ? { rest: ratio, inMinutes: false } : readLength(cursor);
      const rest = length?.rest ?? readOpen(cursor);
      if (!rest) return null;
      return { kind: 'rest', rest, between: readBetween(cursor), inMinutes: length?.inMinutes ?? false };
    }
    const length = readDurationSpan(cursor, 'none', true);
    if (!length || !(cursor.word('rest', 'recovery') || cursor.phrase('of', 'rest'))) return null;
    return { kind: 'rest', rest: withinSession(length), between: readBetween(cursor), inMinutes: true };
  });
}

/** how a rest may be spent */
export const restWays = ['walk', 'walking', 'jog', 'jogging', 'easy', 'slow', 'active', 'light'];
/** A rest that is all that stands here, up to a sign or a word that leads on. */
export const readRestAlone = (cursor: Cursor): ReadRest | null =>
  cursor.try((c) => {
    const read = readRest(c);
    return read && (c.done || c.peek()!.kind === 'sign' || c.isWord(['then', 'after', 'before', 'between', 'if', 'as', 'when', ...restWays])) ? read : null;
  });
