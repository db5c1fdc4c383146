import type { Delivery } from '@gambito/contract';
import { format, parseISO } from 'date-fns';
import { useByWhom } from '../api/by-whom';
import type { StoredSend } from '../api/types';
import { Button } from '../ui/button';
import { MessageState } from './message-state';
import type { Links } from './use-send';

interface Props {
  readonly name: string;
  readonly sent: StoredSend | undefined;
  readonly delivery: Delivery | undefined;
  readonly links: Links;
  readonly busy: boolean;
  /** lines that the coach keeps against a limit of this athlete */
  readonly kept: readonly string[];
  readonly send: () => void;
}

/** One athlete: what was sent, the link, and what can be done with it. */
export function SendLine({ name, sent, delivery, links, busy, kept, send }: Props) {
  const alive = sent && !sent.revoked ? sent : null;
  return (
    <tr className="border-b border-line">
      <td className="py-1.5 pr-3 font-medium">{name}</td>
      <td className="py-1.5 pr-3 text-sm">
        <State sent={sent} />
        {kept.length > 0 && (
          <span className="block text-bad">
            You keep this although {name} is to be spared it: {kept.join('; ')}.
          </span>
        )}
        {alive && (
          <span className="block text-xs">
            <MessageState delivery={delivery} />
          </span>
        )}
      </td>
      <td className="py-1.5 pr-3 text-sm">
        {alive && (
          <a href={`/a/${alive.token}`} target="_blank" rel="noreferrer" className="underline">
            open page
          </a>
        )}
      </td>
      <td className="py-1 text-right">
        {alive && (
          <>
            <Button look="bare" onClick={() => void links.copyOne(alive.token)} aria-label={`Copy the link of ${name}`}>
              Copy
            </Button>
            <Button look="bare" onClick={() => links.withdraw(alive.id)} aria-label={`Withdraw the link of ${name}`}>
              Withdraw
            </Button>
          </>
        )}
        {sent?.revoked && (
          <Button look="bare" onClick={() => links.reopen(sent.id)} aria-label={`Open the link of ${name} again`}>
            Open again
          </Button>
        )}
        {(!alive || alive.changed || alive.against.length > 0) && (
          <Button look="bare" onClick={send} disabled={busy} aria-label={`Send to ${name}`}>
            {sent ? 'Send again' : 'Send'}
          </Button>
        )}
      </td>
    </tr>
  );
}

function State({ sent }: { sent: StoredSend | undefined }) {
  const by = useByWhom()(sent?.sentBy);
  if (!sent) return <span className="text-soft">not sent</span>;
  if (sent.revoked) return <span className="text-soft">withdrawn</span>;
  if (sent.against.length > 0)
    return (
      <span className="text-bad">
        Held back since something changed: {sent.against.join('; ')}. The athlete sees that you are looking at it. Send it again.
      </span>
    );
  if (sent.changed) return <span className="rounded bg-amber-wash px-1.5 text-amber-ink">changed after sending</span>;
  return (
    <span className="text-good">
      sent {format(parseISO(sent.sentAt), 'd MMM HH:mm')}
      {by && ` by ${by}`}
      {sent.opened && ', opened'}
    </span>
  );
}
