/** One change for several people, as it goes into each file. */
import { groupsOf } from '@gambito/contract';

export const bulkKinds = ['join', 'leave', 'level', 'time', 'avoid', 'spare'] as const;
export type BulkKind = (typeof bulkKinds)[number];
export const bulkWords: Readonly<Record<BulkKind, string>> = {
  join: 'Add to the group',
  leave: 'Take out of the group',
  level: 'Set the level',
  time: 'Set the time available',
  avoid: 'Avoid from now on',
  spare: 'No longer avoid',
};
type Plain = Record<string, unknown>;
const avoided = (file: Plain): string[] => (Array.isArray(file['avoid']) ? file['avoid'].map(String) : []);
const without = (list: readonly string[], value: string): string[] => list.filter((other) => other.toLowerCase() !== value.toLowerCase());
const withGroups = ({ groups: _before, ...file }: Plain, groups: readonly string[]): Plain => (groups.length > 0 ? { ...file, groups } : file);

const changed: Readonly<Record<BulkKind, (file: Plain, value: string) => Plain>> = {
  join: (file, value) => withGroups(file, [...without(groupsOf(file['groups']), value), value]),
  leave: (file, value) => withGroups(file, without(groupsOf(file['groups']), value)),
  level: (file, value) => ({ ...file, level: value }),
  time: (file, value) => ({ ...file, time_available: value }),
  avoid: (file, value) => ({ ...file, avoid: [...without(avoided(file), value), value] }),
  spare: (file, value) => ({ ...file, avoid: without(avoided(file), value) }),
};

/** The file with the change, or null where it changes nothing. @param value as typed, not empty */
export function bulkChange(file: Plain, kind: BulkKind, value: string): Plain | null {
  const next = changed[kind](file, value.trim());
  return JSON.stringify(next) === JSON.stringify(file) ? null : next;
}
