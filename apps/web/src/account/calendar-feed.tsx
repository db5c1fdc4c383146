/** The link a calendar subscribes to: every workout with a day, moved when it moves. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';

interface Feed {
  readonly token: string | null;
}
const key = ['me', 'calendar'];

export function CalendarFeed() {
  const client = useQueryClient();
  const { data } = useQuery({ queryKey: key, queryFn: () => api<Feed>('/me/calendar') });
  const change = useMutation({
    mutationFn: (method: 'PUT' | 'DELETE') => api<Feed>('/me/calendar', { method }),
    onSuccess: (feed) => client.setQueryData(key, feed),
    onError: (failure) => toast.error(messageOf(failure)),
  });
  if (!data) return null;
  const address = data.token && `${window.location.origin}/api/c/${data.token}/calendar.ics`;
  return (
    <section className="flex flex-col gap-2 text-sm">
      <h2 className="text-lg">Calendar</h2>
      <p className="text-soft">
        A link for your calendar to subscribe to: every workout with a day, moved and taken out as you do. Whoever has it can read them.
      </p>
      {address && <input aria-label="Calendar link" readOnly className={inputLook} value={address} onFocus={(event) => event.target.select()} />}
      <div className="flex gap-2">
        <Button onClick={() => change.mutate('PUT')} disabled={change.isPending}>
          {address ? 'Another link' : 'Make a link'}
        </Button>
        {address && (
          <Button look="bare" onClick={() => change.mutate('DELETE')}>
            Withdraw it
          </Button>
        )}
      </div>
    </section>
  );
}
