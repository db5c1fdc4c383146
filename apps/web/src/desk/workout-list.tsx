/** Workouts one a line, with their days and how far they are. */
import { Link } from 'react-router';
import type { ListedWorkout } from '../api/types';
import { showDay } from '../shell/days';

/** `13 sent` before it was done, `11 of 13 in the window` after */
function stateOf({ sent, done }: ListedWorkout): string {
  if (done) return done.judged > 0 ? `${done.inWindow} of ${done.judged} in the window` : `${done.scores} scores`;
  return sent > 0 ? `${sent} sent` : 'not sent';
}

interface Props {
  readonly title: string;
  readonly workouts: readonly ListedWorkout[];
  readonly empty: string;
  readonly to?: string;
  readonly state?: boolean;
}
export function WorkoutList({ title, workouts, empty, to = 'write', state = true }: Props) {
  return (
    <section>
      <h2 className="mb-1 text-base">{title}</h2>
      {workouts.length === 0 && <p className="text-sm text-soft">{empty}</p>}
      <ul className="divide-y divide-line border-y border-line">
        {workouts.map((workout) => (
          <li key={workout.id}>
            <Link to={`/workouts/${workout.id}/${to}`} className="flex justify-between gap-3 px-1 py-1.5 hover:bg-wash">
              <span className="min-w-0 truncate">
                {workout.title}
                {state && <span className="block truncate text-xs text-soft">{stateOf(workout)}</span>}
              </span>
              <span className="whitespace-nowrap text-sm text-soft">{showDay(workout.day)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
