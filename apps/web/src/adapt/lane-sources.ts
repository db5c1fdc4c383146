/** Whose versions there are of a workout, and how one is asked for: the same question has the same answer wherever it is asked. */
import { usualTiers, withNote, type HouseRules, type Lock } from '@gambito/core';
import { groupsOf } from '@gambito/contract';
import { queryOptions } from '@tanstack/react-query';
import { placeOf } from '../api/place-of';
import type { StoredAthlete, StoredLocks } from '../api/types';
import type { Core } from '../workers/core-client';
import type { Source, Who } from '../workers/core-worker';

export interface LaneSource {
  readonly key: string;
  readonly athleteId: number | null;
  readonly name: string;
  readonly sub: string;
  readonly groups: readonly string[];
  /** what a lane is found by, in small letters: name, place, kit, level, groups */
  readonly words: string;
  readonly who: Who;
  readonly locks: readonly Lock[];
  /** who decided last */
  readonly by: string;
}
/** Under which rules, and on which day. */
export interface VersionTerms {
  readonly rules: HouseRules;
  readonly today: string;
}
const none: readonly Lock[] = [];

/** @param workoutId the workout these are versions of: its own scores are no past results */
export const athleteSource = (workoutId: number, { id, name, file, results }: StoredAthlete, locks: readonly StoredLocks[]): LaneSource => {
  const place = placeOf(file);
  const groups = groupsOf(file['groups']);
  const decided = locks.find(({ athleteId }) => athleteId === id);
  const past = results.filter((result) => result.workoutId !== workoutId).map(({ result }) => result);
  return {
    key: `a${id}`,
    athleteId: id,
    name,
    sub: place.name ?? 'no place given',
    groups,
    words: [name, place.name, place.kit, file['level'], ...groups].join(' ').toLowerCase(),
    who: { kind: 'athlete', file, past },
    locks: decided?.locks ?? none,
    by: decided?.by ?? '',
  };
};

/** @param tiers named by the coach; none: the usual ones */
export const tierSources = (tiers: readonly string[]): LaneSource[] =>
  (tiers.length > 0 ? tiers : usualTiers).map((name, index) => ({
    key: `t${index}`,
    athleteId: null,
    name,
    sub: 'tier',
    groups: [],
    words: name.toLowerCase(),
    who: { kind: 'tier', name, category: index === 0 ? 'women' : 'men' },
    locks: none,
    by: '',
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
