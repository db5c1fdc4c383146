/**
 * Short messages with their undo. One stays as long as the pointer or the focus is in it, and what it undoes can be undone afterwards too: the last ones are kept here
 * (shell/just-done.tsx shows them, Ctrl K offers them).
 */
import { toast as show } from 'sonner';

export interface Undo {
  readonly label: string;
  readonly onClick: () => void;
}
interface Options {
  /** ms it stays at least */
  readonly duration?: number;
  readonly action?: Undo;
}
/** Something that was done and can be undone. */
export interface Done {
  readonly id: number;
  readonly text: string;
  /** takes it back, once */
  readonly undo: () => void;
}

const usually = 6_000;
/** an undo is read before it is decided on */
const withUndo = 12_000;
const mostKept = 10;

let kept: readonly Done[] = [];
let made = 0;
const listeners = new Set<() => void>();
function keep(next: readonly Done[]): void {
  kept = next;
  for (const listener of listeners) listener();
}
/** What was done lately and not taken back, the last one first. */
export const justDone = {
  now: (): readonly Done[] => kept,
  listen: (listener: () => void): (() => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  forget: (): void => keep([]),
};

const isHeld = (): boolean => document.querySelector('[data-sonner-toaster]')?.matches(':hover, :focus-within') ?? false;
/** Gone after its time, unless it is in somebody's hand: then it is asked again a little later. */
function dismissLater(id: string | number, milliseconds: number): void {
  setTimeout(() => {
    if (isHeld()) dismissLater(id, 1_000);
    else show.dismiss(id);
  }, milliseconds);
}

function remember(text: string, action: Undo): Undo {
  const id = ++made;
  const undo = (): void => {
    if (!kept.some((done) => done.id === id)) return;
    keep(kept.filter((done) => done.id !== id));
    action.onClick();
  };
  keep([{ id, text, undo }, ...kept].slice(0, mostKept));
  return { ...action, onClick: undo };
}

function said(text: string, { duration, action }: Options = {}): void {
  const id = show(text, { duration: Infinity, action: action && remember(text, action) });
  dismissLater(id, duration ?? (action ? withUndo : usually));
}
function failed(text: string, { duration = 10_000 }: Pick<Options, 'duration'> = {}): void {
  dismissLater(show.error(text, { duration: Infinity }), duration);
}
export const toast = Object.assign(said, { error: failed });
