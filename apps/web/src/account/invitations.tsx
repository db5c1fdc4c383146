/** Other coaches of this instance: the founder invites by a link, shown once; to a desk of their own, or to this one, where each change has its name. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import { shortDay } from '../shell/days';

const key = ['invitations'];
interface Open {
  readonly id: string;
  readonly expiresAt: string;
  readonly shared: boolean;
}

export function Invitations() {
  const client = useQueryClient();
  const [link, setLink] = useState<string | null>(null);
  const { data: open = [] } = useQuery({ queryKey: key, queryFn: async () => (await api<{ invitations: Open[] }>('/invitations')).invitations });
  const refresh = () => client.invalidateQueries({ queryKey: key });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const make = useMutation({
    mutationFn: (shared: boolean) => api<{ token: string }>('/invitations', { body: { shared } }),
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
      <p className="text-soft">
        A link makes one more coach here: with a desk of their own, or at this one, where both see and change everything and each change has its name. It lasts
        a week and works once.
      </p>
      <div className="flex flex-wrap gap-2">
        <Button onClick={() => make.mutate(false)} disabled={make.isPending}>
          Link to a desk of their own
        </Button>
        <Button onClick={() => make.mutate(true)} disabled={make.isPending}>
          Link to this desk
        </Button>
      </div>
      {link && <input aria-label="The invitation, shown once" readOnly className={inputLook} value={link} onFocus={(event) => event.target.select()} />}
      <ul className="divide-y divide-line">
        {open.map(({ id, expiresAt, shared }) => (
          <li key={id} className="flex items-center justify-between py-1">
            {shared ? 'to this desk' : 'to a desk of their own'}, open until {shortDay(expiresAt)}
            <Button look="bare" onClick={() => withdraw.mutate(id)}>
              Withdraw
            </Button>
          </li>
        ))}
      </ul>
    </section>
  );
}
