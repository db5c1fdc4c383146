/** What is thought of a person, and why: each score with what it shows, how much it moves what is thought, and one click that it shall not count. */
import type { PersonRecord, Recorded } from '@gambito/contract';
import { weighEvidence, type Evidence } from '@gambito/core';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import type { StoredAthlete } from '../api/types';
import { measuredWords } from '../scores/measured-words';
import { shortDay } from '../shell/days';
import { Button } from '../ui/button';
import { core } from '../workers/core-client';
import { signed } from '../ui/signed';
import { shownOver } from './sessions';
import { ShownChart } from './shown-chart';

export function ModelCard({ record, stored, today }: { record: PersonRecord; stored: StoredAthlete; today: string }) {
  const { data: known } = useQuery({
    queryKey: ['figures', stored.file, today],
    queryFn: () => core().figuresOf(stored.file, today),
    staleTime: Infinity,
  });
  const letCount = useLetCount(stored.id);
  if (!known) return null;
  const { percent, open, evidence } = weighEvidence(record.sessions, known.fitnessSpread);
  return (
    <section aria-label="What results taught">
      <h2 className="text-lg">What results taught</h2>
      <p className="mb-2 max-w-prose text-sm">
        {stored.name} is thought to be{' '}
        <b>
          {Math.abs(Math.round(percent)) === 0
            ? 'as fit as the figures in the file say'
            : `${Math.abs(Math.round(percent))} % ${percent > 0 ? 'fitter' : 'less fit'} than the figures in the file say`}
        </b>
        , give or take {Math.round(open)} %. The newest eight that count are weighed; one that is far off counts less. Refuse one that was not meant seriously,
        and versions and conversions are made without it.
      </p>
      <ShownChart shown={shownOver(record)} />
      <table className="w-full text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            <th className="py-1 font-medium">Score</th>
            <th className="py-1 font-medium">Shows</th>
            <th className="py-1 font-medium">Moves it by</th>
            <th>
              <span className="sr-only">Whether it counts</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {evidence.map((each) => (
            <Line key={each.result.scoreId} {...each} letCount={(counts) => letCount.mutate({ ...each.result, counts })} busy={letCount.isPending} />
          ))}
        </tbody>
      </table>
      <Figures rows={known.lifts} />
    </section>
  );
}

function Line({ result, percent, moves, letCount, busy }: Evidence<Recorded> & { letCount: (counts: boolean) => void; busy: boolean }) {
  const { title, score, day, workoutId, counts, verdict, rating, measured, note } = result;
  return (
    <tr className={`border-b border-line align-top ${counts ? '' : 'text-soft'}`}>
      <td className="py-1 pr-2">
        <Link className="font-medium underline" to={`/workouts/${workoutId}/board`}>
          {title}
        </Link>{' '}
        {score} <span className="text-soft">{shortDay(day)}</span>
        <span className="block text-xs text-soft">
          {[verdict, rating === null ? null : `rated ${rating}`, measured && measuredWords(measured), note && `“${note}”`].filter(Boolean).join(' · ')}
        </span>
      </td>
      <td className="py-1 pr-2 tabular-nums">{percent === null ? <span className="text-soft">nothing</span> : signed(percent)}</td>
      <td className="py-1 pr-2 tabular-nums">{!counts ? 'refused' : moves === null ? '–' : signed(moves)}</td>
      <td className="py-0.5 text-right">
        <Button look="bare" disabled={busy} onClick={() => letCount(!counts)} aria-label={`${counts ? 'Refuse' : 'Let count'}: ${title} ${score}`}>
          {counts ? 'Refuse' : 'Let it count'}
        </Button>
      </td>
    </tr>
  );
}

function useLetCount(athleteId: number) {
  const client = useQueryClient();
  const change = useMutation({
    mutationFn: ({ workoutId, scoreId, counts }: { workoutId: number; scoreId: number; counts: boolean }) =>
      api(`/workouts/${workoutId}/scores/${scoreId}/counts`, { method: 'PUT', body: { counts } }),
    onSuccess: (_answer, { counts, ...session }) => {
      void client.invalidateQueries({ queryKey: ['athletes'] });
      toast(counts ? 'It counts again.' : 'It counts no more.', {
        action: { label: 'Undo', onClick: () => change.mutate({ ...session, counts: !counts }) },
      });
      void client.invalidateQueries({ queryKey: ['athletes', athleteId] });
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  return change;
}

/** Maxes used for predictions, and how sure each is. */
function Figures({ rows }: { rows: readonly { readonly lift: string; readonly kg: number; readonly percent: number; readonly told: boolean }[] }) {
  return (
    <details className="mt-4">
      <summary className="cursor-pointer font-serif text-lg font-semibold">Maxes used for predictions</summary>
      <table className="mt-1 w-full text-sm">
        <tbody>
          {rows.map(({ lift, kg, percent, told }) => (
            <tr key={lift} className="border-b border-line">
              <td className="py-0.5">{lift}</td>
              <td className="py-0.5 text-right tabular-nums">{Math.round(kg)} kg</td>
              <td className="py-0.5 text-right tabular-nums text-soft">± {Math.round(percent)} %</td>
              <td className="py-0.5 pl-3 text-soft">{told ? 'entered' : 'estimated from other figures or from norms'}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </details>
  );
}
