/** A window that the reference athlete meets, in figures a coach would write; null where the part has no such score. */
import { formatClock, type Part } from '@gambito/core';

interface Predicted {
  readonly unit: string;
  readonly low: number;
  readonly median: number;
  readonly high: number;
}
/** a window reaches this share to either side of what the reference does */
const reach = 0.15;

/** @param parts how many the workout has: the prediction is of the leading one, so that it is told for a lone part only */
export function windowAround(part: Part, predicted: Predicted | undefined, parts: number): string | null {
  if (!predicted || parts !== 1) return null;
  const { median, unit } = predicted;
  const [low, high] = [median * (1 - reach), median * (1 + reach)];
  if (part.kind === 'amrap' && unit === 'rounds') {
    const step = median < 6 ? 0.5 : 1;
    const whole = (value: number): number => Math.round(value / step) * step;
    return whole(high) > whole(low) ? `${whole(low)}-${whole(high)} rounds` : null;
  }
  if (part.kind !== 'forTime' || unit !== 'seconds' || part.sets > 1) return null;
  const step = median < 240 ? 15 : 30;
  const whole = (value: number): string => formatClock(Math.round(value / step) * step);
  return `${whole(low)}-${whole(high)}`;
}
