/** Write: text on the left, read as it is typed; the strip, the class and the stimulus on the right. */
import { useParams } from 'react-router';
import { useWorkout } from '../api/queries';
import type { StoredWorkout } from '../api/types';
import { Failed, Loading } from '../ui/states';
import { ReadingColumn } from './reading-column';
import { TextColumn } from './text-column';
import { useWrite } from './use-write';

export function WriteScreen() {
  const id = Number(useParams()['id']);
  const { data: workout, error, refetch } = useWorkout(id);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  return workout ? <Write key={workout.id} workout={workout} /> : <Loading />;
}

function Write({ workout }: { workout: StoredWorkout }) {
  const writing = useWrite(workout);
  return (
    <div className="grid flex-1 gap-5 px-5 py-3 lg:grid-cols-[minmax(340px,5fr)_7fr]">
      <TextColumn workout={workout} writing={writing} />
      <ReadingColumn workout={workout} writing={writing} />
    </div>
  );
}
