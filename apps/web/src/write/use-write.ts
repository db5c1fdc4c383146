/** The Write screen's own: the text and its saving, what it is read as, and what the reference athlete makes of it. */
import { formatWorkout, parseWorkout, type Category } from '@gambito/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useRoom } from '../api/room';
import type { StoredWorkout } from '../api/types';
import { kindsOf } from '../workers/kinds';
import { useAutosave } from './use-autosave';
import { useLive } from './use-live';
import { useReference } from './use-reference';

/** A figure that is of another text than the one that stands there is not shown beside it. */
function useReading(text: string, category: Category) {
  const units = useRoom();
  const parsed = useMemo(() => parseWorkout(text, { units }), [text, units]);
  const live = useLive(text, category);
  const { data: reference } = useReference(text, category);
  const kinds = kindsOf(parsed.workout);
  return {
    /** of which it is */
    text,
    parsed,
    live,
    reference,
    told: live && kindsOf(live.workout) === kinds ? live.stimulus : [],
    pacing: reference?.kinds === kinds ? reference.pacing : null,
  };
}
export type Reading = ReturnType<typeof useReading>;

export function useWrite(workout: StoredWorkout) {
  const autosave = useAutosave(workout);
  const [category, setCategory] = useState<Category>('men');
  // what is typed is there at once; what it says may come a moment later
  const reading = useReading(useDeferredValue(autosave.text), category);
  const { workout: read, diagnostics } = reading.parsed;
  return {
    ...autosave,
    category,
    setCategory,
    reading,
    // an empty page says so itself
    problems: diagnostics.filter(({ level, code }) => level !== 'info' && code !== 'empty'),
    /** null where something cannot be read: tidying would lose it */
    tidied: diagnostics.some(({ level }) => level === 'error') ? null : formatWorkout(read),
    append: (part: string): void =>
      autosave.change(`${autosave.text.trimEnd()}${autosave.text.trim() === '' ? '' : read.parts.length > 0 ? '\n\n' : '\n'}${part}\n`),
  };
}
export type Writing = ReturnType<typeof useWrite>;
