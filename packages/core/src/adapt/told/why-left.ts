/** Why the movement as written was left, as a clause a coach would say. */
import { sentenceForObstacle, type Obstacle } from '../../limits/feasible';
import { mostBarKg } from '../../limits/bar-without-rack';
import type { AvoidName } from '../../athlete/athlete';
import type { FeasibleLoad } from '../../kit/loads';
import { movementOf } from '../../movements/catalogue';
import { implementToSay, nameInHand } from '../../movements/in-hand';
import type { Movement } from '../../movements/movement';
import { plainName, wordsOf } from '../../notation/format-workout';
import { constants } from '../../simulate/body';
import { demandOf } from '../../simulate/demand';
import { formatMass } from '../../units/mass';
import type { Slot } from '../../workout/workout';
import type { Option } from '../slot/option';
import { hardLimits } from '../slot/hard-limits';
import { ownedFor, totalKg, writtenKg } from '../slot/load';
import { propose } from '../slot/propose';
import { isNewer, type AdaptContext, type SlotQuestion } from '../slot/question';

const avoided: Readonly<Record<AvoidName, string>> = {
  running: 'No running',
  jumping: 'Nothing that jumps',
  overhead: 'Nothing overhead',
  kneeling: 'No kneeling',
  deep_knee: 'No deep knee',
  hanging: 'No hanging',
  inverted: 'Nothing upside down',
  wrists: 'Nothing on bent wrists',
  spinal_loading: 'No load on the back',
  high_impact: 'No impact',
};

/** What is missing, as one would say it: the implement the movement is named for, a pair of them, or what else it needs. */
function kitWords({ load, needs }: Movement, text: string): string {
  if (!load || load.optional || needs.kind === 'all') return text.replace(/\b(?:a|an) /g, '').replace(/[()]/g, '');
  const [implement] = load.implements;
  return load.count === 2 ? `pair of ${implement}s` : implement!;
}

function clauseFor(obstacle: Obstacle, movement: Movement, original: string, { place, athlete }: AdaptContext): string {
  switch (obstacle.code) {
    case 'needs':
      return `No ${kitWords(movement, obstacle.text)} here`;
    case 'avoid':
      return avoided[obstacle.tag];
    case 'ceiling':
      return `The ceiling is ${place.ceilingM.toFixed(2)} m, ${original} needs ${obstacle.needM.toFixed(2)}`;
    case 'floor':
      return `The room is too short for ${original}`;
    case 'noise':
      return `${place.name === '' ? 'The place' : place.name} is quiet`;
    case 'skill':
      return `No ${original} on file for ${athlete.name}`;
    case 'limit':
      return sentenceForObstacle(obstacle).replace(/^outside/, 'Outside');
  }
}

/** Loads enough of the kind, but not two of one weight; or none at all. */
function loadMissing(slot: Slot, context: AdaptContext): string | null {
  const { load } = movementOf(slot.movement);
  if (!load || ownedFor(movementOf(slot.movement), context).length > 0) return null;
  const any = context.loads.some((each) => load.implements.includes(each.implement));
  return any && load.count === 2 ? 'No two of one weight here' : `No load for ${wordsOf(slot.movement)} here`;
}

/** what is owned is so many times what was written, or more: another load altogether (round figure) */
const tooHeavyHere = 1.5;
/** What the athlete would have in the hand with the movement as written, kg: nobody fails at a load that is not there. */
function nearestOwnedKg(slot: Slot, context: AdaptContext): number {
  const movement = movementOf(slot.movement);
  const written = writtenKg(slot, context, movement) ?? 0;
  const owned = ownedFor(movement, context).map(totalKg);
  return owned.length === 0 ? written : owned.reduce((best, kg) => (Math.abs(kg - written) < Math.abs(best - written) ? kg : best));
}

/** The same movement with any implement that is here would have been nearer: what stands against all of them. */
function whyNotInHand(slot: Slot, option: Option, context: AdaptContext): string | null {
  if (option.nearness === 'implement' || option.nearness === 'written') return null;
  const against = propose(slot, null).flatMap(({ movement, nearness }) => {
    const [load] = nearness === 'implement' ? ownedFor(movement, context) : [];
    const limits = load ? hardLimits(movement, context, load) : [];
    return load && limits.every(({ code }) => code !== 'needs') ? [{ obstacle: limits[0], name: inHand(movement.id, load) }] : [];
  });
  const [first] = against;
  if (!first || against.some(({ obstacle }) => obstacle?.code !== 'ceiling' && obstacle?.code !== 'avoid')) return null;
  if (first.obstacle?.code === 'avoid') return avoided[first.obstacle.tag].toLowerCase();
  return `the ceiling is too low for ${first.name}`;
}
const inHand = (id: string, { implement }: FeasibleLoad): string => (implementToSay(id, implement) ? nameInHand(id, implement) : wordsOf(id));

/** The implement the movement is named for is not here, though it could be done with another. */
function namedImplementMissing({ slot }: SlotQuestion, { loads }: AdaptContext): string | null {
  const implement = movementOf(slot.movement).load?.implements.find((kind) => slot.movement.includes(kind));
  return implement && !loads.some((load) => load.implement === implement) ? `No ${implement} here` : null;
}

/** What the option is done with weighs nearer to the written load than what the movement itself could be done with. */
function isNearerLoad(slot: Slot, { movement, load }: Option, context: AdaptContext): boolean {
  const written = writtenKg(slot, context, movementOf(movement));
  if (!load || written === null) return false;
  const named = ownedFor(movementOf(slot.movement), context).filter((each) => slot.movement.includes(each.implement));
  return named.every((each) => Math.abs(totalKg(each) - written) > Math.abs(totalKg(load) - written));
}

/** A bar that is there, and too heavy to be brought up from the floor where no rack holds it. */
function isBroughtUp(slot: Slot, context: AdaptContext): boolean {
  const original = movementOf(slot.movement);
  const most = mostBarKg(original, context.place, context.capacity);
  return most < (writtenKg(slot, context, original) ?? Infinity) && context.loads.some(({ implement }) => implement === 'barbell');
}

/** @param wall the written movement was tried and would have been a wall @returns null where nothing hinders it, and another is nearer to what is meant */
export function whyLeft(question: SlotQuestion, option: Option, context: AdaptContext, wall: boolean): string | null {
  const { slot, stimulus } = question;
  const original = movementOf(slot.movement);
  const name = plainName(slot);
  if (original.anyOf) return 'The coach left the movement open';
  if (option.rank.wish < 0) return `${context.athlete.name} prefers it`;
  const [obstacle] = hardLimits(original, context, null, slot.heightCm?.[context.athlete.category] ?? null);
  if (obstacle) return withSecond(clauseFor(obstacle, original, name, context), obstacle.code === 'needs' ? whyNotInHand(slot, option, context) : null);
  if (option.coachRank !== null) return 'The coach’s own alternative';
  if (isBroughtUp(slot, context)) return 'No rack here to take such a heavy bar from';
  const missing = loadMissing(slot, context) ?? namedImplementMissing(question, context);
  if (missing) return missing;
  if (wall) return `${capital(name)} would end in singles`;
  const kg = nearestOwnedKg(slot, context);
  const written = writtenKg(slot, context, original);
  if (written !== null && kg > tooHeavyHere * written) return `Nothing as light as ${formatMass(written, context.athlete.units)} for ${name} here`;
  const inside =
    demandOf(slot.movement, slot.unit, context.capacity, kg, slot.heightCm?.[context.athlete.category] ?? null).repsToFailure * constants.insideShare;
  if (inside < stimulus.count) return `${capital(name)}: about ${inside < 1 ? 'none' : Math.floor(inside)} in one go, ${Math.round(stimulus.count)} asked`;
  if (option.nearness === 'implement' && isNearerLoad(slot, option, context)) return 'Nearer to the written load';
  return isNewer(context.athlete) ? `Simpler than ${name} while ${context.athlete.name} is ${context.athlete.level}` : null;
}
const withSecond = (clause: string, second: string | null): string => (second === null ? clause : `${clause}, and ${second}`);
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
