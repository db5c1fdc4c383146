/** Who has logged nothing for a while, on the desk: whom to write to. */
import type { Silent } from '@gambito/contract';
import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { api } from '../api/client';
import { showDay } from '../shell/days';

const useSilent = () => useQuery({ queryKey: ['silent'], queryFn: async () => (await api<{ silent: Silent[] }>('/silent')).silent, refetchInterval: 300_000 });
/** that are listed */
const most = 8;

export function SilentList() {
  const { data: silent = [] } = useSilent();
  if (silent.length === 0) return null;
  const more = silent.length - most;
  return (
    <section aria-label="Not heard from">
      <h2 className="mb-1 text-base">Not heard from</h2>
      <ul className="divide-y divide-line border-y border-line text-sm">
        {silent.slice(0, most).map(({ athleteId, name, missed, since }) => (
          <li key={athleteId} className="flex justify-between gap-3 px-1 py-1">
            <Link to={`/people/${athleteId}/record`} className="font-medium hover:underline">
              {name}
            </Link>
            <span className="text-soft">
              {missed} without a score since {showDay(since)}
            </span>
          </li>
        ))}
      </ul>
      {more > 0 && <p className="text-sm text-soft">and {more} more</p>}
    </section>
  );
}
