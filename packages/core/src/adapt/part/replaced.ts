/**
 * A part changed before its slots are filled: a max load without the loads for it becomes hard sets of as many as can be done, scored as an estimated max (C16,
 * common practice); a movement that joins two patterns and cannot be done comes apart into the two.
 */
import { movementOf } from '../../movements/catalogue';
import { halvesOf } from '../../movements/stand-ins';
import { constants } from '../../simulate/body';
import { maxOf } from '../../simulate/demand';
import type { PartIntent } from '../../stimulus/intent';
import { flatMapSlots, slotsOfPart } from '../../workout/walk';
import type { MaxLoadPart, Part, Slot } from '../../workout/workout';
import { nearestFigure } from '../slot/coach-numbers';
import { optionsFor } from '../slot/fill';
import { hardLimits } from '../slot/hard-limits';
import { ownedFor, totalKg } from '../slot/load';
import type { Option } from '../slot/option';
import { questionsOf, type AdaptContext, type SlotQuestion } from '../slot/question';
import { goesSlowly, slowTempo } from '../slot/style';
import { withLoad } from './share-loads';
import type { SlotLock } from './space';

/** A max test needs loads up to here, as a share of the max; below it the set is one of many reps. */
const heavyShare = 0.7;
/** s a hard set has with its rest, and the most sets of them (round figures) */
const hardSetSeconds = 150;
const mostHardSets = 5;
/** reps of a hard set: short of failure by a tenth, and no more than are still strength (round figures) */
const shortOfFailure = 0.9;
const mostHardReps = 20;
const leastHardReps = 3;

/** Whether what is owned comes near enough to a max of it. */
function isHeavyEnough(slot: Slot, context: AdaptContext): boolean {
  const movement = movementOf(slot.movement);
  if (!movement.load || hardLimits(movement, context).length > 0) return false;
  const heaviest = Math.max(0, ...ownedFor(movement, context).map(totalKg));
  return heaviest >= heavyShare * (maxOf(movement, context.capacity) ?? 0);
}

/** The hard sets a max load becomes where no load comes near it, and what holds them to the movement, load and count they were made for; null where the loads are there. */
export function hardSets(part: Part, intent: PartIntent, context: AdaptContext): { readonly part: Part; readonly lock: SlotLock } | null {
  if (part.kind !== 'maxLoad' || slotsOfPart(part).every((slot) => isHeavyEnough(slot, context))) return null;
  const question = questionsOf(part, intent, context)[0];
  if (!question) return null;
  const { slot } = question;
  const nearest = optionsFor({ ...question, slot: { ...slot, load: { kind: 'any' } } }, context)[0];
  if (!nearest) return null;
  const option = asHeavyAsCounts(nearest, question, context);
  const { movement, unit, perSide, load } = option;
  const sets = asSets(part, {
    ...slot,
    link: null,
    build: false,
    movement,
    unit,
    perSide,
    side: null,
    count: hardCount(option),
    load: load ? { kind: 'any' } : null,
    alternatives: [],
  });
  return { part: sets, lock: { slot: 0, movement, ...(load ? { loadKg: load.grams / 1000 } : {}) } };
}

/** Reps of a set that is hard and still whole. */
const hardReps = ({ repsToFailure }: Option): number => repsToFailure * constants.insideShare * shortOfFailure;

/** A maximum is nearest to the heaviest load that still makes a set. */
function asHeavyAsCounts(option: Option, question: SlotQuestion, context: AdaptContext): Option {
  if (!option.load) return option;
  const heavier = ownedFor(movementOf(option.movement), context).filter((load) => !load.range && totalKg(load) > totalKg(option.load!));
  const made = heavier.map((load) => withLoad(option, load, question, context)).filter((each) => hardReps(each) >= leastHardReps);
  return made.at(-1) ?? option;
}

function hardCount(option: Option): Slot['count'] {
  const reps = option.unit === 'reps' ? nearestFigure(Math.max(leastHardReps, Math.min(mostHardReps, hardReps(option))), 'reps', false) : 30;
  return { kind: 'fixed', men: reps, women: reps, low: null };
}

function asSets({ name, intent, optional, startsAtFinishOrCap, team, notes, seconds }: MaxLoadPart, slot: Slot): Part {
  return {
    kind: 'strength',
    name,
    window: null,
    intent,
    optional,
    noPartition: false,
    vest: null,
    startsAtFinishOrCap,
    team,
    interruption: null,
    notes,
    score: 'load',
    scoreSaid: false,
    everySeconds: hardSetSeconds,
    sets: Math.max(2, Math.min(mostHardSets, Math.floor(seconds / hardSetSeconds))),
    restBetween: null,
    items: [{ ...slot, tempo: slot.tempo ?? (goesSlowly(movementOf(slot.movement)) ? slowTempo : null) }],
  };
}

/** How far a stand-in may be before the two halves are nearer. */
const nearEnough = new Set<Option['nearness']>(['written', 'implement']);

/** The part with what joins two patterns taken apart where it cannot be done whole. `from`: the number of the written slot each one stands for. */
export function divided(part: Part, intent: PartIntent, context: AdaptContext, locked: (slot: number) => boolean): { part: Part; from: readonly number[] } {
  const questions = questionsOf(part, intent, context);
  const cut = questions.map((question, slot) => (locked(slot) ? null : halvesFor(question.slot, optionsFor(question, context)[0], context)));
  const from = questions.flatMap((_, slot) => (cut[slot] ? [slot, slot] : [slot]));
  if (cut.every((each) => each === null)) return { part, from };
  return { part: flatMapSlots(part, (slot, at) => cut[at] ?? [slot]), from };
}

function halvesFor(slot: Slot, best: Option | undefined, { athlete }: AdaptContext): readonly [Slot, Slot] | null {
  const halves = halvesOf(slot.movement);
  if (!halves || slot.bracket !== null || slot.link !== null || slot.alternatives.length > 0) return null;
  if (best && nearEnough.has(best.nearness)) return null;
  if (halves.when !== null && !athlete.avoid.includes(halves.when)) return null;
  const [first, second] = halves.into.map((id): Slot => ({
    ...slot,
    movement: id,
    said: null,
    implement: null,
    note: null,
    load: movementOf(id).load ? slot.load : null,
  }));
  return [first!, second!];
}
