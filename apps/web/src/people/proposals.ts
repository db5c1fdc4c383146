/** What athletes propose, and how it goes into a form. */
import type { Proposal, ProposedChange } from '@gambito/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { AthleteForm } from './athlete-form';

const key = ['proposals'];
export const useProposals = () =>
  useQuery({ queryKey: key, queryFn: async () => (await api<{ proposals: Proposal[] }>('/proposals')).proposals, refetchInterval: 60_000 });

/** The form with what is proposed in the place of what stands there; the note is for the coach's eyes. */
export function withProposal(form: AthleteForm, { kit, lifts, bestSets, avoid }: ProposedChange): Partial<AthleteForm> {
  return {
    ...(lifts === undefined ? {} : { lifts }),
    ...(bestSets === undefined ? {} : { bestSets }),
    ...(avoid === undefined
      ? {}
      : {
          avoid: avoid
            .split(/[,\n]/)
            .map((word) =>
              word
                .trim()
                .toLowerCase()
                .replaceAll(/[\s-]+/g, '_'),
            )
            .filter(Boolean),
        }),
    ...(kit === undefined ? {} : { places: form.places.map((place, at) => (at === 0 ? { ...place, kit } : place)) }),
  } as Partial<AthleteForm>;
}

/** What is said of a proposal, field by field. */
export const proposalLines = ({ kit, lifts, bestSets, avoid, note }: ProposedChange): [string, string][] =>
  (
    [
      ['kit', kit],
      ['lifts', lifts],
      ['best sets', bestSets],
      ['to be spared', avoid],
      ['a word', note || undefined],
    ] as const
  ).flatMap(([what, text]) => (text === undefined ? [] : [[what, text.trim() === '' ? 'nothing any more' : text.trim().split('\n').join(' · ')]]));

export function useSettle() {
  const client = useQueryClient();
  const refresh = (): Promise<void> => client.invalidateQueries({ queryKey: key });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const put = ({ id, taken }: { id: number; taken: boolean | null }) => api(`/proposals/${id}`, { method: 'PUT', body: { taken } });
  const settle = useMutation({
    mutationFn: put,
    onSuccess: (_answer, { id, taken }) => {
      void refresh();
      if (taken === false) toast('Left as it was.', { action: { label: 'Undo', onClick: () => void put({ id, taken: null }).then(refresh, onError) } });
    },
    onError,
  });
  return settle.mutate;
}
