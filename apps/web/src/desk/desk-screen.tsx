/** The start page: today's workout with where everybody stands, and what comes. */
import { subDays } from 'date-fns';
import { useDatedWorkouts, useMe, useUndatedWorkouts } from '../api/queries';
import { Page } from '../shell/frame';
import { dayText, showDay, todayIn } from '../shell/days';
import { Button } from '../ui/button';
import { Empty, Failed, Loading } from '../ui/states';
import { DiscomfortList } from './discomfort-list';
import { ProposedList } from './proposed-list';
import { SilentList } from './silent-list';
import { TodayWorkout } from './today-workout';
import { useNewWorkout } from './use-new-workout';
import { WorkoutList } from './workout-list';

/** days back that are done lately */
const lately = 60;
const fewLines = 6;

/** The workouts around today. */
function useDesk() {
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  const dated = useDatedWorkouts(me ? dayText(subDays(today, lately)) : null);
  const undated = useUndatedWorkouts();
  const workouts = dated.data ?? [];
  return {
    me,
    today,
    ready: dated.data !== undefined && undated.data !== undefined,
    error: dated.error ?? undated.error,
    again: () => void Promise.all([dated.refetch(), undated.refetch()]),
    now: workouts.filter(({ day }) => day === today),
    coming: workouts.filter(({ day }) => day! > today).reverse(),
    recent: workouts.filter(({ day }) => day! < today).slice(0, fewLines),
    undated: (undated.data ?? []).slice(0, fewLines),
  };
}

export function DeskScreen() {
  const { me, today, ready, error, again, now, coming, recent, undated } = useDesk();
  const create = useNewWorkout();
  if (error) return <Failed error={error} retry={again} />;
  if (!ready) return <Loading what="Setting the desk" />;
  const write = (
    <Button look="main" onClick={() => create.mutate(today)}>
      {now.length === 0 ? 'Write today’s workout' : 'New workout'}
    </Button>
  );
  return (
    <Page
      title={`Today, ${showDay(today)}`}
      aside={
        <>
          <span className="text-sm text-soft">{me?.coach?.timeZone}</span>
          {now.length > 0 && write}
        </>
      }
    >
      <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_320px]">
        <div className="flex min-w-0 flex-col gap-8">
          <DiscomfortList />
          {now.length === 0 && (
            <Empty title="Nothing on the board today">
              <p className="text-soft">Write one, or give a workout today’s date.</p>
              {write}
            </Empty>
          )}
          {now.map(({ id }) => (
            <TodayWorkout key={id} id={id} />
          ))}
        </div>
        <aside className="flex flex-col gap-6">
          <ProposedList />
          <SilentList />
          <WorkoutList title="Coming" workouts={coming} empty="Nothing planned yet." />
          <WorkoutList title="Done lately" workouts={recent} empty="Nothing in the last two months." to="board" />
          {undated.length > 0 && <WorkoutList title="Without a day" workouts={undated} empty="" state={false} />}
        </aside>
      </div>
    </Page>
  );
}
