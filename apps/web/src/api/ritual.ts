/** The coach's own warm-up, a line a step; null: none was written. */
import { useQuery } from '@tanstack/react-query';
import { api } from './client';

export const useRitual = () => useQuery({ queryKey: ['ritual'], queryFn: async () => (await api<{ ritual: string | null }>('/ritual')).ritual });
