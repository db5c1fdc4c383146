/** The figures of a whiteboard: numbers, columns, spans, ladders, durations, units. Each rule returns null and takes nothing when something else stands there. */
import type { MassUnit } from '../units/mass';
import type { Columns, CountUnit, Range, SaidUnit } from '../workout/workout';
import type { Cursor } from './cursor';
import { own } from './own';

/** Units that may follow a decimal comma: `22,5 kg`. */
const unitWords = new Set([
  'kg',
  'kgs',
  'kilo',
  'kilos',
  'lb',
  'lbs',
  'pound',
  'pounds',
  'km',
  'mi',
  'mile',
  'miles',
  'm',
  'cm',
  'l',
  'min',
  'in',
  'ft',
  'pood',
]);

const whole = (cursor: Cursor, ahead: number, digits: RegExp, spaced: boolean | null = false): boolean => {
  const token = cursor.peek(ahead);
  return token?.kind === 'number' && digits.test(token.text) && (spaced === null || token.spaced === spaced);
};

/** One figure: `12`, `17.5`, `½`, `22,5 kg`, `1,000 m`, `1/2 mile`. */
export function readNumber(cursor: Cursor): number | null {
  const token = cursor.peek();
  if (token?.kind !== 'number') return null;
  const comma = cursor.isSign(',', 1) && !cursor.peek(1)!.spaced;
  const after = cursor.peek(3);
  const listGoesOn = after?.kind === 'sign' && after.text === ',' && !after.spaced && cursor.isNumber(4);
  if (comma && /^\d{1,3}$/.test(token.text) && whole(cursor, 2, /^\d{3}$/) && !listGoesOn) {
    cursor.at += 3;
    return Number(`${token.text}${cursor.tokens[cursor.at - 1]!.text}`);
  }
  const unitFollows =
    after !== null && ((after.kind === 'word' && unitWords.has(after.text)) || (after.kind === 'sign' && (after.text === '/' || after.text === '%')));
  if (comma && /^\d+$/.test(token.text) && whole(cursor, 2, /^\d{1,2}$/) && unitFollows) {
    cursor.at += 3;
    return Number(`${token.text}.${cursor.tokens[cursor.at - 1]!.text}`);
  }
  if (token.text === '1' && cursor.isSign('/', 1) && whole(cursor, 2, /^[2-4]$/) && cursor.isWord(['mile', 'mi', 'km', 'k'], 3)) {
    cursor.at += 3;
    return 1 / cursor.tokens[cursor.at - 1]!.value;
  }
  cursor.at++;
  return token.value;
}

/** `300/240` → columns, `12` → both. */
export function readColumns(cursor: Cursor): Columns | null {
  return cursor.try(() => {
    const men = readNumber(cursor);
    if (men === null) return null;
    const women = cursor.isSign('/') && cursor.isNumber(1) ? cursor.try((c) => (c.sign('/') ? readNumber(c) : null)) : null;
    return { men, women: women ?? men };
  });
}

/** Figures between slashes: `60/70/80`. */
export function readFigures(cursor: Cursor, between: readonly string[] = ['/']): number[] {
  const figures: number[] = [];
  for (let value = readNumber(cursor); value !== null; value = cursor.try((c) => (c.sign(...between) ? readNumber(c) : null))) figures.push(value);
  return figures;
}

/** `5-8`, `3 to 5`, `5–8` → span; `3` → both ends. */
export function readSpan(cursor: Cursor): Range | null {
  return cursor.try(() => {
    const low = readNumber(cursor);
    if (low === null) return null;
    const high = cursor.try((c) => ((c.sign('-') || c.word('to')) && c.isNumber() ? readNumber(c) : null));
    return { low: Math.min(low, high ?? low), high: Math.max(low, high ?? low) };
  });
}

const dots = (cursor: Cursor): boolean => {
  if (cursor.sign('…')) return true;
  if (!(cursor.isSign('.') && cursor.isSign('.', 1))) return cursor.word('etc') && (cursor.sign('.') || true);
  while (cursor.sign('.'));
  return true;
};
const mostRungs = 60;

/** From one rung on in even steps to the last one. */
function fillRungs(rungs: readonly number[], last: number): number[] | null {
  const step = rungs.length > 1 ? rungs[rungs.length - 1]! - rungs[rungs.length - 2]! : Math.sign(last - rungs[0]!);
  if (step === 0 || (last - rungs[rungs.length - 1]!) / step <= 0) return null;
  const filled = [...rungs];
  while ((last - filled[filled.length - 1]!) / step > 0 && filled.length < mostRungs) filled.push(filled[filled.length - 1]! + step);
  return filled[filled.length - 1] === last ? filled : null;
}

/** The same step from rung to rung. */
export const isEven = (rungs: readonly number[]): boolean => rungs.every((rung, at) => at < 2 || rung - rungs[at - 1]! === rungs[1]! - rungs[0]!);

export interface Ladder {
  readonly rungs: readonly number[];
  /** `3-6-9-…`: goes on by the same step */
  readonly open: boolean;
}

function rungsBetween(cursor: Cursor, sign: string): number[] {
  const rungs: number[] = [];
  for (;;) {
    const token = cursor.peek(rungs.length === 0 ? 0 : 1);
    if (token?.kind !== 'number' || !/^\d+$/.test(token.text)) return rungs;
    if (rungs.length > 0 && !cursor.isSign(sign)) return rungs;
    if (sign === ',' && rungs.length > 0 && (cursor.peek()!.spaced || token.spaced)) return rungs;
    cursor.at += rungs.length === 0 ? 1 : 2;
    rungs.push(token.value);
    if (rungs.length > mostRungs) return rungs;
  }
}

/**
 * `21-15-9`, `21,15,9`, `10-8-6-8-10`, `10 to 1`, `10-1`, `1-2-3…10`, `3-6-9-…`; two figures only when they fall, otherwise at least three.
 * `10-1` and `10 to 1` count down by one from five or more; other falling pairs are two rungs.
 */
export function readLadder(cursor: Cursor): Ladder | null {
  return cursor.try(() => {
    const start = cursor.at;
    let rungs = rungsBetween(cursor, '-');
    if (rungs.length < 2) {
      cursor.at = start;
      rungs = rungsBetween(cursor, ',');
      if (rungs.length < 3) {
        cursor.at = start;
        rungs = rungsBetween(cursor, '-');
      }
    }
    if (rungs.length === 0 || rungs.some((rung) => rung < 1 || rung > 10_000)) return null;
    if (rungs.length >= 2) {
      const mark = cursor.at;
      const hyphen = cursor.sign('-');
      if (dots(cursor)) {
        const last = cursor.try((c) => {
          c.sign('-');
          return c.isNumber() && !c.peek()!.spaced ? c.next()!.value : null;
        });
        if (last === null) return { rungs, open: true };
        const filled = fillRungs(rungs, last);
        return filled ? { rungs: filled, open: false } : null;
      }
      if (hyphen) cursor.at = mark;
    }
    if (rungs.length === 1) {
      const last = cursor.try((c) => (c.word('to') && c.isNumber() ? c.next()!.value : null));
      if (last === null || last !== 1 || rungs[0]! < 3) return null;
      return { rungs: fillRungs(rungs, last)!, open: false };
    }
    const [first, second] = [rungs[0]!, rungs[1]!];
    if (rungs.length === 2 && second === 1 && first >= 5) return { rungs: fillRungs([first], 1)!, open: false };
    return rungs.length >= 3 || first > second ? { rungs, open: false } : null;
  });
}

const secondWords = ['s', 'sec', 'secs', 'second', 'seconds'];
const minuteWords = ['min', 'mins', 'minute', 'minutes'];
const hourWords = ['h', 'hr', 'hrs', 'hour', 'hours'];
export type Bare = 'minutes' | 'seconds' | 'none';

/** The unit behind a figure of time, in seconds. @param letterM whether `m` may mean minutes here */
function timeFactor(cursor: Cursor, letterM: boolean): number | null {
  cursor.try((c) => (c.sign('-') && c.isWord([...secondWords, ...minuteWords]) ? true : null));
  if (cursor.word(...secondWords)) return 1;
  if (cursor.word(...minuteWords) || (letterM && cursor.word('m'))) return 60;
  if (cursor.word(...hourWords)) return 3600;
  const token = cursor.peek();
  if (token?.kind === 'sign' && !token.spaced) {
    if (cursor.sign("'")) {
      if (cursor.sign("'")) return 1;
      return 60;
    }
    if (cursor.sign('"')) return 1;
  }
  return null;
}

/**
 * `8:00`, `:30`, `45 s`, `12 min`, `12'`, `1.5 min`, `1 min 30 s`, `90"` → seconds.
 * @param bare what a figure without a unit means; `none`: it is no duration
 */
export function readDuration(cursor: Cursor, bare: Bare, letterM = false): number | null {
  return cursor.try(() => {
    if (cursor.peek()?.kind === 'clock') {
      const seconds = cursor.next()!.value;
      cursor.word(...minuteWords, ...secondWords);
      return seconds;
    }
    const figure = readNumber(cursor);
    if (figure === null) return null;
    const factor = timeFactor(cursor, letterM);
    if (factor === null) return bare === 'none' ? null : figure * (bare === 'minutes' ? 60 : 1);
    const more = factor >= 60 ? cursor.try((c) => readShort(c, factor)) : null;
    return figure * factor + (more ?? 0);
  });
}
/** `30 s` behind `1 min`. */
function readShort(cursor: Cursor, above: number): number | null {
  cursor.word('and');
  const figure = readNumber(cursor);
  const factor = figure === null ? null : timeFactor(cursor, false);
  return figure === null || factor === null || factor >= above ? null : figure * factor;
}

/** `2:00-4:00`, `2-4 min`, `90 to 120 s`, `1:00` → seconds. */
export function readDurationSpan(cursor: Cursor, bare: Bare, letterM = false): Range | null {
  return cursor.try(() => {
    const start = cursor.at;
    const pair = cursor.try((c) => {
      const low = readNumber(c);
      const loose = c.peek()?.spaced === true && c.isSign('-');
      if (low === null || !(c.sign('-') || c.word('to')) || !c.isNumber()) return null;
      const high = readNumber(c)!;
      // "AMRAP 10 - 10 burpees" is no span of minutes
      const factor = timeFactor(c, letterM && !loose) ?? (bare === 'none' || loose ? null : bare === 'minutes' ? 60 : 1);
      return factor === null ? null : { low: low * factor, high: high * factor };
    });
    if (pair) return ordered(pair);
    cursor.at = start;
    const low = readDuration(cursor, bare, letterM);
    if (low === null) return null;
    const high = cursor.try((c) => ((c.isSign('-') && !c.peek()!.spaced && c.sign('-')) || c.word('to') ? readDuration(c, bare, letterM) : null));
    return ordered({ low, high: high ?? low });
  });
}
const ordered = ({ low, high }: Range): Range => ({ low: Math.min(low, high), high: Math.max(low, high) });

interface Unit {
  readonly unit: CountUnit;
  readonly factor: number;
  readonly said: SaidUnit | null;
}
const metre: Unit = { unit: 'm', factor: 1, said: null };
const kilometre: Unit = { unit: 'm', factor: 1000, said: 'km' };
const mile: Unit = { unit: 'm', factor: 1609.344, said: 'mile' };
const foot: Unit = { unit: 'm', factor: 0.3048, said: 'ft' };
const yard: Unit = { unit: 'm', factor: 0.9144, said: 'yd' };
const calorie: Unit = { unit: 'cal', factor: 1, said: null };
const second: Unit = { unit: 's', factor: 1, said: null };
const minute: Unit = { unit: 's', factor: 60, said: 'min' };
const repetition: Unit = { unit: 'reps', factor: 1, said: null };
const units: Readonly<Record<string, Unit>> = {
  ...Object.fromEntries(['m', 'meter', 'metre', 'meters', 'metres', 'mtr', 'mtrs'].map((word) => [word, metre])),
  ...Object.fromEntries(['km', 'k', 'kms', 'kilometre', 'kilometer', 'kilometres', 'kilometers'].map((word) => [word, kilometre])),
  ...Object.fromEntries(['mile', 'miles', 'mi'].map((word) => [word, mile])),
  ...Object.fromEntries(['ft', 'feet', 'foot'].map((word) => [word, foot])),
  ...Object.fromEntries(['yd', 'yds', 'yard', 'yards'].map((word) => [word, yard])),
  ...Object.fromEntries(['cal', 'cals', 'calorie', 'calories', 'kcal'].map((word) => [word, calorie])),
  ...Object.fromEntries(secondWords.map((word) => [word, second])),
  ...Object.fromEntries(minuteWords.map((word) => [word, minute])),
  ...Object.fromEntries(['rep', 'reps', 'repetition', 'repetitions', 'times'].map((word) => [word, repetition])),
};
/** SI value of one of the units a count may be written in. */
export const saidFactor: Readonly<Record<SaidUnit, number>> = { km: 1000, mile: 1609.344, ft: 0.3048, yd: 0.9144, min: 60, clock: 1 };

/** `feet-raised plank`, `feet-held sit-up`, `feet on box …`: feet that are raised are no distance. */
const startsName = (cursor: Cursor): boolean => {
  const next = cursor.isSign('-', 1) ? 2 : 1;
  return cursor.isWord('feet') && cursor.isWord(['raised', 'elevated', 'held', 'on'], next);
};

/** The unit of a count: metres, calories, seconds or repetitions. */
export function readUnit(cursor: Cursor): Unit | null {
  const token = cursor.peek();
  if (token?.kind === 'word') {
    const unit = own(units, token.text);
    if (!unit || startsName(cursor)) return null;
    cursor.at++;
    cursor.try((c) => (c.isSign('.') && !c.peek()!.spaced ? c.sign('.') : null));
    return unit;
  }
  if (token?.kind !== 'sign' || token.spaced) return null;
  if (cursor.sign('"')) return second;
  if (cursor.sign("'")) return cursor.sign("'") ? second : minute;
  return null;
}

/** `31X1`, `3-1-x-1`, `3011` → `31X1`: lowering, bottom, lifting, top; X is as fast as possible. */
export function readTempo(cursor: Cursor): string | null {
  return cursor.try(() => {
    let figures = '';
    let hyphens = false;
    for (let first = true; ; first = false) {
      const token = cursor.peek();
      if (!token || (!first && token.spaced && token.text !== '-')) break;
      if (token.kind === 'number' && /^\d{1,4}$/.test(token.text)) figures += token.text;
      else if (token.kind === 'word' && /^x$/.test(token.text)) figures += 'X';
      else if (token.kind === 'word' && /^[a-z]?\d+[a-z]?$/.test(token.text) && /x/.test(token.text)) figures += token.text.toUpperCase();
      else if (token.kind === 'sign' && token.text === '-' && !first) hyphens = true;
      else break;
      cursor.at++;
    }
    const usual = hyphens || figures.includes('X') || /^[0-6]{4}$/.test(figures);
    return /^[\dX]{4}$/.test(figures) && /\d/.test(figures) && usual ? figures : null;
  });
}

const kilogramWords = ['kg', 'kgs', 'kilo', 'kilos', 'kilogram', 'kilograms'];
const poundWords = ['lb', 'lbs', 'pound', 'pounds'];

/** `kg`, `lb`, `#`. */
export function readMassUnit(cursor: Cursor): MassUnit | null {
  cursor.try((c) => (c.sign('-') && c.isWord([...kilogramWords, ...poundWords]) ? true : null));
  if (cursor.word(...kilogramWords)) return 'kg';
  if (cursor.word(...poundWords) || cursor.sign('#')) return 'lb';
  return null;
}
