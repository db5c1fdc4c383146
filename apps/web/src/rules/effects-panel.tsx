/** What the last choice changed in a workout of the coach's, person by person. */
import type { HouseRules } from '@gambito/core';
import { useState } from 'react';
import { useLibrary } from '../api/queries';
import { inputLook } from '../ui/field';
import { Progress } from '../ui/states';
import { useEffects } from './use-effects';

const mostWorkouts = 20;

export function EffectsPanel({ before, after, said }: { before: HouseRules | null; after: HouseRules; said: string | null }) {
  const { data } = useLibrary({});
  const workouts = (data?.pages[0]?.workouts ?? []).slice(0, mostWorkouts);
  const [chosen, setChosen] = useState<number | null>(null);
  const workoutId = chosen ?? workouts[0]?.id ?? null;
  const effects = useEffects(workoutId, before, after);
  if (workouts.length === 0) return null;
  return (
    <section aria-label="What a choice changes" className="mb-4 rounded-md border border-line bg-sheet p-3 text-sm">
      <label className="flex flex-wrap items-center gap-2">
        What a choice changes in
        <select className={`${inputLook} !py-1 !text-sm`} value={workoutId ?? ''} onChange={(event) => setChosen(Number(event.target.value))}>
          {workouts.map(({ id, title }) => (
            <option key={id} value={id}>
              {title}
            </option>
          ))}
        </select>
        {effects && <Progress done={effects.done} of={effects.of} what="Looking at" />}
      </label>
      {said === null && (
        <p className="mt-1 text-soft">Choose another school below: it holds at once, and here stands what it does to whom. It can be undone.</p>
      )}
      {said !== null && (
        <p className="mt-1">
          <b className="font-medium">{said}</b>
          {effects &&
            effects.done >= effects.of &&
            `: ${effects.changed.length === 0 ? 'nobody’s version changes' : `${effects.changed.length} of ${effects.of} versions change`}.`}
        </p>
      )}
      <ul className="mt-1 max-h-40 overflow-auto">
        {effects?.changed.map(({ name, before: then, after: now }) => (
          <li key={name} className="border-t border-line py-1">
            <b className="font-medium">{name}</b>: {now} <span className="text-soft line-through">{then}</span>
          </li>
        ))}
      </ul>
    </section>
  );
}
