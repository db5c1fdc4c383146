/** A new workout is there at once, and the cursor waits in it. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { workoutLists } from '../api/queries';
import type { StoredWorkout } from '../api/types';
import { newWorkoutText } from '../write/untouched';

export function useNewWorkout() {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (day: string | null) => api<StoredWorkout>('/workouts', { body: { text: newWorkoutText, day } }),
    onSuccess: async (workout) => {
      client.setQueryData(['workouts', workout.id], workout);
      // the lists follow: nobody waits for them
      void client.invalidateQueries({ queryKey: workoutLists });
      await navigate(`/workouts/${workout.id}/write`);
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}
