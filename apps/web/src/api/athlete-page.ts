/** What an athlete's link opens. */
import { useQuery } from '@tanstack/react-query';
import { api } from './client';
import type { AthletePage } from './types';

/** ms after which the page is asked for again: the coach may have opened a class, or sent anew */
const again = 30_000;
export const useAthletePage = (token: string) =>
  useQuery({ queryKey: ['a', token], queryFn: () => api<AthletePage>(`/a/${token}`), retry: 1, refetchInterval: again });
