/** One version an athlete and a few tiers, computed in the workers; each is asked for on its own, so a lock redraws one lane. */
import { useQueries } from '@tanstack/react-query';
import type { Adapted } from '@gambito/core';
import { useMemo, useRef } from 'react';
import { useTiers } from '../api/queries';
import { useRoom } from '../api/room';
import type { StoredAthlete, StoredLocks } from '../api/types';
import { core } from '../workers/core-client';
import { athleteSource, tierSources, versionQuery, type LaneSource, type VersionTerms } from './lane-sources';

export interface Version extends LaneSource {
  readonly adapted: Adapted | null;
  /** what is shown is from before the last change; the new one is on its way */
  readonly refreshing: boolean;
  readonly error: unknown;
}

/** @param workoutId the workout these are versions of */
const noTiers: readonly string[] = [];

export function useVersions(
  workoutId: number,
  text: string,
  athletes: readonly StoredAthlete[],
  locks: readonly StoredLocks[],
  terms: VersionTerms,
): Version[] {
  const units = useRoom();
  const { data: tiers = noTiers } = useTiers();
  const sources = useMemo(
    () => [...athletes.map((athlete) => athleteSource(workoutId, athlete, locks)), ...tierSources(tiers)],
    [workoutId, athletes, locks, tiers],
  );
  const answers = useQueries({ queries: sources.map((source) => versionQuery({ text, units }, source, terms, core)) });
  // the lane and the panel stay as they are until the next version is there, so that nothing closes under the coach's hand
  const shown = useRef(new Map<string, Adapted>());
  return sources.map((source, index) => {
    const { data, error } = answers[index]!;
    if (data) shown.current.set(source.key, data);
    const before = error ? undefined : shown.current.get(source.key);
    return { ...source, adapted: data ?? before ?? null, refreshing: !data && before !== undefined, error };
  });
}
