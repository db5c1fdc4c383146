/** Every version on as few sheets of paper as fit: the text as each athlete does it, alike ones together. */
import { defaultRules, type Adapted } from '@gambito/core';
import { Printer } from 'lucide-react';
import { Link, useParams } from 'react-router';
import { useAthletes, useLocks, useMe, useWorkout } from '../api/queries';
import { useRules } from '../api/rules';
import { meantOf } from '../api/meant';
import { showDay, todayIn } from '../shell/days';
import { Button } from '../ui/button';
import { showScore } from '../ui/scores';
import { Failed, Loading, Progress } from '../ui/states';
import { sheetsOf, type Sheet } from './sheets';
import { useVersions } from './use-versions';
import type { StoredAthlete, StoredLocks, StoredWorkout } from '../api/types';

export function SheetScreen() {
  const id = Number(useParams()['id']);
  const asked = { workout: useWorkout(id), athletes: useAthletes(), locks: useLocks(id) };
  const failed = Object.values(asked).find((query) => query.error);
  if (failed?.error) return <Failed error={failed.error} retry={() => void failed.refetch()} />;
  const [workout, athletes, locks] = [asked.workout.data, asked.athletes.data, asked.locks.data];
  if (!workout || !athletes || !locks) return <Loading what="Fetching the class" />;
  return <Sheets workout={workout} athletes={meantOf(athletes, workout.audience)} locks={locks} />;
}

interface Class {
  readonly workout: StoredWorkout;
  readonly athletes: readonly StoredAthlete[];
  readonly locks: readonly StoredLocks[];
}
function Sheets({ workout, athletes, locks }: Class) {
  const { data: me } = useMe();
  const { data: rules = defaultRules } = useRules();
  const versions = useVersions(workout.id, workout.text, athletes, locks, { rules, today: todayIn(me?.coach?.timeZone) }).filter(
    ({ athleteId }) => athleteId !== null,
  );
  const done = versions.filter(({ adapted, error }) => adapted ?? error).length;
  return (
    <div className="px-5 py-3 print:p-0">
      <div className="no-print mb-3 flex items-center gap-3">
        <Progress done={done} of={versions.length} what="Versions" />
        <Button look="main" disabled={done < versions.length} onClick={() => window.print()}>
          <Printer size={15} /> Print
        </Button>
        <Button asChild>
          <Link to={`/workouts/${workout.id}/adapt`}>Back</Link>
        </Button>
      </div>
      <p className="hidden font-serif text-lg font-semibold print:block">
        {workout.title}, {showDay(workout.day)}
      </p>
      <div className="columns-1 gap-6 sm:columns-2 lg:columns-3 print:columns-3 print:gap-4">
        {sheetsOf(versions).map((sheet) => (
          <Card key={sheet.names.join()} sheet={sheet} />
        ))}
      </div>
    </div>
  );
}

function Card({ sheet: { names, text, adapted, notes } }: { sheet: Sheet }) {
  return (
    <article className="mb-4 break-inside-avoid border-t-2 border-ink pt-1 print:mb-3">
      <h2 className="font-serif text-base leading-tight font-semibold">{names.join(', ')}</h2>
      <pre className="mt-1 whitespace-pre-wrap font-sans text-sm leading-snug print:text-[9pt]">{text}</pre>
      <p className="text-xs text-soft">{expectedOf(adapted)}</p>
      {notes.map((note) => (
        <p key={note} className="mt-1 text-sm print:text-[9pt]">
          {note}
        </p>
      ))}
    </article>
  );
}

/** `expect 10.2 rounds (8.6 to 11.4)`, over everybody of the card */
function expectedOf(adapted: readonly Adapted[]): string {
  const [first] = adapted;
  if (!first) return '';
  const { unit } = first.predicted;
  const [low, high] = [Math.min(...adapted.map(({ predicted }) => predicted.low)), Math.max(...adapted.map(({ predicted }) => predicted.high))];
  return `expect ${showScore(low, unit)} to ${showScore(high, unit)}`;
}
