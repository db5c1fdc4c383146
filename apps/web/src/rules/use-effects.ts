/** What a choice of a house rule did to a workout: the class computed before and after, one after the other, behind the screen. */
import type { Adapted, HouseRules } from '@gambito/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { athleteSource, versionQuery } from '../adapt/lane-sources';
import { meantOf } from '../api/meant';
import { useAthletes, useLocks, useMe, useWorkout } from '../api/queries';
import { useRoom } from '../api/room';
import { todayIn } from '../shell/days';
import { backgroundCore } from '../workers/core-client';

export interface Effect {
  readonly name: string;
  readonly before: string;
  readonly after: string;
}
export interface Effects {
  readonly done: number;
  readonly of: number;
  readonly changed: readonly Effect[];
}
/** What was changed of the text, in one line. */
const editsOf = ({ version }: Adapted): string => version.parts.flatMap(({ edits }) => edits.map(({ text }) => text)).join(' · ') || 'as written';

/** @param before null while nothing was chosen */
export function useEffects(workoutId: number | null, before: HouseRules | null, after: HouseRules): Effects | null {
  const client = useQueryClient();
  const { data: workout } = useWorkout(workoutId ?? 0, workoutId !== null);
  const { data: athletes } = useAthletes();
  const { data: locks } = useLocks(workoutId ?? 0, workoutId !== null);
  const { data: me } = useMe();
  const units = useRoom();
  const [effects, setEffects] = useState<Effects | null>(null);
  useEffect(() => {
    setEffects(null);
    if (!workout || !athletes || !locks || before === null) return;
    let stopped = false;
    const today = todayIn(me?.coach?.timeZone);
    const people = meantOf(athletes, workout.audience);
    const through = async (): Promise<void> => {
      const changed: Effect[] = [];
      for (const [at, athlete] of people.entries()) {
        const source = athleteSource(workout.id, athlete, locks);
        const version = (rules: HouseRules) =>
          client.fetchQuery(versionQuery({ text: workout.text, units }, source, { rules, today }, backgroundCore)).catch(() => null);
        const [then, now] = [await version(before), await version(after)];
        if (stopped) return;
        if (then && now && then.version.text !== now.version.text) changed.push({ name: athlete.name, before: editsOf(then), after: editsOf(now) });
        setEffects({ done: at + 1, of: people.length, changed: [...changed] });
      }
    };
    void through();
    return () => {
      stopped = true;
    };
  }, [workout, athletes, locks, before, after, client, units, me?.coach?.timeZone]);
  return effects;
}
