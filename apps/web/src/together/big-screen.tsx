/** The class on a wall: the clock as large as it goes, everybody's lane below it, nothing to press. */
import { useParams } from 'react-router';
import { useWakeLock } from '../athlete/use-wake-lock';
import { Failed, Loading } from '../ui/states';
import { ClassFigure } from './class-figure';
import { ClassLanes } from './class-lanes';
import { useClassRoom } from './use-class-room';

export function BigScreen() {
  const model = useClassRoom(Number(useParams()['id']));
  useWakeLock(true);
  if (model.error && !model.room) return <Failed error={model.error} retry={() => void model.refetch()} />;
  if (!model.room) return <Loading />;
  return (
    <main className="flex min-h-dvh flex-col gap-4 p-6">
      <h1 className="text-center text-2xl">{model.room.title}</h1>
      <ClassFigure clock={model.clock} seconds={model.seconds} className="text-[22vw] sm:text-[16vw]" />
      <ClassLanes lanes={model.lanes} axis={model.axis} large />
    </main>
  );
}
