/** Strength sets: under their header, or recognised without one (`back squat 5x5`, `5-5-5`, sets listed under the name of a lift). */
import { movementOf } from '../movements/catalogue';
import { slotsOfItems } from '../workout/walk';
import type { Block, Item, Part, Rest, Slot } from '../workout/workout';
import type { ItemReader } from './item-reader';
import { spanOfLine } from './lines';
import type { Opening } from './open-part';
import { countWithin, takeSets, tellNoMovement, tellOpenRest } from './part-bounds';
import { baseOf } from './read-settings';

const isLift = (slot: Slot): boolean => {
  const movement = movementOf(slot.movement);
  return movement.limit.by === 'lift' && movement.load !== null && !movement.load.optional;
};
/** Sets of a lift without a header: `back squat 5x5`, `5-5-5`, `3x8`, or sets listed under the lift's name. */
export function asStrength(items: readonly Item[], opening: Opening): Part | null {
  const { reader, settings, header } = opening;
  const sets = setsOf(items, reader, opening);
  if (!sets || header.rounds || header.ladder || (header.sets && sets.count !== header.sets)) return null;
  const restBetween = sets.rest ?? header.restBetween ?? reader.restBetween;
  return { ...baseOf(settings, 'load'), kind: 'strength', everySeconds: null, sets: sets.count, restBetween, items: sets.items };
}
function setsOf(items: readonly Item[], reader: ItemReader, { first, header }: Opening): { count: number; items: Item[]; rest: Rest | null } | null {
  const slots = slotsOfItems(items);
  const pause = items[items.length - 1]?.kind === 'pause' ? items[items.length - 1] : null;
  if (header.sets && slots.length > 0 && slots.every(isLift) && items.every((item) => item.kind === 'slot' || item === pause))
    return { count: header.sets, items: slots, rest: pause?.kind === 'pause' ? pause.seconds : null };
  const blocks = items.filter((item): item is Block => item.kind === 'block');
  const [block] = blocks;
  if (block && blocks.length === items.length && blocks.every((each) => reader.timesBlocks.has(each))) {
    const inside = blocks.flatMap((each) => slotsOfItems(each.items));
    if (!inside.every((slot) => slot.unit === 'reps') || !inside.some(isLift)) return null;
    const even = blocks.every((each) => each.rounds.high === block.rounds.high);
    return even ? { count: block.rounds.high, items: inside, rest: block.restBetween } : { count: 1, items: [...items], rest: null };
  }
  const laddered = items.length === 1 && block ? slotsOfItems(block.items) : [];
  const [lift] = laddered;
  const between = block?.items[block.items.length - 1];
  if (laddered.length !== 1 || !lift || lift.count.kind !== 'ladder' || !isLift(lift) || reader.timesBlocks.has(block!)) return null;
  const { rungs } = lift.count;
  if (Math.max(...rungs) > 6 && new Set(rungs).size > 1) return null;
  reader.report({ code: 'read_as', span: spanOfLine(first), text: first.text, as: `${rungs.length} strength sets` });
  const count = new Set(rungs).size === 1 ? ({ kind: 'fixed', men: rungs[0]!, women: rungs[0]!, low: null } as const) : lift.count;
  return { count: rungs.length, items: [reader.replace(lift, { count })], rest: between?.kind === 'pause' ? between.seconds : null };
}

export function strengthPart(opening: Opening): Part {
  const { header, settings, reader } = opening;
  const taken = takeSets(opening);
  const items = reader.items(taken.work, 'missing');
  tellNoMovement([items], opening);
  const sets = taken.sets === 1 && header.sets === null ? setsOf(items, reader, opening) : null;
  const restBetween = taken.rest ?? sets?.rest ?? header.restBetween ?? reader.restBetween;
  tellOpenRest(restBetween, opening);
  const count = countWithin(sets?.count ?? header.rounds?.high ?? taken.sets, opening);
  return { ...baseOf(settings, 'load'), kind: 'strength', everySeconds: null, sets: count, restBetween, items: sets?.items ?? rungASet(items, count) };
}

/** A ladder with a rung for every set is walked set by set, not within each. */
function rungASet(items: readonly Item[], sets: number): readonly Item[] {
  const [block] = items;
  if (items.length !== 1 || block?.kind !== 'block' || block.ladder || block.rounds.high !== 1 || sets === 1) return items;
  return slotsOfItems(block.items).every(({ count }) => count.kind !== 'ladder' || count.rungs.length === sets) ? block.items : items;
}
