/**
 * Loads a kit can make, exactly.
 * Bars: bounded subset sums over integer grams, so two machines always agree and a set that needs "skip the 15, take two 10s" is found.
 * Fixed implements are what they are; a pair is two of the same mass; adjustable dumbbells go in steps; a backpack in 1 kg steps, bag included.
 */
import type { Implement } from '../movements/movement';
import { trimNumber } from '../units/mass';
import type { BarbellItem, KitItem } from './kit';

export interface FeasibleLoad {
  readonly implement: Implement;
  readonly count: 1 | 2;
  /** of one implement, bar included */
  readonly grams: number;
  readonly text: string;
  /** heaviest first, for a bar */
  readonly platesPerSideGrams?: readonly number[];
  /** a band: a range, so the figure is approximate */
  readonly approximate?: true;
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

function loadsOfBar(item: BarbellItem): FeasibleLoad[] {
  const pairs = item.plates.map(({ grams, pieces }) => ({ grams, pairs: Math.floor(pieces / 2) })).filter((each) => each.pairs > 0);
  return barLoads(item.barGrams + item.collarGrams, pairs).map(({ totalGrams, sideGrams }) => ({
    implement: 'barbell',
    count: 1,
    grams: totalGrams,
    text: sideGrams.length === 0 ? `empty bar ${kg(totalGrams)} kg` : `bar ${kg(totalGrams)} kg (${sideGrams.map(kg).join(' + ')} a side)`,
    platesPerSideGrams: sideGrams,
  }));
}

const singleAndPair = (implement: Implement, grams: number, pieces: number, noun: string): FeasibleLoad[] => [
  { implement, count: 1, grams, text: `${noun} ${kg(grams)} kg` },
  ...(pieces >= 2 ? [{ implement, count: 2 as const, grams, text: `2 ${noun}s ${kg(grams)} kg` }] : []),
];

function loadsOfItem(item: KitItem): FeasibleLoad[] {
  switch (item.kind) {
    case 'barbell':
      return loadsOfBar(item);
    case 'dumbbell':
    case 'kettlebell':
    case 'sandbag':
      return singleAndPair(item.kind, item.grams, item.count, item.kind);
    case 'can':
      return singleAndPair('can', item.grams, item.count, 'water can');
    case 'plate':
      return singleAndPair('plate', item.grams, item.count, 'plate');
    case 'vest':
      return singleAndPair('vest', item.grams, 1, 'vest');
    case 'adjustable': {
      const steps = Math.floor((item.toGrams - item.fromGrams) / item.stepGrams + 1e-9);
      return Array.from({ length: steps + 1 }, (_, step) => singleAndPair('dumbbell', item.fromGrams + step * item.stepGrams, item.count, 'dumbbell')).flat();
    }
    case 'backpack':
      return Array.from({ length: Math.max(0, Math.floor(item.toGrams / 1000)) }, (_, index) => ({
        implement: 'backpack' as const,
        count: 1 as const,
        grams: (index + 1) * 1000,
        text: `backpack ${index + 1} kg`,
      }));
    case 'band':
      return [
        {
          implement: 'band',
          count: 1,
          grams: Math.round((item.lowGrams + item.highGrams) / 2),
          text: `${item.name} (about ${kg(item.lowGrams)}–${kg(item.highGrams)} kg)`,
          approximate: true,
        },
      ];
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
  return [...pieces.values()]
    .filter((each) => each.count >= 2 && each.most < 2)
    .map((each) => singleAndPair(each.implement, each.grams, 2, each.implement === 'can' ? 'water can' : each.implement)[1]!);
}

/** Every load each implement of the kit can make, by implement, then count, then mass; no load twice. */
export function feasibleLoads(kit: readonly KitItem[]): FeasibleLoad[] {
  const all = [...kit.flatMap(loadsOfItem), ...pairsAcross(kit)];
  const unique = new Map<number, FeasibleLoad>();
  for (const load of all) {
    const key = (load.grams * 2 + load.count) * order.length + order.indexOf(load.implement);
    const known = unique.get(key);
    if (!known || (load.platesPerSideGrams?.length ?? 0) < (known.platesPerSideGrams?.length ?? 0)) unique.set(key, load);
  }
  return [...unique.values()].sort((a, b) => order.indexOf(a.implement) - order.indexOf(b.implement) || a.count - b.count || a.grams - b.grams);
}

/** Loads for a movement's rule, ascending by mass. */
export function loadsFor(loads: readonly FeasibleLoad[], implementsAllowed: readonly Implement[], count: 1 | 2): FeasibleLoad[] {
  return loads
    .filter((load) => load.count === count && implementsAllowed.includes(load.implement))
    .sort((a, b) => a.grams - b.grams || order.indexOf(a.implement) - order.indexOf(b.implement));
}
