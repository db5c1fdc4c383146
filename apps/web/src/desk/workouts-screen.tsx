/** The library: found by words, opened, dated, duplicated, deleted with undo. */
import { useState } from 'react';
import { useLibrary } from '../api/queries';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Empty, Failed, Loading } from '../ui/states';
import { useSettled } from '../ui/use-settled';
import { LibraryLine } from './library-line';
import { useLibraryActions } from './use-library-actions';
import { useNewWorkout } from './use-new-workout';

/** ms after the last key */
const searchAfter = 250;

export function WorkoutsScreen() {
  const [search, setSearch] = useState('');
  const { data, error, refetch, hasNextPage, fetchNextPage, isFetchingNextPage } = useLibrary(useSettled(search.trim(), searchAfter));
  const create = useNewWorkout();
  const actions = useLibraryActions();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading />;
  const workouts = data.pages.flatMap((page) => page.workouts);
  return (
    <Page
      title="Workouts"
      aside={
        <>
          <input aria-label="Search workouts" placeholder="Search" className={inputLook} value={search} onChange={(event) => setSearch(event.target.value)} />
          <Button look="main" onClick={() => create.mutate(null)}>
            New workout
          </Button>
        </>
      }
    >
      {workouts.length === 0 && (
        <Empty title={search === '' ? 'No workouts yet' : 'None with these words'}>
          <Button onClick={() => create.mutate(null)}>{search === '' ? 'Write the first one' : 'Write a new one'}</Button>
        </Empty>
      )}
      <ul className="divide-y divide-line">
        {workouts.map((workout) => (
          <LibraryLine key={workout.id} workout={workout} actions={actions} />
        ))}
      </ul>
      {hasNextPage && (
        <Button className="mt-4" disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
          Older ones
        </Button>
      )}
    </Page>
  );
}
