/** Score and compare: every score carried over to the workout as written, who is missing, and entering or mending a score. */
import { useQueryClient } from '@tanstack/react-query';
import { ToggleGroup } from 'radix-ui';
import { useState } from 'react';
import { useParams } from 'react-router';
import { api, messageOf } from '../api/client';
import { useBoard, useDelete, useRoster, useWorkout } from '../api/queries';
import { useRoom } from '../api/room';
import type { Board, BoardEntry } from '../api/types';
import { Page } from '../shell/frame';
import { Failed, Loading } from '../ui/states';
import { toast } from '../ui/toast';
import { GroupChips } from '../people/group-chips';
import { Button } from '../ui/button';
import { download } from '../ui/csv';
import { boardGroups } from './board-groups';
import { narrowings, within } from './narrow';
import { boardCsv, boardText } from './board-out';
import { BoardTable } from './board-table';
import { DayTable } from './day-table';
import type { Correcting } from './logged-cell';
import { MissingList } from './missing-list';
import { NextTimes } from './next-time';

export function BoardScreen() {
  const id = Number(useParams()['id']);
  const { data, error, refetch } = useBoard(id);
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!data) return <Loading what="Weighing the scores" />;
  return <BoardView workoutId={id} data={data} />;
}

/** @returns puts a score that somebody else’s replaced back in its place */
function usePutBack(workoutId: number): Correcting['putBack'] {
  const client = useQueryClient();
  const restore = (scoreId: number) =>
    api(`/workouts/${workoutId}/scores/${scoreId}/restore`, { method: 'POST' })
      .then(() => client.invalidateQueries({ queryKey: ['workouts', workoutId, 'board'] }))
      .catch((error: unknown) => toast.error(messageOf(error)));
  return (before, now) =>
    void restore(before).then(() => toast('The score before counts again.', { action: { label: 'Undo', onClick: () => void restore(now) } }));
}

function useCorrecting(workoutId: number): Correcting {
  const [scoreId, open] = useState<number | null>(null);
  const remove = useDelete(`/workouts/${workoutId}/scores`, 'Score', ['workouts', workoutId, 'board']);
  const putBack = usePutBack(workoutId);
  return { workoutId, scoreId, open, remove: (id) => remove.mutate(id), putBack };
}

function BoardView({ workoutId, data }: { workoutId: number; data: Board }) {
  const [chosen, choose] = useState('day');
  const { data: workout } = useWorkout(workoutId);
  const units = useRoom();
  const correcting = useCorrecting(workoutId);
  const only = useNarrowed();
  const board = data.boards[Number(chosen)] ?? data.boards[0]!;
  const rows = board.rows.filter(only.has);
  const showsDay = data.day !== null && chosen === 'day';
  return (
    <Page
      wide
      title="Board"
      aside={
        <>
          <Tally data={data} rows={board.rows} />
          {!showsDay && rows.length > 0 && <Ways title={workout?.title ?? 'Board'} rows={rows} />}
        </>
      }
    >
      <div className="grid gap-8 lg:grid-cols-[1fr_320px]">
        <div className="relative overflow-x-auto">
          {data.day && <BoardChoice boards={data.boards} chosen={chosen} choose={choose} />}
          <div className="no-print">
            <GroupChips groups={only.groups} chosen={only.chosen} choose={only.choose} />
          </div>
          {showsDay && data.day!.length > 0 ? (
            <DayTable rows={data.day!.filter(only.has)} boards={data.boards} rule={data.dayRule} correcting={correcting} />
          ) : (
            <BoardTable groups={boardGroups(rows, data.school, workout?.text ?? '', units)} school={data.school} correcting={correcting} />
          )}
          {!showsDay && <Legend />}
          {board.rows.length > 0 && <NextFold workoutId={workoutId} rows={data.boards[0]!.rows} />}
        </div>
        <div className="no-print">
          <MissingList workoutId={workoutId} missing={data.missing} />
        </div>
      </div>
    </Page>
  );
}

/** Of everybody on the board, one group, level or tier. */
function useNarrowed() {
  const { data: people = [] } = useRoster();
  const [chosen, choose] = useState<string | null>(null);
  const members = within(people, chosen);
  return {
    groups: narrowings(people),
    chosen,
    choose,
    // who was deleted is in no group
    has: ({ athleteId }: { readonly athleteId: number }): boolean => chosen === null || members.has(athleteId),
  };
}

/** What a board can go out as: names and scores, nothing of anybody's file. */
function Ways({ title, rows }: { title: string; rows: readonly BoardEntry[] }) {
  const copy = (): void =>
    void navigator.clipboard.writeText(boardText(title, rows)).then(
      () => toast('Copied: names and scores, nothing else.'),
      () => toast.error('The browser does not let Gambito copy. Take the CSV instead.'),
    );
  return (
    <span className="no-print flex gap-1">
      <Button look="bare" onClick={copy}>
        Copy for the class
      </Button>
      <Button look="bare" onClick={() => download(`${title}.csv`, boardCsv(rows), 'text/csv')}>
        CSV
      </Button>
      <Button look="bare" onClick={() => window.print()}>
        Print
      </Button>
    </span>
  );
}

/** Thought through only when it is asked for: a version is made for each. */
function NextFold({ workoutId, rows }: { workoutId: number; rows: readonly BoardEntry[] }) {
  const [open, setOpen] = useState(false);
  return (
    <details className="no-print mt-5 border-t border-line pt-2" onToggle={(event) => setOpen(event.currentTarget.open)}>
      <summary className="cursor-pointer font-serif text-lg font-semibold">Next time</summary>
      {open && <NextTimes workoutId={workoutId} scored={rows.map(({ scoreId }) => scoreId).join()} />}
    </details>
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
