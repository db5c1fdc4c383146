/** `?` tells the keys of a screen. */
import { Keyboard, X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import { useState } from 'react';
import { useDeskKeys } from './use-desk-keys';

export function Shortcuts({ keys }: { keys: readonly (readonly [string, string])[] }) {
  const [open, setOpen] = useState(false);
  useDeskKeys({ '?': () => setOpen(true) });
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="hidden rounded p-2 md:block hover:bg-wash" aria-label="Keys of this screen" title="Keys of this screen (?)">
        <Keyboard size={16} />
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed top-1/2 left-1/2 z-50 w-[min(26rem,92vw)] -translate-x-1/2 -translate-y-1/2 rounded-md border border-line bg-sheet p-5"
        >
          <div className="flex items-center">
            <Dialog.Title className="text-xl">Keys</Dialog.Title>
            <Dialog.Close className="ml-auto rounded p-2 hover:bg-wash" aria-label="Close">
              <X size={16} />
            </Dialog.Close>
          </div>
          <dl className="mt-2 grid grid-cols-[max-content_1fr] gap-x-4 gap-y-1.5 text-sm">
            {keys.map(([key, does]) => (
              <div key={key} className="contents">
                <dt className="font-semibold">{key}</dt>
                <dd>{does}</dd>
              </div>
            ))}
          </dl>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
