/** The catalogue: every movement by id, and how a whiteboard may spell it. */
import type { Movement, MovementId, Pattern } from './movement';
import { engines } from './catalogue/engine';
import { hinges } from './catalogue/hinge';
import { lunges } from './catalogue/lunge';
import { olympicLifts } from './catalogue/olympic';
import { preparePieces } from './catalogue/prepare';
import { pulls } from './catalogue/pull';
import { pushes } from './catalogue/push';
import { squats } from './catalogue/squat';
import { trunkWork } from './catalogue/trunk';

export const movements: readonly Movement[] = [
  ...squats,
  ...olympicLifts,
  ...hinges,
  ...lunges,
  ...pushes,
  ...pulls,
  ...trunkWork,
  ...engines,
  ...preparePieces,
];

const byId = new Map(movements.map((each) => [each.id, each]));

/** @throws {RangeError} on an id the catalogue does not have: ids come from the reader or from the catalogue itself */
export function movementOf(id: MovementId): Movement {
  const found = byId.get(id);
  if (!found) throw new RangeError(`movementOf: unknown movement ${id}`);
  return found;
}

export function isMovementId(id: string): boolean {
  return byId.has(id);
}

/** The pattern with the largest share, the first in the list where two are equal. */
export function mainPattern(movement: Movement): Pattern {
  return (Object.entries(movement.patterns) as [Pattern, number][]).reduce((best, each) => (each[1] > best[1] ? each : best))[0];
}
