/** What is never traded: kit, floor, ceiling, noise, avoid-list, range, and skills that must be told. */
import { obstacles, type Obstacle } from '../../limits/feasible';
import { own } from '../../text/own';
import type { FeasibleLoad } from '../../kit/loads';
import type { Athlete } from '../../athlete/athlete';
import type { Movement } from '../../movements/movement';
import { toldBy } from '../../movements/skill-kin';
import { roomFor, type AdaptContext } from './question';

/** Skill an athlete of this level may be given, unless a known max or best set says otherwise. */
const skillAllowed = { new: 1, newer: 2, trained: 3, competitive: 3 } as const;

/** The file says it: owned, or half; a told max or best set says it too. */
export function isTold({ skills, maxes, bestSets }: Athlete, movement: Movement): boolean {
  const said = own(skills, movement.id);
  if (said !== undefined) return said !== 'no';
  return [movement.id, ...toldBy(movement.id)].some((id) => (maxes[id]?.kg ?? 0) > 0 || (bestSets[id] ?? 0) >= 1);
}

/** All hard limits of one movement for one athlete in one place. Empty when it may be done. */
export function hardLimits(movement: Movement, context: AdaptContext, load: FeasibleLoad | null = null, heightCm: number | null = null): Obstacle[] {
  const { athlete } = context;
  const found = obstacles(movement, athlete, roomFor(movement, context), load, heightCm);
  const told = isTold(athlete, movement);
  if (own(athlete.skills, movement.id) === 'no' || (movement.mustBeTold && !told) || (movement.skill > skillAllowed[athlete.level] && !told))
    found.push({ code: 'skill', skill: movement.skill });
  return found;
}
