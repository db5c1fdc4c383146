import { Copy, Trash2 } from 'lucide-react';
import { Link } from 'react-router';
import type { ListedWorkout } from '../api/types';
import { Button } from '../ui/button';
import { inputLook } from '../ui/field';
import type { LibraryActions } from './use-library-actions';

/** A workout with what it begins with, its day, and what can be done with it. */
export function LibraryLine({ workout, actions }: { workout: ListedWorkout; actions: LibraryActions }) {
  const { id, title, preview, day } = workout;
  return (
    <li className="flex flex-wrap items-center gap-3 py-2">
      <div className="min-w-0 flex-1">
        <Link to={`/workouts/${id}/write`} className="font-serif text-lg hover:underline">
          {title}
        </Link>
        <p className="truncate text-sm text-soft">{preview}</p>
      </div>
      <input
        type="date"
        aria-label={`Day of ${title}`}
        className={inputLook}
        value={day ?? ''}
        onChange={(event) => actions.date(workout, event.target.value || null)}
      />
      <Button look="bare" onClick={() => actions.duplicate(id)} aria-label={`Duplicate ${title}`}>
        <Copy size={16} /> Duplicate
      </Button>
      <Button look="danger" onClick={() => actions.remove(id)} aria-label={`Delete ${title}`}>
        <Trash2 size={16} />
      </Button>
    </li>
  );
}
