/** Adaptation: workout × athlete × place × house rules → one version, with its reasons, its prediction and its drift. Pure and deterministic. */
import type { Athlete } from '../athlete/athlete';
import { barePlace, type Place } from '../kit/kit';
import { describeLoad, feasibleLoads, type FeasibleLoad } from '../kit/loads';
import { movementOf, movements } from '../movements/catalogue';
import { formatWorkout } from '../notation/format-workout';
import { defaultRules, type HouseRules } from '../rules/house-rules';
import { comparabilityOf } from '../scoring/compare';
import { capacityOf } from '../scoring/learn-fitness';
import { maxOf } from '../simulate/demand';
import { predictWorkout, type Prediction } from '../simulate/predict';
import type { Run } from '../simulate/walk-program';
import { deriveIntent, type Intent, type PartIntent } from '../stimulus/intent';
import { itemLists, mapSlots, slotsOfPart } from '../workout/walk';
import { summarize } from '../workout/summary';
import type { Count, CountUnit, Item, Part, PartKind, Slot, Window, Workout } from '../workout/workout';
import { choicesFor } from './candidates';
import { hardLimits } from './hard-limits';
import { similarity } from './near';
import type { AdaptContext } from './question';
import type { Choice } from './choice';
import { roundTime } from './coach-numbers';
import { combineDrift, insideWindow, noDrift, type Drift } from './drift';
import { fallbackOf, givesUpOf, markOf, reasonOf, type Fallback, type Mark } from './explain';
import { questionsOf, searchPart, type PartPlan, type SlotLock } from './search';
import { versionWarnings, type VersionWarning } from './warnings';

export interface Lock extends SlotLock {
  readonly part: number;
}
export interface VersionSlot {
  readonly original: { readonly movement: string; readonly reps: readonly number[] | null; readonly loadKg: number | null } | null;
  readonly movement: string;
  readonly unit: CountUnit;
  readonly reps: readonly number[];
  readonly perSide: boolean;
  readonly load: { readonly kg: number; readonly implement: string; readonly count: 1 | 2; readonly hold: string; readonly text: string } | null;
  readonly style: { readonly tempo: string | null; readonly pause: boolean; readonly surfaceCm: number | null };
  readonly swapped: boolean;
  readonly mark: Mark;
  readonly rule: string;
  readonly reason: string;
  readonly givesUp: readonly string[];
  readonly fallback: Fallback | null;
  readonly growth: number | null;
  readonly link: number | null;
  /** where it stands: number of the station, window and block it is nested in, from 0 */
  readonly station: number | null;
  readonly window: number | null;
  readonly block: number | null;
}
export interface VersionPart {
  readonly kind: PartKind;
  readonly capSeconds: number | null;
  readonly seconds: number | null;
  readonly rounds: number | null;
  readonly sets: number | null;
  readonly setSeconds: number | null;
  readonly restSeconds: number | null;
  readonly from: readonly number[];
  readonly slots: readonly VersionSlot[];
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

/** What a coach forgot is filled in for the version, so that its text reads without a warning. */
function healed(part: Part): Part {
  switch (part.kind) {
    case 'every': {
      const stations = Math.max(1, part.stations.length);
      return {
        ...part,
        count: Math.max(stations, Math.floor(part.count / stations) * stations),
        capSeconds: part.capSeconds === null ? null : Math.min(part.capSeconds, part.intervalSeconds),
      };
    }
    case 'windows':
      return part.windows.length > 1 ? { ...part, count: part.windows.length } : part;
    default:
      return part;
  }
}

/** A max test needs loads up to here, as a share of the max; below it the set is a rep test. */
const heavyShare = 0.7;

/** A part that needs loads this kit has none of becomes a rep test or a paced piece; the score type changes, and the drift says so. */
function withoutLoads(part: Part, intent: PartIntent, context: AdaptContext): Part | null {
  if (part.kind !== 'maxLoad' && part.kind !== 'strength') return null;
  const heavyEnough = questionsOf(part, intent, context).every(({ slot }) => {
    const movement = movementOf(slot.movement);
    if (!movement.load || hardLimits(movement, context).length > 0) return movement.load === null;
    const heaviest = Math.max(
      0,
      ...context.loads
        .filter((load) => movement.load!.implements.includes(load.implement) && load.count === movement.load!.count)
        .map((load) => (load.grams * load.count) / 1000),
    );
    return heaviest >= heavyShare * (maxOf(movement, context.capacity) ?? 0);
  });
  const swappable =
    part.kind === 'strength' &&
    questionsOf(part, intent, context).every((question) =>
      choicesFor(question, context).some((choice) => choice.load !== null && choice.load.implement !== 'band' && (choice.share ?? 0) >= 0.5),
    );
  if (heavyEnough || swappable) return null;
  const base = {
    name: part.name,
    window: null,
    intent: part.intent,
    optional: part.optional,
    noPartition: false,
    vest: null,
    startsAtFinishOrCap: part.startsAtFinishOrCap,
    notes: part.notes,
  };
  const first = slotsOfPart(part)[0];
  if (!first) return null;
  const free = (slot: Slot, count: Count): Slot => ({ ...slot, count, load: null, link: null, build: false, tempo: null });
  if (part.kind === 'maxLoad')
    return {
      ...base,
      kind: 'amrap',
      score: 'reps',
      scoreSaid: true,
      seconds: { low: part.seconds, high: part.seconds },
      sets: 1,
      restBetween: null,
      items: [free(first, { kind: 'max' })],
    };
  return {
    ...base,
    kind: 'every',
    score: 'done',
    scoreSaid: false,
    intervalSeconds: part.everySeconds ?? 150,
    count: part.sets,
    capSeconds: null,
    stations: [slotsOfPart(part).map((slot) => free(slot, { kind: 'fixed', men: 10, women: 10, low: null }))],
  };
}

/**
 * A slot nothing in the neighbourhood can fill: of all movements that may be done here the likest one, then the hardest-working; `taken` ones last.
 * @returns null when the slot has options of its own
 */
function lastResort(slot: Slot, part: Part, intent: PartIntent, index: number, context: AdaptContext, taken: ReadonlySet<string>): Slot | null {
  const question = questionsOf(part, intent, context)[index]!;
  if (choicesFor(question, context).length > 0) return null;
  const original = movementOf(slot.movement);
  const open = movements
    .filter((each) => !each.prepareOnly && each.anyOf === null)
    .flatMap((each) =>
      choicesFor({ ...question, slot: { ...slot, movement: each.id, load: null, unit: each.unit, alternatives: [] } }, context, null)
        .filter((choice) => choice.movement === each.id && choice.load === null)
        .slice(0, 1),
    );
  const worth = (choice: Choice): number => {
    const { pattern, muscle } = similarity(original, movementOf(choice.movement));
    return pattern + muscle + Math.min(1, choice.bout.joulesPerKg / 300) - (taken.has(choice.movement) ? 1 : 0);
  };
  const top = open.reduce<Choice | null>((best, each) => (best === null || worth(each) > worth(best) ? each : best), null);
  return top
    ? { ...slot, movement: top.movement, unit: top.unit, load: null, count: top.count, perSide: top.perSide, alternatives: [], link: null, bracket: null }
    : null;
}

function repsOf(count: Count, ladder: readonly number[] | null): number[] {
  switch (count.kind) {
    case 'fixed':
      return [count.men];
    case 'ladder':
      return [...count.rungs];
    case 'growing':
      return [count.start];
    case 'rung':
      return ladder ? [...ladder] : [];
    case 'max':
    case 'matchTime':
      return [];
  }
}

const headerLadder = (part: Part): readonly number[] | null => {
  const lists = 'items' in part ? [part.items] : [];
  const block = lists[0]?.find((item) => item.kind === 'block');
  return block?.kind === 'block' ? block.ladder : null;
};

type SlotPlace = Pick<VersionSlot, 'station' | 'window' | 'block'>;

/** Where each slot is nested, in reading order. */
function placesOf(part: Part): SlotPlace[] {
  let blocks = 0;
  const walk = (items: readonly Item[], place: SlotPlace): SlotPlace[] =>
    items.flatMap((item) => (item.kind === 'slot' ? [place] : item.kind === 'block' ? walk(item.items, { ...place, block: blocks++ }) : []));
  const grouped = itemLists(part).length > 1;
  return itemLists(part).flatMap((items, list) =>
    walk(items, { station: grouped && part.kind !== 'windows' ? list : null, window: part.kind === 'windows' ? list : null, block: null }),
  );
}

function versionSlot(
  original: Slot | null,
  originalPart: Part | null,
  filled: Slot,
  choice: Choice,
  part: Part,
  plan: PartPlan,
  intent: PartIntent,
  index: number,
  context: AdaptContext,
): VersionSlot {
  const question = questionsOf(plan.part, intent, context)[index];
  const stimulus = intent.stimulus.slots[index] ?? intent.stimulus.slots[0]!;
  const source = original ?? filled;
  const category = context.athlete.category;
  const movement = movementOf(choice.movement);
  const written = filled.load?.kind === 'mass' ? filled.load : null;
  const kept = original !== null && original.movement === choice.movement;
  const load: FeasibleLoad | null = choice.load;
  return {
    original: original
      ? {
          movement: original.movement,
          reps:
            original.count.kind === 'max' || original.count.kind === 'matchTime'
              ? null
              : original.count.kind === 'fixed'
                ? [original.count[category]]
                : repsOf(original.count, originalPart ? headerLadder(originalPart) : null),
          loadKg: original.load?.kind === 'mass' ? original.load[category] : null,
        }
      : null,
    movement: choice.movement,
    unit: choice.unit,
    reps: repsOf(choice.count, headerLadder(part)),
    perSide: choice.perSide,
    load: load
      ? { kg: load.grams / 1000, implement: load.implement, count: load.count, hold: movement.load?.position ?? 'hands', text: describeLoad(load) }
      : written
        ? {
            kg: written[category],
            implement: movement.load?.implements[0] ?? 'barbell',
            count: written.count,
            hold: movement.load?.position ?? 'hands',
            text: `${written[category]} kg`,
          }
        : null,
    style: { tempo: filled.tempo, pause: false, surfaceCm: choice.heightCm },
    swapped: !kept,
    mark: markOf(choice, kept),
    rule: choice.rule ?? (kept ? 'kept' : choice.coachRank !== null ? 'coach' : 'model'),
    reason: reasonOf(source, choice, context, stimulus, question?.timeScale ?? 1),
    givesUp: givesUpOf(source, choice, stimulus),
    fallback: fallbackOf(choice, context),
    growth: choice.count.kind === 'growing' ? choice.count.step : null,
    link: filled.link,
    ...(placesOf(part)[index] ?? { station: null, window: null, block: null }),
  };
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
  const intent = deriveIntent({ ...workout, parts: workout.parts.map(healed) }, athlete.category, athlete.level, rules);
  const planned = intent.base.parts.map((base, index) => planPart(base, intent, index, context, options.locks ?? []));
  const parts = planned.map((each) => each.part);
  const adapted: Workout = { title: workout.title, intent: workout.intent, notes: workout.notes, parts, tiers: [] };
  const { run, assumed, ...predicted } = predictWorkout(adapted, context.capacity, { seed: options.seed ?? 1, runs: options.runs ?? 100, place });
  const summary = summarize(adapted);
  const drifts = planned.map((each) => each.plan?.drift ?? noDrift);
  const versionParts = planned.map((each, index): VersionPart => {
    const original = workout.parts[index]!;
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
      from: [index],
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
    comparability: comparabilityOf(adapted, context.capacity),
    warnings: versionWarnings({ workout, adapted, versionParts, intent, run, inside, context, locks: options.locks ?? [] }),
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

export function planPart(base: Part, intent: Intent, index: number, context: AdaptContext, locks: readonly Lock[]): PlannedPart {
  const own = intent.parts[index]!;
  if (base.kind === 'rest' || slotsOfPart(base).length === 0) return { part: base, searched: base, plan: null };
  const replaced = withoutLoads(base, own, context);
  let part = replaced ?? base;
  const taken = new Set<string>();
  const resorts = slotsOfPart(part).map((slot, at) => {
    const resort = lastResort(slot, part, own, at, context, taken);
    taken.add(resort?.movement ?? slot.movement);
    return resort;
  });
  if (resorts.some(Boolean)) {
    let at = 0;
    const replace = (slot: Slot): Slot => resorts[at++] ?? slot;
    part = mapSlots(part, replace);
  }
  const plan = searchPart(
    part,
    own,
    context,
    locks.filter((lock) => lock.part === index),
  );
  const drift = replaced ? { ...plan.drift, scoreType: 1, total: 1 - (1 - plan.drift.total) * 0.67 } : plan.drift;
  const noVest = plan.part.vest && !context.place.kit.some((item) => item.kind === 'vest') ? { ...plan.part, vest: null } : plan.part;
  const capped =
    noVest.kind === 'forTime' && noVest.capSeconds === null && noVest.window === null && noVest.scoreSaid
      ? { ...noVest, capSeconds: roundTime(plan.result.score * 1.5) }
      : noVest;
  return { part: capped, searched: part, plan: { ...plan, drift } };
}
