/** What this coach answered about words of their messages: kept on the server, each can be taken back. */
import { isKeptWord, withHouseWord, withoutHouseWord, type HouseWord } from '@gambito/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from './client';

interface Stored {
  readonly words: readonly HouseWord[];
}
const key = ['words'];
export const useHouseWords = () => useQuery({ queryKey: key, queryFn: () => api<Stored>('/words') });

/** Shown at once, and put back where the server did not take it. An answer of the server that a later change has overtaken is not shown: it would take that change off the screen. */
export function useKeepWords() {
  const client = useQueryClient();
  const isLast = (): boolean => client.isMutating({ mutationKey: key }) === 1;
  const save = useMutation({
    mutationKey: key,
    mutationFn: (change: { keep?: readonly HouseWord[]; drop?: readonly HouseWord[] }) => api<Stored>('/words', { method: 'PUT', body: change }),
    scope: { id: 'words' },
    onMutate: ({ keep = [], drop = [] }) => {
      void client.cancelQueries({ queryKey: key }, { revert: false });
      client.setQueryData<Stored>(key, (before) => ({ words: keep.reduce(withHouseWord, drop.reduce(withoutHouseWord, before?.words ?? [])) }));
    },
    onSuccess: (answer) => void (isLast() && client.setQueryData(key, answer)),
    onError: (failure) => {
      toast.error(messageOf(failure));
      void client.invalidateQueries({ queryKey: key });
    },
  });
  return {
    keep: (word: HouseWord): void => void (isKeptWord(word) && save.mutate({ keep: [word] })),
    drop: (word: HouseWord): void => void (isKeptWord(word) && save.mutate({ drop: [word] })),
  };
}
