/** The walk itself, step by step and set by set: sets, breaks, transitions, and what the clock cuts off. Which steps come when is the part's (`walk-part.ts`). */
import { Body, usualForm, type Constants, type Form } from './body';
import type { Demand } from './demand';
import { restSeconds } from '../workout/schedule';
import type { Rest } from '../workout/workout';
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

/** s a set to failure has ahead of it: nothing is kept for later (round figure) */
const failureAhead = 30;
/** s lost by a rep that failed: down, shake out, walk a step, set up again ("a failed rep costs a minute" with what follows; common practice, round figure) */
const failedSeconds = 20;

/** An athlete on the way through a program: what is tired, what time it is, what is in the hands. */
export class Walker {
  now = 0;
  readonly trace: TraceBlock[] = [];
  readonly body: Body;
  workSeconds = 0;
  private awaySeconds = 0;
  private barKg: number | null = null;
  private idleSeconds = 0;
  /** where the last planned rest ended, for a rest as long as the work */
  private workedFrom = 0;
  private interruption: { readonly everySeconds: number; readonly steps: readonly Step[]; next: number; busy: boolean } | null = null;

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
    this.workedFrom = this.now;
  }

  /** A rest as it is written, cut at `limit`. */
  restAsWritten(rest: Rest, limit = Infinity): void {
    this.rest(Math.min(restSeconds(rest, this.now - this.workedFrom), Math.max(0, limit - this.now)));
  }

  /** Work that comes in between from now on, at every so many seconds; null: none. */
  interruptBy(interruption: PartProgram['interruption']): void {
    this.interruption = interruption && { ...interruption, next: this.now + interruption.everySeconds, busy: false };
  }

  /** s at which the work in hand is put down for what comes in between. */
  private interruptedAt(): number {
    return this.interruption && !this.interruption.busy ? this.interruption.next : Infinity;
  }
  private interrupt(part: number, limit: number, finish: number): void {
    const between = this.interruption;
    if (!between || between.busy || this.now < between.next - 1e-9 || this.now >= limit - 1e-9) return;
    between.busy = true;
    for (const step of between.steps) if (step.kind === 'move' && this.now < limit) this.move(part, step, limit, finish);
    between.busy = false;
    between.next = Math.max(between.next + between.everySeconds, this.now);
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
    // a run or a machine begins with the clock, as told times do; what is picked up is picked up then
    const atTheStart = this.now === 0 && demand.secondsPerUnit !== null;
    return (step.linked || atTheStart ? 0 : this.body.transitionSeconds(demand)) + way + plates;
  }

  /** One step, stopped at `limit` (absolute seconds). @returns the share of the step done, and the count */
  move(part: number, step: MoveStep, until: number, finish: number): { share: number; count: number } {
    const limit = step.seconds === null ? until : Math.min(until, this.now + step.seconds);
    const demand = this.options.demands ? this.options.demands(part, step.slot, step.demand) : step.demand;
    const start = this.now;
    const tracing = this.options.trace === true;
    const sets: number[] = [];
    let breakSeconds = 0;
    this.wait(Math.min(this.approachSeconds(step), Math.max(0, limit - this.now)));
    const split = demand.secondsPerUnit || step.count === null ? null : (this.options.splits?.(part, step.slot, step.round, step.count) ?? null);
    const most = step.count ?? (step.toFailure ? Math.max(1, this.body.atHand(demand, failureAhead)) : Infinity);
    let done = 0;
    let guard = 0;
    while (done < most - 1e-9 && this.now < limit - 1e-9 && guard++ < 3000) {
      const ahead = Math.max(5, finish - this.now);
      const full = step.toFailure ? most : split ? this.meantSet(demand, split[guard - 1] ?? most, ahead) : this.body.setSize(demand, ahead, step.unbroken);
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
      const size = this.inARow(demand, planned, Math.min(limit, this.interruptedAt()), finish);
      done += size;
      this.interrupt(part, limit, finish);
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
        this.restAsWritten(step.rest, limit);
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
      if (step.count === null) maxCount += result.count;
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
