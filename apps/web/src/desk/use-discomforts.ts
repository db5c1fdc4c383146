/** What hurt and waits, what could be spared, and settling it: with one undo for all of it. */
import { listedWords, type Discomfort, type SparedAnswer } from '@gambito/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { StoredAthlete } from '../api/types';

const key = ['discomforts'];
export const useDiscomforts = () =>
  useQuery({ queryKey: key, queryFn: async () => (await api<{ discomforts: Discomfort[] }>('/discomforts')).discomforts, refetchInterval: 60_000 });

/** Told anew, it may be another. */
export const useSpared = ({ id, felt }: Discomfort) =>
  useQuery({ queryKey: [...key, id, 'spared', felt], queryFn: () => api<SparedAnswer>(`/discomforts/${id}/spared`), staleTime: 300_000 });

const mark = (id: number, settled: boolean) => api(`/discomforts/${id}`, { method: 'PUT', body: { settled } });
const save = ({ id }: StoredAthlete, file: object, revision: number) => api(`/athletes/${id}`, { method: 'PUT', body: { file, revision } });

/** What settled it, and how it is taken back. */
interface Settled {
  readonly said: string;
  readonly undo: () => Promise<unknown>;
}
async function spareFrom({ id, athleteId, name }: Discomfort, spare: SparedAnswer['spare']): Promise<Settled> {
  const person = await api<StoredAthlete>(`/athletes/${athleteId}`);
  const { revision } = (await save(
    person,
    { ...person.file, avoid: [...new Set([...listedWords(person.file['avoid']), ...spare])] },
    person.revision,
  )) as StoredAthlete;
  await mark(id, true);
  return { said: `${name}’s next versions spare it.`, undo: () => Promise.all([save(person, person.file, revision), mark(id, false)]) };
}

export function useSettleDiscomfort() {
  const client = useQueryClient();
  const refresh = (): Promise<unknown> => Promise.all([key, ['athletes']].map((queryKey) => client.invalidateQueries({ queryKey })));
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  return useMutation({
    mutationFn: async ({ discomfort, spare }: { discomfort: Discomfort; spare: SparedAnswer['spare'] }): Promise<Settled> => {
      if (spare.length > 0) return spareFrom(discomfort, spare);
      await mark(discomfort.id, true);
      return { said: `Settled: ${discomfort.felt.where}, ${discomfort.name}.`, undo: () => mark(discomfort.id, false) };
    },
    onSuccess: async ({ said, undo }) => {
      await refresh();
      toast(said, { duration: 20_000, action: { label: 'Undo', onClick: () => void undo().then(refresh, onError) } });
    },
    onError,
  });
}
