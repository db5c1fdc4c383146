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
