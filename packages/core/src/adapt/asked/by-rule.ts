/** What a coach forgot, and what the house rules ask of a part as a whole. */
import type { HouseRules } from '../../rules/house-rules';
import type { PartResult } from '../../simulate/walk-part';
import { mapSlots, slotsOfPart } from '../../workout/walk';
import type { Part, Slot, Workout } from '../../workout/workout';
import { strictFormOf } from '../../movements/catalogue';
import { roundTime } from '../slot/coach-numbers';

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

/** `any style` is the strict one, under the rule that says so. */
export function strictIfSaid(workout: Workout, rules: HouseRules): Workout {
  if (rules.styleNotSaid !== 'strict') return workout;
  const strict = (slot: Slot): Slot => ({ ...slot, movement: strictFormOf(slot.movement) ?? slot.movement });
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

/** What goes side by side in place of a movement of both sides is done in blocks where the rules allow it: the athlete is told so. @param asked the part before its slots were filled */
export function sidesByRule(part: Part, asked: Part, rules: HouseRules): Part {
  if (rules.sides !== 'blocks') return part;
  const written = slotsOfPart(asked);
  return mapSlots(part, (slot, at) => (slot.perSide && !written[at]!.perSide ? { ...slot, note: 'one side then the other' } : slot));
}

/** s on the clock from the first rep to the last, rests between sets too; with what was left where time was called. */
const wholeSeconds = ({ startSeconds, endSeconds, score }: PartResult): number => Math.max(endSeconds - startSeconds, score);

/** An own cap, where the rules do not ask for one clock: time and a quarter of what is predicted. It is of the whole part, also where each set is scored. */
export function capByRule(part: Part, result: PartResult, rules: HouseRules): Part {
  if (part.kind !== 'forTime') return part;
  if (part.capSeconds === null && part.window === null && part.scoreSaid && part.score === 'time')
    return { ...part, capSeconds: roundTime(wholeSeconds(result) * 1.5) };
  if (rules.clock !== 'own' || part.capSeconds === null || part.capPerSet) return part;
  return { ...part, capSeconds: Math.max(roundTime(Math.min(wholeSeconds(result), 2 * part.capSeconds) * 1.25), (part.window?.high ?? 0) + 30) };
}
