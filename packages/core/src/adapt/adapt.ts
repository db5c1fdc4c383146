/** Adaptation: workout × athlete × place × house rules → one version, with its reasons, its prediction and its drift. Pure and deterministic. */
import type { Athlete } from '../athlete/athlete';
import { barePlace } from '../kit/kit';
import { formatWorkout } from '../notation/format-workout';
import { parseWorkout } from '../notation/parse-workout';
import { defaultRules } from '../rules/house-rules';
import { comparabilityOf } from '../scoring/score-of-fitness';
import { compile } from '../simulate/program';
import { predictWorkout } from '../simulate/predict';
import { stimulusOf } from '../stimulus/stimulus';
import { insideWindow } from '../stimulus/window';
import { summarize } from '../workout/summary';
import type { Workout } from '../workout/workout';
import { lengthOf, type AdaptOptions, type Adapted } from './adapted';
import { asByHand } from './by-hand';
import { readLocks } from './line-lock';
import { byHandOf } from './lock';
import { timeDriftOf } from './part/band';
import type { PlannedPart } from './part/plan-parts';
import { planVersion, type Planned } from './planned';
import type { AdaptContext } from './slot/question';
import { nearestTier } from './tiers';
import { combineDrift, driftOf, noDrift, type Drift } from './told/drift';
import { editsOfPart } from './told/edits';
import { ledgersOf } from './told/ledgers';
import { versionSlots, type VersionPart } from './told/version-slots';
import { versionWarnings } from './told/warnings';

/**
 * One version of a workout for one athlete in one place.
 * @param athlete what is known; anything missing is estimated and listed under `assumed`
 * @returns the version; it breaks no hard limit unless a lock asks for it, and then says so
 */
export function adapt(workout: Workout, athlete: Athlete, options: AdaptOptions = {}): Adapted {
  const byHand = byHandOf(options.locks ?? []);
  if (byHand === null) return searched(workout, athlete, options);
  const read = parseWorkout(byHand, { units: options.units ?? 'kg' });
  const unread = read.diagnostics.find(({ level }) => level === 'error');
  if (!unread && read.workout.parts.length > 0) return asByHand(workout, read.workout, athlete, options);
  const computed = searched(workout, athlete, options);
  const why = unread ? `line ${unread.line}: ${unread.message}` : 'it has no parts';
  return {
    ...computed,
    warnings: [{ code: 'by_hand', message: `What was written by hand cannot be read, so this version is computed: ${why}` }, ...computed.warnings],
  };
}

function searched(workout: Workout, athlete: Athlete, options: AdaptOptions): Adapted {
  const place = options.place ?? athlete.places[0] ?? barePlace;
  const locks = readLocks(options.locks ?? [], athlete.category, { units: options.units ?? 'kg', own: workout.own ?? [] });
  const made = planVersion(workout, athlete, place, options.rules ?? defaultRules, locks);
  const { parts: planned, intent, context, from } = made;
  const parts = planned.map((each) => each.part);
  const adapted: Workout = {
    title: workout.title,
    intent: workout.intent,
    notes: workout.notes,
    parts,
    tiers: [],
    ...(workout.own ? { own: workout.own } : {}),
  };
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
      unreadFrames: made.unreadFrames,
      cut: made.cut,
      said: made.said,
      elasticity: comparability.elasticity,
    }),
    assumed,
    run,
  };
}

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
