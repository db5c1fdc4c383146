/** The class as a table: the same versions, densely, in the same order and choice as the lanes. */
import { changeOf, changeWords, formatClock, loadsInWords, type Adapted } from '@gambito/core';
import clsx from 'clsx';
import { useRoom } from '../api/room';
import { MarkSign } from '../ui/mark';
import { showScore } from '../ui/scores';
import { worstMark } from './lane-order';
import { laneId, type Adapting } from './use-adapt';
import { enterPanel } from './version-panel';
import type { Version } from './use-versions';

const headings = ['Who', 'Version', 'Loads', 'Score', 'Minutes', 'Mind'] as const;

export function VersionTable({ adapting: { shown, selected, choose } }: { adapting: Adapting }) {
  return (
    <div className="min-w-0 overflow-x-auto">
      <table className="w-full border-collapse text-sm">
        <thead>
          <tr className="border-b-2 border-ink text-left">
            {headings.map((heading) => (
              <th key={heading} className="py-1 pr-3 font-medium">
                {heading}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((version) => (
            <Row
              key={version.key}
              version={version}
              open={selected?.key === version.key}
              choose={() => {
                choose(selected?.key === version.key ? null : version);
                if (selected?.key !== version.key) enterPanel();
              }}
            />
          ))}
        </tbody>
      </table>
    </div>
  );
}

function Row({ version, open, choose }: { version: Version; open: boolean; choose: () => void }) {
  const { name, adapted, error } = version;
  return (
    <tr className={clsx('border-b border-line align-top hover:bg-wash', open && 'bg-wash', version.athleteId === null && 'text-soft')}>
      <td className="py-1 pr-3 whitespace-nowrap">
        <button type="button" id={laneId(version)} aria-expanded={open} className="min-h-6 font-medium hover:underline" onClick={choose}>
          {name}
        </button>
      </td>
      {adapted ? (
        <Cells adapted={adapted} />
      ) : (
        <td colSpan={5} className="py-1 text-soft">
          {error ? 'could not be computed' : '…'}
        </td>
      )}
    </tr>
  );
}

function Cells({ adapted }: { adapted: Adapted }) {
  const { version, predicted, run, insideBand, warnings } = adapted;
  const change = changeOf(version.parts);
  const edits = version.parts.flatMap((part) => part.edits.map(({ text }) => text));
  const mark = worstMark(adapted);
  return (
    <>
      <td className="py-1 pr-3">{change === 'asWritten' ? <span className="text-soft">{changeWords.asWritten}</span> : edits.join(' · ')}</td>
      <td className="py-1 pr-3 whitespace-nowrap">{loadsInWords(version.parts, useRoom())}</td>
      <td className={clsx('py-1 pr-3 whitespace-nowrap tabular-nums', insideBand === false && 'text-bad')}>{showScore(predicted.median, predicted.unit)}</td>
      <td className="py-1 pr-3 tabular-nums">{formatClock(run.totalSeconds)}</td>
      <td className="py-1 pr-1">
        {mark && <MarkSign mark={mark} words={false} />}{' '}
        {warnings.length > 0 && <span title={warnings.map(({ message }) => message).join('\n')}>{warnings.length}</span>}
      </td>
    </>
  );
}
