import { Trash2, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import type { ListedWorkout } from '../api/types';
import { shortDay } from '../shell/days';
import { Button } from '../ui/button';
import { DayField } from '../ui/day-field';
import { CopyOnto } from './copy-onto';
import { wordsOfKind } from './kind-words';
import type { LibraryActions } from './use-library-actions';

/** `14 min · as many as possible · 11 scores, 8 of 11 in the window, last 25 Nov` */
function aboutOf({ facts, done }: ListedWorkout): string {
  const length = facts?.minutes ? [`${facts.minutes} min`] : [];
  const kinds = facts ? facts.kinds.map(wordsOfKind) : [];
  const scores = done ? [`${done.scores} ${done.scores === 1 ? 'score' : 'scores'}, last ${shortDay(done.last)}`] : [];
  const window = done && done.judged > 0 ? [`${done.inWindow} of ${done.judged} in the window`] : [];
  return [...length, ...kinds, ...scores, ...window].join(' · ');
}

/** A workout with what it begins with, its day, how it went, and what can be done with it. */
export function LibraryLine({ workout, actions }: { workout: ListedWorkout; actions: LibraryActions }) {
  const { id, title, preview, day, tags, deletedAt } = workout;
  return (
    <li className="flex flex-wrap items-center gap-x-3 gap-y-1 py-1.5">
      <div className="min-w-0 flex-1 basis-72">
        {deletedAt ? (
          <span className="font-serif text-lg">{title}</span>
        ) : (
          <Link to={`/workouts/${id}/write`} className="font-serif text-lg hover:underline">
            {title}
          </Link>
        )}
        {tags.map((tag) => (
          <span key={tag} className="ml-2 rounded-full border border-line bg-wash px-2 text-xs">
            {tag}
          </span>
        ))}
        <p className="truncate text-sm text-soft">{preview}</p>
        <p className="truncate text-xs text-soft">{aboutOf(workout)}</p>
      </div>
      {deletedAt ? (
        <>
          <span className="text-sm text-soft">deleted {shortDay(deletedAt)}</span>
          <Button onClick={() => actions.restore(id)} aria-label={`Put ${title} back`}>
            <Undo2 size={15} /> Put back
          </Button>
        </>
      ) : (
        <>
          <DayField label={`Day of ${title}`} day={day} save={(onto) => actions.date(workout, onto)} className="!py-1 !text-sm" />
          <CopyOnto title={title} copy={(onto) => actions.duplicate(id, onto)} />
          <Button look="danger" onClick={() => actions.remove(id)} aria-label={`Delete ${title}`}>
            <Trash2 size={16} />
          </Button>
        </>
      )}
    </li>
  );
}
