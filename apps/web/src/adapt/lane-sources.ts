/** Whose versions there are of a workout, and how one is asked for: the same question has the same answer wherever it is asked. */
import { usualTiers, withNote, type HouseRules, type Lock } from '@gambito/core';
import { groupsOf } from '@gambito/contract';
import { queryOptions } from '@tanstack/react-query';
import type { StoredAthlete, StoredLocks } from '../api/types';
import type { Core } from '../workers/core-client';
import type { Source, Who } from '../workers/core-worker';

export interface LaneSource {
  readonly key: string;
  readonly athleteId: number | null;
  readonly name: string;
  readonly sub: string;
  readonly groups: readonly string[];
  readonly who: Who;
  readonly locks: readonly Lock[];
}
/** Under which rules, and on which day. */
export interface VersionTerms {
  readonly rules: HouseRules;
  readonly today: string;
}
const none: readonly Lock[] = [];

const placeName = (file: Record<string, unknown>): string => {
  const place = (Array.isArray(file['places']) ? (file['places'] as unknown[])[0] : file['place']) as { name?: unknown } | undefined;
  return typeof place?.name === 'string' ? place.name : 'no place given';
};

/** @param workoutId the workout these are versions of: its own scores are no past results */
export const athleteSource = (workoutId: number, { id, name, file, results }: StoredAthlete, locks: readonly StoredLocks[]): LaneSource => ({
  key: `a${id}`,
  athleteId: id,
  name,
  sub: placeName(file),
  groups: groupsOf(file['groups']),
  who: {
    kind: 'athlete',
    file,
    past: results.filter((past) => past.workoutId !== workoutId).map(({ result }) => result),
  },
  locks: locks.find(({ athleteId }) => athleteId === id)?.locks ?? none,
});

/** @param tiers named by the coach; none: the usual ones */
export const tierSources = (tiers: readonly string[]): LaneSource[] =>
  (tiers.length > 0 ? tiers : usualTiers).map((name, index) => ({
    key: `t${index}`,
    athleteId: null,
    name,
    sub: 'tier',
    groups: [],
    who: { kind: 'tier', name, category: index === 0 ? 'women' : 'men' },
    locks: none,
  }));

/** A word to the athlete changes no version. */
const decisions = (locks: readonly Lock[]): Lock[] => withNote(locks, '');

/** @param core the worker that computes it */
export const versionQuery = ({ text, units }: Source, { who, locks }: LaneSource, { rules, today }: VersionTerms, core: () => Core) =>
  queryOptions({
    queryKey: ['version', text, units, who, decisions(locks), rules, today],
    queryFn: () => core().adapt({ text, units }, who, today, rules, decisions(locks)),
    staleTime: Infinity,
    gcTime: 300_000,
    retry: false,
  });
