/**
 * Scores as people write them: `8:41`, `8.41`, `55 s`, `7+12`, `7 rds 3`, `7 rounds 3 reps`, `cap+14`, `cap 14`, `182`, `92.5 kg`, `4:02 3:58 4:10`.
 * Read from the same tokens as a workout. Whether a score is possible in a part is `check-score.ts`'s to say.
 */
import { Cursor } from '../text/cursor';
import { readDuration, readMassUnit, readNumber } from '../text/figures';
import { formatClock } from '../units/duration';
import { poundsToKilograms, trimNumber, type MassUnit } from '../units/mass';
import type { ScoreKind } from '../workout/workout';

export type Score =
  | { readonly kind: 'time'; readonly seconds: number }
  | { readonly kind: 'rounds'; readonly rounds: number; readonly reps: number }
  | { readonly kind: 'capped'; readonly repsLeft: number }
  | { readonly kind: 'reps'; readonly reps: number }
  | { readonly kind: 'load'; readonly kg: number }
  | { readonly kind: 'sets'; readonly seconds: readonly number[] }
  | { readonly kind: 'done'; readonly done: boolean };

/** What the entry form asks for, by the kind of score; quoted when something else was typed. */
export function expectedScore(kind: ScoreKind): string {
  switch (kind) {
    case 'time':
      return 'a time such as 8:41, or CAP+14 with 14 reps left at the cap';
    case 'rounds':
      return 'rounds and reps such as 7+12';
    case 'sum':
      return 'rounds and reps such as 7+12, or a time such as 8:41';
    case 'eachSet':
      return 'each set’s time, such as 4:02 3:58 4:10, or one clock time with the rests';
    case 'load':
      return 'a load such as 92.5 kg';
    case 'reps':
    case 'distance':
    case 'calories':
      return 'a whole number such as 182';
    case 'done':
      return 'done or not done';
  }
}

const minutesAndSeconds = /^\d{1,3}\.\d{2}$/;
/** One time: `8:41`, `55 s`, `9 min 5 s`, `8.41`, `8'41"`. @param dotted a dot parts minutes and seconds */
function readTime(cursor: Cursor, dotted: boolean): number | null {
  const token = cursor.peek();
  if (token?.kind === 'clock') {
    const seconds = cursor.next()!.value;
    return /:[6-9]\d$/.test(token.text) ? null : seconds;
  }
  const timed = cursor.try((c) => readDuration(c, 'none', true));
  if (timed !== null) return timed;
  if (!dotted || token?.kind !== 'number' || !minutesAndSeconds.test(token.text)) return null;
  const [minutes = '0', seconds = '0'] = token.text.split('.');
  if (Number(seconds) > 59) return null;
  cursor.at++;
  return Number(minutes) * 60 + Number(seconds);
}

function readTimes(cursor: Cursor, dotted: boolean): number[] | null {
  const times: number[] = [];
  while (!cursor.done) {
    const time = cursor.try((c) => readTime(c, dotted));
    if (time === null) return null;
    times.push(time);
    while (cursor.sign(',', ';', '/', '-', '+') || cursor.word('and', 'then'));
  }
  return times;
}

function readCapped(cursor: Cursor): Score | null {
  if (!cursor.word('cap', 'capped', 'tc')) return null;
  cursor.sign('+');
  cursor.word('plus', 'with');
  const left = cursor.isNumber() ? readNumber(cursor) : null;
  cursor.word('reps', 'rep');
  cursor.word('left');
  return left !== null && cursor.done ? { kind: 'capped', repsLeft: left } : null;
}

/** `7+12`, `7 rounds 3 reps`, `7 rds 3`, `7 rounds`. */
function readRounds(cursor: Cursor): Score | null {
  const rounds = cursor.isNumber() ? readNumber(cursor) : null;
  if (rounds === null || !Number.isInteger(rounds)) return null;
  const named = cursor.word('rounds', 'round', 'rds', 'rd', 'r');
  const plus = cursor.sign('+', ',') || cursor.word('and', 'plus');
  if (!named && !plus) return null;
  cursor.sign('+');
  if (cursor.done) return named && !plus ? { kind: 'rounds', rounds, reps: 0 } : null;
  const reps = cursor.isNumber() ? readNumber(cursor) : null;
  cursor.word('reps', 'rep');
  return reps !== null && cursor.done ? { kind: 'rounds', rounds, reps } : null;
}

function readLoad(cursor: Cursor): Score | null {
  const figure = cursor.isNumber() ? readNumber(cursor) : null;
  const unit = figure === null ? null : readMassUnit(cursor);
  return figure !== null && unit !== null && cursor.done ? { kind: 'load', kg: unit === 'kg' ? figure : poundsToKilograms(figure) } : null;
}

function readCount(cursor: Cursor): Score | null {
  const count = cursor.isNumber() ? readNumber(cursor) : null;
  cursor.word('reps', 'rep', 'm', 'metres', 'meters', 'cal', 'cals', 'calories');
  return count !== null && cursor.done ? { kind: 'reps', reps: count } : null;
}

function readDone(cursor: Cursor): Score | null {
  const done = cursor.phrase('done|yes|finished|completed') ? true : cursor.phrase('not', 'done|finished') || cursor.phrase('no|dnf') ? false : null;
  return done !== null && cursor.done ? { kind: 'done', done } : null;
}

const whole = (text: string, rule: (cursor: Cursor) => Score | null): Score | null => {
  const cursor = Cursor.over(text.slice(0, 200));
  const score = rule(cursor);
  return cursor.done ? score : null;
};
const asTimes =
  (dotted: boolean) =>
  (cursor: Cursor): Score | null => {
    const times = readTimes(cursor, dotted);
    if (!times || times.length === 0) return null;
    return times.length === 1 ? { kind: 'time', seconds: times[0]! } : { kind: 'sets', seconds: times };
  };

/** Reads a score without knowing what is asked; null when the text is none. */
export function readScore(text: string): Score | null {
  for (const rule of [readCapped, readRounds, readLoad, readDone, readCount, asTimes(false)]) {
    const score = whole(text, rule);
    if (score) return score;
  }
  return null;
}

/** Reads a score of a kind that is known: `8.41` is a time where times are asked, `7` seven rounds, `92.5` a load in the room's unit. */
export function readScoreAs(text: string, kind: ScoreKind, units: MassUnit = 'kg'): Score | null {
  const timed = kind === 'time' || kind === 'eachSet' || kind === 'sum';
  const dotted = timed ? whole(text, asTimes(true)) : null;
  const score = (minutesAndSeconds.test(text.trim()) || /\d\.\d\d\s+\d/.test(text) ? dotted : null) ?? readScore(text) ?? dotted;
  if (score?.kind !== 'reps') return score;
  if (kind === 'rounds' && Number.isInteger(score.reps)) return { kind: 'rounds', rounds: score.reps, reps: 0 };
  if (kind === 'load') return { kind: 'load', kg: units === 'lb' ? poundsToKilograms(score.reps) : score.reps };
  return score;
}

export function fitsKind(score: Score, kind: ScoreKind): boolean {
  switch (kind) {
    case 'time':
      return score.kind === 'time' || score.kind === 'capped';
    case 'rounds':
      return score.kind === 'rounds';
    case 'sum':
      return score.kind === 'rounds' || score.kind === 'reps' || score.kind === 'time' || score.kind === 'sets';
    case 'eachSet':
      return score.kind === 'sets' || score.kind === 'time' || score.kind === 'rounds';
    case 'load':
      return score.kind === 'load';
    case 'reps':
    case 'distance':
    case 'calories':
      return score.kind === 'reps';
    case 'done':
      return score.kind === 'done' || score.kind === 'reps';
  }
}

export function formatScore(score: Score): string {
  switch (score.kind) {
    case 'time':
      return formatClock(score.seconds);
    case 'rounds':
      return `${score.rounds}+${trimNumber(score.reps, 1)}`;
    case 'capped':
      return `CAP+${trimNumber(score.repsLeft, 0)}`;
    case 'reps':
      return trimNumber(score.reps, 0);
    case 'load':
      return `${trimNumber(score.kg, 2)} kg`;
    case 'sets':
      return score.seconds.map(formatClock).join(' ');
    case 'done':
      return score.done ? 'done' : 'not done';
  }
}
