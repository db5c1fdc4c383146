/** One movement of the catalogue: what it trains, what it needs, where its load goes and what limits it. */
import type { CountUnit } from '../units/count-unit';
import type { Needs } from './needs';

export type MovementId = string;

export const patterns = [
  'squat',
  'hinge',
  'lunge',
  'horizontalPush',
  'verticalPush',
  'horizontalPull',
  'verticalPull',
  'trunkFlexion',
  'trunkExtension',
  'trunkRotation',
  'trunkBrace',
  'jump',
  'rope',
  'run',
  'machine',
  'carry',
  'crawl',
  'groundToOverhead',
  'mobility',
] as const;
export type Pattern = (typeof patterns)[number];

export const muscles = ['quads', 'posterior', 'chest', 'shoulders', 'back', 'arms', 'grip', 'trunk', 'calves'] as const;
export type Muscle = (typeof muscles)[number];

export const avoidTags = ['running', 'jumping', 'overhead', 'kneeling', 'deep_knee', 'hanging', 'inverted', 'wrists', 'spinal_loading', 'high_impact'] as const;
export type AvoidTag = (typeof avoidTags)[number];

export type Implement = 'barbell' | 'dumbbell' | 'kettlebell' | 'sandbag' | 'backpack' | 'can' | 'plate' | 'stick' | 'vest' | 'band';
export type Stance = 'standing' | 'seated' | 'kneeling';
export type Position = 'hands' | 'rack' | 'back' | 'goblet' | 'hug' | 'shoulder' | 'overhead' | 'feet' | 'worn';

export interface LoadRule {
  readonly implements: readonly Implement[];
  readonly count: 1 | 2;
  readonly position: Position;
  /** true: the movement is also done without any load */
  readonly optional: boolean;
  /** nobody has more of it in kilograms: a larger figure without a unit is in pounds */
  readonly kilogramsUpTo?: number;
}

/** Reference lifts: one-repetition maxima in kg, the whole load. */
export const lifts = ['backSquat', 'deadlift', 'strictPress', 'benchPress', 'clean', 'snatch', 'row'] as const;
export type Lift = (typeof lifts)[number];
/** Reference sets: most repetitions (or seconds) in one go. */
export const sets = ['strictPullUp', 'pushUp', 'dip', 'toesToBar', 'sitUp', 'handstandPushUp', 'doubleUnder', 'muscleUp', 'plank', 'hang'] as const;
export type BestSet = (typeof sets)[number];
export type Engine = 'run' | 'row' | 'bike' | 'airBike' | 'ski';

/** What stops an athlete first. */
export type Limit =
  /** `ratio` × the reference lift is the max of the external load; `bodyShare` × body mass counts on both sides of the share */
  | { readonly by: 'lift'; readonly lift: Lift; readonly ratio: number; readonly bodyShare: number }
  /** `ratio` × the reference set; with `bodyMassShare`, the reps also follow the share of body mass that is moved */
  | { readonly by: 'set'; readonly set: BestSet; readonly ratio: number; readonly bodyMassShare: number | null }
  | { readonly by: 'engine'; readonly engine: Engine }
  /** so light that breathing stops it long before the muscles: `reps` is a round figure for a trained athlete */
  | { readonly by: 'ease'; readonly reps: number };

export interface Movement {
  readonly id: MovementId;
  readonly name: string;
  readonly aliases: readonly string[];
  readonly family: string;
  /** shares of the work, summing to 1 */
  readonly patterns: Readonly<Partial<Record<Pattern, number>>>;
  /** how much each muscle group tires, the hardest one 1 */
  readonly muscles: Readonly<Partial<Record<Muscle, number>>>;
  readonly unit: CountUnit;
  readonly side: 'both' | 'alternating' | 'perSide';
  readonly needs: Needs;
  readonly needsText: string;
  readonly load: LoadRule | null;
  readonly floor: { readonly lengthM: number; readonly widthM: number };
  /** a load goes above the head: from which stance, and whether fast (leg drive, thrown) */
  readonly overhead: { readonly from: Stance; readonly fast: boolean } | null;
  /** both feet leave the floor together */
  readonly jumps: boolean;
  /** 0 a foot stays on the floor · 1 running, hopping, rope · 2 jumps that land in the knees */
  readonly impact: 0 | 1 | 2;
  readonly drops: boolean;
  readonly avoid: readonly AvoidTag[];
  readonly limit: Limit;
  /** metabolic cost of a rep (metre, second) that carries no load, J per kg of body mass */
  readonly joulesPerKg: number;
  /** rise of the body and of the load a rep, as shares of stature */
  readonly rise: { readonly body: number; readonly load: number };
  /** seconds a rep (metre, second) takes when fresh and light */
  readonly cycleSeconds: number;
  /** the pace is a pendulum's, a flight's or a walk's, whatever the load */
  readonly keepsPace: boolean;
  /** seconds to start again after a break: pick up, chalk, jump to the bar */
  readonly resetSeconds: number;
  /** 0 anybody · 1 some practice · 2 a learned skill · 3 an advanced skill */
  readonly skill: 0 | 1 | 2 | 3;
  /** owned only if the athlete's file says so, or a best set or a max of it is told */
  readonly mustBeTold: boolean;
  /** what is set until the written set fits: the angle of a row, the height of the hands, a band */
  readonly adjusts: 'angle' | 'height' | null;
  /** what its height is of: any surface or the wall, an edge that bears, a stair or low box, a box; null where the written height, if any, stands */
  readonly heightOf: 'surface' | 'edge' | 'lowStep' | 'box' | null;
  /** where a movement has a strict form: free is any style */
  readonly style: 'free' | 'strict' | 'kipping' | null;
  /** stands in only for who is new, old enough to step, or kept from all impact */
  readonly gentle: boolean;
  /** reps that still add up to a whole workout, where the trade says so */
  readonly mostInAll: number | null;
  /** a rep is a step, a kick or a tap: done by the hundred in one go */
  readonly small: boolean;
  /** taken when nothing else is left: healthy trained people do not march */
  readonly lastResort: boolean;
  /** what a wildcard is reckoned as: `any squat` as the one a coach would take first */
  readonly reckonedAs: MovementId | null;
  readonly standards: readonly string[];
  readonly noReps: readonly string[];
  readonly cautions: readonly string[];
  readonly easier: readonly MovementId[];
  readonly harder: readonly MovementId[];
  /** in place of the whole movement: `any squat`, `any press` */
  readonly anyOf: Pattern | null;
  /** for warm-ups and cool-downs only, never a swap */
  readonly prepareOnly: boolean;
  /** done where it is written, never proposed in place of another */
  readonly onlyAsWritten: boolean;
}
