/** The class looked through behind the typing: whoever can do the text as it stands, one after the other, begun again when it changes. The versions are those of Adapt. */
import { changeOf, defaultRules, type Change } from '@gambito/core';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { athleteSource, versionQuery, type LaneSource } from '../adapt/lane-sources';
import { meantOf } from '../api/meant';
import { useAthletes, useLocks, useMe, useWorkout } from '../api/queries';
import { useRules } from '../api/rules';
import { useRoom } from '../api/room';
import { todayIn } from '../shell/days';
import { backgroundCore } from '../workers/core-client';
import { useSettled } from '../ui/use-settled';

/** ms without a key before the class is looked through */
const looksAfter = 900;

export interface Looked {
  readonly athleteId: number;
  readonly name: string;
  /** null: no version could be computed */
  readonly change: Change | null;
}
export interface ClassLook {
  readonly text: string;
  readonly looked: readonly Looked[];
  readonly of: number;
}

function useTerms() {
  const { data: me } = useMe();
  const { data: rules = defaultRules } = useRules();
  const units = useRoom();
  const today = todayIn(me?.coach?.timeZone);
  return useMemo(() => ({ rules, units, today }), [rules, units, today]);
}

/** @returns the newest look, perhaps still under way, and the last one of another text that was completed */
export function useClass(workoutId: number, text: string): { now: ClassLook | null; before: ClassLook | null } {
  const client = useQueryClient();
  const { data: everybody } = useAthletes();
  const { data: workout } = useWorkout(workoutId);
  const athletes = useMemo(() => everybody && workout && meantOf(everybody, workout.audience), [everybody, workout?.audience]);
  const { data: locks } = useLocks(workoutId);
  const terms = useTerms();
  const settled = useSettled(text, looksAfter);
  const [looks, setLooks] = useState<{ now: ClassLook | null; before: ClassLook | null }>({ now: null, before: null });
  useEffect(() => {
    if (!athletes || !locks) return;
    let stopped = false;
    const sources = athletes.map((athlete) => athleteSource(workoutId, athlete, locks));
    const look = async (source: LaneSource): Promise<Looked> => {
      const query = versionQuery({ text: settled, units: terms.units }, source, terms, backgroundCore);
      const adapted = await client.fetchQuery(query).catch(() => null);
      return { athleteId: source.athleteId!, name: source.name, change: adapted && changeOf(adapted.version.parts) };
    };
    const through = async (): Promise<void> => {
      const looked: Looked[] = [];
      for (const source of sources) {
        looked.push(await look(source));
        if (stopped) return;
        const now = { text: settled, looked: [...looked], of: sources.length };
        setLooks((last) => ({ now, before: last.now && last.now.text !== settled && last.now.looked.length === last.now.of ? last.now : last.before }));
      }
    };
    void through();
    return () => {
      stopped = true;
    };
  }, [athletes, locks, client, workoutId, settled, terms]);
  return looks;
}
