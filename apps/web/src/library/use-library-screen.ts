/** The library's own: what is asked for stands in the address, so that going back finds it again. */
import { findMovement } from '@gambito/core';
import { useSearchParams } from 'react-router';
import { useLibrary, type LibraryAsked } from '../api/queries';
import { useSettled } from '../ui/use-settled';

/** ms after the last key */
const searchAfter = 250;
export const filterKeys = ['search', 'tag', 'kind', 'minutes', 'movement', 'doneBy', 'from', 'to', 'bin'] as const;
export type FilterKey = (typeof filterKeys)[number];
export type Filters = Readonly<Record<FilterKey, string>>;

/** A movement by its name as typed; one nobody knows is asked for as it is, and finds nothing. */
const movementId = (typed: string): string => (typed.trim() === '' ? '' : (findMovement(typed) ?? typed.trim()));

const askedOf = (filters: Filters): LibraryAsked =>
  Object.fromEntries(Object.entries({ ...filters, search: filters.search.trim(), movement: movementId(filters.movement) }).filter(([, value]) => value !== ''));

export function useLibraryScreen() {
  const [params, setParams] = useSearchParams();
  const filters = Object.fromEntries(filterKeys.map((key) => [key, params.get(key) ?? ''])) as Filters;
  const settled = useSettled(JSON.stringify(askedOf(filters)), searchAfter);
  const { data, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useLibrary(JSON.parse(settled) as LibraryAsked);
  const change = (key: FilterKey, value: string): void =>
    setParams(
      (before) => {
        if (value === '') before.delete(key);
        else before.set(key, value);
        return before;
      },
      { replace: true },
    );
  return {
    filters,
    change,
    clear: (): void => setParams(filters.bin ? { bin: filters.bin } : {}, { replace: true }),
    narrowed: filterKeys.some((key) => key !== 'bin' && filters[key] !== ''),
    inBin: filters.bin !== '',
    workouts: data?.pages.flatMap((page) => page.workouts),
    error,
    again: () => void refetch(),
    more: hasNextPage ? () => void fetchNextPage() : null,
    busy: isFetchingNextPage,
  };
}
export type LibraryScreen = ReturnType<typeof useLibraryScreen>;
