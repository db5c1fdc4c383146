/** A workout of today: as it stands on the board, and where everybody stands with it. */
import { formatClock, parseWorkout } from '@gambito/core';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useRoom } from '../api/room';
import { useWorkout } from '../api/queries';
import type { StoredWorkout } from '../api/types';
import { laneOf } from '../strip/lane';
import { StripAxis, StripLane } from '../strip/strip';
import { Button } from '../ui/button';
import { Failed, Loading } from '../ui/states';
import { useLive } from '../write/use-live';
import { WhoStandsWhere } from './who-stands-where';

export function TodayWorkout({ id }: { id: number }) {
  const { data: workout, error, refetch } = useWorkout(id);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  return workout ? <Today workout={workout} /> : <Loading />;
}

const steps = [
  ['write', 'Edit'],
  ['adapt', 'Versions'],
  ['send', 'Send'],
  ['board', 'Board'],
] as const;

function Today({ workout }: { workout: StoredWorkout }) {
  const units = useRoom();
  const { summary } = useMemo(() => parseWorkout(workout.text, { units }), [workout.text, units]);
  return (
    <section aria-label={workout.title}>
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="text-3xl">{workout.title}</h2>
        <span className="text-soft">{summary.clockSeconds === null ? 'no fixed length' : formatClock(summary.clockSeconds)}</span>
      </div>
      <ReferenceStrip workout={workout} />
      <div className="mt-3 grid gap-6 md:grid-cols-[minmax(285px,1fr)_2fr]">
        <div>
          <pre className="whitespace-pre-wrap border-l-4 border-line pl-4 font-sans text-base leading-relaxed">{workout.text.replace(/^#.*\n/, '').trim()}</pre>
          <div className="mt-4 flex flex-wrap gap-2">
            {steps.map(([to, label]) => (
              <Button key={to} look={to === 'adapt' ? 'main' : 'plain'} asChild>
                <Link to={`/workouts/${workout.id}/${to}`}>{label}</Link>
              </Button>
            ))}
          </div>
        </div>
        <WhoStandsWhere workoutId={workout.id} />
      </div>
    </section>
  );
}

function ReferenceStrip({ workout }: { workout: StoredWorkout }) {
  const reference = useLive(workout.text, 'men');
  if (!reference) return null;
  const total = Math.max(30, reference.run.totalSeconds);
  return (
    <div className="mt-2">
      <StripLane
        lane={laneOf(reference.workout, reference.run, () => false)}
        total={total}
        height={34}
        title={`${workout.title} as the reference athlete does it`}
      />
      <StripAxis total={total} />
    </div>
  );
}
