/** What can be done with a workout of the library. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useDelete } from '../api/queries';
import type { ListedWorkout, StoredWorkout } from '../api/types';

export function useLibraryActions() {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['workouts'] });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const duplicate = useMutation({
    mutationFn: (id: number) => api<StoredWorkout>(`/workouts/${id}/duplicate`, { method: 'POST' }),
    onSuccess: refresh,
    onError,
  });
  const date = useMutation({
    mutationFn: ({ workout, day }: { workout: ListedWorkout; day: string | null }) =>
      api(`/workouts/${workout.id}`, { method: 'PUT', body: { day, revision: workout.revision } }),
    onSettled: refresh,
    onError,
  });
  const remove = useDelete('/workouts', 'Workout', ['workouts']);
  return {
    duplicate: (id: number) => duplicate.mutate(id),
    date: (workout: ListedWorkout, day: string | null) => date.mutate({ workout, day }),
    remove: (id: number) => remove.mutate(id),
  };
}
export type LibraryActions = ReturnType<typeof useLibraryActions>;
