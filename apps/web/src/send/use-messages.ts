/** Messages about a workout: drafts, those on their way, and writing. */
import type { Delivery, Draft, MessengerMode } from '@gambito/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';

export interface Deliveries {
  readonly messenger: MessengerMode;
  readonly deliveries: readonly Delivery[];
}
/** ms between two looks while something is on its way, and while nothing is */
const [soon, calm] = [1_500, 30_000];
const isMoving = (data: Deliveries | undefined): boolean => data?.deliveries.some(({ state }) => state === 'waiting') ?? false;

/** @param workoutId null: of all workouts */
export const useDeliveries = (workoutId: number | null) =>
  useQuery({
    queryKey: ['deliveries', workoutId],
    queryFn: () => api<Deliveries>(workoutId === null ? '/deliveries' : `/deliveries?workout=${workoutId}`),
    refetchInterval: ({ state }) => (isMoving(state.data) ? soon : calm),
  });

/** @param athleteIds whom it is about; none: nothing is asked yet */
export const useDrafts = (workoutId: number, athleteIds: readonly number[]) =>
  useQuery({
    queryKey: ['deliveries', 'drafts', workoutId, athleteIds],
    queryFn: async () => (await api<{ drafts: Draft[] }>(`/workouts/${workoutId}/messages/preview`, { body: { athleteIds } })).drafts,
    enabled: athleteIds.length > 0,
    staleTime: 0,
  });

export function useWriting(workoutId: number, done: () => void) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (athleteIds: readonly number[]) => api<{ queued: number }>(`/workouts/${workoutId}/messages`, { body: { athleteIds } }),
    onSuccess: ({ queued }) => {
      toast(queued === 1 ? 'One message is on its way.' : `${queued} messages are on their way.`);
      done();
    },
    onError: (failure) => toast.error(messageOf(failure)),
    onSettled: () => client.invalidateQueries({ queryKey: ['deliveries'] }),
  });
}

export function useAgain() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (id: number) => api(`/deliveries/${id}/again`, { method: 'POST' }),
    onError: (failure) => toast.error(messageOf(failure)),
    onSettled: () => client.invalidateQueries({ queryKey: ['deliveries'] }),
  });
}
