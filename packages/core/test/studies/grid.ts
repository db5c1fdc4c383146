/**
 * Study 2: is the stimulus kept? Workouts of all kinds × athlete/kit pairs; the time drift of every part whose time is free, beside the naive method
 * (swap by name to the first neighbour the kit allows, same reps, the nearest load).
 */
import {
  adapt,
  barePlace,
  compile,
  deriveIntent,
  estimateCapacity,
  feasibleLoads,
  hardLimits,
  contextFor,
  defaultRules,
  insideWindow,
  mapSlots,
  movementOf,
  nearMovements,
  parseWorkout,
  referenceCapacity,
  timeDrift,
  walkProgram,
  type Athlete,
  type FeasibleLoad,
  type Part,
  type Slot,
  type Workout,
} from '../../src/index';
import { randomAthlete, randomWorkout } from '../people';
import { sampleNames, sampleText } from '../samples';

/** A random workout with a window around its reference score, as a coach would state it. */
function windowed(seed: number): string {
  const text = randomWorkout(seed).trim();
  const { workout } = parseWorkout(text);
  if (workout.parts[0]!.window) return text;
  const { unit, score } = walkProgram(compile(workout, referenceCapacity('men'))).parts[0]!;
  if (unit === 'rounds') return `${text}\nwindow: ${Math.max(1, Math.floor(score * 0.85))}-${Math.ceil(score * 1.12)} rounds`;
  const clock = (value: number): string => `${Math.floor(value / 60)}:${String(Math.round(value % 60)).padStart(2, '0')}`;
  return unit === 'seconds' && workout.parts[0]!.kind === 'forTime' && score < 1000 ? `${text}\nwindow: ${clock(score * 0.85)}-${clock(score * 1.15)}` : text;
}

export const gridWorkouts = (count: number): string[] =>
  [...sampleNames.map(sampleText), ...Array.from({ length: 60 }, (_, index) => windowed(index + 500))].slice(0, count);
export const gridPeople = (count: number): Athlete[] => Array.from({ length: count }, (_, index) => randomAthlete(index + 1000));

export interface GridCell {
  readonly workout: number;
  readonly person: number;
  readonly part: number;
  readonly kind: string;
  readonly time: number;
  /** null: no window stated */
  readonly inWindow: boolean | null;
  readonly score: number;
  readonly target: number | null;
}

const free = (part: Part): boolean => part.kind === 'amrap' || part.kind === 'forTime' || part.kind === 'every' || part.kind === 'windows';

export function adaptedCells(text: string, athlete: Athlete, workout: number, person: number): GridCell[] {
  const adapted = adapt(parseWorkout(text).workout, athlete, { runs: 1 });
  const intent = deriveIntent(parseWorkout(text).workout, athlete.category, athlete.level, defaultRules);
  return adapted.workout.parts.flatMap((part, index): GridCell[] => {
    const drift = adapted.partDrifts[index];
    const own = intent.parts[index];
    if (!drift || !own || !free(part) || drift.scoreType > 0 || (own.target === null && own.workShare === null)) return [];
    const { score } = adapted.run.parts[index]!;
    return [{ workout, person, part: index, kind: part.kind, time: drift.time, inWindow: insideWindow(own, part.kind, score), score, target: own.target }];
  });
}

function nearest(loads: readonly FeasibleLoad[], slot: Slot, athlete: Athlete, movementId: string): FeasibleLoad | null {
  const rule = movementOf(movementId).load;
  if (!rule) return null;
  const fitting = loads.filter((load) => rule.implements.includes(load.implement) && load.count === rule.count);
  const wanted = slot.load?.kind === 'mass' ? slot.load[athlete.category] : 20;
  return fitting.reduce<FeasibleLoad | null>(
    (best, each) => (best === null || Math.abs(each.grams / 1000 - wanted) < Math.abs(best.grams / 1000 - wanted) ? each : best),
    null,
  );
}

/** What is done today in a hurry. */
export function naiveVersion(workout: Workout, athlete: Athlete): Workout {
  const place = athlete.places[0] ?? barePlace;
  const context = contextFor(athlete, place, defaultRules);
  const loads = feasibleLoads(place.kit);
  const swap = (slot: Slot): Slot => {
    const may = (id: string): boolean =>
      hardLimits(movementOf(id), context).length === 0 && (!movementOf(id).load || movementOf(id).load!.optional || nearest(loads, slot, athlete, id) !== null);
    const id = may(slot.movement) ? slot.movement : (nearMovements(slot.movement).find((near) => may(near.movement.id))?.movement.id ?? 'air-squat');
    const load = nearest(loads, slot, athlete, id);
    const movement = movementOf(id);
    return {
      ...slot,
      movement: id,
      unit: id === slot.movement ? slot.unit : movement.unit === slot.unit ? slot.unit : movement.unit,
      load:
        load && (slot.load || !movement.load?.optional)
          ? { kind: 'mass', men: load.grams / 1000, women: load.grams / 1000, count: load.count, unit: 'kg' }
          : null,
    };
  };
  return { ...workout, parts: workout.parts.map((part) => mapSlots(part, swap)) };
}

export function naiveCells(text: string, athlete: Athlete, workoutIndex: number, person: number): GridCell[] {
  const { workout } = parseWorkout(text);
  const intent = deriveIntent(workout, athlete.category, athlete.level, defaultRules);
  const version = naiveVersion(intent.base, athlete);
  const run = walkProgram(compile(version, estimateCapacity(athlete), athlete.places[0] ?? null));
  return version.parts.flatMap((part, index): GridCell[] => {
    const own = intent.parts[index]!;
    if (!free(part) || (own.target === null && own.workShare === null)) return [];
    const result = run.parts[index]!;
    const share = part.kind === 'every' ? result.workSeconds / Math.max(1, result.endSeconds - result.startSeconds) : null;
    return [
      {
        workout: workoutIndex,
        person,
        part: index,
        kind: part.kind,
        time: timeDrift(own, part.kind, result.score, share),
        inWindow: insideWindow(own, part.kind, result.score),
        score: result.score,
        target: own.target,
      },
    ];
  });
}

export interface GridFigures {
  readonly cells: number;
  readonly median: number;
  readonly ninetieth: number;
  readonly windows: number;
  readonly hit: number;
}
export function gridFigures(cells: readonly GridCell[]): GridFigures {
  const sorted = cells.map((each) => Math.abs(each.time)).sort((a, b) => a - b);
  const stated = cells.filter((each) => each.inWindow !== null);
  return {
    cells: cells.length,
    median: sorted[Math.floor(sorted.length / 2)] ?? 0,
    ninetieth: sorted[Math.floor(sorted.length * 0.9)] ?? 0,
    windows: stated.length,
    hit: stated.filter((each) => each.inWindow).length,
  };
}
