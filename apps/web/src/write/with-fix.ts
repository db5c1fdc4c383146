import type { Diagnostic } from '@gambito/core';

/**
 * A remark was shown of a text that has gone on meanwhile (another fix was taken, a key was pressed): the same remark of the text that stands there now.
 * @param now remarks of the text that stands there @returns null where it is said no more
 */
export const sameRemark = (now: readonly Diagnostic[], shown: Diagnostic): Diagnostic | null => {
  const alike = now.filter(({ message, fix }) => message === shown.message && fix === shown.fix);
  return alike.find(({ line }) => line === shown.line) ?? alike[0] ?? null;
};

/** The text with a remark's fix in the place it is about. @param text the one it was read of */
export function withFix(text: string, { line, column, length, fix }: Diagnostic): string {
  if (fix === undefined) return text;
  const lines = text.split('\n');
  const written = lines[line - 1] ?? '';
  lines[line - 1] = `${written.slice(0, column - 1)}${fix}${written.slice(column - 1 + length)}`;
  return lines.join('\n');
}
