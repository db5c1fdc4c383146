/** The coach's own warm-up: what every version's begins with where the school is “own ritual”. */
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { useRitual } from '../api/ritual';
import { Button } from '../ui/button';
import { Field, inputLook } from '../ui/field';

export function RitualForm({ isUsed }: { isUsed: boolean }) {
  const client = useQueryClient();
  const { data } = useRitual();
  const shown = data ?? '';
  const [typed, setTyped] = useState(shown);
  useEffect(() => setTyped(shown), [shown]);
  const save = useMutation({
    mutationFn: (ritual: string) => api<{ ritual: string | null }>('/ritual', { method: 'PUT', body: { ritual } }),
    onSuccess: ({ ritual }) => {
      client.setQueryData(['ritual'], ritual);
      toast('Saved.', { action: { label: 'Undo', onClick: () => save.mutate(shown) } });
    },
    onError: (failure) => toast.error(messageOf(failure)),
  });
  return (
    <section className="mt-6 max-w-3xl">
      <h2 className="mb-1 text-lg">Your own warm-up</h2>
      <Field
        label="A line a step"
        hint={
          isUsed
            ? 'Every warm-up begins with it; what the version rehearses and its loads follow.'
            : 'Used where “Warm-up” above is “own ritual”; what the version rehearses and its loads follow.'
        }
      >
        {(bound) => (
          <textarea
            {...bound}
            rows={4}
            maxLength={2000}
            className={inputLook}
            placeholder={'3:00 easy row\n2 rounds: 5 air squat, 5 push-up, 10 band pull-apart'}
            value={typed}
            onChange={(event) => setTyped(event.target.value)}
          />
        )}
      </Field>
      <Button className="mt-2" look="main" disabled={typed.trim() === shown.trim() || save.isPending} onClick={() => save.mutate(typed)}>
        Save it
      </Button>
    </section>
  );
}
