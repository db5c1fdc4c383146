/** What the screens ask of the server, by name. */
import { keepPreviousData, useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import type { DeletedAthlete, MovementsKnown, Revision } from '@gambito/contract';
import { toast } from '../ui/toast';
import { allPages, api, messageOf } from './client';
import type { Board, ListedResult, ListedWorkout, Me, StoredAthlete, StoredLocks, StoredSend, StoredWorkout } from './types';

export const useMe = () => useQuery({ queryKey: ['me'], queryFn: () => api<Me>('/me') });
/** Names and files, without what was scored before. */
export const useRoster = () => useQuery({ queryKey: ['athletes', 'roster'], queryFn: () => allPages<StoredAthlete>('/athletes?results=no', 'athletes') });
/** Everything that versions are made from. */
export const useAthletes = () => useQuery({ queryKey: ['athletes'], queryFn: () => allPages<StoredAthlete>('/athletes', 'athletes') });
/** lists of workouts, whatever they were asked for */
export const workoutLists = ['workouts', 'list'] as const;
interface WorkoutPage {
  readonly workouts: ListedWorkout[];
  readonly next: number | null;
}
const workoutPage = (asked: Readonly<Record<string, string>>): Promise<WorkoutPage> => api(`/workouts?${new URLSearchParams(asked).toString()}`);
/** What has a day from this one on; null while the day is not known. */
export const useDatedWorkouts = (from: string | null) =>
  useQuery({ queryKey: [...workoutLists, { from }], queryFn: async () => (await workoutPage({ from: from! })).workouts, enabled: from !== null });
export const useWeekWorkouts = (from: string | null, to: string) =>
  useQuery({
    queryKey: [...workoutLists, { from, to }],
    queryFn: async () => (await workoutPage({ from: from!, to })).workouts,
    enabled: from !== null,
    placeholderData: keepPreviousData,
  });
export const useUndatedWorkouts = () =>
  useQuery({ queryKey: [...workoutLists, 'undated'], queryFn: async () => (await workoutPage({ undated: 'true' })).workouts });
/** the tags in use, those used most first */
export const useTags = () => useQuery({ queryKey: [...workoutLists, 'tags'], queryFn: async () => (await api<{ tags: string[] }>('/workout-tags')).tags });
/** when each movement was last used, and the coach's own */
export const useMovementsKnown = () => useQuery({ queryKey: [...workoutLists, 'movements'], queryFn: () => api<MovementsKnown>('/workout-movements') });
/** What the library is narrowed by; what is left out narrows nothing. */
export type LibraryAsked = Readonly<Record<string, string>>;
/** All of them that are like that, a page at a time. */
export const useLibrary = (asked: LibraryAsked) =>
  useInfiniteQuery({
    queryKey: [...workoutLists, asked],
    queryFn: ({ pageParam }) => workoutPage({ ...asked, ...(pageParam ? { after: String(pageParam) } : {}) }),
    initialPageParam: null as number | null,
    getNextPageParam: ({ next }) => next,
    placeholderData: keepPreviousData,
  });
export const useWorkout = (id: number, enabled = true) =>
  useQuery({ queryKey: ['workouts', id], queryFn: () => api<StoredWorkout>(`/workouts/${id}`), enabled });
export const useRevisions = (id: number) =>
  useQuery({
    queryKey: ['workouts', id, 'revisions'],
    queryFn: async () => (await api<{ revisions: Revision[] }>(`/workouts/${id}/revisions`)).revisions,
    staleTime: 0,
  });
export const useRevisionText = (id: number, revision: number) =>
  useQuery({
    queryKey: ['workouts', id, 'revisions', revision],
    queryFn: async () => (await api<{ text: string }>(`/workouts/${id}/revisions/${revision}`)).text,
    staleTime: Infinity,
  });
export const useLocks = (id: number, enabled = true) =>
  useQuery({
    queryKey: ['workouts', id, 'locks'],
    queryFn: async () => (await api<{ locks: StoredLocks[] }>(`/workouts/${id}/locks`)).locks,
    enabled,
  });
export const useSends = (id: number) =>
  useQuery({
    queryKey: ['workouts', id, 'sends'],
    queryFn: async () => (await api<{ sends: StoredSend[] }>(`/workouts/${id}/sends`)).sends,
    refetchInterval: 30_000,
  });
export const useBoard = (id: number) =>
  useQuery({ queryKey: ['workouts', id, 'board'], queryFn: () => api<Board>(`/workouts/${id}/board`), refetchInterval: 20_000 });
export const useAthlete = (id: number | null) =>
  useQuery({ queryKey: ['athletes', id], queryFn: () => api<StoredAthlete>(`/athletes/${id}`), enabled: id !== null });
export const useResults = (id: number) =>
  useQuery({ queryKey: ['athletes', id, 'results'], queryFn: async () => (await api<{ results: ListedResult[] }>(`/athletes/${id}/results`)).results });
/** the coach's own, or the usual ones */
export const useTiers = () => useQuery({ queryKey: ['tiers'], queryFn: async () => (await api<{ tiers: string[] }>('/tiers')).tiers });
/** Deleting is undone by one click on the message that follows. */
/** Who can be put back, the last one deleted first. */
export const useDeletedAthletes = () =>
  useQuery({ queryKey: ['athletes', 'deleted'], queryFn: async () => (await api<{ athletes: DeletedAthlete[] }>('/athletes/deleted')).athletes });
export function useRestoreAthlete() {
  const client = useQueryClient();
  return useMutation({
    mutationFn: ({ id }: DeletedAthlete) => api(`/athletes/${id}/restore`, { method: 'POST' }),
    onSuccess: (_answer, { name }) => {
      void client.invalidateQueries({ queryKey: ['athletes'] });
      toast(`${name} is back.`);
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}

export function useDelete(path: string, what: string, invalidate: readonly unknown[]) {
  const client = useQueryClient();
  const refresh = () => client.invalidateQueries({ queryKey: invalidate });
  return useMutation({
    mutationFn: (id: number) => api(`${path}/${id}`, { method: 'DELETE' }),
    onSuccess: (_answer, id) => {
      void refresh();
      toast(`${what} deleted.`, {
        duration: 12_000,
        action: {
          label: 'Undo',
          onClick: () =>
            void api(`${path}/${id}/restore`, { method: 'POST' })
              .then(refresh)
              .catch((error: unknown) => toast.error(messageOf(error))),
        },
      });
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}
