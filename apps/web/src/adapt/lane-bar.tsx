import { changeOf, classInWords } from '@gambito/core';
import type { ReactNode } from 'react';
import { inputLook } from '../ui/field';
import { Progress } from '../ui/states';
import { laneFilters, laneOrders, type LaneFilter, type LaneOrder } from './lane-order';
import type { Adapting } from './use-adapt';

function Choice<Key extends string>({
  label,
  options,
  value,
  choose,
}: {
  label: string;
  options: Record<Key, string>;
  value: Key;
  choose: (key: Key) => void;
}) {
  return (
    <select
      aria-label={label}
      className={`${inputLook} min-h-8 min-w-24 flex-1 !py-0.5 !text-sm`}
      value={value}
      onChange={(event) => choose(event.target.value as Key)}
    >
      {(Object.entries(options) as [Key, string][]).map(([key, words]) => (
        <option key={key} value={key}>
          {words}
        </option>
      ))}
    </select>
  );
}

/** The class in one line, in which order it stands, and who of it. */
export function LaneBar({ adapting, children }: { adapting: Adapting; children: ReactNode }) {
  const { versions, done, order, setOrder, filter, setFilter, groups, group, setGroup, words, setWords } = adapting;
  return (
    <div className="no-print flex min-h-9 flex-wrap items-center gap-x-4 gap-y-1">
      <Progress done={done} of={versions.length} what="Versions" />
      {done >= versions.length && (
        <p role="status" aria-label="The class" className="text-sm font-medium">
          {classInWords(versions.flatMap(({ adapted, athleteId }) => (adapted && athleteId !== null ? [changeOf(adapted.version.parts)] : [])))}
        </p>
      )}
      {done >= versions.length && (
        <p className="hidden truncate text-xs text-soft 2xl:block">Solid block: as written · outlined: swapped · amber: the window</p>
      )}
      <div className="flex min-w-0 flex-wrap items-center gap-2 sm:ml-auto lg:flex-nowrap">
        <input
          type="search"
          aria-label="Name, place or kit"
          placeholder="Name, place or kit"
          className={`${inputLook} min-h-8 basis-full !py-0.5 !text-sm sm:basis-40`}
          value={words}
          onChange={(event) => setWords(event.target.value)}
        />
        {groups.length > 0 && (
          <Choice
            label="Group"
            options={{ '': 'all groups', ...Object.fromEntries(groups.map((name) => [name, name])) }}
            value={group ?? ''}
            choose={(name) => setGroup(name || null)}
          />
        )}
        <Choice<LaneFilter> label="Show" options={laneFilters} value={filter} choose={setFilter} />
        <Choice<LaneOrder> label="Order" options={laneOrders} value={order} choose={setOrder} />
        {children}
      </div>
    </div>
  );
}
