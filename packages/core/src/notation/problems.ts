/** What the reader found, as data; the sentences live here and nowhere else. */
import { assertNever } from '../units/assert-never';

export interface Span {
  /** from 1 */
  readonly line: number;
  /** from 1 */
  readonly column: number;
  readonly length: number;
}
export type ReadProblem =
  | { readonly code: 'unknown_movement'; readonly span: Span; readonly text: string; readonly nearest: readonly string[] }
  | { readonly code: 'unreadable'; readonly span: Span; readonly text: string; readonly expected: string }
  | { readonly code: 'empty'; readonly span: Span }
  | { readonly code: 'no_count'; readonly span: Span; readonly text: string }
  | { readonly code: 'no_movement'; readonly span: Span; readonly header: string }
  | { readonly code: 'no_cap'; readonly span: Span }
  | { readonly code: 'cap_assumed_open'; readonly span: Span }
  | { readonly code: 'no_rounds'; readonly span: Span }
  | { readonly code: 'no_duration'; readonly span: Span; readonly header: string }
  | { readonly code: 'minutes_do_not_add_up'; readonly span: Span; readonly intervals: number; readonly stations: number }
  | { readonly code: 'ladders_disagree'; readonly span: Span; readonly lengths: readonly number[] }
  | { readonly code: 'cap_before_window'; readonly span: Span; readonly capSeconds: number; readonly windowSeconds: number }
  | { readonly code: 'cap_over_interval'; readonly span: Span; readonly capSeconds: number; readonly intervalSeconds: number }
  | { readonly code: 'windows_do_not_add_up'; readonly span: Span; readonly intervals: number; readonly windows: number }
  | { readonly code: 'holds_over_interval'; readonly span: Span; readonly holdSeconds: number; readonly intervalSeconds: number }
  | { readonly code: 'long_rest'; readonly span: Span; readonly seconds: number }
  | { readonly code: 'unit_assumed'; readonly span: Span; readonly text: string };

export type Level = 'error' | 'warning' | 'info';
export interface Diagnostic extends Span {
  readonly code: ReadProblem['code'];
  readonly level: Level;
  readonly message: string;
  readonly suggestion?: string;
}

const minutes = (seconds: number): string => `${Math.floor(seconds / 60)}:${String(Math.round(seconds % 60)).padStart(2, '0')}`;

function say(problem: ReadProblem): { level: Level; message: string; suggestion?: string } {
  switch (problem.code) {
    case 'unknown_movement':
      return {
        level: 'error',
        message: `“${problem.text}” is not a movement Gambito knows.${problem.nearest.length ? ` Nearest: ${problem.nearest.map((id) => id.replaceAll('-', ' ')).join(', ')}.` : ''}`,
        ...(problem.nearest[0] ? { suggestion: problem.nearest[0].replaceAll('-', ' ') } : {}),
      };
    case 'unreadable':
      return { level: 'error', message: `“${problem.text}” cannot be read here; expected ${problem.expected}.` };
    case 'empty':
      return { level: 'error', message: 'No workout yet: write a header such as “AMRAP 12:00” and its movements below it.' };
    case 'no_count':
      return { level: 'warning', message: `How many? “${problem.text}” has no count; it is read as “max”.`, suggestion: `10 ${problem.text}` };
    case 'no_movement':
      return { level: 'warning', message: `“${problem.header}” has no movements below it.` };
    case 'no_cap':
      return { level: 'warning', message: 'For time without a cap or a window: nobody knows when it ends.', suggestion: 'cap 15:00' };
    case 'cap_assumed_open':
      return { level: 'info', message: 'No cap here; the clock runs until the work is done.' };
    case 'no_rounds':
      return { level: 'warning', message: 'How often? The intervals have no count; read as 8.', suggestion: 'x 8' };
    case 'no_duration':
      return { level: 'warning', message: `“${problem.header}” has no duration; read as 10:00.`, suggestion: '10:00' };
    case 'minutes_do_not_add_up':
      return {
        level: 'warning',
        message: `${problem.intervals} intervals do not divide by ${problem.stations} stations: the last round is cut off.`,
        suggestion: `${Math.max(1, Math.round(problem.intervals / problem.stations)) * problem.stations} intervals`,
      };
    case 'ladders_disagree':
      return { level: 'warning', message: `The ladders have ${problem.lengths.join(' and ')} rungs; which one is meant?` };
    case 'cap_before_window':
      return {
        level: 'warning',
        message: `The cap ${minutes(problem.capSeconds)} comes before the window begins at ${minutes(problem.windowSeconds)}: it cannot be met.`,
        suggestion: `cap ${minutes(Math.ceil((problem.windowSeconds * 1.25) / 60) * 60)}`,
      };
    case 'cap_over_interval':
      return { level: 'warning', message: `The cap ${minutes(problem.capSeconds)} is longer than the interval ${minutes(problem.intervalSeconds)}.` };
    case 'windows_do_not_add_up':
      return { level: 'warning', message: `${problem.intervals} windows are announced and ${problem.windows} written.` };
    case 'holds_over_interval':
      return {
        level: 'warning',
        message: `The seconds written add up to ${minutes(problem.holdSeconds)}, more than the interval of ${minutes(problem.intervalSeconds)}.`,
      };
    case 'long_rest':
      return {
        level: 'warning',
        message: `A rest of ${minutes(problem.seconds)}: are seconds meant?`,
        suggestion: `rest ${minutes(Math.round(problem.seconds / 60))}`,
      };
    case 'unit_assumed':
      return { level: 'info', message: `“${problem.text}” has no unit; read as kilograms.` };
    default:
      return assertNever(problem, 'say');
  }
}

export function diagnose(problem: ReadProblem): Diagnostic {
  return { code: problem.code, ...problem.span, ...say(problem) };
}
