/** Skills: a movement that is learned, not only trained. Owned, half owned, or not there, by the set that is asked. */
import type { Movement } from '../../movements/movement';
import { constants } from '../../simulate/body';

/** share of the set that must be there in one go for a skill to count as owned (the default of the house rule: swap unless nearly unbroken) */
export const nearlyUnbroken = 0.6;

export const isSkill = (movement: Movement): boolean => movement.skill >= 2 && movement.limit.by === 'set';

/** @param reps to failure when fresh @param count of the set that is asked */
export function isHalfOwned(movement: Movement, reps: number, count: number): boolean {
  const inside = reps * constants.insideShare;
  return isSkill(movement) && inside >= 1 && inside < nearlyUnbroken * count;
}
