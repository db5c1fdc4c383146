/** What to change for each when the workout comes again: one proposal a person, taken with a key, and taken back. */
import type { NextTimeFor } from '@gambito/contract';
import { mergedLocks, type Lock } from '@gambito/core';
import { useQuery } from '@tanstack/react-query';
import { useRef, useState } from 'react';
import { toast } from '../ui/toast';
import { useSaveLocks } from '../adapt/use-save-locks';
import { api } from '../api/client';
import { useLocks } from '../api/queries';
import { Button } from '../ui/button';
import { Failed, Loading } from '../ui/states';

/** @param scored changes with every score, so that what was thought of older ones is thought anew */
const useNextTimes = (workoutId: number, scored: string) =>
  useQuery({
    queryKey: ['workouts', workoutId, 'next', scored],
    queryFn: async () => (await api<{ next: NextTimeFor[] }>(`/workouts/${workoutId}/next`)).next,
    staleTime: Infinity,
  });

/** share of a board that missed the window the same way, above which it is the workout and not the people */
const most = 0.6;
function everybodyMissed(rows: readonly NextTimeFor[]): string | null {
  const [heavy, light] = ['too heavy', 'too light'].map((words) => rows.filter(({ verdict }) => verdict.startsWith(words)).length);
  const [count, way] = heavy! >= light! ? [heavy!, 'did less than the window asks'] : [light!, 'were through before it'];
  return rows.length >= 4 && count / rows.length >= most ? `${count} of ${rows.length} ${way}: change the window or the workout before the people.` : null;
}

const isOut = (verdict: string): boolean => /^(?:too|capped|paced)/.test(verdict);

export function NextTimes({ workoutId, scored }: { workoutId: number; scored: string }) {
  const { data, error, refetch } = useNextTimes(workoutId, scored);
  const { data: stored } = useLocks(workoutId);
  const { mutate } = useSaveLocks(workoutId);
  const [taken, setTaken] = useState<ReadonlySet<number>>(new Set());
  const list = useRef<HTMLUListElement>(null);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data || !stored) return <Loading what="Thinking next time through" />;
  const save = (athleteId: number, from: readonly Lock[], to: readonly Lock[], on: boolean): void => {
    mutate({ athleteId, from, to });
    setTaken((before) => new Set(on ? [...before, athleteId] : [...before].filter((id) => id !== athleteId)));
  };
  const take = ({ athleteId, name, locks }: NextTimeFor, at: number): void => {
    const from = stored.find((row) => row.athleteId === athleteId)?.locks ?? [];
    const to = mergedLocks(from, [], locks as Lock[]);
    save(athleteId, from, to, true);
    toast(`Kept for ${name}’s next time.`, { action: { label: 'Undo', onClick: () => save(athleteId, to, from, false) } });
    // the next one is under the same key
    list.current?.querySelectorAll<HTMLButtonElement>('button[data-take]')[at + 1]?.focus();
  };
  const open = data.filter(({ locks }) => locks.length > 0);
  const kept = data.filter(({ verdict, locks }) => locks.length === 0 && !isOut(verdict));
  const told = data.filter((each) => !kept.includes(each));
  return (
    <section aria-label="Next time">
      <p className="mb-2 max-w-prose text-sm text-soft">
        The gentlest change that would have met the window. Taking one keeps it as your decision under Adapt, for when this workout comes again; Enter takes it
        and goes to the next.
      </p>
      {everybodyMissed(data) && <p className="mb-2 border-l-4 border-amber pl-3 text-sm">{everybodyMissed(data)}</p>}
      <ul ref={list} className="divide-y divide-line border-y border-line">
        {told.map((each) => (
          <li key={each.athleteId} className="grid grid-cols-[9rem_1fr_auto] items-baseline gap-x-3 py-1.5 text-sm">
            <span className="font-medium">{each.name}</span>
            <span>
              {each.words} <span className="text-soft">({each.verdict})</span>
            </span>
            {each.locks.length > 0 && (
              <Button data-take onClick={() => take(each, open.indexOf(each))} disabled={taken.has(each.athleteId)} aria-label={`Take it for ${each.name}`}>
                {taken.has(each.athleteId) ? 'Kept' : 'Take it'}
              </Button>
            )}
          </li>
        ))}
      </ul>
      {kept.length > 0 && (
        <p className="mt-2 text-sm">
          As it is: <span className="text-soft">{kept.map(({ name }) => name).join(', ')}.</span>
        </p>
      )}
    </section>
  );
}
