/**
 * The workout as a value. Everything is SI: kilograms, metres, seconds; heights in centimetres because that is what stands on the box.
 * A figure written in two columns keeps both (`men`, `women`); one figure fills both.
 */
import type { CountUnit } from '../units/count-unit';
import type { MassUnit } from '../units/mass';
import type { Implement, MovementId } from '../movements/movement';

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
/**
 * A rest. `low` and `high` are what totals and the clock reckon with, s. Without `open` they are what was written;
 * `recovered` and `asNeeded` are the athlete's to end, `ratio` is so many times the work before it, `left` whatever the interval leaves.
 */
export interface Rest extends Range {
  readonly open?: 'recovered' | 'asNeeded' | 'ratio' | 'left';
  /** seconds of rest a second of work, with `open: 'ratio'` */
  readonly ratio?: number;
}

export type { CountUnit };
export type Count =
  | { readonly kind: 'fixed'; readonly men: number; readonly women: number; readonly low: number | null }
  | { readonly kind: 'rung' }
  | { readonly kind: 'ladder'; readonly rungs: readonly number[] }
  | { readonly kind: 'growing'; readonly start: number; readonly step: number }
  /** as many as possible: in `seconds` where the slot has its own time, else in what is left */
  | { readonly kind: 'max'; readonly seconds?: number }
  | { readonly kind: 'matchTime' };

export type Prescription =
  /** kilograms of one implement; `sets` where every set has its own (60/70/80), the heaviest being `men` and `women` */
  | { readonly kind: 'mass'; readonly men: number; readonly women: number; readonly count: 1 | 2; readonly unit: MassUnit; readonly sets?: readonly number[] }
  /** share of the max of the movement; `low` where a span was written */
  | { readonly kind: 'share'; readonly men: number; readonly women: number; readonly sets?: readonly number[]; readonly low?: number }
  /** share of the athlete's body mass */
  | { readonly kind: 'bodyShare'; readonly men: number; readonly women: number }
  /** as heavy as the athlete can for the reps written */
  | { readonly kind: 'heavy' }
  | { readonly kind: 'any' };

/** How near to failure a set goes: rating of perceived exertion, or repetitions in reserve. */
export interface Effort {
  readonly kind: 'rpe' | 'rir';
  readonly value: number;
}
/** Other units a count may be written in; the model keeps metres and seconds. */
export type SaidUnit = 'km' | 'mile' | 'ft' | 'yd' | 'min' | 'clock';
/** A height in cm, and the unit it was written in where it was another. */
export interface Height extends Columns {
  readonly unit?: 'in' | 'ft';
}

export type Hold = 'unbroken' | 'mayBreak';

/** A movement of the coach's own: reckoned as one of the catalogue, under its own name. */
export interface OwnMovement {
  readonly name: string;
  /** time and work of a rep beside those of the movement it is reckoned as */
  readonly share: number;
  /** a demonstration */
  readonly link: string | null;
  /** what counts as a rep, in the coach's words */
  readonly standard: string | null;
}
export interface DefinedMovement {
  readonly own: OwnMovement;
  /** what it is reckoned as */
  readonly as: MovementId;
}
export interface Slot {
  readonly kind: 'slot';
  readonly movement: MovementId;
  /** the coach's own movement that `movement` stands for; null for the movement itself */
  readonly own: OwnMovement | null;
  /** the coach's own words for the movement; they count only while they still read as `movement` */
  readonly said: string | null;
  /** an implement named before a family (`can push press`), where the movement's own is another */
  readonly implement: Implement | null;
  readonly unit: CountUnit;
  readonly unitSaid: SaidUnit | null;
  readonly count: Count;
  /** true: the count is for each side */
  readonly perSide: boolean;
  readonly load: Prescription | null;
  readonly heightCm: Height | null;
  readonly hold: Hold | null;
  readonly tempo: string | null;
  readonly effort: Effort | null;
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
  readonly seconds: Rest;
}
export interface Block {
  readonly kind: 'block';
  readonly rounds: Range;
  readonly ladder: readonly number[] | null;
  readonly restBetween: Rest | null;
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

/** Several people on one workout. The counts are the team's; how they share is told and not modelled. */
export interface Team {
  readonly size: number;
  readonly how: 'youGoIGo' | 'synchro' | 'splitAsNeeded' | null;
}
/** Work that interrupts a part again and again: "every minute 5 squats". */
export interface Interruption {
  readonly everySeconds: number;
  readonly items: readonly Item[];
}

interface PartBase {
  /** a label over the part, as the coach wrote it: `A`, `Warm-up`, `Strength` */
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
  readonly team: Team | null;
  readonly interruption: Interruption | null;
  readonly notes: readonly string[];
}
export interface AmrapPart extends PartBase {
  readonly kind: 'amrap';
  readonly seconds: Range;
  readonly sets: number;
  readonly restBetween: Rest | null;
  readonly items: readonly Item[];
}
export interface ForTimePart extends PartBase {
  readonly kind: 'forTime';
  readonly capSeconds: number | null;
  readonly capPerSet: boolean;
  readonly sets: number;
  readonly restBetween: Rest | null;
  readonly items: readonly Item[];
}
export interface EveryPart extends PartBase {
  readonly kind: 'every';
  readonly intervalSeconds: number;
  readonly count: number;
  readonly capSeconds: number | null;
  /** the work grows until it no longer fits; `count` is then the most that is walked */
  readonly untilFailure: boolean;
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
  readonly restBetween: Rest | null;
  readonly items: readonly Item[];
}
export interface RestPart extends PartBase {
  readonly kind: 'rest';
  readonly seconds: number | null;
  readonly untilSeconds: number | null;
  /** the athlete ends it; `seconds` is then what it is reckoned as */
  readonly open: Rest['open'] | null;
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
  /** movements of the coach's own that the text defines; none where the text has none */
  readonly own?: readonly DefinedMovement[];
}
