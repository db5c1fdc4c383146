/** Lines of a version, as it was sent, that go against what an athlete is to be spared by now: a limit may come after the sending. */
import type { AvoidName } from '../../athlete/athlete';
import { violates } from '../../limits/feasible';
import { movementOf } from '../../movements/catalogue';
import { formatSlot } from '../../notation/format-workout';
import { parseWorkout } from '../../notation/parse-workout';
import { slotsOfWorkout } from '../../workout/walk';
import type { Category } from '../../workout/workout';

/** @returns the lines as they stand in the version, each once */
export function linesAgainst(versionText: string, avoid: readonly AvoidName[], category: Category): string[] {
  if (avoid.length === 0) return [];
  const slots = slotsOfWorkout(parseWorkout(versionText).workout).map(({ value }) => value);
  const against = slots.filter(({ movement, heightCm }) => avoid.some((tag) => violates(movementOf(movement), tag, heightCm?.[category] ?? null)));
  return [...new Set(against.map(formatSlot))];
}
