/** Lines of a version, as it was sent, that its athlete should not or cannot do by now: limits, kit and place may change after the sending. */
import type { Athlete, AvoidName } from '../../athlete/athlete';
import { roomAsTold, type Place } from '../../kit/kit';
import { feasibleLoads, platesInHand, type FeasibleLoad } from '../../kit/loads';
import { withoutRack } from '../../limits/bar-without-rack';
import { capacityOf } from '../../scoring/learn-fitness';
import { obstacles, sentenceForObstacle, type Obstacle } from '../../limits/feasible';
import { movementOf } from '../../movements/catalogue';
import { formatLoad, formatSlot } from '../../notation/format-workout';
import { parseWorkout } from '../../notation/parse-workout';
import { slotsOfWorkout } from '../../workout/walk';
import type { Slot } from '../../workout/workout';

export interface BrokenLine {
  /** as it stands in the version */
  readonly line: string;
  readonly why: string;
  /** the entry of the avoid-list it goes against; null where it is something else */
  readonly tag: AvoidName | null;
  /** against what keeps from harm, not against kit or place */
  readonly harms: boolean;
}
export const isHarm = ({ code }: Obstacle): boolean => code === 'avoid' || code === 'limit';

/** kg a written load may be from one that is owned: pounds are written in whole ones */
const asWritten = 0.5;

function loadNotOwned({ load }: Slot, athlete: Athlete, loads: readonly FeasibleLoad[]): string | null {
  if (load?.kind !== 'mass') return null;
  const kg = load[athlete.category];
  const isOwned = loads.some(({ grams, count }) => Math.abs(grams / 1000 - kg) <= asWritten && (load.count !== 2 || count === 2));
  return isOwned ? null : `no ${formatLoad(load).replace(/^@\s*/, '')} is there`;
}

/** Somebody who is sent under a bar, and has no rack by now. */
function rackMissing({ movement, load }: Slot, athlete: Athlete, place: Place): string[] {
  const card = movementOf(movement);
  if (load?.kind !== 'mass' || !card.load?.implements.includes('barbell') || !place.kit.some(({ kind }) => kind === 'barbell')) return [];
  const why = withoutRack(card, load[athlete.category] * load.count, place, capacityOf(athlete));
  return why === null ? [] : [why];
}

/** @returns each line once a reason, in the order of the version */
export function brokenLines(versionText: string, athlete: Athlete, place: Place): BrokenLine[] {
  const loads = [...feasibleLoads(place.kit), ...platesInHand(place.kit)];
  const found = slotsOfWorkout(parseWorkout(versionText).workout).flatMap(({ value: slot }): BrokenLine[] => {
    const line = formatSlot(slot);
    const notOwned = loadNotOwned(slot, athlete, loads);
    return [
      ...obstacles(movementOf(slot.movement), athlete, roomAsTold(place), null, slot.heightCm?.[athlete.category] ?? null).map((obstacle) => ({
        line,
        why: sentenceForObstacle(obstacle),
        tag: obstacle.code === 'avoid' ? obstacle.tag : null,
        harms: isHarm(obstacle),
      })),
      ...(notOwned === null ? [] : [{ line, why: notOwned, tag: null, harms: false }]),
      ...rackMissing(slot, athlete, place).map((why) => ({ line, why, tag: null, harms: true })),
    ];
  });
  return found.filter((each, at) => found.findIndex(({ line, why }) => line === each.line && why === each.why) === at);
}
