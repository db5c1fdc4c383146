/** Two texts that began from one: where they change different lines, both changes stand. */
import { diff3Merge } from 'node-diff3';

/** @returns null where both changed the same place: a person decides */
export function mergeTexts(base: string, mine: string, theirs: string): string | null {
  if (mine === theirs || theirs === base) return mine;
  if (mine === base) return theirs;
  const regions = diff3Merge(mine.split('\n'), base.split('\n'), theirs.split('\n'), { excludeFalseConflicts: true });
  const lines = regions.map(({ ok }) => ok ?? null);
  return lines.includes(null) ? null : lines.flat().join('\n');
}
