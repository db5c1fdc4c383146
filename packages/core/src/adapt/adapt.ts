/** Adaptation: workout × athlete × place × house rules → one version, with its reasons, its prediction and its drift. Pure and deterministic. */
import type { Athlete } from '../athlete/athlete';
import type { Capacity } from '../capacity/capacity';
import { barePlace, type Place } from '../kit/kit';
import { feasibleLoads } from '../kit/loads';
import { formatWorkout } from '../notation/format-workout';
import { defaultRules, type HouseRules } from '../rules/house-rules';
import { comparabilityOf } from '../scoring/score-of-fitness';
import { capacityOf } from '../scoring/learn-fitness';
import { compile } from '../simulate/program';
import { predictWorkout, type Prediction } from '../simulate/predict';
import { walkProgram, type Run } from '../simulate/walk-program';
import { deriveIntent } from '../stimulus/intent';
import { slotsOfPart } from '../workout/walk';
import { summarize } from '../workout/summary';
import type { Window, Workout } from '../workout/workout';
import type { AdaptContext } from './question';
import { combineDrift, insideWindow, noDrift, type Drift } from './drift';
import { ledgersOf, type Ledgers } from './ledgers';
import { planParts } from './plan-parts';
import { fitToTime, healed, restByRule, strictIfSaid, type Fitted } from './reshape';
import type { SlotLock } from './space';
import { nearestTier, type NearTier } from './tiers';
import { versionSlot, type VersionPart } from './version-slots';
import { versionWarnings, type VersionWarning } from './warnings';

export interface Lock extends SlotLock {
  /** number of the part as the coach wrote it */
  readonly part: number;
}
export interface Adapted {
  readonly version: { readonly parts: readonly VersionPart[]; readonly text: string };
  readonly workout: Workout;
  readonly intent: {
    readonly window: Window | null;
    readonly parts: readonly { readonly window: Window | null; readonly target: number | null }[];
    readonly words: readonly string[];
    readonly shortened: number;
  };
  readonly predicted: Prediction;
  readonly drift: Drift;
  readonly partDrifts: readonly Drift[];
  readonly insideWindow: boolean | null;
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

export function contextFor(athlete: Athlete, place: Place, rules: HouseRules): AdaptContext {
  return { athlete, capacity: capacityOf(athlete), place, rules, loads: feasibleLoads(place.kit) };
}

/** The workout this athlete can be asked: healed, in the style the rules ask, rests by rule, and no longer than the minutes there are. */
export function askedOf(workout: Workout, athlete: Athlete, capacity: Capacity, rules: HouseRules): Fitted {
  const whole = strictIfSaid({ ...workout, parts: workout.parts.map((part) => restByRule(healed(part), rules)) }, rules);
  if (athlete.timeAvailableSeconds === null) return { workout: whole, from: whole.parts.map((_, index) => index), said: [] };
  const run = walkProgram(compile(whole, capacity));
  return fitToTime(
    whole,
    run.parts.map((part) => part.endSeconds - part.startSeconds),
    athlete.timeAvailableSeconds,
  );
}

/**
 * One version of a workout for one athlete in one place.
 * @param athlete what is known; anything missing is estimated and listed under `assumed`
 * @returns the version; it breaks no hard limit unless a lock asks for it, and then says so
 */
export function adapt(workout: Workout, athlete: Athlete, options: AdaptOptions = {}): Adapted {
  const place = options.place ?? athlete.places[0] ?? barePlace;
  const rules = options.rules ?? defaultRules;
  const context = contextFor(athlete, place, rules);
  const { workout: asked, from, said } = askedOf(workout, athlete, context.capacity, rules);
  const intent = deriveIntent(asked, athlete.category, athlete.level, rules);
  const locks = options.locks ?? [];
  const locksOf = (index: number): Lock[] => locks.filter((lock) => lock.part === from[index]);
  const planned = planParts(intent, context, locksOf);
  const parts = planned.map((each) => each.part);
  const adapted: Workout = { title: workout.title, intent: workout.intent, notes: workout.notes, parts, tiers: [] };
  const { run, assumed, ...predicted } = predictWorkout(adapted, context.capacity, { seed: options.seed ?? 1, runs: options.runs ?? 100, place });
  const summary = summarize(adapted);
  const drifts = planned.map((each) => each.plan?.drift ?? noDrift);
  const versionParts = planned.map((each, index): VersionPart => {
    const original = workout.parts[from[index]!]!;
    const originals = slotsOfPart(original);
    const filled = slotsOfPart(each.part);
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
      slots: each.plan
        ? each.plan.choices.map((choice, slot) =>
            versionSlot(originals[slot] ?? null, original, filled[slot]!, choice, each.part, each.plan!, intent.parts[index]!, slot, context),
          )
        : [],
    };
  });
  const scoredPart = predicted.perPart[0]?.part ?? 0;
  const lead = intent.parts[scoredPart];
  const inside = lead && planned[scoredPart] ? insideWindow(lead, planned[scoredPart].part.kind, run.parts[scoredPart]!.score) : null;
  const comparability = comparabilityOf(adapted, context.capacity);
  return {
    version: { parts: versionParts, text: formatWorkout(adapted) },
    workout: adapted,
    intent: {
      window: lead?.window ?? null,
      parts: intent.parts.map(({ window, target }) => ({ window, target })),
      words: intent.words,
      shortened: intent.shortened,
    },
    predicted,
    drift: combineDrift(
      drifts.map((drift, index) => ({
        drift,
        seconds: parts[index]!.kind === 'rest' ? 0 : Math.max(1, run.parts[index]!.endSeconds - run.parts[index]!.startSeconds),
      })),
    ),
    partDrifts: drifts,
    insideWindow: inside,
    ledgers: ledgersOf(planned, intent),
    nearestTier: nearestTier(workout.tiers, athlete, place),
    comparability,
    warnings: versionWarnings({ workout, adapted, versionParts, intent, run, inside, context, locks, said, elasticity: comparability.elasticity }),
    assumed,
    run,
  };
}
