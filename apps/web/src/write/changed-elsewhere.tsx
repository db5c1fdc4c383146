import type { StoredWorkout } from '../api/types';
import { Button } from '../ui/button';

/** Another window saved in between: both texts are there, the coach chooses. */
export function ChangedElsewhere({ theirs, keepMine, takeTheirs }: { theirs: StoredWorkout; keepMine: () => void; takeTheirs: () => void }) {
  return (
    <div role="alert" className="border-l-4 border-amber bg-wash p-3 text-sm">
      <p>This workout was changed in another window. Yours is kept here.</p>
      <pre className="my-2 max-h-32 overflow-auto whitespace-pre-wrap bg-sheet p-2">{theirs.text}</pre>
      <div className="flex gap-2">
        <Button onClick={keepMine}>Keep mine</Button>
        <Button onClick={takeTheirs}>Take that one</Button>
      </div>
    </div>
  );
}
