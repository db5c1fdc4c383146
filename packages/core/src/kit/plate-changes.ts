/**
 * Which plates to hang on the bar for each load in turn, so that the fewest plates are moved between them.
 * A sleeve is a stack: the outermost plate comes off first, and heavier plates hang further in (common practice). One load can often be made in several ways,
 * so the plan chooses one way a load, by the cheapest path through all of them (dynamic programming; exact).
 */
import { barLoads } from './loads';

export interface PlatePairs {
  /** ONE plate, integer > 0 */
  readonly grams: number;
  readonly pairs: number;
}
export interface PlateStep {
  readonly totalGrams: number;
  /** one side, innermost (heaviest) first */
  readonly sideGrams: readonly number[];
  /** plates taken off and put on, one side, to get here from the step before */
  readonly off: readonly number[];
  readonly on: readonly number[];
  readonly seconds: number;
}

/** Round figures: a collar off and on again, and a plate on or off on both sides by one person. */
const collarSeconds = 6;
const platePairSeconds = 5;
export const changeSeconds = (pairsMoved: number): number => (pairsMoved === 0 ? 0 : collarSeconds + platePairSeconds * pairsMoved);

/** Plates to take off and put on to come from one stack to another: all but what both have in common from the inside out. */
export function stackChange(from: readonly number[], to: readonly number[]): { off: number[]; on: number[] } {
  let same = 0;
  while (same < from.length && same < to.length && from[same] === to[same]) same++;
  return { off: from.slice(same).reverse(), on: to.slice(same) };
}

/** Every set of plates that makes one side of `sideGrams`, heaviest first. */
function waysToMake(sideGrams: number, pairs: readonly PlatePairs[]): number[][] {
  const sorted = [...pairs].sort((a, b) => b.grams - a.grams);
  const found: number[][] = [];
  const walk = (at: number, left: number, chosen: readonly number[]): void => {
    if (left === 0) found.push([...chosen]);
    const plate = sorted[at];
    if (left <= 0 || !plate) return;
    for (let count = Math.min(plate.pairs, Math.floor(left / plate.grams)); count >= 0; count--)
      walk(at + 1, left - count * plate.grams, [...chosen, ...Array.from({ length: count }, () => plate.grams)]);
  };
  walk(0, sideGrams, []);
  return found;
}

/**
 * @param barGrams empty bar with collars, integer > 0
 * @param totals what the bar must weigh, in order, grams
 * @returns one step a load; null when the kit cannot make one of them. Ties go to fewer plates, then the heavier first
 */
export function planPlateChanges(barGrams: number, pairs: readonly PlatePairs[], totals: readonly number[]): PlateStep[] | null {
  interface State {
    readonly side: readonly number[];
    readonly cost: number;
    readonly before: State | null;
  }
  let states: State[] = [{ side: [], cost: 0, before: null }];
  for (const total of totals) {
    const ways = (total - barGrams) % 2 === 0 ? waysToMake((total - barGrams) / 2, pairs).sort((a, b) => a.length - b.length) : [];
    if (ways.length === 0) return null;
    states = ways.map((side) =>
      states
        .map((before): State => {
          const { off, on } = stackChange(before.side, side);
          return { side, cost: before.cost + changeSeconds(off.length + on.length), before };
        })
        .reduce((best, each) => (each.cost < best.cost ? each : best)),
    );
  }
  let last: State | null = states.reduce((best, each) => (each.cost < best.cost ? each : best));
  const steps: PlateStep[] = [];
  for (let at = totals.length - 1; at >= 0 && last; at--) {
    const change = stackChange(last.before?.side ?? [], last.side);
    steps.unshift({ totalGrams: totals[at]!, sideGrams: last.side, ...change, seconds: changeSeconds(change.off.length + change.on.length) });
    last = last.before;
  }
  return steps;
}

/** Plates a gym's bar usually has (international weightlifting rules: 25 20 15 10 5 2.5 2 1.5 1 0.5 kg), two pairs of the heavy ones. */
export const usualPlates: readonly PlatePairs[] = [25, 20, 15, 10, 5, 2.5, 2, 1.5, 1, 0.5].map((kg) => ({ grams: kg * 1000, pairs: kg >= 20 ? 4 : 1 }));
export const usualBarGrams = { men: 20_000, women: 15_000 } as const;

const stacks = new Map<number, readonly number[]>();
/** One side of a bar at about this load with the usual plates: what a change costs when the kit is not known. */
export function usualStack(totalKg: number, barGrams: number): readonly number[] {
  const key = Math.round(totalKg * 10) * 100_000 + barGrams;
  const known = stacks.get(key);
  if (known) return known;
  let left = Math.max(0, (totalKg * 1000 - barGrams) / 2);
  const side: number[] = [];
  for (const { grams, pairs } of usualPlates)
    for (let count = 0; count < pairs && left >= grams - 125; count++) {
      side.push(grams);
      left -= grams;
    }
  stacks.set(key, side);
  return side;
}

/** The stack for a load on a bar one owns; the usual one where the kit cannot make it. */
export function stackFor(totalKg: number, barGrams: number, pairs: readonly PlatePairs[]): readonly number[] {
  const own = barLoads(barGrams, pairs).find((each) => Math.abs(each.totalGrams - totalKg * 1000) < 260);
  return own ? own.sideGrams : usualStack(totalKg, barGrams);
}
