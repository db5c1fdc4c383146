/** The order of a coach's thoughts, as named figures that are compared one after the other: what comes first decides, and nothing further down can buy it back. */
import { nearness, type Nearness } from '../../movements/stand-ins';

export interface Rank {
  /** −1: what the athlete prefers, among movements of one family */
  readonly wish: number;
  /** place among the coach's own alternatives; the model's choices come behind them */
  readonly coach: number;
  /** 1: leaves a pattern the coach said must stay */
  readonly leaves: number;
  /** 1: so heavy that no lever of the kit repairs it */
  readonly beyondRepair: number;
  /** 1: the written count would be broken more than once where it was not meant to be; 2: other muscles altogether */
  readonly tooHard: number;
  /** 0 as written, 1 the same movement with another implement, 2 anything further */
  readonly kin: number;
  /** what the house rule does first is below 0, what it does last above */
  readonly school: number;
  /** place of the step in {@link nearness} */
  readonly step: number;
  /** 1: as much of it as a coach writes is over long before what was meant */
  readonly short: number;
  /** 1 jogging and high knees, 2 marching: dull, and the first of them not quiet */
  readonly filler: number;
  /** 1: another slot of the part does it already */
  readonly taken: number;
  /** 1: the written count had to be moved for it */
  readonly recounted: number;
  /** how far the set is from the effort meant: 0 within a third, 1 within a half more or less, 2 beyond */
  readonly effort: number;
  /** 1: bells where a bar was written, or the other way round; both sides at once where one at a time was written */
  readonly implement: number;
  /** place in the list of the trade */
  readonly order: number;
}
const fields = [
  'wish',
  'coach',
  'leaves',
  'beyondRepair',
  'tooHard',
  'kin',
  'school',
  'step',
  'short',
  'filler',
  'taken',
  'recounted',
  'effort',
  'implement',
  'order',
] as const satisfies readonly (keyof Rank)[];

export const stepOf = (step: Nearness): number => nearness.indexOf(step);
export const kinOf = (step: Nearness): number => Math.min(2, stepOf(step));

/** Below 0 where `a` comes first. Ties keep the order they were proposed in. */
export function compareRanks(a: Rank, b: Rank): number {
  for (const field of fields) if (a[field] !== b[field]) return a[field] - b[field];
  return 0;
}
export const ranked = <T extends { readonly rank: Rank }>(options: readonly T[]): T[] => [...options].sort((a, b) => compareRanks(a.rank, b.rank));
