/** What an athlete's link opens. */
import { useQuery } from '@tanstack/react-query';
import { api } from './client';
import type { AthletePage } from './types';

export const useAthletePage = (token: string) => useQuery({ queryKey: ['a', token], queryFn: () => api<AthletePage>(`/a/${token}`), retry: 1 });
