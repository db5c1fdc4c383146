/** Adapt's own: everybody's version, in the order and the choice of the coach, the one that is open, and the decisions. */
import { parseWorkout, type HouseRules } from '@gambito/core';
import { useMemo, useState } from 'react';
import { useSearchParams } from 'react-router';
import { useRoom } from '../api/room';
import type { StoredAthlete, StoredLocks } from '../api/types';
import { useLive } from '../write/use-live';
import { useReference } from '../write/use-reference';
import { arrange, type LaneFilter, type LaneOrder } from './lane-order';
import { useLockHistory } from './use-lock-history';
import { useVersions, type Version } from './use-versions';

export interface ClassAsked {
  readonly id: number;
  readonly text: string;
  readonly athletes: readonly StoredAthlete[];
  readonly locks: readonly StoredLocks[];
  readonly rules: HouseRules;
  readonly today: string;
}

export const idOf = ({ athleteId, key }: Version): string => (athleteId === null ? key : String(athleteId));
export const laneId = ({ key }: Version): string => `lane-${key}`;

export function useAdapt({ id, text, athletes, locks, rules, today }: ClassAsked) {
  const [search, setSearch] = useSearchParams();
  const [order, setOrder] = useState<LaneOrder>('name');
  const [filter, setFilter] = useState<LaneFilter>('all');
  const [view, setView] = useState<'lanes' | 'table'>('lanes');
  const [group, setGroup] = useState<string | null>(null);
  const [words, setWords] = useState('');
  const units = useRoom();
  const terms = useMemo(() => ({ rules, today }), [rules, today]);
  const versions = useVersions(id, text, athletes, locks, terms);
  const reference = useLive(text, 'men');
  const { data: par } = useReference(text, 'men');
  const original = useMemo(() => parseWorkout(text, { units }).workout, [text, units]);
  const history = useLockHistory(id, locks);
  const chosen = search.get('who');
  return {
    versions,
    shown: arrange(versions, { order, filter, group, search: words }),
    words,
    setWords,
    groups: useMemo(() => [...new Set(versions.flatMap(({ groups }) => groups))].sort(), [versions]),
    group,
    setGroup,
    view,
    turnView: (): void => setView((before) => (before === 'lanes' ? 'table' : 'lanes')),
    order,
    setOrder,
    filter,
    setFilter,
    done: versions.filter(({ adapted, refreshing, error }) => (adapted && !refreshing) || error).length,
    /** s of the common axis */
    total: Math.max(60, reference?.run.totalSeconds ?? 0, ...versions.map(({ adapted }) => adapted?.run.totalSeconds ?? 0)),
    reference,
    par: par ?? null,
    original,
    history,
    selected: versions.find((version) => idOf(version) === chosen) ?? null,
    choose: (version: Version | null): void => setSearch(version ? { who: idOf(version) } : {}, { replace: true }),
  };
}
export type Adapting = ReturnType<typeof useAdapt>;
