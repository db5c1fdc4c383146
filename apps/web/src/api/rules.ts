/** The house rules, those nobody chose at their defaults. Apart from the other questions, so that the first script has nothing of the core. */
import { defaultRules, type HouseRules } from '@gambito/core';
import { useQuery } from '@tanstack/react-query';
import { api } from './client';

export const useRules = () =>
  useQuery({ queryKey: ['rules'], queryFn: async () => ({ ...defaultRules, ...(await api<{ rules: HouseRules }>('/rules')).rules }) });
