import { Button } from '../ui/button';
import type { SaveState } from './use-autosave';

/** Whether what stands there is safe. */
export function SaveNote({ state, retry }: { state: SaveState; retry: () => void }) {
  switch (state.kind) {
    case 'saved':
      return <span className="text-sm text-soft">Saved</span>;
    case 'saving':
    case 'waiting':
      return <span className="text-sm text-soft">Saving …</span>;
    case 'conflict':
      return <span className="text-sm text-amber-ink">Not saved yet</span>;
    case 'failed':
      return (
        <span role="alert" className="flex items-center gap-2 text-sm text-bad">
          {state.message} <Button onClick={retry}>Try again</Button>
        </span>
      );
  }
}
