/**
 * Conversions re-estimated from logged results. A result says how fit its athlete looked in the version done; what is left after the athlete's own fitness is
 * laid at the door of the swaps in it: ln f = athlete + Σ swap + noise, both penalised (ridge; the posterior mean of a normal model), so that a swap seen twice
 * moves little and one seen two hundred times moves as the data says. Solved exactly through the normal equations.
 * Weaker athletes choose easier versions, so those who did one version only share an effect of their group: what may be selection is not all taken for the swap.
 */

/** One logged result, already carried to a fitness by the simulation. */
export interface FitnessResult {
  readonly athlete: string;
  /** what sets this version apart, such as `toes-to-bar>sit-up`; none for the workout as written */
  readonly swaps: readonly string[];
  /** ln of the fitness that explains the score, 0 as estimated */
  readonly log: number;
  /** its standard deviation: the day's noise ÷ the version's elasticity */
  readonly spread: number;
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

/** prior log standard deviations: an athlete's fitness around the estimate, a swap's error of the model (round figures; model-notes found 7–35 % between versions) */
export interface ConversionPriors {
  readonly athlete: number;
  readonly swap: number;
  /** how far the mean fitness of those who chose a version may be from the others' */
  readonly group: number;
}
export const usualPriors: ConversionPriors = { athlete: 0.15, swap: 0.1, group: 0.15 };

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
  const size = athletes.length + swaps.length + groups.length;
  const matrix = Array.from({ length: size }, (_, at) => {
    const row = new Float64Array(size);
    row[at] = 1 / (at < athletes.length ? priors.athlete : at < athletes.length + swaps.length ? priors.swap : priors.group) ** 2;
    return row;
  });
  const right = new Float64Array(size);
  const athleteAt = new Map(athletes.map((name, at) => [name, at]));
  const swapAt = new Map(swaps.map((name, at) => [name, athletes.length + at]));
  const groupAt = new Map(groups.map((name, at) => [name, athletes.length + swaps.length + at]));
  for (const result of results) {
    const { athlete, swaps: own, log, spread } = result;
    const group = groupOf(result);
    const places = [athleteAt.get(athlete)!, ...own.map((swap) => swapAt.get(swap)!), ...(group === null ? [] : [groupAt.get(group)!])];
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

/** What the swaps of a version add up to, ln; 0 where nothing was learned. */
export function learnedOffset(learned: LearnedConversions, swaps: readonly string[]): { log: number; variance: number; results: number } {
  const known = swaps.flatMap((swap) => learned.swaps.get(swap) ?? []);
  return {
    log: known.reduce((sum, each) => sum + each.log, 0),
    variance: known.reduce((sum, each) => sum + each.spread ** 2, 0),
    results: known.reduce((least, each) => Math.min(least, each.results), known.length > 0 ? Infinity : 0),
  };
}

/** `from 34 results: 6 % harder than the model thought` */
export function evidenceSentence({ log, results }: { readonly log: number; readonly results: number }): string | null {
  const percent = Math.round((Math.exp(Math.abs(log)) - 1) * 100);
  if (results === 0 || percent === 0) return null;
  return `from ${results} result${results === 1 ? '' : 's'}: ${percent} % ${log > 0 ? 'easier' : 'harder'} than the model thought`;
}
