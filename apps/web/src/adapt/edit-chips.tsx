/** What was changed of the text, a chip each: what it is, what it costs or wins, and a cross that takes it back alone. */
import type { Adapted, Lock, VersionEdit } from '@gambito/core';
import { X } from 'lucide-react';
import { effectOf } from './effect';

interface Props {
  readonly adapted: Adapted;
  /** null for a tier: nobody to take it back for */
  readonly takeBack: ((lock: Lock) => void) | null;
}

export function EditChips({ adapted, takeBack }: Props) {
  const parts = adapted.version.parts.flatMap((part, index) => part.edits.map((edit) => ({ edit, index, written: part.from[0] ?? index })));
  if (parts.length === 0) return <p className="mt-2 text-sm">As written: nothing of the text was changed.</p>;
  return (
    <ul aria-label="Changes" className="mt-2 flex flex-wrap gap-1.5">
      {parts.map(({ edit, index, written }) => (
        <li key={`${index} ${edit.kind} ${edit.text}`} className="inline-flex items-center gap-1 rounded border border-line bg-sheet py-0.5 pr-1 pl-2 text-sm">
          <span>{edit.text}</span>
          <Effect edit={edit} adapted={adapted} part={index} />
          {takeBack && edit.undo && (
            <button
              type="button"
              className="inline-flex min-h-6 min-w-6 items-center justify-center rounded hover:bg-wash"
              aria-label={`Take back: ${edit.text}`}
              title="Take this change back; it is locked as written"
              onClick={() => takeBack({ part: written, ...edit.undo! })}
            >
              <X size={13} />
            </button>
          )}
        </li>
      ))}
    </ul>
  );
}

function Effect({ edit, adapted, part }: { edit: VersionEdit; adapted: Adapted; part: number }) {
  const effect = effectOf(edit, adapted.run.parts[part]!);
  return effect ? <span className="text-xs text-soft">{effect}</span> : null;
}
