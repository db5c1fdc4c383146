/** Everybody's lane on one axis: filled as time goes, a notch for every tap, a stroke where the end is expected. */
import { formatClock } from '@gambito/core';
import { tickSeconds } from '../strip/lane';
import type { LaneView } from './lanes';

const tones: Readonly<Record<LaneView['state'], string>> = {
  away: 'bg-line',
  silent: 'bg-line',
  working: 'bg-ink',
  done: 'bg-good',
};
const words: Readonly<Record<LaneView['state'], string>> = { away: 'not on the clock yet', silent: 'not heard of for a while', working: '', done: 'done' };

interface Props {
  readonly lanes: readonly LaneView[];
  /** s */
  readonly axis: number;
  readonly large?: boolean;
  /** what stands behind a lane */
  readonly aside?: (lane: LaneView) => React.ReactNode;
}

export function ClassLanes({ lanes, axis, large = false, aside }: Props) {
  return (
    <div>
      {!large && <Axis axis={axis} />}
      <ul aria-label="The class" className={large && lanes.length > 5 ? 'gap-x-8 lg:columns-2' : ''}>
        {lanes.map((lane) => (
          <li
            key={lane.athleteId}
            className={`grid items-center gap-x-3 break-inside-avoid border-b border-line ${large ? 'grid-cols-[8rem_1fr_5rem] py-1.5 text-xl' : 'grid-cols-[9rem_1fr_8rem] py-1 text-sm'}`}
          >
            <span className="truncate font-medium">{lane.name}</span>
            <Bar lane={lane} axis={axis} large={large} />
            <span className="text-right">{aside?.(lane) ?? lane.logged ?? lane.score}</span>
          </li>
        ))}
      </ul>
    </div>
  );
}

function Axis({ axis }: { axis: number }) {
  const step = tickSeconds(axis);
  const ticks = Array.from({ length: Math.floor(axis / step) + 1 }, (_, at) => at * step);
  return (
    <div className="grid grid-cols-[9rem_1fr_8rem] gap-x-3 text-xs text-soft" aria-hidden>
      <span />
      <span className="relative h-4">
        {ticks.map((tick) => (
          <span key={tick} className="absolute -translate-x-1/2" style={{ left: `${(100 * tick) / axis}%` }}>
            {formatClock(tick)}
          </span>
        ))}
      </span>
      <span />
    </div>
  );
}

function Bar({ lane, axis, large }: { lane: LaneView; axis: number; large: boolean }) {
  const share = (seconds: number): string => `${Math.min(100, (100 * seconds) / axis)}%`;
  return (
    <span className="block min-w-0">
      <span className={`relative block overflow-hidden rounded bg-wash ${large ? 'h-6' : 'h-4'}`}>
        <span
          className={`absolute inset-y-0 rounded ${tones[lane.state]} ${lane.state === 'working' ? 'opacity-80' : ''}`}
          style={{ left: share(lane.later), width: share(Math.max(0, lane.filled - lane.later)) }}
        />
        {lane.marks.map((mark, index) => (
          <span key={index} className="absolute inset-y-0 w-0.5 bg-amber" style={{ left: share(mark) }} />
        ))}
        {lane.expected !== null && (
          <span className="absolute inset-y-0 w-0.5 border-l-2 border-dashed border-soft" style={{ left: share(lane.expected) }} title="expected end" />
        )}
      </span>
      <span className={`block truncate text-soft ${large ? 'text-base' : 'text-xs'}`}>
        {lane.state === 'working' ? lane.doing : words[lane.state] || lane.doing}
      </span>
    </span>
  );
}
