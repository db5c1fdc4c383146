/** The days that are meant most often, one click each. */
import { addDays, parseISO } from 'date-fns';
import { useMe } from '../api/queries';
import { Button } from '../ui/button';
import { dayText, todayIn } from './days';

const near = [
  { name: 'Today', days: 0 },
  { name: 'Tomorrow', days: 1 },
  { name: 'In 7 days', days: 7 },
] as const;

export function NearDays({ take }: { take: (day: string) => void }) {
  const { data: me } = useMe();
  const today = parseISO(todayIn(me?.coach?.timeZone));
  return (
    <span className="flex flex-wrap gap-1" role="group" aria-label="Near days">
      {near.map(({ name, days }) => (
        <Button key={name} look="bare" onClick={() => take(dayText(addDays(today, days)))}>
          {name}
        </Button>
      ))}
    </span>
  );
}
