/** What a run shows that a coach must hear: intervals the work does not fit in, where time is called, slots nobody gets to. */
import { wordsOf } from '../notation/format-workout';
import { slotsOfPart } from '../workout/walk';
import type { Part } from '../workout/workout';
import type { Run } from './walk-program';

export interface RunWarning {
  readonly code: 'not_reached' | 'falls_behind';
  readonly message: string;
}

const listed = (names: readonly string[]): string => (names.length > 3 ? `${names.slice(0, 3).join(', ')} and ${names.length - 3} more` : names.join(', '));

export function runWarnings(parts: readonly Part[], run: Run): RunWarning[] {
  return run.parts.flatMap((result, index): RunWarning[] => {
    const part = parts[index]!;
    const found: RunWarning[] = [];
    const slots = slotsOfPart(part);
    if (part.kind === 'forTime' && result.reached) {
      const { slot, repsLeft } = result.reached;
      const seen = new Set(run.trace.filter((block) => block.part === index).map((block) => block.slot));
      const never = run.trace.length > 0 ? slots.filter((_, at) => !seen.has(at)).map((each) => wordsOf(each.movement)) : [];
      found.push({
        code: 'not_reached',
        message: `Part ${index + 1}: time is called at ${slots[slot] ? wordsOf(slots[slot].movement) : 'the last movement'}, with about ${Math.round(repsLeft)} reps left${never.length > 0 ? `; never reached: ${listed([...new Set(never)])}` : ''}.`,
      });
    }
    if ((part.kind === 'every' || part.kind === 'windows') && result.fellBehind > 0)
      found.push({ code: 'falls_behind', message: `Part ${index + 1}: the work does not fit in ${result.fellBehind} of ${part.count} intervals.` });
    return found;
  });
}
