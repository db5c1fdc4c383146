/** How the message about somebody's version fares. */
import type { Delivery } from '@gambito/contract';
import { format, parseISO } from 'date-fns';
import { Button } from '../ui/button';
import { useAgain } from './use-messages';

export function MessageState({ delivery }: { delivery: Delivery | undefined }) {
  const again = useAgain();
  if (!delivery) return null;
  const { state, tries, failure, at, nextTryAt, id } = delivery;
  if (state === 'sent') return <span className="text-good">written to {format(parseISO(at), 'd MMM HH:mm')}</span>;
  if (state === 'waiting')
    return (
      <span className="text-soft" title={failure ?? undefined}>
        {tries === 0 || nextTryAt === null ? 'message on its way' : `tried ${tries} ×, again at ${format(parseISO(nextTryAt), 'HH:mm:ss')}`}
      </span>
    );
  return (
    <span className="text-bad">
      not delivered: {failure}{' '}
      <Button look="bare" onClick={() => again.mutate(id)} disabled={again.isPending}>
        Try again
      </Button>
    </span>
  );
}
