/** `8:00-11:00`, `3:00-4:30 per set`, `8-12+ rounds`, `under 8:00`, `80-100 kg`. */
import type { Window } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { readDuration, readNumber } from '../text/figures';

type Bound = { readonly value: number; readonly clock: boolean };

function readBound(cursor: Cursor): Bound | null {
  const clock = cursor.peek()?.kind === 'clock';
  const value = clock ? readDuration(cursor, 'none') : readNumber(cursor);
  return value === null ? null : { value, clock };
}

function unitOf(cursor: Cursor, clock: boolean): { unit: Window['unit']; factor: number } | null {
  if (clock) return { unit: 'seconds', factor: 1 };
  if (cursor.word('round', 'rounds')) return { unit: 'rounds', factor: 1 };
  if (cursor.word('rep', 'reps')) return { unit: 'reps', factor: 1 };
  if (cursor.word('kg')) return { unit: 'kg', factor: 1 };
  if (cursor.word('min', 'mins', 'minute', 'minutes')) return { unit: 'seconds', factor: 60 };
  if (cursor.word('s', 'sec', 'seconds')) return { unit: 'seconds', factor: 1 };
  return null;
}

function perOf(cursor: Cursor): Window['per'] {
  for (const per of ['round', 'set', 'part', 'workout'] as const) if (cursor.phrase('per|a|each', per)) return per;
  return 'part';
}

export function readWindow(cursor: Cursor): Window | null {
  return cursor.try(() => {
    const under = cursor.word('under', 'below', 'sub');
    const over = !under && (cursor.word('over', 'above') || cursor.phrase('at', 'least'));
    const first = readBound(cursor);
    if (!first) return null;
    const second = cursor.try((c) => (c.sign('-') || c.word('to') ? readBound(c) : null));
    const open = cursor.sign('+');
    const read = unitOf(cursor, first.clock);
    if (!read) return null;
    const per = perOf(cursor);
    const { unit, factor } = read;
    const low = first.value * factor;
    const high = second ? second.value * (second.clock ? 1 : factor) : null;
    if (under) return { low: null, high: low, unit, per };
    if (over) return { low, high: null, unit, per };
    if (open) return high === null ? { low, high: null, unit, per } : { low, high: null, usual: high, unit, per };
    return high === null ? null : { low: Math.min(low, high), high: Math.max(low, high), unit, per };
  });
}
