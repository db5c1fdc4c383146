/** Where the coach is signed in; each can be ended from here. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { toast } from '../ui/toast';
import type { SignedInDevice } from '@gambito/contract';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { deviceWords } from './device-words';

const key = ['me', 'sessions'];

export function SessionsList() {
  const client = useQueryClient();
  const { data: sessions = [] } = useQuery({ queryKey: key, queryFn: async () => (await api<{ sessions: SignedInDevice[] }>('/me/sessions')).sessions });
  const end = useMutation({
    mutationFn: (id: string) => api(`/me/sessions/${id}`, { method: 'DELETE' }),
    onSettled: () => client.invalidateQueries({ queryKey: key }),
    onError: (failure) => toast.error(messageOf(failure)),
  });
  return (
    <section className="flex flex-col gap-2">
      <h2 className="text-lg">Signed in</h2>
      <ul className="divide-y divide-line border-y border-line text-sm">
        {sessions.map(({ id, device, since, here }) => (
          <li key={id} className="flex min-h-10 items-center gap-3 py-1">
            <span className="min-w-0">
              <span className="block truncate">{deviceWords(device)}</span>
              <span className="text-soft">since {format(parseISO(since), 'd MMM HH:mm')}</span>
            </span>
            <span className="ml-auto whitespace-nowrap">
              {here ? (
                <span className="text-soft">here</span>
              ) : (
                <Button onClick={() => end.mutate(id)} disabled={end.isPending}>
                  Sign out there
                </Button>
              )}
            </span>
          </li>
        ))}
      </ul>
    </section>
  );
}
