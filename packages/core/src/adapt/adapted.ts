/** What an adaptation gives, and what it is asked with. */
import type { Place } from '../kit/kit';
import type { HouseRules } from '../rules/house-rules';
import type { Prediction } from '../simulate/predict';
import type { Run } from '../simulate/walk-program';
import type { MassUnit } from '../units/mass';
import type { Window, Workout } from '../workout/workout';
import type { Lock } from './lock';
import type { NearTier } from './tiers';
import type { Drift } from './told/drift';
import type { Ledgers } from './told/ledgers';
import type { VersionPart } from './told/version-slots';
import type { VersionWarning } from './told/warnings';

export interface Adapted {
  readonly version: { readonly parts: readonly VersionPart[]; readonly text: string };
  readonly workout: Workout;
  readonly intent: {
    readonly window: Window | null;
    readonly parts: readonly { readonly window: Window | null; readonly target: number | null }[];
    readonly words: readonly string[];
    /** 1 where nothing was cut for a newer athlete; the share of the clock or scheme that is left */
    readonly shortened: number;
  };
  readonly predicted: Prediction;
  readonly drift: Drift;
  readonly partDrifts: readonly Drift[];
  /** the leading score lies in the coach's window; null without one */
  readonly insideWindow: boolean | null;
  /** and in the tolerant band that edits are made for; null where there is none */
  readonly insideBand: boolean | null;
  /** what one slot took and another gave, seconds a bout against the original */
  readonly ledgers: Ledgers;
  /** the tier of the text, or of the usual ones, that is nearest to this athlete here */
  readonly nearestTier: NearTier;
  /** what a score in this version will tell: 1 is in proportion to fitness, and the share a 4 % day leaves uncertain of the fitness */
  readonly comparability: { readonly elasticity: number; readonly uncertainty: number };
  readonly warnings: readonly VersionWarning[];
  readonly assumed: readonly string[];
  readonly run: Run;
}
export interface AdaptOptions {
  readonly place?: Place;
  readonly rules?: HouseRules;
  readonly locks?: readonly Lock[];
  /** of loads without a unit in what was written by hand */
  readonly units?: MassUnit;
  readonly seed?: number;
  readonly runs?: number;
}

/** s of a part for whatever is weighted by length */
export const lengthOf = ({ parts }: Workout, run: Run, index: number): number =>
  parts[index]!.kind === 'rest' ? 0 : Math.max(1, run.parts[index]!.endSeconds - run.parts[index]!.startSeconds);
