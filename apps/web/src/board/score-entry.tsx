/** The coach enters a class by keyboard: Enter logs and goes on to the next athlete; what is typed stays in this browser until it is logged. */
import { scoresProblem } from '@gambito/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useMemo, useRef, useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useMe } from '../api/queries';
import type { Board } from '../api/types';
import { entryOf, readEntry, type Entry } from '../scores/entry';
import { doubtsOf, ScoreFields } from '../scores/score-fields';
import { Button } from '../ui/button';

export interface EntryOf {
  readonly workoutId: number;
  readonly athleteId: number;
  readonly name: string;
  readonly versionText: string;
  readonly category: 'men' | 'women';
  /** a part: what the version that was sent expects */
  readonly expected?: readonly ({ readonly unit: string; readonly low: number; readonly high: number } | null)[];
}

function useSaveScore(workoutId: number) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: (entry: { athleteId: number; score: string; note: string }) => api(`/workouts/${workoutId}/scores`, { body: entry }),
    // whoever is in is off the list at once; what the score says comes with the board, and nobody waits for it
    onSuccess: (_answer, { athleteId }) => {
      localStorage.removeItem(draftKey({ workoutId, athleteId }));
      const key = ['workouts', workoutId, 'board'];
      client.setQueryData<Board>(key, (board) => board && { ...board, missing: board.missing.filter((each) => each.athleteId !== athleteId) });
      void client.invalidateQueries({ queryKey: key });
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}

const draftKey = ({ workoutId, athleteId }: Pick<EntryOf, 'workoutId' | 'athleteId'>): string => `gambito.entry.${workoutId}.${athleteId}`;

/** The next score field of the page after this form, in reading order. */
function focusNext(form: HTMLFormElement | null): void {
  const all = [...document.querySelectorAll<HTMLFormElement>('form[data-score-entry]')];
  const next = form ? all[all.indexOf(form) + 1] : undefined;
  next?.querySelector('input')?.focus();
}

export function ScoreEntry({ of, start = '', note = '', done }: { of: EntryOf; start?: string; note?: string; done?: () => void }) {
  const { data: me } = useMe();
  const units = me?.coach?.units ?? 'kg';
  const { versionText, category, expected } = of;
  const entry = useMemo(
    () => entryOf(versionText, category, units, (part) => (expected?.[part] as ReturnType<Entry['expected']> | undefined) ?? null),
    [versionText, category, units, expected],
  );
  const [typed, setTyped] = useState(() => localStorage.getItem(draftKey(of)) ?? start);
  const [told, setTold] = useState<{ text: string; sure: boolean } | null>(null);
  const form = useRef<HTMLFormElement>(null);
  const save = useSaveScore(of.workoutId);
  const change = (next: string): void => {
    setTyped(next);
    setTold(null);
    if (next === start) localStorage.removeItem(draftKey(of));
    else localStorage.setItem(draftKey(of), next);
  };
  const submit = (event: React.FormEvent): void => {
    event.preventDefault();
    const read = readEntry(entry, typed);
    const problem = scoresProblem(read);
    const doubt = problem === null && !told?.sure ? (doubtsOf(entry, typed)[0] ?? null) : null;
    setTold(problem ? { text: problem, sure: false } : doubt ? { text: doubt, sure: true } : null);
    if (problem || doubt || read.text === null) return;
    const here = form.current;
    save.mutate({ athleteId: of.athleteId, score: read.text, note }, { onSuccess: () => done?.() });
    focusNext(here);
  };
  return (
    <form ref={form} onSubmit={submit} className="mt-0.5" data-score-entry>
      <div className="flex items-start gap-1.5">
        <ScoreFields entry={entry} typed={typed} change={change} label={`Score of ${of.name}`} compact />
        <Button type="submit" disabled={save.isPending || typed.trim() === ''}>
          {told?.sure ? 'Yes' : 'Log'}
        </Button>
      </div>
      {told && (
        <p role="alert" className={`text-xs ${told.sure ? 'text-amber-ink' : 'text-bad'}`}>
          {told.text}
        </p>
      )}
    </form>
  );
}
