/** A logged score on a board, its note, and what corrects or deletes it. */
import { Pencil, Trash2 } from 'lucide-react';
import { useByWhom } from '../api/by-whom';
import type { LoggedScore } from '../api/types';
import { Button } from '../ui/button';
import { ScoreEntry } from './score-entry';

/** Whose score is being corrected, and how to change that. */
export interface Correcting {
  readonly workoutId: number;
  readonly scoreId: number | null;
  readonly open: (scoreId: number | null) => void;
  readonly remove: (scoreId: number) => void;
  /** the score before counts again, in place of the one that replaced it */
  readonly putBack: (before: number, now: number) => void;
}
type Named = LoggedScore & { readonly athlete: string };

export function LoggedCell({ logged, shown, correcting }: { logged: Named; shown: string; correcting: Correcting }) {
  const { athleteId, athlete, versionText, category, entry, note, scoreId } = logged;
  const by = useByWhom()(logged.by);
  return (
    <td className="py-1.5 pr-3">
      {correcting.scoreId === scoreId ? (
        <ScoreEntry
          of={{ workoutId: correcting.workoutId, athleteId, name: athlete, versionText, category }}
          start={entry}
          note={note}
          done={() => correcting.open(null)}
        />
      ) : (
        <span title={versionText}>{shown}</span>
      )}
      {note && <span className="block text-xs text-soft">{note}</span>}
      {by && <span className="block text-xs text-soft">by {by}</span>}
      {logged.replaced && <Replaced logged={logged} before={logged.replaced} correcting={correcting} />}
    </td>
  );
}

/** Somebody else's score stood here before. */
function Replaced({ logged, before, correcting }: { logged: Named; before: NonNullable<LoggedScore['replaced']>; correcting: Correcting }) {
  const coach = useByWhom()(before.by) ?? 'you';
  return (
    <span className="block text-xs text-soft">
      in place of {before.entry}, entered by {before.by === '' ? logged.athlete : coach}.{' '}
      <button type="button" className="underline" onClick={() => correcting.putBack(before.scoreId, logged.scoreId)}>
        Put {before.entry} back
      </button>
    </span>
  );
}

export function RowActions({ logged: { scoreId, athlete }, correcting }: { logged: Named; correcting: Correcting }) {
  return (
    <td className="whitespace-nowrap text-right">
      <Button look="bare" onClick={() => correcting.open(correcting.scoreId === scoreId ? null : scoreId)} aria-label={`Correct the score of ${athlete}`}>
        <Pencil size={15} />
      </Button>
      <Button look="bare" onClick={() => correcting.remove(scoreId)} aria-label={`Delete the score of ${athlete}`}>
        <Trash2 size={15} />
      </Button>
    </td>
  );
}
