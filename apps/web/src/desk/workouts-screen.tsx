/** All workouts: open, date, duplicate, delete with undo. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Copy, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useDelete, useWorkouts } from '../api/queries';
import type { StoredWorkout } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Empty, Failed, Loading } from '../ui/states';
import { useNewWorkout } from './desk-screen';

export function WorkoutsScreen() {
  const { data: workouts, error, refetch } = useWorkouts();
  const client = useQueryClient();
  const create = useNewWorkout();
  const remove = useDelete('/workouts', 'Workout', ['workouts']);
  const [search, setSearch] = useState('');
  const refresh = () => client.invalidateQueries({ queryKey: ['workouts'] });
  const duplicate = useMutation({
    mutationFn: (id: number) => api<StoredWorkout>(`/workouts/${id}/duplicate`, { method: 'POST' }),
    onSuccess: refresh,
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const date = useMutation({
    mutationFn: ({ workout, day }: { workout: StoredWorkout; day: string | null }) =>
      api(`/workouts/${workout.id}`, { method: 'PUT', body: { day, revision: workout.revision } }),
    onSettled: refresh,
    onError: (failure) => toast.error(messageOf(failure)),
  });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!workouts) return <Loading />;
  const shown = workouts.filter((each) => each.text.toLowerCase().includes(search.toLowerCase()));
  return (
    <Page
      title="Workouts"
      aside={
        <>
          <input aria-label="Search workouts" placeholder="Search" className={inputLook} value={search} onChange={(event) => setSearch(event.target.value)} />
          <Button look="main" onClick={() => create.mutate(null)}>
            New workout
          </Button>
        </>
      }
    >
      {shown.length === 0 && (
        <Empty title={workouts.length === 0 ? 'No workouts yet' : 'None with these words'}>
          <Button onClick={() => create.mutate(null)}>Write the first one</Button>
        </Empty>
      )}
      <ul className="divide-y divide-line">
        {shown.map((workout) => (
          <li key={workout.id} className="flex flex-wrap items-center gap-3 py-2">
            <div className="min-w-0 flex-1">
              <Link to={`/workouts/${workout.id}/write`} className="font-serif text-lg hover:underline">
                {workout.title}
              </Link>
              <p className="truncate text-sm text-soft">
                {workout.text
                  .replace(/^#.*\n/, '')
                  .split('\n')
                  .filter((line) => line.trim() !== '')
                  .join(' · ')}
              </p>{' '}
            </div>
            <input
              type="date"
              aria-label={`Day of ${workout.title}`}
              className={inputLook}
              value={workout.day ?? ''}
              onChange={(event) => date.mutate({ workout, day: event.target.value || null })}
            />
            <Button look="bare" onClick={() => duplicate.mutate(workout.id)} aria-label={`Duplicate ${workout.title}`}>
              <Copy size={16} /> Duplicate
            </Button>
            <Button look="danger" onClick={() => remove.mutate(workout.id)} aria-label={`Delete ${workout.title}`}>
              <Trash2 size={16} />
            </Button>
          </li>
        ))}
      </ul>
    </Page>
  );
}
