/** Workouts one a line, with their days. */
import { Link } from 'react-router';
import type { ListedWorkout } from '../api/types';
import { showDay } from '../shell/days';

export function WorkoutList({ title, workouts, empty, to = 'write' }: { title: string; workouts: readonly ListedWorkout[]; empty: string; to?: string }) {
  return (
    <section>
      <h2 className="mb-1 text-base">{title}</h2>
      {workouts.length === 0 && <p className="text-sm text-soft">{empty}</p>}
      <ul className="divide-y divide-line border-y border-line">
        {workouts.map((each) => (
          <li key={each.id}>
            <Link to={`/workouts/${each.id}/${to}`} className="flex justify-between gap-3 px-1 py-1.5 hover:bg-wash">
              <span className="truncate">{each.title}</span>
              <span className="whitespace-nowrap text-sm text-soft">{showDay(each.day)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
