/** The people: who they are, where they train, what to mind; found by any word of it. */
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useMemo, useRef, useState } from 'react';
import { useNavigate } from 'react-router';
import { useDelete, useMe, useRoster } from '../api/queries';
import { Page } from '../shell/frame';
import { todayIn } from '../shell/days';
import { useDeskKeys } from '../ui/use-desk-keys';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { Empty, Failed, Loading } from '../ui/states';
import { arrangeRoster, rosterRow, type RosterOrder } from './roster';
import { RosterLine } from './roster-line';

/** Everybody's row, in the order and the choice of the coach. */
function usePeople() {
  const { data: athletes, error, refetch } = useRoster();
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  const rows = useMemo(() => athletes?.map((athlete) => rosterRow(athlete, today)), [athletes, today]);
  const [search, setSearch] = useState('');
  const [order, setOrder] = useState<{ by: RosterOrder; backwards: boolean }>({ by: 'name', backwards: false });
  const shown = useMemo(() => arrangeRoster(rows ?? [], search, order.by, order.backwards), [rows, search, order]);
  const turn = (by: RosterOrder): void => setOrder((before) => ({ by, backwards: before.by === by && !before.backwards }));
  return { rows, shown, search, setSearch, order, turn, error, refetch };
}

export function PeopleScreen() {
  const { rows, shown, search, setSearch, order, turn, error, refetch } = usePeople();
  const navigate = useNavigate();
  const remove = useDelete('/athletes', 'Athlete', ['athletes']);
  const field = useRef<HTMLInputElement>(null);
  useDeskKeys({ '/': () => field.current?.focus() });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!rows) return <Loading />;
  return (
    <Page
      wide
      title="People"
      aside={
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
          <Button look="main" onClick={() => void navigate('/people/new')}>
            Add an athlete
          </Button>
        </>
      }
    >
      {rows.length === 0 ? (
        <Empty title="Nobody yet">
          <p className="text-soft">A name and a level are enough for a first version; what is missing is estimated and said.</p>
          <Button onClick={() => void navigate('/people/new')}>Add the first one</Button>
        </Empty>
      ) : (
        <table className="w-full border-collapse">
          <RosterHead order={order} turn={turn} />
          <tbody>
            {shown.map((row) => (
              <RosterLine key={row.id} row={row} remove={() => remove.mutate(row.id)} />
            ))}
          </tbody>
        </table>
      )}
      {rows.length > 0 && shown.length === 0 && <p className="mt-3 text-soft">Nobody with these words.</p>}
    </Page>
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

function RosterHead({ order, turn }: { order: { by: RosterOrder; backwards: boolean }; turn: (by: RosterOrder) => void }) {
  const Arrow = order.backwards ? ArrowUp : ArrowDown;
  return (
    <thead>
      <tr className="border-b-2 border-ink text-left text-sm">
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
