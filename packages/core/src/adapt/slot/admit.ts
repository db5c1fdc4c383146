/**
 * Who may be asked what: the hard limits, and what a coach would not ask of this athlete though nothing forbids it outright (no harm, common practice).
 * A movement the coach asks about by name is not judged here.
 */
import { movementOf } from '../../movements/catalogue';
import type { Movement } from '../../movements/movement';
import type { Slot } from '../../workout/workout';
import { hardLimits, isTold } from './hard-limits';
import type { Proposed } from './propose';
import { isNewer, type AdaptContext, type SlotQuestion } from './question';

/** From about this age newer people step instead of jumping, unless their file tells a jump. */
const steppingAge = 60;
/** Marching is for who is new, or old enough to step, or kept from all impact. */
const marches = ({ level, avoid, ageYears }: AdaptContext['athlete']): boolean => level === 'new' || avoid.includes('high_impact') || (ageYears ?? 0) >= 65;

/** `strict` was written: no kip, and not the free style of the same movement. */
export function breaksStyle(original: Movement, candidate: Movement, { rules }: AdaptContext): boolean {
  // the bare name is any style already
  if (candidate.id === `kipping-${original.id}`) return true;
  return original.style === 'strict' && rules.strictMissing === 'staysStrict' && (candidate.style === 'kipping' || candidate.style === 'free');
}

/** An avoid-list is read by its purpose: nothing that only its letter allows. */
function againstPurpose(movement: Movement, original: Movement, { athlete }: AdaptContext): boolean {
  if (movement.id === original.id) return false;
  const knees = athlete.avoid.includes('deep_knee');
  if (knees && movement.impact === 2) return true;
  if (knees && movement.family === 'step' && movement.load !== null && !movement.load.optional && original.load === null) return true;
  return athlete.limits.squatDepth !== null && movement.family === 'lunge' && movement.avoid.includes('deep_knee');
}

/** Newer and new athletes get nothing of higher skill or impact than what was written; from about sixty they step instead of jumping. */
function beyondNewer(movement: Movement, original: Movement, context: AdaptContext): boolean {
  const { athlete } = context;
  if (!isNewer(athlete) || isTold(athlete, movement)) return false;
  if (movement.jumps && (athlete.ageYears ?? 0) >= steppingAge) return true;
  if (movement.id === original.id) return false;
  const breath = original.limit.by === 'engine' || original.patterns.rope !== undefined;
  const impact = Math.max(original.impact, breath ? 1 : 0);
  return movement.skill > original.skill || movement.impact > impact;
}

/** What was written without a load stays without one, unless the trade's own list names the loaded movement. */
const addsLoad = ({ movement, nearness }: Proposed, original: Movement): boolean =>
  nearness === 'likeness' && movement.load !== null && !movement.load.optional && original.load === null;

/** Swings and jumps are speed: they stand for no slow, heavy set. */
const isBallistic = ({ family, jumps }: Movement): boolean => family === 'swing' || jumps;

export function isAdmitted(proposed: Proposed, question: SlotQuestion, context: AdaptContext): boolean {
  const { movement, coachRank } = proposed;
  const slot: Slot = question.slot;
  const original = movementOf(slot.movement);
  if (beyondNewer(movement, original, context) || againstPurpose(movement, original, context)) return false;
  if (coachRank !== null || movement.id === slot.movement) return true;
  if (breaksStyle(original, movement, context) || addsLoad(proposed, original)) return false;
  if (question.strength && isBallistic(movement) && !isBallistic(original)) return false;
  if (movement.gentle && !marches(context.athlete)) return false;
  return slot.bracket === null || movement.unit === 'reps';
}

/** Nothing forbids it with the best of its surfaces and implements; with one load and height, those are looked at. */
export const isOpen = (movement: Movement, context: AdaptContext, heightCm: number | null): boolean =>
  hardLimits(movement, context, null, heightCm).length === 0;
