/** Whether a score lies in a window, and how far outside. */
import type { Window } from '../workout/workout';

/** The window says something about this kind of score. A window a round says nothing of the whole. */
export function speaksOf(window: Window | null, kind: string): window is Window {
  if (!window || window.per === 'round') return false;
  return (kind === 'amrap' && window.unit === 'rounds') || (kind !== 'amrap' && window.unit === 'seconds');
}

/** Whether a score lies in the window; null without one of its unit. */
export function insideWindow(intent: { readonly window: Window | null }, kind: string, score: number): boolean | null {
  const { window } = intent;
  if (!speaksOf(window, kind)) return null;
  return (window.low === null || score >= window.low - 1e-9) && (window.high === null || score <= window.high + 1e-9);
}
