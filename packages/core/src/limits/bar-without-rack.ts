/**
 * A bar without a rack is brought up from the floor: the clean sets how heavy it may be on the shoulders, and what can be pressed over the head how heavy on the back.
 * Nobody lies under a bar that nothing holds (common practice; the shares are from memory).
 */
import type { Capacity } from '../capacity/capacity';
import type { Place } from '../kit/kit';
import type { Movement } from '../movements/movement';

/** of a clean: it is brought up again for every set */
const onShoulders = 0.85;
/** of a clean: it is pressed over the head, and back over it afterwards */
const onBack = 0.5;

/** kg a bar may weigh here for a movement that is done under it; infinite where nothing limits it */
export function mostBarKg({ load, limit }: Movement, place: Place, { lifts }: Pick<Capacity, 'lifts'>): number {
  if (load === null || place.kit.some(({ kind }) => kind === 'rack')) return Infinity;
  if (load.position === 'rack') return onShoulders * lifts.clean.value;
  if (load.position === 'back') return onBack * lifts.clean.value;
  return load.position === 'hands' && limit.by === 'lift' && limit.lift === 'benchPress' ? 0 : Infinity;
}

/** Why a bar of so many kg is no good here, in words; null where it is. */
export const withoutRack = (movement: Movement, kg: number, place: Place, capacity: Pick<Capacity, 'lifts'>): string | null =>
  kg > mostBarKg(movement, place, capacity) ? 'there is no rack here to take the bar from' : null;
/** The same place with a rack: for what the coach decides. */
export const withRack = (place: Place): Place => ({ ...place, kit: [...place.kit, { kind: 'rack' }] });
