/** What a workout has beside its text: day, tags, whom it is for. Nothing of it stands against anybody's typing, so that a save that came between is no conflict. */
import type { Audience } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, ApiError, messageOf } from './client';
import { workoutLists } from './queries';
import type { StoredWorkout } from './types';

export interface Details {
  readonly day?: string | null;
  readonly tags?: readonly string[];
  readonly audience?: Audience;
}
/** What stands there when somebody saved in between; undefined where it is another failure. */
export const standingIn = (error: unknown): StoredWorkout | undefined =>
  error instanceof ApiError && error.problem.code === 'changed_elsewhere' ? (error.problem.current as StoredWorkout | undefined) : undefined;

export async function saveDetails(id: number, details: Details, revision: number): Promise<StoredWorkout> {
  const put = (from: number): Promise<StoredWorkout> => api(`/workouts/${id}`, { method: 'PUT', body: { ...details, revision: from } });
  try {
    return await put(revision);
  } catch (error) {
    const standing = standingIn(error);
    if (!standing) throw error;
    return put(standing.revision);
  }
}

export function useSaveDetails({ id, revision }: Pick<StoredWorkout, 'id' | 'revision'>) {
  const client = useQueryClient();
  const save = useMutation({
    mutationFn: (details: Details) => saveDetails(id, details, client.getQueryData<StoredWorkout>(['workouts', id])?.revision ?? revision),
    onSuccess: (saved) => {
      client.setQueryData(['workouts', id], saved);
      void client.invalidateQueries({ queryKey: workoutLists });
      void client.invalidateQueries({ queryKey: ['workouts', id, 'board'] });
    },
    onError: (error) => toast.error(messageOf(error)),
  });
  return save.mutate;
}
