/**
 * Conversions re-estimated from logged results. A result says how fit its athlete looked in the version done; what is left after the athlete's own fitness is
 * laid at the door of the whole workout (its results as written too) and of the swaps in it: ln f = athlete + workout + Σ swap + noise, all penalised (ridge; the posterior mean of a normal model), so that a swap seen twice
 * moves little and one seen two hundred times moves as the data says. Solved exactly through the normal equations.
 * Weaker athletes choose easier versions, so those who did one version only share an effect of their group: what may be selection is not all taken for the swap.
 */

/** One logged result, already carried to a fitness by the simulation. */
export interface FitnessResult {
  readonly athlete: string;
  readonly workout: string;
  /** what sets this version apart, such as `toes-to-bar>sit-up`; none for the workout as written */
  readonly swaps: readonly string[];
  /** ln of the fitness that explains the score ÷ the fitness expected of the athlete */
  readonly log: number;
  /** its standard deviation: the day's noise ÷ the version's elasticity */
  readonly spread: number;
  /** log standard deviation of what was expected: small for an athlete whose file tells much */
  readonly prior: number;
}
export interface LearnedSwap {
  readonly swap: string;
  /** + the version is easier than the model thought: who does it looks fitter than he is */
  readonly log: number;
  readonly spread: number;
  readonly results: number;
}
export interface LearnedConversions {
  readonly swaps: ReadonlyMap<string, LearnedSwap>;
  /** ln fitness of each athlete, freed from the swaps */
  readonly athletes: ReadonlyMap<string, number>;
}

/** round figures; model-notes found 7–35 % between versions */
export interface ConversionPriors {
  /** log standard deviation of the model's error in one swap */
  readonly swap: number;
  /** how far the mean fitness of those who chose a version may be from what their files say, as a share of what the files leave open */
  readonly group: number;
  /** log standard deviation of the model's error about a whole workout */
  readonly workout: number;
}
export const usualPriors: ConversionPriors = { swap: 0.1, group: 0.6, workout: 0.1 };

/** Solves A x = b and gives the inverse's diagonal, by Cholesky. @param matrix symmetric, positive definite */
function solve(matrix: readonly Float64Array[], right: Float64Array): { x: Float64Array; variance: Float64Array } {
  const size = right.length;
  const lower = matrix.map((row) => Float64Array.from(row));
  for (let row = 0; row < size; row++)
    for (let column = 0; column <= row; column++) {
      let sum = lower[row]![column]!;
      for (let at = 0; at < column; at++) sum -= lower[row]![at]! * lower[column]![at]!;
      lower[row]![column] = row === column ? Math.sqrt(sum) : sum / lower[column]![column]!;
    }
  const forward = (b: Float64Array): Float64Array => {
    const y = Float64Array.from(b);
    for (let row = 0; row < size; row++) {
      for (let at = 0; at < row; at++) y[row]! -= lower[row]![at]! * y[at]!;
      y[row]! /= lower[row]![row]!;
    }
    return y;
  };
  const x = forward(right);
  for (let row = size - 1; row >= 0; row--) {
    for (let at = row + 1; at < size; at++) x[row]! -= lower[at]![row]! * x[at]!;
    x[row]! /= lower[row]![row]!;
  }
  const variance = Float64Array.from({ length: size }, (_, at) => {
    const unit = new Float64Array(size);
    unit[at] = 1;
    return forward(unit).reduce((sum, each) => sum + each * each, 0);
  });
  return { x, variance };
}

/** @returns what each swap and each athlete come to; empty when there are no results */
export function learnConversions(results: readonly FitnessResult[], priors: ConversionPriors = usualPriors): LearnedConversions {
  const athletes = [...new Set(results.map((each) => each.athlete))];
  const swaps = [...new Set(results.flatMap((each) => each.swaps))].sort();
  const versionsOf = new Map<string, Set<string>>();
  for (const { athlete, swaps: own } of results) versionsOf.set(athlete, (versionsOf.get(athlete) ?? new Set()).add(own.join()));
  const groupOf = ({ athlete, swaps: own }: FitnessResult): string | null => (versionsOf.get(athlete)!.size === 1 ? own.join() : null);
  const groups = [...new Set(results.flatMap((each) => groupOf(each) ?? []))];
  const workouts = [...new Set(results.map((each) => each.workout))];
  const size = athletes.length + swaps.length + groups.length + workouts.length;
  const meanPrior = (of: readonly FitnessResult[]): number => Math.sqrt(of.reduce((sum, { prior }) => sum + prior ** 2, 0) / of.length);
  const spreads = [
    ...athletes.map((name) => meanPrior(results.filter((each) => each.athlete === name))),
    ...swaps.map(() => priors.swap),
    ...groups.map((name) => priors.group * meanPrior(results.filter((each) => groupOf(each) === name))),
    ...workouts.map(() => priors.workout),
  ];
  const matrix = spreads.map((spread, at) => {
    const row = new Float64Array(size);
    row[at] = 1 / spread ** 2;
    return row;
  });
  const right = new Float64Array(size);
  const athleteAt = new Map(athletes.map((name, at) => [name, at]));
  const swapAt = new Map(swaps.map((name, at) => [name, athletes.length + at]));
  const groupAt = new Map(groups.map((name, at) => [name, athletes.length + swaps.length + at]));
  const workoutAt = new Map(workouts.map((name, at) => [name, athletes.length + swaps.length + groups.length + at]));
  for (const result of results) {
    const { athlete, swaps: own, log, spread } = result;
    const group = groupOf(result);
    const places = [
      athleteAt.get(athlete)!,
      ...own.map((swap) => swapAt.get(swap)!),
      ...(group === null ? [] : [groupAt.get(group)!]),
      workoutAt.get(result.workout)!,
    ];
    const precision = 1 / spread ** 2;
    for (const row of places) {
      right[row]! += precision * log;
      for (const column of places) matrix[row]![column]! += precision;
    }
  }
  const { x, variance } = solve(matrix, right);
  return {
    athletes: new Map(athletes.map((name, at) => [name, x[at]!])),
    swaps: new Map(
      swaps.map((swap) => {
        const at = swapAt.get(swap)!;
        return [swap, { swap, log: x[at]!, spread: Math.sqrt(variance[at]!), results: results.filter((each) => each.swaps.includes(swap)).length }];
      }),
    ),
  };
}

export interface LearnedOffset {
  /** what the swaps of a version add up to, ln; 0 where nothing was learned */
  readonly log: number;
  /** share of the model's doubt about these swaps that the results leave, 1 where there are none */
  readonly open: number;
  readonly results: number;
}

/** What was learned about all the swaps of a version. */
export function learnedOffset(learned: LearnedConversions | null, swaps: readonly string[], priors: ConversionPriors = usualPriors): LearnedOffset {
  const known = swaps.flatMap((swap) => learned?.swaps.get(swap) ?? []);
  const unknown = (swaps.length - known.length) * priors.swap ** 2;
  return {
    log: known.reduce((sum, each) => sum + each.log, 0),
    open: swaps.length === 0 ? 1 : (unknown + known.reduce((sum, each) => sum + each.spread ** 2, 0)) / (swaps.length * priors.swap ** 2),
    results: known.reduce((least, each) => Math.min(least, each.results), known.length > 0 ? Infinity : 0),
  };
}

/** `from 34 results: 6 % harder than the model thought` */
export function evidenceSentence({ log, results }: Pick<LearnedOffset, 'log' | 'results'>): string | null {
  const percent = Math.round((Math.exp(Math.abs(log)) - 1) * 100);
  if (results === 0 || percent === 0) return null;
  return `from ${results} result${results === 1 ? '' : 's'}: ${percent} % ${log > 0 ? 'easier' : 'harder'} than the model thought`;
}
