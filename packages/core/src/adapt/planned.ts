/**
 * From the workout as written to a plan of every part for one athlete: what is asked of them (healed, in the style the rules ask, cut once for newer athletes), the
 * search, and the minutes there are, measured on the version.
 */
import type { Athlete } from '../athlete/athlete';
import type { Place } from '../kit/kit';
import { feasibleLoads, platesInHand } from '../kit/loads';
import type { HouseRules } from '../rules/house-rules';
import { capacityOf } from '../scoring/learn-fitness';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { deriveIntent, type Intent } from '../stimulus/intent';
import { slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';
import { healed, restByRule, strictIfSaid } from './asked/by-rule';
import { fitText, fitToTime } from './asked/minutes';
import { clockForNewer, muchLonger, schemeForNewer } from './asked/newer';
import { shorterText } from './asked/shorter';
import { inFrames } from './frame';
import { partLocks, type Lock, type PartLock } from './lock';
import { planParts, type PlannedPart, type Uncut } from './part/plan-parts';
import { isNewer, type AdaptContext } from './slot/question';

export interface Planned {
  readonly parts: readonly PlannedPart[];
  readonly intent: Intent;
  readonly context: AdaptContext;
  /** number of the written part each one stands for */
  readonly from: readonly number[];
  /** what the cut for newer athletes changed */
  readonly cut: readonly string[];
  /** what the minutes took away */
  readonly said: readonly string[];
  /** frames the coach gave a part that are none */
  readonly unreadFrames: readonly string[];
}

/** @param parts as the coach wrote them: a room that nobody told does not limit them */
export function contextFor(athlete: Athlete, place: Place, rules: HouseRules, parts: Workout['parts'] = []): AdaptContext {
  return {
    athlete,
    capacity: capacityOf(athlete),
    place,
    rules,
    loads: [...feasibleLoads(place.kit), ...platesInHand(place.kit)],
    written: new Set(parts.flatMap((part) => slotsOfPart(part).map(({ movement }) => movement))),
  };
}

interface Asked {
  readonly workout: Workout;
  readonly from: readonly number[];
}

/** a version that does not fit the minutes is shortened and looked at again so often */
const mostFits = 3;

export function planVersion(workout: Workout, athlete: Athlete, place: Place, rules: HouseRules, locks: readonly Lock[]): Planned {
  const context = contextFor(athlete, place, rules, workout.parts);
  const { workout: inTheirFrames, framed, unread: unreadFrames } = inFrames(workout, locks);
  const whole = strictIfSaid({ ...inTheirFrames, parts: inTheirFrames.parts.map((part) => restByRule(healed(part), rules)) }, rules);
  const everything: Asked = { workout: whole, from: whole.parts.map((_, index) => index) };
  const plan = ({ workout: asked, from }: Asked, uncut: readonly (Uncut | null)[] = []): { parts: PlannedPart[]; intent: Intent } => {
    const intent = deriveIntent(asked, athlete.category, rules);
    const locksOf = (index: number): PartLock[] => partLocks(locks).filter((lock) => lock.part === from[index]);
    return { intent, parts: planParts(intent, context, locksOf, (index) => uncut[index] ?? null) };
  };
  let asked: Asked = { ...everything, workout: clockForNewer(whole, athlete, rules, framed) };
  let made = plan(asked);
  let uncut: readonly (Uncut | null)[] = [];
  if (isNewer(athlete)) {
    const { parts } = asked.workout;
    const smaller = parts.map((part, at) => (framed.has(at) ? part : schemeForNewer(part, athlete, rules, isSlow(made.parts[at]!, made.intent, at))));
    uncut = smaller.map((part, at) => (part === parts[at] ? null : { part: parts[at]!, intent: made.intent.parts[at]! }));
    if (uncut.some((each) => each !== null)) {
      asked = { ...asked, workout: { ...asked.workout, parts: smaller } };
      made = plan(asked, uncut);
    }
  }
  const cut = asked.workout.parts.flatMap((part, at) => (part === whole.parts[at] ? [] : [shorterText(whole.parts[at]!, part)]));
  const shortened = asked;
  let leftOut: readonly string[] = [];
  for (let fit = 0; fit < mostFits; fit++) {
    const fitted = fitToTime(asked.workout, secondsOf(made.parts, context), athlete.timeAvailableSeconds, (at) => framed.has(asked.from[at]!));
    if (fitted.workout.parts.every((part, at) => part === asked.workout.parts[at]) && fitted.leftOut.length === 0) break;
    const before = asked.from;
    leftOut = [...leftOut, ...fitted.leftOut];
    asked = { workout: fitted.workout, from: fitted.from.map((at) => before[at]!) };
    made = plan(asked);
  }
  const said = fitText(shortened.workout, { ...asked, leftOut }, athlete.timeAvailableSeconds);
  return { ...made, context, from: asked.from, cut, said, unreadFrames };
}

/** The untouched part would take this athlete more than a quarter longer than the reference, or past its cap. */
function isSlow({ plan }: PlannedPart, intent: Intent, at: number): boolean {
  if (!plan) return false;
  const { result } = plan.passable;
  return result.score > muchLonger * intent.parts[at]!.stimulus.score || result.reached !== null;
}

function secondsOf(parts: readonly PlannedPart[], context: AdaptContext): number[] {
  const run = walkProgram(compile({ parts: parts.map(({ part }) => part) }, context.capacity, context.place));
  return run.parts.map((part) => part.endSeconds - part.startSeconds);
}
