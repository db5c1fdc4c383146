/** The Write screen's own: the text and its saving, what it is read as, and what the reference athlete makes of it. */
import { formatWorkout, parseWorkout, type Category, type Diagnostic } from '@gambito/core';
import { useDeferredValue, useMemo, useState } from 'react';
import { useRoom } from '../api/room';
import type { StoredWorkout } from '../api/types';
import { kindsOf } from '../workers/kinds';
import { useAutosave } from './use-autosave';
import { useLive } from './use-live';
import { useReadAs } from './use-read-as';
import { useReference } from './use-reference';
import { sameRemark, withFix } from './with-fix';

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

/** What is done to the text is done to the text that stands there, not to the one that was read a moment ago. */
function useEdits({ text, change }: Pick<ReturnType<typeof useAutosave>, 'text' | 'change'>) {
  const units = useRoom();
  const now = () => parseWorkout(text, { units });
  return {
    takeFix: (shown: Diagnostic): void => {
      const remark = sameRemark(now().diagnostics, shown);
      if (remark) change(withFix(text, remark));
    },
    tidy: (): void => {
      const { workout, diagnostics } = now();
      if (!diagnostics.some(({ level }) => level === 'error')) change(formatWorkout(workout));
    },
    append: (part: string): void => change(`${text.trimEnd()}${text.trim() === '' ? '' : now().workout.parts.length > 0 ? '\n\n' : '\n'}${part}\n`),
  };
}

export function useWrite(workout: StoredWorkout) {
  const autosave = useAutosave(workout);
  const [category, setCategory] = useState<Category>('men');
  const [shown, setShown] = useState<{ readonly line: number } | null>(null);
  // what is typed is there at once; what it says may come a moment later
  const reading = useReading(useDeferredValue(autosave.text), category);
  const { diagnostics } = reading.parsed;
  return {
    ...autosave,
    ...useEdits(autosave),
    message: useReadAs(autosave.text),
    /** the line of the text that is marked, from 0 */
    shown,
    show: (line: number): void => setShown({ line }),
    category,
    setCategory,
    reading,
    // an empty page says so itself
    problems: diagnostics.filter(({ level, code }) => level !== 'info' && code !== 'empty'),
    /** not where something cannot be read: tidying would lose it */
    canTidy: !diagnostics.some(({ level }) => level === 'error'),
  };
}
export type Writing = ReturnType<typeof useWrite>;
