/** The athlete's own score: a field a part, kept in this browser until it is logged. */
import { scoresProblem } from '@gambito/core';
import { useEffect, useMemo, useState } from 'react';
import type { AthletePage } from '../api/types';
import { entryOf, readEntry, type Entry } from '../scores/entry';
import { doubtsOf, ScoreFields } from '../scores/score-fields';
import { useScoreSending } from './waiting-score';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { scoreDraftKey } from './clock-state';
import { MeasuredPart } from './measured-part';
import { useMeasured } from './use-measured';

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
  const [problem, setProblem] = useState<string | null>(null);
  const [doubts, setDoubts] = useState<string[]>([]);
  const sending = useScoreSending(token, () => {
    localStorage.removeItem(draft);
    setDoubts([]);
  });
  const [typed, setTyped] = useState(() => localStorage.getItem(draft) ?? sending.kept?.score ?? page.score?.score ?? '');
  useEffect(() => {
    if (typed !== (page.score?.score ?? '')) localStorage.setItem(draft, typed);
  }, [draft, typed, page.score]);
  const [note, setNote] = useState(sending.kept?.note ?? page.score?.note ?? '');
  const [rating, setRating] = useState(sending.kept?.rating ?? page.score?.rating ?? null);
  const { measured, keep: keepMeasured } = useMeasured(token, page.score?.measured ?? null);
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
    if (asked.length === 0)
      sending.send({
        score: readEntry(entry, typed).text ?? typed,
        note,
        versionText: page.versionText,
        ...(rating === null ? {} : { rating }),
        ...(measured === null ? {} : { measured }),
      });
  };
  return {
    entry,
    typed,
    change,
    note,
    setNote,
    rating,
    setRating,
    measured,
    keepMeasured,
    problem: problem ?? sending.problem,
    doubts,
    submit,
    saving: sending.sending,
    waiting: sending.waiting,
  };
}

const ratingWords: Readonly<Record<number, string>> = {
  0: 'rest',
  1: 'very easy',
  2: 'easy',
  3: 'moderate',
  4: 'somewhat hard',
  5: 'hard',
  7: 'very hard',
  10: 'all there is',
};
const wordFor = (rating: number): string => ratingWords[rating] ?? ratingWords[rating - 1] ?? 'very hard';

/** How hard it was, on the scale of 0 to 10; nobody has to say. */
function Rating({ rating, choose }: { rating: number | null; choose: (rating: number) => void }) {
  return (
    <fieldset className="mt-2">
      <legend className="text-sm">
        How hard was all of it? <span className="text-soft">{rating === null ? '0 rest, 10 all there is' : wordFor(rating)}</span>
      </legend>
      <div className="mt-1 grid grid-cols-11 gap-1">
        {Array.from({ length: 11 }, (_, value) => (
          <label
            key={value}
            className="relative flex min-h-11 cursor-pointer items-center justify-center rounded border border-line bg-sheet has-checked:bg-ink has-checked:text-paper has-focus-visible:outline-2"
          >
            <input
              type="radio"
              name="rating"
              value={value}
              checked={rating === value}
              onChange={() => choose(value)}
              className="absolute inset-0 cursor-pointer opacity-0"
            />
            {value}
          </label>
        ))}
      </div>
    </fieldset>
  );
}

const dueAs = { weekday: 'short', day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit', timeZone: 'UTC' } as const;
/** A wall-clock time where the coach is: `Sun 29 Nov, 12:00`. */
const dueWords = (wall: string): string => new Intl.DateTimeFormat('en-GB', dueAs).format(new Date(`${wall}:00Z`));

export function ScoreForm({ token, page }: { token: string; page: AthletePage }) {
  const form = useScoreForm(token, page);
  return (
    <form onSubmit={form.submit} className="no-print my-3 border-l-4 border-amber pl-3" aria-label="Your score">
      <h2 className="text-lg">Your score</h2>
      {page.score && <p className="text-sm text-good">Logged: {page.score.score}</p>}
      {!page.score && page.logBy && <p className="text-sm text-soft">Log it by {dueWords(page.logBy)}.</p>}
      {form.waiting && (
        <p role="status" className="text-sm text-amber-ink">
          {form.waiting.score} waits here and goes out by itself when the network is back.
        </p>
      )}
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
      <Rating rating={form.rating} choose={form.setRating} />
      <MeasuredPart measured={form.measured} keep={form.keepMeasured} propose={form.typed.trim() === '' ? form.change : null} />
      {(form.problem ?? form.doubts[0]) && (
        <p role="alert" className={`mt-1 text-sm ${form.problem ? 'text-bad' : 'text-amber-ink'}`}>
          {form.problem ?? form.doubts.join(' ')}
        </p>
      )}
    </form>
  );
}
