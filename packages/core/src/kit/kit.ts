/** Everything an athlete can use in a place. Masses in integer grams, lengths in centimetres or metres as named. */
export interface DumbbellItem {
  readonly kind: 'dumbbell';
  readonly grams: number;
  readonly count: number;
}
export interface AdjustableItem {
  readonly kind: 'adjustable';
  readonly fromGrams: number;
  readonly toGrams: number;
  readonly stepGrams: number;
  readonly count: number;
}
/** Dumbbell handles that share a set of plates. */
export interface HandlesItem {
  readonly kind: 'handles';
  readonly handleGrams: number;
  readonly count: number;
  /** pieces, not pairs */
  readonly plates: readonly { readonly grams: number; readonly pieces: number }[];
}
export interface KettlebellItem {
  readonly kind: 'kettlebell';
  readonly grams: number;
  readonly count: number;
}
export interface BarbellItem {
  readonly kind: 'barbell';
  readonly barGrams: number;
  readonly collarGrams: number;
  /** pieces, not pairs */
  readonly plates: readonly { readonly grams: number; readonly pieces: number }[];
}
export interface SandbagItem {
  readonly kind: 'sandbag';
  readonly grams: number;
  readonly count: number;
}
export interface BackpackItem {
  readonly kind: 'backpack';
  readonly toGrams: number;
}
export interface CanItem {
  readonly kind: 'can';
  readonly grams: number;
  readonly count: number;
}
export interface VestItem {
  readonly kind: 'vest';
  readonly grams: number;
}
export interface BandItem {
  readonly kind: 'band';
  readonly lowGrams: number;
  readonly highGrams: number;
  readonly name: string;
}
export interface PlateItem {
  readonly kind: 'plate';
  readonly grams: number;
  readonly count: number;
}
export interface FurnitureItem {
  readonly kind: 'box' | 'table' | 'chair' | 'stairs' | 'bench' | 'couch';
  readonly heightCm: number;
  readonly count: number;
}
export interface RouteItem {
  readonly kind: 'route';
  readonly metres: readonly number[];
}
export interface PlainItem {
  readonly kind:
    | 'bar'
    | 'lowBar'
    | 'rings'
    | 'dipBar'
    | 'rope'
    | 'climbingRope'
    | 'row'
    | 'bike'
    | 'airBike'
    | 'ski'
    | 'wall'
    | 'anchor'
    | 'stick'
    | 'rack'
    | 'mat'
    | 'towel'
    | 'sliders'
    | 'sled';
}
export type KitItem =
  | DumbbellItem
  | AdjustableItem
  | HandlesItem
  | KettlebellItem
  | BarbellItem
  | SandbagItem
  | BackpackItem
  | CanItem
  | VestItem
  | BandItem
  | PlateItem
  | FurnitureItem
  | RouteItem
  | PlainItem;

export interface Place {
  readonly name: string;
  readonly floor: { readonly lengthM: number; readonly widthM: number };
  readonly ceilingM: number;
  readonly noise: 'free' | 'normal' | 'quiet';
  readonly kit: readonly KitItem[];
  /** one way from here to where a run starts, s; absent: guessed from stairs */
  readonly toStreetSeconds?: number;
  /** what nobody said of it: the figures above are usual ones, and limit only what is swapped in, never what is written */
  readonly notTold?: readonly ('floor' | 'ceiling')[];
}
/** The room as far as it was told: what was not told is no limit. */
export function roomAsTold(place: Place): Place {
  const { notTold = [], floor, ceilingM } = place;
  if (notTold.length === 0) return place;
  return {
    ...place,
    floor: notTold.includes('floor') ? { lengthM: Infinity, widthM: Infinity } : floor,
    ceilingM: notTold.includes('ceiling') ? Infinity : ceilingM,
  };
}

/** What counts when nothing is said: an empty 2 × 2 m under a 2.4 m ceiling. */
export const barePlace: Place = { name: 'anywhere', floor: { lengthM: 2, widthM: 2 }, ceilingM: 2.4, noise: 'normal', kit: [] };
