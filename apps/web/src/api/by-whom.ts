/** The name on a change, where it says something: not one's own, and not where nobody was noted. */
import { useMe } from './queries';

export function useByWhom(): (name: string | undefined) => string | null {
  const mine = useMe().data?.coach?.name;
  return (name) => (name && name !== mine ? name : null);
}
