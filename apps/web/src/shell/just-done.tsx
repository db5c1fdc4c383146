/** What was done lately, each with its undo: for when the message that offered it is gone. */
import { History } from 'lucide-react';
import { Popover } from 'radix-ui';
import { useSyncExternalStore } from 'react';
import { Button } from '../ui/button';
import { justDone } from '../ui/toast';

export const useJustDone = () => useSyncExternalStore(justDone.listen, justDone.now);

export function JustDone() {
  const done = useJustDone();
  if (done.length === 0) return null;
  return (
    <Popover.Root>
      <Popover.Trigger className="rounded p-2 hover:bg-wash" aria-label="Just done" title="Just done: take it back">
        <History size={17} />
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content align="end" sideOffset={6} className="z-40 w-80 max-w-[92vw] rounded-md border border-line bg-sheet p-3 text-sm">
          <h2 className="text-base">Just done</h2>
          <ul className="mt-1 divide-y divide-line">
            {done.map(({ id, text, undo }) => (
              <li key={id} className="flex items-center gap-2 py-1">
                <span className="flex-1">{text}</span>
                <Button className="!min-h-8 !py-0" onClick={undo} aria-label={`Undo: ${text}`}>
                  Undo
                </Button>
              </li>
            ))}
          </ul>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
