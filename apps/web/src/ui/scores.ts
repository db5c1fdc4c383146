import { formatClock, trimNumber } from '@gambito/core';

/** A figure of a score in words a coach reads: 8:41, 8.9 rounds, 92 kg. */
export function showScore(value: number, unit: string): string {
  if (unit === 'seconds') return formatClock(Math.max(0, value));
  if (unit === 'rounds') return `${trimNumber(value, 1)} rounds`;
  return unit === 'kg' ? `${trimNumber(value, 1)} kg` : `${Math.round(value)} reps`;
}
