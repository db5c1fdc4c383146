import type { Diagnostic } from '@gambito/core';

/** The text with a remark's fix in the place it is about. @param text the one it was read of */
export function withFix(text: string, { line, column, length, fix }: Diagnostic): string {
  if (fix === undefined) return text;
  const lines = text.split('\n');
  const written = lines[line - 1] ?? '';
  lines[line - 1] = `${written.slice(0, column - 1)}${fix}${written.slice(column - 1 + length)}`;
  return lines.join('\n');
}
