/**
 * A part changed as a whole before its slots are filled: what the coach forgot, what cannot be done without loads, what a house rule or the minutes ask.
 */
import { formatClock } from '../units/duration';
import { movementOf, movements } from '../movements/catalogue';
import type { Movement } from '../movements/movement';
import { wordsOf } from '../notation/format-workout';
import type { HouseRules } from '../rules/house-rules';
import { maxOf } from '../simulate/demand';
import type { PartResult } from '../simulate/walk-part';
import type { PartIntent } from '../stimulus/intent';
import { mapBlocks, mapSlots, slotsOfPart } from '../workout/walk';
import type { Count, Part, Slot, Workout } from '../workout/workout';
import { choicesFor } from './candidates';
import type { Choice } from './choice';
import { roundTime, scaleLadder } from './coach-numbers';
import { hardLimits } from './hard-limits';
import { similarity } from './near';
import type { AdaptContext } from './question';
import { questionsOf } from './space';

/** What a coach forgot is filled in for the version, so that its text reads without a warning. */
export function healed(part: Part): Part {
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
export function withoutLoads(part: Part, intent: PartIntent, context: AdaptContext): Part | null {
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
    team: part.team,
    interruption: null,
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
    untilFailure: false,
    stations: [slotsOfPart(part).map((slot) => free(slot, { kind: 'fixed', men: 10, women: 10, low: null }))],
  };
}

/**
 * A slot nothing in the neighbourhood can fill: of all movements that may be done here the likest one, then the hardest-working; `taken` ones last.
 * @returns null when the slot has options of its own
 */
export function lastResort(slot: Slot, part: Part, intent: PartIntent, index: number, context: AdaptContext, taken: ReadonlySet<string>): Slot | null {
  const question = questionsOf(part, intent, context)[index]!;
  if (choicesFor(question, context).length > 0) return null;
  const original = movementOf(slot.movement);
  const likeness = (each: Movement): number => {
    const { pattern, muscle } = similarity(original, each);
    return pattern + muscle - (taken.has(each.id) ? 1 : 0);
  };
  const open = movements
    .filter((each) => !each.prepareOnly && each.anyOf === null && (each.load === null || each.load.optional))
    .map((movement) => ({ movement, likeness: likeness(movement) }))
    .sort((a, b) => b.likeness - a.likeness);
  let top: { choice: Choice; worth: number } | null = null;
  for (const { movement, likeness: alike } of open) {
    // hard work adds one at most, and the rest are less alike
    if (top && alike + 1 <= top.worth) break;
    const asked = { ...question, slot: { ...slot, movement: movement.id, load: null, unit: movement.unit, alternatives: [] } };
    const choice = choicesFor(asked, context).find((each) => each.movement === movement.id && each.load === null);
    if (!choice || (slot.bracket !== null && choice.unit !== 'reps')) continue;
    const worth = alike + Math.min(1, choice.bout.joulesPerKg / 300);
    if (!top || worth > top.worth) top = { choice, worth };
  }
  if (!top) return null;
  const { movement, unit, count, perSide } = top.choice;
  return { ...slot, movement, unit, load: null, count, perSide, side: null, note: null, alternatives: [], link: null };
}

/** `any style` is the strict one, under the rule that says so. */
export function strictIfSaid(workout: Workout, rules: HouseRules): Workout {
  if (rules.styleNotSaid !== 'strict') return workout;
  const strict = (slot: Slot): Slot =>
    ['pull-up', 'toes-to-bar', 'handstand-push-up', 'chin-up'].includes(slot.movement) ? { ...slot, movement: `strict-${slot.movement}` } : slot;
  return { ...workout, parts: workout.parts.map((part) => mapSlots(part, strict)) };
}

/** Rest between pieces, by school: the window's own, a cap inside it, or until recovered. */
export function restByRule(part: Part, rules: HouseRules): Part {
  if (rules.restBetween === 'shorterCap' && part.kind === 'windows' && part.capSeconds === null)
    return { ...part, capSeconds: roundTime(part.intervalSeconds * 0.75) };
  if (rules.restBetween === 'recovered' && (part.kind === 'forTime' || part.kind === 'amrap') && part.sets > 1)
    return { ...part, restBetween: { low: 120, high: Math.max(180, part.restBetween?.high ?? 0) } };
  return part;
}

/** Sets for time that a newer athlete would be stuck in become pieces of fixed length: as long as the window allows, one score a set. Null where they fit. */
export function setsByTheClock(part: Part, result: PartResult, intent: PartIntent, context: AdaptContext): Part | null {
  const { level } = context.athlete;
  if ((level !== 'new' && level !== 'newer') || part.kind !== 'forTime' || part.sets < 2) return null;
  const limit = part.window?.unit === 'seconds' && part.window.per === 'set' ? part.window.high : intent.target;
  if (limit === null || result.sets.every((each) => each <= limit * 1.2)) return null;
  const length = roundTime(limit);
  const unrolled = mapBlocks(part, (block) => (block.ladder ? block : { ...block, rounds: { low: 1, high: 1 } })) as typeof part;
  const { capSeconds: _cap, capPerSet: _per, ...rest } = unrolled;
  return { ...rest, kind: 'amrap', score: 'eachSet', scoreSaid: true, window: null, seconds: { low: length, high: length } };
}

/** What goes side by side in place of a movement of both sides is done in blocks where the rules allow it: the athlete is told so. @param asked the part before its slots were filled */
export function sidesByRule(part: Part, asked: Part, rules: HouseRules): Part {
  if (rules.sides !== 'blocks') return part;
  const written = slotsOfPart(asked);
  return mapSlots(part, (slot, at) => (slot.perSide && !written[at]!.perSide ? { ...slot, note: 'one side then the other' } : slot));
}

/** An own cap, where the rules do not ask for one clock: time and a quarter of what is predicted. */
export function capByRule(part: Part, result: PartResult, rules: HouseRules): Part {
  if (part.kind !== 'forTime') return part;
  if (part.capSeconds === null && part.window === null && part.scoreSaid) return { ...part, capSeconds: roundTime(result.score * 1.5) };
  if (rules.clock !== 'own' || part.capSeconds === null || part.capPerSet) return part;
  return { ...part, capSeconds: Math.max(roundTime(Math.min(result.score, 2 * part.capSeconds) * 1.25), (part.window?.high ?? 0) + 30) };
}

export interface Fitted {
  readonly workout: Workout;
  /** number of the original part each one stands for */
  readonly from: readonly number[];
  readonly said: readonly string[];
}

/** s the warm-up takes of the time there is (common practice: five to six minutes, and getting ready) */
const warmUpSeconds = 360;
const shortestShare = 0.5;

function shortened(part: Part, factor: number): Part {
  switch (part.kind) {
    case 'amrap': {
      const length = Math.max(60, roundTime(part.seconds.high * factor));
      const scale = length / part.seconds.high;
      const half = (value: number | null): number | null => (value === null ? null : Math.round(value * scale * 2) / 2);
      const window =
        part.window?.unit === 'rounds' && part.window.per !== 'round'
          ? { ...part.window, low: half(part.window.low), high: half(part.window.high) }
          : part.window;
      return { ...part, seconds: { low: length, high: length }, window };
    }
    case 'every': {
      const stations = Math.max(1, part.stations.length);
      return { ...part, count: Math.max(stations, Math.floor((part.count * factor) / stations) * stations) };
    }
    case 'strength':
      return { ...part, sets: Math.max(2, Math.floor(part.sets * factor)) };
    case 'forTime': {
      const capSeconds = part.capSeconds === null ? null : roundTime(part.capSeconds * factor);
      if (part.sets > 1) return { ...part, sets: Math.max(1, Math.floor(part.sets * factor)) };
      const window =
        part.window?.unit === 'seconds' && part.window.per !== 'round'
          ? { ...part.window, low: part.window.low && roundTime(part.window.low * factor), high: part.window.high && roundTime(part.window.high * factor) }
          : part.window;
      const shorter = { ...part, capSeconds, window };
      return mapBlocks(shorter, (block) =>
        block.ladder
          ? { ...block, ladder: scaleLadder(block.ladder, factor, false) }
          : block.rounds.high > 1
            ? { ...block, rounds: { low: Math.max(1, Math.round(block.rounds.high * factor)), high: Math.max(1, Math.round(block.rounds.high * factor)) } }
            : block,
      );
    }
    default:
      return part;
  }
}

/**
 * The workout that fits the minutes there are: optional parts go first, then quality work, then the longest part is shortened to no less than half,
 * then the last parts go; rests that lead nowhere go with them. What was done is said.
 * @param seconds predicted length of each part
 */
export function fitToTime(workout: Workout, seconds: readonly number[], availableSeconds: number | null): Fitted {
  const all = workout.parts.map((part, index) => ({ part, index, seconds: seconds[index]! }));
  const whole = (list: typeof all): number => list.reduce((sum, each) => sum + each.seconds, 0);
  const budget = availableSeconds === null ? Infinity : Math.max(300, availableSeconds - warmUpSeconds);
  let kept = all;
  const said: string[] = [];
  const nameOf = (part: Part): string => part.name ?? (slotsOfPart(part)[0] ? wordsOf(slotsOfPart(part)[0]!.movement) : part.kind);
  const drop = (which: (part: Part) => boolean, why: string): void => {
    if (whole(kept) <= budget) return;
    const left = kept.filter((each) => !which(each.part));
    if (left.some((each) => each.part.kind !== 'rest') && left.length < kept.length) {
      said.push(
        `${why} left out: ${kept
          .filter((each) => which(each.part))
          .map((each) => nameOf(each.part))
          .join(', ')}`,
      );
      kept = left;
    }
  };
  drop((part) => part.optional, 'optional');
  drop((part) => part.kind === 'quality', 'quality work');
  if (whole(kept) > budget) {
    const longest = kept.reduce((best, each) => (each.part.kind !== 'rest' && each.seconds > best.seconds ? each : best), kept[0]!);
    const factor = Math.max(shortestShare, 1 - (whole(kept) - budget) / Math.max(1, longest.seconds));
    const part = shortened(longest.part, factor);
    if (part !== longest.part) {
      said.push(`${nameOf(longest.part)} shortened to ${Math.round(factor * 100)} %`);
      kept = kept.map((each) => (each === longest ? { ...each, part, seconds: each.seconds * factor } : each));
    }
  }
  while (whole(kept) > budget && kept.filter((each) => each.part.kind !== 'rest').length > 1) {
    const last = kept[kept.length - 1]!;
    if (last.part.kind !== 'rest') said.push(`left out for time: ${nameOf(last.part)}`);
    kept = kept.slice(0, -1);
  }
  while (kept.length > 1 && kept[kept.length - 1]!.part.kind === 'rest') kept = kept.slice(0, -1);
  if (said.length > 0) said.unshift(`${formatClock(availableSeconds!)} available, warm-up counted`);
  return { workout: { ...workout, parts: kept.map((each) => each.part) }, from: kept.map((each) => each.index), said };
}
