/** What a coach fixed in one person's version: of a slot or a part, the whole text of it, or a word to its athlete. */
import type { SlotLock } from './part/space';

/** Slots are numbered as they are written. */
export interface PartLock extends SlotLock {
  /** number of the part as the coach wrote it */
  readonly part: number;
  /** the line as the coach wants it, in the words of a workout text */
  readonly line?: string;
  /** the part's frame as the coach wants it, beside `scheme`: `4 rounds for time, cap 12:00` */
  readonly frame?: string;
}
/** The whole version, written by hand; nothing of it is changed. */
export interface HandLock {
  readonly byHand: string;
}
/** Said to the athlete, above the version. */
export interface NoteLock {
  readonly note: string;
}
export type Lock = PartLock | HandLock | NoteLock;

export const isPartLock = (lock: Lock): lock is PartLock => 'part' in lock;
export const partLocks = (locks: readonly Lock[]): PartLock[] => locks.filter(isPartLock);
export const byHandOf = (locks: readonly Lock[]): string | null => locks.reduce<string | null>((found, lock) => ('byHand' in lock ? lock.byHand : found), null);
export const noteOf = (locks: readonly Lock[]): string | null => locks.reduce<string | null>((found, lock) => ('note' in lock ? lock.note : found), null);
/** The same but for what was written by hand. */
export const withByHand = (locks: readonly Lock[], byHand: string | null): Lock[] => [
  ...locks.filter((lock) => !('byHand' in lock)),
  ...(byHand === null ? [] : [{ byHand }]),
];
/** The same but for what is said to the athlete; blank says nothing. */
export const withNote = (locks: readonly Lock[], note: string): Lock[] => [
  ...locks.filter((lock) => !('note' in lock)),
  ...(note.trim() === '' ? [] : [{ note: note.trim() }]),
];

/** What a lock is of: of two of the same, one stands. */
const placeOf = (lock: Lock): string => (isPartLock(lock) ? `${lock.part}.${lock.slot}${lock.scheme ? ' scheme' : ''}` : 'byHand' in lock ? 'by hand' : 'note');
/** whatever the order of their keys */
const written = (lock: Lock): string => JSON.stringify(Object.entries(lock).sort(([a], [b]) => (a < b ? -1 : 1)));
const isSame = (a: Lock, b: Lock): boolean => written(a) === written(b);
const without = (list: readonly Lock[], other: readonly Lock[]): Lock[] => list.filter((lock) => !other.some((each) => isSame(lock, each)));

/**
 * A decision taken where something else stands by now: what it lifted is lifted, what it set is set, and what somebody else decided meanwhile stays.
 * @param before what whoever decided saw @param after what they made of it
 */
export function mergedLocks(standing: readonly Lock[], before: readonly Lock[], after: readonly Lock[]): Lock[] {
  const set = without(after, before);
  const lifted = without(before, after);
  const kept = without(standing, lifted).filter((lock) => !set.some((fresh) => placeOf(fresh) === placeOf(lock)));
  return [...kept, ...set];
}
