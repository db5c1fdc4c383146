/**
 * What a place adds to the clock: the way to the street before and after a run, and turns where a crawl or a carry goes in laps.
 * Round figures, but for the way to the street, which the athlete may state.
 */
import type { Place } from '../kit/kit';
import { goesOutside } from '../limits/feasible';
import { needsRoute } from '../movements/needs';
import type { Movement } from '../movements/movement';

export interface PlaceCost {
  /** s before the bout, and again before whatever follows it */
  readonly wayOutSeconds: number;
  /** s a metre, on top of the going itself */
  readonly turnSecondsPerMetre: number;
}
export const noPlaceCost: PlaceCost = { wayOutSeconds: 0, turnSecondsPerMetre: 0 };

/** down a flight and out of the door, when the kit names stairs and a route and nothing more is said */
const usualStairsSeconds = 10;
const turnSeconds = 1;
/** beyond this a lap hardly notices its turn */
const longLapM = 25;

export function wayToStreet(place: Place): number {
  const has = (kind: string): boolean => place.kit.some((item) => item.kind === kind);
  return place.toStreetSeconds ?? (has('stairs') && has('route') ? usualStairsSeconds : 0);
}

export function placeCost(movement: Movement, place: Place | null): PlaceCost {
  if (!place) return noPlaceCost;
  const inLaps = movement.unit === 'm' && (movement.family === 'crawl' || movement.family === 'carry');
  const lapM = Math.max(place.floor.lengthM, place.floor.widthM);
  // a carry stays in a long room; a shuttle run is of the room it is written for
  const outside = movement.family === 'carry' && lapM < longLapM && goesOutside(movement, place);
  return {
    wayOutSeconds: needsRoute(movement.needs) || outside ? wayToStreet(place) : 0,
    turnSecondsPerMetre: inLaps && !outside && lapM < longLapM ? turnSeconds / Math.max(1, lapM) : 0,
  };
}
