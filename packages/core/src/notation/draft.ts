/** One movement of a line as it is being read: what was taken so far, and where. */
import type { MassUnit } from '../units/mass';
import type { Columns, Count, Effort, Height, Prescription, SaidUnit, Slot } from '../workout/workout';
import type { ReadProblem, Span } from './problems';

export interface Figure {
  readonly columns: Columns;
  readonly from: number;
  readonly to: number;
  /** two figures with a slash between */
  readonly paired: boolean;
}

export interface Draft {
  /** words of the movement, as written, and their tokens */
  name: string;
  nameFrom: number;
  nameTo: number;
  count: Count | null;
  /** the count is a bare figure behind the name */
  trailing: boolean;
  unit: Slot['unit'] | null;
  unitSaid: SaidUnit | null;
  /** the unit was `"` or `'`: seconds and minutes for a hold, inches and feet for a height */
  quoted: boolean;
  /** `20 x 10 m`, `5x5`: sets of what follows */
  times: number | null;
  perSide: boolean;
  load: Prescription | null;
  heightCm: Height | null;
  hold: Slot['hold'];
  tempo: string | null;
  effort: Effort | null;
  build: boolean;
  side: Slot['side'];
  /** words that choose a kind of the movement: strict, hand release, walking */
  kinds: string[];
  /** figures without a unit that wait for the movement to say what they are */
  bare: Figure[];
  notes: { text: string; from: number; to: number }[];
  /** `(or ring rows)`: where the coach's other options stand */
  options: { from: number; to: number }[];
}

/** What a member is read with. */
export interface MemberContext {
  readonly room: MassUnit;
  readonly report: (problem: ReadProblem) => void;
  /** tokens of this line → place */
  readonly span: (from: number, to: number) => Span;
  /** the line began with a ladder or a count and a colon: commas part movements */
  readonly listed: boolean;
}

export const emptyDraft = (): Draft => ({
  name: '',
  nameFrom: 0,
  nameTo: 0,
  count: null,
  trailing: false,
  unit: null,
  unitSaid: null,
  quoted: false,
  times: null,
  perSide: false,
  load: null,
  heightCm: null,
  hold: null,
  tempo: null,
  effort: null,
  build: false,
  side: null,
  kinds: [],
  bare: [],
  notes: [],
  options: [],
});

export const fixed = (columns: Columns, low: number | null = null): Count => ({ kind: 'fixed', men: columns.men, women: columns.women, low });
