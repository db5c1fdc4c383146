/** How what is light is made hard without more of it: a slow lowering and a pause. */
import type { Movement } from '../../movements/movement';
import { movementOf } from '../../movements/catalogue';
import type { CountUnit } from '../../workout/workout';
import type { AdaptContext, SlotQuestion } from './question';

/** three seconds down, one at the bottom, up as fast as possible, one at the top */
export const slowTempo = '31X1';
/** below this share of the meant effort a strength set is too light as it is (round figure) */
const tooLight = 0.75;
const slowFamilies = new Set(['squat', 'push-up', 'press', 'row', 'lunge', 'hinge', 'body row', 'curl']);

/** Whether a movement may be done slowly at all. */
export const goesSlowly = ({ family, jumps }: Movement): boolean => !jumps && slowFamilies.has(family);

/** A tempo for strength sets that would be too easy, or where the house rule asks for it once the load is gone; null: as it goes. */
export function tempoFor(movement: Movement, unit: CountUnit, setShare: number, question: SlotQuestion, { rules }: AdaptContext): string | null {
  const { slot, stimulus, strength } = question;
  if (unit !== 'reps' || slot.bracket !== null || slot.tempo !== null || !goesSlowly(movement) || movement.id === slot.movement) return null;
  const gone = movement.load === null && movementOf(slot.movement).load !== null && rules.loadGone === 'tempo';
  return gone || (strength && setShare < tooLight * stimulus.bout.setShare) ? slowTempo : null;
}
