/** What the text says: its clock, its strip, who of the class can do it as it stands, and its parts. */
import { formatClock, type Category } from '@gambito/core';
import type { StoredWorkout } from '../api/types';
import { laneOf } from '../strip/lane';
import { StripAxis, StripLane } from '../strip/strip';
import { showScore } from '../ui/scores';
import { CheatSheet } from './cheat-sheet';
import { ClassReading } from './class-reading';
import { ReadAs } from './read-as';
import { PartReading } from './part-reading';
import type { Reading, Writing } from './use-write';

export function ReadingColumn({ workout, writing }: { workout: StoredWorkout; writing: Writing }) {
  const { reading, text } = writing;
  const { parsed, reference, told, pacing } = reading;
  const { parts } = parsed.workout;
  if (writing.message)
    return (
      <section aria-label="What it says" className="flex min-w-0 flex-col gap-3">
        <ReadAs message={text} reading={writing.message} take={writing.change} show={writing.show} />
        <p className="text-sm text-soft">Times, the class and the stimulus are shown here when you have taken it. Nothing of a message is sent before that.</p>
      </section>
    );
  if (parts.length === 0)
    return (
      <section aria-label="What it says" className="min-w-0">
        <CheatSheet insert={writing.append} />
      </section>
    );
  return (
    <section aria-label="What it says" className="flex min-w-0 flex-col gap-4">
      <Head reading={reading} category={writing.category} choose={writing.setCategory} />
      <ReferenceLane reading={reading} />
      <ClassReading workoutId={workout.id} text={text} readable={writing.canTidy} />
      {reference?.warnings.map(({ message }) => (
        <p key={message} className="border-l-4 border-amber pl-2 text-sm">
          {message}
        </p>
      ))}
      <div className="grid gap-x-8 gap-y-5 xl:grid-cols-2">
        {parsed.summary.parts.map((summary, index) =>
          summary.kind === 'rest' ? null : (
            <PartReading
              key={index}
              index={index}
              part={parts[index]!}
              summary={summary}
              told={told.find(({ part }) => part === index)}
              pacing={pacing}
              writing={writing}
              lone={parts.length === 1}
            />
          ),
        )}
      </div>
    </section>
  );
}

function Head({ reading, category, choose }: { reading: Reading; category: Category; choose: (category: Category) => void }) {
  const { clockSeconds } = reading.parsed.summary;
  const predicted = reading.reference?.predicted;
  return (
    <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1">
      <p className="text-lg">
        <span className="font-serif text-2xl font-semibold">{clockSeconds === null ? 'no fixed length' : formatClock(clockSeconds)}</span>{' '}
        {clockSeconds !== null && <span className="text-soft">on the clock</span>}
      </p>
      {predicted && (
        <p>
          reference athlete: <b>{showScore(predicted.median, predicted.unit)}</b>{' '}
          <span className="text-soft">
            ({showScore(predicted.low, predicted.unit)} to {showScore(predicted.high, predicted.unit)})
          </span>
        </p>
      )}
      <div role="group" aria-label="Whose weights" className="ml-auto flex overflow-hidden rounded-md border border-line text-sm">
        {(['men', 'women'] as const).map((column) => (
          <button
            key={column}
            type="button"
            aria-pressed={category === column}
            onClick={() => choose(column)}
            className={`px-2.5 py-1 ${category === column ? 'bg-ink text-paper' : 'bg-sheet'}`}
          >
            {column}
          </button>
        ))}
      </div>
    </div>
  );
}

function ReferenceLane({ reading: { live, parsed } }: { reading: Reading }) {
  if (!live) return null;
  const total = Math.max(30, live.run.totalSeconds);
  const title = `${parsed.workout.title ?? 'The workout'} as the reference athlete does it, ${formatClock(live.run.totalSeconds)}`;
  return (
    <div>
      <StripLane lane={laneOf(live.workout, live.run, () => false)} total={total} height={54} title={title} />
      <StripAxis total={total} />
    </div>
  );
}
