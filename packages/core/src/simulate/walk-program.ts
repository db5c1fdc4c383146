/**
 * Walks a program set by set. One run is deterministic; chance enters only through the `Form` it is given.
 * Soft mode (the default) takes fractional sets and gives breaks their share of the set they lead to, so the result has no jumps;
 * whole mode takes whole repetitions, for the plan that is shown. Cost grows with the number of sets.
 */
import type { Capacity } from '../capacity/capacity';
import type { PartProgram, Program } from './program';
import { walkPart, type PartResult } from './walk-part';
import { Walker, type TraceBlock, type WalkOptions } from './walker';

export interface Run {
  readonly parts: readonly PartResult[];
  readonly trace: readonly TraceBlock[];
  readonly totalSeconds: number;
}
const firstGuess = (program: PartProgram, capacity: Capacity): number => {
  const { part } = program;
  if (part.kind !== 'forTime') return 600;
  const seconds = program
    .steps(0, 0)
    .reduce(
      (sum, step) =>
        sum +
        (step.kind === 'pause'
          ? step.rest.high
          : (step.count ?? 0) * (step.demand.secondsPerUnit ? step.demand.secondsPerUnit(capacity.criticalPower) : step.demand.cycleSeconds * 1.3) + 4),
      0,
    );
  return Math.max(30, Math.min(part.capSeconds ?? Infinity, seconds * part.sets));
};

/** s; nothing is paced for less */
const shortest = 15;
const mostPasses = 6;
/** share by which an end may miss the one it was paced by */
const settled = 0.005;

/** One run. For-time parts are paced by how long they will last, so the walk is repeated until it ends where it was meant to, unless `lengths` says it. */
export function walkProgram(program: Program, options: WalkOptions = {}): Run {
  const once = (lengths: readonly number[], trace: boolean): Run => {
    const walker = new Walker(program, { ...options, trace });
    const parts = program.parts.map((part, index) => walkPart(walker, part, index, lengths[index]!));
    return { parts, trace: walker.trace, totalSeconds: walker.now };
  };
  if (options.lengths) return once(options.lengths, options.trace === true);
  const guess = program.parts.map((part) => firstGuess(part, program.capacity));
  const timed = program.parts.some((part) => part.kind === 'forTime');
  if (!timed) return once(guess, options.trace === true);
  let run = once(guess, false);
  for (let pass = 1; pass < mostPasses; pass++) {
    const lengths = run.parts.map(lengthOf);
    run = once(lengths, options.trace === true);
    if (run.parts.every((part, index) => Math.abs(lengthOf(part) / lengths[index]! - 1) < settled)) break;
  }
  return run;
}
const lengthOf = ({ startSeconds, endSeconds }: PartResult): number => Math.max(shortest, endSeconds - startSeconds);
