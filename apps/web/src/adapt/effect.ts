/** What a change does to the score of its part, in words. */
import { formatClock, type Run, type VersionEdit } from '@gambito/core';

/** `2:10 sooner`, `0.4 rounds fewer`; null where the change cannot be taken back or moves nothing to speak of. */
export function effectOf({ without }: Pick<VersionEdit, 'without'>, { score, unit }: Pick<Run['parts'][number], 'score' | 'unit'>): string | null {
  if (without === null) return null;
  const moved = score - without;
  if (unit === 'seconds') return Math.abs(moved) < 1 ? null : `${formatClock(Math.abs(moved))} ${moved < 0 ? 'sooner' : 'later'}`;
  return Math.abs(moved) < 0.05 ? null : `${Math.abs(moved).toFixed(1)} ${unit} ${moved < 0 ? 'fewer' : 'more'}`;
}
