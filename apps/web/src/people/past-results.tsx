/** What an athlete's own scores say beside the figures in the file: a sentence, a small chart over time, and the scores themselves. */
import { useQuery } from '@tanstack/react-query';
import { Suspense } from 'react';
import { Link } from 'react-router';
import { useResults } from '../api/queries';
import type { ListedResult, StoredAthlete } from '../api/types';
import { shortDay } from '../shell/days';
import { core } from '../workers/core-client';
import { part } from '../ui/part';

// the chart's library is large, and most people are opened for their kit
const ResultsChart = part('the chart', async () => (await import('./results-chart')).ResultsChart);
/** a line needs so many points to say anything */
const fewest = 3;

export function PastResults({ stored, today }: { stored: StoredAthlete; today: string }) {
  const { data: results } = useResults(stored.id);
  if (!results || results.length === 0) return null;
  const told = results.filter(({ beyond }) => beyond !== null);
  return (
    <section className="mb-4 text-sm" aria-label="Past results">
      <h2 className="font-serif text-base font-semibold">
        Past results{' '}
        <Link className="font-sans text-sm font-normal underline" to={`/people/${stored.id}/record`}>
          the whole record
        </Link>
      </h2>
      <Sentence stored={stored} today={today} />
      {told.length >= fewest && (
        <Suspense fallback={<div className="h-28" />}>
          <ResultsChart results={told} />
        </Suspense>
      )}
      <ul className="mt-1 max-h-72 overflow-auto">
        {results.map((result) => (
          <ResultLine key={result.workoutId} result={result} />
        ))}
      </ul>
    </section>
  );
}

function Sentence({ stored: { file, results }, today }: { stored: StoredAthlete; today: string }) {
  const past = results.map(({ result }) => result);
  const { data } = useQuery({ queryKey: ['past-results', file, past, today], queryFn: () => core().pastResults(file, past, today), staleTime: Infinity });
  if (!data) return null;
  return (
    <p>
      {data.sentence[0]!.toUpperCase() + data.sentence.slice(1)}, give or take {Math.round(data.openShare * 100)} %. Versions count with it.
    </p>
  );
}

function ResultLine({ result: { workoutId, title, score, loggedAt, verdict } }: { result: ListedResult }) {
  return (
    <li className="grid grid-cols-[4rem_1fr_auto] items-baseline gap-x-2 border-b border-line py-0.5" title={verdict ?? undefined}>
      <time dateTime={loggedAt} className="text-soft">
        {shortDay(loggedAt)}
      </time>
      <Link className="truncate underline" to={`/workouts/${workoutId}/board`}>
        {title}
      </Link>
      <span className="tabular-nums">{score}</span>
    </li>
  );
}
