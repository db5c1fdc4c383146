/** Adaptation: workout × athlete × place × house rules → one version, with its reasons, its prediction and its drift. Pure and deterministic. */
import type { Athlete } from '../athlete/athlete';
import { barePlace, type Place } from '../kit/kit';
import { formatWorkout } from '../notation/format-workout';
import { defaultRules, type HouseRules } from '../rules/house-rules';
import { comparabilityOf } from '../scoring/score-of-fitness';
import { compile } from '../simulate/program';
import { predictWorkout, type Prediction } from '../simulate/predict';
import type { Run } from '../simulate/walk-program';
import { stimulusOf } from '../stimulus/stimulus';
import { insideWindow } from '../stimulus/window';
import { summarize } from '../workout/summary';
import type { Window, Workout } from '../workout/workout';
import type { Lock } from './lock';
import { timeDriftOf } from './part/band';
import type { PlannedPart } from './part/plan-parts';
import { planVersion, type Planned } from './planned';
import type { AdaptContext } from './slot/question';
import { nearestTier, type NearTier } from './tiers';
import { combineDrift, driftOf, noDrift, type Drift } from './told/drift';
import { editsOfPart } from './told/edits';
import { ledgersOf, type Ledgers } from './told/ledgers';
import { versionSlots, type VersionPart } from './told/version-slots';
import { versionWarnings, type VersionWarning } from './told/warnings';

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
  readonly seed?: number;
  readonly runs?: number;
}

/**
 * One version of a workout for one athlete in one place.
 * @param athlete what is known; anything missing is estimated and listed under `assumed`
 * @returns the version; it breaks no hard limit unless a lock asks for it, and then says so
 */
export function adapt(workout: Workout, athlete: Athlete, options: AdaptOptions = {}): Adapted {
  const place = options.place ?? athlete.places[0] ?? barePlace;
  const locks = options.locks ?? [];
  const made = planVersion(workout, athlete, place, options.rules ?? defaultRules, locks);
  const { parts: planned, intent, context, from } = made;
  const parts = planned.map((each) => each.part);
  const adapted: Workout = { title: workout.title, intent: workout.intent, notes: workout.notes, parts, tiers: [] };
  const { run, assumed, ...predicted } = predictWorkout(adapted, context.capacity, { seed: options.seed ?? 1, runs: options.runs ?? 100, place });
  const versionParts = partsOf(workout, adapted, made);
  const drifts = planned.map((each) => driftOfPart(each, context));
  const lead = predicted.perPart[0]?.part ?? 0;
  const comparability = comparabilityOf(adapted, context.capacity);
  return {
    version: { parts: versionParts, text: formatWorkout(adapted) },
    workout: adapted,
    intent: {
      window: intent.parts[lead]?.window ?? null,
      parts: intent.parts.map(({ window, target }) => ({ window, target })),
      words: intent.words,
      shortened: made.cut.length > 0 ? shortenedTo(workout, adapted, from) : 1,
    },
    predicted,
    drift: combineDrift(drifts.map((drift, index) => ({ drift, seconds: lengthOf(adapted, run, index) }))),
    partDrifts: drifts,
    insideWindow: intent.parts[lead] && planned[lead] ? insideWindow(intent.parts[lead], planned[lead].part.kind, run.parts[lead]!.score) : null,
    insideBand: planned[lead]?.plan?.space.band ? planned[lead].plan.evaluated.beyond === 0 : null,
    ledgers: ledgersOf(planned),
    nearestTier: nearestTier(workout.tiers, athlete, place),
    comparability,
    warnings: versionWarnings({
      workout,
      adapted,
      planned,
      versionParts,
      intent,
      run,
      context,
      locks,
      cut: made.cut,
      said: made.said,
      elasticity: comparability.elasticity,
    }),
    assumed,
    run,
  };
}

const lengthOf = ({ parts }: Workout, run: Run, index: number): number =>
  parts[index]!.kind === 'rest' ? 0 : Math.max(1, run.parts[index]!.endSeconds - run.parts[index]!.startSeconds);

/** Share of the clocks that are left of a workout cut for a newer athlete; without a clock, of the work. */
function shortenedTo(workout: Workout, adapted: Workout, from: readonly number[]): number {
  const [before, after] = [summarize(workout).parts, summarize(adapted).parts];
  const shares = adapted.parts.flatMap((part, at) => {
    const [then, now] = [before[from[at]!]!.seconds, after[at]!.seconds];
    return part.kind !== 'rest' && then !== null && now !== null && now < then ? [now / then] : [];
  });
  return shares.length > 0 ? Math.min(...shares) : 0.75;
}

function partsOf(workout: Workout, adapted: Workout, { parts: planned, from, context }: Planned): VersionPart[] {
  const summary = summarize(adapted);
  return planned.map((each, index): VersionPart => {
    const written = workout.parts[from[index]!]!;
    const { seconds, capSeconds, rounds, sets, setSeconds } = summary.parts[index]!;
    return {
      kind: each.part.kind,
      capSeconds,
      seconds,
      rounds,
      sets,
      setSeconds,
      restSeconds: 'restBetween' in each.part ? (each.part.restBetween?.high ?? null) : null,
      from: [from[index]!],
      slots: versionSlots(written, each, context),
      edits: editsOfPart(written, each, context),
    };
  });
}

/** How far a part is from what it was meant to be; what it is scored by counts as another kind where the part was replaced. */
function driftOfPart({ plan, part, aim, replaced }: PlannedPart, context: AdaptContext): Drift {
  if (!plan) return noDrift;
  const program = compile({ parts: [part] }, context.capacity, context.place);
  const { band } = plan.space;
  const time = part.kind === 'every' ? Math.expm1(plan.evaluated.beyond) : band ? timeDriftOf(band, plan.result.score) : 0;
  return driftOf(aim, stimulusOf(program, 0, plan.result), replaced ? 0 : time, replaced ? 1 : 0);
}
