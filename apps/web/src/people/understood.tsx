/** Beside each line of a kit, what was understood of it, while it is typed. */
import { readKit } from '@gambito/core';
import { useMemo } from 'react';

export function Understood({ kit, category, units }: { kit: string; category: string; units: string }) {
  const lines = useMemo(() => kit.split('\n'), [kit]);
  const read = useMemo(
    () => readKit(lines, { category: category === 'women' ? 'women' : 'men', units: units === 'lb' ? 'lb' : 'kg' }),
    [lines, category, units],
  );
  const rows = lines.map((line, index) => ({
    line,
    words: read.understood[index] ?? '',
    problems: read.problems.filter((problem) => problem.line === index + 1),
  }));
  return (
    <ul className="max-h-40 overflow-auto text-xs" aria-label="Understood, line by line">
      {rows
        .filter(({ line }) => line.trim() !== '')
        .map(({ line, words, problems }, index) => (
          <li key={index} className={problems.some(({ code }) => code !== 'assumed') ? 'text-bad' : 'text-soft'}>
            <b className="font-medium">{line.trim()}</b>: {words || 'not understood'}
            {problems.filter(({ code }) => code === 'assumed').map(({ message }) => ` (${message.replace(/^“[^”]*”: /, '').replace(/\.$/, '')})`)}
          </li>
        ))}
    </ul>
  );
}
