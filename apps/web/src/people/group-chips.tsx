import { Chip } from '../ui/chip';

/** Everybody, or one group of them. */
export function GroupChips({
  groups,
  chosen,
  choose,
}: {
  groups: readonly { readonly group: string; readonly count: number }[];
  chosen: string | null;
  choose: (group: string | null) => void;
}) {
  if (groups.length === 0) return null;
  return (
    <div role="group" aria-label="Groups" className="mb-2 flex flex-wrap gap-1.5">
      {[{ group: null, count: null }, ...groups].map(({ group, count }) => (
        <Chip key={group ?? ''} on={chosen === group} tap={() => choose(group)}>
          {group ?? 'everybody'} {count !== null && <span className="tabular-nums opacity-70">{count}</span>}
        </Chip>
      ))}
    </div>
  );
}
