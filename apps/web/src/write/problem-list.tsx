import type { Diagnostic } from '@gambito/core';

/** What could not be read, or what a coach should hear of it, line by line. */
export function ProblemList({ problems }: { problems: readonly Diagnostic[] }) {
  if (problems.length === 0) return null;
  return (
    <ul className="max-h-36 overflow-auto text-sm" aria-label="Problems">
      {problems.map(({ line, column, level, message, suggestion }) => (
        <li key={`${line}:${column}:${message}`} className={`border-l-4 py-0.5 pl-2 ${level === 'error' ? 'border-bad' : 'border-amber'}`}>
          <b>Line {line}:</b> {message}
          {suggestion && <span className="text-soft"> Try “{suggestion}”.</span>}
        </li>
      ))}
    </ul>
  );
}
