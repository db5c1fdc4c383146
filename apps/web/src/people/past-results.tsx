/** What an athlete's own scores say beside the figures in the file; the versions already use it. */
import { fileWithResults, parseWorkout } from '@gambito/core';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import type { StoredAthlete } from '../api/types';
import { core } from '../workers/core-client';

export function PastResults({ stored, today }: { stored: StoredAthlete; today: string }) {
  const { data } = useQuery({
    queryKey: ['past-results', stored.file, stored.results, today],
    queryFn: () => core().pastResults(fileWithResults(stored.file, stored.results), today),
    staleTime: Infinity,
  });
  if (stored.results.length === 0) return null;
  return (
    <section className="mb-4 text-sm" aria-label="Past results">
      <h2 className="font-serif text-base font-semibold">Past results</h2>
      {data && (
        <p>
          {data.sentence[0]!.toUpperCase() + data.sentence.slice(1)}, give or take {Math.round(data.openShare * 100)} %. Versions count with it.
        </p>
      )}
      <ul className="mt-1">
        {stored.results.map((each) => (
          <li key={each.workoutId} className="flex justify-between gap-3 border-b border-line">
            <Link className="truncate underline" to={`/workouts/${each.workoutId}/board`}>
              {parseWorkout(each.workout).workout.title ?? 'Untitled'}
            </Link>
            <span className="tabular-nums">{each.score}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
