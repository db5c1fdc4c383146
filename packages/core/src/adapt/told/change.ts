/** How far a version is from its text, as one word a coach reads at a glance; and a class in one line. */
import { formatMass, type MassUnit } from '../../units/mass';
import type { VersionPart } from './version-slots';

export const changes = ['asWritten', 'otherLoad', 'recounted', 'swapped'] as const;
export type Change = (typeof changes)[number];
export const changeWords: Readonly<Record<Change, string>> = {
  asWritten: 'as written',
  otherLoad: 'other load',
  recounted: 'other counts',
  swapped: 'swapped',
};

/** The furthest kind of change in a version: a swap, a count or a clock, a load, or none. */
export function changeOf(parts: readonly VersionPart[]): Change {
  const kinds = new Set(parts.flatMap(({ edits }) => edits.map(({ kind }) => kind)));
  if (kinds.has('swap') || parts.some(({ slots }) => slots.some(({ swapped }) => swapped))) return 'swapped';
  if (['count', 'rounds', 'scheme', 'clock', 'part'].some((kind) => kinds.has(kind as 'count'))) return 'recounted';
  return kinds.has('load') ? 'otherLoad' : 'asWritten';
}

/** The loads of a version in one phrase: `35 kg`, `2 × 15 kg, 24 kg`; empty without any. */
export function loadsInWords(parts: readonly VersionPart[], units: MassUnit): string {
  const loads = parts.flatMap(({ slots }) => slots.flatMap(({ load }) => (load ? [`${load.count === 2 ? '2 × ' : ''}${formatMass(load.kg, units)}`] : [])));
  return [...new Set(loads)].join(', ');
}

/** `9 as written · 3 other load · 2 swapped`; kinds nobody has are left out. */
export function classInWords(versions: readonly Change[]): string {
  return changes
    .map((change) => ({ change, count: versions.filter((each) => each === change).length }))
    .filter(({ count }) => count > 0)
    .map(({ change, count }) => `${count} ${changeWords[change]}`)
    .join(' · ');
}
