/**
 * The tolerant band: what a score may be before a text is edited for it. Inside the window, give or take 5 % of its edges; without one within a quarter of what the
 * reference does; the middle is worth nothing. Prediction is good to ±10 % at best, so figures move for less than the model can know only where an edge is passed.
 */
import type { PartIntent } from '../../stimulus/intent';
import { speaksOf } from '../../stimulus/window';
import type { Part } from '../../workout/workout';

/** share of a window's edge that is forgiven (judgement) */
export const edgeTolerance = 0.05;
/** without a window: as a share of the reference's time or rounds (judgement) */
export const withinReference = 0.25;
/** s of rest an interval leaves at least, and how much more work than the reference's is no other interval (judgement) */
export const leastRestSeconds = 10;
export const sameRestSeconds = 10;

export interface Band {
  /** in the score's unit; null: open */
  readonly low: number | null;
  readonly high: number | null;
  /** more is better: rounds; less is better: seconds */
  readonly up: boolean;
  readonly windowed: boolean;
  /** the reference athlete misses the coach's window: said, and nobody's text is inflated for it */
  readonly slip: boolean;
}

/** @param easyEndOpen finishing early is allowed: newer athletes are cut once, and not driven afterwards */
export function bandOf(part: Part, intent: PartIntent, easyEndOpen: boolean): Band | null {
  const up = part.kind === 'amrap';
  if (intent.target === null || (part.kind !== 'amrap' && part.kind !== 'forTime' && part.kind !== 'windows')) return null;
  const reference = intent.stimulus.score;
  const quarter = { low: reference * (1 - withinReference), high: reference * (1 + withinReference) };
  const windowed = speaksOf(part.window, part.kind);
  const stated = windowed
    ? {
        low: part.window!.low === null ? null : part.window!.low * (1 - edgeTolerance),
        high: part.window!.high === null ? null : part.window!.high * (1 + edgeTolerance),
      }
    : quarter;
  const slip = windowed && !isWithin(easyEndOpen ? (up ? { low: stated.low, high: null } : { low: null, high: stated.high }) : stated, reference);
  const edges = slip ? { low: least(stated.low, quarter.low), high: most(stated.high, quarter.high) } : stated;
  if (!easyEndOpen) return { ...edges, up, windowed, slip };
  // an AMRAP of theirs is cut by its clock; fewer rounds in it are what is meant, not a second cut
  if (up && !windowed) return null;
  return { low: up ? edges.low : null, high: up ? null : edges.high, up, windowed, slip };
}
const isWithin = ({ low, high }: Pick<Band, 'low' | 'high'>, score: number): boolean => (low === null || score >= low) && (high === null || score <= high);
const least = (a: number | null, b: number): number | null => (a === null ? null : Math.min(a, b));
const most = (a: number | null, b: number): number | null => (a === null ? null : Math.max(a, b));

/** Signed distance from the band as a logarithm: 0 inside, + harder than meant (slower, fewer rounds), − easier. */
export function beyondBand({ low, high, up }: Band, score: number): number {
  const log = (edge: number): number => Math.log(Math.max(0.02, score) / Math.max(0.02, edge));
  if (low !== null && score < low) return up ? -log(low) : log(low);
  if (high !== null && score > high) return up ? -log(high) : log(high);
  return 0;
}

/** The same as a share of the nearest edge: what a drift of time says. */
export function timeDriftOf(band: Band, score: number): number {
  const edge = band.low !== null && score < band.low ? band.low : band.high !== null && score > band.high ? band.high : null;
  if (edge === null) return 0;
  return band.up ? edge / Math.max(0.02, score) - 1 : score / edge - 1;
}
