/** One part as it is read: its clock, its score, what it asks in all, and what it is made of. */
import clsx from 'clsx';
import { formatClock, formatWindow, plainName, slotsOfPart, wordsOf, type Pacing, type Part, type PartDescription, type PartSummary } from '@gambito/core';
import { Glyph } from '../ui/glyph';
import { IntentCard } from './intent-card';
import { PartPacing } from './part-pacing';
import { PlainReading } from './plain-reading';
import type { Writing } from './use-write';

const kindWords: Readonly<Record<PartSummary['kind'], string>> = {
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
const scoreWords: Readonly<Record<PartSummary['score'], string>> = {
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
const shownPatterns = 5;

/** ` m` and the like beside a count that is not of reps. */
function unitOf(part: Part, movement: string): string {
  const unit = slotsOfPart(part).find((slot) => slot.movement === movement)?.unit ?? 'reps';
  return unit === 'reps' ? '' : ` ${unit}`;
}
const clockOf = ({ seconds, capSeconds }: PartSummary): string =>
  seconds !== null ? ` ${formatClock(seconds)}` : capSeconds !== null ? `, cap ${formatClock(capSeconds)}` : '';

interface Props {
  readonly index: number;
  readonly part: Part;
  readonly summary: PartSummary;
  /** undefined until the reference athlete did it */
  readonly told: PartDescription | undefined;
  readonly pacing: Pacing | null;
  readonly writing: Writing;
  /** no other part is beside it */
  readonly lone: boolean;
}

/** The coach's own name of a movement, where the part has one for it. */
const nameIn = (part: Part, movement: string): string => {
  const slot = slotsOfPart(part).find((each) => each.movement === movement);
  return slot ? plainName(slot) : wordsOf(movement);
};

export function PartReading({ index, part, summary, told, pacing, writing, lone }: Props) {
  const { kind, score, window, reps } = summary;
  const inAll = Object.entries(reps).map(([movement, count]) => `${count}${unitOf(part, movement)} ${nameIn(part, movement)}`);
  return (
    <article className={clsx('border-t border-line pt-2', lone && 'grid grid-cols-1 gap-x-8 xl:col-span-2 xl:grid-cols-2')}>
      <div>
        <h2 className="text-base">
          Part {index + 1}: {kindWords[kind]}
          {clockOf(summary)}
        </h2>
        <p className="text-sm text-soft">
          Score: {scoreWords[score]}
          {window && <span className="ml-2 rounded bg-amber-wash px-1.5 text-amber-ink">window {formatWindow(window)}</span>}
          {told?.outsideWindow && <span className="ml-2 text-bad">the reference athlete misses it</span>}
        </p>
        <p className="mt-1 text-sm">
          {kind === 'amrap' ? 'One round: ' : 'In all: '}
          {inAll.join(', ') || 'as many as possible'}
        </p>
        <PlainReading part={part} />
        {!lone && <IntentCard index={index} part={part} writing={writing} open={false} />}
        {told && <Stimulus told={told} />}
        {pacing && <PartPacing pacing={pacing} part={index} />}
      </div>
      {lone && <IntentCard index={index} part={part} writing={writing} open />}
    </article>
  );
}

function Stimulus({ told }: { told: PartDescription }) {
  return (
    <>
      <dl className="mt-2 grid grid-cols-[max-content_1fr] gap-x-3 text-sm">
        {told.lines.map(({ label, value }) => (
          <div key={label} className="contents">
            <dt className="text-soft">{label}</dt>
            <dd>{value}</dd>
          </div>
        ))}
      </dl>
      <ul className="mt-2 flex flex-col gap-0.5" aria-label="Work by pattern">
        {told.patterns.slice(0, shownPatterns).map(({ pattern, share }) => (
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
  );
}
