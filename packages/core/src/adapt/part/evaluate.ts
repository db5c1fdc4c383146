/** One run of a part with its slots filled: its score, what each slot took, and whether something in it is a wall for this athlete. */
import { movementOf } from '../../movements/catalogue';
import { compile, type Program } from '../../simulate/program';
import type { PartResult } from '../../simulate/walk-part';
import { walkProgram, type Run } from '../../simulate/walk-program';
import { boutSecondsOf } from '../../stimulus/intent';
import { isOpen, itemLists, slotsOfItems, slotsOfPart } from '../../workout/walk';
import type { Part } from '../../workout/workout';
import { beyondBand, leastRestSeconds, sameRestSeconds } from './band';
import { isSkill } from '../slot/half-skill';
import { applyOptions, type Option, type PartLever } from '../slot/option';
import type { Space } from './space';

export interface Point {
  readonly options: readonly Option[];
  readonly lever: PartLever;
}
export interface Evaluated extends Point {
  readonly part: Part;
  readonly result: PartResult;
  /** mean seconds of a bout of each slot, the way to it counted */
  readonly boutSeconds: readonly number[];
  /** slots that are a wall: singles with rests where sets were meant, or more than twice the reference's time */
  readonly walls: readonly number[];
  /** signed: 0 inside the band, + harder than meant, − easier */
  readonly beyond: number;
}

/** more than twice what it takes the reference, however wide the window (judgement) */
const wallTime = 2;
/** a slot that takes less than this is no wall, whatever its share (round figure) */
const wallSeconds = 20;
/** sets of so few reps are singles with rests; a set that was meant is one of so many (round figures) */
const singles = 1.6;
const meantSet = 4;
const meantReferenceSet = 3;
/** share of the bouts that fall to singles before a slot is a wall (round figure) */
const wallBouts = 0.4;
/** so many times the best set in one part ends in singles (common practice: sixty-three from a best of twelve) */
const bestSets = 5;
/** but not while each bout is half of the best set or less */
const halfOfBest = 0.5;

/** How far off its paced length a piece for time may end before it is walked again, paced by that end. */
const pacedWithin = 0.02;

/** One run; a piece for time is paced by the time it is meant to take, and again by its own where that is another. */
function runOf(program: Program, { part, intent }: Space): Run {
  const sets = part.kind === 'forTime' && part.score === 'eachSet' ? part.sets : 1;
  if (part.kind !== 'forTime' || intent.target === null) return walkProgram(program, { trace: true });
  const meant = intent.target * sets;
  const first = walkProgram(program, { lengths: [meant], trace: true });
  const took = Math.max(30, first.parts[0]!.endSeconds - first.parts[0]!.startSeconds);
  return Math.abs(took / meant - 1) <= pacedWithin ? first : walkProgram(program, { lengths: [took], trace: true });
}

export function evaluatePoint(space: Space, options: readonly Option[], lever: PartLever): Evaluated {
  const { part: asked, context } = space;
  const part = applyOptions(asked, options, lever, context.athlete.units);
  const run = runOf(compile({ parts: [part] }, context.capacity, context.place), space);
  const result = run.parts[0]!;
  const boutSeconds = boutSecondsOf(run, 0, slotsOfPart(part).length);
  return { options, lever, part, result, boutSeconds, walls: wallsOf(space, options, run, boutSeconds), beyond: beyondOf(space, part, result, boutSeconds) };
}

function beyondOf({ band, intent }: Space, part: Part, result: PartResult, boutSeconds: readonly number[]): number {
  if (part.kind === 'every') return overfull(part, boutSeconds, intent.boutSeconds);
  if (!band) return 0;
  const capped = result.reached !== null && part.kind === 'forTime' && part.capSeconds !== null && !part.capPerSet;
  const beyond = beyondBand(band, result.score);
  return capped ? Math.max(beyond, Math.log(1.02), Math.log(result.score / part.capSeconds!)) : beyond;
}

/** How far the fullest interval is beyond the rest it should leave; 0 where all leave enough. */
function overfull(part: Extract<Part, { kind: 'every' }>, seconds: readonly number[], meant: readonly number[]): number {
  let at = 0;
  const limit = part.capSeconds ?? part.intervalSeconds;
  const over = itemLists(part).map((items) => {
    const slots = slotsOfItems(items).map(() => at++);
    const work = slots.reduce((sum, slot) => sum + (seconds[slot] ?? 0), 0);
    const reference = slots.reduce((sum, slot) => sum + (meant[slot] ?? 0), 0);
    const allowed = Math.max(Math.min(limit - leastRestSeconds, reference + sameRestSeconds), Math.min(reference, limit));
    return work > allowed + 0.5 ? Math.log(work / Math.max(1, allowed)) : 0;
  });
  return part.untilFailure ? 0 : Math.max(0, ...over);
}

/** Slots that break an athlete, however wide the window. */
function wallsOf({ questions, intent, part, context }: Space, options: readonly Option[], run: Run, boutSeconds: readonly number[]): number[] {
  if (part.kind === 'strength' || part.kind === 'maxLoad' || part.kind === 'intervals') return [];
  return questions.flatMap(({ slot }, index) => {
    const option = options[index]!;
    if (context.rules.halfSkill === 'attempts' && isSkill(movementOf(option.movement))) return [];
    if (option.unit !== 'reps' || isOpen(slot)) return [];
    const meant = intent.boutSeconds[index] ?? 0;
    const slow = meant > 0 && boutSeconds[index]! > wallSeconds && boutSeconds[index]! > wallTime * meant;
    return slow || fallsToSingles(run, index, intent.setReps[index] ?? 0) || beyondBestSets(run, index, option) ? [index] : [];
  });
}

/** The sets that were meant are singles in many of its bouts; what falls to singles for the reference too is meant so. */
function fallsToSingles(run: Run, slot: number, meantReps: number): boolean {
  const blocks = run.trace.filter((block) => block.slot === slot && block.count >= meantSet);
  const broken = blocks.filter(({ count, sets }) => sets.length >= 3 && count / sets.length < singles);
  return meantReps >= meantReferenceSet && blocks.length > 0 && broken.length > wallBouts * blocks.length;
}

/** Many times the best set of a skill or a hanging pull. */
function beyondBestSets(run: Run, slot: number, { repsToFailure, movement }: Option): boolean {
  if (!isHardSkill(movement)) return false;
  const counts = run.trace.filter((block) => block.slot === slot).map(({ count }) => count);
  const reps = counts.reduce((sum, count) => sum + count, 0);
  return reps > bestSets * repsToFailure && Math.max(...counts) > halfOfBest * repsToFailure;
}
function isHardSkill(id: string): boolean {
  const { skill, avoid } = movementOf(id);
  return skill >= 2 && (avoid.includes('hanging') || avoid.includes('inverted'));
}
