/** What the reader found, as data: a code, a place and the figures. The sentences are in `sentences.ts`. */
import type { MassUnit } from '../units/mass';

export interface Span {
  /** from 1 */
  readonly line: number;
  /** from 1 */
  readonly column: number;
  readonly length: number;
}
interface At<Code extends string> {
  readonly code: Code;
  readonly span: Span;
}
export type LimitName = 'length' | 'lineLength' | 'lines' | 'rounds' | 'intervals' | 'nesting' | 'steps' | 'figure' | 'minutes';
export type ReadProblem =
  | (At<'unknown_movement'> & { readonly text: string; readonly nearest: readonly string[] })
  | (At<'unreadable'> & { readonly text: string; readonly expected: string })
  | At<'empty'>
  | (At<'no_count'> & { readonly text: string; readonly line: string })
  | (At<'zero_count'> & { readonly text: string })
  | (At<'no_movement'> & { readonly header: string })
  | (At<'no_cap'> & { readonly header: string; readonly titled: boolean })
  | At<'cap_assumed_open'>
  | (At<'no_rounds'> & { readonly header: string })
  | (At<'no_duration'> & { readonly header: string; readonly usual: string })
  | (At<'minutes_do_not_add_up'> & { readonly header: string; readonly intervals: number; readonly stations: number; readonly intervalSeconds: number })
  /** `rungs`: of the other ladder; null where the line stands under it */
  | (At<'ladders_disagree'> & { readonly header: string; readonly lengths: readonly number[]; readonly rungs: readonly number[] | null })
  | (At<'cap_before_window'> & { readonly header: string; readonly capSeconds: number; readonly windowSeconds: number })
  | (At<'cap_over_interval'> & { readonly header: string; readonly capSeconds: number; readonly intervalSeconds: number })
  | (At<'windows_do_not_add_up'> & { readonly header: string; readonly intervals: number; readonly windows: number; readonly intervalSeconds: number })
  | (At<'holds_over_interval'> & { readonly header: string; readonly intervals: number; readonly holdSeconds: number; readonly intervalSeconds: number })
  /** work that is done once, under a clock whose rounds repeat all of it */
  | (At<'once_in_rounds'> & { readonly header: string; readonly clock: string })
  | (At<'long_rest'> & { readonly header: string; readonly seconds: number })
  | (At<'unit_assumed'> & { readonly text: string; readonly unit: MassUnit })
  | (At<'height_assumed'> & { readonly text: string; readonly unit: 'cm' | 'in' })
  | (At<'read_as'> & { readonly text: string; readonly as: string })
  | (At<'kept_as_note'> & { readonly text: string })
  | (At<'unread_figure'> & { readonly text: string })
  /** words among the work that are no movement and have no count */
  | (At<'unread_words'> & { readonly text: string })
  /** a note that names a movement where nothing else was read as work */
  | (At<'unread_work'> & { readonly text: string; readonly movement: string })
  | (At<'load_as_before'> & { readonly text: string; readonly load: string })
  | (At<'share_cut'> & { readonly text: string; readonly low: number; readonly high: number })
  | (At<'unread_load'> & { readonly text: string })
  | (At<'team'> & { readonly size: number })
  | (At<'open_rest'> & { readonly low: number; readonly high: number })
  | (At<'interruption'> & { readonly text: string })
  /** work each time a set is broken: how often nobody can know */
  | (At<'penalty'> & { readonly text: string })
  | (At<'limit'> & { readonly limit: LimitName; readonly found: number; readonly most: number });

export type Level = 'error' | 'warning' | 'info';
export interface Diagnostic extends Span {
  readonly code: ReadProblem['code'];
  readonly level: Level;
  readonly message: string;
  readonly suggestion?: string;
  /** what may stand in the place of the span; one key takes it */
  readonly fix?: string;
}
