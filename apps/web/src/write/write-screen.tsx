/** Write: text on the left, read as it is typed; the strip, totals and inferred stimulus on the right. */
import { formatClock, formatWindow, formatWorkout, parseWorkout, slotsOfPart, wordsOf, type Category, type Part } from '@gambito/core';
import { useQueryClient } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { useParams } from 'react-router';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { useWorkout, workoutLists } from '../api/queries';
import type { StoredWorkout } from '../api/types';
import { laneOf } from '../strip/lane';
import { StripAxis, StripLane } from '../strip/strip';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Glyph } from '../ui/glyph';
import { showScore } from '../ui/scores';
import { Failed, Loading } from '../ui/states';
import { kindsOf } from '../workers/kinds';
import { useAutosave, type SaveState } from './use-autosave';
import { useLive } from './use-live';
import { useReference } from './use-reference';
import { PartPacing } from './part-pacing';
import { isUntouched } from './untouched';
import { WorkoutEditor } from './workout-editor';
import { useRoom } from '../api/room';

export function WriteScreen() {
  const id = Number(useParams()['id']);
  const { data: workout, error } = useWorkout(id);
  if (error) return <Failed error={error} />;
  return workout ? <Write key={workout.id} workout={workout} /> : <Loading />;
}

function Write({ workout }: { workout: StoredWorkout }) {
  const { text, change, state, save, takeTheirs, keepMine } = useAutosave(workout);
  const [category, setCategory] = useState<Category>('men');
  const client = useQueryClient();
  const units = useRoom();
  const parsed = useMemo(() => parseWorkout(text, { units }), [text, units]);
  const live = useLive(text, category);
  const { data: reference } = useReference(text, category);
  const setDay = async (day: string | null): Promise<void> => {
    try {
      await save();
      const current = client.getQueryData<StoredWorkout>(['workouts', workout.id]) ?? workout;
      client.setQueryData(
        ['workouts', workout.id],
        await api<StoredWorkout>(`/workouts/${workout.id}`, { method: 'PUT', body: { day, revision: current.revision } }),
      );
      await client.invalidateQueries({ queryKey: workoutLists });
    } catch (failure) {
      toast.error(messageOf(failure));
    }
  };
  const kinds = kindsOf(parsed.workout);
  const serious = parsed.diagnostics.filter((each) => each.level !== 'info');
  return (
    <div className="grid flex-1 gap-5 px-5 py-3 lg:grid-cols-[minmax(340px,5fr)_7fr]">
      <section aria-label="Text" className="flex min-h-0 flex-col gap-2">
        <div className="flex flex-wrap items-center gap-2">
          <input type="date" aria-label="Day" className={inputLook} value={workout.day ?? ''} onChange={(event) => void setDay(event.target.value || null)} />
          <Button
            look="bare"
            onClick={() => change(formatWorkout(parsed.workout))}
            disabled={parsed.diagnostics.some((each) => each.level === 'error')}
            title="Rewrite the text in its usual form; undo with Ctrl Z"
          >
            Tidy up
          </Button>
          <SaveNote state={state} retry={() => void save()} />
        </div>
        {state.kind === 'conflict' && (
          <div role="alert" className="border-l-4 border-amber bg-wash p-3 text-sm">
            <p>This workout was changed in another window. Yours is kept here.</p>
            <pre className="my-2 max-h-32 overflow-auto whitespace-pre-wrap bg-sheet p-2">{state.theirs.text}</pre>
            <div className="flex gap-2">
              <Button onClick={() => keepMine(state.theirs)}>Keep mine</Button>
              <Button onClick={() => takeTheirs(state.theirs)}>Take that one</Button>
            </div>
          </div>
        )}
        <div className="min-h-72 flex-1">
          <WorkoutEditor key={units} text={text} units={units} onChange={change} startHere={isUntouched(workout)} />
        </div>
        <p className="text-sm text-soft">A figure is a dial: hold Alt and drag it, or Alt with ↑ and ↓. F8 goes to the next remark, Alt Enter takes its fix.</p>
        {serious.length > 0 && (
          <ul className="max-h-36 overflow-auto text-sm" aria-label="Problems">
            {serious.map((each, index) => (
              <li key={index} className={`border-l-4 py-0.5 pl-2 ${each.level === 'error' ? 'border-bad' : 'border-amber'}`}>
                <b>Line {each.line}:</b> {each.message}
                {each.suggestion && <span className="text-soft"> Try “{each.suggestion}”.</span>}
              </li>
            ))}
          </ul>
        )}
      </section>
      <section aria-label="What it says" className="flex min-w-0 flex-col gap-4">
        <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
          <p className="text-lg">
            <span className="font-serif text-2xl font-semibold">
              {parsed.summary.clockSeconds === null ? 'open end' : formatClock(parsed.summary.clockSeconds)}
            </span>{' '}
            <span className="text-soft">on the clock</span>
          </p>
          {reference && (
            <p>
              reference athlete: <b>{showScore(reference.predicted.median, reference.predicted.unit)}</b>{' '}
              <span className="text-soft">
                ({showScore(reference.predicted.low, reference.predicted.unit)} to {showScore(reference.predicted.high, reference.predicted.unit)})
              </span>
            </p>
          )}
          <div role="group" aria-label="Column" className="ml-auto flex overflow-hidden rounded-md border border-line text-sm">
            {(['men', 'women'] as const).map((each) => (
              <button
                key={each}
                type="button"
                aria-pressed={category === each}
                onClick={() => setCategory(each)}
                className={`px-2.5 py-1 ${category === each ? 'bg-ink text-paper' : 'bg-sheet'}`}
              >
                {each}
              </button>
            ))}
          </div>
        </div>
        {parsed.workout.parts.length === 0 ? (
          <p className="text-soft">Write a header such as “AMRAP 12:00” and its movements below it. The strip draws itself.</p>
        ) : (
          <div>
            {live && (
              <>
                <StripLane
                  lane={laneOf(live.workout, live.run, () => false)}
                  total={Math.max(30, live.run.totalSeconds)}
                  height={54}
                  title={`${parsed.workout.title ?? 'The workout'} as the reference athlete does it, ${formatClock(live.run.totalSeconds)}`}
                />
                <StripAxis total={Math.max(30, live.run.totalSeconds)} />
              </>
            )}
          </div>
        )}
        {reference?.warnings.map((each) => (
          <p key={each.message} className="border-l-4 border-amber pl-2 text-sm">
            {each.message}
          </p>
        ))}
        <div className="grid gap-x-8 gap-y-5 xl:grid-cols-2">
          {parsed.summary.parts.map((part, index) => {
            const told = live && kindsOf(live.workout) === kinds ? live.stimulus.find((each) => each.part === index) : undefined;
            if (part.kind === 'rest') return null;
            return (
              <article key={index} className="border-t border-line pt-2">
                <h2 className="text-base">
                  Part {index + 1}: {kindWords[part.kind]}
                  {part.seconds !== null ? ` ${formatClock(part.seconds)}` : part.capSeconds !== null ? `, cap ${formatClock(part.capSeconds)}` : ''}
                </h2>
                <p className="text-sm text-soft">
                  Score: {scoreWords[part.score]}
                  {part.window && <span className="ml-2 rounded bg-amber-wash px-1.5 text-amber-ink">window {formatWindow(part.window)}</span>}
                  {told?.outsideWindow && <span className="ml-2 text-bad">the reference athlete misses it</span>}
                </p>
                <p className="mt-1 text-sm">
                  {part.kind === 'amrap' ? 'One round: ' : 'In all: '}
                  {Object.entries(part.reps)
                    .map(([movement, count]) => `${count}${unitOf(parsed.workout.parts[index]!, movement)} ${wordsOf(movement)}`)
                    .join(', ') || 'as many as possible'}{' '}
                </p>
                {told && (
                  <>
                    <dl className="mt-2 grid grid-cols-[max-content_1fr] gap-x-3 text-sm">
                      {told.lines.map((line) => (
                        <div key={line.label} className="contents">
                          <dt className="text-soft">{line.label}</dt>
                          <dd>{line.value}</dd>
                        </div>
                      ))}
                    </dl>
                    <ul className="mt-2 flex flex-col gap-0.5" aria-label="Work by pattern">
                      {told.patterns.slice(0, 5).map(({ pattern, share }) => (
                        <li key={pattern} className="grid grid-cols-[150px_1fr_44px] items-center gap-2 text-sm">
                          <Glyph pattern={pattern} label />
                          <span className="h-1.5 rounded bg-wash">
                            <span className="block h-full rounded bg-block" style={{ width: `${share * 100}%` }} />
                          </span>
                          <span className="text-right">{Math.round(share * 100)} %</span>
                        </li>
                      ))}
                    </ul>
                  </>
                )}
                {reference?.kinds === kinds && <PartPacing pacing={reference.pacing} part={index} />}
              </article>
            );
          })}
        </div>
      </section>
    </div>
  );
}

/** ` m` and the like beside a count that is not of reps. */
function unitOf(part: Part, movement: string): string {
  const unit = slotsOfPart(part).find((slot) => slot.movement === movement)?.unit ?? 'reps';
  return unit === 'reps' ? '' : ` ${unit}`;
}

const kindWords: Readonly<Record<string, string>> = {
  amrap: 'AMRAP',
  forTime: 'for time',
  every: 'every interval',
  intervals: 'intervals',
  windows: 'windows',
  maxLoad: 'max load',
  strength: 'strength',
  rest: 'rest',
  quality: 'for quality',
};
const scoreWords: Readonly<Record<string, string>> = {
  time: 'time',
  rounds: 'rounds + reps',
  reps: 'reps',
  load: 'load',
  distance: 'distance',
  calories: 'calories',
  eachSet: 'each set',
  sum: 'sum of the sets',
  done: 'done or not',
};

function SaveNote({ state, retry }: { state: SaveState; retry: () => void }) {
  switch (state.kind) {
    case 'saved':
      return <span className="text-sm text-soft">Saved</span>;
    case 'saving':
    case 'waiting':
      return <span className="text-sm text-soft">Saving …</span>;
    case 'conflict':
      return <span className="text-sm text-amber-ink">Not saved yet</span>;
    case 'failed':
      return (
        <span role="alert" className="flex items-center gap-2 text-sm text-bad">
          {state.message} <Button onClick={retry}>Try again</Button>
        </span>
      );
  }
}
