/** The day's cockpit of one workout: what is to be done, with the button that does it; who opened, who logged, and what they said. */
import clsx from 'clsx';
import { useState } from 'react';
import { Link } from 'react-router';
import { useQueryClient } from '@tanstack/react-query';
import { meantOf } from '../api/meant';
import { useBoard, useRoster, useSends, useWorkout } from '../api/queries';
import { useKeptAgainst } from '../send/use-kept-against';
import { useSendJob } from '../send/use-send-job';
import { Button } from '../ui/button';
import { Chip } from '../ui/chip';
import { Progress } from '../ui/states';
import { countOf, standingKinds, standingsOf, standingWords, type Standing, type StandingKind } from './standings';

const tones: Readonly<Record<StandingKind, string>> = {
  held: 'text-bad',
  changed: 'text-amber-ink',
  notSent: 'text-soft',
  notOpened: 'text-soft',
  notLogged: 'text-ink',
  logged: 'font-medium text-good',
};

function useStandings(workoutId: number): Standing[] {
  const { data: everybody = [] } = useRoster();
  const { data: workout } = useWorkout(workoutId);
  const { data: sends = [] } = useSends(workoutId);
  const { data: board } = useBoard(workoutId);
  return standingsOf(workout ? meantOf(everybody, workout.audience) : [], sends, board);
}

export function WhoStandsWhere({ workoutId }: { workoutId: number }) {
  const standings = useStandings(workoutId);
  const [kind, setKind] = useState<StandingKind | null>(null);
  const shown = kind === null ? standings : standings.filter((standing) => standing.kind === kind);
  if (standings.length === 0)
    return (
      <p>
        Nobody here yet.{' '}
        <Link className="underline" to="/people/new">
          Add an athlete
        </Link>
      </p>
    );
  return (
    <div>
      <div role="group" aria-label="Where they stand" className="mb-2 flex flex-wrap gap-1.5">
        {standingKinds
          .filter((each) => countOf(standings, each) > 0)
          .map((each) => (
            <Chip key={each} on={kind === each} tap={() => setKind(kind === each ? null : each)}>
              <b className="tabular-nums">{countOf(standings, each)}</b> {standingWords[each]}
            </Chip>
          ))}
      </div>
      <ToSend workoutId={workoutId} standings={standings} />
      <ul className="grid gap-x-6 border-t border-line sm:grid-cols-2">
        {shown.map((standing) => (
          <Line key={standing.athleteId} workoutId={workoutId} standing={standing} />
        ))}
      </ul>
      <Said standings={standings} />
    </div>
  );
}

/** What was never sent, and what reads otherwise since, goes out from here. */
function ToSend({ workoutId, standings }: { workoutId: number; standings: readonly Standing[] }) {
  const client = useQueryClient();
  const kept = useKeptAgainst(workoutId);
  const job = useSendJob(workoutId, ({ sends }) => client.setQueryData(['workouts', workoutId, 'sends'], sends));
  const of = (kind: StandingKind): number[] => standings.filter((standing) => standing.kind === kind).map(({ athleteId }) => athleteId);
  const [notSent, changed] = [of('notSent'), [...of('held'), ...of('changed')]];
  if (notSent.length + changed.length === 0) return null;
  return (
    <div className="mb-2 flex flex-wrap items-center gap-2">
      {notSent.length > 0 && (
        <Button look="main" disabled={job.isSending} onClick={() => job.send(notSent)}>
          Send to {notSent.length === standings.length ? `all ${notSent.length}` : `the ${notSent.length} without one`}
        </Button>
      )}
      {changed.length > 0 && (
        <Button disabled={job.isSending} onClick={() => job.send(changed)}>
          Send the change to {changed.length}
        </Button>
      )}
      <Progress done={job.progress.done} of={job.progress.of} what="Preparing" />
      {[...kept].map(([athleteId, { name, lines }]) => (
        <p key={athleteId} className="w-full text-sm text-bad">
          You keep this although {name} is to be spared it: {lines.join('; ')}.
        </p>
      ))}
    </div>
  );
}

function Line({ workoutId, standing: { athleteId, name, kind, score } }: { workoutId: number; standing: Standing }) {
  return (
    <li className="flex items-baseline justify-between gap-2 border-b border-line py-1">
      <Link to={`/workouts/${workoutId}/adapt?who=${athleteId}`} className="hover:underline">
        {name}
      </Link>
      <span className={clsx('text-sm', tones[kind])}>{score || standingWords[kind]}</span>
    </li>
  );
}

/** What was asked for today, then what was said with the scores. */
function Said({ standings }: { standings: readonly Standing[] }) {
  const lists = [
    ['Asked for today', 'today'],
    ['Said with their scores', 'note'],
  ] as const;
  return lists.map(([title, key]) => {
    const said = standings.filter((standing) => standing[key].trim() !== '');
    if (said.length === 0) return null;
    return (
      <section key={key} aria-label={title} className="mt-3 text-sm">
        <h3 className="font-medium">{title}</h3>
        <ul>
          {said.map((standing) => (
            <li key={standing.athleteId}>
              <Link to={`/people/${standing.athleteId}`} className="font-medium hover:underline">
                {standing.name}
              </Link>
              : {standing[key]}
            </li>
          ))}
        </ul>
      </section>
    );
  });
}
