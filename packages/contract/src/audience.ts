/** Whom a workout is for: plain functions, for screens that need no schemas. */
export interface Audience {
  groups: string[];
  athletes: number[];
}
export const everybody: Audience = { groups: [], athletes: [] };
export const isForEverybody = ({ groups, athletes }: Audience): boolean => groups.length === 0 && athletes.length === 0;

/** The groups an athlete file names: a list, or words between commas. */
export function groupsOf(groups: unknown): string[] {
  const named = Array.isArray(groups)
    ? groups.filter((group): group is string => typeof group === 'string')
    : typeof groups === 'string'
      ? groups.split(',')
      : [];
  return [...new Set(named.map((group) => group.trim()).filter((group) => group !== ''))];
}
const same = (a: string, b: string): boolean => a.toLocaleLowerCase('en') === b.toLocaleLowerCase('en');

/** Whether a workout is meant for somebody. */
export const isMeant = (audience: Audience, { id, groups }: { readonly id: number; readonly groups: readonly string[] }): boolean =>
  isForEverybody(audience) || audience.athletes.includes(id) || audience.groups.some((group) => groups.some((other) => same(group, other)));
