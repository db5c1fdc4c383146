/** Tags that are taken off with a click and added by typing; those in use are offered. */
import { X } from 'lucide-react';
import { useId, useState } from 'react';
import { useTags } from '../api/queries';

/** letters of a tag */
const longest = 40;

export function TagField({ tags, change }: { tags: readonly string[]; change: (tags: string[]) => void }) {
  const { data: known = [] } = useTags();
  const [typed, setTyped] = useState('');
  const id = useId();
  const add = (): void => {
    const tag = typed.trim().replaceAll(',', ' ').slice(0, longest);
    setTyped('');
    if (tag !== '' && !tags.includes(tag)) change([...tags, tag]);
  };
  return (
    <span className="flex flex-wrap items-center gap-1" role="group" aria-label="Tags">
      {tags.map((tag) => (
        <span key={tag} className="inline-flex items-center rounded-full border border-line bg-wash pl-2 text-sm">
          {tag}
          <button
            type="button"
            aria-label={`Take off ${tag}`}
            className="grid size-6 place-items-center rounded-full hover:bg-line"
            onClick={() => change(tags.filter((other) => other !== tag))}
          >
            <X size={12} />
          </button>
        </span>
      ))}
      <input
        aria-label="Add a tag"
        placeholder="tag"
        list={id}
        className="w-20 rounded border border-transparent bg-transparent px-1.5 py-1 text-sm placeholder:text-soft hover:border-line focus:border-line"
        value={typed}
        onChange={(event) => setTyped(event.target.value)}
        onBlur={add}
        onKeyDown={(event) => {
          if (event.key !== 'Enter' && event.key !== ',') return;
          event.preventDefault();
          add();
        }}
      />
      <datalist id={id}>
        {known
          .filter((tag) => !tags.includes(tag))
          .map((tag) => (
            <option key={tag} value={tag} />
          ))}
      </datalist>
    </span>
  );
}
