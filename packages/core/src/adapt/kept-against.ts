/** What a coach keeps in somebody's version although it goes against a limit of theirs: said each time, before it is sent. */
import type { Athlete } from '../athlete/athlete';
import { barePlace, roomAsTold } from '../kit/kit';
import { obstacles, sentenceForObstacle, type Obstacle } from '../limits/feasible';
import { isMovementId, movementOf } from '../movements/catalogue';
import { wordsOf } from '../notation/format-workout';
import { brokenLines, isHarm } from './gate/broken-lines';
import { isPartLock, type Lock } from './lock';

/** lines stand in a part; of what frame it is does not matter here */
const asText = (lines: string): string => `AMRAP 10:00\n${lines}`;

const ofText = (text: string, athlete: Athlete): string[] =>
  brokenLines(text, athlete, athlete.places[0] ?? barePlace)
    .filter((broken) => broken.harms)
    .map(({ line, why }) => `“${line}” ${why}`);

function ofMovement(movement: string, athlete: Athlete): string[] {
  if (!isMovementId(movement)) return [];
  const found: Obstacle[] = obstacles(movementOf(movement), athlete, roomAsTold(athlete.places[0] ?? barePlace));
  return found.filter(isHarm).map((obstacle) => `“${wordsOf(movement)}” ${sentenceForObstacle(obstacle)}`);
}

/** @returns each line once, with what it goes against; kit and place are not its matter */
export function keptAgainst(locks: readonly Lock[], athlete: Athlete): string[] {
  const found = locks.flatMap((lock) => {
    if ('byHand' in lock) return ofText(lock.byHand, athlete);
    if (!isPartLock(lock)) return [];
    if (lock.line !== undefined) return ofText(asText(lock.line), athlete);
    return lock.movement === undefined ? [] : ofMovement(lock.movement, athlete);
  });
  return [...new Set(found)];
}
