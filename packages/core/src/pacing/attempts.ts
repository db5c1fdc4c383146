/** The attempts of a max-load part: one each 60–70 s, in 5–10 lb steps up to the predicted best (T6, common practice). */
import { attemptSeconds } from '../simulate/max-load';

export interface Attempt {
  readonly atSeconds: number;
  readonly kg: number;
}
const stepKg = 2.5;

/** @param bestKg predicted best, > 0 @returns up to six attempts, ascending, the last one the best rounded down to 2.5 kg */
export function attemptLadder(bestKg: number, seconds: number): Attempt[] {
  const count = Math.max(1, Math.min(6, Math.floor(seconds / attemptSeconds)));
  const last = Math.max(stepKg, Math.floor(bestKg / stepKg) * stepKg);
  const step = last < 50 ? stepKg : 2 * stepKg;
  return Array.from({ length: count }, (_, index) => ({
    atSeconds: Math.round((index * seconds) / count / 5) * 5,
    kg: Math.max(stepKg, last - step * (count - 1 - index)),
  })).filter((attempt, index, all) => index === 0 || attempt.kg > all[index - 1]!.kg);
}
