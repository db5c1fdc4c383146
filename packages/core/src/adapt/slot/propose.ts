/** Which movements could fill a slot: the coach's own alternatives first, the written one, then the neighbours of it. */
import { isMovementId, movementOf } from '../../movements/catalogue';
import type { Movement } from '../../movements/movement';
import type { Nearness } from '../../movements/stand-ins';
import type { Slot } from '../../workout/workout';
import { neighboursOf, type Proposal } from './likeness';
import { singleAlternatives } from './option';

export interface Proposed {
  readonly movement: Movement;
  readonly nearness: Nearness;
  readonly order: number;
  /** place in the coach's own alternatives; null when the model proposes it */
  readonly coachRank: number | null;
  /** the line it is counted from: the slot, or the coach's alternative */
  readonly source: Slot;
}

/** @param only one movement the coach asks about, whatever it is */
export function propose(slot: Slot, only: string | null): Proposed[] {
  const beside = singleAlternatives(slot);
  const near = isMovementId(slot.movement) ? neighboursOf(slot.movement) : [{ movement: movementOf(slot.movement), nearness: 'written' as const, order: 0 }];
  const rankOf = (id: string): number => (id === slot.movement ? -1 : beside.findIndex((each) => each.movement === id));
  const proposed = ({ movement, nearness, order }: Proposal): Proposed => {
    const at = rankOf(movement.id);
    return { movement, nearness, order, coachRank: at >= 0 ? at : null, source: at >= 0 ? withLoadOf(beside[at]!, slot) : slot };
  };
  const strangers = beside
    .map((each) => movementOf(each.movement))
    .filter((movement) => !near.some((each) => each.movement.id === movement.id))
    .map((movement): Proposal => ({ movement, nearness: 'implement', order: 0 }));
  const all = [...near, ...strangers].map(proposed);
  if (only === null) return all;
  const asked = all.filter(({ movement }) => movement.id === only);
  return asked.length > 0 ? asked : [proposed({ movement: movementOf(only), nearness: 'likeness', order: 0 })];
}

/** An alternative without a load of its own is done with the line's. */
const withLoadOf = (alternative: Slot, slot: Slot): Slot => ({ ...alternative, load: alternative.load ?? slot.load });
