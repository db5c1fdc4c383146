/** A change a coach would make to a text, as a value: it can be shown, undone and explained. */
import type { FeasibleLoad } from '../../kit/loads';
import type { HouseRules } from '../../rules/house-rules';
import type { Option } from '../slot/option';
import type { Point } from './evaluate';

export type Edit =
  | { readonly kind: 'load'; readonly slots: readonly number[]; readonly to: FeasibleLoad; readonly steps: number }
  | { readonly kind: 'rounds'; readonly from: number; readonly to: number }
  | { readonly kind: 'scheme'; readonly from: readonly number[]; readonly to: readonly number[] }
  | { readonly kind: 'count'; readonly slots: readonly number[]; readonly from: number; readonly to: number }
  /** `order`: its place among the options of the slot */
  | { readonly kind: 'swap'; readonly slots: readonly number[]; readonly to: Option; readonly order: number };

export interface Tried {
  readonly edit: Edit;
  readonly point: Point;
}

/** Fewest first, and among as many the gentlest: another load before the scheme, the scheme before one slot's count, that before another movement. */
const gentleness: Readonly<Record<Edit['kind'], number>> = { load: 1, rounds: 2, scheme: 2, count: 3, swap: 4 };
/** How far an edit goes, as a logarithm; loads count their steps. */
function sizeOf(edit: Edit): number {
  switch (edit.kind) {
    case 'load':
      return 0.01 * edit.steps;
    case 'rounds':
    case 'count':
      return Math.abs(Math.log(edit.to / edit.from));
    case 'scheme':
      return Math.abs(Math.log(total(edit.to) / total(edit.from)));
    case 'swap':
      return edit.order;
  }
}
const total = (rungs: readonly number[]): number => rungs.reduce((sum, rung) => sum + rung, 0);

/** What a set of edits costs a coach's conscience: their kinds first, then how far they go. Too fit for it: the house rule may put the reps before the load. */
export function costOf(edits: readonly Edit[], rules: HouseRules): number {
  const first = (edit: Edit): number => (rules.tooFit === 'reps' && edit.kind === 'load' ? gentleness.swap : gentleness[edit.kind]);
  return edits.reduce((sum, edit) => sum + first(edit) + 0.2 * Math.min(4, sizeOf(edit)), 0);
}

const targetOf = (edit: Edit): string =>
  edit.kind === 'rounds' || edit.kind === 'scheme' ? 'scheme' : `${edit.kind === 'load' ? 'load' : 'slot'} ${edit.slots.join(' ')}`;
/** Two edits of one thing are one edit. */
export const meet = (a: Edit, b: Edit): boolean =>
  targetOf(a) === targetOf(b) || ('slots' in a && 'slots' in b && (a.kind === 'swap' || b.kind === 'swap') && a.slots.some((slot) => b.slots.includes(slot)));
