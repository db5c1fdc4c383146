/** The clocks of the trade: AMRAP, EMOM and every, work and rest, circuits, death by; and how often. */
import type { Range } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { readDuration, readDurationSpan, readLadder, readSpan } from '../text/figures';
import type { Phrase } from './header';
import { seconds } from './header-clauses';

const asMany = (cursor: Cursor): boolean =>
  cursor.try((c) => {
    if (!c.phrase('as', 'many', 'rounds|reps')) return null;
    if (c.phrase('and') || c.sign('+', '&', '/')) c.phrase('rounds|reps');
    return c.phrase('as', 'possible') || null;
  }) ?? false;
export const amrap: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (c.word('amrap', 'amraps', 'amreps') || asMany(c)) {
      c.phrase('in|for|of');
      c.sign(':', '-');
      return { seconds: readDurationSpan(c, 'minutes', true) };
    }
    const whole = c.try((d) => (d.word('for') ? readDuration(d, 'none') : null));
    if (whole !== null && (c.done || c.isSign(':'))) return { seconds: { low: whole, high: whole } };
    const length = readDurationSpan(c, 'none', true) ?? bareMinutes(c);
    return length && (c.word('amrap', 'amraps', 'amreps') || asMany(c)) ? { seconds: length } : null;
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'amrap', seconds: found.seconds };
  return true;
};
/** `12 AMRAP`. */
const bareMinutes = (cursor: Cursor): Range | null => {
  if (!cursor.isNumber() || !cursor.isWord(['amrap', 'emom'], 1)) return null;
  const minutes = cursor.next()!.value * 60;
  return { low: minutes, high: minutes };
};

/** `x 5`, `for 6 sets`, `for 12:00`, `5`: how often or how long. A bare figure is intervals, minutes for an EMOM. @param least seconds; what is shorter than one interval is work in it: `every 2:00: 20 s plank` */
function readHowLong(cursor: Cursor, everyMinute: boolean, least = 0): { totalSeconds: number | null; count: number | null } {
  const times = readTimes(cursor) ?? cursor.try((c) => (c.phrase('for') && c.isNumber() ? intervalCount(c) : null));
  if (times !== null) return { totalSeconds: null, count: times };
  const start = cursor.at;
  const total = cursor.try((c) => {
    const isSaid = c.phrase('for|in|of');
    c.sign(':', '-');
    const seconds = readDuration(c, 'none', true);
    return seconds === null ? null : { seconds, isWork: !isSaid && seconds < least };
  });
  if (total?.isWork) cursor.at = start;
  if (total !== null) return { totalSeconds: total.isWork ? null : total.seconds, count: null };
  const bare = cursor.try((c) => {
    c.phrase('for|in|of');
    return c.isNumber() && !c.isWord('x', 1) && !(c.isSign('-', 1) && c.isNumber(2)) && !c.isSign('/', 1) ? c.next()!.value : null;
  });
  if (bare === null) return { totalSeconds: null, count: null };
  return everyMinute ? { totalSeconds: bare * 60, count: null } : { totalSeconds: null, count: bare };
}
function intervalCount(cursor: Cursor): number | null {
  const count = cursor.next()!.value;
  return cursor.phrase('sets|rounds|times|intervals|set|round') ? count : null;
}
/** `x 5`, `x5 rounds`, `(5 rounds)`. */
function readTimes(cursor: Cursor): number | null {
  return cursor.try((c) => {
    const bracket = c.sign('(');
    if (!c.word('x') || !c.isNumber()) return null;
    const count = c.next()!.value;
    c.phrase('sets|rounds|times|intervals|set|round');
    if (bracket) c.sign(')');
    return count;
  });
}

/** Minutes of an interval named in letters: EMOM 1, E2MOM 2. Seconds (E90S) are an interval of `every`. */
function emomMinutes(cursor: Cursor): number | null {
  const token = cursor.peek();
  const found = token?.kind === 'word' ? /^e(\d{0,2})mom$/.exec(token.text) : null;
  if (!found) return cursor.phrase('on', 'the', 'minute') ? 1 : null;
  cursor.at++;
  return Number(found[1] || 1);
}
export const emom: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    const named = emomMinutes(c);
    if (named !== null) return { minutes: named, ...readHowLong(c, named === 1) };
    const length = readDuration(c, 'none', true) ?? bareMinutes(c)?.high ?? null;
    const minutes = length === null ? null : emomMinutes(c);
    return minutes === null ? null : { minutes, totalSeconds: length, count: null };
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'every', intervalSeconds: 60 * found.minutes, totalSeconds: found.totalSeconds, count: found.count };
  return true;
};

/** `E90S`, `every 90 s`, `every minute`. A bare figure after `every`: seconds from 15 up, minutes below. */
function readInterval(cursor: Cursor): number | null {
  const short = cursor.peek()?.kind === 'word' ? /^e(\d{2,3})s(?:om)?$/.exec(cursor.peek()!.text) : null;
  if (short) {
    cursor.at++;
    return Number(short[1]);
  }
  if (!cursor.word('every')) return null;
  if (cursor.phrase('other', 'minute|min')) return 120;
  if (cursor.word('minute', 'min')) {
    cursor.phrase('on', 'the', 'minute');
    return 60;
  }
  const figure = cursor.peek();
  return readDuration(cursor, figure?.kind === 'number' && figure.value >= 15 ? 'seconds' : 'minutes', true);
}
export const every: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    const interval = readInterval(c);
    if (interval === null || interval <= 0) return null;
    c.phrase('on', 'the', 'minute');
    c.sign(',');
    const long = readHowLong(c, false, interval);
    if (long.totalSeconds === null && long.count === null) c.at -= c.at > 0 && c.tokens[c.at - 1]!.text === ',' ? 1 : 0;
    return { interval, ...long };
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'every', intervalSeconds: found.interval, totalSeconds: found.totalSeconds, count: found.count };
  return true;
};

/** `every 1:00 until failure`: behind an interval, in the words there are for it. */
export const untilFailure: Phrase = (cursor, header) => {
  const said =
    header.clock?.kind === 'every' &&
    (cursor.phrase('until|till|to', 'failure') ||
      cursor.phrase('until|till', 'you|they', 'fail|fall', 'behind?') ||
      cursor.phrase('until|till', 'you', "can't|cannot", 'keep|finish|make', 'up|it?') ||
      cursor.phrase('for?', 'as', 'long', 'as', 'possible') ||
      cursor.phrase('for?', 'as', 'long', 'as', 'you', 'can'));
  if (said) header.untilFailure = true;
  return said;
};

export const deathBy: Phrase = (cursor, header) => {
  if (header.clock || !cursor.phrase('death', 'by')) return false;
  header.clock = { kind: 'deathBy' };
  return true;
};

const on = ['on', 'work', 'working'];
const off = ['off', 'rest', 'resting', 'easy'];
/** A figure of an on/off list; without a unit it is minutes below 10. */
function readSide(cursor: Cursor, minutes: boolean): number | null {
  return readDuration(cursor, minutes ? 'minutes' : 'seconds', true);
}
/** Goes over `/`, `,`, `:` and `,` between work and rest. */
const between = (cursor: Cursor): boolean => cursor.sign('/', ',', ';', '+') || true;

function readOnOff(cursor: Cursor): number[] | null {
  return cursor.try((c) => {
    const start = c.at;
    const first = c.peek();
    const minutes = first?.kind === 'number' && first.value < 10;
    const before = c.word('work');
    if (before) c.sign(':');
    const work = readSide(c, minutes);
    if (work === null) return null;
    const named = c.word(...on) || before;
    const slash = c.sign('/');
    if (!named && !slash) return null;
    if (!slash) between(c);
    c.sign(':');
    const restFirst = c.word('rest');
    if (restFirst) c.sign(':');
    c.sign('/');
    const second = c.peek();
    const pause = readSide(c, minutes);
    if (pause === null) return null;
    const closed = c.word(...off) || restFirst || c.word('on');
    const units = /(?:\d\s*(?:s|sec|min|m|")|:\d\d)\s*\/\s*(?::\d\d|\d+\s*(?:s|sec|min|m|"))/.test(c.text(start, c.at));
    const plainClocks =
      slash && ((first?.kind === 'clock' && second?.kind === 'clock') || (units && (c.done || c.isWord('x') || c.isSign(')') || c.isSign(':'))));
    if (!(named && (closed || slash)) && !plainClocks && !closed) return null;
    const sides = [work, pause];
    for (;;) {
      const more = c.try((d) => {
        if (!d.sign('/', ',')) return null;
        const side = readSide(d, minutes);
        if (side === null) return null;
        const word = d.word(...on, ...off);
        const next = d.peek();
        return word || next === null || (next.kind === 'sign' && ['/', ',', ':', ')'].includes(next.text)) || d.isWord('x') ? side : null;
      });
      if (more === null) break;
      sides.push(more);
    }
    return sides;
  });
}
/** `30 s on, 15 s off for 12 minutes`: how often work and rest fit into it, where they fill it exactly. */
function timesWithin(cursor: Cursor, sides: readonly number[]): number | null {
  return cursor.try((c) => {
    const total = c.phrase('for') ? readDuration(c, 'none', true) : null;
    const times = total === null ? 0 : total / sides.reduce((sum, side) => sum + side, 0);
    return times >= 1 && Number.isInteger(times) ? times : null;
  });
}
export const intervals: Phrase = (cursor, header) => {
  if (header.clock) return false;
  const sides = readOnOff(cursor);
  if (!sides || sides[0] === 0) return false;
  const segments = Array.from({ length: Math.ceil(sides.length / 2) }, (_, at) => ({ workSeconds: sides[2 * at]!, restSeconds: sides[2 * at + 1] ?? 0 }));
  header.clock = { kind: 'intervals', segments };
  header.times ??= timesWithin(cursor, sides);
  return true;
};

export const circuit: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (!c.word('circuit')) return null;
    c.sign(':', ',');
    const rounds = c.isNumber() && c.isWord(['round', 'rounds'], 1) ? c.next()!.value : null;
    if (rounds === null || !c.word('round', 'rounds') || !c.word('of', 'x')) return null;
    const station = seconds(c);
    if (station === null) return null;
    c.phrase('stations|station|each|a|per', 'station?');
    return { rounds, station };
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'circuit', stationSeconds: found.station };
  header.rounds = { low: found.rounds, high: found.rounds };
  return true;
};

/** `3 rounds`, `3-5 rounds of`, `3 sets`, `4 RFT`, `5 x`, before a clock. */
export const repeats: Phrase = (cursor, header) =>
  cursor.try((c) => {
    if (header.clock?.kind === 'amrap') return null;
    const count = readSpan(c);
    if (!count || count.low < 1) return null;
    const more = c.word('more', 'total');
    void more;
    if (c.word('rft')) header.forTime = true;
    else if (c.word('sets', 'set', 'supersets')) {
      header.sets = count.high;
      return true;
    } else if (!c.word('rounds', 'round', 'rds', 'rd', 'rnds', 'cycles')) return null;
    header.rounds = count;
    return true;
  }) ?? false;
/** `3 x AMRAP 5:00`, `AMRAP 5:00 x 3`, `:20/:10 x 8`. */
export const times: Phrase = (cursor, header) => {
  const before = cursor.try((c) => {
    if (!c.isNumber() || !c.isWord('x', 1)) return null;
    const open = c.isSign('(', 2) ? 3 : 2;
    const clocked = c.isWord(['amrap', 'emom'], open) || readOnOff(c.part(c.at + open, c.end)) !== null;
    return clocked ? c.next()!.value : null;
  });
  if (before !== null) {
    cursor.word('x');
    cursor.sign('(');
  }
  const count = before ?? (header.clock ? readTimes(cursor) : null);
  if (count === null) return false;
  header.times = count;
  return true;
};
export const ladder: Phrase = (cursor, header) => {
  if (header.ladder) return false;
  const found = readLadder(cursor);
  if (!found) return false;
  header.ladder = found;
  cursor.phrase('reps|rounds|rep');
  return true;
};

/** `in 20:00` behind rounds or a ladder. */
export const inTime: Phrase = (cursor, header) => {
  if (!header.forTime && !header.rounds && !header.ladder && header.clock?.kind !== 'quality') return false;
  const found = cursor.try((c) => (c.word('in') ? readDuration(c, 'none', true) : null));
  if (found === null) return false;
  if (header.clock?.kind === 'quality') header.clock = { kind: 'quality', seconds: found };
  else header.capSeconds = found;
  return true;
};
export const kinds: Phrase = (cursor, header) => {
  if (
    cursor.phrase('not', 'for', 'time|score') ||
    cursor.phrase('nft') ||
    cursor.phrase('for?', 'quality') ||
    cursor.phrase('for', 'completion|form|practice|fun')
  ) {
    header.clock ??= { kind: 'quality', seconds: null };
    return true;
  }
  if (cursor.phrase('each', 'for', 'time')) {
    header.forTime = true;
    header.sets ??= header.rounds?.high ?? null;
    header.rounds = null;
    return true;
  }
  if (cursor.phrase('for', 'time') || cursor.phrase('rft') || cursor.phrase('chipper') || cursor.phrase('as', 'fast', 'as', 'possible')) {
    header.forTime = true;
    return true;
  }
  if (header.clock || header.rounds || header.sets || header.forTime)
    if (cursor.phrase('for', 'max', 'reps') || cursor.phrase('for', 'reps')) {
      header.score = 'reps';
      return true;
    }
  if (cursor.phrase('strength|superset')) {
    header.clock ??= { kind: 'strength' };
    return true;
  }
  return false;
};
export const words: Phrase = (cursor, header) => {
  if (cursor.phrase('build|building')) header.build = true;
  else if (cursor.phrase('alternate|alternating') && (cursor.done || cursor.isSign(',') || cursor.isSign(':') || cursor.isSign(')'))) header.alternate = true;
  else if (cursor.phrase('no', 'partition|partitioning')) header.noPartition = true;
  else if (cursor.phrase('optional')) header.optional = true;
  else return false;
  return true;
};
