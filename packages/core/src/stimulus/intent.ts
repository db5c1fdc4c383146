/**
 * The intent: what the workout is for. Derived from the original as its reference athlete does it, then overlaid with what the coach stated.
 * What it is derived from is what this athlete is asked: the cut for newer athletes comes before.
 */
import { referenceCapacity } from '../capacity/reference-athlete';
import { slotsOfPart } from '../workout/walk';
import type { Category, Part, Window, Workout } from '../workout/workout';
import type { HouseRules } from '../rules/house-rules';
import { compile } from '../simulate/program';
import { walkProgram, type Run } from '../simulate/walk-program';
import { statementsIn, type HeldPart, type Statements } from './statements';
import { stimulusOf, type PartStimulus } from './stimulus';

export interface PartIntent extends Omit<Statements, 'held'> {
  readonly stimulus: PartStimulus;
  readonly window: Window | null;
  /** what the score should be: the window's middle, else the reference athlete's score; in the score's own unit, null where the clock fixes it */
  readonly target: number | null;
  /** mean seconds of one bout of each slot as the reference athlete does it, the way to it counted */
  readonly boutSeconds: readonly number[];
  /** mean reps of a set of each slot there: what it is not to fall to singles from */
  readonly setReps: readonly number[];
  /** what the coach said must hold counts double in the drift */
  readonly weights: Readonly<Partial<Record<HeldPart, number>>>;
  /** ln of how much harder than the original a set is to feel: the house rule on the choice of load */
  readonly feelShift: number;
  /** share of each interval that is work, for EMOM and windows */
  readonly workShare: number | null;
}
export interface Intent {
  readonly category: Category;
  readonly parts: readonly PartIntent[];
  /** the workout the version is measured against */
  readonly base: Workout;
  readonly words: readonly string[];
}

/** The middle of a window. An open one has none: there the reference athlete's own score counts where it lies inside, else a little inside the bound. */
export function middleOf(window: Window, referenceScore: number): number {
  if (window.low !== null && window.high !== null) return (window.low + window.high) / 2;
  if (window.low !== null) return Math.max(referenceScore, window.low * 1.1);
  return Math.min(referenceScore, (window.high ?? 0) * 0.9);
}

/**
 * Whose column the coach wrote. With loads in one column only, the figure is the men's (common practice), and the women's version carries its feel over;
 * without any load there is nothing to tell, and each category has its own reference.
 */
export function writtenFor(workout: Workout, category: Category): Category {
  const loads = workout.parts.flatMap((part) => slotsOfPart(part)).flatMap((slot) => (slot.load?.kind === 'mass' ? [slot.load] : []));
  return loads.length > 0 && loads.every((load) => load.men === load.women) ? 'men' : category;
}

/** heaviest owned: about half the reps at hand; light and fast: two thirds more (round figures) */
const feelShifts: Readonly<Record<string, number>> = { heaviest: 0.6, light: -0.5 };

/** What the coach states of a part: said of it or of the whole workout, in the intent or in a note. */
function statedOf(part: Part, workout: Workout): Omit<Statements, 'held'> & Pick<PartIntent, 'weights'> {
  const { held, ...stated } = statementsIn(`${workout.intent ?? ''} ${workout.notes.join(' ')} ${part.intent ?? ''} ${part.notes.join(' ')}`);
  return { ...stated, weights: Object.fromEntries(held.map((name) => [name, 2])) };
}

const countedInReps = ({ score }: Part): boolean => score === 'reps' || score === 'distance' || score === 'calories';

function targetOf(part: Part, score: number): number | null {
  if (part.kind === 'forTime' && countedInReps(part)) return null;
  if (part.kind === 'amrap' && part.score !== 'rounds' && part.score !== 'sum' && part.score !== 'eachSet') return null;
  const { window } = part;
  const rounds = part.kind === 'amrap';
  if (window && ((window.unit === 'rounds' && rounds) || (window.unit === 'seconds' && !rounds && window.per !== 'round'))) {
    const perSet = part.kind === 'amrap' && part.score === 'eachSet' && window.per === 'workout' ? part.sets : 1;
    return middleOf(window, score * perSet) / perSet;
  }
  return part.kind === 'amrap' || part.kind === 'forTime' || part.kind === 'windows' ? score : null;
}

/** Mean seconds of one bout of each slot in a run, the way to it counted; 0 for a slot nobody gets to. */
export function boutSecondsOf(run: Run, part: number, slots: number): number[] {
  const seconds = Array.from({ length: slots }, () => 0);
  const bouts = Array.from({ length: slots }, () => 0);
  for (const block of run.trace) {
    if (block.part !== part || block.slot >= slots) continue;
    seconds[block.slot]! += block.end - block.start;
    bouts[block.slot]! += 1;
  }
  return seconds.map((each, slot) => each / Math.max(1, bouts[slot]!));
}

/** Mean reps of a set of each slot in a run; 0 for a slot nobody gets to. */
export function setRepsOf(run: Run, part: number, slots: number): number[] {
  const reps = Array.from({ length: slots }, () => 0);
  const sets = Array.from({ length: slots }, () => 0);
  for (const block of run.trace) {
    if (block.part !== part || block.slot >= slots) continue;
    reps[block.slot]! += block.count;
    sets[block.slot]! += Math.max(1, block.sets.length);
  }
  return reps.map((each, slot) => each / Math.max(1, sets[slot]!));
}

/** @param workout what this athlete is asked: already cut for newer athletes and for the minutes there are */
export function deriveIntent(workout: Workout, category: Category, rules: HouseRules): Intent {
  const writer = writtenFor(workout, category);
  const program = compile(workout, referenceCapacity(writer));
  const run = walkProgram(program, { trace: true });
  const parts = workout.parts.map((part, index): PartIntent => {
    const result = run.parts[index]!;
    const fixed = result.endSeconds - result.startSeconds;
    return {
      stimulus: stimulusOf(program, index, result),
      window: part.window,
      target: targetOf(part, result.score),
      boutSeconds: boutSecondsOf(run, index, slotsOfPart(part).length),
      setReps: setRepsOf(run, index, slotsOfPart(part).length),
      ...statedOf(part, workout),
      feelShift: feelShifts[rules.loadChoice] ?? 0,
      workShare: part.kind === 'every' ? result.workSeconds / Math.max(1, fixed) : null,
    };
  });
  const words = [...(workout.intent ? [workout.intent] : []), ...workout.parts.flatMap((part) => (part.intent ? [part.intent] : []))];
  return { category: writer, parts, base: workout, words };
}
