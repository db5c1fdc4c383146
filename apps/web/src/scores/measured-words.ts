/** What devices and a watch told of a session, in words. */
import type { Measured } from '@gambito/contract';
import { formatClock } from '@gambito/core';

const metres = (value: number): string => (value >= 1000 ? `${(value / 1000).toFixed(2)} km` : `${Math.round(value)} m`);

export function measuredWords({ heart, row, run }: Measured): string {
  const pace = run && run.seconds !== null && run.metres > 0 ? `, ${formatClock(Math.round(run.seconds / (run.metres / 1000)))} a km` : '';
  return [
    heart && `heart ${heart.mean} on the whole, ${heart.most} at most`,
    row && `rowed ${metres(row.metres)} in ${formatClock(row.seconds)}`,
    run && `ran ${metres(run.metres)}${run.seconds === null ? '' : ` in ${formatClock(Math.round(run.seconds))}`}${pace}`,
  ]
    .filter(Boolean)
    .join('; ');
}
