/** A part as its schedule has it, piece by piece: which steps come when, where time is called, and what the score is. */
import { schedule, type WorkPiece } from '../workout/schedule';
import { attemptSeconds, predictedMaxLoad, strengthLoad } from './max-load';
import type { PartProgram, Step } from './program';
import type { Walker } from './walker';

export interface PartResult {
  readonly part: number;
  readonly unit: 'seconds' | 'rounds' | 'reps' | 'kg';
  /** in `unit`; for time past the cap: cap + 1 s a rep left */
  readonly score: number;
  /** each set's, window's or interval's own score, where there are several */
  readonly sets: readonly number[];
  readonly startSeconds: number;
  readonly endSeconds: number;
  readonly workSeconds: number;
  /** where time was called before the work was done */
  readonly reached: { readonly slot: number; readonly rung: number; readonly repsLeft: number } | null;
  readonly fellBehind: number;
}
/** Nobody works longer than this without an end in sight; a part that would is cut off here and says so. */
const longest = 4 * 3600;
/** more rounds than any clock leaves time for */
const mostRounds = 2000;

/** What came of one work piece. */
interface Outcome {
  /** s of work, and one more for each rep left when it was called */
  readonly seconds: number;
  readonly rounds: number;
  /** in score reps, "as many as possible" included */
  readonly reps: number;
  /** of "as many as possible" alone */
  readonly maxCount: number;
  /** reps left undone */
  readonly left: number;
  readonly kg: number;
  readonly reached: PartResult['reached'];
}
const nothing: Outcome = { seconds: 0, rounds: 0, reps: 0, maxCount: 0, left: 0, kg: 0, reached: null };

interface Walk {
  readonly walker: Walker;
  readonly program: PartProgram;
  readonly index: number;
  /** of the whole part, s, for pacing */
  readonly expected: number;
  readonly startSeconds: number;
  /** where the whole part is called */
  readonly deadline: number;
}

function again({ walker, program, index }: Walk, piece: WorkPiece): Outcome {
  const start = walker.now;
  const limit = start + (piece.seconds ?? longest);
  let [rounds, reps, maxCount] = [0, 0, 0];
  let reached: PartResult['reached'] = null;
  for (let pass = piece.pass; walker.now < limit - 1e-9 && pass < mostRounds; pass++) {
    const before = walker.now;
    const out = walker.pass(index, program.steps(piece.list, pass), limit, limit);
    rounds += out.whole > 0 ? out.done / out.whole : 0;
    reps += out.done + out.maxCount;
    maxCount += out.maxCount;
    if (out.stopped) reached = { slot: out.stopped.slot, rung: pass, repsLeft: out.left };
    if (walker.now <= before + 1e-9) break;
  }
  return { ...nothing, seconds: walker.now - start, rounds, reps, maxCount, reached };
}

function once(walk: Walk, piece: WorkPiece): Outcome {
  const { walker, program, index } = walk;
  const start = walker.now;
  const { limit, finish } = boundsOf(walk, piece, start);
  const out = walker.pass(index, program.steps(piece.list, piece.pass), limit, finish);
  const rung = piece.is === 'interval' || piece.is === 'window' ? piece.number - 1 : (out.stopped?.round ?? 0);
  const behind = out.left > 1e-6 ? out.stopped : null;
  return {
    ...nothing,
    seconds: walker.now - start + out.left,
    reps: out.done + out.maxCount,
    maxCount: out.maxCount,
    left: behind ? out.left : 0,
    reached: behind ? { slot: behind.slot, rung, repsLeft: out.left } : null,
  };
}
/** Where a piece that is done once is called, and when its athlete means to be done with it. */
function boundsOf({ program: { part }, expected, startSeconds, deadline }: Walk, piece: WorkPiece, start: number): { limit: number; finish: number } {
  const end = start + (piece.capSeconds ?? piece.seconds ?? longest);
  const limit = Math.min(end, deadline, start + longest);
  if (part.kind === 'quality') return { limit, finish: start + 1200 };
  if (part.kind !== 'forTime') return { limit, finish: limit };
  const meant = piece.of > 1 ? start + expected / piece.of : startSeconds + expected;
  return { limit, finish: Math.max(Math.min(limit, meant), start + 20) };
}

/** Attempts at a max: the work of each is felt, the load is predicted. */
function attempts({ walker, program }: Walk, piece: WorkPiece): Outcome {
  const steps = program.steps(piece.list, piece.pass);
  const seconds = piece.seconds ?? 0;
  const start = walker.now;
  const kg = predictedMaxLoad(walker.body, steps, seconds);
  const count = Math.max(1, Math.floor(seconds / attemptSeconds));
  for (let attempt = 0; attempt < count; attempt++) {
    for (const step of steps) if (step.kind === 'move') walker.body.perform(step.demand, Math.min(0.6, step.count ?? 1), 600, Infinity);
    walker.rest(seconds / count);
  }
  walker.now = start + seconds;
  return { ...nothing, seconds, kg };
}

function strengthSet({ walker, program }: Walk, piece: WorkPiece): Outcome {
  const start = walker.now;
  const steps = program.steps(piece.list, piece.pass);
  const kg = strengthLoad(walker.body, steps);
  for (const step of steps) if (step.kind === 'move') liftSet(walker, step);
  return { ...nothing, seconds: walker.now - start, kg };
}
function liftSet(walker: Walker, step: Extract<Step, { kind: 'move' }>): void {
  const before = walker.body.elapsed();
  walker.body.perform(step.demand, Math.min(step.count ?? 5, 0.8 * step.demand.repsToFailure), 600, Infinity);
  walker.now += walker.body.elapsed() - before;
}

const modes: Readonly<Record<WorkPiece['mode'], (walk: Walk, piece: WorkPiece) => Outcome>> = { again, once, attempts, set: strengthSet };

const sum = (values: readonly number[]): number => values.reduce((total, value) => total + value, 0);
const mean = (values: readonly number[]): number => sum(values) / Math.max(1, values.length);

/** The score of a part from what came of its pieces, and each piece's own. */
function scoreOf({ part, score }: PartProgram, outcomes: readonly Outcome[], seconds: number): Pick<PartResult, 'unit' | 'score' | 'sets'> {
  const lone = score === 'reps' || score === 'distance' || score === 'calories';
  const reps = outcomes.map((outcome) => outcome.reps);
  const times = outcomes.map((outcome) => outcome.seconds);
  switch (part.kind) {
    case 'rest':
      return { unit: 'seconds', score: seconds, sets: [] };
    case 'amrap': {
      const rounds = outcomes.map((outcome) => outcome.rounds);
      if (lone) return { unit: 'reps', score: sum(reps), sets: reps };
      return { unit: 'rounds', score: score === 'eachSet' ? sum(rounds) / part.sets : sum(rounds), sets: rounds };
    }
    case 'forTime':
      if (lone) return { unit: 'reps', score: sum(reps), sets: reps };
      return { unit: 'seconds', score: score === 'eachSet' && part.sets > 1 ? mean(times) : seconds + sum(outcomes.map(({ left }) => left)), sets: times };
    case 'windows':
      return { unit: 'seconds', score: score === 'sum' ? sum(times) : mean(times), sets: times };
    case 'every': {
      const sets = outcomes.map(({ maxCount, seconds: length, left }) => (maxCount > 0 ? maxCount : length - left));
      // where something is done for most reps, those are the score; else all reps are
      const most = sum(outcomes.map(({ maxCount }) => maxCount));
      return { unit: 'reps', score: lone && !part.untilFailure && most > 0 ? most : sum(reps), sets };
    }
    case 'intervals':
      return { unit: 'reps', score: sum(reps), sets: reps };
    case 'maxLoad':
    case 'strength':
      return { unit: 'kg', score: Math.max(0, ...outcomes.map(({ kg }) => kg)), sets: [] };
    case 'quality':
      return { unit: 'reps', score: sum(reps), sets: [] };
  }
}

/** One part from where the walker stands. @param expected its length, s, for pacing */
export function walkPart(walker: Walker, program: PartProgram, index: number, expected: number): PartResult {
  const { part } = program;
  const startSeconds = walker.now;
  const worked = walker.workSeconds;
  const deadline = part.kind === 'forTime' && part.capSeconds !== null && !part.capPerSet ? startSeconds + part.capSeconds : Infinity;
  const walk: Walk = { walker, program, index, expected, startSeconds, deadline };
  const outcomes: Outcome[] = [];
  walker.interruptBy(program.interruption);
  for (const piece of schedule(part, startSeconds)) {
    if (piece.kind === 'rest') {
      walker.restAsWritten(piece.rest, deadline);
      continue;
    }
    const start = walker.now;
    const outcome = modes[piece.mode](walk, piece);
    outcomes.push(outcome);
    if (part.kind === 'every' && part.untilFailure && outcome.left > 0) break;
    if (piece.seconds !== null) walker.rest(start + piece.seconds - walker.now);
  }
  walker.interruptBy(null);
  const behind = outcomes.filter(({ left }) => left > 0);
  const reached = part.kind === 'amrap' || part.kind === 'intervals' ? (outcomes[outcomes.length - 1]?.reached ?? null) : (behind[0]?.reached ?? null);
  return {
    part: index,
    ...scoreOf(program, outcomes, walker.now - startSeconds),
    startSeconds,
    endSeconds: walker.now,
    workSeconds: walker.workSeconds - worked,
    reached: part.kind === 'intervals' ? null : reached,
    fellBehind: part.kind === 'every' || part.kind === 'windows' ? behind.length : 0,
  };
}
