/** Score and compare: every score carried over to the workout as written, who is missing, and entering or mending a score. */
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { useParams } from 'react-router';
import { useBoard, useDelete, useWorkout } from '../api/queries';
import { useRoom } from '../api/room';
import type { Board } from '../api/types';
import { Page } from '../shell/frame';
import { Failed, Loading } from '../ui/states';
import { boardGroups } from './board-groups';
import { BoardTable } from './board-table';
import { DayTable } from './day-table';
import type { Correcting } from './logged-cell';
import { MissingList } from './missing-list';

export function BoardScreen() {
  const id = Number(useParams()['id']);
  const { data, error, refetch } = useBoard(id);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="Weighing the scores" />;
  return <BoardView workoutId={id} data={data} />;
}

function useCorrecting(workoutId: number): Correcting {
  const [scoreId, open] = useState<number | null>(null);
  const remove = useDelete(`/workouts/${workoutId}/scores`, 'Score', ['workouts', workoutId, 'board']);
  return { workoutId, scoreId, open, remove: (id) => remove.mutate(id) };
}

function BoardView({ workoutId, data }: { workoutId: number; data: Board }) {
  const [chosen, choose] = useState('day');
  const { data: workout } = useWorkout(workoutId);
  const units = useRoom();
  const correcting = useCorrecting(workoutId);
  const board = data.boards[Number(chosen)] ?? data.boards[0]!;
  const showsDay = data.day !== null && chosen === 'day';
  return (
    <Page wide title="Board" aside={<Tally data={data} rows={board.rows} />}>
      <div className="grid gap-8 lg:grid-cols-[1fr_320px]">
        <div className="overflow-x-auto">
          {data.day && <BoardChoice boards={data.boards} chosen={chosen} choose={choose} />}
          {showsDay && data.day!.length > 0 ? (
            <DayTable rows={data.day!} boards={data.boards} rule={data.dayRule} correcting={correcting} />
          ) : (
            <BoardTable groups={boardGroups(board.rows, data.school, workout?.text ?? '', units)} school={data.school} correcting={correcting} />
          )}
          {!showsDay && <Legend />}
        </div>
        <MissingList workoutId={workoutId} missing={data.missing} />
      </div>
    </Page>
  );
}

function Legend() {
  return (
    <p className="mt-3 text-xs text-soft">
      “As written” is the score this athlete would have had in the workout as written; the range says how sure that is. A version whose score hardly moves with
      fitness tells little: its range is wide.
    </p>
  );
}

function Tally({ data, rows }: { data: Board; rows: Board['boards'][number]['rows'] }) {
  const judged = rows.filter((row) => row.inWindow !== null);
  const inside = judged.filter((row) => row.inWindow).length;
  return (
    <span className="text-sm text-soft">
      {data.day?.length ?? rows.length} logged, {data.missing.length} missing
      {judged.length > 0 && `, ${inside} of ${judged.length} inside the window`}
    </span>
  );
}

/** The day, or the board of one score. */
function BoardChoice({ boards, chosen, choose }: { boards: Board['boards']; chosen: string; choose: (board: string) => void }) {
  const item = 'rounded border border-line px-2 py-1 text-sm data-[state=on]:border-ink data-[state=on]:bg-ink data-[state=on]:text-paper';
  return (
    <ToggleGroup.Root
      type="single"
      value={chosen}
      onValueChange={(next) => next && choose(next)}
      aria-label="Which board"
      className="mb-3 flex flex-wrap gap-1.5"
    >
      <ToggleGroup.Item value="day" className={item}>
        The day
      </ToggleGroup.Item>
      {boards.map((board, at) => (
        <ToggleGroup.Item key={board.label} value={String(at)} className={item}>
          {board.label}
        </ToggleGroup.Item>
      ))}
    </ToggleGroup.Root>
  );
}
