/** A written score as the figure the simulation uses: rounds with their share of the next, one figure for several sets, a cap with what was left. */
import type { HouseRules } from '../rules/house-rules';
import { scoredParts } from '../simulate/predict';
import type { Program } from '../simulate/program';
import type { Workout } from '../workout/workout';
import type { Score } from './score-text';

export type ScoreUnit = 'seconds' | 'rounds' | 'reps' | 'kg';
export const higherIsBetter = (unit: ScoreUnit): boolean => unit !== 'seconds';

/** The worth of one round of an AMRAP in score reps, as the clock counts them: 10 m and one calorie are one rep each. */
export function repsPerRound(program: Program, part: number, round: number): number {
  return program.parts[part]!.steps(0, round).reduce((sum, step) => sum + (step.kind === 'move' ? step.worth : 0), 0);
}

/** What a round is worth more when each side of a composite counts as one: its members, less the one that the cycle counts. */
function sidesMore(program: Program, part: number, round: number): number {
  return program.parts[part]!.steps(0, round).reduce(
    (sum, step) => sum + (step.kind === 'move' && step.count !== null && step.worth > 0 && step.worth < step.count ? step.count - step.worth : 0),
    0,
  );
}

/**
 * A written score as the figure the simulation uses.
 * @returns null when the score is of a kind this workout does not give
 */
export function scoreValue(
  score: Score,
  workout: Workout,
  program: Program,
  rules: ScoreRules = usualScoreRules,
): { value: number; unit: ScoreUnit; part: number } | null {
  const part = scoredParts(workout)[0] ?? 0;
  const own = workout.parts[part];
  if (!own) return null;
  switch (score.kind) {
    case 'time':
      return own.kind === 'forTime' && own.score === 'eachSet' && own.sets > 1
        ? {
            value: meanSetFromClock(score.seconds, own.sets, own.restBetween?.high ?? 0) * (rules.setsOneScore === 'sum' ? own.sets : 1),
            unit: 'seconds',
            part,
          }
        : { value: score.seconds, unit: 'seconds', part };
    case 'sets':
      return { value: setsFigure(score.seconds, rules.setsOneScore), unit: 'seconds', part };
    case 'capped': {
      const cap = own.kind === 'forTime' ? own.capSeconds : null;
      return cap === null ? null : { value: cap + score.repsLeft, unit: 'seconds', part };
    }
    case 'rounds': {
      const next = Math.max(1, repsPerRound(program, part, score.rounds) + (rules.compositeCount === 'eachSide' ? sidesMore(program, part, score.rounds) : 0));
      return { value: score.rounds + Math.min(1, score.reps / next), unit: 'rounds', part };
    }
    case 'reps':
      return { value: score.reps, unit: 'reps', part };
    case 'load':
      return { value: score.kg, unit: 'kg', part };
    case 'done':
      return null;
  }
}

/** The house rules that decide what a score is. */
export type ScoreRules = Pick<HouseRules, 'unfinished' | 'setsOneScore' | 'compositeCount'>;
export const usualScoreRules: ScoreRules = { unfinished: 'capPlusReps', setsOneScore: 'each', compositeCount: 'cycle' };

/** One figure for several sets, by school. Separate scores and fastest-and-slowest are told apart on the board; here they count by their mean and their middle. */
export function setsFigure(sets: readonly number[], school: ScoreRules['setsOneScore']): number {
  const mean = sets.reduce((sum, each) => sum + each, 0) / sets.length;
  switch (school) {
    case 'slowest':
      return Math.max(...sets);
    case 'sum':
      return mean * sets.length;
    case 'fastestSlowest':
      return (Math.min(...sets) + Math.max(...sets)) / 2;
    default:
      return mean;
  }
}

/** Mean set from one clock time: the rests come off first (T11). */
export function meanSetFromClock(totalSeconds: number, sets: number, restSeconds: number): number {
  return (totalSeconds - (sets - 1) * restSeconds) / sets;
}
