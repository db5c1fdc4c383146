/** Who trains: what is known of the person, nothing estimated. */
import type { AvoidTag, Engine, Pattern } from '../movements/movement';
import type { MassUnit } from '../units/mass';
import type { Category } from '../workout/workout';
import type { Place } from '../kit/kit';

export const levels = ['new', 'newer', 'trained', 'competitive'] as const;
export type Level = (typeof levels)[number];
export type AvoidName = AvoidTag;
export const avoidNames: readonly AvoidName[] = [
  'running',
  'jumping',
  'overhead',
  'kneeling',
  'deep_knee',
  'hanging',
  'inverted',
  'wrists',
  'spinal_loading',
  'high_impact',
];

export interface TimedEffort {
  readonly engine: Extract<Engine, 'run' | 'row' | 'bike'>;
  readonly metres: number;
  readonly seconds: number;
}
/** When a figure was measured, where the file says it. */
export interface Measured {
  /** years, in fractions */
  readonly yearsAgo: number;
  /** `2024-09`, as it was said */
  readonly on: string;
}
export interface KnownMax {
  readonly kg: number;
  readonly reps: number;
  readonly measured?: Measured;
}
/** A score of a workout already done: the text of the version, and the score as written. */
export interface LoggedResult {
  readonly workout: string;
  readonly score: string;
}
/** What such a result says, read once. */
export interface ReadPast {
  /** ln of the fitness that the score shows, 0 as the figures told say, and its standard deviation; null where it tells nothing */
  readonly fitness: { readonly log: number; readonly spread: number } | null;
  /** movement ids of what was done */
  readonly movements: readonly string[];
  /** counted reps of what was done */
  readonly reps: Readonly<Partial<Record<Pattern, number>>>;
  /** s that it took, as fit as the score shows; absent in what was read before it was asked */
  readonly seconds?: number;
}
export interface Athlete {
  readonly name: string;
  readonly category: Category;
  readonly bodyMassKg: number;
  readonly statureM: number;
  /** null: unknown */
  readonly ageYears: number | null;
  readonly level: Level;
  readonly units: MassUnit;
  /** by movement id: the load of a one-repetition max, or of a set of `reps` */
  readonly maxes: Readonly<Record<string, KnownMax>>;
  /** by movement id: most repetitions (or seconds) in one go */
  readonly bestSets: Readonly<Record<string, number>>;
  /** by movement id: when the best set was done, where it is said */
  readonly bestSetsMeasured?: Readonly<Record<string, Measured>>;
  readonly times: readonly TimedEffort[];
  readonly avoid: readonly AvoidName[];
  /** what speaks of harm and could not be placed: no version is made before the coach has answered it */
  readonly unanswered: readonly { readonly path: string; readonly text: string }[];
  /** by movement id, where the file says it; a told best set says it too */
  readonly skills: Readonly<Record<string, 'owned' | 'half' | 'no'>>;
  /** height of the raised hand, m, where it was measured */
  readonly reachM: number | null;
  readonly limits: { readonly squatDepth: string | null; readonly reach: string | null };
  readonly prefer: Readonly<Record<string, string>>;
  readonly timeAvailableSeconds: number | null;
  readonly places: readonly Place[];
  readonly results?: readonly (LoggedResult | ReadPast)[];
  /** what had to be assumed while reading */
  readonly assumed: readonly string[];
}
