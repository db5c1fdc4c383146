/** Text → lines: bullets gone, indentation counted, blank lines kept as breaks between paragraphs. */
import { Cursor } from '../text/cursor';
import { fold, mostFigure } from '../text/lexer';
import { most } from './limits';
import type { ReadProblem, Span } from './problems';

export interface Line {
  /** from 1 */
  readonly number: number;
  /** white space before the text, a tab counting four */
  readonly indent: number;
  /** characters before the text */
  readonly column: number;
  readonly text: string;
  /** stands behind a header on its line: commas part movements even where no figure follows them */
  readonly listed?: true;
}

const lead = /^[ \t\u00a0]*(?:[-*•·–—][ \t]+)?/;
/** `rest 40:00:00`: longer than a session */
function longRestIn(text: string): { at: number; length: number; seconds: number } | null {
  const found = /\d+(?::\d{2}){1,2}/.exec(/\b(?:rest|recover)/i.test(text) ? text : '');
  const seconds = found ? found[0].split(':').reduce((sum, figure) => sum * 60 + Number(figure), 0) : 0;
  return found && seconds > most.seconds ? { at: found.index, length: found[0].length, seconds } : null;
}
/** @param report told of lines and texts that are too long */
export function scanLines(source: string, report: (problem: ReadProblem) => void): Line[] {
  const whole = source.slice(0, most.length);
  if (source.length > most.length) report({ code: 'limit', span: { line: 1, column: 1, length: 1 }, limit: 'length', found: source.length, most: most.length });
  const rows = whole.split(/\r\n|\r|\n/);
  if (rows.length > most.lines)
    report({ code: 'limit', span: { line: most.lines, column: 1, length: 1 }, limit: 'lines', found: rows.length, most: most.lines });
  return rows.slice(0, most.lines).map((row, index) => {
    const before = lead.exec(row.slice(0, most.lineLength))![0];
    const text = row.slice(before.length, before.length + most.lineLength).trimEnd();
    if (row.trimEnd().length > before.length + most.lineLength)
      report({ code: 'limit', span: { line: index + 1, column: 1, length: most.lineLength }, limit: 'lineLength', found: row.length, most: most.lineLength });
    const vast = /\d{10,}/.exec(text);
    if (vast)
      report({
        code: 'limit',
        span: { line: index + 1, column: before.length + vast.index + 1, length: vast[0].length },
        limit: 'figure',
        found: mostFigure,
        most: most.figure,
      });
    const rest = longRestIn(text);
    if (rest)
      report({
        code: 'limit',
        span: { line: index + 1, column: before.length + rest.at + 1, length: rest.length },
        limit: 'minutes',
        found: rest.seconds,
        most: most.seconds,
      });
    const indent = [...before].reduce((sum, sign) => sum + (sign === '\t' ? 4 : 1), 0);
    return { number: index + 1, indent: text === '' ? 0 : indent, column: before.length, text };
  });
}

/** Lines → paragraphs, split at blank lines. */
export function paragraphsOf(lines: readonly Line[]): Line[][] {
  const paragraphs: Line[][] = [];
  let current: Line[] = [];
  for (const line of lines) {
    if (line.text !== '') current.push(line);
    else if (current.length > 0) {
      paragraphs.push(current);
      current = [];
    }
  }
  return current.length > 0 ? [...paragraphs, current] : paragraphs;
}

export const cursorOf = (line: Line): Cursor => Cursor.over(line.text);
export const spanOfLine = (line: Line): Span => ({ line: line.number, column: line.column + 1, length: Math.max(1, line.text.length) });
/** Tokens of a line → place. */
export function spanIn(line: Line, cursor: Cursor, from: number, to: number): Span {
  const first = cursor.tokens[Math.min(from, cursor.tokens.length - 1)];
  const last = cursor.tokens[Math.min(Math.max(from, to - 1), cursor.tokens.length - 1)];
  const at = first?.at ?? 0;
  return { line: line.number, column: line.column + at + 1, length: Math.max(1, (last?.end ?? at) - at) };
}
/** What is left of a line behind a token, as a line of its own at the same indentation. */
export function restOfLine(line: Line, cursor: Cursor, from: number): Line {
  const at = cursor.tokens[from]?.at ?? line.text.length;
  return { ...line, column: line.column + at, text: line.text.slice(at) };
}
export const folded = (line: Line): string => fold(line.text);
