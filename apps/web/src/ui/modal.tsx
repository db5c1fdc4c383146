/** A sheet over the screen, with its title and a way to close it. */
import clsx from 'clsx';
import { X } from 'lucide-react';
import { Dialog } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  readonly open: boolean;
  readonly setOpen: (open: boolean) => void;
  readonly title: string;
  /** the button that opens it */
  readonly trigger: ReactNode;
  /** how wide it is at most */
  readonly className: string;
  readonly children: ReactNode;
}
export const Modal = ({ open, setOpen, title, trigger, className, children }: Props) => (
  <Dialog.Root open={open} onOpenChange={setOpen}>
    <Dialog.Trigger asChild>{trigger}</Dialog.Trigger>
    <Dialog.Portal>
      <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/30" />
      <Dialog.Content
        aria-describedby={undefined}
        className={clsx(
          'fixed top-1/2 left-1/2 z-50 flex max-h-[86dvh] -translate-x-1/2 -translate-y-1/2 flex-col overflow-auto rounded-md border border-line bg-sheet p-5',
          className,
        )}
      >
        <div className="flex items-center">
          <Dialog.Title className="text-xl">{title}</Dialog.Title>
          <Dialog.Close className="ml-auto rounded p-2 hover:bg-wash" aria-label="Close">
            <X size={16} />
          </Dialog.Close>
        </div>
        {children}
      </Dialog.Content>
    </Dialog.Portal>
  </Dialog.Root>
);
