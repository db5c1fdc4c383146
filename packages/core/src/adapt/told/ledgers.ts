/** Cross-slot compensation in the open: what was taken from one slot and what another gave for it. */
import { slotsOfPart } from '../../workout/walk';
import type { PlannedPart } from '../part/plan-parts';

export interface LedgerEntry {
  readonly part: number;
  readonly slot: number;
  readonly original: string;
  readonly movement: string;
  /** s a bout against the reference athlete's in the original; negative in `taken` */
  readonly seconds: number;
}
export interface Ledgers {
  readonly taken: readonly LedgerEntry[];
  readonly given: readonly LedgerEntry[];
}

/** below these a difference is no entry: seconds a bout, and share of the bout */
const leastSeconds = 4;
const leastShare = 0.1;

export function ledgersOf(planned: readonly PlannedPart[]): Ledgers {
  const entries = planned.flatMap(({ plan, searched, aim }, part) =>
    (plan?.options ?? []).flatMap((option, slot): LedgerEntry[] => {
      const meant = aim.stimulus.slots[slot];
      if (!meant) return [];
      const seconds = option.bout.seconds - meant.bout.seconds;
      const counts = Math.abs(seconds) >= leastSeconds && Math.abs(seconds) >= leastShare * meant.bout.seconds;
      return counts ? [{ part, slot, original: slotsOfPart(searched)[slot]!.movement, movement: option.movement, seconds }] : [];
    }),
  );
  return { taken: entries.filter((each) => each.seconds < 0), given: entries.filter((each) => each.seconds > 0) };
}
