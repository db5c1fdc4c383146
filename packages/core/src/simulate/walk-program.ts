/**
 * Walks a program set by set. One run is deterministic; chance enters only through the `Form` it is given.
 * Soft mode (the default) takes fractional sets and gives breaks their share of the set they lead to, so the result has no jumps;
 * whole mode takes whole repetitions, for the plan that is shown. Cost grows with the number of sets.
 */
import { Body, usualForm, type Constants, type Form } from './body';
import { predictedMaxLoad, strengthLoad } from './max-load';
import type { Demand } from './demand';
import type { MoveStep, PartProgram, Program, Step } from './program';

export interface TraceBlock {
  readonly part: number;
  readonly slot: number;
  readonly round: number;
  readonly start: number;
  readonly end: number;
  readonly count: number;
  /** reps of each set, whole mode only */
  readonly sets: readonly number[];
  /** s of breaks between those sets */
  readonly breakSeconds: number;
}
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
export interface Run {
  readonly parts: readonly PartResult[];
  readonly trace: readonly TraceBlock[];
  readonly totalSeconds: number;
}
export interface WalkOptions {
  readonly form?: Form;
  readonly whole?: boolean;
  readonly trace?: boolean;
  /** a first guess of each part's length, s, for pacing; from an earlier run */
  readonly lengths?: readonly number[];
  /**
   * `set` (the default) does a set in one piece, long ones in a few; `rep` does every repetition, ten metres or second on its own:
   * the slow reference the fast walk is checked against
   */
  readonly stride?: 'set' | 'rep';
  /** sets an athlete means to do of a slot's count, instead of the habit; null leaves the habit. A set beyond what is at hand fails, and a failed rep costs */
  readonly splits?: (part: number, slot: number, round: number, count: number) => readonly number[] | null;
  /** what a slot asks, changed: one movement made easier to see what it decides, or a world in which the catalogue is wrong */
  readonly demands?: (part: number, slot: number, demand: Demand) => Demand;
  /** another set of constants than the fitted one: how far the answers hang on them */
  readonly constants?: Constants;
}

/** s lost by a rep that failed: down, shake out, walk a step, set up again ("a failed rep costs a minute" with what follows; common practice, round figure) */
const failedSeconds = 20;

/** The demand of a movement that is so many times easier: reps at hand and pace. */
export function easierBy({ repsToFailure, joulesPerKg, secondsPerUnit, ...rest }: Demand, factor: number): Demand {
  return {
    ...rest,
    repsToFailure: repsToFailure * factor,
    joulesPerKg: joulesPerKg / factor,
    secondsPerUnit: secondsPerUnit && ((watts) => secondsPerUnit(watts) / factor),
  };
}

/** Nobody works longer than this without an end in sight; a part that would is cut off here and says so. */
const longest = 4 * 3600;

class Walker {
  now = 0;
  readonly trace: TraceBlock[] = [];
  readonly body: Body;
  workSeconds = 0;
  private awaySeconds = 0;
  private barKg: number | null = null;
  private idleSeconds = 0;

  constructor(
    readonly program: Program,
    private readonly options: WalkOptions,
  ) {
    this.body = new Body(program.capacity, options.form ?? usualForm, options.constants);
  }

  /** A planned rest: plates may be changed in it. */
  rest(seconds: number): void {
    this.wait(seconds);
    this.idleSeconds += Math.max(0, seconds);
  }

  /** A break within the work, or the way to the next movement. */
  private wait(seconds: number): void {
    this.body.rest(seconds);
    this.now += Math.max(0, seconds);
  }

  /** Seconds before a movement starts: the way there, from the street or to it, and the plates of a bar that was set to another load. */
  private approachSeconds(step: MoveStep): number {
    const { demand } = step;
    const way = step.wayOutSeconds + this.awaySeconds;
    this.awaySeconds = step.wayOutSeconds;
    let plates = 0;
    if (demand.barKg !== null) {
      if (this.barKg !== null && this.barKg !== demand.barKg) plates = Math.max(0, this.program.plateSeconds(this.barKg, demand.barKg) - this.idleSeconds);
      this.barKg = demand.barKg;
      this.idleSeconds = 0;
    }
    return (step.linked ? 0 : this.body.transitionSeconds(demand)) + way + plates;
  }

  /** One step, stopped at `limit` (absolute seconds). @returns the share of the step done, and the count */
  move(part: number, step: MoveStep, limit: number, finish: number): { share: number; count: number } {
    const demand = this.options.demands ? this.options.demands(part, step.slot, step.demand) : step.demand;
    const start = this.now;
    const most = step.count ?? Infinity;
    const tracing = this.options.trace === true;
    const sets: number[] = [];
    let breakSeconds = 0;
    this.wait(Math.min(this.approachSeconds(step), Math.max(0, limit - this.now)));
    const split = demand.secondsPerUnit || step.count === null ? null : (this.options.splits?.(part, step.slot, step.round, step.count) ?? null);
    let done = 0;
    let guard = 0;
    while (done < most - 1e-9 && this.now < limit - 1e-9 && guard++ < 3000) {
      const ahead = Math.max(5, finish - this.now);
      const full = split ? this.meantSet(demand, split[guard - 1] ?? most, ahead) : this.body.setSize(demand, ahead, step.unbroken);
      const chunk = demand.secondsPerUnit ? chunkOf(demand, step.count, limit - this.now) : full;
      const planned = Math.min(most - done, this.options.whole && !demand.secondsPerUnit ? Math.max(1, Math.floor(full + 1e-9)) : chunk);
      if (done > 0 && !demand.secondsPerUnit) {
        // a break is worth what it leads to: a last half set costs half a break, so reps and fitness never make a jump
        const part = this.options.whole || split ? 1 : Math.min(1, planned / full);
        const pause = Math.min(this.body.breakSeconds(demand, ahead) * part, Math.max(0, limit - this.now));
        this.wait(pause);
        breakSeconds += pause;
        if (this.now >= limit - 1e-9) break;
      }
      const size = this.inARow(demand, planned, limit, finish);
      done += size;
      if (tracing) sets.push(size);
    }
    if (tracing && (done > 0 || this.now > start))
      this.trace.push({ part, slot: step.slot, round: step.round, start, end: this.now, count: done, sets, breakSeconds });
    return { share: step.count === null ? 1 : Math.min(1, done / step.count), count: done };
  }

  /** A set as meant, or what is at hand of it when it fails; the failed rep costs its time at once. */
  private meantSet(demand: Demand, meant: number, ahead: number): number {
    const atHand = Math.max(1, this.body.atHand(demand, ahead));
    if (meant <= atHand) return meant;
    this.wait(failedSeconds);
    return Math.max(1, this.options.whole ? Math.floor(Math.min(meant, this.body.atHand(demand, ahead))) : Math.min(meant, this.body.atHand(demand, ahead)));
  }

  /** `planned` reps without a break, cut at `limit`. @returns the reps done */
  private inARow(demand: Demand, planned: number, limit: number, finish: number): number {
    const stride = this.options.stride === 'rep' ? unitOf(demand) : longestChunk(demand, planned);
    let done = 0;
    while (done < planned - 1e-9 && this.now < limit - 1e-9) {
      const size = Math.min(stride, planned - done);
      const before = this.body.elapsed();
      const share = this.body.perform(demand, size, Math.max(5, finish - this.now), limit - this.now);
      const seconds = this.body.elapsed() - before;
      if (!Number.isFinite(seconds)) throw new RangeError(`Walker.inARow: time is not finite at ${demand.movement.id}`);
      this.now += seconds;
      this.workSeconds += seconds;
      // whole-rep mode: the rep that the clock cut off is not counted
      done += this.options.whole && share < 1 && !demand.secondsPerUnit ? Math.floor(size * share + 1e-9) : size * share;
      if (share < 1) break;
    }
    return done;
  }

  /** All steps once. @returns worth done and whole, and where it stopped */
  pass(
    part: number,
    steps: readonly Step[],
    limit: number,
    finish: number,
  ): { done: number; whole: number; stopped: MoveStep | null; left: number; maxCount: number } {
    let done = 0;
    let whole = 0;
    let left = 0;
    let maxCount = 0;
    let stopped: MoveStep | null = null;
    for (const step of steps) {
      if (step.kind === 'pause') {
        this.rest(Math.min(step.seconds, Math.max(0, limit - this.now)));
        continue;
      }
      const value = step.worth > 0 ? step.worth : step.count === null ? 0 : 1;
      whole += value;
      if (this.now >= limit - 1e-9) {
        stopped ??= step;
        left += step.worth;
        continue;
      }
      const result = this.move(part, step, limit, finish);
      done += value * result.share;
      if (step.count === null) maxCount += step.demand.unit === 'm' ? result.count : result.count;
      if (result.share < 1 - 1e-9) {
        stopped ??= step;
        left += step.worth * (1 - result.share);
      }
    }
    return { done, whole, stopped, left, maxCount };
  }
}

/** Steps of the reference walk: one repetition, one calorie, one second, ten metres. */
const unitOf = (demand: Demand): number => (demand.unit === 'm' ? 10 : 1);

/** A long set is done in equal pieces of about half a minute, so that its fatigue is met where it arises. */
const pieceSeconds = 30;
function longestChunk(demand: Demand, planned: number): number {
  const seconds = demand.secondsPerUnit ? 0 : planned * demand.cycleSeconds;
  return seconds <= pieceSeconds ? planned : planned / Math.ceil(seconds / pieceSeconds);
}

/** Engine work goes in chunks, so that pace follows the reserve. */
function chunkOf(demand: MoveStep['demand'], count: number | null, time: number): number {
  if (count !== null) return count / Math.min(9, Math.max(1, Math.ceil(count / (demand.unit === 'm' ? 150 : 8))));
  const unit = demand.secondsPerUnit!(12);
  return Math.max(1e-3, Math.min(time, 20) / unit);
}

function runPart(walker: Walker, program: PartProgram, index: number, expected: number): PartResult {
  const { part } = program;
  const startSeconds = walker.now;
  const worked = walker.workSeconds;
  const sets: number[] = [];
  let fellBehind = 0;
  let reached: PartResult['reached'] = null;
  const result = (unit: PartResult['unit'], score: number): PartResult => ({
    part: index,
    unit,
    score,
    sets,
    startSeconds,
    endSeconds: walker.now,
    workSeconds: walker.workSeconds - worked,
    reached,
    fellBehind,
  });
  const amrap = (list: number, from: number, limit: number): { rounds: number; reps: number } => {
    let rounds = 0;
    let reps = 0;
    for (let pass = from; walker.now < limit - 1e-9 && pass < 2000; pass++) {
      const before = walker.now;
      const steps = program.steps(list, pass);
      const out = walker.pass(index, steps, limit, limit);
      rounds += out.whole > 0 ? out.done / out.whole : 0;
      reps += out.done + out.maxCount;
      if (out.whole === 0 && out.maxCount === 0 && walker.now <= before) break;
      if (out.stopped) reached = { slot: out.stopped.slot, rung: pass, repsLeft: out.left };
      if (walker.now <= before + 1e-9) break;
    }
    return { rounds, reps };
  };

  switch (part.kind) {
    case 'rest': {
      walker.rest(part.untilSeconds !== null ? Math.max(0, part.untilSeconds - walker.now) : (part.seconds ?? 0));
      return result('seconds', walker.now - startSeconds);
    }
    case 'amrap': {
      let rounds = 0;
      let reps = 0;
      const lone = program.score === 'reps' || program.score === 'distance' || program.score === 'calories';
      for (let set = 0; set < part.sets; set++) {
        if (set > 0) walker.rest(part.restBetween?.high ?? 0);
        const out = amrap(0, 0, walker.now + part.seconds.high);
        rounds += out.rounds;
        reps += out.reps;
        sets.push(lone ? out.reps : out.rounds);
      }
      return lone
        ? result('reps', program.score === 'reps' || part.sets === 1 ? reps : reps)
        : result('rounds', program.score === 'eachSet' ? rounds / part.sets : rounds);
    }
    case 'forTime': {
      const cap = part.capSeconds === null ? Infinity : part.capSeconds;
      const limitOfPart = part.capPerSet ? Infinity : startSeconds + cap;
      let penalty = 0;
      for (let set = 0; set < part.sets; set++) {
        if (set > 0) walker.rest(Math.min(part.restBetween?.high ?? 0, Math.max(0, limitOfPart - walker.now)));
        const setStart = walker.now;
        const limit = Math.min(part.capPerSet ? setStart + cap : limitOfPart, setStart + longest);
        const finish = part.sets > 1 ? Math.min(limit, setStart + expected / part.sets) : Math.min(limit, startSeconds + expected);
        const out = walker.pass(index, program.steps(0, 0), limit, Math.max(finish, setStart + 20));
        sets.push(walker.now - setStart + out.left);
        if (out.left > 1e-6 && out.stopped) {
          penalty += out.left;
          reached ??= { slot: out.stopped.slot, rung: out.stopped.round, repsLeft: out.left };
        }
      }
      const total = walker.now - startSeconds + penalty;
      return result('seconds', program.score === 'eachSet' && part.sets > 1 ? sets.reduce((sum, each) => sum + each, 0) / sets.length : total);
    }
    case 'every':
    case 'windows': {
      const lists = Math.max(1, program.lists);
      let reps = 0;
      for (let interval = 0; interval < part.count; interval++) {
        const start = startSeconds + interval * part.intervalSeconds;
        walker.rest(start - walker.now);
        const end = start + (part.capSeconds ?? part.intervalSeconds);
        const out = walker.pass(index, program.steps(interval % lists, part.kind === 'windows' ? 0 : Math.floor(interval / lists)), end, end);
        reps += out.done + out.maxCount;
        sets.push(part.kind === 'windows' ? walker.now - start + out.left : out.maxCount > 0 ? out.maxCount : walker.now - start);
        if (out.left > 1e-6 && out.stopped) {
          fellBehind++;
          reached ??= { slot: out.stopped.slot, rung: interval, repsLeft: out.left };
        }
      }
      walker.rest(startSeconds + part.count * part.intervalSeconds - walker.now);
      if (part.kind === 'windows')
        return result('seconds', program.score === 'sum' ? sets.reduce((sum, each) => sum + each, 0) : sets.reduce((sum, each) => sum + each, 0) / sets.length);
      const maxed = program.score === 'reps' || program.score === 'distance' || program.score === 'calories';
      return result('reps', maxed ? sets.reduce((sum, each) => sum + each, 0) : reps);
    }
    case 'intervals': {
      const lists = Math.max(1, program.lists);
      let reps = 0;
      part.segments.forEach((segment, at) => {
        const end = walker.now + segment.workSeconds;
        const out = walker.pass(index, program.steps(at % lists, Math.floor(at / lists)), end, end);
        reps += out.done + out.maxCount;
        sets.push(out.done + out.maxCount);
        walker.rest(end - walker.now + segment.restSeconds);
      });
      return result('reps', reps);
    }
    case 'maxLoad': {
      const kg = predictedMaxLoad(walker.body, program.steps(0, 0), part.seconds);
      const attempts = Math.max(1, Math.floor(part.seconds / 65));
      for (let attempt = 0; attempt < attempts; attempt++) {
        for (const step of program.steps(0, 0)) if (step.kind === 'move') walker.body.perform(step.demand, Math.min(0.6, step.count ?? 1), 600, Infinity);
        walker.rest(part.seconds / attempts);
      }
      walker.now = startSeconds + part.seconds;
      return result('kg', kg);
    }
    case 'strength': {
      let kg = 0;
      for (let set = 0; set < part.sets; set++) {
        const start = walker.now;
        const steps = program.steps(0, 0);
        kg = Math.max(kg, strengthLoad(walker.body, steps));
        for (const step of steps)
          if (step.kind === 'move') {
            const before = walker.body.elapsed();
            walker.body.perform(step.demand, Math.min(step.count ?? 5, 0.8 * step.demand.repsToFailure), 600, Infinity);
            walker.now += walker.body.elapsed() - before;
          }
        const rest = part.everySeconds !== null ? start + part.everySeconds - walker.now : (part.restBetween?.high ?? 150);
        if (part.everySeconds !== null || set < part.sets - 1) walker.rest(rest);
      }
      return result('kg', kg);
    }
    case 'quality': {
      const out = walker.pass(index, program.steps(0, 0), part.seconds === null ? walker.now + longest : walker.now + part.seconds, walker.now + 1200);
      if (part.seconds !== null) walker.rest(startSeconds + part.seconds - walker.now);
      return result('reps', out.done);
    }
  }
}

const firstGuess = (program: PartProgram): number => {
  const { part } = program;
  if (part.kind !== 'forTime') return 600;
  const seconds = program
    .steps(0, 0)
    .reduce(
      (sum, step) =>
        sum +
        (step.kind === 'pause'
          ? step.seconds
          : (step.count ?? 0) * (step.demand.secondsPerUnit ? step.demand.secondsPerUnit(12) : step.demand.cycleSeconds) * 1.3 + 4),
      0,
    );
  return Math.max(30, Math.min(part.capSeconds ?? Infinity, seconds * part.sets));
};

/** One run. For-time parts are paced by how long they will last, so the walk is done twice, unless `lengths` says it. */
export function walkProgram(program: Program, options: WalkOptions = {}): Run {
  const once = (lengths: readonly number[], trace: boolean): Run => {
    const walker = new Walker(program, { ...options, trace });
    const parts = program.parts.map((part, index) => runPart(walker, part, index, lengths[index]!));
    return { parts, trace: walker.trace, totalSeconds: walker.now };
  };
  if (options.lengths) return once(options.lengths, options.trace === true);
  const guess = program.parts.map(firstGuess);
  const timed = program.parts.some((part) => part.kind === 'forTime');
  if (!timed) return once(guess, options.trace === true);
  const first = once(guess, false);
  return once(
    first.parts.map((part) => Math.max(30, part.endSeconds - part.startSeconds)),
    options.trace === true,
  );
}
