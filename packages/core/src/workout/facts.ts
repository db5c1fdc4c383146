/** What a library sorts workouts by: the kinds of their parts, how long they are, what is moved. */
import { summarize } from './summary';
import type { DefinedMovement, PartKind, Workout } from './workout';

export interface WorkoutFacts {
  /** of its parts, rests left out, each once */
  readonly kinds: readonly PartKind[];
  /** whole minutes of the clock, caps counted; null where the athlete decides */
  readonly minutes: number | null;
  /** movement ids, each once */
  readonly movements: readonly string[];
  /** movements of the coach's own that it defines */
  readonly own?: readonly DefinedMovement[];
}
export function factsOf(workout: Pick<Workout, 'parts' | 'own'>): WorkoutFacts {
  const { clockSeconds, parts } = summarize(workout);
  return {
    kinds: [...new Set(parts.map(({ kind }) => kind).filter((kind) => kind !== 'rest'))],
    minutes: clockSeconds === null ? null : Math.ceil(clockSeconds / 60),
    movements: [...new Set(parts.flatMap(({ reps }) => Object.keys(reps)))],
    ...(workout.own ? { own: workout.own } : {}),
  };
}
