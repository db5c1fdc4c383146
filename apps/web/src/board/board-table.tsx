/** One board: every score carried over to the workout as written, with its index and verdict, in the school of the house rule. */
import { trimNumber } from '@gambito/core';
import type { Board, BoardEntry } from '../api/types';
import { Empty } from '../ui/states';
import { showScore } from '../ui/scores';
import type { BoardGroup } from './board-groups';
import { LoggedCell, RowActions, type Correcting } from './logged-cell';

export function BoardTable({ groups, school, correcting }: { groups: readonly BoardGroup[]; school: Board['school']; correcting: Correcting }) {
  const rows = groups.flatMap((group) => group.rows);
  const best = Math.max(110, ...rows.map((row) => row.index ?? 0));
  if (rows.length === 0)
    return (
      <Empty title="No scores yet">
        <p className="text-soft">They come in from the athletes’ pages, or enter them on the right.</p>
      </Empty>
    );
  return (
    <table className="w-full border-collapse">
      <caption className="mb-1 text-left text-sm text-soft">{schoolWords[school]}</caption>
      <BoardHead compared={school !== 'turnedUp'} />
      {groups.map((group) => (
        <tbody key={group.name ?? 'all'}>
          {group.name !== null && (
            <tr>
              <th colSpan={7} scope="rowgroup" className="pb-1 pt-4 text-left font-serif font-semibold">
                {group.name}
              </th>
            </tr>
          )}
          {group.rows.map((row) => (
            <BoardLine key={row.scoreId} row={row} best={best} school={school} correcting={correcting} />
          ))}
        </tbody>
      ))}
    </table>
  );
}

const schoolWords: Readonly<Record<Board['school'], string>> = {
  adjusted: 'House rule: adjusted to the workout as written',
  perVersion: 'House rule: one board a version',
  window: 'House rule: inside the window or not',
  turnedUp: 'House rule: turned up or not, no scores compared',
};

function BoardHead({ compared }: { compared: boolean }) {
  return (
    <thead>
      <tr className="border-b-2 border-ink text-left text-sm">
        <th className="py-1 pr-2 font-medium">#</th>
        <th className="py-1 pr-3 font-medium">Athlete</th>
        <th className="py-1 pr-3 font-medium">Score in own version</th>
        {compared && <th className="py-1 pr-3 font-medium">As written</th>}
        {compared && <th className="w-32 py-1 pr-3 font-medium">Index (100 = par)</th>}
        <th className="py-1 pr-3 font-medium">Verdict</th>
        <th>
          <span className="sr-only">Actions</span>
        </th>
      </tr>
    </thead>
  );
}

interface LineProps {
  readonly row: BoardEntry;
  readonly best: number;
  readonly school: Board['school'];
  readonly correcting: Correcting;
}
function BoardLine({ row, best, school, correcting }: LineProps) {
  return (
    <tr className="border-b border-line">
      <td className="py-1.5 pr-2 text-soft">{(school === 'adjusted' || school === 'perVersion') && row.index !== null ? row.rank : ''}</td>
      <td className="py-1.5 pr-3 font-medium">{row.athlete}</td>
      <LoggedCell logged={row} shown={row.score} correcting={correcting} />
      {school !== 'turnedUp' && <EquivalentCell row={row} />}
      {school !== 'turnedUp' && <IndexCell index={row.index} best={best} />}
      <VerdictCell row={row} />
      <RowActions logged={row} correcting={correcting} />
    </tr>
  );
}

function EquivalentCell({ row: { equivalent, unfair } }: { row: BoardEntry }) {
  return (
    <td className="whitespace-nowrap py-1.5 pr-3">
      {equivalent ? (
        <>
          {showScore(equivalent.median, equivalent.unit)}
          <span className="ml-1.5 text-xs text-soft">
            {showScore(equivalent.low, equivalent.unit)} to {showScore(equivalent.high, equivalent.unit)}
          </span>
        </>
      ) : (
        <Unfair reason={unfair} />
      )}
    </td>
  );
}

/** No figure where there is no fair comparison; the reason behind a click. */
function Unfair({ reason }: { reason: string | null }) {
  if (reason === null) return '–';
  return (
    <details className="max-w-48 whitespace-normal">
      <summary className="cursor-pointer text-sm text-soft">no fair comparison</summary>
      <span className="text-xs text-soft">{reason.replace(/^no fair comparison: /, '')}</span>
    </details>
  );
}

function IndexCell({ index, best }: { index: number | null; best: number }) {
  return (
    <td className="py-1.5 pr-3">
      {index !== null && (
        <span className="flex items-center gap-2">
          <span className="relative h-3 flex-1 bg-wash">
            <span className="absolute inset-y-0 left-0 bg-block" style={{ width: `${Math.min(100, (100 * index) / best)}%` }} />
            <span className="absolute inset-y-[-2px] w-0.5 bg-ink" style={{ left: `${10000 / best}%` }} />
          </span>
          <span className="w-9 text-right text-sm">{trimNumber(index, 0)}</span>
        </span>
      )}
    </td>
  );
}

function VerdictCell({ row }: { row: BoardEntry }) {
  return (
    <td className="py-1.5 pr-3 text-sm">
      {row.inWindow === true && <span className="rounded bg-amber-wash px-1.5 text-amber-ink">in the window</span>}
      {row.inWindow !== true && row.verdict}
      {row.elasticity !== null && row.elasticity < 0.4 && <span className="ml-1.5 text-xs text-soft">tells little</span>}
      {row.evidence && (
        <details className="inline-block align-top">
          <summary className="ml-1.5 cursor-pointer text-xs text-soft">learned</summary>
          <span className="block text-xs text-soft">{row.evidence}</span>
        </details>
      )}
    </td>
  );
}
