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
/** What is a text of the coach's: the whole version by hand, a word above it, what stands before and after it. */
export type LockedText = 'byHand' | 'note' | 'warmUp' | 'coolDown';
export type TextLock = { [Key in LockedText]: { readonly [Only in Key]: string } }[LockedText];
export type Lock = PartLock | TextLock;

export const isPartLock = (lock: Lock): lock is PartLock => 'part' in lock;
export const partLocks = (locks: readonly Lock[]): PartLock[] => locks.filter(isPartLock);
/** The text a coach fixed; null where they left it to Gambito. */
export const lockedText = (locks: readonly Lock[], key: LockedText): string | null =>
  locks.reduce<string | null>((found, lock) => (key in lock ? (lock as Record<LockedText, string>)[key] : found), null);
export const byHandOf = (locks: readonly Lock[]): string | null => lockedText(locks, 'byHand');
export const noteOf = (locks: readonly Lock[]): string | null => lockedText(locks, 'note');
/** The same but for one text. @param text null: it is lifted */
export const withText = (locks: readonly Lock[], key: LockedText, text: string | null): Lock[] => [
  ...locks.filter((lock) => !(key in lock)),
  ...(text === null ? [] : [{ [key]: text } as unknown as TextLock]),
];
export const withByHand = (locks: readonly Lock[], byHand: string | null): Lock[] => withText(locks, 'byHand', byHand);
/** Blank says nothing. */
export const withNote = (locks: readonly Lock[], note: string): Lock[] => withText(locks, 'note', note.trim() || null);

/** What a lock is of: of two of the same, one stands. */
const placeOf = (lock: Lock): string => (isPartLock(lock) ? `${lock.part}.${lock.slot}${lock.scheme ? ' scheme' : ''}` : Object.keys(lock).join());
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
