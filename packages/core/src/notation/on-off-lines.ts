/** Work and rest in lines of their own: `3 min on: row for cals` over `1 min off`, once or in turns. */
import { readDuration } from '../text/figures';
import type { Segment } from '../workout/workout';
import { cursorOf, restOfLine, type Line } from './lines';

interface OnOff {
  readonly segments: readonly Segment[];
  /** what is done in each of them */
  readonly work: readonly Line[];
}

/** `3 min on: row for cals`. @returns the seconds and what is left of the line */
function readOn(line: Line): { seconds: number; work: Line } | null {
  const cursor = cursorOf(line);
  const seconds = readDuration(cursor, 'none', true);
  if (!seconds || !cursor.word('on', 'work')) return null;
  cursor.sign(':', ',', '-');
  return cursor.done ? null : { seconds, work: restOfLine(line, cursor, cursor.at) };
}
/** `1 min off`. */
function readOff(line: Line): number | null {
  const cursor = cursorOf(line);
  const seconds = readDuration(cursor, 'none', true);
  if (seconds === null || !cursor.word('off', 'rest', 'easy')) return null;
  return cursor.done ? seconds : null;
}

/** @returns null where the lines are anything else */
export function readOnOffLines(lines: readonly Line[]): OnOff | null {
  if (lines.length === 0 || lines.length % 2 !== 0) return null;
  const pairs = lines.flatMap((line, at) => {
    const [on, off] = at % 2 === 0 ? [readOn(line), readOff(lines[at + 1]!)] : [null, null];
    return on && off !== null ? [{ on, off }] : [];
  });
  if (2 * pairs.length !== lines.length) return null;
  return { segments: pairs.map(({ on, off }) => ({ workSeconds: on.seconds, restSeconds: off })), work: pairs.map(({ on }) => on.work) };
}
