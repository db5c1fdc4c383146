/** The catalogue: every movement by id, and how a whiteboard may spell it. */
import { ease, movement } from './build';
import type { Movement, MovementId, Pattern } from './movement';
import { accessories } from './catalogue/accessory';
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
  ...accessories,
  ...preparePieces,
];

const byId = new Map(movements.map((each) => [each.id, each]));

/**
 * The movement of an id. An id that the catalogue does not have is a movement a coach wrote and Gambito does not know:
 * it gets a card of its own that says nothing but its name, and is reckoned as something light and middling.
 */
export function movementOf(id: MovementId): Movement {
  return byId.get(id) ?? { ...unknownMovement, id, name: id.replaceAll('-', ' ') };
}
const unknownMovement = movement('unknown', {
  family: 'unknown',
  patterns: { trunkBrace: 1 },
  muscles: { trunk: 1 },
  joulesPerKg: 6,
  cycle: 2.5,
  limit: ease(60),
});

export function isMovementId(id: string): boolean {
  return byId.has(id);
}

/** The strict form of a movement that is written in any style; null where there is none. */
export function strictFormOf(id: MovementId): MovementId | null {
  return movementOf(id).style === 'free' && byId.has(`strict-${id}`) ? `strict-${id}` : null;
}

/** The pattern with the largest share, the first in the list where two are equal. */
export function mainPattern(movement: Movement): Pattern {
  return (Object.entries(movement.patterns) as [Pattern, number][]).reduce((best, each) => (each[1] > best[1] ? each : best))[0];
}
