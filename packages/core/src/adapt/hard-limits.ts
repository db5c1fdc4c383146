/** What is never traded: kit, floor, ceiling, noise, avoid-list, range, skill, and a style that was written. */
import { obstacles, type Obstacle } from '../kit/feasible';
import type { FeasibleLoad } from '../kit/loads';
import type { Movement } from '../movements/movement';
import type { HouseRules } from '../rules/house-rules';
import type { AdaptContext } from './question';

/** Skill an athlete of this level may be given, unless a known max or best set says otherwise. */
const skillAllowed = { new: 1, newer: 1, trained: 3, competitive: 3 } as const;

/** `strict` was written: no kip, and not the free style of the same movement. */
const freeStyle = new Set([
  'pull-up',
  'toes-to-bar',
  'handstand-push-up',
  'chest-to-bar-pull-up',
  'jumping-pull-up',
  'bar-muscle-up',
  'ring-muscle-up',
  'burpee-pull-up',
]);
export function breaksStyle(original: string, candidate: Movement, rules: HouseRules): boolean {
  // the bare name is any style already
  if (candidate.id === `kipping-${original}`) return true;
  return original.startsWith('strict-') && rules.strictMissing === 'staysStrict' && (candidate.id.includes('kipping') || freeStyle.has(candidate.id));
}

/** All hard limits of one movement for one athlete in one place. Empty when it may be done. */
export function hardLimits(movement: Movement, context: AdaptContext, load: FeasibleLoad | null = null, heightCm: number | null = null): Obstacle[] {
  const found = obstacles(movement, context.athlete, context.place, load, heightCm);
  const knows = (context.athlete.maxes[movement.id]?.kg ?? 0) > 0 || (context.athlete.bestSets[movement.id] ?? 0) >= 1;
  if (movement.skill > skillAllowed[context.athlete.level] && !knows) found.push({ code: 'skill', skill: movement.skill });
  return found;
}
