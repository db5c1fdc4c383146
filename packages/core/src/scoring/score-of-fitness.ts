/** Score as a function of fitness, and back: the fitness at which the simulation gives a score, and how far a score moves with it. */
import type { Capacity } from '../capacity/capacity';
import { formAtFitness } from '../simulate/body';
import { headline, scoredParts } from '../simulate/predict';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { bracketedRoot } from '../units/bracketed-root';
import type { Part, Workout } from '../workout/workout';
import { setsFigure, usualScoreRules, type ScoreRules } from './score-value';

/** fitness the root is looked for in; outside it the score says more about the entry than the athlete */
const weakest = 0.3;
const fittest = 3.2;
/** whether a score lies within what the simulation can give, so that its fitness is read and not only bounded */
export const withinReach = (fitness: number): boolean => fitness > weakest && fitness < fittest;
/** log standard deviation of a day's score that is not fitness (round figure, see model-notes: day form and pacing) */
export const dayNoise = 0.04;
/** below this elasticity a score tells as good as nothing */
export const leastTold = 0.04;

/** A cap hides how long the rest would have taken; the simulation looks past it, so that a capped score stays a score. */
function withoutCap(part: Part): Part {
  return part.kind === 'forTime' ? { ...part, capSeconds: null } : part;
}

/** Score as a function of fitness; `capped` false looks past the caps. */
export function scorer(workout: Workout, capacity: Capacity, capped: boolean, rules: ScoreRules = usualScoreRules): (fitness: number) => number {
  const program = compile({ parts: capped ? workout.parts : workout.parts.map(withoutCap) }, capacity);
  const lead = scoredParts(workout)[0] ?? 0;
  const setwise = workout.parts[lead]?.score === 'eachSet';
  return (fitness) => {
    const run = walkProgram(program, { form: formAtFitness(fitness) });
    const { sets } = run.parts[lead] ?? { sets: [] };
    return setwise && sets.length > 1 ? setsFigure(sets, rules.setsOneScore) : headline(workout, run).score;
  };
}

/** half-width, in ln fitness, to which the fitness behind a score is found */
const closeEnough = 4e-6;

/**
 * The fitness at which the simulation gives this score.
 * @param target the score, > 0
 * @returns a bound when the score lies outside what the simulation can give
 */
export function fitnessFor(target: number, score: (fitness: number) => number, better: 'higher' | 'lower'): number {
  const sign = better === 'higher' ? 1 : -1;
  const excess = (logFitness: number): number => sign * Math.log(Math.max(leastScore, score(Math.exp(logFitness))) / target);
  const [low, high] = [Math.log(weakest), Math.log(fittest)];
  if (excess(low) >= 0) return weakest;
  if (excess(high) <= 0) return fittest;
  return Math.exp(bracketedRoot(excess, low, high, closeEnough));
}
/** keeps the logarithm of a score of nothing finite */
const leastScore = 1e-9;

/** |d ln score / d ln fitness| around a fitness, by central difference over ±5 %. */
export function elasticityNear(score: (fitness: number) => number, fitness: number): number {
  const up = score(fitness * 1.05);
  const down = score(fitness / 1.05);
  return up > 0 && down > 0 ? Math.abs(Math.log(up / down)) / (2 * Math.log(1.05)) : 0;
}

/** How far a workout's score moves with fitness at the athlete's own level: 1 is in proportion. */
export function elasticityOf(workout: Workout, capacity: Capacity): number {
  return elasticityNear(scorer(workout, capacity, true), 1);
}

/** What a score in this version will tell before anybody trains: its elasticity, and the share of fitness that a usual day's noise leaves open. */
export function comparabilityOf(version: Workout, capacity: Capacity): { elasticity: number; uncertainty: number } {
  const elasticity = elasticityOf(version, capacity);
  return { elasticity, uncertainty: Math.min(1, dayNoise / Math.max(leastTold, elasticity)) };
}

/** Par in the version's own unit: the score this athlete should get. */
export function parOf(version: Workout, capacity: Capacity): number {
  return scorer(version, capacity, true)(capacity.fitness);
}
