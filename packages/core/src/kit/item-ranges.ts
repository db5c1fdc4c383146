/** Whether a thing can be what its figures say: a dumbbell of nine tonnes is a slip, and is asked about rather than trained with. */
import { isWithin, ranges, type Range } from '../units/ranges';
import type { KitItem } from './kit';

type Figure = readonly [value: number, range: Range];

/** Each figure that an item has, by its name. */
function figuresOf(item: KitItem): Figure[] {
  const isPlate = item.kind === 'plate';
  return [
    ...('grams' in item ? [[item.grams, isPlate ? ranges.plateGrams : ranges.implementGrams] as const] : []),
    ...('fromGrams' in item ? [[item.fromGrams, ranges.implementGrams] as const] : []),
    ...('toGrams' in item ? [[item.toGrams, ranges.implementGrams] as const] : []),
    ...('handleGrams' in item ? [[item.handleGrams, ranges.implementGrams] as const] : []),
    ...('barGrams' in item ? [[item.barGrams, ranges.barGrams] as const] : []),
    ...('heightCm' in item ? [[item.heightCm, ranges.furnitureCm] as const] : []),
    ...('count' in item ? [[item.count, isPlate ? ranges.plates : ranges.implements] as const] : []),
    ...('metres' in item ? item.metres.map((metres): Figure => [metres, ranges.routeM]) : []),
    ...('plates' in item
      ? item.plates.flatMap(({ grams, pieces }): Figure[] => [
          [grams, ranges.plateGrams],
          [pieces, ranges.plates],
        ])
      : []),
  ];
}

/** @returns the range of the first figure that is outside of its own; null where all can be */
export const outsideOf = (items: readonly KitItem[]): Range | null => items.flatMap(figuresOf).find(([value, range]) => !isWithin(value, range))?.[1] ?? null;
