/** Lines that the coach keeps in somebody's version although they are to be spared them: said each time, before it is sent. */
import { keptAgainst, readAthlete } from '@gambito/core';
import { useMemo } from 'react';
import { useLocks, useMe, useRoster } from '../api/queries';
import { todayIn } from '../shell/days';

/** @returns by athlete; nobody is in it who has no such line */
export function useKeptAgainst(workoutId: number): ReadonlyMap<number, { readonly name: string; readonly lines: readonly string[] }> {
  const { data: locks } = useLocks(workoutId);
  const { data: everybody } = useRoster();
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  return useMemo(() => {
    const files = new Map(everybody?.map((athlete) => [athlete.id, athlete]));
    const kept = (locks ?? []).flatMap(({ athleteId, locks: fixed }) => {
      const athlete = files.get(athleteId);
      const lines = athlete ? keptAgainst(fixed, readAthlete(athlete.file, today).athlete) : [];
      return athlete && lines.length > 0 ? [[athleteId, { name: athlete.name, lines }] as const] : [];
    });
    return new Map(kept);
  }, [locks, everybody, today]);
}
