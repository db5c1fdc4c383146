/** Score and compare: every score carried over to the workout as written, who is missing, and entering or mending a score. */
import { trimNumber } from '@gambito/core';
import { Pencil, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useBoard, useDelete, useWorkout } from '../api/queries';
import { byVersion } from './by-version';
import { ScoreEntry } from './score-entry';
import type { Board, BoardEntry } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { showScore } from '../ui/scores';
import { Empty, Failed, Loading } from '../ui/states';

export function BoardScreen() {
  const id = Number(useParams()['id']);
  const { data, error, refetch } = useBoard(id);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="Weighing the scores" />;
  return <BoardView workoutId={id} data={data} />;
}

function BoardView({ workoutId, data }: { workoutId: number; data: Board }) {
  const [editing, setEditing] = useState<number | null>(null);
  const remove = useDelete(`/workouts/${workoutId}/scores`, 'Score', ['workouts', workoutId, 'board']);
  const { data: workout } = useWorkout(workoutId);
  const best = Math.max(110, ...data.board.map((each) => each.index ?? 0));
  const inside = data.board.filter((each) => each.inWindow === true).length;
  const judged = data.board.filter((each) => each.inWindow !== null).length;
  const rows =
    data.school === 'turnedUp'
      ? [...data.board].sort((a, b) => (a.athlete < b.athlete ? -1 : 1))
      : data.school === 'window'
        ? [...data.board].sort((a, b) => Number(b.inWindow) - Number(a.inWindow) || a.rank - b.rank)
        : data.board;
  const groups = data.school === 'perVersion' && workout ? byVersion(workout.text, rows) : [{ name: null, rows }];
  return (
    <Page
      wide
      title="Board"
      aside={
        <span className="text-sm text-soft">
          {data.board.length} logged, {data.missing.length} missing{judged > 0 && `, ${inside} of ${judged} inside the window`}
        </span>
      }
    >
      <div className="grid gap-8 lg:grid-cols-[1fr_320px]">
        <div className="overflow-x-auto">
          {rows.length === 0 ? (
            <Empty title="No scores yet">
              <p className="text-soft">They come in from the athletes’ pages, or enter them on the right.</p>
            </Empty>
          ) : (
            <table className="w-full border-collapse">
              <caption className="mb-1 text-left text-sm text-soft">{schoolWords[data.school]}</caption>
              <thead>
                <tr className="border-b-2 border-ink text-left text-sm">
                  <th className="py-1 pr-2 font-medium">#</th>
                  <th className="py-1 pr-3 font-medium">Athlete</th>
                  <th className="py-1 pr-3 font-medium">Score in own version</th>
                  {data.school !== 'turnedUp' && <th className="py-1 pr-3 font-medium">As written</th>}
                  {data.school !== 'turnedUp' && <th className="w-32 py-1 pr-3 font-medium">Index (100 = par)</th>}
                  <th className="py-1 pr-3 font-medium">Verdict</th>
                  <th>
                    <span className="sr-only">Actions</span>
                  </th>
                </tr>
              </thead>
              {groups.map((group) => (
                <tbody key={group.name ?? 'all'}>
                  {group.name !== null && (
                    <tr>
                      <th colSpan={7} scope="rowgroup" className="pb-1 pt-4 text-left font-serif font-semibold">
                        {group.name}
                      </th>
                    </tr>
                  )}
                  {group.rows.map((row, index) => (
                    <Row
                      key={row.scoreId}
                      row={group.name === null ? row : { ...row, rank: index + 1 }}
                      best={best}
                      school={data.school}
                      editing={editing === row.scoreId}
                      edit={(on) => setEditing(on ? row.scoreId : null)}
                      remove={() => remove.mutate(row.scoreId)}
                      workoutId={workoutId}
                    />
                  ))}
                </tbody>
              ))}
            </table>
          )}
          <p className="mt-3 text-xs text-soft">
            “As written” is the score this athlete would have had in the workout as written; the range says how sure that is. A version whose score hardly moves
            with fitness tells little: its range is wide.
            {data.fields.length > 1 && ` Compared by ${data.fields[0]!.label}; the other parts stand beside it.`}
          </p>
        </div>
        <aside>
          <h2 className="text-base">Not logged yet</h2>
          {data.missing.length === 0 && <p className="text-sm text-soft">Everybody is in.</p>}
          <ul className="mt-1 divide-y divide-line border-y border-line">
            {data.missing.map((each) => (
              <li key={each.athleteId} className="py-1.5">
                <p className="flex justify-between text-sm">
                  <span className="font-medium">{each.name}</span>
                  <span className="text-soft">{each.sent ? 'sent' : 'not sent'}</span>
                </p>
                <ScoreEntry of={{ workoutId, ...each }} />
              </li>
            ))}
          </ul>
        </aside>
      </div>
    </Page>
  );
}

const schoolWords: Readonly<Record<Board['school'], string>> = {
  adjusted: 'House rule: adjusted to the workout as written',
  perVersion: 'House rule: one board a version',
  window: 'House rule: inside the window or not',
  turnedUp: 'House rule: turned up or not, no scores compared',
};

function Row({
  row,
  best,
  school,
  editing,
  edit,
  remove,
  workoutId,
}: {
  row: BoardEntry;
  best: number;
  school: Board['school'];
  editing: boolean;
  edit: (on: boolean) => void;
  remove: () => void;
  workoutId: number;
}) {
  return (
    <tr className="border-b border-line">
      <td className="py-1.5 pr-2 text-soft">{school === 'adjusted' || school === 'perVersion' ? row.rank : ''}</td>
      <td className="py-1.5 pr-3 font-medium">{row.athlete}</td>
      <td className="py-1.5 pr-3">
        {editing ? (
          <ScoreEntry
            of={{ workoutId, athleteId: row.athleteId, name: row.athlete, versionText: row.versionText, category: row.category }}
            start={row.score}
            note={row.note}
            done={() => edit(false)}
          />
        ) : (
          <span title={row.versionText}>{row.score}</span>
        )}
        {row.note && <span className="block text-xs text-soft">{row.note}</span>}
      </td>
      {school !== 'turnedUp' && (
        <td className="whitespace-nowrap py-1.5 pr-3">
          {row.equivalent ? (
            <>
              {showScore(row.equivalent.median, row.equivalent.unit)}
              <span className="ml-1.5 text-xs text-soft">
                {showScore(row.equivalent.low, row.equivalent.unit)} to {showScore(row.equivalent.high, row.equivalent.unit)}
              </span>
            </>
          ) : (
            '–'
          )}
        </td>
      )}
      {school !== 'turnedUp' && (
        <td className="py-1.5 pr-3">
          {row.index !== null && (
            <span className="flex items-center gap-2">
              <span className="relative h-3 flex-1 bg-wash">
                <span className="absolute inset-y-0 left-0 bg-block" style={{ width: `${Math.min(100, (100 * row.index) / best)}%` }} />
                <span className="absolute inset-y-[-2px] w-0.5 bg-ink" style={{ left: `${10000 / best}%` }} />
              </span>
              <span className="w-9 text-right text-sm">{trimNumber(row.index, 0)}</span>
            </span>
          )}
        </td>
      )}
      <td className="py-1.5 pr-3 text-sm">
        {row.inWindow === true && <span className="rounded bg-amber-wash px-1.5 text-amber-ink">in the window</span>}
        {row.inWindow !== true && row.verdict}
        {row.elasticity !== null && row.elasticity < 0.4 && <span className="ml-1.5 text-xs text-soft">tells little</span>}
        {row.evidence && <span className="block text-xs text-soft">{row.evidence}</span>}
      </td>
      <td className="whitespace-nowrap text-right">
        <Button look="bare" onClick={() => edit(!editing)} aria-label={`Correct the score of ${row.athlete}`}>
          <Pencil size={15} />
        </Button>
        <Button look="bare" onClick={remove} aria-label={`Delete the score of ${row.athlete}`}>
          <Trash2 size={15} />
        </Button>
      </td>
    </tr>
  );
}
