/** Cross-slot compensation in the open: what was taken from one slot and what another gave for it. */
import { slotsOfPart } from '../workout/walk';
import type { Intent } from '../stimulus/intent';
import type { PlannedPart } from './plan-parts';

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

export function ledgersOf(planned: readonly PlannedPart[], intent: Intent): Ledgers {
  const entries = planned.flatMap(({ plan, searched }, part) =>
    (plan?.choices ?? []).flatMap((choice, slot): LedgerEntry[] => {
      const meant = intent.parts[part]!.stimulus.slots[slot];
      if (!meant) return [];
      const seconds = choice.bout.seconds - meant.bout.seconds;
      const counts = Math.abs(seconds) >= leastSeconds && Math.abs(seconds) >= leastShare * meant.bout.seconds;
      return counts ? [{ part, slot, original: slotsOfPart(searched)[slot]!.movement, movement: choice.movement, seconds }] : [];
    }),
  );
  return { taken: entries.filter((each) => each.seconds < 0), given: entries.filter((each) => each.seconds > 0) };
}
