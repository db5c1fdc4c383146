/** Who works at this desk: its owner removes a guest or hands the desk over, a guest leaves. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import type { DeskPerson } from '@gambito/contract';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { toast } from '../ui/toast';

const key = ['desk', 'people'];
type Step = 'remove' | 'handOver' | 'leave';
const ask = (step: Step, { name }: DeskPerson): string =>
  ({
    remove: `${name} signs in to an empty desk from now on, and sees this one no more. What ${name} did here stays. Remove ${name}?`,
    handOver: `The desk is ${name}’s from now on, and you are a guest at it. Hand it over?`,
    leave: 'You see this desk no more, and sign in to an empty one of your own. What you did here stays. Leave?',
  })[step];
const yes: Readonly<Record<Step, string>> = { remove: 'Remove', handOver: 'Hand over', leave: 'Leave' };

interface RowProps {
  readonly person: DeskPerson;
  readonly steps: readonly Step[];
  readonly take: (step: Step, person: DeskPerson) => void;
  readonly waits: boolean;
}

/** What cannot be undone is asked for once more, in place. */
function PersonRow({ person, steps, take, waits }: RowProps) {
  const [step, setStep] = useState<Step | null>(null);
  return (
    <li className="flex min-h-10 flex-wrap items-center gap-x-3 gap-y-1 py-1">
      <span className="min-w-0">
        <span className="block truncate">
          {person.name}
          {person.you && <span className="text-soft">, you</span>}
        </span>
        <span className="text-soft">
          {person.email}
          {person.owner && ', whose desk it is'}
        </span>
      </span>
      <span className="ml-auto flex gap-2">
        {step === null &&
          steps.map((each) => (
            <Button key={each} look="bare" onClick={() => setStep(each)} disabled={waits} aria-label={`${yes[each]}: ${person.name}`}>
              {yes[each]}
            </Button>
          ))}
      </span>
      {step && (
        <span className="flex w-full flex-wrap items-center gap-2" role="alert">
          {ask(step, person)}
          <Button onClick={() => take(step, person)} disabled={waits}>
            {yes[step]}
          </Button>
          <Button look="bare" onClick={() => setStep(null)}>
            Keep as it is
          </Button>
        </span>
      )}
    </li>
  );
}

export function DeskPeople() {
  const client = useQueryClient();
  const { data: people = [] } = useQuery({ queryKey: key, queryFn: async () => (await api<{ people: DeskPerson[] }>('/desk/people')).people });
  const change = useMutation({
    mutationFn: async ({ step, person }: { step: Step; person: DeskPerson }) => {
      await api(step === 'handOver' ? `/desk/people/${person.id}/owner` : `/desk/people/${person.id}`, { method: step === 'handOver' ? 'POST' : 'DELETE' });
      // who left is signed out, and signs in at a desk of their own
      if (step === 'leave') window.location.assign('/');
    },
    onSettled: () => client.invalidateQueries(),
    onError: (failure) => toast.error(messageOf(failure)),
  });
  const iOwn = people.some(({ owner, you }) => owner && you);
  const stepsOf = ({ owner, you }: DeskPerson): Step[] => (owner ? [] : iOwn ? ['handOver', 'remove'] : you ? ['leave'] : []);
  if (people.length < 2) return null;
  return (
    <section className="flex flex-col gap-2 text-sm">
      <h2 className="text-lg">People of this desk</h2>
      <ul className="divide-y divide-line border-y border-line">
        {people.map((person) => (
          <PersonRow
            key={person.id}
            person={person}
            steps={stepsOf(person)}
            waits={change.isPending}
            take={(step, who) => change.mutate({ step, person: who })}
          />
        ))}
      </ul>
    </section>
  );
}
