/** What an athlete has and can, as the coach knows it; what is changed here goes to the coach as a proposal. Kept in this browser until it is sent. */
import type { OwnDoor, ProposedChange } from '@gambito/contract';
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';

type Fields = Readonly<Record<'kit' | 'lifts' | 'bestSets' | 'avoid' | 'note', string>>;
const labels: readonly (readonly [keyof Fields, string, string])[] = [
  ['kit', 'What you have', 'one a line, such as dumbbell 10 kg x 2'],
  ['lifts', 'Your lifts', 'one a line, such as back squat: 88 kg, 2026-09'],
  ['bestSets', 'Your best sets', 'one a line, such as strict pull-up: 6'],
  ['avoid', 'What must be spared', 'such as deep knee, overhead. See a doctor about what hurts'],
  ['note', 'A word with it', ''],
];
const knownOf = ({ places, lifts, bestSets, avoid }: OwnDoor): Fields => ({
  kit: (places[0]?.kit ?? []).join('\n'),
  lifts: lifts.join('\n'),
  bestSets: bestSets.join('\n'),
  avoid: avoid.join(', ').replaceAll('_', ' '),
  note: '',
});
/** What is otherwise than it is known; a note always. */
const changeOf = (fields: Fields, known: Fields): Partial<ProposedChange> =>
  Object.fromEntries(Object.entries(fields).filter(([name, value]) => value.trim() !== known[name as keyof Fields].trim()));

/** What was typed before; a draft nobody can read is none. */
function draftOf(kept: string | null): Partial<Fields> {
  try {
    return JSON.parse(kept ?? '{}') as Partial<Fields>;
  } catch {
    return {};
  }
}

export function ProposalForm({ token, door }: { token: string; door: OwnDoor }) {
  const known = knownOf(door);
  const key = `gambito.proposal.${token}`;
  const [fields, setFields] = useState<Fields>(() => ({ ...known, ...draftOf(localStorage.getItem(key)) }));
  const change = (name: keyof Fields, value: string): void => {
    const next = { ...fields, [name]: value };
    setFields(next);
    localStorage.setItem(key, JSON.stringify(changeOf(next, known)));
  };
  const send = useMutation({
    mutationFn: () => api(`/d/${token}/proposals`, { body: changeOf(fields, known) }),
    onSuccess: () => {
      localStorage.removeItem(key);
      toast('Your coach sees it. It counts when they take it.');
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const isOtherwise = Object.keys(changeOf(fields, known)).length > 0;
  return (
    <form
      aria-label="What is otherwise"
      className="flex flex-col gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        send.mutate();
      }}
    >
      <h2 className="text-xl">What you have and can</h2>
      <p className="text-sm text-soft">Change what is otherwise: it goes to your coach, who takes it or asks you.</p>
      {labels.map(([name, label, hint]) => (
        <Field key={name} label={label} hint={hint}>
          {(bound) => (
            <textarea
              {...bound}
              rows={Math.min(8, Math.max(1, fields[name].split('\n').length))}
              className={inputLook}
              value={fields[name]}
              onChange={(event) => change(name, event.target.value)}
            />
          )}
        </Field>
      ))}
      <div>
        <Button type="submit" look="main" className="min-h-11" disabled={!isOtherwise || send.isPending}>
          Tell the coach
        </Button>
      </div>
    </form>
  );
}
