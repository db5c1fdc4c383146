import clsx from 'clsx';

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
    <div role="group" aria-label="Groups" className="mb-2 flex flex-wrap gap-1.5 text-sm">
      {[{ group: null, count: null }, ...groups].map(({ group, count }) => (
        <button
          key={group ?? ''}
          type="button"
          aria-pressed={chosen === group}
          onClick={() => choose(group)}
          className={clsx('min-h-7 rounded-full border px-3', chosen === group ? 'border-ink bg-ink text-paper' : 'border-line bg-sheet hover:bg-wash')}
        >
          {group ?? 'everybody'} {count !== null && <span className="tabular-nums opacity-70">{count}</span>}
        </button>
      ))}
    </div>
  );
}
