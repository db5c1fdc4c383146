/** A word to the athlete, above the version; taken when the field is left. */
import { noteOf, withNote, type Lock } from '@gambito/core';
import { useEffect, useState } from 'react';
import { Field, inputLook } from '../ui/field';

export function NoteField({ name, locks, setLocks }: { name: string; locks: readonly Lock[]; setLocks: (locks: readonly Lock[]) => void }) {
  const note = noteOf(locks) ?? '';
  const [typed, setTyped] = useState(note);
  useEffect(() => setTyped(note), [note]);
  const take = (): void => {
    if (typed.trim() !== note) setLocks(withNote(locks, typed));
  };
  return (
    <div className="mt-3">
      <Field label={`Note to ${name}`} hint="stands above the version when it is sent">
        {(bound) => (
          <textarea
            {...bound}
            rows={2}
            maxLength={1000}
            className={`${inputLook} !text-sm leading-snug`}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={take}
          />
        )}
      </Field>
    </div>
  );
}
