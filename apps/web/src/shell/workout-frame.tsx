/** A workout's own frame: its name, its day, and the steps of the work in their order. */
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef } from 'react';
import { NavLink, Outlet, useParams } from 'react-router';
import { api } from '../api/client';
import { useWorkout, workoutLists } from '../api/queries';
import type { StoredWorkout } from '../api/types';
import { Failed, Loading } from '../ui/states';
import { isUntouched } from '../write/untouched';
import { WorkoutDetails } from './workout-details';

const steps = [
  ['write', 'Write'],
  ['adapt', 'Adapt'],
  ['send', 'Send'],
  ['run', 'Run'],
  ['board', 'Score & compare'],
] as const;

/** Left as it was made, it is not kept. */
function useNotKept(id: number): void {
  const client = useQueryClient();
  const leaving = useRef<ReturnType<typeof setTimeout> | null>(null);
  useEffect(() => {
    // a screen that is only drawn anew was not left
    if (leaving.current !== null) clearTimeout(leaving.current);
    const drop = (): void => {
      const workout = client.getQueryData<StoredWorkout>(['workouts', id]);
      if (!workout || !isUntouched(workout)) return;
      void api(`/workouts/${id}`, { method: 'DELETE' }).then(
        () => client.invalidateQueries({ queryKey: workoutLists }),
        () => undefined,
      );
    };
    return () => {
      leaving.current = setTimeout(drop, 0);
    };
  }, [client, id]);
}

export function WorkoutFrame() {
  const id = Number(useParams()['id']);
  useNotKept(id);
  const { data: workout, error, refetch } = useWorkout(id);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!workout) return <Loading />;
  return (
    <>
      <div className="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line px-5 py-1.5">
        <h1 className="text-xl">{workout.title}</h1>
        <WorkoutDetails workout={workout} />
        <nav aria-label="Steps" className="ml-auto flex gap-1">
          {steps.map(([to, label], index) => (
            <NavLink
              key={to}
              to={`/workouts/${id}/${to}`}
              className={({ isActive }) => `rounded px-3 py-1.5 text-sm ${isActive ? 'bg-ink text-paper' : 'hover:bg-wash'}`}
            >
              {index + 1} {label}
            </NavLink>
          ))}
        </nav>
      </div>
      <Outlet />
    </>
  );
}
