/**
 * The load of an option, from what is owned. The written one, or the nearest owned, stays unless its feel is another for this athlete; for another movement it is
 * the load that is felt as the written one is by the reference. What the score asks for comes later, as an edit.
 */
import { shareAtReps } from '../../capacity/strength-laws';
import { loadsFor, type FeasibleLoad } from '../../kit/loads';
import { movementOf } from '../../movements/catalogue';
import { mostBarKg } from '../../limits/bar-without-rack';
import type { Movement } from '../../movements/movement';
import { maxOf, sideRest } from '../../simulate/demand';
import type { Slot } from '../../workout/workout';
import type { Proposed } from './propose';
import { isNewer, type AdaptContext, type SlotQuestion } from './question';

export interface ChosenLoad {
  readonly load: FeasibleLoad | null;
  /** the load stays as it is written: to be built up, or for the athlete to choose */
  readonly open: boolean;
}
const bare: ChosenLoad = { load: null, open: false };

/** What is to be loaded: the movement, how near it is to the one that was written, and the line it is taken from. */
type Loaded = Pick<Proposed, 'movement' | 'nearness' | 'source'>;

/** nearer than this to the written load is the written load (common practice: within a tenth) */
const asGood = 0.1;
const asGoodAs = 1 + asGood;
/** the athlete's reps at hand with the written load, against the reference's: below this share it feels like another load (a third harder) */
const feelsAlike = 0.62;
/** below this share of the load wanted a movement that need not be loaded is done without */
const worthCarrying = 0.4;
/** of the reps at hand with the written load, by the house rule on the choice of load: heaviest, light (round figures) */
const feelByRule: Readonly<Record<string, number>> = { unbroken: 1, heaviest: 0.7, light: 1.4 };
/** the house rule "lighter first": a newer athlete gets what leaves half as many reps again */
const lighterForNewer = 1.5;

export const totalKg = ({ grams, count }: FeasibleLoad): number => (grams * count) / 1000;

/** Whole load as it is written for this athlete, kg; null where none is. */
export function writtenKg(slot: Slot, context: AdaptContext, movement: Movement): number | null {
  const { category, bodyMassKg } = context.athlete;
  switch (slot.load?.kind) {
    case 'mass':
      return slot.load[category] * slot.load.count;
    case 'bodyShare':
      return slot.load[category] * bodyMassKg;
    case 'share': {
      const max = maxOf(movement, context.capacity);
      return max === null ? null : slot.load[category] * max;
    }
    default:
      return null;
  }
}

/** What the coach said of this part (`intent: light`) before what they usually do. */
const loadChoice = ({ intent }: SlotQuestion, { rules }: AdaptContext): string =>
  intent.feel === 'light' ? 'light' : intent.feel === 'heavy' ? 'heaviest' : rules.loadChoice;

/** Reps at hand that the load should leave: as many as the reference has, changed by the house rules. */
function wantedReps(question: SlotQuestion, context: AdaptContext): number {
  const { stimulus, strength } = question;
  const { rules, athlete } = context;
  const newer = rules.newerAthlete === 'lighter' && (athlete.level === 'new' || athlete.level === 'newer') ? lighterForNewer : 1;
  return strength ? stimulus.repsToFailure : Math.max(2, stimulus.repsToFailure * (feelByRule[loadChoice(question, context)] ?? 1) * newer);
}

/** The external load that leaves so many reps, kg; null where loads do not limit the movement. */
function kgForReps(movement: Movement, reps: number, context: AdaptContext): number | null {
  const max = maxOf(movement, context.capacity);
  if (max === null) return null;
  const body = movement.limit.by === 'lift' ? movement.limit.bodyShare * context.athlete.bodyMassKg : 0;
  return Math.max(0.5, shareAtReps(reps / sideRest(movement)) * (max + body) - body);
}

/** A newer athlete carries no more than was written, whatever it is carried in. */
function mostForNewer(source: Slot, movement: Movement, context: AdaptContext): number {
  return isNewer(context.athlete) && source.load?.kind === 'mass' ? writtenKg(source, context, movement)! : Infinity;
}

/** The same movement with another implement, or a near one with the same: what was written is in the hand anyway. */
export function isAskedForIt({ movement, nearness, source }: Loaded): boolean {
  const written = movementOf(source.movement);
  if (nearness === 'implement') return movement.side === written.side;
  const inHand = (each: Movement): string => `${each.load?.implements[0]} x ${each.load?.count}${each.side === 'perSide' ? ' a side' : ''}`;
  return written.load?.implements[0] !== 'barbell' && inHand(movement) === inHand(written) && (nearness === 'range' || nearness === 'position');
}

/** Kilograms to look for: the written ones while they feel as they were meant to, else those that do. The same movement with another implement is asked for them, too. */
function wantedKg(proposed: Loaded, question: SlotQuestion, context: AdaptContext): number {
  const { movement, source } = proposed;
  const same = source.movement === movement.id || isAskedForIt(proposed);
  const written = same ? writtenKg(source, context, movement) : null;
  const felt = kgForReps(movement, wantedReps(question, context), context);
  if (written === null || felt === null) return Math.min(felt ?? written ?? 5, mostForNewer(source, movement, context));
  if (question.strength && source.movement === movement.id) return written;
  const bearable = kgForReps(movement, wantedReps(question, context) * feelsAlike, context)!;
  if (loadChoice(question, context) === 'heaviest') return Math.max(written, felt);
  if (loadChoice(question, context) === 'light' || context.rules.newerAthlete === 'lighter') return Math.min(written, felt);
  return written <= bearable ? written : felt;
}

const nearest = (loads: readonly FeasibleLoad[], kg: number): FeasibleLoad => {
  const away = (load: FeasibleLoad): number => Math.abs(Math.log(totalKg(load) / kg));
  // of two as far, the lighter; bands last, their pull is a range
  return loads.reduce((best, load) =>
    (Number(Boolean(load.range)) - Number(Boolean(best.range)) || away(load) - away(best) || totalKg(load) - totalKg(best)) < 0 ? load : best,
  );
};

/** Loads this movement can be done with here, ascending. */
export function ownedFor(movement: Movement, context: AdaptContext): FeasibleLoad[] {
  if (!movement.load) return [];
  const { implements: kinds, count } = movement.load;
  const most = mostBarKg(movement, context.place, context.capacity);
  return kinds.flatMap((kind) => loadsFor(context.loads, [kind], count).filter((load) => kind !== 'barbell' || totalKg(load) <= most));
}

/** The written load is there, or one within a tenth of it. */
export const isAsWritten = (load: FeasibleLoad, kg: number): boolean => Math.abs(totalKg(load) / kg - 1) <= asGood + 1e-9;

/** @returns null where the movement needs a load that is not there */
export function loadFor(proposed: Loaded, question: SlotQuestion, context: AdaptContext): ChosenLoad | null {
  const { movement, source } = proposed;
  const kept = movement.id === question.slot.movement;
  // the model knows no load for it; what the coach wrote stays on the page
  if (!movement.load) return { load: null, open: kept && source.load !== null };
  if (movement.load.optional && source.load === null) return kept ? { load: null, open: false } : bare;
  const owned = ownedFor(movement, context);
  if (owned.length === 0) return movement.load.optional ? bare : null;
  // a max is not built up on the back, where nothing takes the bar off
  const isHeld = movement.load.position !== 'back' || mostBarKg(movement, context.place, context.capacity) === Infinity;
  if (kept && !isHeld && question.strength && source.load === null && !source.build) return null;
  if (kept && (source.load?.kind === 'heavy' || (question.strength && source.load === null))) return { load: null, open: true };
  const wanted = wantedKg(proposed, question, context);
  // under a bar that must be lifted over the head first, heavy squats are others
  if (movement.load.position === 'back' && wanted > asGoodAs * mostBarKg(movement, context.place, context.capacity)) return null;
  const load = nearest(owned, wanted);
  return movement.load.optional && totalKg(load) > wanted / worthCarrying ? bare : { load, open: false };
}
