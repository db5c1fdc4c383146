/** Before and after a version: the warm-up, movement standards, cautions, a cool-down for what was used. */
import type { ClockPlan } from '../clock/plan-clock';
import { violates } from '../limits/feasible';
import { lockedText, type Lock } from '../adapt/lock';
import type { Athlete } from '../athlete/athlete';
import { barePlace, type Place } from '../kit/kit';
import { movementOf, movements } from '../movements/catalogue';
import { muscles, type Muscle } from '../movements/movement';
import type { HouseRules } from '../rules/house-rules';
import { slotsOfWorkout } from '../workout/walk';
import type { Slot, Workout } from '../workout/workout';
import { warmUpFor, type WarmUpFor } from './warm-up';
import { lengthOfSteps, readSteps, warmUpClock } from './warm-up-step';

/** What counts as a rep of one movement. */
export interface Standards {
  readonly movement: string;
  /** the coach's own, where the movement stands for one */
  readonly name: string;
  readonly points: readonly string[];
  readonly noReps: readonly string[];
  /** a demonstration of the coach's; null without one */
  readonly link: string | null;
}
export interface Preparation {
  readonly warmUp: readonly string[];
  readonly warmUpClock: ClockPlan;
  /** s it is expected to take, what is rested after it left out */
  readonly warmUpSeconds: number;
  readonly coolDown: readonly string[];
  readonly standards: readonly Standards[];
  readonly cautions: readonly string[];
}

/** The usual cautions, on every page; Gambito clears nobody. */
export const usualCautions: readonly string[] = [
  'Stop at once with chest pain or pressure, faintness, sudden breathlessness or a sharp pain, and get medical help.',
  'New pain, a heart, eye or blood-pressure condition, pregnancy or a recent operation: ask a licensed professional before you train. Gambito clears nobody.',
];
const improvised = 'Improvised kit: test table, chair, door bar and bag with a light pull before you trust them.';

/** What a coach says of it; what is left out is made. */
export interface PrepareOptions {
  readonly place?: Place;
  /** s the workout is expected to take: the warm-up has what the athlete's minutes leave */
  readonly workoutSeconds?: number;
  /** the coach's own ritual, a line a step */
  readonly ritual?: string | null;
  readonly locks?: readonly Lock[];
}
const roomFor = ({ timeAvailableSeconds }: Athlete, workoutSeconds: number): number | null =>
  timeAvailableSeconds === null ? null : timeAvailableSeconds - workoutSeconds;
/** How a warm-up is asked for. */
export const warmUpAsked = (athlete: Athlete, rules: HouseRules, options: PrepareOptions = {}): WarmUpFor => ({
  athlete,
  place: options.place ?? athlete.places[0] ?? barePlace,
  rules,
  ritual: options.ritual?.trim() || null,
  written: lockedText(options.locks ?? [], 'warmUp'),
  room: roomFor(athlete, options.workoutSeconds ?? 0),
});

/** @param workout a version: its slots carry the loads the ramp leads to */
export function prepare(workout: Pick<Workout, 'parts'>, athlete: Athlete, rules: HouseRules, options: PrepareOptions = {}): Preparation {
  const slots = slotsOfWorkout(workout).map((each) => each.value);
  const ids = [...new Set(slots.map((slot) => slot.movement))];
  const steps = warmUpFor(workout, warmUpAsked(athlete, rules, options));
  const after = lockedText(options.locks ?? [], 'coolDown');
  return {
    warmUp: steps.map(({ text }) => text),
    warmUpClock: warmUpClock(steps),
    warmUpSeconds: lengthOfSteps(steps),
    coolDown: after === null ? coolDownFor(ids, athlete) : readSteps(after).map(({ text }) => text),
    standards: standardsOf(slots),
    cautions: cautionsFor(ids),
  };
}

/** share of a movement's work from which a muscle is stretched afterwards (round figure) */
const worksHard = 0.5;
const mostStretches = 3;
/** An easy walk, then a stretch for what worked most; none that the athlete must avoid. */
function coolDownFor(ids: readonly string[], athlete: Athlete): string[] {
  const worked = new Map<Muscle, number>();
  for (const id of ids) for (const muscle of muscles) worked.set(muscle, Math.max(worked.get(muscle) ?? 0, movementOf(id).muscles[muscle] ?? 0));
  const used = [...worked.entries()]
    .filter(([, weight]) => weight > worksHard)
    .sort((a, b) => b[1] - a[1])
    .map(([muscle]) => muscle);
  const stretches = movements.filter(
    (each) =>
      each.prepareOnly &&
      each.id.includes('stretch') &&
      used.some((muscle) => (each.muscles[muscle] ?? 0) >= worksHard) &&
      athlete.avoid.every((tag) => !violates(each, tag, null)),
  );
  return [
    '5:00 easy walk or easy cycling',
    ...stretches.slice(0, mostStretches).map((each) => `1:00 ${each.side === 'perSide' ? 'each side ' : ''}${each.name.toLowerCase()}`),
  ];
}

/** The movements' own, what improvised kit asks for, and the usual ones; each once. */
function cautionsFor(ids: readonly string[]): string[] {
  const household = ids.some((id) => /table|chair|door|couch|box|bag|pack/.test(movementOf(id).needsText));
  return [...new Set([...ids.flatMap((id) => movementOf(id).cautions), ...(household ? [improvised] : []), ...usualCautions])];
}

/** Each movement once; of the coach's own what the coach says of it, else what its neighbour asks. */
function standardsOf(slots: readonly Slot[]): Standards[] {
  const byName = new Map<string, Standards>();
  for (const { movement, own } of slots) {
    const { name, standards, noReps } = movementOf(movement);
    const known = own === null || own.standard === null ? { points: standards, noReps } : { points: [own.standard], noReps: [] };
    byName.set(own?.name ?? movement, { movement, name: own?.name ?? name, ...known, link: own?.link ?? null });
  }
  return [...byName.values()];
}
