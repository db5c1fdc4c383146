/**
 * Study 2: the class on paper. Workouts of all kinds × athlete and kit pairs: how many texts are left alone, what is edited where not, in figures a coach writes, and
 * whether the score lies in its band. Beside it the naive method (swap by name to the first neighbour the kit allows, same reps, the nearest load).
 */
import {
  adapt,
  barePlace,
  compile,
  contextFor,
  defaultRules,
  deriveIntent,
  estimateCapacity,
  feasibleLoads,
  hardLimits,
  insideWindow,
  mapSlots,
  movementOf,
  parseWorkout,
  referenceCapacity,
  slotsOfPart,
  walkProgram,
  type Adapted,
  type Athlete,
  type FeasibleLoad,
  type Part,
  type Slot,
  type VersionSlot,
  type Workout,
} from '../../src/index';
import { bandOf, timeDriftOf } from '../../src/adapt/part/band';
import { isFigure, isTradeLadder } from '../../src/adapt/slot/coach-numbers';
import { neighboursOf } from '../../src/adapt/slot/likeness';
import { randomAthlete, randomWorkout } from '../people';
import { sampleNames, sampleText } from '../samples';

/** A random workout with a window around its reference score, as a coach would state it. */
export function windowed(seed: number): string {
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
  /** distance from the band as a share of its nearest edge; 0 inside */
  readonly time: number;
  /** null: no window stated */
  readonly inWindow: boolean | null;
}
const free = (part: Part): boolean => part.kind === 'amrap' || part.kind === 'forTime' || part.kind === 'every' || part.kind === 'windows';

export function adaptedCells(text: string, athlete: Athlete): GridCell[] {
  const adapted = adapt(parseWorkout(text).workout, athlete, { runs: 1 });
  return adapted.workout.parts.flatMap((part, index): GridCell[] => {
    const drift = adapted.partDrifts[index];
    const own = adapted.intent.parts[index];
    if (!drift || !own || !free(part) || drift.scoreType > 0) return [];
    return [{ time: drift.time, inWindow: insideWindow(own, part.kind, adapted.run.parts[index]!.score) }];
  });
}

/** What one version changed of its text, slot by slot. */
export interface EditFigures {
  /** slots that keep their movement, and how many of them got another count than written (rounds and ladder count for every slot they are of) */
  readonly kept: number;
  readonly recounted: number;
  /** counts and ladders that are neither written nor what a coach writes */
  readonly strange: readonly string[];
  readonly insideBand: boolean | null;
  readonly told: boolean;
}

export function editFigures(text: string, athlete: Athlete): EditFigures {
  const { workout } = parseWorkout(text);
  const adapted = adapt(workout, athlete, { runs: 1 });
  const slots = adapted.version.parts.flatMap((part) => part.slots.map((slot) => ({ part, slot })));
  const kept = slots.filter(({ slot }) => slot.original?.movement === slot.movement && slot.original.reps !== null);
  const cut = adapted.warnings.some(({ code }) => code === 'shortened' || code === 'time_budget');
  return {
    kept: kept.length,
    recounted: cut ? 0 : kept.filter(({ slot }) => JSON.stringify(slot.reps) !== JSON.stringify(slot.original!.reps)).length,
    strange: adapted.workout.parts.flatMap((part, at) => strangeFigures(part, adapted, at)),
    insideBand: adapted.insideBand,
    told: adapted.warnings.some(({ code }) => code === 'window_missed' || code === 'window_slip' || code === 'off_pace'),
  };
}

/** Metres and calories, and what stands for them. */
const inOtherUnits = (told: VersionSlot | undefined): boolean =>
  told !== undefined && (told.unit !== 'reps' || ['run', 'row', 'bike', 'air-bike', 'shuttle-run'].includes(told.original?.movement ?? ''));

function strangeFigures(part: Part, { version }: Adapted, at: number): string[] {
  return slotsOfPart(part).flatMap((slot, index): string[] => {
    const told = version.parts[at]!.slots[index];
    const written = told?.original?.reps ?? [];
    const { reps = [], movement = '' } = told ?? {};
    const asWritten = JSON.stringify(reps) === JSON.stringify(written) || reps.length === 0 || told?.rule === 'coach';
    // a stated conversion is exact along a ladder
    const stated = told?.figures.some((each) => /house rule|one for one|for a climb|for one|twice/.test(each)) ?? false;
    const halves = told?.perSide === true;
    const figures = reps.every((count) => isFigure(count, slot.unit));
    // a ladder in other units goes rung by rung
    const strange = reps.length > 1 && !inOtherUnits(told) ? !isTradeLadder(reps) && !stated : !figures;
    return asWritten || halves || !strange ? [] : [`${reps.join('-')} ${movement}`];
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
    const id = may(slot.movement) ? slot.movement : (neighboursOf(slot.movement).find((near) => may(near.movement.id))?.movement.id ?? 'air-squat');
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

export function naiveCells(text: string, athlete: Athlete): GridCell[] {
  const { workout } = parseWorkout(text);
  const intent = deriveIntent(workout, athlete.category, defaultRules);
  const version = naiveVersion(workout, athlete);
  const run = walkProgram(compile(version, estimateCapacity(athlete), athlete.places[0] ?? null));
  return version.parts.flatMap((part, index): GridCell[] => {
    const own = intent.parts[index]!;
    const band = free(part) ? bandOf(part, own, false) : null;
    if (!band) return [];
    const { score } = run.parts[index]!;
    return [{ time: timeDriftOf(band, score), inWindow: insideWindow(own, part.kind, score) }];
  });
}
