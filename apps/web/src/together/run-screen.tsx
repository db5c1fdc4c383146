/** Run: the class on one clock. The coach starts, pauses, ends it; everybody's lane fills as they tap. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Monitor, Pause, Play, Square } from 'lucide-react';
import { useParams } from 'react-router';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { Empty, Failed, Loading } from '../ui/states';
import { ClassFigure } from './class-figure';
import { ClassLanes } from './class-lanes';
import type { LaneView } from './lanes';
import { SharePanel } from './share-panel';
import { useClassRoom, type ClassModel } from './use-class-room';

export function RunScreen() {
  const id = Number(useParams()['id']);
  const model = useClassRoom(id);
  const log = useLogging(id, () => void model.refetch());
  if (model.error && !model.room) return <Failed error={model.error} retry={() => void model.refetch()} />;
  if (!model.room) return <Loading />;
  const finished = model.lanes.filter(({ score, logged }) => score !== null && logged === null);
  return (
    <Page
      title="Run it together"
      wide
      aside={
        <>
          {finished.length > 0 && (
            <Button onClick={() => log(finished)}>
              Log {finished.length === 1 ? 'the score that is done' : `the ${finished.length} scores that are done`}
            </Button>
          )}
          <Button asChild>
            <a href={`/workouts/${id}/screen`} target="_blank" rel="noreferrer">
              <Monitor size={15} /> Big screen
            </a>
          </Button>
        </>
      }
    >
      {model.room.lanes.length === 0 ? (
        <Empty title="Nobody to run it with yet">
          <p>Whoever you send a version to has a lane here, and follows your clock on their own phone.</p>
        </Empty>
      ) : (
        <div className="grid gap-6 lg:grid-cols-[17rem_1fr]">
          <section aria-label="The clock" className="flex flex-col gap-3">
            <ClassFigure clock={model.clock} seconds={model.seconds} className="text-8xl" />
            <Controls model={model} />
            <Standing model={model} />
          </section>
          {model.clock ? (
            <section aria-label="Lanes">
              <ClassLanes lanes={model.lanes} axis={model.axis} aside={(lane) => <LaneScore lane={lane} log={() => log([lane])} />} />
              <SharePanel lanes={model.members} set={model.stagger} />
            </section>
          ) : (
            <p className="max-w-prose text-soft">
              Open the class, and everybody who has a link finds “Join the class” on their page. You start the clock for all of them; each sees their own
              version on it, wherever they are.
            </p>
          )}
        </div>
      )}
    </Page>
  );
}

function Controls({ model: { clock, busy, open, move } }: { model: ClassModel }) {
  if (!clock || (clock.endedAt !== null && clock.startedAt === null))
    return (
      <Button look="main" className="justify-center" onClick={open} disabled={busy}>
        Open the class
      </Button>
    );
  if (clock.endedAt !== null)
    return (
      <Button className="justify-center" onClick={open} disabled={busy}>
        Open it once more
      </Button>
    );
  const running = clock.startedAt !== null;
  return (
    <div className="flex flex-col gap-2">
      {!running && (
        <Button look="main" className="justify-center" onClick={() => move('start')} disabled={busy}>
          <Play size={16} /> Start for all
        </Button>
      )}
      {running && (
        <Button look="main" className="justify-center" onClick={() => move(clock.pausedAt === null ? 'pause' : 'goOn')} disabled={busy}>
          {clock.pausedAt === null ? <Pause size={16} /> : <Play size={16} />} {clock.pausedAt === null ? 'Pause for all' : 'Go on'}
        </Button>
      )}
      <div className="grid grid-cols-2 gap-2">
        <Button className="justify-center" onClick={() => move('start')} disabled={busy || !running}>
          Start again
        </Button>
        <Button className="justify-center" onClick={() => move('end')} disabled={busy}>
          <Square size={14} /> End
        </Button>
      </div>
    </div>
  );
}

function Standing({ model: { lanes, clock, connected, errorMs } }: { model: ClassModel }) {
  if (!clock) return null;
  const count = (state: LaneView['state']): number => lanes.filter((lane) => lane.state === state).length;
  return (
    <dl className="grid grid-cols-[1fr_auto] gap-x-3 text-sm">
      <dt>on the clock</dt>
      <dd className="text-right">
        {lanes.length - count('away')} of {lanes.length}
      </dd>
      <dt>done</dt>
      <dd className="text-right">{count('done')}</dd>
      {count('silent') > 0 && (
        <>
          <dt>not heard of for a while</dt>
          <dd className="text-right">{count('silent')}</dd>
        </>
      )}
      <dt className="text-soft">{connected ? 'this screen keeps the server’s time' : 'no connection: this screen goes on by itself'}</dt>
      <dd className="text-right text-soft">{connected && errorMs !== null ? `± ${Math.max(1, Math.round(errorMs))} ms` : ''}</dd>
    </dl>
  );
}

function LaneScore({ lane, log }: { lane: LaneView; log: () => void }) {
  if (lane.logged !== null) return <span className="text-good">logged {lane.logged}</span>;
  if (lane.score === null) return null;
  return (
    <Button look="bare" onClick={log} aria-label={`Log ${lane.score} for ${lane.name}`}>
      Log {lane.score}
    </Button>
  );
}

/** What the taps came to goes into the board; the athlete may still correct it. */
function useLogging(workoutId: number, done: () => void): (lanes: readonly LaneView[]) => void {
  const client = useQueryClient();
  const logging = useMutation({
    mutationFn: async (lanes: readonly LaneView[]) => {
      for (const { athleteId, score } of lanes) await api(`/workouts/${workoutId}/scores`, { body: { athleteId, score: score ?? '', note: '' } });
      return lanes.length;
    },
    onSuccess: (count) => toast(count === 1 ? 'Logged.' : `${count} scores logged.`),
    onError: (failure) => toast.error(messageOf(failure)),
    onSettled: () => {
      done();
      void client.invalidateQueries({ queryKey: ['workouts', workoutId, 'board'] });
    },
  });
  return (lanes) => logging.mutate(lanes);
}
