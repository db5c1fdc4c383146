/** What can be done with a workout of the library. */
import type { PortableWorkout } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useDelete } from '../api/queries';
import { saveDetails } from '../api/save-details';
import type { ListedWorkout, StoredWorkout } from '../api/types';

/** texts fetched at once */
const atOnce = 50;

/** @returns the texts of these workouts, in their order */
export async function textsOf(ids: readonly number[]): Promise<PortableWorkout[]> {
  const texts: PortableWorkout[] = [];
  for (let at = 0; at < ids.length; at += atOnce)
    texts.push(...(await api<{ workouts: StoredWorkout[] }>('/workouts/texts', { body: { ids: ids.slice(at, at + atOnce) } })).workouts);
  return texts;
}

export function useLibraryActions() {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: ['workouts'] });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const duplicate = useMutation({
    mutationFn: ({ id, day }: { id: number; day: string | null }) => api<StoredWorkout>(`/workouts/${id}/duplicate`, { body: { day } }),
    onSuccess: refresh,
    onError,
  });
  const date = useMutation({
    mutationFn: ({ workout, day }: { workout: ListedWorkout; day: string | null }) => saveDetails(workout.id, { day }, workout.revision),
    onSettled: refresh,
    onError,
  });
  const restore = useMutation({ mutationFn: (id: number) => api(`/workouts/${id}/restore`, { method: 'POST' }), onSuccess: refresh, onError });
  const remove = useDelete('/workouts', 'Workout', ['workouts']);
  return {
    duplicate: (id: number, day: string | null) => duplicate.mutate({ id, day }),
    date: (workout: ListedWorkout, day: string | null) => date.mutate({ workout, day }),
    restore: (id: number) => restore.mutate(id),
    remove: (id: number) => remove.mutate(id),
  };
}
export type LibraryActions = ReturnType<typeof useLibraryActions>;
