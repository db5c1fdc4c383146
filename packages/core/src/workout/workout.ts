/**
 * The workout as a value. Everything is SI: kilograms, metres, seconds; heights in centimetres because that is what stands on the box.
 * A figure written in two columns keeps both (`men`, `women`); one figure fills both.
 */
import type { MassUnit } from '../units/mass';
import type { MovementId } from '../movements/movement';

export type Category = 'men' | 'women';
export interface Columns {
  readonly men: number;
  readonly women: number;
}
/** A span the coach leaves open; `low === high` when one figure was given. Totals use `high`. */
export interface Range {
  readonly low: number;
  readonly high: number;
}

export type CountUnit = 'reps' | 'm' | 'cal' | 's';
export type Count =
  | { readonly kind: 'fixed'; readonly men: number; readonly women: number; readonly low: number | null }
  | { readonly kind: 'rung' }
  | { readonly kind: 'ladder'; readonly rungs: readonly number[] }
  | { readonly kind: 'growing'; readonly start: number; readonly step: number }
  | { readonly kind: 'max' }
  | { readonly kind: 'matchTime' };

export type Prescription =
  | { readonly kind: 'mass'; readonly men: number; readonly women: number; readonly count: 1 | 2; readonly unit: MassUnit }
  | { readonly kind: 'share'; readonly men: number; readonly women: number }
  | { readonly kind: 'any' };

export type Hold = 'unbroken' | 'mayBreak';

export interface Slot {
  readonly kind: 'slot';
  readonly movement: MovementId;
  readonly unit: CountUnit;
  readonly count: Count;
  /** true: the count is for each side */
  readonly perSide: boolean;
  readonly load: Prescription | null;
  readonly heightCm: Columns | null;
  readonly hold: Hold | null;
  readonly tempo: string | null;
  readonly build: boolean;
  readonly side: 'left' | 'right' | null;
  /** slots with the same number are done without putting the implement down */
  readonly link: number | null;
  /** slots with the same `bracket.id` make one composite rep, done `times` times */
  readonly bracket: { readonly id: number; readonly times: number } | null;
  readonly note: string | null;
  /** the coach's other options, in the coach's order; each is one slot or a linked string */
  readonly alternatives: readonly (readonly Slot[])[];
}
export interface Pause {
  readonly kind: 'pause';
  readonly seconds: Range;
}
export interface Block {
  readonly kind: 'block';
  readonly rounds: Range;
  readonly ladder: readonly number[] | null;
  readonly restBetween: Range | null;
  readonly items: readonly Item[];
}
export type Item = Slot | Pause | Block;

export type ScoreKind = 'time' | 'rounds' | 'reps' | 'load' | 'distance' | 'calories' | 'eachSet' | 'sum' | 'done';
export interface Window {
  readonly low: number | null;
  readonly high: number | null;
  /** "8-12+": open above 8, the 12 kept as what is usual */
  readonly usual?: number;
  readonly unit: 'seconds' | 'rounds' | 'reps' | 'kg';
  readonly per: 'round' | 'set' | 'part' | 'workout';
}

interface PartBase {
  readonly name: string | null;
  readonly score: ScoreKind;
  /** false: the score was not said and follows from the kind */
  readonly scoreSaid: boolean;
  readonly window: Window | null;
  readonly intent: string | null;
  readonly optional: boolean;
  readonly noPartition: boolean;
  readonly vest: (Columns & { readonly unit: MassUnit }) | null;
  readonly startsAtFinishOrCap: boolean;
  readonly notes: readonly string[];
}
export interface AmrapPart extends PartBase {
  readonly kind: 'amrap';
  readonly seconds: Range;
  readonly sets: number;
  readonly restBetween: Range | null;
  readonly items: readonly Item[];
}
export interface ForTimePart extends PartBase {
  readonly kind: 'forTime';
  readonly capSeconds: number | null;
  readonly capPerSet: boolean;
  readonly sets: number;
  readonly restBetween: Range | null;
  readonly items: readonly Item[];
}
export interface EveryPart extends PartBase {
  readonly kind: 'every';
  readonly intervalSeconds: number;
  readonly count: number;
  readonly capSeconds: number | null;
  /** one station: all its items in each interval; several: they rotate */
  readonly stations: readonly (readonly Item[])[];
}
export interface Segment {
  readonly workSeconds: number;
  readonly restSeconds: number;
}
export interface IntervalsPart extends PartBase {
  readonly kind: 'intervals';
  readonly segments: readonly Segment[];
  readonly circuitRounds: number | null;
  readonly stations: readonly (readonly Item[])[];
}
export interface WindowsPart extends PartBase {
  readonly kind: 'windows';
  readonly intervalSeconds: number;
  readonly count: number;
  readonly capSeconds: number | null;
  readonly windows: readonly (readonly Item[])[];
}
export interface MaxLoadPart extends PartBase {
  readonly kind: 'maxLoad';
  readonly seconds: number;
  readonly items: readonly Item[];
}
export interface StrengthPart extends PartBase {
  readonly kind: 'strength';
  readonly everySeconds: number | null;
  readonly sets: number;
  readonly restBetween: Range | null;
  readonly items: readonly Item[];
}
export interface RestPart extends PartBase {
  readonly kind: 'rest';
  readonly seconds: number | null;
  readonly untilSeconds: number | null;
}
export interface QualityPart extends PartBase {
  readonly kind: 'quality';
  readonly seconds: number | null;
  readonly items: readonly Item[];
}
export type Part = AmrapPart | ForTimePart | EveryPart | IntervalsPart | WindowsPart | MaxLoadPart | StrengthPart | RestPart | QualityPart;
export type PartKind = Part['kind'];

export interface Tier {
  readonly name: string;
  readonly parts: readonly Part[];
}
export interface Workout {
  readonly title: string | null;
  readonly intent: string | null;
  readonly notes: readonly string[];
  readonly parts: readonly Part[];
  readonly tiers: readonly Tier[];
}
