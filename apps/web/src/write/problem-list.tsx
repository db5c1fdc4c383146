import type { Diagnostic } from '@gambito/core';
import { Button } from '../ui/button';

interface Props {
  readonly problems: readonly Diagnostic[];
  /** puts a remark's fix into the text, by a click or a thumb */
  readonly take?: (problem: Diagnostic) => void;
}

/** What could not be read, or what a coach should hear of it, line by line. */
export function ProblemList({ problems, take }: Props) {
  if (problems.length === 0) return null;
  return (
    <ul className="max-h-36 overflow-auto text-sm" aria-label="Problems">
      {problems.map((problem) => (
        <ProblemLine key={`${problem.line}:${problem.column}:${problem.message}`} problem={problem} take={take} />
      ))}
    </ul>
  );
}

function ProblemLine({ problem, take }: { problem: Diagnostic; take: Props['take'] }) {
  const { line, level, message, suggestion, fix } = problem;
  return (
    <li className={`flex items-start gap-2 border-l-4 py-0.5 pl-2 ${level === 'error' ? 'border-bad' : 'border-amber'}`}>
      <span className="flex-1">
        <b>Line {line}:</b> {message}
      </span>
      {fix !== undefined && take ? (
        <Button className="!min-h-7 shrink-0 !py-0" onClick={() => take(problem)}>
          Take “{fix.replaceAll('\n', ' · ')}”
        </Button>
      ) : (
        suggestion && <span className="text-soft">Try “{suggestion}”.</span>
      )}
    </li>
  );
}
