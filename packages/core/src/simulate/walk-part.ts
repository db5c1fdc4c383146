/** A part as its clock has it: which steps come when, where time is called, and what the score is. */
import { predictedMaxLoad, strengthLoad } from './max-load';
import type { PartProgram } from './program';
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

/** One part from where the walker stands. @param expected its length, s, for pacing */
export function walkPart(walker: Walker, program: PartProgram, index: number, expected: number): PartResult {
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
      return lone ? result('reps', reps) : result('rounds', program.score === 'eachSet' ? rounds / part.sets : rounds);
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
