/** Figures of a person and a room, read from the same tokens as everything else: `64 kg`, `10 st 4`, `5'6"`, `1,68 m`, `3 x 2 m`, `45 min`, `80 kg x 5`. */
import { Cursor } from '../text/cursor';
import { readDuration as takeDuration, readMassUnit, readNumber } from '../text/figures';
import { poundsToKilograms } from '../units/mass';
import { isWithin, ranges } from '../units/ranges';
import type { KnownMax } from './athlete';

export const textOf = (value: unknown): string =>
  (typeof value === 'string' ? value : typeof value === 'number' && Number.isFinite(value) ? String(value) : '').trim();
/** nothing that is typed for one figure is longer */
const longest = 60;
const whole = <T>(value: unknown, rule: (cursor: Cursor) => T | null): T | null => {
  const cursor = Cursor.over(textOf(value).slice(0, longest));
  const read = rule(cursor);
  return cursor.done ? read : null;
};

/** A decimal comma with nothing behind it: `64,5`. */
function takeFigure(cursor: Cursor): number | null {
  const first = readNumber(cursor);
  if (first === null) return null;
  return cursor.try((c) => (c.sign(',') && c.isNumber() ? Number(`${first}.${c.next()!.text}`) : null)) ?? first;
}

/** @returns kilograms; a bare figure is in `usual` */
function takeMass(cursor: Cursor, usual: 'kg' | 'lb'): number | null {
  const figure = takeFigure(cursor);
  if (figure === null) return null;
  if (cursor.word('st', 'stone', 'stones')) {
    const pounds = cursor.isNumber() ? readNumber(cursor)! : 0;
    readMassUnit(cursor);
    return poundsToKilograms(figure * 14 + pounds);
  }
  return (readMassUnit(cursor) ?? usual) === 'lb' ? poundsToKilograms(figure) : figure;
}
/** `64 kg`, `141 lb`, `10 st 4`, `64`; null when it is no mass */
export const readMass = (value: unknown, usual: 'kg' | 'lb' = 'kg'): number | null => whole(value, (cursor) => takeMass(cursor, usual));

/** `168 cm`, `1.68 m`, `5'6"`, `5 ft 6`, `168`; metres */
export function readLength(value: unknown): number | null {
  return whole(value, (cursor) => {
    const figure = takeFigure(cursor);
    if (figure === null) return null;
    if (cursor.word('ft', 'foot', 'feet') || cursor.sign("'")) {
      const inches = cursor.isNumber() ? readNumber(cursor)! : 0;
      if (!cursor.word('in', 'inches') && !cursor.sign('"')) cursor.try((c) => (c.sign("'") && c.sign("'") ? true : null));
      return figure * 0.3048 + inches * 0.0254;
    }
    if (cursor.word('cm')) return figure / 100;
    if (cursor.word('in', 'inches') || cursor.sign('"')) return figure * 0.0254;
    return cursor.word('m', 'metres', 'meters') || figure <= 3.5 ? figure : figure / 100;
  });
}

/** `80 kg`, `80 kg x 5`, `5 x 80 kg` */
export function readMax(value: unknown, usual: 'kg' | 'lb'): KnownMax | null {
  return whole(value, (cursor) => {
    const before = cursor.try((c) => (c.isNumber() && c.isWord('x', 1) && c.isNumber(2) ? c.next()!.value : null));
    if (before !== null) cursor.word('x');
    const kg = takeMass(cursor, usual);
    if (kg === null) return null;
    const after = cursor.word('x', 'for') && cursor.isNumber() ? readNumber(cursor) : null;
    cursor.phrase('reps|rep');
    const reps = before ?? after ?? 1;
    return Number.isInteger(reps) && isWithin(reps, ranges.maxReps) && isWithin(kg, ranges.maxKg) ? { kg, reps } : null;
  });
}

/** `6`, `45 s`, `24 reps`, `1:30`. */
export function readBest(value: unknown): number | null {
  return whole(value, (cursor) => {
    const timed = cursor.try((c) => takeDuration(c, 'none'));
    if (timed !== null) return timed;
    const reps = readNumber(cursor);
    cursor.phrase('reps|rep');
    return reps;
  });
}

/** Seconds; a bare figure is in `bare`. */
export const readDurationOf = (value: unknown, bare: 'minutes' | 'seconds'): number | null => whole(value, (cursor) => takeDuration(cursor, bare, true));

/** `3 x 2 m`, `3x2`, `300 x 200 cm`; metres, both above nothing. */
export function readFloor(value: unknown): { lengthM: number; widthM: number } | null {
  return whole(value, (cursor) => {
    const length = takeFigure(cursor);
    cursor.word('m');
    if (length === null || !(cursor.word('x', 'by') || cursor.sign('*'))) return null;
    const width = takeFigure(cursor);
    const factor = cursor.word('cm') ? 0.01 : cursor.word('ft', 'feet') ? 0.3048 : 1;
    cursor.word('m', 'metres', 'meters');
    if (width === null) return null;
    const floor = { lengthM: length * factor, widthM: width * factor };
    return isWithin(floor.lengthM, ranges.floorM) && isWithin(floor.widthM, ranges.floorM) ? floor : null;
  });
}
