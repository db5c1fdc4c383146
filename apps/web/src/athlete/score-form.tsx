/** The athlete's own score: a field a part, kept in this browser until it is logged. */
import { scoresProblem } from '@gambito/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import type { AthletePage } from '../api/types';
import { entryOf, readEntry, type Entry } from '../scores/entry';
import { doubtsOf, ScoreFields } from '../scores/score-fields';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { scoreDraftKey } from './clock-state';

function useEntry(page: AthletePage): Entry {
  return useMemo(() => {
    const { parts, category, units } = page.brief;
    return entryOf(page.versionText, category, units, (part) => {
      const predicted = parts[part]?.predicted;
      return predicted ? { unit: predicted.unit as 'seconds', low: predicted.low, high: predicted.high } : null;
    });
  }, [page]);
}

/** What is typed, the draft of it, what is asked, and the sending. */
function useScoreForm(token: string, page: AthletePage) {
  const entry = useEntry(page);
  const draft = scoreDraftKey(token);
  const [typed, setTyped] = useState(() => localStorage.getItem(draft) ?? page.score?.score ?? '');
  const [note, setNote] = useState(page.score?.note ?? '');
  const [problem, setProblem] = useState<string | null>(null);
  const [doubts, setDoubts] = useState<string[]>([]);
  const client = useQueryClient();
  useEffect(() => {
    if (typed !== (page.score?.score ?? '')) localStorage.setItem(draft, typed);
  }, [draft, typed, page.score]);
  const save = useMutation({
    mutationFn: () => api(`/a/${token}/score`, { body: { score: readEntry(entry, typed).text ?? typed, note } }),
    onSuccess: async () => {
      localStorage.removeItem(draft);
      setDoubts([]);
      await client.invalidateQueries({ queryKey: ['a', token] });
      toast('Logged. Your coach sees it.');
    },
    onError: (error) => setProblem(messageOf(error)),
  });
  const change = (next: string): void => {
    setTyped(next);
    setProblem(null);
    setDoubts([]);
  };
  const submit = (event: React.FormEvent): void => {
    event.preventDefault();
    const wrong = scoresProblem(readEntry(entry, typed));
    setProblem(wrong);
    if (wrong) return;
    const asked = doubts.length > 0 ? [] : doubtsOf(entry, typed);
    setDoubts(asked);
    if (asked.length === 0) save.mutate();
  };
  return { entry, typed, change, note, setNote, problem, doubts, submit, saving: save.isPending };
}

export function ScoreForm({ token, page }: { token: string; page: AthletePage }) {
  const form = useScoreForm(token, page);
  return (
    <form onSubmit={form.submit} className="no-print my-3 border-l-4 border-amber pl-3" aria-label="Your score">
      <h2 className="text-lg">Your score</h2>
      {page.score && <p className="text-sm text-good">Logged: {page.score.score}</p>}
      <div className="mt-1 flex flex-wrap items-start gap-2">
        <ScoreFields entry={form.entry} typed={form.typed} change={form.change} label="Score" />
        <Button look="main" type="submit" className="min-h-11" disabled={form.saving || form.typed.trim() === ''}>
          {form.doubts.length > 0 ? 'Yes, log it' : page.score ? 'Correct' : 'Log'}
        </Button>
      </div>
      <input
        aria-label="Note for your coach"
        className={`${inputLook} mt-2 w-full`}
        placeholder="A word for your coach"
        value={form.note}
        maxLength={1000}
        onChange={(event) => form.setNote(event.target.value)}
      />
      {(form.problem ?? form.doubts[0]) && (
        <p role="alert" className={`mt-1 text-sm ${form.problem ? 'text-bad' : 'text-amber-ink'}`}>
          {form.problem ?? form.doubts.join(' ')}
        </p>
      )}
    </form>
  );
}
