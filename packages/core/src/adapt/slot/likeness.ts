/** How alike two movements are, and the movements that could stand in where the trade has no list. Depends on the catalogue alone. */
import { mainPattern, movementOf, movements } from '../../movements/catalogue';
import { muscles, patterns, type Movement } from '../../movements/movement';
import { standInsOf, type Nearness } from '../../movements/stand-ins';

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

export function similarity(a: Movement, b: Movement): Likeness {
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

export interface Proposal {
  readonly movement: Movement;
  readonly nearness: Nearness;
  /** place in the list of the trade; behind it by likeness */
  readonly order: number;
}

/** may stand in for another */
const isProposed = ({ prepareOnly, onlyAsWritten, anyOf }: Movement): boolean => !prepareOnly && !onlyAsWritten && anyOf === null;
const mostAlike = 24;
const known = new Map<string, readonly Proposal[]>();
/** Itself, the list of the trade, then what is likest. Kept: it depends on the catalogue alone. */
export function neighboursOf(id: string): readonly Proposal[] {
  const before = known.get(id);
  if (before) return before;
  const origin = movementOf(id);
  const listed: Proposal[] = standInsOf(id).map(({ id: other, step, order }) => ({ movement: movementOf(other), nearness: step, order }));
  const seen = new Set([id, ...listed.map(({ movement }) => movement.id)]);
  const alike = movements
    .filter((each) => !seen.has(each.id) && isProposed(each))
    .map((movement) => ({ movement, likeness: similarity(origin, movement) }))
    .map(({ movement, likeness }) => ({ movement, likeness: likeness.near + 0.4 * likeness.muscle }))
    .filter((each) => each.likeness > 0.55 || origin.anyOf !== null)
    .sort((a, b) => b.likeness - a.likeness || (a.movement.id < b.movement.id ? -1 : 1))
    .slice(0, mostAlike)
    .map(({ movement }, at): Proposal => ({ movement, nearness: 'likeness', order: 100 + at }));
  const own: Proposal[] = origin.anyOf === null ? [{ movement: origin, nearness: 'written', order: 0 }] : [];
  const found = [...own, ...listed, ...alike];
  known.set(id, found);
  return found;
}

/** Everything the catalogue has, likest first: where nothing near can be done. */
export function allByLikeness(id: string): Proposal[] {
  const origin = movementOf(id);
  return movements
    .filter(isProposed)
    .map((movement) => ({ movement, likeness: similarity(origin, movement) }))
    .sort((a, b) => b.likeness.pattern + b.likeness.muscle - (a.likeness.pattern + a.likeness.muscle) || (a.movement.id < b.movement.id ? -1 : 1))
    .map(({ movement }, at): Proposal => ({ movement, nearness: 'likeness', order: 200 + at }));
}
