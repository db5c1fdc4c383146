/** What a past result says, read once: how fit its score shows its athlete beside the figures told, and what was done. Plain data, a few figures in place of a text: it is stored, and travels. */
import type { Athlete, LoggedResult, ReadPast } from '../athlete/athlete';
import { estimateCapacity, type Capacity } from '../capacity/capacity';
import { mainPattern, movementOf } from '../movements/catalogue';
import type { Pattern } from '../movements/movement';
import { parseWorkout } from '../notation/parse-workout';
import { formAtFitness } from '../simulate/body';
import { compile } from '../simulate/program';
import { walkProgram, type Run } from '../simulate/walk-program';
import { summarize } from '../workout/summary';
import type { Workout } from '../workout/workout';
import { leadingScore } from './check-score';
import { elasticityNear, fitnessFor, scorer } from './score-of-fitness';
import type { Score } from './score-text';
import { scoreValue } from './score-value';

/** log standard deviation of a score that is not fitness: the day and the pacing, and what the model has wrong about a workout (round figures) */
const dayNoise = 0.05;
const workoutNoise = 0.06;
const leastElasticity = 0.15;

/** The fitness that explains a score, by root-finding; null where the score tells as good as nothing of it. */
export function observe(capacity: Capacity, workout: Workout, score: Score): ReadPast['fitness'] {
  const read = scoreValue(score, workout, compile(workout, capacity));
  if (!read || !(read.value > 0)) return null;
  const simulated = scorer(workout, capacity, score.kind !== 'capped');
  const fitness = fitnessFor(read.value, simulated, read.unit === 'seconds' ? 'lower' : 'higher');
  // at the fitness assumed, so that a freak score cannot make itself look precise
  const elasticity = elasticityNear(simulated, 1);
  return elasticity < leastElasticity ? null : { log: Math.log(fitness), spread: Math.hypot(dayNoise, workoutNoise) / elasticity };
}

/** Reps by pattern of the counted work of a workout, an AMRAP as far as the run gets; metres, calories and seconds are left to the clock. */
export function repsByPattern(workout: Pick<Workout, 'parts'>, run: Run): ReadPast['reps'] {
  const sums: Partial<Record<Pattern, number>> = {};
  summarize(workout).parts.forEach((part, at) => {
    const passes = part.kind === 'amrap' ? run.parts[at]!.score : 1;
    for (const [id, reps] of Object.entries(part.reps)) {
      if (movementOf(id).unit !== 'reps') continue;
      const pattern = mainPattern(movementOf(id));
      sums[pattern] = (sums[pattern] ?? 0) + reps * passes;
    }
  });
  return sums;
}

/** Every movement of a workout, by id. */
export const movementsIn = (workout: Pick<Workout, 'parts'>): string[] => [...new Set(summarize(workout).parts.flatMap((part) => Object.keys(part.reps)))];

function readLogged(capacity: Capacity, logged: LoggedResult): ReadPast {
  const { workout, diagnostics } = parseWorkout(logged.workout);
  const score = leadingScore(logged.score, workout);
  const clear = diagnostics.every(({ level }) => level !== 'error');
  const fitness = score && clear ? observe(capacity, workout, score) : null;
  const run = walkProgram(compile(workout, capacity), { form: formAtFitness(Math.exp(fitness?.log ?? 0)) });
  return { fitness, movements: movementsIn(workout), reps: repsByPattern(workout, run), seconds: Math.round(run.totalSeconds) };
}

const known = new WeakMap<Athlete, readonly ReadPast[]>();
/** All past results of an athlete, newest first as they were given; read once an athlete, since each that is a text costs a root-finding. */
export function pastOf(athlete: Athlete): readonly ReadPast[] {
  const before = known.get(athlete);
  if (before) return before;
  const capacity = estimateCapacity(athlete);
  const past = (athlete.results ?? []).map((result) => ('workout' in result ? readLogged(capacity, result) : result));
  known.set(athlete, past);
  return past;
}

/** What one result says beside an athlete's figures, to be stored. @param result the text of the version done, and its score as typed */
export const readPastResult = (athlete: Athlete, result: LoggedResult): ReadPast => readLogged(estimateCapacity(athlete), result);
