/** Loads and heights that stand without a unit: which one they are taken in, and which of them are worth a question. */
import { itemsOf, movementIn, type Draft, type Item } from './draft';
import { heightUnit, type HouseWord } from './house-words';
import type { MassUnit } from '../units/mass';

/** inches above this are no box (common practice: the highest are 30 in) */
const highestInches = 36;
/** loads that are made of plates and bells in pounds, and of none in kilograms (common practice) */
const poundLoads = new Set([53, 95, 115, 135, 155, 185, 205, 225, 245, 275, 315]);

/** A figure that stands without a unit, and the unit it was taken in. */
export interface UnitAssumed {
  readonly of: 'load' | 'height';
  /** as it was written: `24/20` */
  readonly text: string;
  readonly unit: string;
  /** of the movement */
  readonly name: string;
}
const bare = /^(?:2x)?([\d.]+)(?:[/-][\d.]+)?$/;

/** Puts the units in. @param words what the coach answered before @returns what was assumed and may be meant otherwise */
export function tellUnits(drafts: readonly Draft[], words: readonly HouseWord[], room: MassUnit): UnitAssumed[] {
  const assumed: UnitAssumed[] = [];
  for (const item of drafts.flatMap(itemsOf)) {
    const name = item.named?.name ?? '';
    const [height, load] = [bare.exec(item.height ?? ''), bare.exec(item.load ?? '')];
    if (height) {
      const answer = heightUnit(words);
      const unit = answer ?? (Number(height[1]) > highestInches ? 'cm' : 'in');
      if (answer === null) assumed.push({ of: 'height', text: item.height!, unit, name });
      item.height = `${item.height!} ${unit}`;
    }
    if (load) {
      const answer = words.findLast(({ kind, words: about }) => kind === 'load' && about === item.load)?.means ?? null;
      const unit = answer ?? usualUnit(item, Number(load[1]), room);
      if (answer === null && (unit !== room || (room === 'kg' && poundLoads.has(Number(load[1]))))) assumed.push({ of: 'load', text: item.load!, unit, name });
      item.load = `${item.load!} ${unit}`;
    }
  }
  return assumed;
}
/** Nobody throws a ball of 20 kg: what a movement is never done with in kilograms is in pounds. */
function usualUnit(item: Item, men: number, room: MassUnit): MassUnit {
  return men > (movementIn(item)?.load?.kilogramsUpTo ?? Infinity) ? 'lb' : room;
}
