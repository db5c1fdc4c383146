/** Ways through a workout's tree: every slot in reading order, a changed copy, and the counts a slot has over its rungs. */
import type { Block, Count, Item, Part, Slot, Workout } from './workout';

/** The item lists of a part, one a station or window; one list for the other kinds, none for a rest. */
export function itemLists(part: Part): readonly (readonly Item[])[] {
  switch (part.kind) {
    case 'rest':
      return [];
    case 'every':
    case 'intervals':
      return part.stations;
    case 'windows':
      return part.windows;
    default:
      return [part.items];
  }
}

export function slotsOfItems(items: readonly Item[]): Slot[] {
  return items.flatMap((item) => (item.kind === 'slot' ? [item] : item.kind === 'block' ? slotsOfItems(item.items) : []));
}

/** Every slot of a part in reading order; the position in this list is the slot's number everywhere else. */
/** Every block of a part, the outer ones first. */
export function blocksOfPart(part: Part): Block[] {
  const within = (items: readonly Item[]): Block[] => items.flatMap((item) => (item.kind === 'block' ? [item, ...within(item.items)] : []));
  return itemLists(part).flatMap(within);
}
export function slotsOfPart(part: Part): Slot[] {
  return [...itemLists(part).flatMap(slotsOfItems), ...slotsOfItems(part.interruption?.items ?? [])];
}

export function slotsOfWorkout(workout: Pick<Workout, 'parts'>): { part: number; slot: number; value: Slot }[] {
  return workout.parts.flatMap((part, partIndex) => slotsOfPart(part).map((value, slot) => ({ part: partIndex, slot, value })));
}

/** A copy of the part in which each of its item lists went through `change`, in reading order. */
function mapLists(part: Part, change: (items: readonly Item[]) => Item[]): Part {
  const changed = mapOwnLists(part, change);
  return part.interruption ? { ...changed, interruption: { ...part.interruption, items: change(part.interruption.items) } } : changed;
}
function mapOwnLists(part: Part, change: (items: readonly Item[]) => Item[]): Part {
  switch (part.kind) {
    case 'rest':
      return part;
    case 'every':
    case 'intervals':
      return { ...part, stations: part.stations.map(change) };
    case 'windows':
      return { ...part, windows: part.windows.map(change) };
    default:
      return { ...part, items: change(part.items) };
  }
}

/** A copy of the part in which each slot (numbered in reading order) went through `change`. */
export function mapSlots(part: Part, change: (slot: Slot, index: number) => Slot): Part {
  let next = 0;
  const mapItems = (items: readonly Item[]): Item[] =>
    items.map((item) => (item.kind === 'slot' ? change(item, next++) : item.kind === 'block' ? { ...item, items: mapItems(item.items) } : item));
  return mapLists(part, mapItems);
}

/** A copy of the part in which each slot became one slot or several, in reading order. */
export function flatMapSlots(part: Part, change: (slot: Slot, index: number) => readonly Slot[]): Part {
  let next = 0;
  const mapItems = (items: readonly Item[]): Item[] =>
    items.flatMap((item): readonly Item[] =>
      item.kind === 'slot' ? change(item, next++) : item.kind === 'block' ? [{ ...item, items: mapItems(item.items) }] : [item],
    );
  return mapLists(part, mapItems);
}

/** A copy of the part in which each block went through `change`, outermost first. */
export function mapBlocks(part: Part, change: (block: Block) => Block): Part {
  const mapItems = (items: readonly Item[]): Item[] =>
    items.map((item) => {
      if (item.kind !== 'block') return item;
      const changed = change(item);
      return { ...changed, items: mapItems(changed.items) };
    });
  return mapLists(part, mapItems);
}

/** The rungs a block is walked through: its ladder, or its longest own ladder, or its rounds. */
export function passesOf(block: Pick<Block, 'rounds' | 'ladder' | 'items'>): number {
  if (block.ladder) return block.ladder.length;
  const own = block.items.flatMap((item) => (item.kind === 'slot' && item.count.kind === 'ladder' ? [item.count.rungs.length] : []));
  return own.length > 0 ? Math.max(...own) * block.rounds.high : block.rounds.high;
}

/** Movements of one pass over a list, rounds unrolled: how long the walk is. */
export function stepsOfItems(items: readonly Item[]): number {
  return items.reduce((sum, item) => sum + (item.kind === 'block' ? passesOf(item) * Math.max(1, stepsOfItems(item.items)) : 1), 0);
}
export function stepsOfPart(part: Part): number {
  const once = itemLists(part).reduce((sum, items) => sum + stepsOfItems(items), 0);
  return part.kind === 'forTime' || part.kind === 'strength' ? part.sets * once : once;
}

/** As many as possible, or as long as another one takes: no figure of its own. */
export const isOpen = ({ count }: { readonly count: Count }): boolean => count.kind === 'max' || count.kind === 'matchTime';
