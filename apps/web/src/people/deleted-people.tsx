/** Who was deleted in the last thirty days, each to be put back; out of the way until it is asked for. */
import { useDeletedAthletes, useRestoreAthlete } from '../api/queries';
import { shortDay } from '../shell/days';
import { Button } from '../ui/button';
import { Failed } from '../ui/states';

export function DeletedPeople() {
  const { data: deleted = [], error, refetch } = useDeletedAthletes();
  const { mutate: putBack, isPending } = useRestoreAthlete();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (deleted.length === 0) return null;
  return (
    <details className="mt-6 text-sm">
      <summary className="min-h-6 cursor-pointer text-soft">{deleted.length} deleted in the last 30 days</summary>
      <ul aria-label="Deleted people" className="mt-1">
        {deleted.map((athlete) => (
          <li key={athlete.id} className="flex min-h-9 items-center gap-3 border-b border-line">
            <span className="font-medium">{athlete.name}</span>
            <span className="text-soft">{shortDay(athlete.deletedAt)}</span>
            <Button className="ml-auto" disabled={isPending} aria-label={`Put ${athlete.name} back`} onClick={() => putBack(athlete)}>
              Put back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
