/** The coach's own tiers, one a line: each is a lane below the people, and may be given to somebody. */
import { tierAthlete, usualTiers } from '@gambito/core';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useTiers } from '../api/queries';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';

const linesOf = (typed: string): string[] => [
  ...new Set(
    typed
      .split('\n')
      .map((line) => line.trim())
      .filter((line) => line !== ''),
  ),
];
/** `newer, 30 min, 1 dumbbell …`: how its words are taken */
function tierWords(name: string): string {
  const { athlete, place } = tierAthlete(name, 'women');
  const minutes = athlete.timeAvailableSeconds === null ? 'as long as it takes' : `${athlete.timeAvailableSeconds / 60} min`;
  return `${athlete.level}, ${minutes}, ${place.kit.map(({ kind }) => kind).join(', ')}`;
}

export function TiersForm() {
  const client = useQueryClient();
  const { data: tiers = [] } = useTiers();
  const shown = (tiers.length > 0 ? tiers : usualTiers).join('\n');
  const [typed, setTyped] = useState(shown);
  useEffect(() => setTyped(shown), [shown]);
  const save = useMutation({
    mutationFn: (names: string[]) => api<{ tiers: string[] }>('/tiers', { method: 'PUT', body: { tiers: names } }),
    onSuccess: (answer) => {
      client.setQueryData(['tiers'], answer.tiers);
      toast('Tiers saved.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="mb-1 text-lg">Tiers</h2>
      <Field label="One a line: kit, level, minutes" hint="Kit: no kit, one dumbbell, little kit, full kit. Level: new, newer, trained, competitive.">
        {(bound) => <textarea {...bound} rows={4} className={inputLook} value={typed} onChange={(event) => setTyped(event.target.value)} />}
      </Field>
      <ul className="my-2 text-sm text-soft">
        {linesOf(typed).map((name) => (
          <li key={name}>
            <b className="font-medium text-ink">{name}</b>: {tierWords(name)}
          </li>
        ))}
      </ul>
      <div className="flex gap-2">
        <Button look="main" disabled={typed === shown || save.isPending} onClick={() => save.mutate(linesOf(typed))}>
          Save the tiers
        </Button>
        {tiers.length > 0 && <Button onClick={() => save.mutate([])}>The usual ones</Button>}
      </div>
    </section>
  );
}
