/** The coach's decisions about versions, to the server and back. Beside the screen that takes them: the start page needs no core. */
import { mergedLocks, type Lock } from '@gambito/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { StoredLocks } from '../api/types';

/** A decision about one version: from what was seen to what it is to be. */
export interface LockMove {
  readonly athleteId: number;
  readonly from: readonly Lock[];
  readonly to: readonly Lock[];
}
/** What others decided meanwhile stays, and is seen with the answer. */
export function useSaveLocks(workoutId: number) {
  const client = useQueryClient();
  const key = ['workouts', workoutId, 'locks'];
  const put = (athleteId: number, change: (standing: readonly Lock[]) => readonly Lock[]): void => {
    client.setQueryData<StoredLocks[]>(key, (rows = []) => {
      const row = rows.find((each) => each.athleteId === athleteId);
      return [...rows.filter((each) => each !== row), { athleteId, locks: change(row?.locks ?? []), by: '' }];
    });
  };
  return useMutation({
    mutationKey: key,
    // one after the other: an undo that arrives before its decision would be lost
    scope: { id: key.join('/') },
    mutationFn: ({ athleteId, from, to }: LockMove) =>
      api<{ locks: Lock[] }>(`/workouts/${workoutId}/locks/${athleteId}`, { method: 'PUT', body: { locks: to, before: from } }),
    onMutate: ({ athleteId, from, to }) => put(athleteId, (standing) => mergedLocks(standing, from, to)),
    // while another one waits, what is on the screen is newer than this answer
    onSuccess: ({ locks }, { athleteId }) => {
      if (client.isMutating({ mutationKey: key }) <= 1) put(athleteId, () => locks);
    },
    onError: (error, { athleteId, from, to }) => {
      put(athleteId, (standing) => mergedLocks(standing, to, from));
      toast.error(messageOf(error));
    },
  });
}
