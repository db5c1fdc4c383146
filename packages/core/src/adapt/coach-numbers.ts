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

/**
 * A ladder scaled as a coach would: the step stays a familiar one (1, 2, 3, 5, 10) and every rung stays a multiple of it where the original's were.
 * 21-15-9 gives 27-21-15, 18-12-6, 15-10-5 …, never 17-13-8.
 * @returns rungs ≥ 1, as many as before
 */
export function scaleLadder(rungs: readonly number[], factor: number, even: boolean): number[] {
  const common = rungs.reduce((a, b) => divisor(a, b));
  const familiar = [10, 5, 4, 3, 2, 1].find((step) => common % step === 0 && step * 2 <= Math.max(2, Math.min(...rungs) * factor * 1.5)) ?? 1;
  // long rungs are counted in fives
  const long = Math.max(...rungs) * factor > 36 ? Math.max(5, familiar) : familiar;
  const step = even && long % 2 === 1 ? long * 2 : long;
  const steps = rungs.slice(1).map((rung, index) => rungs[index]! - rung);
  const arithmetic = steps.length > 0 && steps.every((each) => each === steps[0] && each > 0);
  const toStep = (value: number): number => Math.max(step, Math.round(value / step) * step);
  if (!arithmetic) return rungs.map((rung) => toStep(rung * factor));
  const gap = toStep(steps[0]! * factor);
  const total = rungs.reduce((sum, rung) => sum + rung, 0) * factor;
  let last = toStep(total / rungs.length - (gap * (rungs.length - 1)) / 2);
  if (last < step) last = step;
  return rungs.map((_, index) => last + gap * (rungs.length - 1 - index));
}

/** Caps and durations: to the half minute from 3:00 on, to 5 s below. */
export function roundTime(seconds: number): number {
  const step = seconds >= 180 ? 30 : 5;
  return Math.max(step, Math.round(seconds / step) * step);
}
