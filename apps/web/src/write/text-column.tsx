/** The text as it stands on the board, its day, whether it is saved, and what could not be read. */
import { useByWhom } from '../api/by-whom';
import { useRoom } from '../api/room';
import type { StoredWorkout } from '../api/types';
import { Button } from '../ui/button';
import { ChangedElsewhere } from './changed-elsewhere';
import { EarlierTexts } from './earlier-texts';
import { ProblemList } from './problem-list';
import { SaveNote } from './save-note';
import { isUntouched } from './untouched';
import type { Writing } from './use-write';
import { WorkoutEditor } from './workout-editor';

export function TextColumn({ workout, writing }: { workout: StoredWorkout; writing: Writing }) {
  const { text, change, state, save, tidy, canTidy } = writing;
  const units = useRoom();
  const by = useByWhom()(workout.changedBy);
  return (
    <section aria-label="Text" className="flex min-h-0 flex-col gap-2">
      <div className="flex flex-wrap items-center gap-2">
        <Button look="bare" onClick={tidy} disabled={!canTidy} title="Rewrite the text in its usual form; undo with Ctrl Z">
          Tidy up
        </Button>
        <EarlierTexts workoutId={workout.id} text={text} take={change} />
        <SaveNote state={state} retry={() => void save()} />
        {by && <span className="text-sm text-soft">last changed by {by}</span>}
      </div>
      {state.kind === 'conflict' && (
        <ChangedElsewhere theirs={state.theirs} keepMine={() => writing.keepMine(state.theirs)} takeTheirs={() => writing.takeTheirs(state.theirs)} />
      )}
      <div className="min-h-72 flex-1">
        <WorkoutEditor
          key={units}
          text={text}
          units={units}
          onChange={change}
          save={() => void save()}
          startHere={isUntouched(workout)}
          shown={writing.shown}
          isMessage={writing.message !== null}
        />
      </div>
      <p className="text-sm text-soft">
        Tab takes what is offered. Alt with ↑ and ↓ turns a figure, dragging it does too. F8 goes to the next remark, Alt Enter takes its fix.
      </p>
      {!writing.message && <ProblemList problems={writing.problems} take={writing.takeFix} />}
    </section>
  );
}
