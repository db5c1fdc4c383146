/** The easier push-ups of the house rule. Where the coach chooses between them each time, one stands so that the version can be sent, and the coach is asked. */
import { movementOf } from '../../movements/catalogue';
import { wordsOf } from '../../notation/format-workout';
import type { HouseRules } from '../../rules/house-rules';
import type { SlotLock } from '../part/space';
import { isEasierPushUp } from '../slot/schools';
import type { VersionSlot } from './version-slots';

/** What the coach has to choose in a part; a slot whose movement is locked is chosen already. @param locks of this part */
export function choicesToMake(slots: readonly VersionSlot[], locks: readonly SlotLock[], rules: HouseRules): string[] {
  if (rules.easierPushUp !== 'coach') return [];
  return slots.flatMap(({ original, movement, reps, swapped, style, runnerUp, written }) => {
    const chosen = locks.some((lock) => lock.slot === written && lock.movement !== undefined);
    if (chosen || !swapped || !original || movementOf(original.movement).family !== 'push-up' || !isEasierPushUp(movement)) return [];
    if (!runnerUp || !isEasierPushUp(runnerUp.movement)) return [];
    const height = style.surfaceCm === null ? '' : ` at ${style.surfaceCm} cm`;
    return [
      `Yours to choose (house rule): ${reps.join('-')} ${wordsOf(movement)}${height} for ${wordsOf(original.movement)}, or ${runnerUp.count} ${wordsOf(runnerUp.movement)}. The first stands until you do.`,
    ];
  });
}
