/** One version as a lane on the common axis: who, the strip, what it comes to. */
import { changeOf, loadsInWords, type Adapted } from '@gambito/core';
import { memo, type KeyboardEvent } from 'react';
import { useRoom } from '../api/room';
import { laneOf } from '../strip/lane';
import { StripLane } from '../strip/strip';
import { showScore } from '../ui/scores';
import { Outcome } from './outcome';
import { laneId } from './use-adapt';
import type { Version } from './use-versions';

/** the strip takes a line of its own where there is no room beside the name */
export const laneGrid =
  'grid grid-cols-[minmax(0,1fr)_minmax(0,11rem)] items-center gap-x-3 md:grid-cols-[132px_minmax(0,1fr)_200px] [&>:nth-child(2)]:order-3 [&>:nth-child(2)]:col-span-2 md:[&>:nth-child(2)]:order-none md:[&>:nth-child(2)]:col-span-1';

interface Props {
  readonly version: Version;
  readonly total: number;
  readonly open: boolean;
  /** the first tier below the people */
  readonly begins: boolean;
  readonly toggle: () => void;
  readonly onKeyDown: (event: KeyboardEvent) => void;
}

export function LaneLine({ version, total, open, begins, toggle, onKeyDown }: Props) {
  const { name, sub, locks, refreshing, adapted } = version;
  return (
    <button
      type="button"
      id={laneId(version)}
      onClick={toggle}
      onKeyDown={onKeyDown}
      aria-expanded={open}
      aria-busy={refreshing}
      className={`${laneGrid} w-full border-b border-line py-px text-left hover:bg-wash ${open ? 'bg-wash' : ''} ${refreshing ? 'opacity-60' : ''} ${begins ? 'border-t-2 border-t-ink' : ''}`}
    >
      <span className="min-w-0 leading-tight">
        <span className="block truncate text-sm font-medium" title={name}>
          {name}
        </span>
        <span className="block truncate text-xs text-soft">
          {sub}
          {locks.length > 0 && ' · locked'}
        </span>
      </span>
      <Lane adapted={adapted} error={version.error} name={name} total={total} />
      <Outcome adapted={adapted} />
    </button>
  );
}

interface LaneProps extends Pick<Version, 'adapted' | 'error' | 'name'> {
  readonly total: number;
}
/** Drawn anew only for another version or axis: a class has thousands of blocks, and its versions come one by one. */
const Lane = memo(function Lane({ adapted, error, name, total }: LaneProps) {
  if (error) return <span className="text-sm text-bad">{error instanceof Error && error.message ? error.message : 'This version could not be computed.'}</span>;
  if (!adapted) return <span className="h-6 animate-pulse rounded bg-wash" />;
  const { workout, run, version, predicted } = adapted;
  const single = predicted.unit === 'seconds' && workout.parts.length === 1 && predicted.perPart.length === 1;
  return (
    <span className="block min-w-0">
      <StripLane
        lane={laneOf(workout, run, (part, slot) => version.parts[part]?.slots[slot]?.swapped ?? false)}
        total={total}
        height={19}
        title={`${name}: ${showScore(predicted.median, predicted.unit)}`}
        finish={single ? predicted : null}
      />
      <LaneWords adapted={adapted} />
    </span>
  );
});

/** One glance: as written with what is in the hands, or what was changed. */
function LaneWords({ adapted: { version, warnings } }: { adapted: Adapted }) {
  const unchecked = warnings.some(({ code }) => code === 'not_checked') && <b className="font-medium text-amber-ink"> · not checked</b>;
  const loads = loadsInWords(version.parts, useRoom());
  if (changeOf(version.parts) === 'asWritten')
    return (
      <span className="block truncate text-xs leading-tight text-soft">
        as written{loads && ','} <span className="text-ink">{loads}</span>
        {unchecked}
      </span>
    );
  const edits = version.parts.flatMap((part) => part.edits.map(({ text }) => text));
  return (
    <span className="block truncate text-xs leading-tight">
      {edits.join(' · ')}
      {unchecked}
    </span>
  );
}
