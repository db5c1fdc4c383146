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
import { deriveIntent, type Intent } from '../stimulus/intent';
import { mapSlots, slotsOfPart } from '../workout/walk';
import { summarize } from '../workout/summary';
import type { Part, Slot, Window, Workout } from '../workout/workout';
import type { AdaptContext } from './question';
import { combineDrift, insideWindow, noDrift, type Drift } from './drift';
import { ledgersOf, type Ledgers } from './ledgers';
import { capByRule, fitToTime, healed, lastResort, restByRule, setsByTheClock, strictIfSaid, withoutLoads, type Fitted } from './reshape';
import { searchPart, type PartPlan } from './search';
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
  const fresh = intent.base.parts.map((base, index) => planPart(base, intent, index, context, locksOf(index)));
  const planned = fresh.map((each, index) => plannedTired(each, fresh, intent, index, context, locksOf(index)));
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

export interface PlannedPart {
  readonly part: Part;
  /** the part the search was asked about: after a replacement for missing loads, before the choices */
  readonly searched: Part;
  readonly plan: PartPlan | null;
}

/**
 * The search judges each part fresh. Where the parts before it push a part out of its stated window, it is searched again for a score as much better as it
 * comes out worse; what the window says stays the coach's.
 */
function plannedTired(
  part: PlannedPart,
  all: readonly PlannedPart[],
  intent: Intent,
  index: number,
  context: AdaptContext,
  locks: readonly SlotLock[],
): PlannedPart {
  const own = intent.parts[index]!;
  if (index === 0 || !part.plan || own.target === null || insideWindow(own, part.part.kind, part.plan.result.score) !== true) return part;
  const scoreOf = (each: PlannedPart): number => {
    const parts = all.map((other, at) => (at === index ? each.part : other.part));
    return walkProgram(compile({ parts }, context.capacity, context.place)).parts[index]!.score;
  };
  const tired = scoreOf(part);
  if (insideWindow(own, part.part.kind, tired) !== false || !(tired > 0)) return part;
  const share = part.plan.result.score / tired;
  const scaled = (bound: number | null): number | null => (bound === null ? null : bound * share);
  const aimed: Intent = {
    ...intent,
    parts: intent.parts.map((each, at) =>
      at === index
        ? { ...each, target: own.target! * share, window: own.window && { ...own.window, low: scaled(own.window.low), high: scaled(own.window.high) } }
        : each,
    ),
  };
  const again = planPart(intent.base.parts[index]!, aimed, index, context, locks);
  return insideWindow(own, again.part.kind, scoreOf(again)) === true ? again : part;
}

/** @param locks of this part only */
export function planPart(base: Part, intent: Intent, index: number, context: AdaptContext, locks: readonly SlotLock[]): PlannedPart {
  const own = intent.parts[index]!;
  if (base.kind === 'rest' || slotsOfPart(base).length === 0) return { part: base, searched: base, plan: null };
  const replaced = withoutLoads(base, own, context);
  let part = replaced ?? base;
  const taken = new Set<string>();
  const members = new Map<string, Slot | null>();
  const resorts = slotsOfPart(part).map((slot, at) => {
    // right and left of one composite rep stay one movement
    const member = slot.bracket && JSON.stringify([slot.bracket.id, slot.movement]);
    if (member !== null && members.has(member)) return members.get(member)!;
    const resort = lastResort(slot, part, own, at, context, taken);
    taken.add(resort?.movement ?? slot.movement);
    if (member !== null) members.set(member, resort);
    return resort;
  });
  if (resorts.some(Boolean)) {
    let at = 0;
    const replace = (slot: Slot): Slot => resorts[at++] ?? slot;
    part = mapSlots(part, replace);
  }
  const plan = searchPart(part, own, context, locks);
  const clocked = setsByTheClock(plan.part, plan.result, own, context);
  const drift = replaced || clocked ? { ...plan.drift, scoreType: 1, total: 1 - (1 - plan.drift.total) * 0.67 } : plan.drift;
  const filled = clocked ?? plan.part;
  const noVest = filled.vest && !context.place.kit.some((item) => item.kind === 'vest') ? { ...filled, vest: null } : filled;
  return { part: capByRule(noVest, plan.result, context.rules), searched: part, plan: { ...plan, drift } };
}
