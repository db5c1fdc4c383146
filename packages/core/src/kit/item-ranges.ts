/** Whether a thing can be what its figures say: a dumbbell of nine tonnes is a slip, and is asked about rather than trained with. */
import { isWithin, ranges, type Range } from '../units/ranges';
import type { KitItem } from './kit';

type Figure = readonly [value: number, range: Range];
type Plates = readonly { readonly grams: number; readonly pieces: number }[];

const platesOf = (plates: Plates): Figure[] =>
  plates.flatMap(({ grams, pieces }): Figure[] => [
    [grams, ranges.plateGrams],
    [pieces, ranges.plates],
  ]);

function figuresOf(item: KitItem): Figure[] {
  switch (item.kind) {
    case 'barbell':
      return [[item.barGrams, ranges.barGrams], ...platesOf(item.plates)];
    case 'handles':
      return [[item.handleGrams, ranges.implementGrams], [item.count, ranges.implements], ...platesOf(item.plates)];
    case 'plate':
      return platesOf([{ grams: item.grams, pieces: item.count }]);
    case 'adjustable':
      return [
        [item.fromGrams, ranges.implementGrams],
        [item.toGrams, ranges.implementGrams],
        [item.count, ranges.implements],
      ];
    case 'dumbbell':
    case 'kettlebell':
    case 'sandbag':
    case 'can':
      return [
        [item.grams, ranges.implementGrams],
        [item.count, ranges.implements],
      ];
    case 'vest':
      return [[item.grams, ranges.implementGrams]];
    case 'backpack':
      return [[item.toGrams, ranges.implementGrams]];
    case 'box':
    case 'table':
    case 'chair':
    case 'stairs':
    case 'bench':
    case 'couch':
      return [[item.heightCm, ranges.furnitureCm]];
    case 'route':
      return item.metres.map((metres): Figure => [metres, ranges.routeM]);
    default:
      return [];
  }
}

/** @returns the range of the first figure that is outside of its own; null where all can be */
export const outsideOf = (items: readonly KitItem[]): Range | null => items.flatMap(figuresOf).find(([value, range]) => !isWithin(value, range))?.[1] ?? null;
