/** The sets of a lift, listed under its name: `5 @ 60 %`, `3 @ 80 kg`. */
import { findMovement } from '../movements/names';
import type { Item, Prescription, Slot } from '../workout/workout';
import { emptyDraft } from './draft';
import { headless } from './labels';
import { cursorOf, type Line } from './lines';
import { readCount } from './read-count';

/** How many of the lines below a lone movement are its sets: `5 @ 60 %`, `3 @ 80 kg`. */
export function setsBelow(line: Line, below: readonly Line[]): number {
  if (/\d/.test(line.text) || findMovement(line.text.replace(/[:.]+$/, '')) === null) return 0;
  const other = below.findIndex((each) => !isNamelessSet(each));
  return other < 0 ? below.length : other;
}
function isNamelessSet(line: Line): boolean {
  const cursor = cursorOf(headless(line));
  const draft = emptyDraft();
  if (!readCount(cursor, draft)) return false;
  cursor.phrase('reps|rep');
  return cursor.isSign('@') || (cursor.done && draft.times !== null);
}
/** `5 @ 60 %` under `Back squat` → `5 Back squat @ 60 %`, at the place of the set. */
export function withName(line: Line, name: string): Line {
  const at = line.text.indexOf('@');
  const plain = name.replace(/[:.]+$/, '');
  return { ...line, text: at < 0 ? `${line.text} ${plain}` : `${line.text.slice(0, at)}${plain} ${line.text.slice(at)}` };
}

/** A slot or a block of sets → one slot a set, each with its own load. */
export function setsOfItem(item: Item): Slot[] {
  if (item.kind === 'block') return Array.from({ length: item.rounds.high }, () => item.items.flatMap(setsOfItem)).flat();
  if (item.kind !== 'slot') return [];
  const { load } = item;
  if (load?.kind !== 'share' && load?.kind !== 'mass') return [item];
  return (load.sets ?? [null]).map((each) => ({ ...item, load: each === null ? load : plainLoad(load, each) }));
}
const plainLoad = <Load extends Extract<Prescription, { kind: 'share' | 'mass' }>>(load: Load, each: number): Load => {
  const { sets: _, ...plain } = load;
  return { ...plain, men: each, women: each } as Load;
};
/** Sets of one movement → one slot that tells each set's count and load; null where they are of different kinds. */
export function mergeSets(sets: readonly Slot[]): Slot | null {
  const [first] = sets;
  if (
    !first ||
    sets.length < 2 ||
    sets.some(({ movement, count, load }) => movement !== first.movement || count.kind !== 'fixed' || load?.kind !== first.load?.kind)
  )
    return null;
  const reps = sets.map(({ count }) => (count.kind === 'fixed' ? count.men : 0));
  const count: Slot['count'] = new Set(reps).size === 1 ? first.count : { kind: 'ladder', rungs: reps };
  const { load } = first;
  if (load?.kind !== 'share' && load?.kind !== 'mass') return { ...first, count };
  const loads = sets.map(({ load: each }) => (each?.kind === 'share' || each?.kind === 'mass' ? each.men : 0));
  if (new Set(loads).size === 1) return { ...first, count };
  if (loads.length < 3) return null;
  return { ...first, count, load: { ...load, men: Math.max(...loads), women: Math.max(...loads), sets: loads } };
}
