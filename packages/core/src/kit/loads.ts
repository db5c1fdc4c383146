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

const kg = (grams: number): string => trimNumber(grams / 1000, 2);

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
  let sides = new Map<number, readonly number[]>([[0, []]]);
  for (const { grams, pairs: most } of [...pairs].sort((a, b) => b.grams - a.grams)) {
    if (!Number.isInteger(grams) || grams <= 0) throw new RangeError(`barLoads: expected plate grams a positive integer, got ${grams}`);
    const next = new Map(sides);
    for (const [side, plates] of sides)
      for (let used = 1; used <= most; used++) {
        const total = side + used * grams;
        const known = next.get(total);
        if (!known || known.length > plates.length + used) next.set(total, [...plates, ...Array.from({ length: used }, () => grams)]);
      }
    sides = next;
  }
  return [...sides.entries()].map(([side, sideGrams]) => ({ totalGrams: barGrams + 2 * side, sideGrams })).sort((a, b) => a.totalGrams - b.totalGrams);
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

const order: readonly Implement[] = ['barbell', 'dumbbell', 'kettlebell', 'sandbag', 'backpack', 'can', 'plate', 'vest', 'band', 'stick'];

/** Every load each implement of the kit can make, by implement, then count, then mass; no load twice. */
export function feasibleLoads(kit: readonly KitItem[]): FeasibleLoad[] {
  const all = [...kit.flatMap(loadsOfItem), ...pairsAcross(kit)];
  const unique = new Map<string, FeasibleLoad>();
  for (const load of all) {
    const key = `${load.implement} ${load.count} ${load.grams}`;
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
