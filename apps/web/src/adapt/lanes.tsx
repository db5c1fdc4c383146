/** The original on top, one lane a version on the same time axis. Arrows walk them, Enter goes into the version, Escape comes back and closes. */
import type { KeyboardEvent } from 'react';
import { laneOf } from '../strip/lane';
import { StripAxis, StripLane } from '../strip/strip';
import { showScore } from '../ui/scores';
import { LaneLine, laneGrid } from './lane-line';
import { alikeHeadings } from './lane-order';
import { laneId, type Adapting } from './use-adapt';
import { enterPanel } from './version-panel';

export function Lanes({ adapting }: { adapting: Adapting }) {
  const { shown, selected, choose, total, order } = adapting;
  const headings = order === 'alike' ? alikeHeadings(shown) : null;
  const onKeyDown = (event: KeyboardEvent, index: number): void => {
    const next = event.key === 'ArrowDown' ? shown[index + 1] : event.key === 'ArrowUp' ? shown[index - 1] : undefined;
    if (event.key === 'Escape') choose(null);
    if (event.key === 'Enter') {
      event.preventDefault();
      choose(shown[index]!);
      enterPanel();
    }
    if (!next) return;
    event.preventDefault();
    choose(next);
    document.getElementById(laneId(next))?.focus();
  };
  return (
    <div className="min-w-0">
      <AsWritten adapting={adapting} />
      {shown.length === 0 && <p className="py-3 text-sm text-soft">Nobody is like that.</p>}
      <ul aria-label="Versions">
        {shown.map((version, index) => (
          <li key={version.key}>
            {headings?.has(version.key) && <p className="pt-2 text-xs font-medium text-soft">{headings.get(version.key)}</p>}
            <LaneLine
              version={version}
              total={total}
              open={selected?.key === version.key}
              begins={version.athleteId === null && shown[index - 1]?.athleteId !== null}
              toggle={() => choose(selected?.key === version.key ? null : version)}
              onKeyDown={(event) => onKeyDown(event, index)}
            />
          </li>
        ))}
      </ul>
    </div>
  );
}

function AsWritten({ adapting: { original, reference, par, total } }: { adapting: Adapting }) {
  return (
    <div className={`${laneGrid} border-b-2 border-ink`}>
      <div>
        <p className="font-serif font-semibold">{original.title ?? 'As written'}</p>
        <p className="text-xs text-soft">as written, reference</p>
      </div>
      <div>
        {reference ? (
          <StripLane lane={laneOf(reference.workout, reference.run, () => false)} total={total} height={24} title="The workout as written" />
        ) : (
          <div className="h-6" />
        )}
        <StripAxis total={total} />
      </div>
      <span className="text-right text-sm">{par ? showScore(par.predicted.median, par.predicted.unit) : ''}</span>
    </div>
  );
}
