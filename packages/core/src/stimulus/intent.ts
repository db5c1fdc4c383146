/**
 * The intent: what the workout is for. Derived from the original as its reference athlete does it, then overlaid with what the coach stated.
 * For newer athletes the time is shortened first (house rule), and everything is measured against the shortened workout.
 */
import { referenceCapacity } from '../capacity/reference-athlete';
import type { Level } from '../athlete/athlete';
import type { Pattern } from '../movements/movement';
import { mapBlocks, slotsOfPart } from '../workout/walk';
import type { Category, Part, Window, Workout } from '../workout/workout';
import type { HouseRules } from '../rules/house-rules';
import { roundTime, scaleLadder } from '../adapt/coach-numbers';
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import { stimulusOf, type PartStimulus } from './stimulus';

export type HeldPart = 'time' | 'load' | 'pattern' | 'breathing' | 'grip' | 'skill' | 'volume';
export interface PartIntent {
  readonly stimulus: PartStimulus;
  readonly window: Window | null;
  /** what the score should be: the window's middle, else the reference athlete's score; in the score's own unit, null where the clock fixes it */
  readonly target: number | null;
  readonly unbroken: boolean;
  readonly feel: 'light' | 'moderate' | 'heavy' | null;
  /** patterns the coach said must stay */
  readonly mustStay: readonly Pattern[];
  /** what the coach said must hold counts double in the drift */
  readonly weights: Readonly<Partial<Record<HeldPart, number>>>;
  /** one load for everything */
  readonly oneLoad: boolean;
  /** ln of how much harder than the original a set is to feel: the house rule on the choice of load */
  readonly feelShift: number;
  /** share of each interval that is work, for EMOM and windows */
  readonly workShare: number | null;
}
export interface Intent {
  readonly category: Category;
  readonly parts: readonly PartIntent[];
  /** the workout the version is measured against, after the rule for newer athletes */
  readonly base: Workout;
  readonly shortened: number;
  readonly words: readonly string[];
}

/** Common practice (T9): newer 20 → 15, brand-new 20 → 10; only pieces of 12:00 and longer are cut. */
const keepTime: Readonly<Record<Level, number>> = { new: 0.5, newer: 0.75, trained: 1, competitive: 1 };
const longPiece = 720;

const scaleWindow = (window: Window | null, factor: number): Window | null => {
  if (!window || window.per === 'round' || window.unit === 'kg') return window;
  const scaled = (value: number | null): number | null =>
    value === null ? null : window.unit === 'seconds' ? roundTime(value * factor) : Math.round(value * factor * 2) / 2;
  return { ...window, low: scaled(window.low), high: scaled(window.high), ...(window.usual === undefined ? {} : { usual: scaled(window.usual)! }) };
};

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

function shortenPart(part: Part, factor: number, seconds: number): Part {
  if (seconds < longPiece) return part;
  switch (part.kind) {
    case 'amrap': {
      const length = roundTime(part.seconds.high * factor);
      return { ...part, seconds: { low: length, high: length }, window: scaleWindow(part.window, length / part.seconds.high) };
    }
    case 'forTime': {
      const capSeconds = part.capSeconds === null ? null : roundTime(part.capSeconds * factor);
      const shorter = { ...part, capSeconds, window: part.window?.per === 'set' ? part.window : scaleWindow(part.window, factor) };
      if (part.sets > 1) return { ...shorter, sets: Math.max(1, Math.round(part.sets * factor)) };
      return mapBlocks(shorter, (block) =>
        block.ladder
          ? { ...block, ladder: scaleLadder(block.ladder, factor, false) }
          : block.rounds.high > 1
            ? { ...block, rounds: { low: Math.max(1, Math.round(block.rounds.high * factor)), high: Math.max(1, Math.round(block.rounds.high * factor)) } }
            : block,
      ) as Part;
    }
    case 'every': {
      const stations = Math.max(1, part.stations.length);
      return { ...part, count: Math.max(stations, Math.round((part.count * factor) / stations) * stations) };
    }
    default:
      return part;
  }
}

const heldWords: Readonly<Record<HeldPart, RegExp>> = {
  time: /^(?:time|window|pace|minutes)$/,
  load: /^(?:load|heavy|light|weight)$/,
  pattern: /^(?:pattern|patterns|movements)$/,
  breathing: /^(?:breathing|breath|engine)$/,
  grip: /^grip$/,
  skill: /^skills?$/,
  volume: /^(?:volume|reps)$/,
};
const patternsSaid: readonly (readonly [RegExp, readonly Pattern[]])[] = [
  [/^pull(?:ing|s)?$/, ['verticalPull', 'horizontalPull']],
  [/^push(?:ing)?$|^press(?:ing)?$/, ['verticalPush', 'horizontalPush']],
  [/^squat(?:ting|s)?$/, ['squat']],
  [/^hing(?:e|ing)$/, ['hinge']],
  [/^legs?$/, ['squat', 'lunge', 'hinge', 'jump']],
  [/^lung(?:e|es|ing)$/, ['lunge']],
  [/^run(?:ning)?$/, ['run']],
  [/^trunk$|^core$/, ['trunkFlexion', 'trunkBrace', 'trunkRotation', 'trunkExtension']],
  [/^jump(?:ing)?$/, ['jump', 'rope']],
];

/** a newer athlete, where the house rule says lighter first: two thirds of the effort a set (round figure) */
const lighterForNewer = -0.4;

/** heaviest owned: about half the reps at hand; light and fast: two thirds more (round figures) */
const feelShifts: Readonly<Record<string, number>> = { heaviest: 0.6, light: -0.5 };

/** `light`, `unbroken`, “pulling must stay pulling”, “one load” and the like, from the coach's own words. */
function statedFeel(part: Part, workout: Workout): Pick<PartIntent, 'unbroken' | 'feel' | 'mustStay' | 'weights' | 'oneLoad'> {
  const words = `${workout.intent ?? ''} ${workout.notes.join(' ')} ${part.intent ?? ''} ${part.notes.join(' ')}`.toLowerCase();
  const staying = /\b(?:must stay|stays?|keep the) (\w+)|(\w+) must (?:stay|hold)/g;
  const said = [...words.matchAll(staying)].flatMap((found) => [found[1], found[2]]).filter((word): word is string => Boolean(word));
  const held = (Object.keys(heldWords) as HeldPart[]).filter((part) => said.some((word) => heldWords[part].test(word)));
  return {
    mustStay: [...new Set(said.flatMap((word) => patternsSaid.find(([pattern]) => pattern.test(word))?.[1] ?? []))],
    weights: Object.fromEntries(held.map((part) => [part, 2])),
    oneLoad: /\bone (?:load|weight|bar|dumbbell|pair)\b|\bsame (?:load|weight)\b/.test(words),
    unbroken: /\bunbroken\b/.test(words),
    feel: /\blight\b/.test(words) ? 'light' : /\bheavy\b/.test(words) ? 'heavy' : /\bmoderate\b/.test(words) ? 'moderate' : null,
  };
}

function targetOf(part: Part, score: number): number | null {
  if (part.kind === 'amrap' && part.score !== 'rounds' && part.score !== 'sum' && part.score !== 'eachSet') return null;
  const { window } = part;
  const rounds = part.kind === 'amrap';
  if (window && ((window.unit === 'rounds' && rounds) || (window.unit === 'seconds' && !rounds && window.per !== 'round'))) {
    const perSet = part.kind === 'amrap' && part.score === 'eachSet' && window.per === 'workout' ? part.sets : 1;
    return middleOf(window, score * perSet) / perSet;
  }
  return part.kind === 'amrap' || part.kind === 'forTime' || part.kind === 'windows' ? score : null;
}

export function deriveIntent(workout: Workout, category: Category, level: Level, rules: HouseRules): Intent {
  const writer = writtenFor(workout, category);
  const reference = referenceCapacity(writer);
  const first = walkProgram(compile(workout, reference));
  const factor = rules.newerAthlete === 'shortenTime' ? keepTime[level] : 1;
  const base: Workout =
    factor === 1
      ? workout
      : { ...workout, parts: workout.parts.map((part, index) => shortenPart(part, factor, first.parts[index]!.endSeconds - first.parts[index]!.startSeconds)) };
  const program = compile(base, reference);
  const run = factor === 1 ? first : walkProgram(program);
  const parts = base.parts.map((part, index): PartIntent => {
    const result = run.parts[index]!;
    const fixed = result.endSeconds - result.startSeconds;
    return {
      stimulus: stimulusOf(program, index, result),
      window: part.window,
      target: targetOf(part, result.score),
      ...statedFeel(part, base),
      feelShift: (feelShifts[rules.loadChoice] ?? 0) + (rules.newerAthlete === 'lighter' && keepTime[level] < 1 ? lighterForNewer : 0),
      workShare: part.kind === 'every' ? result.workSeconds / Math.max(1, fixed) : null,
    };
  });
  const words = [...(workout.intent ? [workout.intent] : []), ...workout.parts.flatMap((part) => (part.intent ? [part.intent] : []))];
  return { category: writer, parts, base, shortened: factor, words };
}
