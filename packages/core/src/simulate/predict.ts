/** The predicted score of a workout as written: a deterministic median and a band from seeded runs. Kit is ignored. */
import type { Capacity } from '../capacity/capacity';
import type { Place } from '../kit/kit';
import { quantile } from '../units/quantile';
import { normalFrom, seededRandom } from '../units/random';
import { slotsOfPart } from '../workout/walk';
import type { Workout } from '../workout/workout';
import type { Form } from './body';
import { compile, type Program } from './program';
import { walkProgram, type Run } from './walk-program';

export interface Band {
  readonly unit: 'seconds' | 'rounds' | 'reps' | 'kg';
  /** 10th, 50th and 90th percentile */
  readonly low: number;
  readonly median: number;
  readonly high: number;
}
export interface Reached {
  readonly part: number;
  readonly slot: number;
  readonly rung: number;
}
export interface Prediction extends Band {
  readonly perPart: readonly (Band & { readonly part: number; readonly set: number | null })[];
  readonly reached: Reached | null;
}

/** Which parts are scored: not rests, not optional or quality pieces unless nothing else is there. */
export function scoredParts(workout: Pick<Workout, 'parts'>): number[] {
  const all = workout.parts.flatMap((part, index) => (part.kind === 'rest' || slotsOfPart(part).length === 0 ? [] : [{ part, index }]));
  const main = all.filter(({ part }) => !part.optional && part.score !== 'done');
  return (main.length > 0 ? main : all).map(({ index }) => index);
}

/** The one score a run is told by: the sum where parts are summed, else the first scored part. */
export function headline(workout: Pick<Workout, 'parts'>, run: Run): { unit: Band['unit']; score: number } {
  const scored = scoredParts(workout);
  const first = scored[0];
  if (first === undefined) return { unit: 'seconds', score: run.totalSeconds };
  const lead = run.parts[first]!;
  const summed = scored.filter((index) => workout.parts[index]!.score === 'sum' && run.parts[index]!.unit === lead.unit);
  if (workout.parts[first]!.score === 'sum' && summed.length > 1)
    return { unit: lead.unit, score: summed.reduce((sum, index) => sum + run.parts[index]!.score, 0) };
  return { unit: lead.unit, score: lead.score };
}

/** Day form and what is not known of the athlete, as log-normal factors. */
export function drawForm(capacity: Capacity, normal: () => number): Form {
  const lifts = Object.values(capacity.lifts);
  const strength = lifts.reduce((sum, each) => sum + each.spread, 0) / lifts.length;
  const day = normal();
  const own = normal();
  return {
    local: Math.exp(0.08 * day + Math.min(0.3, 1.4 * strength) * own),
    engine: Math.exp(0.02 * day + Math.min(0.12, capacity.engineSpread) * normal()),
    pace: Math.exp(-0.015 * day + 0.03 * normal()),
    breaks: Math.exp(0.15 * normal()),
    // near the max three reps are one load step: what moves reps by a tenth moves a max by a thirtieth (Epley's curve)
    strength: Math.exp(0.02 * day + Math.min(0.12, 0.5 * strength) * own),
  };
}

function bandOf(unit: Band['unit'], median: number, scores: readonly number[]): Band {
  const sorted = [...scores].sort((a, b) => a - b);
  return { unit, low: Math.min(median, quantile(sorted, 0.1)), median, high: Math.max(median, quantile(sorted, 0.9)) };
}

export interface PredictOptions {
  readonly seed: number;
  /** seeded runs for the band; 200 is enough for the 10th and 90th percentile to hold still within about 1 % */
  readonly runs?: number;
  /** where it is done, if the place is to count: the way to the street, laps, the bar's own plates */
  readonly place?: Place | null;
}

export function predictProgram(workout: Pick<Workout, 'parts'>, program: Program, { seed, runs = 200 }: PredictOptions): Prediction & { readonly run: Run } {
  const run = walkProgram(program, { trace: true });
  const lengths = run.parts.map((part) => Math.max(30, part.endSeconds - part.startSeconds));
  const normal = normalFrom(seededRandom(seed));
  const samples = Array.from({ length: runs }, () => walkProgram(program, { form: drawForm(program.capacity, normal), lengths }));
  const head = headline(workout, run);
  const scored = scoredParts(workout);
  const perPart = scored.flatMap((index): Prediction['perPart'][number][] => {
    const result = run.parts[index]!;
    const own = {
      part: index,
      set: null,
      ...bandOf(
        result.unit,
        result.score,
        samples.map((each) => each.parts[index]!.score),
      ),
    };
    if (workout.parts[index]!.score !== 'eachSet' || result.sets.length < 2) return [own];
    return result.sets.map((score, set) => ({
      part: index,
      set,
      ...bandOf(
        result.unit,
        score,
        samples.map((each) => each.parts[index]!.sets[set] ?? score),
      ),
    }));
  });
  const called = scored
    .map((index) => run.parts[index]!)
    .find(
      (result) =>
        result.reached !== null &&
        (workout.parts[result.part]!.kind === 'forTime' || workout.parts[result.part]!.kind === 'windows' || workout.parts[result.part]!.kind === 'amrap'),
    );
  return {
    ...bandOf(
      head.unit,
      head.score,
      samples.map((each) => headline(workout, each).score),
    ),
    perPart,
    reached: called?.reached ? { part: called.part, slot: called.reached.slot, rung: called.reached.rung } : null,
    run,
  };
}

export function predictWorkout(
  workout: Pick<Workout, 'parts'>,
  capacity: Capacity,
  options: PredictOptions,
): Prediction & { readonly run: Run; readonly assumed: readonly string[] } {
  const program = compile(workout, capacity, options.place ?? null);
  return { ...predictProgram(workout, program, options), assumed: [...capacity.assumed, ...program.assumed] };
}
