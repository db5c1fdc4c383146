/** Counts a coach would write: round figures near a wanted one, ladders that stay ladders, even counts where sides alternate. */
import type { CountUnit } from '../workout/workout';

const multiples = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step);
const repFigures = [
  ...multiples(1, 12, 1),
  14,
  15,
  16,
  18,
  20,
  21,
  24,
  25,
  27,
  ...multiples(30, 60, 5),
  ...multiples(70, 200, 10),
  ...multiples(250, 1000, 50),
];
const metreFigures = [
  ...multiples(5, 30, 5),
  40,
  50,
  60,
  80,
  100,
  120,
  150,
  ...multiples(200, 1000, 50),
  ...multiples(1100, 3000, 100),
  ...multiples(3500, 20000, 500),
];
const calorieFigures = [...multiples(3, 16, 1), 18, 20, 22, 24, 25, 27, ...multiples(30, 60, 5), ...multiples(70, 300, 10)];
const secondFigures = [...multiples(5, 60, 5), ...multiples(70, 180, 10), ...multiples(210, 1800, 30)];

const figuresOf: Readonly<Record<CountUnit, readonly number[]>> = { reps: repFigures, m: metreFigures, cal: calorieFigures, s: secondFigures };

/** The round figures around a wanted count, nearest first; even ones only where sides alternate. `kept` is always allowed: it is what the coach wrote. */
export function roundFigures(wanted: number, unit: CountUnit, options: { readonly even: boolean; readonly most?: number; readonly kept?: number }): number[] {
  const { even, most = 2, kept } = options;
  const fits = (figure: number): boolean => !even || unit !== 'reps' || figure % 2 === 0;
  const distance = (figure: number): number => Math.abs(Math.log(figure / Math.max(0.5, wanted)));
  // figures ascend, so the nearest stand around the wanted one
  const pool = figuresOf[unit].filter(fits);
  let at = pool.findIndex((figure) => figure >= wanted);
  if (at < 0) at = pool.length;
  const near = pool.slice(Math.max(0, at - most), at + most);
  if (kept !== undefined && (!even || kept % 2 === 0) && !near.includes(kept)) near.push(kept);
  return near.sort((a, b) => distance(a) - distance(b) || a - b).slice(0, most);
}

const divisor = (a: number, b: number): number => (b === 0 ? a : divisor(b, a % b));

/** steps that coaches write (common practice); from 20 on also other tens */
const familiarSteps: readonly number[] = [1, 2, 3, 4, 5, 6, 8, 9, 10, 12, 15, 20, 25];
/** A ladder of one familiar step whose rungs are multiples of the step or of half of it: 21-15-9, 24-16-8, 35-25-15-5, 9-7-5; not 27-19-11-3, 11-8-5 or 28-21-14-7. */
const familiar = (last: number, gap: number): boolean => (familiarSteps.includes(gap) || gap % 10 === 0) && 2 * divisor(last, gap) >= gap;
/** what a ladder twice as steep costs against a total that is off by as much (round figure) */
const shapeWeight = 0.15;
/** rungs from here on are counted in fives */
const longRung = 36;

/**
 * A ladder scaled as a coach would: one step throughout, a familiar one, as near as that allows to the wanted total and then to the shape.
 * 21-15-9 gives 27-21-15, 18-12-6, 15-10-5 …, never 17-13-8. Ladders of several steps (down then up, 50-30-10-10) keep their rungs in round figures.
 * @param even every rung even, because sides alternate
 * @returns rungs ≥ 1, as many as before
 */
export function scaleLadder(rungs: readonly number[], factor: number, even: boolean): number[] {
  const gaps = rungs.slice(1).map((rung, index) => rungs[index]! - rung);
  const gap = gaps[0] ?? 0;
  if (gap <= 0 || gaps.some((each) => each !== gap)) return scaleRungs(rungs, factor, even);
  const mean = (rungs.reduce((sum, rung) => sum + rung, 0) / rungs.length) * factor;
  const steepness = (top: number, last: number): number => Math.log(top / last);
  const asWritten = steepness(rungs[0]!, rungs[rungs.length - 1]!);
  let best: { cost: number; last: number; gap: number } | null = null;
  for (let nextGap = 1; nextGap <= Math.max(2, gap * factor * 2); nextGap++) {
    const toMiddle = (nextGap * (rungs.length - 1)) / 2;
    for (let last = Math.max(1, Math.floor(mean - toMiddle) - nextGap); last <= Math.max(2, Math.ceil(mean - toMiddle) + nextGap); last++) {
      const top = last + 2 * toMiddle;
      if (!familiar(last, nextGap) || (even && (last % 2 === 1 || nextGap % 2 === 1))) continue;
      if (top > longRung && (last % 5 !== 0 || nextGap % 5 !== 0)) continue;
      const cost = Math.abs(Math.log((last + toMiddle) / mean)) + shapeWeight * Math.abs(steepness(top, last) - asWritten);
      if (best === null || cost < best.cost - 1e-12) best = { cost, last, gap: nextGap };
    }
  }
  if (best === null) return scaleRungs(rungs, factor, even);
  const { last, gap: step } = best;
  return rungs.map((_, index) => last + step * (rungs.length - 1 - index));
}

/** Each rung for itself: multiples of the largest familiar figure that the written rungs share and that is not too coarse for the smallest. */
function scaleRungs(rungs: readonly number[], factor: number, even: boolean): number[] {
  const common = rungs.reduce((a, b) => divisor(a, b));
  const shared = [10, 5, 4, 3, 2, 1].find((step) => common % step === 0 && step * 2 <= Math.max(2, Math.min(...rungs) * factor * 1.5)) ?? 1;
  const long = Math.max(...rungs) * factor > longRung ? Math.max(5, shared) : shared;
  const step = even && long % 2 === 1 ? long * 2 : long;
  return rungs.map((rung) => Math.max(step, Math.round((rung * factor) / step) * step));
}

/** Caps and durations: to the half minute from 3:00 on, to 5 s below. */
export function roundTime(seconds: number): number {
  const step = seconds >= 180 ? 30 : 5;
  return Math.max(step, Math.round(seconds / step) * step);
}
