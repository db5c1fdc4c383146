/**
 * The line over a part or a block, read phrase by phrase in any order: `For time, 3 rounds, cap 12:00`, `20 min AMRAP`, `8 rounds :20/:10`, `In teams of 2: EMOM 10`.
 * A line is a header when its first words are such a phrase; what stands behind the last phrase is work on the same line, or unread.
 */
import { poundsToKilograms } from '../units/mass';
import type { Part, Range, Rest, ScoreKind, Team } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { own } from '../text/own';
import { readColumns, readDuration, readDurationSpan, readLadder, readSpan, type Ladder, readMassUnit } from '../text/figures';
import { readRest } from './read-rest';

export type Clock =
  | { readonly kind: 'amrap'; readonly seconds: Range | null }
  | { readonly kind: 'every'; readonly intervalSeconds: number; readonly totalSeconds: number | null; readonly count: number | null }
  | { readonly kind: 'deathBy' }
  | { readonly kind: 'intervals'; readonly segments: readonly { workSeconds: number; restSeconds: number }[] }
  | { readonly kind: 'circuit'; readonly stationSeconds: number }
  | { readonly kind: 'maxLoad'; readonly seconds: number | null; readonly reps: number | null }
  | { readonly kind: 'strength' }
  | { readonly kind: 'quality'; readonly seconds: number | null }
  | { readonly kind: 'rest'; readonly rest: Rest; readonly inMinutes: boolean }
  | { readonly kind: 'restUntil'; readonly seconds: number };

export interface Header {
  clock: Clock | null;
  forTime: boolean;
  rounds: Range | null;
  sets: number | null;
  times: number | null;
  ladder: Ladder | null;
  capSeconds: number | null;
  capPerSet: boolean;
  restBetween: Rest | null;
  build: boolean;
  alternate: boolean;
  score: ScoreKind | null;
  vest: Part['vest'];
  team: Team | null;
  noPartition: boolean;
  optional: boolean;
  /** token after the last phrase */
  end: number;
}
export const emptyHeader = (): Header => ({
  clock: null,
  forTime: false,
  rounds: null,
  sets: null,
  times: null,
  ladder: null,
  capSeconds: null,
  capPerSet: false,
  restBetween: null,
  build: false,
  alternate: false,
  score: null,
  vest: null,
  team: null,
  noPartition: false,
  optional: false,
  end: 0,
});

/** A phrase takes its words and writes what they say, or takes nothing. */
type Phrase = (cursor: Cursor, header: Header) => boolean;

const perSet = (cursor: Cursor): boolean => cursor.phrase('per|a|each|every', 'set|window|round|piece|effort');
const seconds = (cursor: Cursor): number | null => readDuration(cursor, 'minutes', true);

export const cap: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (c.phrase('time', 'cap|limit') || c.phrase('cap|capped') || c.phrase('tc') || c.phrase('within')) {
      c.phrase('of|at|is');
      c.sign(':', '=');
      return seconds(c);
    }
    const length = readDuration(c, 'none', true);
    return length !== null && (c.phrase('time', 'cap|limit') || c.phrase('hard?', 'cap') || c.phrase('tc') || c.phrase('to', 'complete')) ? length : null;
  });
  if (found === null) return false;
  header.capSeconds = found;
  header.capPerSet = perSet(cursor);
  return true;
};

const rest: Phrase = (cursor, header) => {
  const first = cursor.at;
  const read = readRest(cursor);
  if (!read) return false;
  if (read.kind === 'until') header.clock ??= { kind: 'restUntil', seconds: read.seconds };
  else if (first === 0 && header.clock === null && !read.between) header.clock = { kind: 'rest', rest: read.rest, inMinutes: read.inMinutes };
  else header.restBetween = read.rest;
  return true;
};

const asMany = (cursor: Cursor): boolean =>
  cursor.try((c) => {
    if (!c.phrase('as', 'many', 'rounds|reps')) return null;
    if (c.phrase('and') || c.sign('+', '&', '/')) c.phrase('rounds|reps');
    return c.phrase('as', 'possible') || null;
  }) ?? false;
const amrap: Phrase = (cursor, header) => {
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

/** `x 5`, `for 6 sets`, `for 12:00`, `5`: how often or how long. A bare figure is intervals, minutes for an EMOM. */
function readHowLong(cursor: Cursor, everyMinute: boolean): { totalSeconds: number | null; count: number | null } {
  const times = readTimes(cursor) ?? cursor.try((c) => (c.phrase('for') && c.isNumber() ? intervalCount(c) : null));
  if (times !== null) return { totalSeconds: null, count: times };
  const total = cursor.try((c) => {
    c.phrase('for|in|of');
    c.sign(':', '-');
    return readDuration(c, 'none', true);
  });
  if (total !== null) return { totalSeconds: total, count: null };
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

/** Minutes of an interval named in letters: EMOM 1, E2MOM 2, E90SOM is not one. */
function emomMinutes(cursor: Cursor): number | null {
  const token = cursor.peek();
  const found = token?.kind === 'word' ? /^e(\d{0,2})mom$/.exec(token.text) : null;
  if (!found) return cursor.phrase('on', 'the', 'minute') ? 1 : null;
  cursor.at++;
  return Number(found[1] || 1);
}
const emom: Phrase = (cursor, header) => {
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

/** A bare figure after `every`: seconds from 15 up, minutes below. */
function readInterval(cursor: Cursor): number | null {
  if (!cursor.word('every')) return null;
  if (cursor.phrase('other', 'minute|min')) return 120;
  if (cursor.word('minute', 'min')) {
    cursor.phrase('on', 'the', 'minute');
    return 60;
  }
  const figure = cursor.peek();
  return readDuration(cursor, figure?.kind === 'number' && figure.value >= 15 ? 'seconds' : 'minutes', true);
}
const every: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    const interval = readInterval(c);
    if (interval === null || interval <= 0) return null;
    c.phrase('on', 'the', 'minute');
    c.sign(',');
    const long = readHowLong(c, false);
    if (long.totalSeconds === null && long.count === null) c.at -= c.at > 0 && c.tokens[c.at - 1]!.text === ',' ? 1 : 0;
    return { interval, ...long };
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'every', intervalSeconds: found.interval, totalSeconds: found.totalSeconds, count: found.count };
  return true;
};

const deathBy: Phrase = (cursor, header) => {
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
const intervals: Phrase = (cursor, header) => {
  if (header.clock) return false;
  const sides = readOnOff(cursor);
  if (!sides || sides[0] === 0) return false;
  const segments = Array.from({ length: Math.ceil(sides.length / 2) }, (_, at) => ({ workSeconds: sides[2 * at]!, restSeconds: sides[2 * at + 1] ?? 0 }));
  header.clock = { kind: 'intervals', segments };
  return true;
};

const circuit: Phrase = (cursor, header) => {
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

const repsOfHeavy: Readonly<Record<string, number>> = { single: 1, double: 2, triple: 3, rep: 1 };
/** `max load in 7:00`, `build to a heavy single`, `find a 3RM in 15:00`, `1RM`. */
const maxLoad: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    c.phrase('find|establish|hit|work|build|test', 'up?', 'to?', 'a|your|todays?');
    c.phrase('to', 'a?');
    const reps = readHeavy(c);
    if (reps === undefined) return null;
    const length = c.try((d) => (d.phrase('in|within|for') ? readDuration(d, 'minutes', true) : null));
    return { reps, seconds: length };
  });
  if (!found || header.clock) return false;
  header.clock = { kind: 'maxLoad', ...found };
  return true;
};
function readHeavy(cursor: Cursor): number | null | undefined {
  if (cursor.phrase('max', 'load|weight')) return null;
  const rm = cursor.try((c) => (c.isNumber() && c.isWord('rm', 1) ? c.next()!.value : null));
  if (rm !== null) {
    cursor.word('rm');
    return rm;
  }
  if (cursor.phrase('one', 'rep', 'max')) return 1;
  const word = cursor.try((c) => {
    const heavy = c.phrase('a|one?', 'heavy');
    const token = c.peek();
    return heavy && token?.kind === 'word' && (own(repsOfHeavy, token.text) !== undefined || token.text === 'set') ? c.next()!.text : null;
  });
  return word === null ? undefined : (own(repsOfHeavy, word) ?? cursor.try((c) => (c.word('of') && c.isNumber() ? c.next()!.value : null)));
}

/** `3 rounds`, `3-5 rounds of`, `3 sets`, `4 RFT`, `5 x`, before a clock. */
const repeats: Phrase = (cursor, header) =>
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
const times: Phrase = (cursor, header) => {
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
const ladder: Phrase = (cursor, header) => {
  if (header.ladder) return false;
  const found = readLadder(cursor);
  if (!found) return false;
  header.ladder = found;
  cursor.phrase('reps|rounds|rep');
  return true;
};

/** `in 20:00` behind rounds or a ladder. */
const inTime: Phrase = (cursor, header) => {
  if (!header.forTime && !header.rounds && !header.ladder && header.clock?.kind !== 'quality') return false;
  const found = cursor.try((c) => (c.word('in') ? readDuration(c, 'none', true) : null));
  if (found === null) return false;
  if (header.clock?.kind === 'quality') header.clock = { kind: 'quality', seconds: found };
  else header.capSeconds = found;
  return true;
};
const kinds: Phrase = (cursor, header) => {
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
const words: Phrase = (cursor, header) => {
  if (cursor.phrase('build|building')) header.build = true;
  else if (cursor.phrase('alternate|alternating') && (cursor.done || cursor.isSign(',') || cursor.isSign(':') || cursor.isSign(')'))) header.alternate = true;
  else if (cursor.phrase('no', 'partition|partitioning')) header.noPartition = true;
  else if (cursor.phrase('optional')) header.optional = true;
  else return false;
  return true;
};

/** `with vest 9/6 kg`, `w/ vest`, `wearing a 20/14 lb vest`. */
export const vest: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (!(c.isWord('w') && c.isSign('/', 1) ? ((c.at += 2), true) : c.word('with', 'wearing', 'in'))) return null;
    c.phrase('a|weight|weighted?', 'weight|weighted?');
    const before = readVestMass(c);
    if (!c.word('vest')) return null;
    c.sign('@', ':');
    return before ?? readVestMass(c) ?? { men: 9, women: 6, unit: 'kg' as const };
  });
  if (!found) return false;
  header.vest = found;
  return true;
};
function readVestMass(cursor: Cursor): NonNullable<Part['vest']> | null {
  return cursor.try((c) => {
    const figures = readColumns(c);
    if (!figures) return null;
    const unit = readMassUnit(c) ?? 'kg';
    const factor = unit === 'lb' ? poundsToKilograms(1) : 1;
    return { men: figures.men * factor, women: figures.women * factor, unit };
  });
}

export const team: Phrase = (cursor, header) => {
  const size = cursor.try(readTeamSize);
  const how = readSharing(cursor);
  if (size === null && how === null) return false;
  header.team = { size: size ?? header.team?.size ?? 2, how: how ?? header.team?.how ?? null };
  return true;
};
function readTeamSize(cursor: Cursor): number | null {
  cursor.phrase('in|with', 'a?');
  if (cursor.phrase('teams|team|groups', 'of') && cursor.isNumber()) return cursor.next()!.value;
  if (cursor.phrase('pairs|partners|partner')) return 2;
  const size = cursor.isNumber() ? cursor.next()!.value : NaN;
  cursor.sign('-');
  return size > 0 && cursor.phrase('person|people', 'teams|team?') ? size : null;
}
function readSharing(cursor: Cursor): Team['how'] {
  if (cursor.phrase('you', 'go') && (cursor.sign(',', '-', '/') || true) && cursor.phrase('i', 'go')) return 'youGoIGo';
  if (cursor.phrase('i', 'go') && (cursor.sign(',', '-', '/') || true) && cursor.phrase('you', 'go')) return 'youGoIGo';
  if (
    cursor.phrase('ygig|igyg') ||
    cursor.phrase('one', 'works|working|person|partner|athlete?', 'works|working?', 'at', 'a', 'time') ||
    cursor.phrase('one', 'works|working', 'one?', 'rests|resting?') ||
    cursor.phrase('alternate|alternating', 'rounds|partners')
  )
    return 'youGoIGo';
  if (cursor.phrase('synchro|synchronised|synchronized|sync')) return 'synchro';
  if (cursor.phrase('split|share|partition|divide', 'the|reps|work|all?', 'reps|work?', 'as|however|anyhow', 'needed|you|desired?')) {
    cursor.phrase('like|want|needed');
    return 'splitAsNeeded';
  }
  return null;
}

/** `work/rest 1:1`. */
const workRest: Phrase = (cursor, header) => {
  const found = cursor.try((c) => {
    if (!c.word('work') || !c.sign('/', ':', '-') || !c.word('rest')) return null;
    c.sign(':', '=');
    const [work, , pause] = [c.peek(0), c.peek(1), c.peek(2)];
    if (work?.kind !== 'number' || !c.isSign(':', 1) || pause?.kind !== 'number' || work.value <= 0) return null;
    c.at += 3;
    return pause.value / work.value;
  });
  if (found === null) return false;
  header.restBetween = { low: 60, high: 60, open: 'ratio', ratio: found };
  return true;
};

const phrases: readonly Phrase[] = [
  workRest,
  emom,
  amrap,
  intervals,
  every,
  deathBy,
  circuit,
  maxLoad,
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

/** Says nothing but how often: a block inside a part. */
export const isBlockHeader = (header: Header): boolean =>
  header.clock === null && !header.forTime && (header.rounds !== null || header.sets !== null || header.ladder !== null);
/** A clock of its own: where a new part begins, blank line or not. */
export const hasClock = (header: Header): boolean => header.clock !== null || header.forTime;
