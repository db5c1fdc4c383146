/** The start page: today's workout with where everybody stands, and what comes. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { formatClock, parseWorkout } from '@gambito/core';
import { useMemo } from 'react';
import { Link, useNavigate } from 'react-router';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useRoster, useBoard, useMe, useSends, useWorkouts } from '../api/queries';
import type { Board, StoredWorkout } from '../api/types';
import { Page } from '../shell/frame';
import { laneOf } from '../strip/lane';
import { StripAxis, StripLane } from '../strip/strip';
import { newWorkoutText } from '../write/untouched';
import { useLive } from '../write/use-live';
import { showDay, todayIn } from '../shell/days';
import { Button } from '../ui/button';
import { Empty, Failed, Loading } from '../ui/states';
import { useRoom } from '../api/room';

export function useNewWorkout() {
  const client = useQueryClient();
  const navigate = useNavigate();
  return useMutation({
    mutationFn: (day: string | null) => api<StoredWorkout>('/workouts', { body: { text: newWorkoutText, day } }),
    onSuccess: async (workout) => {
      await client.invalidateQueries({ queryKey: ['workouts'], exact: true });
      await navigate(`/workouts/${workout.id}/write`);
    },
    onError: (error) => toast.error(messageOf(error)),
  });
}

export function DeskScreen() {
  const { data: me } = useMe();
  const { data: workouts, error, refetch } = useWorkouts();
  const create = useNewWorkout();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!workouts) return <Loading what="Setting the desk" />;
  const today = todayIn(me?.coach?.timeZone);
  const now = workouts.filter((each) => each.day === today);
  const coming = workouts.filter((each) => each.day !== null && each.day > today).sort((a, b) => (a.day! < b.day! ? -1 : 1));
  const recent = workouts.filter((each) => each.day !== null && each.day < today).slice(0, 6);
  const undated = workouts.filter((each) => each.day === null).slice(0, 6);
  return (
    <Page
      title={`Today, ${showDay(today)}`}
      aside={
        <>
          <span className="text-sm text-soft">{me?.coach?.timeZone}</span>
          <Button look="main" onClick={() => create.mutate(today)}>
            New workout
          </Button>
        </>
      }
    >
      <div className="grid gap-8 lg:grid-cols-[1fr_320px]">
        <div className="flex flex-col gap-8">
          {now.length === 0 && (
            <Empty title="Nothing on the board today">
              <p className="text-soft">Write one, or give a workout below today’s date.</p>
              <Button look="main" onClick={() => create.mutate(today)}>
                Write today’s workout
              </Button>
            </Empty>
          )}
          {now.map((workout) => (
            <TodayWorkout key={workout.id} workout={workout} />
          ))}
        </div>
        <aside className="flex flex-col gap-6">
          <WorkoutList title="Coming" workouts={coming} empty="Nothing planned yet." />
          <WorkoutList title="Done lately" workouts={recent} empty="Nothing yet." to="board" />
          {undated.length > 0 && <WorkoutList title="Without a day" workouts={undated} empty="" />}
        </aside>
      </div>
    </Page>
  );
}

function WorkoutList({ title, workouts, empty, to = 'write' }: { title: string; workouts: readonly StoredWorkout[]; empty: string; to?: string }) {
  return (
    <section>
      <h2 className="mb-1 text-base">{title}</h2>
      {workouts.length === 0 && <p className="text-sm text-soft">{empty}</p>}
      <ul className="divide-y divide-line border-y border-line">
        {workouts.map((each) => (
          <li key={each.id}>
            <Link to={`/workouts/${each.id}/${to}`} className="flex justify-between gap-3 px-1 py-1.5 hover:bg-wash">
              <span className="truncate">{each.title}</span>
              <span className="whitespace-nowrap text-sm text-soft">{showDay(each.day)}</span>
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}

/** `8+5 · index 104`, or with several scores the place in the day; null where nothing was logged. */
function loggedWords({ boards, day }: Board, athleteId: number): string | null {
  const today = day?.find((each) => each.athleteId === athleteId);
  if (today) return `${today.entry} · place ${today.rank}`;
  const row = boards[0]?.rows.find((each) => each.athleteId === athleteId);
  return row ? `${row.score}${row.index === null ? '' : ` · index ${Math.round(row.index)}`}` : null;
}
const loggedCount = ({ boards, day }: Board): number => day?.length ?? boards[0]?.rows.length ?? 0;

function TodayWorkout({ workout }: { workout: StoredWorkout }) {
  const { data: athletes = [] } = useRoster();
  const { data: sends = [] } = useSends(workout.id);
  const { data: board } = useBoard(workout.id);
  const units = useRoom();
  const parsed = useMemo(() => parseWorkout(workout.text, { units }), [workout.text, units]);
  const { summary } = parsed;
  const reference = useLive(workout.text, 'men');
  const live = sends.filter((each) => !each.revoked);
  const changed = live.filter((each) => each.changed).length;
  const state = (athleteId: number): { text: string; tone: string } => {
    const logged = board && loggedWords(board, athleteId);
    if (logged) return { text: logged, tone: 'text-good font-medium' };
    const sent = live.find((each) => each.athleteId === athleteId);
    return sent
      ? { text: sent.changed ? 'sent, changed since' : 'sent, not logged', tone: sent.changed ? 'text-amber-ink' : 'text-ink' }
      : { text: 'not sent', tone: 'text-soft' };
  };
  return (
    <section aria-label={workout.title}>
      <div className="flex flex-wrap items-baseline gap-3">
        <h2 className="text-3xl">{workout.title}</h2>
        <span className="text-soft">{summary.clockSeconds === null ? 'open end' : formatClock(summary.clockSeconds)}</span>
      </div>
      {reference && (
        <div className="mt-2">
          <StripLane
            lane={laneOf(reference.workout, reference.run, () => false)}
            total={Math.max(30, reference.run.totalSeconds)}
            height={34}
            title={`${workout.title} as the reference athlete does it`}
          />
          <StripAxis total={Math.max(30, reference.run.totalSeconds)} />
        </div>
      )}
      <div className="mt-3 grid gap-6 md:grid-cols-[minmax(230px,1fr)_2fr]">
        <div>
          <pre className="whitespace-pre-wrap border-l-4 border-line pl-4 font-sans text-base leading-relaxed">{workout.text.replace(/^#.*\n/, '').trim()}</pre>
          <div className="mt-4 flex flex-wrap gap-2">
            <Button asChild>
              <Link to={`/workouts/${workout.id}/write`}>Edit</Link>
            </Button>
            <Button look="main" asChild>
              <Link to={`/workouts/${workout.id}/adapt`}>Versions</Link>
            </Button>
            <Button asChild>
              <Link to={`/workouts/${workout.id}/send`}>Send</Link>
            </Button>
            <Button asChild>
              <Link to={`/workouts/${workout.id}/board`}>Board</Link>
            </Button>
          </div>
        </div>
        <div>
          <p className="mb-1 text-sm text-soft">
            {athletes.length} athletes · {live.length} sent · {board ? loggedCount(board) : 0} logged
            {changed > 0 && <span className="text-amber-ink"> · {changed} sent before the last change</span>}
          </p>
          {athletes.length === 0 && (
            <p>
              Nobody here yet.{' '}
              <Link className="underline" to="/people/new">
                Add an athlete
              </Link>
            </p>
          )}
          <ul className="grid gap-x-6 border-t border-line sm:grid-cols-2">
            {athletes.map((athlete) => {
              const { text, tone } = state(athlete.id);
              return (
                <li key={athlete.id} className="flex items-baseline justify-between gap-2 border-b border-line py-1">
                  <Link to={`/workouts/${workout.id}/adapt?who=${athlete.id}`} className="hover:underline">
                    {athlete.name}
                  </Link>
                  <span className={`text-sm ${tone}`}>{text}</span>
                </li>
              );
            })}
          </ul>
        </div>
      </div>
    </section>
  );
}
