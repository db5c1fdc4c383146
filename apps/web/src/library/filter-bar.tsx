/** What the library is narrowed by. */
import { movements } from '@gambito/core';
import { useRoster, useTags } from '../api/queries';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { kindWords } from './kind-words';
import type { FilterKey, LibraryScreen } from './use-library-screen';

const look = `${inputLook} !py-1 !text-sm`;
const lengths = [10, 15, 20, 30, 45, 60] as const;

function Pick({ screen, name, label, options }: { screen: LibraryScreen; name: FilterKey; label: string; options: readonly (readonly [string, string])[] }) {
  return (
    <select aria-label={label} className={look} value={screen.filters[name]} onChange={(event) => screen.change(name, event.target.value)}>
      <option value="">{label}</option>
      {options.map(([value, words]) => (
        <option key={value} value={value}>
          {words}
        </option>
      ))}
    </select>
  );
}

export function FilterBar({ screen }: { screen: LibraryScreen }) {
  const { filters, change, narrowed, clear } = screen;
  const { data: tags = [] } = useTags();
  const { data: people = [] } = useRoster();
  return (
    <div role="group" aria-label="Narrow the list" className="mb-2 flex flex-wrap items-center gap-2 text-sm">
      <Pick screen={screen} name="kind" label="any kind" options={Object.entries(kindWords)} />
      <Pick screen={screen} name="minutes" label="any length" options={lengths.map((minutes) => [String(minutes), `up to ${minutes} min`])} />
      {tags.length > 0 && <Pick screen={screen} name="tag" label="any tag" options={tags.map((tag) => [tag, tag])} />}
      <input
        aria-label="With the movement"
        placeholder="with the movement"
        list="library-movements"
        className={`${look} w-44`}
        value={filters.movement}
        onChange={(event) => change('movement', event.target.value)}
      />
      <datalist id="library-movements">
        {movements.map(({ id, name }) => (
          <option key={id} value={name} />
        ))}
      </datalist>
      <Pick screen={screen} name="doneBy" label="done by anybody" options={people.map(({ id, name }) => [String(id), `done by ${name}`])} />
      <label className="flex items-center gap-1">
        from
        <input type="date" className={look} value={filters.from} onChange={(event) => change('from', event.target.value)} />
      </label>
      <label className="flex items-center gap-1">
        to
        <input type="date" className={look} value={filters.to} onChange={(event) => change('to', event.target.value)} />
      </label>
      {narrowed && (
        <Button look="bare" onClick={clear}>
          Show all
        </Button>
      )}
    </div>
  );
}
