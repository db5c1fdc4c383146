/** What stands before and after one version: Gambito's lines, or the coach's where they wrote others. */
import { lengthOfSteps, lockedText, readSteps, withText, type Lock, type LockedText } from '@gambito/core';
import { useEffect, useState } from 'react';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';
import { useBeside, useKeepRitual, type OfVersion } from './use-beside';

interface Props extends OfVersion {
  readonly name: string;
  readonly locks: readonly Lock[];
  readonly setLocks: (locks: readonly Lock[]) => void;
}

export function Beside({ name, locks, setLocks, ...version }: Props) {
  const made = useBeside(version);
  const keep = useKeepRitual(version);
  const written = lockedText(locks, 'warmUp');
  if (!made) return null;
  const seconds = written === null ? made.seconds : lengthOfSteps(readSteps(written));
  const field = (key: LockedText, lines: readonly string[]) => ({
    made: lines.join('\n'),
    locked: lockedText(locks, key),
    set: (text: string | null) => setLocks(withText(locks, key, text)),
  });
  return (
    <details className="mt-3">
      <summary className="text-sm font-medium">
        Warm-up, about {Math.round(seconds / 60)} min, and cool-down{written !== null || lockedText(locks, 'coolDown') !== null ? ': in your words' : ''}
      </summary>
      <LinesField label={`Warm-up of ${name}`} {...field('warmUp', made.warmUp)}>
        {written?.trim() && (
          <Button disabled={keep.isPending} onClick={() => keep.mutate(written)}>
            Keep it as my own warm-up
          </Button>
        )}
      </LinesField>
      <LinesField label={`Cool-down of ${name}`} {...field('coolDown', made.coolDown)} />
    </details>
  );
}

interface FieldProps {
  readonly label: string;
  /** as Gambito makes it */
  readonly made: string;
  readonly locked: string | null;
  /** null: as it is made */
  readonly set: (text: string | null) => void;
  readonly children?: React.ReactNode;
}
/** Lines that are taken when the field is left. */
function LinesField({ label, made, locked, set, children }: FieldProps) {
  const shown = locked ?? made;
  const [typed, setTyped] = useState(shown);
  useEffect(() => setTyped(shown), [shown]);
  const take = (): void => {
    if (typed.trim() !== shown.trim()) set(typed.trim() === made.trim() ? null : typed.trim());
  };
  return (
    <div className="mt-2">
      <Field label={label} hint="A line a step: “2:00 easy jog”, “3 rounds: …”, “squat: 5 with the empty bar, 3 at 40 kg”. The clock plays them.">
        {(bound) => (
          <textarea
            {...bound}
            rows={Math.min(8, 1 + typed.split('\n').length)}
            maxLength={2000}
            className={`${inputLook} !text-sm leading-snug`}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
            onBlur={take}
          />
        )}
      </Field>
      <div className="mt-1 flex flex-wrap gap-2">
        {locked !== null && <Button onClick={() => set(null)}>As Gambito makes it</Button>}
        {children}
      </div>
    </div>
  );
}
