/** The coach's decisions on one workout, set, taken back and taken up again; one decision may be of several people. */
import type { Lock } from '@gambito/core';
import { useRef, useState } from 'react';
import { toast } from '../ui/toast';
import type { StoredLocks } from '../api/types';
import { useSaveLocks } from './use-save-locks';

export interface LocksOf {
  readonly athleteId: number;
  readonly locks: readonly Lock[];
}
/** What stood before, and what was set. */
interface Decision {
  readonly before: readonly LocksOf[];
  readonly after: readonly LocksOf[];
}

export function useLockHistory(workoutId: number, stored: readonly StoredLocks[]) {
  const { mutate } = useSaveLocks(workoutId);
  const [past, setPast] = useState<readonly Decision[]>([]);
  const [undone, setUndone] = useState<readonly Decision[]>([]);
  // a second press of a key comes before the screen is drawn again
  const latest = useRef({ past, undone });
  latest.current = { past, undone };
  const keep = (next: { past: readonly Decision[]; undone: readonly Decision[] }): void => {
    latest.current = next;
    setPast(next.past);
    setUndone(next.undone);
  };
  const save = (from: readonly LocksOf[], to: readonly LocksOf[]): void =>
    to.forEach(({ athleteId, locks }, at) => mutate({ athleteId, from: from[at]!.locks, to: locks }));
  const locksOf = (athleteId: number): readonly Lock[] => stored.find((locks) => locks.athleteId === athleteId)?.locks ?? [];

  const decide = (after: readonly LocksOf[]): void => {
    const before = after.map(({ athleteId }) => ({ athleteId, locks: locksOf(athleteId) }));
    keep({ past: [...latest.current.past, { before, after }], undone: [] });
    save(before, after);
  };
  const undo = (): void => {
    const last = latest.current.past.at(-1);
    if (!last) return;
    keep({ past: latest.current.past.slice(0, -1), undone: [...latest.current.undone, last] });
    save(last.after, last.before);
    toast('Undone.');
  };
  const redo = (): void => {
    const last = latest.current.undone.at(-1);
    if (!last) return;
    keep({ past: [...latest.current.past, last], undone: latest.current.undone.slice(0, -1) });
    save(last.before, last.after);
    toast('Done again.');
  };
  return { locksOf, decide, undo, redo, canUndo: past.length > 0, canRedo: undone.length > 0 };
}
export type LockHistory = ReturnType<typeof useLockHistory>;
