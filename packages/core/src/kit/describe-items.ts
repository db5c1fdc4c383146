/** Kit items in words, to show beside the line they were read from. */
import type { KitItem } from './kit';

const kg = (grams: number): string => `${Math.round(grams / 10) / 100} kg`;
const times = (count: number, one: string, many: string): string => (count === 1 ? `one ${one}` : count === 2 ? `a pair of ${many}` : `${count} ${many}`);
const plainNames: Readonly<Record<string, string>> = {
  bar: 'a bar to hang from',
  lowBar: 'a low bar to row under',
  rings: 'rings',
  dipBar: 'dip bars',
  rope: 'a rope',
  climbingRope: 'a climbing rope',
  row: 'a rowing machine',
  bike: 'a bike',
  airBike: 'an air bike',
  ski: 'a ski machine',
  wall: 'a free wall',
  anchor: 'something to anchor the feet or a band',
  stick: 'a stick',
  rack: 'a rack',
  mat: 'a mat',
  towel: 'a towel',
  sliders: 'sliders',
  sled: 'a sled',
};

export function describeItem(item: KitItem): string {
  switch (item.kind) {
    case 'dumbbell':
      return `${times(item.count, 'dumbbell', 'dumbbells')} of ${kg(item.grams)}`;
    case 'kettlebell':
      return `${times(item.count, 'kettlebell', 'kettlebells')} of ${kg(item.grams)}`;
    case 'sandbag':
      return `${times(item.count, 'bag', 'bags')} of ${kg(item.grams)}`;
    case 'can':
      return `${times(item.count, 'can', 'cans')} of ${kg(item.grams)}`;
    case 'plate':
      return `${times(item.count, 'plate', 'plates')} of ${kg(item.grams)}`;
    case 'adjustable':
      return `${times(item.count, 'adjustable dumbbell', 'adjustable dumbbells')}, ${kg(item.fromGrams)} to ${kg(item.toGrams)} in steps of ${kg(item.stepGrams)}`;
    case 'handles':
      return `${times(item.count, 'handle', 'handles')} of ${kg(item.handleGrams)} with ${item.plates.map(({ grams, pieces }) => `${pieces}x${grams / 1000}`).join(' ')} kg`;
    case 'barbell':
      return `a bar of ${kg(item.barGrams)}${item.plates.length > 0 ? ` with ${item.plates.map(({ grams, pieces }) => `${pieces}x${grams / 1000}`).join(' ')} kg` : ', no plates'}`;
    case 'backpack':
      return `a backpack up to ${kg(item.toGrams)}`;
    case 'vest':
      return `a vest of ${kg(item.grams)}`;
    case 'band':
      return `a band, about ${kg(item.lowGrams)} to ${kg(item.highGrams)}`;
    case 'route':
      return item.metres.length > 0 ? `a route with points at ${item.metres.join(', ')} m` : 'a route of any length';
    case 'box':
    case 'table':
    case 'chair':
    case 'stairs':
    case 'bench':
    case 'couch':
      return `${item.kind === 'stairs' ? 'stairs' : times(item.count, item.kind, `${item.kind}s`).replace(/^one /, 'a ')}, ${item.heightCm} cm`;
    default:
      return plainNames[item.kind] ?? item.kind;
  }
}
export const describeItems = (items: readonly KitItem[]): string => items.map(describeItem).join('; ');
