/** Everybody, with what was sent to them and what they logged. */
import { Link } from 'react-router';
import { meantOf } from '../api/meant';
import { useBoard, useRoster, useSends, useWorkout } from '../api/queries';
import type { Board, StoredSend } from '../api/types';

/** `8+5 · index 104`, or with several scores the place in the day; null where nothing was logged. */
function loggedWords({ boards, day }: Board, athleteId: number): string | null {
  const today = day?.find((each) => each.athleteId === athleteId);
  if (today) return `${today.entry} · place ${today.rank}`;
  const row = boards[0]?.rows.find((each) => each.athleteId === athleteId);
  return row ? `${row.score}${row.index === null ? '' : ` · index ${Math.round(row.index)}`}` : null;
}
const loggedCount = ({ boards, day }: Board): number => day?.length ?? boards[0]?.rows.length ?? 0;

interface Standing {
  readonly text: string;
  readonly tone: string;
}
function standingOf(athleteId: number, sent: readonly StoredSend[], board: Board | undefined): Standing {
  const logged = board && loggedWords(board, athleteId);
  if (logged) return { text: logged, tone: 'text-good font-medium' };
  const send = sent.find((each) => each.athleteId === athleteId);
  if (!send) return { text: 'not sent', tone: 'text-soft' };
  return send.changed ? { text: 'sent, changed since', tone: 'text-amber-ink' } : { text: 'sent, not logged', tone: 'text-ink' };
}

export function WhoStandsWhere({ workoutId }: { workoutId: number }) {
  const { data: everybody = [] } = useRoster();
  const { data: workout } = useWorkout(workoutId);
  const athletes = workout ? meantOf(everybody, workout.audience) : [];
  const { data: sends = [] } = useSends(workoutId);
  const { data: board } = useBoard(workoutId);
  const sent = sends.filter((send) => !send.revoked);
  const changed = sent.filter((send) => send.changed).length;
  return (
    <div>
      <p className="mb-1 text-sm text-soft">
        {athletes.length} athletes · {sent.length} sent · {board ? loggedCount(board) : 0} logged
        {changed > 0 && <span className="text-amber-ink"> · {changed} sent before the last change</span>}
      </p>
      {athletes.length === 0 && (
        <p>
          Nobody here yet.{' '}
          <Link className="underline" to="/people/new">
            Add an athlete
          </Link>
        </p>
      )}
      <ul className="grid gap-x-6 border-t border-line sm:grid-cols-2">
        {athletes.map(({ id, name }) => {
          const { text, tone } = standingOf(id, sent, board);
          return (
            <li key={id} className="flex items-baseline justify-between gap-2 border-b border-line py-1">
              <Link to={`/workouts/${workoutId}/adapt?who=${id}`} className="hover:underline">
                {name}
              </Link>
              <span className={`text-sm ${tone}`}>{text}</span>
            </li>
          );
        })}
      </ul>
    </div>
  );
}
