/** Movements that could stand in for another: the curated chains first, then likeness of patterns and muscles. Depends on the catalogue alone. */
import { mainPattern, movementOf, movements } from '../movements/catalogue';
import { muscles, patterns, type Movement } from '../movements/movement';

export interface Likeness {
  /** share of the patterns in common, 0…1 */
  readonly pattern: number;
  /** cosine of the angle between the muscles they tire, 0…1 */
  readonly muscle: number;
  /** the same as `pattern`, with breathing work near to all breathing work */
  readonly near: number;
}

/** Breathing work stands in for breathing work: running, rope, machines and their quiet cousins count as near. */
const engineLike = new Set(['run', 'rope', 'machine']);

const likenesses = new Map<Movement, Map<Movement, Likeness>>();
/** How alike two movements are. Depends on the catalogue alone, and every candidate of a slot asks for it, so it is kept. */
export function similarity(a: Movement, b: Movement): Likeness {
  const own = likenesses.get(a) ?? new Map<Movement, Likeness>();
  if (own.size === 0) likenesses.set(a, own);
  const known = own.get(b) ?? likenessOf(a, b);
  own.set(b, known);
  return known;
}

function likenessOf(a: Movement, b: Movement): Likeness {
  const pattern = patterns.reduce((sum, each) => sum + Math.min(a.patterns[each] ?? 0, b.patterns[each] ?? 0), 0);
  let dot = 0;
  let first = 0;
  let second = 0;
  for (const muscle of muscles) {
    const x = a.muscles[muscle] ?? 0;
    const y = b.muscles[muscle] ?? 0;
    dot += x * y;
    first += x * x;
    second += y * y;
  }
  const near = engineLike.has(mainPattern(a)) && engineLike.has(mainPattern(b)) ? Math.max(pattern, 0.7) : pattern;
  return { pattern, muscle: dot / Math.sqrt(Math.max(1e-9, first * second)), near };
}

export const nearPattern = (a: Movement, b: Movement): number => similarity(a, b).near;

export interface Near {
  readonly movement: Movement;
  /** steps along the curated easier/harder chains; 4 for a movement found by likeness alone */
  readonly hops: number;
}

const nearCache = new Map<string, readonly Near[]>();
/** Movements that could stand in, curated neighbours first. Depends on the catalogue alone, so it is kept. */
export function nearMovements(id: string): readonly Near[] {
  const known = nearCache.get(id);
  if (known) return known;
  const origin = movementOf(id);
  const hops = new Map<string, number>([[id, 0]]);
  let edge = [id];
  for (let step = 1; step <= 3; step++) {
    const next: string[] = [];
    for (const each of edge)
      for (const neighbour of [...movementOf(each).easier, ...(step === 1 ? movementOf(each).harder : [])])
        if (!hops.has(neighbour)) {
          hops.set(neighbour, step);
          next.push(neighbour);
        }
    edge = next;
  }
  const alike = movements
    .filter((each) => !hops.has(each.id) && !each.prepareOnly && each.anyOf === null)
    .map((each) => ({ movement: each, likeness: nearPattern(origin, each) + 0.4 * similarity(origin, each).muscle }))
    .filter((each) => each.likeness > 0.55 || origin.anyOf !== null)
    .sort((a, b) => b.likeness - a.likeness || (a.movement.id < b.movement.id ? -1 : 1))
    .slice(0, 28);
  const near = [
    ...[...hops.entries()].map(([each, count]) => ({ movement: movementOf(each), hops: count })),
    ...alike.map(({ movement }) => ({ movement, hops: 4 })),
  ].filter((each) => each.movement.anyOf === null && !each.movement.prepareOnly);
  nearCache.set(id, near);
  return near;
}
