/** A version that the coach wrote whole: walked, predicted and checked like any other, and changed in nothing. */
import type { Athlete } from '../athlete/athlete';
import { barePlace } from '../kit/kit';
import { sentenceForObstacle } from '../limits/feasible';
import { movementOf } from '../movements/catalogue';
import { formatPart, formatWorkout, wordsOf } from '../notation/format-workout';
import { defaultRules } from '../rules/house-rules';
import { comparabilityOf } from '../scoring/score-of-fitness';
import { predictWorkout } from '../simulate/predict';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { deriveIntent } from '../stimulus/intent';
import { stimulusOf } from '../stimulus/stimulus';
import { insideWindow } from '../stimulus/window';
import { formatMass } from '../units/mass';
import { summarize } from '../workout/summary';
import { slotsOfPart } from '../workout/walk';
import type { Part, Slot, Workout } from '../workout/workout';
import { lengthOf, type AdaptOptions, type Adapted } from './adapted';
import { healed } from './asked/by-rule';
import { contextFor } from './planned';
import { nearestTier } from './tiers';
import { ledgersOf } from './told/ledgers';
import { bandOf, beyondBand, timeDriftOf } from './part/band';
import { ownedFor } from './slot/load';
import { withoutRack, withRack } from '../limits/bar-without-rack';
import { hardLimits } from './slot/hard-limits';
import { isNewer, type AdaptContext } from './slot/question';
import { combineDrift, driftOf, noDrift, type Drift } from './told/drift';
import { plainSlots, type VersionPart } from './told/version-slots';
import { versionWarnings, type VersionWarning } from './told/warnings';

/** The version that was written by hand, looked at as any other. */
export function asByHand(workout: Workout, byHand: Workout, athlete: Athlete, options: AdaptOptions): Adapted {
  const place = options.place ?? athlete.places[0] ?? barePlace;
  const rules = options.rules ?? defaultRules;
  const context = contextFor(athlete, place, rules, workout.parts);
  const adapted: Workout = { ...byHand, title: byHand.title ?? workout.title, tiers: [] };
  const { run, assumed, ...predicted } = predictWorkout(adapted, context.capacity, { seed: options.seed ?? 1, runs: options.runs ?? 100, place });
  const lead = predicted.perPart[0]?.part ?? 0;
  const looked = lookAt(workout, adapted, context, lead);
  const intent = deriveIntent(adapted, athlete.category, rules);
  const comparability = comparabilityOf(adapted, context.capacity);
  const own = intent.parts[lead];
  return {
    version: { parts: looked.parts, text: formatWorkout(adapted) },
    workout: adapted,
    intent: { window: own?.window ?? null, parts: intent.parts.map(({ window, target }) => ({ window, target })), words: intent.words, shortened: 1 },
    predicted,
    drift: combineDrift(looked.drifts.map((drift, index) => ({ drift, seconds: lengthOf(adapted, run, index) }))),
    partDrifts: looked.drifts,
    insideWindow: own ? insideWindow(own, adapted.parts[lead]!.kind, run.parts[lead]!.score) : null,
    insideBand: looked.insideBand,
    ledgers: ledgersOf([]),
    nearestTier: nearestTier(workout.tiers, athlete, place),
    comparability,
    warnings: [
      ...looked.warnings,
      ...versionWarnings({
        workout,
        adapted,
        planned: [],
        versionParts: looked.parts,
        intent,
        run,
        context,
        unreadFrames: [],
        locks: [],
        cut: [],
        said: [],
        elasticity: comparability.elasticity,
      }),
    ],
    assumed,
    run,
  };
}

interface Looked {
  readonly parts: readonly VersionPart[];
  readonly drifts: readonly Drift[];
  /** of the leading part; null without a band */
  readonly insideBand: boolean | null;
  readonly warnings: readonly VersionWarning[];
}

/** kg below which two loads are the same */
const sameLoad = 0.05;

/** @param original as the coach wrote it for everybody @param lead number of the leading part */
function lookAt(original: Workout, byHand: Workout, context: AdaptContext, lead: number): Looked {
  const meant = deriveIntent({ ...original, parts: original.parts.map(healed) }, context.athlete.category, context.rules);
  const looked = byHand.parts.map((part, index) => lookAtPart(part, original.parts[index], meant.parts[index], context));
  return {
    parts: byHand.parts.map((part, index) => partByHand(byHand, part, index, original.parts[index], context)),
    drifts: looked.map(({ drift }) => drift),
    insideBand: looked[lead]?.insideBand ?? null,
    warnings: byHand.parts.flatMap((part, index) => slotsOfPart(part).flatMap((slot) => warningsOf(slot, index, context))),
  };
}

function lookAtPart(
  part: Part,
  written: Part | undefined,
  intent: ReturnType<typeof deriveIntent>['parts'][number] | undefined,
  context: AdaptContext,
): { drift: Drift; insideBand: boolean | null } {
  if (!written || !intent || part.kind === 'rest' || written.kind === 'rest') return { drift: noDrift, insideBand: null };
  const program = compile({ parts: [part] }, context.capacity, context.place);
  const result = walkProgram(program).parts[0]!;
  const otherKind = part.kind !== written.kind;
  const band = otherKind ? null : bandOf(written, intent, isNewer(context.athlete));
  return {
    drift: driftOf(intent, stimulusOf(program, 0, result), band ? timeDriftOf(band, result.score) : 0, otherKind ? 1 : 0),
    insideBand: band && beyondBand(band, result.score) === 0,
  };
}

function partByHand(byHand: Workout, part: Part, index: number, written: Part | undefined, context: AdaptContext): VersionPart {
  const { seconds, capSeconds, rounds, sets, setSeconds } = summarize(byHand).parts[index]!;
  const other = written === undefined || formatPart(written) !== formatPart(part);
  return {
    kind: part.kind,
    capSeconds,
    seconds,
    rounds,
    sets,
    setSeconds,
    restSeconds: 'restBetween' in part ? (part.restBetween?.high ?? null) : null,
    from: written ? [index] : [],
    slots: plainSlots(part, written, context.athlete.category),
    edits: other && part.kind !== 'rest' ? [{ kind: 'part', slot: null, text: 'written by hand', without: null, undo: null }] : [],
  };
}

/** What the athlete may not do, and what is not there. */
function warningsOf(slot: Slot, index: number, context: AdaptContext): VersionWarning[] {
  const movement = movementOf(slot.movement);
  const limits = hardLimits(movement, context);
  const told: VersionWarning[] =
    limits.length > 0
      ? [{ code: 'lock_breaks_limit', message: `Part ${index + 1}, ${wordsOf(movement.id)}, by hand: ${limits.map(sentenceForObstacle).join('; ')}.` }]
      : [];
  if (slot.load?.kind !== 'mass' || limits.length > 0) return told;
  const [kg, { count }] = [slot.load[context.athlete.category], slot.load];
  const owned = ownedFor(movement, { ...context, place: withRack(context.place) }).filter((load) => load.count === count);
  const taken = owned.find((load) => Math.abs(load.grams / 1000 - kg) < sameLoad);
  if (taken) {
    const why = taken.implement === 'barbell' ? withoutRack(movement, kg, context.place, context.capacity) : null;
    return why === null ? told : [{ code: 'lock_breaks_limit', message: `Part ${index + 1}, ${wordsOf(movement.id)}, by hand: ${why}.` }];
  }
  const { units } = context.athlete;
  const there = [...new Set(owned.map((load) => formatMass(load.grams / 1000, units)))];
  const have = there.length === 0 ? 'nothing to load it with is there' : `there is ${there.slice(0, 8).join(', ')}`;
  return [...told, { code: 'load_not_owned', message: `Part ${index + 1}, ${wordsOf(movement.id)} with ${formatMass(kg, units)}, by hand: ${have}.` }];
}
