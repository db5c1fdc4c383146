/** Adapt: the original on top, one lane a version on the same time axis; the version pointed at opens beside it. */
import { defaultRules, parseWorkout, type Diagnostic } from '@gambito/core';
import { Printer, Rows3 } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { useAthletes, useLocks, useMe, useWorkout } from '../api/queries';
import { useRules } from '../api/rules';
import { meantOf } from '../api/meant';
import { useRoom } from '../api/room';
import { todayIn } from '../shell/days';
import { useDeskKeys } from '../ui/use-desk-keys';
import { Button } from '../ui/button';
import { Shortcuts } from '../ui/shortcuts';
import { Empty, Failed, Loading } from '../ui/states';
import { LaneBar } from './lane-bar';
import { Lanes } from './lanes';
import { idOf, laneId, useAdapt, type ClassAsked } from './use-adapt';
import { VersionPanel } from './version-panel';
import { VersionTable } from './version-table';

export function AdaptScreen() {
  const id = Number(useParams()['id']);
  const { data: me } = useMe();
  const units = useRoom();
  const asked = { workout: useWorkout(id), athletes: useAthletes(), locks: useLocks(id) };
  const { data: rules = defaultRules } = useRules();
  const failed = Object.values(asked).find((query) => query.error);
  if (failed?.error) return <Failed error={failed.error} retry={() => void failed.refetch()} />;
  const [workout, athletes, locks] = [asked.workout.data, asked.athletes.data, asked.locks.data];
  if (!workout || !athletes || !locks) return <Loading what="Fetching the class" />;
  const { text } = workout;
  const read = parseWorkout(text, { units });
  const problems = read.diagnostics.filter(({ level }) => level === 'error');
  if (problems.length > 0 || read.workout.parts.length === 0) return <Unreadable id={id} problems={problems} />;
  return <Class {...{ id, text, locks, rules }} athletes={meantOf(athletes, workout.audience)} today={todayIn(me?.coach?.timeZone)} />;
}

function Unreadable({ id, problems }: { id: number; problems: readonly Diagnostic[] }) {
  return (
    <div className="p-6">
      <Empty title="The text cannot be read yet">
        {problems.map(({ line, column, message }) => (
          <p key={`${line}:${column}`}>
            Line {line}: {message}
          </p>
        ))}
        <Link className="underline" to={`/workouts/${id}/write`}>
          Back to the text
        </Link>
      </Empty>
    </div>
  );
}

const shortcuts = [
  ['↑ ↓', 'the lane above or below'],
  ['Enter', 'into the version'],
  ['Escape', 'back to its lane; once more closes it'],
  ['W', 'why not another movement (on an open line)'],
  ['L', 'lock or unlock what is chosen (on an open line)'],
  ['T', 'lanes or a table'],
  ['Ctrl Z', 'take the last decision back'],
  ['Ctrl Y', 'take it up again'],
  ['?', 'these keys'],
] as const;

function Class(asked: ClassAsked) {
  const adapting = useAdapt(asked);
  const { selected, history, choose, original, versions } = adapting;
  useDeskKeys({ 'Control+z': history.undo, 'Control+y': history.redo, 'Control+Shift+z': history.redo, t: adapting.turnView });
  return (
    <div className="flex flex-1 flex-col px-5 py-1.5">
      <LaneBar adapting={adapting}>
        <Button look="bare" onClick={adapting.turnView} aria-pressed={adapting.view === 'table'} title="Lanes or a table (T)">
          <Rows3 size={15} /> {adapting.view === 'lanes' ? 'Table' : 'Lanes'}
        </Button>
        <Button look="bare" asChild>
          <Link to={`/workouts/${asked.id}/sheet`}>
            <Printer size={15} /> Print all
          </Link>
        </Button>
        <Shortcuts keys={shortcuts} />
      </LaneBar>
      <div className={`grid flex-1 gap-5 ${selected ? 'xl:grid-cols-[minmax(0,1fr)_430px]' : ''}`}>
        {adapting.view === 'lanes' ? <Lanes adapting={adapting} /> : <VersionTable adapting={adapting} />}
        {selected?.adapted && (
          <VersionPanel
            key={idOf(selected)}
            text={asked.text}
            version={selected}
            adapted={selected.adapted}
            original={original}
            rules={asked.rules}
            today={asked.today}
            others={versions.filter(({ athleteId }) => athleteId !== null && athleteId !== selected.athleteId)}
            compared={versions.filter(({ key }) => key !== selected.key)}
            history={history}
            leave={() => document.getElementById(laneId(selected))?.focus()}
            close={() => choose(null)}
          />
        )}
      </div>
    </div>
  );
}
