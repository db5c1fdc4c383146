/** A round can be begun with another of its movements: whoever shares an implement then works beside it meanwhile. The work is the same, round by round. */
import type { Capacity } from '../capacity/capacity';
import { plainName } from '../notation/format-workout';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import type { Item, Part, Slot, Workout } from '../workout/workout';
import { implementUses, type ImplementUses, type InHand } from './implement-uses';

export interface OtherOrder {
  /** the movement it begins with */
  readonly begin: string;
  readonly uses: readonly ImplementUses[];
  /** s all of it takes in this order */
  readonly wholeSeconds: number;
  readonly parts: readonly Part[];
}

/** movements of a round whose orders are looked at */
const mostMovements = 5;

const isPlain = (item: Item): item is Slot => item.kind === 'slot' && item.link === null && item.bracket === null;
const turned = <T>(list: readonly T[], by: number): T[] => [...list.slice(by), ...list.slice(0, by)];

/** What comes round again and again, and the part with it in another order; null where nothing does. */
interface Round {
  readonly slots: readonly Slot[];
  readonly begunWith: (by: number) => Part;
}
function roundOf(part: Part): Round | null {
  if (part.interruption !== null) return null;
  if (part.kind === 'every' && part.stations.length > 1) {
    const slots = part.stations.flatMap((items) => (items.length === 1 && isPlain(items[0]!) ? [items[0]] : []));
    return slots.length === part.stations.length ? { slots, begunWith: (by) => ({ ...part, stations: turned(part.stations, by) }) } : null;
  }
  if (part.kind === 'amrap') return plainRound(part.items, (items) => ({ ...part, items }));
  const [block, ...more] = part.kind === 'forTime' ? part.items : [];
  if (part.kind !== 'forTime' || block?.kind !== 'block' || more.length > 0) return null;
  return plainRound(block.items, (items) => ({ ...part, items: [{ ...block, items }] }));
}
function plainRound(items: readonly Item[], withItems: (items: readonly Item[]) => Part): Round | null {
  const slots = items.filter(isPlain);
  const comesAgain = slots.length === items.length && slots.length > 1 && slots.length <= mostMovements;
  return comesAgain ? { slots, begunWith: (by) => withItems(turned(items, by)) } : null;
}

/**
 * The same version begun with each of its other movements. Only of one part, which goes round: a list that is done once is done in its order.
 * @param inHand of a slot as it is numbered in the version
 */
export function otherOrders(workout: Pick<Workout, 'parts'>, capacity: Capacity, inHand: InHand): OtherOrder[] {
  const worked = workout.parts.filter(({ kind }) => kind !== 'rest');
  const at = workout.parts.indexOf(worked[0]!);
  const round = worked.length === 1 ? roundOf(worked[0]!) : null;
  if (!round) return [];
  const count = round.slots.length;
  return round.slots.slice(1).map((slot, before) => {
    const by = before + 1;
    const parts = workout.parts.map((part, index) => (index === at ? round.begunWith(by) : part));
    const run = walkProgram(compile({ parts }, capacity), { trace: true });
    const uses = implementUses({ parts }, run, (part, place) => inHand(part, (place + by) % count));
    return { begin: plainName(slot), uses, wholeSeconds: run.totalSeconds, parts };
  });
}
