/** Whether a score lies in a window; a window around what the reference athlete does. */
import type { Part, Window } from '../workout/workout';

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

/** a window reaches this share to either side of what the reference does: a round figure */
const reach = 0.15;

/**
 * A window that the reference athlete meets, in figures a coach would write: half or whole rounds, quarter or half minutes.
 * @param predicted the score of the part as the reference does it @returns null where no window speaks of such a score
 */
export function windowAround(part: Part, { unit, median }: { readonly unit: string; readonly median: number }): Window | null {
  const rounds = part.kind === 'amrap' && unit === 'rounds';
  if (!rounds && (part.kind !== 'forTime' || unit !== 'seconds' || part.sets > 1)) return null;
  const step = rounds ? (median < 6 ? 0.5 : 1) : median < 240 ? 15 : 30;
  const [low, high] = [1 - reach, 1 + reach].map((share) => Math.round((median * share) / step) * step) as [number, number];
  return high > low ? { low, high, unit: rounds ? 'rounds' : 'seconds', per: 'part' } : null;
}
