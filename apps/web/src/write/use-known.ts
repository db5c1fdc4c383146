/** What completion knows of this coach. */
import { useMemo } from 'react';
import { useMovementsKnown } from '../api/queries';
import { nothingKnown, type Known } from './completions';

export function useKnown(): Known {
  const { data } = useMovementsKnown();
  return useMemo(() => (data ? { lastUsed: new Map(data.movements.map(({ movement, day }) => [movement, day])), own: data.own } : nothingKnown), [data]);
}
