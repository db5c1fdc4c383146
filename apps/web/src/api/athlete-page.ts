/** What an athlete's link opens. */
import { useQuery, type QueryClient } from '@tanstack/react-query';
import { api } from './client';
import type { AthletePage } from './types';

/** ms after which the page is asked for again: the coach may have opened a class, or sent anew */
const again = 30_000;
const asked = (token: string) => ({ queryKey: ['a', token], queryFn: () => api<AthletePage>(`/a/${token}`) });
export const useAthletePage = (token: string) => useQuery({ ...asked(token), retry: 1, refetchInterval: again });

/** ms that the first drawing waits for the page behind the link, so that a slow phone draws once */
const patience = 500;
export async function pageBefore(client: QueryClient, address: string): Promise<void> {
  const [, token] = /^\/a\/([\w-]{20,40})(?:\/|$)/.exec(address) ?? [];
  if (token === undefined) return;
  // as fresh as the application itself: it is not asked for again at once
  const fetched = client.prefetchQuery({ ...asked(token), staleTime: again, retry: false });
  await Promise.race([fetched, new Promise((resolve) => setTimeout(resolve, patience))]);
}
