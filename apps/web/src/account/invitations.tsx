/** Other coaches of this instance: the founder invites by a link, shown once; each gets a desk of their own. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from 'sonner';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { shortDay } from '../shell/days';

const key = ['invitations'];
interface Open {
  readonly id: string;
  readonly expiresAt: string;
}

export function Invitations() {
  const client = useQueryClient();
  const [link, setLink] = useState<string | null>(null);
  const { data: open = [] } = useQuery({ queryKey: key, queryFn: async () => (await api<{ invitations: Open[] }>('/invitations')).invitations });
  const refresh = () => client.invalidateQueries({ queryKey: key });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const make = useMutation({
    mutationFn: () => api<{ token: string }>('/invitations', { method: 'POST' }),
    onSuccess: ({ token }) => {
      setLink(`${window.location.origin}/join/${token}`);
      void refresh();
    },
    onError,
  });
  const withdraw = useMutation({ mutationFn: (id: string) => api(`/invitations/${id}`, { method: 'DELETE' }), onSettled: refresh, onError });
  return (
    <section className="flex flex-col gap-2 text-sm">
      <h2 className="text-lg">Other coaches</h2>
      <p className="text-soft">A link makes one more coach here, with a desk of their own. It lasts a week and works once.</p>
      <div>
        <Button onClick={() => make.mutate()} disabled={make.isPending}>
          Make a link
        </Button>
      </div>
      {link && <input aria-label="The invitation, shown once" readOnly className={inputLook} value={link} onFocus={(event) => event.target.select()} />}
      <ul className="divide-y divide-line">
        {open.map(({ id, expiresAt }) => (
          <li key={id} className="flex items-center justify-between py-1">
            open until {shortDay(expiresAt)}
            <Button look="bare" onClick={() => withdraw.mutate(id)}>
              Withdraw
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
