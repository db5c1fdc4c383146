/** The day's board: several scores in one workout, ranked over their boards. */
import { trimNumber } from '@gambito/core';
import type { Board, DayEntry } from '../api/types';
import { LoggedCell, RowActions, type Correcting } from './logged-cell';

const ruleWords: Readonly<Record<Board['dayRule'], { said: string; points: string }>> = {
  places: { said: 'House rule: places added up, fewest first; a part not logged counts one place behind its last', points: 'Places' },
  index: { said: 'House rule: mean index, highest first', points: 'Mean index' },
  lead: { said: 'House rule: the first part decides', points: 'Place in it' },
};

export function DayTable({
  rows,
  boards,
  rule,
  correcting,
}: {
  rows: readonly DayEntry[];
  boards: Board['boards'];
  rule: Board['dayRule'];
  correcting: Correcting;
}) {
  const { said, points } = ruleWords[rule];
  return (
    <table className="w-full border-collapse">
      <caption className="mb-1 text-left text-sm text-soft">{said}</caption>
      <thead>
        <tr className="border-b-2 border-ink text-left align-bottom text-sm">
          <th className="py-1 pr-2 font-medium">#</th>
          <th className="py-1 pr-3 font-medium">Athlete</th>
          <th className="py-1 pr-3 font-medium">Scores</th>
          {boards.map((board) => (
            <th key={board.label} className="py-1 pr-3 font-medium">
              {board.label}
            </th>
          ))}
          <th className="py-1 pr-3 font-medium">{points}</th>
          <th>
            <span className="sr-only">Actions</span>
          </th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <DayLine key={row.scoreId} row={row} correcting={correcting} />
        ))}
      </tbody>
    </table>
  );
}

function DayLine({ row, correcting }: { row: DayEntry; correcting: Correcting }) {
  return (
    <tr className="border-b border-line">
      <td className="py-1.5 pr-2 text-soft">{row.rank}</td>
      <td className="py-1.5 pr-3 font-medium">{row.athlete}</td>
      <LoggedCell logged={row} shown={row.entry} correcting={correcting} />
      {row.places.map((place, at) => (
        <td key={at} className="py-1.5 pr-3">
          {place ?? '–'}
        </td>
      ))}
      <td className="py-1.5 pr-3">{row.points === null ? '–' : trimNumber(row.points, 1)}</td>
      <RowActions logged={row} correcting={correcting} />
    </tr>
  );
}
