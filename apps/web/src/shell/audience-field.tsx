/** Whom a workout is for: everybody, groups, or people by name. */
import { everybody, groupsOf, isForEverybody, type Audience } from '@gambito/contract';
import { Users } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useMemo, useState } from 'react';
import { useRoster } from '../api/queries';
import { inputLook } from '../ui/field';

interface Props {
  readonly audience: Audience;
  readonly change: (audience: Audience) => void;
}
const turned = <T,>(list: readonly T[], value: T): T[] => (list.includes(value) ? list.filter((other) => other !== value) : [...list, value]);

/** `ferry crew and 2 more people` */
export function audienceWords({ groups, athletes }: Audience): string {
  if (groups.length + athletes.length === 0) return 'everybody';
  const people = athletes.length === 0 ? [] : [`${athletes.length} ${groups.length > 0 ? 'more ' : ''}${athletes.length === 1 ? 'person' : 'people'}`];
  return [...groups, ...people].join(', ');
}

export function AudienceField({ audience, change }: Props) {
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex min-h-8 max-w-64 items-center gap-1.5 rounded-md border border-line bg-sheet px-2 text-sm hover:bg-wash">
        <Users size={14} aria-hidden="true" />
        <span className="truncate">
          <span className="text-soft">for</span> {audienceWords(audience)}
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="start"
          sideOffset={4}
          aria-label="Whom it is for"
          className="z-40 w-72 rounded-md border border-line bg-sheet p-3 text-sm shadow-lg"
        >
          <Choices audience={audience} change={change} />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

function Choices({ audience, change }: Props) {
  const { data: people = [] } = useRoster();
  const [search, setSearch] = useState('');
  const groups = useMemo(() => [...new Set(people.flatMap(({ file }) => groupsOf(file['groups'])))].sort(), [people]);
  const found = people.filter(({ name }) => name.toLowerCase().includes(search.trim().toLowerCase()));
  return (
    <div className="flex flex-col gap-2">
      <Tick label="everybody" checked={isForEverybody(audience)} turn={() => change(everybody)} />
      {groups.length > 0 && <p className="text-xs text-soft">Groups</p>}
      {groups.map((group) => (
        <Tick
          key={group}
          label={group}
          checked={audience.groups.includes(group)}
          turn={() => change({ ...audience, groups: turned(audience.groups, group) })}
        />
      ))}
      <input
        aria-label="Find somebody"
        placeholder="Somebody by name"
        className={inputLook}
        value={search}
        onChange={(event) => setSearch(event.target.value)}
      />
      <div className="max-h-52 overflow-auto">
        {found.map(({ id, name }) => (
          <Tick key={id} label={name} checked={audience.athletes.includes(id)} turn={() => change({ ...audience, athletes: turned(audience.athletes, id) })} />
        ))}
      </div>
    </div>
  );
}

function Tick({ label, checked, turn }: { label: string; checked: boolean; turn: () => void }) {
  return (
    <label className="flex min-h-7 items-center gap-2">
      <input type="checkbox" className="size-5 accent-ink" checked={checked} onChange={turn} />
      {label}
    </label>
  );
}
