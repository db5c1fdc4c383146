/** The figures of a whiteboard: spans, columns, loads, heights, ladders. Each reader returns null when the text is something else. */
import { poundsToKilograms } from '../units/mass';
import { readDuration } from '../units/duration';
import type { Columns, CountUnit, Prescription, Range, Window } from '../workout/workout';

const number = String.raw`\d+(?:\.\d+)?`;
const clock = String.raw`(?:\d{1,2}:)?\d{1,3}:\d{2}`;
/** a duration with or without a unit, for use inside larger patterns */
export const durationSource = String.raw`(?:${clock}|${number}\s*(?:seconds|second|secs|sec|s|minutes|minute|mins|min|m|hours|hour|h|'|")?(?![a-z]))`;

/** @param bare what a figure without a unit means */
export function readTime(text: string, bare: 'minutes' | 'seconds'): number | null {
  const plain = text.trim();
  if (/^\d+(?:\.\d+)?$/.test(plain) && bare === 'minutes') return Math.round(Number(plain) * 60);
  return readDuration(plain);
}

/** `2:00`, `2:00-4:00`, `2-4 min` → seconds. */
export function readTimeRange(text: string, bare: 'minutes' | 'seconds'): Range | null {
  const parts = text.trim().split(/\s*-\s*/);
  if (parts.length > 2) return null;
  const unit = /(?:[a-z'"]+)$/i.exec(text.trim())?.[0] ?? '';
  const first = parts.length === 2 && /^\d+(?:\.\d+)?$/.test(parts[0]!) && unit ? `${parts[0]} ${unit}` : parts[0]!;
  const low = readTime(first, bare);
  const high = readTime(parts[parts.length - 1]!, bare);
  return low === null || high === null ? null : { low: Math.min(low, high), high: Math.max(low, high) };
}

/** `300/240` → columns, `12` → both. */
export function readColumns(text: string): Columns | null {
  const match = new RegExp(`^(${number})(?:\\s*/\\s*(${number}))?$`).exec(text.trim());
  return match ? { men: Number(match[1]), women: Number(match[2] ?? match[1]) } : null;
}

/** `21-15-9`, `1-2-3`, `10-8-6-8-10`; two figures only when they fall; at least three otherwise. A trailing `...` makes it open. */
export function readLadder(text: string): { rungs: number[]; open: boolean } | null {
  const match = /^(\d+(?:\s*-\s*\d+)+)\s*(?:-?\s*\.{3}|-?\s*etc\.?)?$/i.exec(text.trim());
  if (!match) return null;
  const rungs = match[1]!.split('-').map(Number);
  const open = /(?:\.{3}|etc\.?)$/i.test(text.trim());
  if (rungs.some((rung) => rung < 1)) return null;
  return rungs.length >= 3 || open || rungs[0]! > rungs[1]! ? { rungs, open } : null;
}

const unitWords: Readonly<Record<string, { unit: CountUnit; factor: number }>> = {
  m: { unit: 'm', factor: 1 },
  meter: { unit: 'm', factor: 1 },
  metre: { unit: 'm', factor: 1 },
  meters: { unit: 'm', factor: 1 },
  metres: { unit: 'm', factor: 1 },
  km: { unit: 'm', factor: 1000 },
  k: { unit: 'm', factor: 1000 },
  mile: { unit: 'm', factor: 1609.344 },
  miles: { unit: 'm', factor: 1609.344 },
  ft: { unit: 'm', factor: 0.3048 },
  feet: { unit: 'm', factor: 0.3048 },
  foot: { unit: 'm', factor: 0.3048 },
  yd: { unit: 'm', factor: 0.9144 },
  cal: { unit: 'cal', factor: 1 },
  cals: { unit: 'cal', factor: 1 },
  calorie: { unit: 'cal', factor: 1 },
  calories: { unit: 'cal', factor: 1 },
  s: { unit: 's', factor: 1 },
  sec: { unit: 's', factor: 1 },
  secs: { unit: 's', factor: 1 },
  second: { unit: 's', factor: 1 },
  seconds: { unit: 's', factor: 1 },
  '"': { unit: 's', factor: 1 },
  min: { unit: 's', factor: 60 },
  mins: { unit: 's', factor: 60 },
  minute: { unit: 's', factor: 60 },
  minutes: { unit: 's', factor: 60 },
  "'": { unit: 's', factor: 60 },
  rep: { unit: 'reps', factor: 1 },
  reps: { unit: 'reps', factor: 1 },
};
export const unitSource = Object.keys(unitWords)
  .sort((a, b) => b.length - a.length)
  .join('|');
export function readUnit(word: string): { unit: CountUnit; factor: number } | null {
  return unitWords[word.toLowerCase()] ?? null;
}

export type ReadLoad =
  | { readonly kind: 'load'; readonly load: Prescription; readonly unitAssumed: boolean }
  | { readonly kind: 'height'; readonly heightCm: Columns }
  | { readonly kind: 'tempo'; readonly tempo: string };

/** What stands after `@`: `2x17.5/12.5 kg`, `135/95 lb`, `50 cm`, `75 %`, `any`, `31X1`. */
export function readLoad(text: string): ReadLoad | null {
  const plain = text.trim().toLowerCase();
  if (/^any(?: load| weight)?$/.test(plain)) return { kind: 'load', load: { kind: 'any' }, unitAssumed: false };
  const tempo = /^(?:tempo\s+)?(\d[\d-]*[\dx][\d-]*[\dx])$/i.exec(plain);
  if (tempo && readTempo(plain.replace(/^tempo\s+/, ''))) return { kind: 'tempo', tempo: readTempo(plain.replace(/^tempo\s+/, ''))! };
  const match = new RegExp(
    `^(?:(2\\s*x|two|pair of)\\s*)?(${number})(?:\\s*/\\s*(${number}))?\\s*(kg|kgs|kilos?|lb|lbs|pounds?|#|cm|in|inch|inches|%)?(?:\\s+each)?$`,
  ).exec(plain);
  if (!match) return null;
  const men = Number(match[2]);
  const women = Number(match[3] ?? match[2]);
  const word = match[4] ?? '';
  if (word === 'cm') return { kind: 'height', heightCm: { men, women } };
  if (word.startsWith('in')) return { kind: 'height', heightCm: { men: Math.round(men * 2.54), women: Math.round(women * 2.54) } };
  if (word === '%') return { kind: 'load', load: { kind: 'share', men: men / 100, women: women / 100 }, unitAssumed: false };
  const pounds = /^(?:lb|lbs|pound|pounds|#)$/.test(word);
  const kilograms = (value: number): number => (pounds ? poundsToKilograms(value) : value);
  return {
    kind: 'load',
    load: { kind: 'mass', men: kilograms(men), women: kilograms(women), count: match[1] ? 2 : 1, unit: pounds ? 'lb' : 'kg' },
    unitAssumed: word === '',
  };
}

/** `31X1`, `3-1-x-1` → `31X1`: lowering, bottom, lifting, top; X is as fast as possible. */
export function readTempo(text: string): string | null {
  const squeezed = text.replace(/-/g, '').toUpperCase();
  return /^[\dX]{4}$/.test(squeezed) && /\d/.test(squeezed) && (text.includes('-') || /X/.test(squeezed) || /^[0-6]{4}$/.test(squeezed)) ? squeezed : null;
}

/** `8:00-11:00`, `3:00-4:30 per set`, `8-12+ rounds`, `under 8:00`, `80-100 kg`. Anything after it is left alone. */
export function readWindow(text: string, defaultUnit: Window['unit'] | null): Window | null {
  const plain = text.trim().toLowerCase();
  const perMatch = /\b(?:per|a|each)\s+(round|set|part|workout)\b/.exec(plain);
  const per = (perMatch?.[1] ?? 'part') as Window['per'];
  const times = new RegExp(`^(under\\s+|over\\s+)?(${clock})(?:\\s*(?:-|to)\\s*(${clock}))?(\\+)?`).exec(plain);
  if (times) {
    const first = readDuration(times[2]!)!;
    const second = times[3] ? readDuration(times[3])! : null;
    if (times[1]?.startsWith('under')) return { low: null, high: first, unit: 'seconds', per };
    if (times[1]?.startsWith('over') || (times[4] && second === null)) return { low: first, high: null, unit: 'seconds', per };
    if (second === null) return null;
    return times[4] ? { low: first, high: null, usual: second, unit: 'seconds', per } : { low: first, high: second, unit: 'seconds', per };
  }
  const counts = new RegExp(`^(under\\s+|over\\s+)?(${number})(?:\\s*(?:-|to)\\s*(${number}))?(\\+)?\\s*(rounds?|reps?|kg|min(?:utes?)?)?`).exec(plain);
  if (!counts || (!counts[5] && !defaultUnit)) return null;
  const word = counts[5] ?? '';
  const inMinutes = word.startsWith('min');
  const unit: Window['unit'] = word.startsWith('round')
    ? 'rounds'
    : word.startsWith('rep')
      ? 'reps'
      : word === 'kg'
        ? 'kg'
        : inMinutes
          ? 'seconds'
          : defaultUnit!;
  const scale = inMinutes ? 60 : 1;
  const low = Number(counts[2]) * scale;
  const high = counts[3] ? Number(counts[3]) * scale : null;
  if (counts[1]?.startsWith('under')) return { low: null, high: low, unit, per };
  if (counts[1]?.startsWith('over')) return { low, high: null, unit, per };
  if (counts[4]) return high === null ? { low, high: null, unit, per } : { low, high: null, usual: high, unit, per };
  return high === null ? null : { low, high, unit, per };
}
