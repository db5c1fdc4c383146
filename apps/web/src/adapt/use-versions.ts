/** One version an athlete and a few tiers, computed in the workers; each is asked for on its own, so a lock redraws one lane. */
import { useQueries } from '@tanstack/react-query';
import { fileWithResults, usualTiers, type Adapted, type HouseRules, type Lock } from '@gambito/core';
import { useMemo, useRef } from 'react';
import type { StoredAthlete, StoredLocks } from '../api/types';
import { core } from '../workers/core-client';
import type { Who } from '../workers/core-worker';
import { useRoom } from '../api/room';

export interface LaneSource {
  readonly key: string;
  readonly athleteId: number | null;
  readonly name: string;
  readonly sub: string;
  readonly who: Who;
  readonly locks: readonly Lock[];
}
export interface Version extends LaneSource {
  readonly adapted: Adapted | null;
  /** what is shown is from before the last change; the new one is on its way */
  readonly refreshing: boolean;
  readonly error: unknown;
}
const none: readonly Lock[] = [];

const placeName = (file: Record<string, unknown>): string => {
  const place = (Array.isArray(file['places']) ? (file['places'] as unknown[])[0] : file['place']) as { name?: unknown } | undefined;
  return typeof place?.name === 'string' ? place.name : 'no place given';
};

/** @param workoutId the workout these are versions of: its own scores are no past results */
export function useVersions(
  workoutId: number,
  text: string,
  athletes: readonly StoredAthlete[],
  locks: readonly StoredLocks[],
  rules: HouseRules,
  today: string,
): Version[] {
  const units = useRoom();
  const sources = useMemo(
    (): LaneSource[] => [
      ...athletes.map((each): LaneSource => ({
        key: `a${each.id}`,
        athleteId: each.id,
        name: each.name,
        sub: placeName(each.file),
        who: {
          kind: 'athlete',
          file: fileWithResults(
            each.file,
            each.results.filter((result) => result.workoutId !== workoutId),
          ),
        },
        locks: locks.find((lock) => lock.athleteId === each.id)?.locks ?? none,
      })),
      ...usualTiers.map((name, index): LaneSource => ({
        key: `t${index}`,
        athleteId: null,
        name,
        sub: 'tier',
        who: { kind: 'tier', name, category: index === 0 ? 'women' : 'men' },
        locks: none,
      })),
    ],
    [workoutId, athletes, locks],
  );
  const answers = useQueries({
    queries: sources.map((source) => ({
      queryKey: ['version', text, units, source.who, source.locks, rules, today],
      queryFn: () => core().adapt({ text, units }, source.who, today, rules, source.locks),
      staleTime: Infinity,
      gcTime: 300_000,
      retry: false,
    })),
  });
  // the lane and the panel stay as they are until the next version is there, so that nothing closes under the coach's hand
  const shown = useRef(new Map<string, Adapted>());
  return sources.map((source, index) => {
    const { data, error } = answers[index]!;
    if (data) shown.current.set(source.key, data);
    const before = error ? undefined : shown.current.get(source.key);
    return { ...source, adapted: data ?? before ?? null, refreshing: !data && before !== undefined, error };
  });
}
