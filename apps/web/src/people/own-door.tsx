/** The link to an athlete's own door: made, copied, withdrawn, opened again. */
import type { Door } from '@gambito/contract';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';

export function OwnDoorLink({ athleteId }: { athleteId: number }) {
  const client = useQueryClient();
  const key = ['athletes', athleteId, 'door'];
  const { data: door } = useQuery({ queryKey: key, queryFn: async () => (await api<{ door: Door | null }>(`/athletes/${athleteId}/door`)).door });
  const refresh = (): Promise<void> => client.invalidateQueries({ queryKey: key });
  const onError = (failure: unknown): void => void toast.error(messageOf(failure));
  const open = useMutation({ mutationFn: () => api(`/athletes/${athleteId}/door`, { method: 'PUT' }), onSuccess: refresh, onError });
  const withdraw = useMutation({
    mutationFn: () => api(`/athletes/${athleteId}/door`, { method: 'DELETE' }),
    onSuccess: async () => {
      await refresh();
      toast('The link to the athlete’s page is withdrawn.', { action: { label: 'Undo', onClick: () => open.mutate() } });
    },
    onError,
  });
  if (door === undefined) return null;
  const address = door && `${window.location.origin}/a/own/${door.token}`;
  const copy = (): void => void navigator.clipboard.writeText(address ?? '').then(() => toast('The link is copied.'), onError);
  return (
    <section aria-label="Athlete’s page" className="mb-4 text-sm">
      <h2 className="font-serif text-base font-semibold">Athlete’s page</h2>
      <p className="text-soft">One link shows all days sent, results and kit. What the athlete changes there comes to you as a proposal.</p>
      {door && !door.revoked ? (
        <>
          <p className="truncate">
            <a href={address!} target="_blank" rel="noreferrer" className="underline">
              open it
            </a>
            , until {format(parseISO(door.expiresAt), 'd MMM yyyy')}
            {door.opened && ', opened'}
          </p>
          <Button onClick={copy}>Copy the link</Button>
          <Button look="bare" onClick={() => withdraw.mutate()}>
            Withdraw
          </Button>
        </>
      ) : (
        <Button onClick={() => open.mutate()} disabled={open.isPending}>
          {door ? 'Open the same link again' : 'Make a link'}
        </Button>
      )}
    </section>
  );
}
