/** The people: who they are, where they train, what to mind; found by any word of it, by group, and changed by the dozen. */
import { ArrowDown, ArrowUp, Download, Upload } from 'lucide-react';
import { useRef } from 'react';
import { Link, useNavigate } from 'react-router';
import { useDelete } from '../api/queries';
import { Page } from '../shell/frame';
import { useDeskKeys } from '../ui/use-desk-keys';
import { Button } from '../ui/button';
import { download } from '../ui/csv';
import { inputLook } from '../ui/field';
import { Shortcuts } from '../ui/shortcuts';
import { Empty, Failed, Loading } from '../ui/states';
import { BulkBar } from './bulk-bar';
import { DeletedPeople } from './deleted-people';
import { GroupChips } from './group-chips';
import { writePeople } from './people-csv';
import type { RosterOrder } from './roster';
import { RosterLine } from './roster-line';
import { useRosterScreen, type RosterScreen } from './use-roster';

const keys = [
  ['/', 'Search'],
  ['A', 'Choose everybody who is shown, or nobody'],
  ['N', 'Add an athlete'],
] as const;

export function PeopleScreen() {
  const roster = useRosterScreen();
  const { rows, error, again } = roster;
  if (error) return <Failed error={error} retry={again} />;
  if (!rows) return <Loading />;
  return (
    <Page wide title="People" aside={<Actions roster={roster} />}>
      {rows.length === 0 ? <NobodyYet /> : <Roster roster={roster} />}
      <DeletedPeople />
    </Page>
  );
}

function NobodyYet() {
  const navigate = useNavigate();
  return (
    <Empty title="Nobody yet">
      <p className="text-soft">A name and a level are enough for a first version; what is missing is estimated and said.</p>
      <div className="flex gap-2">
        <Button onClick={() => void navigate('/people/new')}>Add the first one</Button>
        <Button asChild>
          <Link to="/people/import">Import a table</Link>
        </Button>
      </div>
    </Empty>
  );
}

function Actions({ roster: { rows = [], shown, search, setSearch, chosen, chooseShown } }: { roster: RosterScreen }) {
  const navigate = useNavigate();
  const field = useRef<HTMLInputElement>(null);
  useDeskKeys({ '/': () => field.current?.focus(), a: () => chooseShown(chosen.length < shown.length), n: () => void navigate('/people/new') });
  return (
    <>
      <span className="text-sm text-soft" role="status">
        {shown.length === rows.length ? rows.length : `${shown.length} of ${rows.length}`}
      </span>
      <input
        ref={field}
        aria-label="Search people"
        placeholder="Search ( / )"
        className={inputLook}
        value={search}
        onChange={(event) => setSearch(event.target.value)}
      />
      <Button asChild>
        <Link to="/people/import">
          <Upload size={15} /> Import
        </Link>
      </Button>
      {rows.length > 0 && (
        <Button onClick={() => download('people.csv', writePeople(shown.map(({ stored }) => stored)), 'text/csv')} title="What is shown, as a table">
          <Download size={15} /> CSV
        </Button>
      )}
      <Button look="main" onClick={() => void navigate('/people/new')}>
        Add an athlete
      </Button>
      <Shortcuts keys={keys} />
    </>
  );
}

function Roster({ roster }: { roster: RosterScreen }) {
  const { shown, groups, group, setGroup, chosen, choose, chooseShown } = roster;
  const remove = useDelete('/athletes', 'Athlete', ['athletes']);
  return (
    <>
      <GroupChips groups={groups} chosen={group} choose={setGroup} />
      {chosen.length > 0 && <BulkBar chosen={chosen} groups={groups.map((each) => each.group)} clear={() => chooseShown(false)} />}
      <table className="w-full border-collapse">
        <RosterHead roster={roster} />
        <tbody>
          {shown.map((row) => (
            <RosterLine key={row.id} row={row} chosen={chosen.includes(row)} choose={() => choose(row.id)} remove={() => remove.mutate(row.id)} />
          ))}
        </tbody>
      </table>
      {shown.length === 0 && <p className="mt-3 text-soft">Nobody with these words.</p>}
    </>
  );
}

/** narrow screens keep the name and the place */
const columns: readonly (readonly [RosterOrder, string, string])[] = [
  ['name', 'Name', ''],
  ['level', 'Level', 'hidden sm:table-cell'],
  ['age', 'Age', 'hidden sm:table-cell'],
  ['place', 'Place and kit', ''],
  ['avoids', 'Avoids', 'hidden md:table-cell'],
];

function RosterHead({ roster: { order, turn, chosen, shown, chooseShown } }: { roster: RosterScreen }) {
  const Arrow = order.backwards ? ArrowUp : ArrowDown;
  const all = shown.length > 0 && chosen.length >= shown.length;
  return (
    <thead>
      <tr className="border-b-2 border-ink text-left text-sm">
        <th className="w-8">
          <input type="checkbox" aria-label="Choose everybody who is shown" className="size-6 accent-ink" checked={all} onChange={() => chooseShown(!all)} />
        </th>
        {columns.map(([by, label, look]) => (
          <th key={by} className={`font-medium ${look}`} aria-sort={order.by === by ? (order.backwards ? 'descending' : 'ascending') : 'none'}>
            <button type="button" className="inline-flex min-h-8 items-center gap-1 rounded pr-2 hover:bg-wash" onClick={() => turn(by)}>
              {label} {order.by === by && <Arrow size={13} aria-hidden="true" />}
            </button>
          </th>
        ))}
        <th>
          <span className="sr-only">Actions</span>
        </th>
      </tr>
    </thead>
  );
}
