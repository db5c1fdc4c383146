import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './client';

/**
 * What a server refused is not asked again; what it could not answer is, twice. Nothing is held back because the browser thinks that there is no network: a request that was held back
 * would wait for ever and say nothing, and the server may well be on this machine.
 */
export const queryClient = new QueryClient({
  defaultOptions: {
    mutations: { networkMode: 'always' },
    queries: {
      networkMode: 'always',
      staleTime: 10_000,
      refetchOnWindowFocus: true,
      retry: (count, error) => !(error instanceof ApiError && error.problem.status >= 400 && error.problem.status < 500) && count < 2,
    },
  },
});
