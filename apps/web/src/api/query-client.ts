import { QueryClient } from '@tanstack/react-query';
import { ApiError } from './client';

/** What a server refused is not asked again; what it could not answer is, twice. */
export const queryClient = new QueryClient({
  defaultOptions: {
    queries: {
      staleTime: 10_000,
      refetchOnWindowFocus: true,
      retry: (count, error) => !(error instanceof ApiError && error.problem.status >= 400 && error.problem.status < 500) && count < 2,
    },
  },
});
