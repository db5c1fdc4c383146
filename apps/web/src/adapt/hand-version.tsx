/** A version as the coach writes it: begun from what stands there, read as it is typed, and taken back whenever the coach likes. */
import { byHandOf, parseWorkout, withByHand, type Adapted, type Lock } from '@gambito/core';
import { PenLine } from 'lucide-react';
import { useMemo, useState } from 'react';
import { useRoom } from '../api/room';
import { Button } from '../ui/button';
import { ProblemList } from '../write/problem-list';
import { withFix } from '../write/with-fix';
import { WorkoutEditor } from '../write/workout-editor';

interface Props {
  readonly locks: readonly Lock[];
  readonly adapted: Adapted;
  readonly setLocks: (locks: readonly Lock[]) => void;
}

export function HandVersion({ locks, adapted, setLocks }: Props) {
  const [editing, setEditing] = useState(false);
  const byHand = byHandOf(locks);
  if (editing)
    return (
      <HandEditor
        begin={byHand ?? adapted.version.text}
        keep={(text) => {
          setLocks(withByHand(locks, text));
          setEditing(false);
        }}
        leave={() => setEditing(false)}
      />
    );
  return (
    <div className="mt-2 flex flex-wrap items-center gap-2 text-sm">
      {byHand !== null && <span className="rounded bg-wash px-2 py-0.5 font-medium">written by hand</span>}
      <Button onClick={() => setEditing(true)}>
        <PenLine size={14} /> {byHand === null ? 'Write it by hand' : 'Go on writing'}
      </Button>
      {byHand !== null && <Button onClick={() => setLocks(withByHand(locks, null))}>Let Gambito compute it</Button>}
    </div>
  );
}

function HandEditor({ begin, keep, leave }: { begin: string; keep: (text: string) => void; leave: () => void }) {
  const units = useRoom();
  const [text, setText] = useState(begin);
  const { diagnostics, workout } = useMemo(() => parseWorkout(text, { units }), [text, units]);
  const readable = workout.parts.length > 0 && diagnostics.every(({ level }) => level !== 'error');
  const take = (): void => {
    if (readable) keep(text);
  };
  return (
    <section aria-label="By hand" className="mt-2 flex flex-col gap-2">
      <div className="h-72">
        <WorkoutEditor text={text} units={units} onChange={setText} save={take} startHere />
      </div>
      <ProblemList problems={diagnostics.filter(({ level }) => level !== 'info')} take={(problem) => setText(withFix(text, problem))} />
      <div className="flex gap-2">
        <Button look="main" disabled={!readable} onClick={take}>
          Take this text
        </Button>
        <Button onClick={leave}>Leave it as it was</Button>
      </div>
    </section>
  );
}
