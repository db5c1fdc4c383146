/** What the rounds of a header repeat, and what is done once before and after them: `4 rounds for time`, its lines, `cash-out: 40 sit-up`. */
import { readFrame, readThen } from './labels';
import { cursorOf, spanOfLine, type Line } from './lines';
import type { Opening } from './open-part';

export interface Framed {
  readonly before: readonly Line[];
  readonly inside: readonly Line[];
  readonly after: readonly Line[];
}

const isRest = (line: Line): boolean => cursorOf(line).isWord('rest');
const isCashOut = (line: Line): boolean => readFrame(cursorOf(line)) === 'cashOut';
const isThen = (line: Line): boolean => readThen(cursorOf(line)) || cursorOf(line).isWord('then');

/** Where the rounds end: where the lines below the header are indented with them, else at a cash-out or a "then". */
function endOf(work: readonly Line[], base: number): number {
  const [head] = work;
  const indented = head !== undefined && head.indent > base;
  const end = work.findIndex((line) => (indented ? line.indent <= base || isCashOut(line) : line.indent <= base && (isCashOut(line) || isThen(line))));
  // a rest behind the rounds and nothing more stands between them
  return end <= 0 || work.slice(end).every(isRest) ? work.length : end;
}
/** How many lines at the head of the rounds are a buy-in. */
function buyInOf(inside: readonly Line[]): number {
  const other = inside.findIndex((line) => readFrame(cursorOf(line)) !== 'buyIn');
  return Math.max(0, other);
}

/** Lines that are done once and say so by their place alone are told. @param work of a header that may have rounds or rungs */
export function framed(work: readonly Line[], { header, first, reader }: Opening): Framed {
  if (header.rounds === null && header.ladder === null) return { before: [], inside: work, after: [] };
  const end = endOf(work, first.indent);
  const inside = work.slice(0, end);
  const after = work.slice(end);
  const start = buyInOf(inside);
  const unsaid = after.find((line) => line.indent <= first.indent);
  if (unsaid && !isCashOut(unsaid) && !isThen(unsaid))
    reader.report({ code: 'read_as', span: spanOfLine(unsaid), text: unsaid.text, as: 'done once, after the rounds' });
  return { before: inside.slice(0, start), inside: inside.slice(start), after };
}
