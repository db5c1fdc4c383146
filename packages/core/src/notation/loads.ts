/** What weighs, stands high or goes slowly: `2x17.5/12.5 kg`, `135/95 lb`, `24/20"`, `to 10/9 ft`, `75 %`, `1.5 BW`, `AHAP`, `RPE 8`, `tempo 31X1`. */
import { poundsToKilograms, type MassUnit } from '../units/mass';
import { isWithin, ranges } from '../units/ranges';
import { cmOf, heightOf, type HeightUnit } from '../units/height';
import type { Effort, Height, Prescription } from '../workout/workout';
import { findMovement } from '../movements/names';
import type { Cursor } from '../text/cursor';
import { readColumns, readFigures, readMassUnit, readTempo } from '../text/figures';

export type ReadLoad =
  | { readonly kind: 'load'; readonly load: Prescription; readonly unitAssumed: boolean }
  | { readonly kind: 'height'; readonly heightCm: Height }
  | { readonly kind: 'tempo'; readonly tempo: string }
  | { readonly kind: 'effort'; readonly effort: Effort };

/** `2x`, `2 x`, `pair of`, `two`: how many implements. */
function readImplementCount(cursor: Cursor): 1 | 2 {
  const two = cursor.try((c) => (c.peek()?.text === '2' && c.isWord('x', 1) && c.isNumber(2) ? ((c.at += 2), true) : null));
  if (two || cursor.phrase('a?', 'pair', 'of') || cursor.phrase('two')) return 2;
  cursor.try((c) => (c.peek()?.text === '1' && c.isWord('x', 1) && c.isNumber(2) ? ((c.at += 2), true) : null));
  return 1;
}

const inKilograms = (figure: number, unit: MassUnit): number => (unit === 'lb' ? poundsToKilograms(figure) : figure);

/** `15/2x10` of `2x15/2x10 kg`: the pair is told in both columns. */
const readPairTwice = (cursor: Cursor): number[] | null =>
  cursor.try((c) => {
    const first = c.isNumber() ? c.next()!.value : NaN;
    if (!c.sign('/') || c.peek()?.text !== '2' || !c.isWord('x', 1) || !c.isNumber(2)) return null;
    c.at += 2;
    return [first, c.next()!.value];
  });

/** The figures of a load, a unit said once or behind each: `60/40 kg`, `60kg/40kg`, `60/70/80 kg`. */
function readMassFigures(cursor: Cursor): { figures: number[]; unit: MassUnit | null } | null {
  const figures = readPairTwice(cursor) ?? readFigures(cursor, ['/']);
  if (figures.length === 0) return null;
  const unit = readMassUnit(cursor);
  if (unit !== null && figures.length === 1 && cursor.isSign('/') && cursor.isNumber(1)) {
    const second = cursor.try((c) => {
      const more = c.sign('/') ? readFigures(c) : [];
      return more.length === 1 && readMassUnit(c) !== null ? more : null;
    });
    if (second) return { figures: [...figures, ...second], unit };
  }
  return { figures, unit };
}

const otherUnits = ['percent', 'cm', 'in', 'inch', 'inches', 'ft', 'foot', 'feet', 'bw', 'bodyweight', 'bodymass', 'body'];
/** Whether a figure goes on as a share, a height or a part of the body's mass: outside of its range it is no mass either. */
function isOfAnotherUnit(cursor: Cursor): boolean {
  const signed = cursor.isSign('-') && cursor.isNumber(1) ? 2 : cursor.isWord('x') ? 1 : 0;
  return ['%', '"', "'"].some((sign) => cursor.isSign(sign, signed)) || cursor.isWord(otherUnits, signed);
}

/** @param room the unit a bare figure is taken in; null: a bare figure is no load here */
export function readMass(cursor: Cursor, room: MassUnit | null): Extract<ReadLoad, { kind: 'load' }> | null {
  return cursor.try(() => {
    const count = readImplementCount(cursor);
    const read = readMassFigures(cursor);
    if (!read || read.figures.length > 12) return null;
    // a share or a height that cannot be is no mass either
    if (read.unit === null && isOfAnotherUnit(cursor)) return null;
    const unit = read.unit ?? room;
    if (unit === null || read.figures.some((figure) => !isWithin(inKilograms(figure, unit), ranges.loadKg))) return null;
    if (!cursor.isWord(['side', 'arm', 'leg', 'hand', 'set', 'round'], 1)) cursor.phrase('each|apiece');
    if (!cursor.phrase('per', 'hand|side|dumbbell|db|kb|implement')) cursor.phrase('a', 'hand');
    const [men, women] = read.figures.map((figure) => inKilograms(figure, unit));
    if (read.figures.length <= 2)
      return { kind: 'load', load: { kind: 'mass', men: men!, women: women ?? men!, count, unit }, unitAssumed: read.unit === null };
    const most = inKilograms(Math.max(...read.figures), unit);
    return {
      kind: 'load',
      load: { kind: 'mass', men: most, women: most, count, unit, sets: read.figures.map((figure) => inKilograms(figure, unit)) },
      unitAssumed: read.unit === null,
    };
  });
}

const oneHundredth = (value: number): number => Math.round(value * 1e4) / 1e6;
/** `75 %`, `60/70/80%`, `60-65 %`. */
function readShare(cursor: Cursor): Extract<ReadLoad, { kind: 'load' }> | null {
  return cursor.try(() => {
    const start = cursor.at;
    const figures = readFigures(cursor, ['/', ',']);
    if (figures.length > 0 && readPercent(cursor)) {
      if (figures.some((figure) => !isWithin(oneHundredth(figure), ranges.loadShare))) return null;
      const [men, women] = figures.map(oneHundredth);
      if (figures.length <= 2) return { kind: 'load', load: { kind: 'share', men: men!, women: women ?? men! }, unitAssumed: false };
      const most = oneHundredth(Math.max(...figures));
      return { kind: 'load', load: { kind: 'share', men: most, women: most, sets: figures.map(oneHundredth) }, unitAssumed: false };
    }
    cursor.at = start;
    const span = readFigures(cursor, ['-']);
    if (span.length !== 2 || !readPercent(cursor)) return null;
    const [low, high] = [Math.min(...span), Math.max(...span)].map(oneHundredth);
    if (!isWithin(low!, ranges.loadShare) || !isWithin(high!, ranges.loadShare)) return null;
    return { kind: 'load', load: { kind: 'share', men: high!, women: high!, low: low! }, unitAssumed: false };
  });
}
/** `70% of clean`, `of your best snatch` */
function namesLift(cursor: Cursor): boolean {
  const ahead = cursor.part(cursor.at, cursor.end);
  ahead.phrase('your|my|the', 'best?');
  ahead.phrase('best');
  return [3, 2, 1].some((count) => ahead.at + count <= ahead.end && findMovement(ahead.text(ahead.at, ahead.at + count)) !== null);
}
function readPercent(cursor: Cursor): boolean {
  if (!cursor.sign('%') && !cursor.word('percent')) return false;
  const isOf = cursor.word('of');
  // a share of another lift is no share of this one: it is kept as a note, and said
  if (isOf && namesLift(cursor)) return false;
  if (cursor.peek()?.text === '1' && cursor.isWord('rm', 1)) cursor.at += 2;
  else cursor.word('max');
  return true;
}

/** `1.5 BW`, `BW`, `body weight`, `1.5x bodyweight`, `1/0.75 BW`. */
function readBodyShare(cursor: Cursor): Extract<ReadLoad, { kind: 'load' }> | null {
  return cursor.try(() => {
    const figures = cursor.isNumber() ? readColumns(cursor) : { men: 1, women: 1 };
    if (!figures) return null;
    cursor.word('x');
    if (!cursor.phrase('bw|bodyweight|bodymass') && !cursor.phrase('body', 'weight|mass')) return null;
    if (!isWithin(figures.men, ranges.bodyShare) || !isWithin(figures.women, ranges.bodyShare)) return null;
    return { kind: 'load', load: { kind: 'bodyShare', ...figures }, unitAssumed: false };
  });
}

/** `60 cm`, `24/20"`, `30 in`, `to 10/9 ft`, `3'`. */
export function readHeight(cursor: Cursor): Extract<ReadLoad, { kind: 'height' }> | null {
  return cursor.try(() => {
    cursor.phrase('to?', 'a?', 'target?');
    const figures = readColumns(cursor);
    if (!figures) return null;
    const unit = heightUnit(cursor);
    if (unit === null) return null;
    const second = figures.men === figures.women ? readSecondHeight(cursor) : null;
    cursor.phrase('target|high|box');
    const heightCm = { ...heightOf(figures, unit), ...(second === null ? {} : { women: Math.round(second) }) };
    return isWithin(heightCm.men, ranges.heightCm) && isWithin(heightCm.women, ranges.heightCm) ? { kind: 'height', heightCm } : null;
  });
}
/** `24"/20"`, `60 cm/50 cm`: cm of the second column */
const readSecondHeight = (cursor: Cursor): number | null =>
  cursor.try((c) => {
    const figure = c.sign('/') && c.isNumber() ? c.next()!.value : null;
    const unit = figure === null ? null : heightUnit(c);
    return figure === null || unit === null ? null : figure * cmOf[unit];
  });
function heightUnit(cursor: Cursor): HeightUnit | null {
  cursor.try((c) => (c.sign('-') && c.isWord(['inch', 'in', 'cm', 'foot', 'ft']) ? true : null));
  if (cursor.word('cm')) return 'cm';
  if (cursor.word('in', 'inch', 'inches')) return 'in';
  if (cursor.word('ft', 'foot', 'feet')) return 'ft';
  if (cursor.isWord('m') && cursor.isWord(['target', 'high'], 1) && cursor.word('m')) return 'm';
  if (cursor.isSign('"') && cursor.sign('"')) return 'in';
  if (cursor.isSign("'") && cursor.sign("'")) return cursor.sign("'") ? 'in' : 'ft';
  return null;
}

/** `RPE 8`, `RIR 2`, `2 RIR`, `2 reps in reserve`. */
export function readEffort(cursor: Cursor): Extract<ReadLoad, { kind: 'effort' }> | null {
  return cursor.try(() => {
    const named = cursor.isWord(['rpe', 'rir']) ? (cursor.next()!.text as Effort['kind']) : null;
    const value = cursor.isNumber() ? cursor.next()!.value : NaN;
    const kind = named ?? (cursor.phrase('rir') || cursor.phrase('reps', 'in', 'reserve') || cursor.phrase('in', 'reserve') ? 'rir' : null);
    return kind !== null && isWithin(value, ranges.effort) ? { kind: 'effort', effort: { kind, value } } : null;
  });
}

const heavyWords: readonly (readonly string[])[] = [['ahap'], ['as', 'heavy', 'as', 'possible'], ['heavy']];
function readWords(cursor: Cursor): Extract<ReadLoad, { kind: 'load' }> | null {
  if (cursor.phrase('any', 'load|weight?') || cursor.phrase('any')) return { kind: 'load', load: { kind: 'any' }, unitAssumed: false };
  for (const words of heavyWords) if (cursor.phrase(...words)) return { kind: 'load', load: { kind: 'heavy' }, unitAssumed: false };
  return null;
}

/** What stands after `@`. @param room the unit a figure without one is taken in */
export function readLoad(cursor: Cursor, room: MassUnit): ReadLoad | null {
  const tempo = cursor.try((c) => {
    const named = c.word('tempo');
    const read = readTempo(c);
    // 2x15 is a pair; the X of a tempo is its third figure
    const plain = named || (read !== null && read.indexOf('X') !== 1 && !c.isSign('/') && !c.isSign('%') && readMassUnit(c) === null);
    return plain ? read : null;
  });
  if (tempo !== null) return { kind: 'tempo', tempo };
  return readEffort(cursor) ?? readShare(cursor) ?? readBodyShare(cursor) ?? readHeight(cursor) ?? readMass(cursor, room) ?? readWords(cursor);
}

/** A load, height, share or effort that says its unit, for places without an `@`. */
export function readMeasured(cursor: Cursor): ReadLoad | null {
  return readEffort(cursor) ?? readShare(cursor) ?? readMass(cursor, null) ?? readHeight(cursor);
}
