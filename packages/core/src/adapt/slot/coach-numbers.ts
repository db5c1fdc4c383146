/**
 * Figures a coach writes (common practice): for counts that change, and for conversions after rounding. What the coach wrote stays as it is, whatever it is.
 */
import type { CountUnit } from '../../workout/workout';

const multiples = (from: number, to: number, step: number): number[] =>
  Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step);

const repFigures = [...multiples(1, 12, 1), 14, 15, 16, 18, 20, 21, 22, 24, 25, 27, 28, 30, 32, 35, 36, 40, 45, 50, 60, 75, 80, 90, 100, 120, 150, 200];
const metreFigures = [
  5, 10, 15, 20, 25, 30, 40, 50, 60, 80, 100, 150, 200, 250, 300, 400, 500, 600, 800, 1000, 1200, 1500, 1600, 2000, 2400, 2500, 3000, 4000, 5000, 6000, 8000,
  10000,
];
const calorieFigures = [3, 4, 5, 6, 7, 8, 9, 10, 12, 14, 15, 16, 18, 20, 21, 24, 25, 30, 35, 40, 50, 60, 75, 80, 100, 120, 150, 200, 250, 300];
const secondFigures = [10, 15, 20, 30, 40, 45, 60, 75, 90, 120, 150, 180, 240, 300, 360, 480, 600, 900, 1200, 1800];
const figuresOf: Readonly<Record<CountUnit, readonly number[]>> = { reps: repFigures, m: metreFigures, cal: calorieFigures, s: secondFigures };

const fitting = (unit: CountUnit, even: boolean): readonly number[] =>
  even && unit === 'reps' ? repFigures.filter((figure) => figure % 2 === 0) : figuresOf[unit];

/** The figure nearest to a wanted count, by ratio; an even one where sides alternate. Beyond the list it is itself, rounded. */
export function nearestFigure(wanted: number, unit: CountUnit, even: boolean): number {
  const list = fitting(unit, even);
  const away = (figure: number): number => Math.abs(Math.log(figure / Math.max(0.5, wanted)));
  return list.reduce((best, figure) => (away(figure) < away(best) ? figure : best));
}

/** The largest figure that does not go beyond; the smallest there is where all do. */
export function figureBelow(most: number, unit: CountUnit, even: boolean): number {
  const list = fitting(unit, even);
  return [...list].reverse().find((figure) => figure <= most) ?? list[0]!;
}

/** Every figure from `low` to `high`, ascending. */
export const figuresWithin = (low: number, high: number, unit: CountUnit, even: boolean): number[] =>
  fitting(unit, even).filter((figure) => figure >= low - 1e-9 && figure <= high + 1e-9);

/** Whether a coach would write this figure. */
export const isFigure = (count: number, unit: CountUnit): boolean => figuresOf[unit].includes(count);

/** Ladders of the trade (common practice). */
export const tradeLadders: readonly (readonly number[])[] = [
  [21, 15, 9],
  [18, 12, 6],
  [15, 12, 9],
  [15, 10, 5],
  [12, 9, 6],
  [9, 6, 3],
  [27, 21, 15],
  [30, 20, 10],
  [24, 18, 12],
  [24, 16, 8],
  [40, 30, 20],
  [45, 30, 15],
  [20, 15, 10],
  [50, 40, 30, 20, 10],
  [40, 30, 20, 10],
  [30, 25, 20, 15, 10],
  [25, 20, 15, 10, 5],
  [20, 16, 12, 8, 4],
  [20, 15, 10, 5],
  [10, 8, 6, 4, 2],
  [8, 6, 4, 2],
  [10, 9, 8, 7, 6, 5, 4, 3, 2, 1],
  [8, 7, 6, 5, 4, 3, 2, 1],
  [12, 11, 10, 9, 8, 7, 6, 5, 4, 3, 2, 1],
];
const total = (rungs: readonly number[]): number => rungs.reduce((sum, rung) => sum + rung, 0);
const same = (a: readonly number[], b: readonly number[]): boolean => a.length === b.length && a.every((rung, at) => rung === b[at]);
const oneStep = (rungs: readonly number[]): boolean =>
  rungs.length > 1 && rungs.slice(1).every((rung, at) => rungs[at]! - rung === rungs[0]! - rungs[1]! && rung > 0);

/**
 * Ladders a coach would write instead, with a total between `low` and `high` of the written one: of the trade and as many rungs, or the written one with its last
 * rung repeated (once or twice), or its first or last rung left off. Nearest total first.
 */
export function ladderSteps(rungs: readonly number[], low: number, high: number): number[][] {
  const last = rungs[rungs.length - 1]!;
  const repeated =
    rungs.length <= 5
      ? [
          [...rungs, last],
          [...rungs, last, last],
        ]
      : [];
  const left = [...(rungs.length > 2 ? [rungs.slice(1)] : []), ...(rungs.length > 3 ? [rungs.slice(0, -1), rungs.slice(2)] : [])];
  const kin = tradeLadders.filter((ladder) => ladder.length === rungs.length && (oneStep(rungs) || same(ladder, rungs))).map((ladder) => [...ladder]);
  const share = (ladder: readonly number[]): number => total(ladder) / total(rungs);
  return [...kin, ...left, ...repeated]
    .filter(
      (ladder, at, all) =>
        !same(ladder, rungs) && all.findIndex((each) => same(each, ladder)) === at && share(ladder) >= low - 1e-9 && share(ladder) <= high + 1e-9,
    )
    .sort((a, b) => Math.abs(Math.log(share(a))) - Math.abs(Math.log(share(b))));
}

/** The next familiar ladder below, a fifth or more and less than half smaller in all; the written one where there is none. */
export function ladderBelow(rungs: readonly number[]): readonly number[] {
  const steps = ladderSteps(rungs, 0.5, 0.82);
  const kin = steps.filter((ladder) => ladder.length === rungs.length);
  return kin[0] ?? steps[0] ?? rungs;
}

/** Whether a ladder is one of the trade's, or one with a rung repeated or left off. */
export function isTradeLadder(rungs: readonly number[]): boolean {
  return tradeLadders.some((ladder) => same(ladder, rungs) || ladderSteps(ladder, 0, 9).some((each) => same(each, rungs)));
}

/** Caps and durations: to the half minute from 3:00 on, to 5 s below. */
export function roundTime(seconds: number): number {
  const step = seconds >= 180 ? 30 : 5;
  return Math.max(step, Math.round(seconds / step) * step);
}
