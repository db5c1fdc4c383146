import { Toaster } from 'sonner';

/** Where short messages with their undo come up. */
export const Messages = () => (
  <Toaster
    position="bottom-center"
    toastOptions={{ className: 'font-sans', style: { background: 'var(--sheet)', color: 'var(--ink)', borderColor: 'var(--line)' } }}
  />
);
