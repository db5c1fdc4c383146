/**
 * What past results say about an athlete beyond the figures told: one fitness factor, re-estimated without letting one bad day move it far.
 * Each result gives ln(fitness) by root-finding through the simulation, with a standard deviation of score noise ÷ elasticity. The posterior is that of a normal
 * prior around 0 and Huber's weights (Huber 1964): a residual beyond 1.5 standard deviations counts in proportion, not in square.
 */
import type { Athlete, ReadPast } from '../athlete/athlete';
import { estimateCapacity, type Capacity } from '../capacity/capacity';
import type { Workout } from '../workout/workout';
import { observe, pastOf } from './past-result';
import type { Score } from './score-text';

export interface PastResult {
  readonly workout: Workout;
  readonly score: Score;
}
export interface Learned {
  readonly fitness: number;
  /** log standard deviation that is left */
  readonly spread: number;
  /** results that said something */
  readonly used: number;
}

const huberLimit = 1.5;
type Observed = NonNullable<ReadPast['fitness']>;

/** @param prior log standard deviation of fitness before any result, > 0 */
export function posteriorFitness(observed: readonly Observed[], prior: number): { log: number; spread: number } {
  let log = 0;
  let precision = 1 / prior ** 2;
  for (let step = 0; step < 8; step++) {
    let weighted = 0;
    precision = 1 / prior ** 2;
    for (const each of observed) {
      const residual = Math.abs(each.log - log) / each.spread;
      const weight = (residual > huberLimit ? huberLimit / residual : 1) / each.spread ** 2;
      weighted += weight * each.log;
      precision += weight;
    }
    log = weighted / precision;
  }
  return { log, spread: Math.sqrt(1 / precision) };
}

export function learnFitness(capacity: Capacity, results: readonly PastResult[]): Learned {
  return learnedFrom(
    capacity,
    results.flatMap(({ workout, score }) => observe(capacity, workout, score) ?? []),
  );
}

function learnedFrom(capacity: Capacity, observed: readonly Observed[]): Learned {
  const { log, spread } = posteriorFitness(observed, capacity.fitnessSpread);
  return { fitness: Math.exp(log), spread, used: observed.length };
}

const known = new WeakMap<Athlete, Capacity>();
/** The capacity of an athlete with everything known: figures told, norms, and past results. Read once an athlete: his results cost a root-finding each. */
export function capacityOf(athlete: Athlete): Capacity {
  const before = known.get(athlete);
  if (before) return before;
  const capacity = withResults(athlete);
  known.set(athlete, capacity);
  return capacity;
}

function withResults(athlete: Athlete): Capacity {
  const capacity = estimateCapacity(athlete);
  const observed = pastOf(athlete).flatMap(({ fitness }) => fitness ?? []);
  if (observed.length === 0) return capacity;
  const { fitness, spread, used } = learnedFrom(capacity, observed);
  return { ...capacity, fitness, fitnessSpread: spread, pastResults: used, assumed: [...capacity.assumed, pastResultsSentence({ fitness, used })] };
}

/** `from 6 past results: 4 % fitter than the figures say` */
export function pastResultsSentence({ fitness, used }: Pick<Learned, 'fitness' | 'used'>): string {
  const change = Math.round((fitness - 1) * 100);
  const said = change === 0 ? 'as fit as the figures say' : `${Math.abs(change)} % ${change > 0 ? 'fitter' : 'less fit'} than the figures say`;
  return `from ${used} past result${used === 1 ? '' : 's'}: ${said}`;
}
