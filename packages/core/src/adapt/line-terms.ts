/** How a line of the coach's is read: masses without a unit, and the movements that the workout defines. */
import type { MassUnit } from '../units/mass';
import type { DefinedMovement } from '../workout/workout';

export interface LineTerms {
  readonly units: MassUnit;
  readonly own: readonly DefinedMovement[];
}
