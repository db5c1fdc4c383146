/** How the stand-in for a messenger behaves, and how the last messages fared: so that what happens when one fails can be seen before one does. */
import type { MessengerMode } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { MessageState } from '../send/message-state';
import { useDeliveries } from '../send/use-messages';
import { inputLook } from '../ui/field';
import { Failed } from '../ui/states';

const modes: readonly (readonly [MessengerMode, string])[] = [
  ['works', 'takes every message'],
  ['stumbles', 'fails at each first try'],
  ['refuses', 'refuses every message'],
];
/** that are listed here */
const most = 20;

export function Messenger() {
  const { data, error, refetch } = useDeliveries(null);
  const client = useQueryClient();
  const behave = useMutation({
    mutationFn: (mode: MessengerMode) => api('/messenger', { method: 'PUT', body: { mode } }),
    onSuccess: () => toast('Saved.'),
    onError: (failure) => toast.error(messageOf(failure)),
    onSettled: () => client.invalidateQueries({ queryKey: ['deliveries'] }),
  });
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  return (
    <section className="flex flex-col gap-2 text-sm" aria-label="Messages to athletes">
      <h2 className="text-lg">Messages to athletes</h2>
      <label className="flex flex-wrap items-center gap-2">
        The stand-in for a messenger
        <select className={inputLook} value={data?.messenger ?? 'works'} onChange={(event) => behave.mutate(event.target.value as MessengerMode)}>
          {modes.map(([mode, words]) => (
            <option key={mode} value={mode}>
              {words}
            </option>
          ))}
        </select>
      </label>
      {data?.deliveries.length === 0 && <p className="text-soft">Nothing was written yet.</p>}
      <ul className="divide-y divide-line">
        {data?.deliveries.slice(0, most).map((delivery) => (
          <li key={delivery.id} className="py-1.5">
            <details>
              <summary className="cursor-default">
                <b className="font-medium">{delivery.recipient}</b> <span className="text-soft">{delivery.subject}</span>
                <span className="block">
                  <MessageState delivery={delivery} />
                </span>
              </summary>
              <p className="mt-1 whitespace-pre-wrap break-words border-l-2 border-line pl-3">{delivery.body}</p>
            </details>
          </li>
        ))}
      </ul>
    </section>
  );
}
