/** The roster's own: everybody's row in the order and the choice of the coach, and who is chosen for a change. */
import { useMemo, useState } from 'react';
import { useMe, useRoster as useEverybody } from '../api/queries';
import { todayIn } from '../shell/days';
import { arrangeRoster, groupsIn, rosterRow, type RosterOrder } from './roster';

export function useRosterScreen() {
  const { data: athletes, error, refetch } = useEverybody();
  const { data: me } = useMe();
  const today = todayIn(me?.coach?.timeZone);
  const rows = useMemo(() => athletes?.map((athlete) => rosterRow(athlete, today)), [athletes, today]);
  const [search, setSearch] = useState('');
  const [group, setGroup] = useState<string | null>(null);
  const [order, setOrder] = useState<{ by: RosterOrder; backwards: boolean }>({ by: 'name', backwards: false });
  const [chosen, setChosen] = useState<ReadonlySet<number>>(new Set());
  const shown = useMemo(() => arrangeRoster(rows ?? [], { search, group, order: order.by, backwards: order.backwards }), [rows, search, group, order]);
  return {
    rows,
    shown,
    groups: useMemo(() => groupsIn(rows ?? []), [rows]),
    today,
    search,
    setSearch,
    group,
    setGroup,
    order,
    turn: (by: RosterOrder): void => setOrder((before) => ({ by, backwards: before.by === by && !before.backwards })),
    chosen: (rows ?? []).filter(({ id }) => chosen.has(id)),
    choose: (id: number): void => setChosen((before) => (before.has(id) ? new Set([...before].filter((other) => other !== id)) : new Set([...before, id]))),
    chooseShown: (all: boolean): void => setChosen(new Set(all ? shown.map(({ id }) => id) : [])),
    error,
    again: () => void refetch(),
  };
}
export type RosterScreen = ReturnType<typeof useRosterScreen>;
