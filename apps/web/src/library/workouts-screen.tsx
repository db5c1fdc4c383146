/** The library: found by words, tags, kind, length, movement, who did it; opened, dated, copied, deleted into a bin. */
import { Trash2, Upload } from 'lucide-react';
import { useRef } from 'react';
import { Link } from 'react-router';
import { useNewWorkout } from '../desk/use-new-workout';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Empty, Failed, Loading } from '../ui/states';
import { useDeskKeys } from '../ui/use-desk-keys';
import { ExportMenu } from './export-menu';
import { FilterBar } from './filter-bar';
import { LibraryLine } from './library-line';
import { useLibraryActions } from './use-library-actions';
import { useLibraryScreen, type LibraryScreen } from './use-library-screen';

export function WorkoutsScreen() {
  const screen = useLibraryScreen();
  const { workouts, error, again, more, busy, inBin } = screen;
  const actions = useLibraryActions();
  if (error) return <Failed error={error} retry={again} />;
  if (!workouts) return <Loading />;
  return (
    <Page wide title={inBin ? 'Bin' : 'Workouts'} aside={<Actions screen={screen} />}>
      {inBin ? <p className="mb-2 text-sm text-soft">What was deleted lies here for thirty days.</p> : <FilterBar screen={screen} />}
      {workouts.length === 0 && <Nothing screen={screen} />}
      <ul className="divide-y divide-line">
        {workouts.map((workout) => (
          <LibraryLine key={workout.id} workout={workout} actions={actions} />
        ))}
      </ul>
      {more && (
        <Button className="mt-4" disabled={busy} onClick={more}>
          Older ones
        </Button>
      )}
    </Page>
  );
}

function Actions({ screen: { filters, change, inBin, workouts = [] } }: { screen: LibraryScreen }) {
  const create = useNewWorkout();
  const field = useRef<HTMLInputElement>(null);
  useDeskKeys({ '/': () => field.current?.focus(), n: () => create.mutate(null) });
  return (
    <>
      <input
        ref={field}
        aria-label="Search workouts"
        placeholder="Search ( / )"
        className={inputLook}
        value={filters.search}
        onChange={(event) => change('search', event.target.value)}
      />
      <Button look="bare" aria-pressed={inBin} onClick={() => change('bin', inBin ? '' : 'true')}>
        <Trash2 size={15} /> {inBin ? 'Leave the bin' : 'Bin'}
      </Button>
      <Button asChild>
        <Link to="/workouts/import">
          <Upload size={15} /> Import
        </Link>
      </Button>
      {workouts.length > 0 && !inBin && <ExportMenu ids={workouts.map(({ id }) => id)} />}
      <Button look="main" onClick={() => create.mutate(null)}>
        New workout
      </Button>
    </>
  );
}

function Nothing({ screen: { narrowed, inBin } }: { screen: LibraryScreen }) {
  const create = useNewWorkout();
  if (inBin) return <Empty title="The bin is empty" />;
  return (
    <Empty title={narrowed ? 'None like that' : 'No workouts yet'}>
      <Button onClick={() => create.mutate(null)}>{narrowed ? 'Write a new one' : 'Write the first one'}</Button>
    </Empty>
  );
}
