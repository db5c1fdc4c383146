/** Band, pacing and warnings for the reference athlete, a moment after the typing stops. The last answer stays until the next is there. */
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Category } from '@gambito/core';
import { useRoom } from '../api/room';
import { useSettled } from '../ui/use-settled';
import { core } from '../workers/core-client';

export function useReference(text: string, category: Category) {
  const settled = useSettled(text, 120);
  const units = useRoom();
  return useQuery({
    queryKey: ['reference', settled, units, category],
    queryFn: () => core().reference({ text: settled, units }, category),
    placeholderData: keepPreviousData,
    staleTime: Infinity,
    gcTime: 60_000,
    retry: false,
  });
}
