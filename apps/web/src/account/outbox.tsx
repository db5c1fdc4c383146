/** What went out to people. The messenger that ships with Gambito sends nothing anywhere: it keeps each message here, for whoever set the instance up to pass on. */
import type { OutboxMessage } from '@gambito/contract';
import { useQuery } from '@tanstack/react-query';
import { format, parseISO } from 'date-fns';
import { toast } from '../ui/toast';
import { api, messageOf } from '../api/client';
import { Button } from '../ui/button';
import { Failed } from '../ui/states';

const useOutbox = () =>
  useQuery({ queryKey: ['outbox'], queryFn: async () => (await api<{ messages: OutboxMessage[] }>('/outbox')).messages, refetchInterval: 30_000 });

export function Outbox() {
  const { data: messages = [], error, refetch } = useOutbox();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  return (
    <section className="flex flex-col gap-2 text-sm">
      <h2 className="text-lg">Outbox</h2>
      <p className="text-soft">Nothing leaves this machine: what would be sent to people stands here, for you to pass on.</p>
      {messages.length === 0 && <p>Nothing yet.</p>}
      <ul className="divide-y divide-line">
        {messages.map((message) => (
          <MessageLine key={message.id} message={message} />
        ))}
      </ul>
    </section>
  );
}

function MessageLine({ message: { at, recipient, subject, body } }: { message: OutboxMessage }) {
  const copy = (): void =>
    void navigator.clipboard.writeText(body).then(
      () => toast('Copied.'),
      (failure: unknown) => toast.error(messageOf(failure)),
    );
  return (
    <li className="py-1.5">
      <details>
        <summary className="cursor-default">
          <b className="font-medium">{recipient}</b> <span className="text-soft">{format(parseISO(at), 'd MMM HH:mm')}</span>
          <span className="block">{subject}</span>
        </summary>
        <p className="mt-1 whitespace-pre-wrap break-words border-l-2 border-line pl-3">{body}</p>
        <Button look="bare" onClick={copy}>
          Copy it
        </Button>
      </details>
    </li>
  );
}
