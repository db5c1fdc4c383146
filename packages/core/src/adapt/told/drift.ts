/** How far a version's part is from its intent, in named, signed parts; and the one figure that sums them up. */
import { muscles, patterns, type Pattern } from '../../movements/movement';
import type { PartIntent } from '../../stimulus/intent';
import type { PartStimulus } from '../../stimulus/stimulus';

export interface Drift {
  /** 0 none … 1 another workout */
  readonly total: number;
  /** 0 inside the band, otherwise the signed distance to its nearest edge as a share of it: + takes longer (fewer rounds) than meant */
  readonly time: number;
  /** + feels heavier (a larger share of the reps at hand) */
  readonly load: number;
  /** 0…1: share of the work that moved to other patterns */
  readonly pattern: number;
  /** 0…1: share of the tiring work that moved to other muscle groups, grip aside */
  readonly muscles: number;
  /** + more work in all */
  readonly volume: number;
  readonly breathing: number;
  readonly grip: number;
  readonly skill: number;
  /** + more of the time is rest */
  readonly rest: number;
  /** share of what its score tells of the athlete that is lost: 0 as much as the original, 1 nothing */
  readonly comparability: number;
  /** 1 when the score is of another kind */
  readonly scoreType: number;
}

export const noDrift: Drift = {
  total: 0,
  time: 0,
  load: 0,
  pattern: 0,
  muscles: 0,
  volume: 0,
  breathing: 0,
  grip: 0,
  skill: 0,
  rest: 0,
  comparability: 0,
  scoreType: 0,
};

/** How much a unit of each part weighs in the total; a judgement of ours, written down in docs/model.md. */
export const driftWeights = {
  time: 1.6,
  load: 0.3,
  pattern: 0.9,
  muscles: 0.1,
  volume: 0.15,
  breathing: 0.3,
  grip: 0.2,
  skill: 0.15,
  rest: 0.05,
  comparability: 0.2,
  scoreType: 0.4,
} as const;

const logRatio = (now: number, then: number): number => Math.max(-2, Math.min(2, Math.log(Math.max(1e-3, now) / Math.max(1e-3, then))));

/** Breathing work stands in for breathing work: a run rowed is half a change, not a whole one. */
const breathingPatterns: readonly Pattern[] = ['run', 'machine', 'rope'];
const breathingSwap = 0.35;

const isBreathing = patterns.map((each) => breathingPatterns.includes(each));

/** Share of the work that moved to other patterns, 0…1; a move among the breathing patterns counts `breathingSwap` of that. Shares in the order of `patterns`. */
function patternDistance(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let others = 0;
  let breathing = 0;
  let more = 0;
  for (let at = 0; at < isBreathing.length; at++) {
    const difference = a[at]! - b[at]!;
    if (isBreathing[at]) {
      breathing += Math.abs(difference);
      more += difference;
    } else others += Math.abs(difference);
  }
  const between = Math.abs(more);
  return (others + between) / 2 + (breathingSwap * (breathing - between)) / 2;
}

const isGrip = muscles.map((each) => each === 'grip');
/** Share of the tiring work that moved to other muscle groups, 0…1. Grip has its own part. Shares in the order of `muscles`. */
function muscleDistance(a: ArrayLike<number>, b: ArrayLike<number>): number {
  let moved = 0;
  for (let at = 0; at < isGrip.length; at++) if (!isGrip[at]) moved += Math.abs(a[at]! - b[at]!);
  return moved / 2;
}

/** What of a stimulus the drift looks at apart from the score. */
type TimelessStimulus = Pick<PartStimulus, 'feel' | 'shares' | 'muscleShares' | 'joulesPerKg' | 'breathing' | 'gripShare' | 'skill' | 'elasticity'>;

/** The named parts that the score has no say in, and their weighted sum. */
function timelessDrift(
  { stimulus: original, weights, feelShift }: PartIntent,
  version: TimelessStimulus,
): Omit<Drift, 'total' | 'time' | 'rest' | 'scoreType'> & { readonly sum: number } {
  const load = version.feel - original.feel - feelShift;
  const pattern = patternDistance(version.shares, original.shares);
  const moved = muscleDistance(version.muscleShares, original.muscleShares);
  const volume = logRatio(version.joulesPerKg, original.joulesPerKg);
  const breathing = logRatio(version.breathing, original.breathing);
  const grip = version.gripShare - original.gripShare;
  const skill = (version.skill - original.skill) / 3;
  const comparability = Math.max(0, Math.min(1, 1 - version.elasticity / Math.max(0.05, original.elasticity)));
  const sum =
    // lighter than meant matters less than heavier than meant
    (weights.load ?? 1) * driftWeights.load * (load > 0 ? load : -0.6 * load) +
    (weights.pattern ?? 1) * driftWeights.pattern * pattern +
    (weights.pattern ?? 1) * driftWeights.muscles * moved +
    (weights.volume ?? 1) * driftWeights.volume * Math.abs(volume) +
    (weights.breathing ?? 1) * driftWeights.breathing * Math.abs(breathing) +
    (weights.grip ?? 1) * driftWeights.grip * Math.abs(grip) +
    (weights.skill ?? 1) * driftWeights.skill * Math.abs(skill) +
    driftWeights.comparability * comparability;
  return { load, pattern, muscles: moved, volume, breathing, grip, skill, comparability, sum };
}

/** Time counts double where the coach said that it must hold. */
const timeWeight = (intent: PartIntent): number => driftWeights.time * (intent.weights.time ?? 1);

/** @param time of the score, 0 inside the band (`part/band.ts`) @param scoreType 1 when the score is of another kind */
export function driftOf(intent: PartIntent, version: PartStimulus, time: number, scoreType: number): Drift {
  const { sum, ...parts } = timelessDrift(intent, version);
  // where the clock fixes the work, its share is the time part already
  const rest = intent.workShare === null ? version.restShare - intent.stimulus.restShare : 0;
  const whole = sum + timeWeight(intent) * Math.min(1.5, Math.abs(time)) + driftWeights.rest * Math.abs(rest) + driftWeights.scoreType * scoreType;
  return { total: 1 - Math.exp(-whole), time, ...parts, rest, scoreType };
}

/** One drift for a workout: its parts weighted by their length. */
export function combineDrift(parts: readonly { drift: Drift; seconds: number }[]): Drift {
  const whole = parts.reduce((sum, each) => sum + each.seconds, 0);
  if (whole <= 0) return noDrift;
  const mean = (pick: (drift: Drift) => number): number => parts.reduce((sum, each) => sum + pick(each.drift) * each.seconds, 0) / whole;
  return {
    total: mean((d) => d.total),
    time: mean((d) => d.time),
    load: mean((d) => d.load),
    pattern: mean((d) => d.pattern),
    muscles: mean((d) => d.muscles),
    volume: mean((d) => d.volume),
    breathing: mean((d) => d.breathing),
    grip: mean((d) => d.grip),
    skill: mean((d) => d.skill),
    rest: mean((d) => d.rest),
    comparability: mean((d) => d.comparability),
    scoreType: Math.max(...parts.map((each) => each.drift.scoreType)),
  };
}
