/** Band, pacing and warnings for the reference athlete, a moment after the typing stops. The last answer stays until the next is there. */
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import type { Category } from '@gambito/core';
import { useEffect, useState } from 'react';
import { useRoom } from '../api/room';
import { core } from '../workers/core-client';

export function useSettled<T>(value: T, ms: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), ms);
    return () => clearTimeout(timer);
  }, [value, ms]);
  return settled;
}

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
