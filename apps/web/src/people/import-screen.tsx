/** People from a table: pasted, dropped or a file; each row is looked at before anything is taken, and all of it is taken or nothing. */
import clsx from 'clsx';
import { useMemo, useState } from 'react';
import { useNavigate } from 'react-router';
import { useMe, useRoster } from '../api/queries';
import { Page } from '../shell/frame';
import { todayIn } from '../shell/days';
import { Button } from '../ui/button';
import { download } from '../ui/csv';
import { FileDrop } from '../ui/file-drop';
import { Failed, Loading } from '../ui/states';
import { readPeople, writePeople, type PersonRow } from './people-csv';
import { useSaveMany } from './use-save-many';

function useImport() {
  const { data: people, error, refetch } = useRoster();
  const { data: me } = useMe();
  const [text, setText] = useState('');
  const [left, setLeft] = useState<ReadonlySet<number>>(new Set());
  const today = todayIn(me?.coach?.timeZone);
  const sheet = useMemo(() => readPeople(text, people ?? [], today), [text, people, today]);
  const taken = sheet.rows.filter(({ row, blocked }) => blocked === null && !left.has(row));
  return {
    ready: people !== undefined,
    error,
    again: () => void refetch(),
    text,
    setText: (next: string): void => {
      setText(next);
      setLeft(new Set());
    },
    sheet,
    taken,
    turn: (row: number): void => setLeft((before) => (before.has(row) ? new Set([...before].filter((other) => other !== row)) : new Set([...before, row]))),
  };
}

export function ImportScreen() {
  const { ready, error, again, text, setText, sheet, taken, turn } = useImport();
  const navigate = useNavigate();
  const save = useSaveMany((count) => `${count === 1 ? 'One person' : `${count} people`} taken in.`);
  if (error) return <Failed error={error} retry={again} />;
  if (!ready) return <Loading />;
  const take = (): void =>
    save.mutate(
      taken.map(({ known, file }) => ({ before: known, file })),
      { onSuccess: () => void navigate('/people') },
    );
  return (
    <Page
      title="Import people"
      aside={
        <>
          <Button onClick={() => download('people-empty.csv', writePeople([]), 'text/csv')}>Empty table with the headings</Button>
          <Button look="main" onClick={take} disabled={taken.length === 0 || save.isPending}>
            {taken.length === 0 ? 'Nothing to take in' : `Take in ${taken.length}`}
          </Button>
        </>
      }
    >
      <FileDrop
        label="Table of people"
        hint="Headings in the first row, one of them “name”. Commas, semicolons or tabs between the cells; lists within a cell between semicolons."
        text={text}
        change={setText}
      />
      {sheet.problems.map((problem) => (
        <p key={problem} role="alert" className="mt-2 text-sm text-amber-ink">
          {problem}
        </p>
      ))}
      {sheet.rows.length > 0 && <Preview rows={sheet.rows} taken={taken} turn={turn} />}
    </Page>
  );
}

function Preview({ rows, taken, turn }: { rows: readonly PersonRow[]; taken: readonly PersonRow[]; turn: (row: number) => void }) {
  return (
    <table className="mt-4 w-full border-collapse text-sm">
      <caption className="mb-1 text-left text-soft">
        {rows.length} rows: {taken.filter(({ known }) => !known).length} new, {taken.filter(({ known }) => known).length} changed, {rows.length - taken.length}{' '}
        left out
      </caption>
      <thead>
        <tr className="border-b-2 border-ink text-left">
          <th className="w-10 font-medium">Take</th>
          <th className="w-12 font-medium">Row</th>
          <th className="font-medium">Name</th>
          <th className="font-medium">What happens</th>
        </tr>
      </thead>
      <tbody>
        {rows.map((row) => (
          <PreviewLine key={row.row} row={row} taken={taken.includes(row)} turn={() => turn(row.row)} />
        ))}
      </tbody>
    </table>
  );
}

function PreviewLine({ row: { row, name, known, remarks, blocked }, taken, turn }: { row: PersonRow; taken: boolean; turn: () => void }) {
  return (
    <tr className="border-b border-line align-top">
      <td className="py-1">
        <input type="checkbox" aria-label={`Take row ${row}`} className="size-6 accent-ink" checked={taken} disabled={blocked !== null} onChange={turn} />
      </td>
      <td className="py-1.5 tabular-nums text-soft">{row}</td>
      <td className="py-1.5 font-medium">{name || '–'}</td>
      <td className="py-1.5">
        <span className={clsx(blocked !== null && 'text-bad')}>{blocked ?? (known ? 'changes who is here' : 'new')}</span>
        {remarks.map((remark) => (
          <span key={remark} className="block text-amber-ink">
            {remark}
          </span>
        ))}
      </td>
    </tr>
  );
}
