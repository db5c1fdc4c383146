/** Counts of a slot at another scale, as the same kind of count, in figures a coach would write. */
import type { Category, Count, CountUnit, Slot } from '../workout/workout';
import { roundFigures, scaleLadder } from './coach-numbers';

export const meanCount = (slot: Slot, ladder: readonly number[] | null, category: Category): number | null => {
  switch (slot.count.kind) {
    case 'fixed':
      return slot.count[category];
    case 'rung':
      return ladder ? ladder.reduce((sum, rung) => sum + rung, 0) / ladder.length : 10;
    case 'ladder':
      return slot.count.rungs.reduce((sum, rung) => sum + rung, 0) / slot.count.rungs.length;
    case 'growing':
      return slot.count.start + slot.count.step * 2;
    case 'max':
    case 'matchTime':
      return null;
  }
};

/** Counts at `factor` times the written one, as the same kind of count. */
export function scaledCounts(
  slot: Slot,
  ladder: readonly number[] | null,
  factor: number,
  unit: CountUnit,
  even: boolean,
  category: Category,
  most: number,
  exact = false,
): { count: Count; mean: number }[] {
  const { count } = slot;
  if (count.kind === 'max') return [{ count, mean: 0 }];
  const asLadder = (rungs: readonly number[]): { count: Count; mean: number }[] => {
    const scaled =
      unit === slot.unit && factor === 1
        ? [...rungs]
        : exact
          ? rungs.map((rung) => Math.max(1, Math.round(rung * factor)))
          : unit === 'reps'
            ? scaleLadder(rungs, factor, even)
            : rungs.map((rung) => roundFigures(rung * factor, unit, { even, most: 1 })[0]!);
    const same = scaled.every((rung, index) => rung === rungs[index]);
    return [
      { count: count.kind === 'rung' && same ? count : { kind: 'ladder', rungs: scaled }, mean: scaled.reduce((sum, rung) => sum + rung, 0) / scaled.length },
    ];
  };
  if (count.kind === 'rung' && ladder) return asLadder(ladder);
  if (count.kind === 'ladder') return asLadder(count.rungs);
  if (count.kind === 'growing') {
    const start = Math.max(1, Math.round(count.start * factor)) * (even && Math.round(count.start * factor) % 2 ? 2 : 1);
    const step = Math.max(1, Math.round(count.step * factor)) * (even && Math.round(count.step * factor) % 2 ? 2 : 1);
    return [{ count: factor === 1 ? count : { kind: 'growing', start, step }, mean: start + 2 * step }];
  }
  const written = meanCount(slot, ladder, category) ?? 10;
  if (exact) {
    const stated = Math.max(1, Math.round(written * factor));
    return [{ count: { kind: 'fixed', men: stated, women: stated, low: null }, mean: stated }];
  }
  if (factor === 1 && unit === slot.unit && (!even || written % 2 === 0))
    return [{ count: { kind: 'fixed', men: written, women: written, low: null }, mean: written }];
  return roundFigures(written * factor, unit, { even, most, ...(unit === slot.unit ? { kept: written } : {}) }).map((figure) => ({
    count: { kind: 'fixed', men: figure, women: figure, low: null },
    mean: figure,
  }));
}
