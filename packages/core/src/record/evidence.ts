/** What is thought of somebody's fitness, and what each of their results has to do with it. */
import type { ReadPast } from '../athlete/athlete';
import { posteriorFitness } from '../scoring/learn-fitness';

/** results that later versions count with, the newest first: older ones say little about today, and each costs a root-finding wherever the athlete is adapted for */
export const mostResults = 8;

export interface Told {
  readonly fitness: ReadPast['fitness'];
  /** false: the coach does not let it count */
  readonly counts: boolean;
}
export interface Evidence<Result extends Told> {
  readonly result: Result;
  /** percent beside what the figures told say; null where it tells nothing */
  readonly percent: number | null;
  /** percentage points by which what is thought now would be another without it; null where it is not counted */
  readonly moves: number | null;
}
export interface Thought<Result extends Told> {
  /** beside what the figures told say */
  readonly percent: number;
  /** percent that are left open */
  readonly open: number;
  readonly evidence: readonly Evidence<Result>[];
}
const percentOf = (log: number): number => 100 * (Math.exp(log) - 1);
/** What one result shows beside the figures told, percent, and how far below and above that it may be. */
export interface ShownFitness {
  readonly percent: number;
  readonly spread: readonly [below: number, above: number];
}
export function shownFitness({ log, spread }: NonNullable<ReadPast['fitness']>): ShownFitness {
  const percent = percentOf(log);
  return { percent, spread: [percent - percentOf(log - spread), percentOf(log + spread) - percent] };
}

/** @param results the newest first @param prior log standard deviation of fitness before any result, > 0 */
export function weighEvidence<Result extends Told>(results: readonly Result[], prior: number): Thought<Result> {
  const counted = results.filter(({ counts }) => counts).slice(0, mostResults);
  const thoughtOf = (of: readonly Result[]) =>
    posteriorFitness(
      of.flatMap(({ fitness }) => fitness ?? []),
      prior,
    );
  const { log, spread } = thoughtOf(counted);
  const percent = percentOf(log);
  const evidence = results.map((result) => ({
    result,
    percent: result.fitness && percentOf(result.fitness.log),
    moves: result.fitness && counted.includes(result) ? percent - percentOf(thoughtOf(counted.filter((each) => each !== result)).log) : null,
  }));
  return { percent, open: percentOf(spread), evidence };
}
