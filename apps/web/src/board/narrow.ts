/** By what a board is narrowed: the groups of its people, the tiers given to them, their levels. */
import { groupsOf } from '@gambito/contract';
import type { StoredAthlete } from '../api/types';

type Person = Pick<StoredAthlete, 'id' | 'file'>;
const word = (value: unknown): string => (typeof value === 'string' ? value.trim() : '');

/** What one person is found by; a level only where it is said. */
function labelsOf({ file }: Person): string[] {
  const [tier, level] = [word(file['tier']), word(file['level'])];
  return [...groupsOf(file['groups']), ...(tier === '' ? [] : [`tier: ${tier}`]), ...(level === '' ? [] : [`level: ${level}`])];
}
/** Each label with how many it holds: groups, then levels, then tiers; what everybody shares narrows nothing. */
export function narrowings(people: readonly Person[]): { group: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const person of people) for (const label of new Set(labelsOf(person))) counts.set(label, (counts.get(label) ?? 0) + 1);
  const rank = (label: string): number => ['level: ', 'tier: '].findIndex((start) => label.startsWith(start));
  return [...counts]
    .filter(([, count]) => count < people.length)
    .map(([group, count]) => ({ group, count }))
    .sort((a, b) => rank(a.group) - rank(b.group) || (a.group < b.group ? -1 : 1));
}
/** Whose label it is; null: everybody's. */
export const within = (people: readonly Person[], label: string | null): ReadonlySet<number> =>
  new Set(people.filter((person) => label === null || labelsOf(person).includes(label)).map(({ id }) => id));
