/** Who has not logged yet, each with a field to enter the score. */
import type { Board } from '../api/types';
import { ScoreEntry } from './score-entry';

export function MissingList({ workoutId, missing }: { workoutId: number; missing: Board['missing'] }) {
  return (
    <aside>
      <h2 className="text-base">Not logged yet</h2>
      {missing.length === 0 && <p className="text-sm text-soft">Everybody is in.</p>}
      <ul className="mt-1 divide-y divide-line border-y border-line">
        {missing.map((each) => (
          <li key={each.athleteId} className="py-1.5">
            <p className="flex justify-between text-sm">
              <span className="font-medium">{each.name}</span>
              <span className="text-soft">{each.sent ? 'sent' : 'not sent'}</span>
            </p>
            <ScoreEntry of={{ workoutId, ...each }} />
          </li>
        ))}
      </ul>
    </aside>
  );
}
