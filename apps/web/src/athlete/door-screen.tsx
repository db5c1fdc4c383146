/** An athlete's own door: the days sent to them, what they scored, their kit; and what they would have otherwise, for the coach to take. */
import type { OwnDoor } from '@gambito/contract';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { Link, useParams } from 'react-router';
import { api, ApiError } from '../api/client';
import { Failed, Loading } from '../ui/states';
import { ThemeButton } from '../ui/theme-button';
import { ProposalForm } from './proposal-form';

export function DoorScreen() {
  const token = useParams()['token']!;
  const { data, error, refetch } = useQuery({ queryKey: ['d', token], queryFn: () => api<OwnDoor>(`/d/${token}`) });
  if (error instanceof ApiError && error.problem.status === 410)
    return (
      <main className="mx-auto max-w-md p-6">
        <h1 className="text-2xl">This link is not open</h1>
        <p className="mt-2">{error.message}</p>
      </main>
    );
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="Opening your page" />;
  return (
    <main className="mx-auto flex max-w-xl flex-col gap-6 px-4 py-4">
      <div className="flex items-center">
        <h1 className="text-3xl">{data.name}</h1>
        <span className="ml-auto">
          <ThemeButton />
        </span>
      </div>
      <Days days={data.days} />
      <p className="text-sm">
        <a className="underline" href={`/api/d/${token}/calendar.ics`}>
          Your days as a calendar
        </a>
        <span className="text-soft"> to subscribe to: a changed day moves, a withdrawn one goes.</span>
      </p>
      <Results results={data.results} />
      <ProposalForm key={data.name} token={token} door={data} />
    </main>
  );
}

const dayWords = (day: string): string => format(parseISO(day), 'EEE d MMM');

function Days({ days }: Pick<OwnDoor, 'days'>) {
  return (
    <section aria-label="Your days">
      <h2 className="text-xl">Your days</h2>
      {days.length === 0 && <p className="text-soft">Nothing was sent yet.</p>}
      <ul className="divide-y divide-line border-y border-line">
        {days.map(({ token, title, day, score }) => (
          <li key={token}>
            <Link to={`/a/${token}`} className="flex min-h-11 items-baseline gap-3 py-2 hover:bg-wash">
              <span className="w-24 shrink-0 text-sm text-soft">{dayWords(day)}</span>
              <span className="font-medium">{title}</span>
              <span className="ml-auto text-sm tabular-nums text-soft">{score ?? 'not logged'}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** results that are shown before one asks for all */
const firstResults = 8;

function Results({ results }: Pick<OwnDoor, 'results'>) {
  if (results.length === 0) return null;
  const line = ({ title, score, loggedAt }: OwnDoor['results'][number]) => (
    <li key={loggedAt + title} className="flex gap-3 py-1">
      <span className="w-24 shrink-0 text-sm text-soft">{dayWords(loggedAt)}</span>
      {title}
      <span className="ml-auto tabular-nums">{score}</span>
    </li>
  );
  return (
    <section aria-label="Your results">
      <h2 className="text-xl">Your results</h2>
      <ul>{results.slice(0, firstResults).map(line)}</ul>
      {results.length > firstResults && (
        <details>
          <summary className="min-h-6 cursor-pointer text-sm text-soft">{results.length - firstResults} more</summary>
          <ul>{results.slice(firstResults).map(line)}</ul>
        </details>
      )}
    </section>
  );
}
