/**
 * Loads a kit can make, exactly.
 * Bars: bounded subset sums over integer grams, so two machines always agree and a set that needs "skip the 15, take two 10s" is found.
 * Fixed implements are what they are; a pair is two of the same mass; adjustable dumbbells go in steps; a backpack in 1 kg steps, bag included.
 */
import type { Implement } from '../movements/movement';
import { trimNumber } from '../units/mass';
import type { KitItem } from './kit';

export interface FeasibleLoad {
  readonly implement: Implement;
  readonly count: 1 | 2;
  /** of one implement, bar or handle included; for a band the middle of its range */
  readonly grams: number;
  /** one side, heaviest first, where plates are hung */
  readonly platesPerSideGrams?: readonly number[];
  /** a band: its pull is a range, so the figure is approximate */
  readonly range?: { readonly name: string; readonly lowGrams: number; readonly highGrams: number };
}

const order: readonly Implement[] = ['barbell', 'dumbbell', 'kettlebell', 'sandbag', 'backpack', 'can', 'plate', 'vest', 'band', 'stick'];

const written = new Map<number, string>();
/** kilograms as text; the few hundred masses there are keep being asked for */
function kg(grams: number): string {
  const known = written.get(grams);
  if (known !== undefined) return known;
  const text = trimNumber(grams / 1000, 2);
  if (written.size < 20_000) written.set(grams, text);
  return text;
}

export interface BarLoad {
  readonly totalGrams: number;
  readonly sideGrams: readonly number[];
}

/**
 * Every total a bar can make; where several sets of plates make the same total, the one with the fewest plates, then the heaviest first.
 * @param barGrams mass of the empty bar, collars included, integer > 0
 * @param pairs plates owned, as pairs; `grams` is ONE plate, integer > 0
 * @returns ascending totals
 * @throws {RangeError} when a mass is not a positive integer
 */
export function barLoads(barGrams: number, pairs: readonly { readonly grams: number; readonly pairs: number }[]): BarLoad[] {
  if (!Number.isInteger(barGrams) || barGrams <= 0) throw new RangeError(`barLoads: expected barGrams a positive integer, got ${barGrams}`);
  // nodes of a tree: each side total is reached from a smaller one by `used` plates of one mass; plates are listed only at the end
  const side: number[] = [0];
  const parent: number[] = [-1];
  const plate: number[] = [0];
  const used: number[] = [0];
  const pieces: number[] = [0];
  const bySide = new Map<number, number>([[0, 0]]);
  for (const { grams, pairs: most } of [...pairs].sort((a, b) => b.grams - a.grams)) {
    if (!Number.isInteger(grams) || grams <= 0) throw new RangeError(`barLoads: expected plate grams a positive integer, got ${grams}`);
    const before = [...bySide.values()];
    for (const node of before)
      for (let count = 1; count <= most; count++) {
        const total = side[node]! + count * grams;
        const known = bySide.get(total);
        if (known !== undefined && pieces[known]! <= pieces[node]! + count) continue;
        side.push(total);
        parent.push(node);
        plate.push(grams);
        used.push(count);
        pieces.push(pieces[node]! + count);
        bySide.set(total, side.length - 1);
      }
  }
  const platesOf = (node: number): number[] => {
    const list: number[] = [];
    for (let at = node; at > 0; at = parent[at]!) for (let count = 0; count < used[at]!; count++) list.push(plate[at]!);
    return list.reverse();
  };
  return [...bySide.entries()].sort((a, b) => a[0] - b[0]).map(([total, node]) => ({ totalGrams: barGrams + 2 * total, sideGrams: platesOf(node) }));
}

const pairsOf = (plates: readonly { readonly grams: number; readonly pieces: number }[], piecesEach: number): { grams: number; pairs: number }[] =>
  plates.map(({ grams, pieces }) => ({ grams, pairs: Math.floor(pieces / piecesEach) })).filter((each) => each.pairs > 0);

const plated = (implement: Implement, count: 1 | 2, bar: number, pairs: readonly { readonly grams: number; readonly pairs: number }[]): FeasibleLoad[] =>
  barLoads(bar, pairs).map(({ totalGrams, sideGrams }) => ({ implement, count, grams: totalGrams, platesPerSideGrams: sideGrams }));

const singleAndPair = (implement: Implement, grams: number, pieces: number): FeasibleLoad[] => [
  { implement, count: 1, grams },
  ...(pieces >= 2 ? [{ implement, count: 2 as const, grams }] : []),
];

function loadsOfItem(item: KitItem): FeasibleLoad[] {
  switch (item.kind) {
    case 'barbell':
      return plated('barbell', 1, item.barGrams + item.collarGrams, pairsOf(item.plates, 2));
    case 'handles':
      // two dumbbells share the plates: four pieces of a size make one more pair on each
      return [
        ...plated('dumbbell', 1, item.handleGrams, pairsOf(item.plates, 2)),
        ...(item.count >= 2 ? plated('dumbbell', 2, item.handleGrams, pairsOf(item.plates, 4)) : []),
      ];
    case 'dumbbell':
    case 'kettlebell':
    case 'sandbag':
    case 'can':
    case 'plate':
      return singleAndPair(item.kind, item.grams, item.count);
    case 'vest':
      return singleAndPair('vest', item.grams, 1);
    case 'adjustable': {
      const steps = Math.floor((item.toGrams - item.fromGrams) / item.stepGrams + 1e-9);
      return Array.from({ length: steps + 1 }, (_, step) => singleAndPair('dumbbell', item.fromGrams + step * item.stepGrams, item.count)).flat();
    }
    case 'backpack':
      return Array.from({ length: Math.max(0, Math.floor(item.toGrams / 1000)) }, (_, index) => ({
        implement: 'backpack' as const,
        count: 1 as const,
        grams: (index + 1) * 1000,
      }));
    case 'band': {
      const { name, lowGrams, highGrams } = item;
      return [{ implement: 'band', count: 1, grams: Math.round((lowGrams + highGrams) / 2), range: { name, lowGrams, highGrams } }];
    }
    default:
      return [];
  }
}

/** A pair may come from two items of the same mass (two single 15 kg dumbbells on two lines). */
function pairsAcross(items: readonly KitItem[]): FeasibleLoad[] {
  const pieces = new Map<string, { implement: 'dumbbell' | 'kettlebell' | 'sandbag' | 'can'; grams: number; count: number; most: number }>();
  for (const item of items)
    if (item.kind === 'dumbbell' || item.kind === 'kettlebell' || item.kind === 'sandbag' || item.kind === 'can') {
      const key = `${item.kind} ${item.grams}`;
      const known = pieces.get(key) ?? { implement: item.kind, grams: item.grams, count: 0, most: 0 };
      pieces.set(key, { ...known, count: known.count + item.count, most: Math.max(known.most, item.count) });
    }
  return [...pieces.values()].filter((each) => each.count >= 2 && each.most < 2).map((each) => singleAndPair(each.implement, each.grams, 2)[1]!);
}

const fewerPlates = (a: FeasibleLoad, b: FeasibleLoad): FeasibleLoad => ((b.platesPerSideGrams?.length ?? 0) < (a.platesPerSideGrams?.length ?? 0) ? b : a);

/** Ascending by mass, no mass twice; of two ways to the same mass the one with fewer plates. */
function tidy(loads: readonly FeasibleLoad[]): FeasibleLoad[] {
  const kept: FeasibleLoad[] = [];
  for (const load of [...loads].sort((a, b) => a.grams - b.grams)) {
    const last = kept[kept.length - 1];
    if (last?.grams === load.grams) kept[kept.length - 1] = fewerPlates(last, load);
    else kept.push(load);
  }
  return kept;
}

/** Plates that belong to a bar, as something to hold where nothing else is: what the bar makes is not touched by it. */
export const platesInHand = (kit: readonly KitItem[]): FeasibleLoad[] => {
  const masses = new Set(kit.flatMap((item) => (item.kind === 'barbell' ? item.plates.map(({ grams }) => grams) : [])));
  for (const item of kit) if (item.kind === 'plate') masses.delete(item.grams);
  return [...masses].sort((a, b) => a - b).map((grams) => ({ implement: 'plate', count: 1, grams }));
};

/** Every load each implement of the kit can make, by implement, then count, then mass; no load twice. */
export function feasibleLoads(kit: readonly KitItem[]): FeasibleLoad[] {
  const buckets: FeasibleLoad[][] = Array.from({ length: order.length * 2 }, () => []);
  const sources = buckets.map(() => 0);
  for (const list of [...kit.map(loadsOfItem), pairsAcross(kit)]) {
    const touched = new Set<number>();
    for (const load of list) {
      const bucket = order.indexOf(load.implement) * 2 + load.count - 1;
      buckets[bucket]!.push(load);
      touched.add(bucket);
    }
    for (const bucket of touched) sources[bucket]!++;
  }
  // one item's loads are ascending already
  return buckets.flatMap((bucket, at) => (sources[at]! > 1 ? tidy(bucket) : bucket));
}

const nouns: Partial<Record<Implement, string>> = { can: 'water can' };

/** `bar 60 kg (15 + 5 a side)`, `2 dumbbells 15 kg`, `band medium (about 15–30 kg)`. */
export function describeLoad({ implement, count, grams, platesPerSideGrams, range }: FeasibleLoad): string {
  if (range) return `${range.name} (about ${kg(range.lowGrams)}–${kg(range.highGrams)} kg)`;
  const noun = nouns[implement] ?? implement;
  const plates = platesPerSideGrams && platesPerSideGrams.length > 0 ? ` (${platesPerSideGrams.map(kg).join(' + ')} a side)` : '';
  if (implement === 'barbell') return plates ? `bar ${kg(grams)} kg${plates}` : `empty bar ${kg(grams)} kg`;
  return count === 2 ? `2 ${noun}s ${kg(grams)} kg${plates}` : `${noun} ${kg(grams)} kg${plates}`;
}

/** Loads for a movement's rule, ascending by mass. */
export function loadsFor(loads: readonly FeasibleLoad[], implementsAllowed: readonly Implement[], count: 1 | 2): FeasibleLoad[] {
  return loads
    .filter((load) => load.count === count && implementsAllowed.includes(load.implement))
    .sort((a, b) => a.grams - b.grams || order.indexOf(a.implement) - order.indexOf(b.implement));
}
