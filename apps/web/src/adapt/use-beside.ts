/** What stands before and after one version: as it is made, and keeping a warm-up as the coach's own. */
import type { Adapted, HouseRules } from '@gambito/core';
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useRitual } from '../api/ritual';
import { core } from '../workers/core-client';
import type { Who } from '../workers/core-worker';

export interface OfVersion {
  readonly who: Who;
  readonly today: string;
  readonly rules: HouseRules;
  readonly adapted: Adapted;
}

export function useBeside({ who, today, rules, adapted }: OfVersion) {
  const { data: ritual = null } = useRitual();
  const { data } = useQuery({
    queryKey: ['beside', who, today, rules.warmUp, ritual, adapted.version.text, adapted.run.totalSeconds],
    queryFn: () => core().beside({ parts: adapted.workout.parts }, who, today, rules, { ritual, workoutSeconds: adapted.run.totalSeconds }),
    staleTime: Infinity,
    placeholderData: keepPreviousData,
  });
  return data ?? null;
}

/** The written warm-up becomes the coach's own, and the school that takes it; one undo for both. */
export function useKeepRitual({ who, today, rules, adapted }: OfVersion) {
  const client = useQueryClient();
  const { data: before = null } = useRitual();
  const put = async (ritual: string | null, warmUp: HouseRules['warmUp']): Promise<void> => {
    await api('/ritual', { method: 'PUT', body: { ritual } });
    await api('/rules', { method: 'PUT', body: { rules: { warmUp } } });
    await Promise.all([['ritual'], ['rules']].map((queryKey) => client.invalidateQueries({ queryKey })));
  };
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const keep = useMutation({
    mutationFn: async (written: string) => {
      // as it was when the key was pressed
      const undo = (): void => void put(before, rules.warmUp).catch(onError);
      await put(await core().ritualOf(written, { parts: adapted.workout.parts }, who, today, rules), 'own');
      return undo;
    },
    onSuccess: (undo) =>
      toast('Kept: every warm-up begins with it from now on.', {
        duration: 20_000,
        action: { label: 'Undo', onClick: undo },
      }),
    onError,
  });
  return keep;
}
