/**
 * Scores in different versions, carried over to the workout as written.
 * The fitness factor that explains a score in the version (root-finding through the simulation) predicts a score in the original; what one version tells badly,
 * because its score hardly moves with fitness, comes back as a wide band.
 */
import type { Athlete } from '../athlete/athlete';
import { estimateCapacity, type Capacity } from '../capacity/capacity';
import { referenceCapacity } from '../capacity/reference-athlete';
import { formAtFitness } from '../simulate/body';
import { compile, type Program } from '../simulate/program';
import { headline, scoredParts } from '../simulate/predict';
import { walkProgram } from '../simulate/walk-program';
import { mapSlots, slotsOfPart } from '../workout/walk';
import type { HouseRules } from '../rules/house-rules';
import type { Part, Window, Workout } from '../workout/workout';
import { evidenceSentence, learnedOffset, type LearnedConversions } from './learn-conversions';
import type { Score } from './score-text';

export type ScoreUnit = 'seconds' | 'rounds' | 'reps' | 'kg';
export interface Result {
  readonly athlete: Athlete;
  /** the workout this athlete did; the original itself for "as written" */
  readonly version: Workout;
  readonly versionName: string;
  readonly score: Score;
  readonly scoreText: string;
}
export interface BoardRow {
  readonly athlete: string;
  readonly version: string;
  readonly score: string;
  readonly equivalent: { readonly low: number; readonly median: number; readonly high: number; readonly unit: ScoreUnit } | null;
  /** 100 is what the reference athlete of the column would score in the original; higher is better */
  readonly index: number | null;
  readonly rank: number;
  readonly inWindow: boolean | null;
  readonly verdict: string;
  /** how far the version's score moves with fitness: 1 is in proportion */
  readonly elasticity: number | null;
  readonly evidence: string | null;
}

/** fitness the root is looked for in; outside it the score says more about the entry than the athlete */
const weakest = 0.3;
const fittest = 3.2;
/** log standard deviation of a day's score that is not fitness (round figure, see model-notes: day form and pacing) */
const dayNoise = 0.04;
/** log standard deviation that carrying a score over a swap adds, by our own model's word (round figure; the fairness study measures it worse) */
const carriedOver = 0.03;

const higherIsBetter = (unit: ScoreUnit): boolean => unit !== 'seconds';

/** The worth of one round of an AMRAP in score reps, as the clock counts them: 10 m and one calorie are one rep each. */
export function repsPerRound(program: Program, part: number, round: number): number {
  return program.parts[part]!.steps(0, round).reduce((sum, step) => sum + (step.kind === 'move' ? step.worth : 0), 0);
}

/** What a round is worth more when each side of a composite counts as one: its members, less the one that the cycle counts. */
function sidesMore(program: Program, part: number, round: number): number {
  return program.parts[part]!.steps(0, round).reduce(
    (sum, step) => sum + (step.kind === 'move' && step.count !== null && step.worth > 0 && step.worth < step.count ? step.count - step.worth : 0),
    0,
  );
}

/**
 * A written score as the figure the simulation uses.
 * @returns null when the score is of a kind this workout does not give
 */
export function scoreValue(
  score: Score,
  workout: Workout,
  program: Program,
  rules: ScoreRules = usualScoreRules,
): { value: number; unit: ScoreUnit; part: number } | null {
  const part = scoredParts(workout)[0] ?? 0;
  const own = workout.parts[part];
  if (!own) return null;
  switch (score.kind) {
    case 'time':
      return own.kind === 'forTime' && own.score === 'eachSet' && own.sets > 1
        ? {
            value: meanSetFromClock(score.seconds, own.sets, own.restBetween?.high ?? 0) * (rules.setsOneScore === 'sum' ? own.sets : 1),
            unit: 'seconds',
            part,
          }
        : { value: score.seconds, unit: 'seconds', part };
    case 'sets':
      return { value: setsFigure(score.seconds, rules.setsOneScore), unit: 'seconds', part };
    case 'capped': {
      const cap = own.kind === 'forTime' ? own.capSeconds : null;
      return cap === null ? null : { value: cap + score.repsLeft, unit: 'seconds', part };
    }
    case 'rounds': {
      const next = Math.max(1, repsPerRound(program, part, score.rounds) + (rules.compositeCount === 'eachSide' ? sidesMore(program, part, score.rounds) : 0));
      return { value: score.rounds + Math.min(1, score.reps / next), unit: 'rounds', part };
    }
    case 'reps':
      return { value: score.reps, unit: 'reps', part };
    case 'load':
      return { value: score.kg, unit: 'kg', part };
    case 'done':
      return null;
  }
}

/** The house rules that decide what a score is. */
export type ScoreRules = Pick<HouseRules, 'unfinished' | 'setsOneScore' | 'compositeCount'>;
export const usualScoreRules: ScoreRules = { unfinished: 'capPlusReps', setsOneScore: 'each', compositeCount: 'cycle' };

/** One figure for several sets, by school. Separate scores and fastest-and-slowest are told apart on the board; here they count by their mean and their middle. */
export function setsFigure(sets: readonly number[], school: ScoreRules['setsOneScore']): number {
  const mean = sets.reduce((sum, each) => sum + each, 0) / sets.length;
  switch (school) {
    case 'slowest':
      return Math.max(...sets);
    case 'sum':
      return mean * sets.length;
    case 'fastestSlowest':
      return (Math.min(...sets) + Math.max(...sets)) / 2;
    default:
      return mean;
  }
}

/** Mean set from one clock time: the rests come off first (T11). */
export function meanSetFromClock(totalSeconds: number, sets: number, restSeconds: number): number {
  return (totalSeconds - (sets - 1) * restSeconds) / sets;
}

/** A cap hides how long the rest would have taken; the simulation looks past it, so that a capped score stays a score. */
function withoutCap(part: Part): Part {
  return part.kind === 'forTime' ? { ...part, capSeconds: null } : part;
}

/** Score as a function of fitness; `capped` false looks past the caps. */
export function scorer(workout: Workout, capacity: Capacity, capped: boolean, rules: ScoreRules = usualScoreRules): (fitness: number) => number {
  const program = compile({ parts: capped ? workout.parts : workout.parts.map(withoutCap) }, capacity);
  const lead = scoredParts(workout)[0] ?? 0;
  const setwise = workout.parts[lead]?.score === 'eachSet';
  return (fitness) => {
    const run = walkProgram(program, { form: formAtFitness(fitness) });
    const { sets } = run.parts[lead] ?? { sets: [] };
    return setwise && sets.length > 1 ? setsFigure(sets, rules.setsOneScore) : headline(workout, run).score;
  };
}

/**
 * The fitness at which the simulation gives this score, by bisection on ln fitness (40 halvings: 10⁻¹¹).
 * @returns a bound when the score lies outside what the simulation can give
 */
export function fitnessFor(target: number, score: (fitness: number) => number, better: 'higher' | 'lower'): number {
  let low = Math.log(weakest);
  let high = Math.log(fittest);
  const rises = (value: number): boolean => (better === 'higher' ? value < target : value > target);
  if (!rises(score(weakest))) return weakest;
  if (rises(score(fittest))) return fittest;
  for (let step = 0; step < 24; step++) {
    const middle = (low + high) / 2;
    if (rises(score(Math.exp(middle)))) low = middle;
    else high = middle;
  }
  return Math.exp((low + high) / 2);
}

/** |d ln score / d ln fitness| around a fitness, by central difference over ±5 %. */
export function elasticityNear(score: (fitness: number) => number, fitness: number): number {
  const up = score(fitness * 1.05);
  const down = score(fitness / 1.05);
  return up > 0 && down > 0 ? Math.abs(Math.log(up / down)) / (2 * Math.log(1.05)) : 0;
}

/** How far a workout's score moves with fitness at the athlete's own level: 1 is in proportion. */
export function elasticityOf(workout: Workout, capacity: Capacity): number {
  return elasticityNear(scorer(workout, capacity, true), 1);
}

/** What a score in this version will tell before anybody trains: its elasticity, and the share of fitness that a usual day's noise leaves open. */
export function comparabilityOf(version: Workout, capacity: Capacity): { elasticity: number; uncertainty: number } {
  const elasticity = elasticityOf(version, capacity);
  return { elasticity, uncertainty: Math.min(1, dayNoise / Math.max(leastTold, elasticity)) };
}
/** below this elasticity a score tells as good as nothing */
const leastTold = 0.04;

/** Without the alternatives: what was done is what is scored. */
function neutral(workout: Workout): Workout {
  return { ...workout, parts: workout.parts.map((part) => mapSlots(part, (slot) => ({ ...slot, alternatives: [] }))) };
}

export function windowOf(workout: Workout): Window | null {
  const part = workout.parts[scoredParts(workout)[0] ?? 0];
  return part?.window ?? null;
}

export function inside(window: Window | null, value: number, unit: ScoreUnit): boolean | null {
  if (!window || window.unit !== unit || window.per === 'round') return null;
  return (window.low === null || value >= window.low) && (window.high === null || value <= window.high);
}

export interface Equivalent {
  readonly low: number;
  readonly median: number;
  readonly high: number;
  readonly unit: ScoreUnit;
  /** best estimate, with what is expected of the athlete; and what the score alone says */
  readonly fitness: number;
  readonly apparent: number;
  /** share of the score's word that is taken: 1 for the workout as written */
  readonly trust: number;
  readonly elasticity: number;
  readonly value: number;
  /** what logged results said about this version's swaps; null when nothing */
  readonly evidence: string | null;
}

/** What sets a version apart from the original, slot by slot, for what is learned about conversions: `toes-to-bar>sit-up`. */
export function swapsOf(original: Workout, version: Workout): string[] {
  const written = original.parts.map((part) => slotsOfPart(part));
  const done = version.parts.map((part) => slotsOfPart(part));
  const pairs = written.flatMap((slots, part) =>
    slots.flatMap((slot, at) => {
      const other = done[part]?.[at];
      return other && other.movement !== slot.movement ? [`${slot.movement}>${other.movement}`] : [];
    }),
  );
  return [...new Set(pairs)].sort();
}

/** Whether a version asks what the original asks in this column, so that nothing has to be carried over. */
function sameAsked(original: Workout, version: Workout, category: Athlete['category']): boolean {
  const asked = (workout: Workout): string =>
    JSON.stringify(
      workout.parts.map((part) => [
        { ...part, items: null, stations: null, windows: null, window: null, intent: null, name: null, notes: null, scoreSaid: null },
        slotsOfPart(part).map((slot) => [
          slot.movement,
          slot.count,
          slot.unit,
          slot.perSide,
          slot.load?.kind === 'mass' ? Math.round(slot.load[category] * 10) * slot.load.count : null,
        ]),
      ]),
    );
  return asked(original) === asked(version);
}

/** A score in a version → the score this athlete would have in the original; null when the score cannot be carried over (done, wrong kind). */
export function equivalentOf(
  original: Workout,
  result: Pick<Result, 'athlete' | 'version' | 'score'>,
  learned: LearnedConversions | null = null,
  rules: ScoreRules = usualScoreRules,
): Equivalent | null {
  const capacity = estimateCapacity(result.athlete);
  const version = neutral(result.version);
  const program = compile(version, capacity);
  const read = scoreValue(result.score, version, program, rules);
  if (!read || read.value <= 0) return null;
  const inVersion = scorer(version, capacity, true, rules);
  const unit = headline(version, walkProgram(program)).unit;
  if (unit !== read.unit) return null;
  const apparent = fitnessFor(read.value, inVersion, higherIsBetter(unit) ? 'higher' : 'lower');
  const elasticity = elasticityNear(inVersion, apparent);
  const offset = learned ? learnedOffset(learned, swapsOf(original, version)) : { log: 0, variance: 0, results: 0 };
  // a score as written is its own equivalent; in a version, what the score leaves open is filled by what is expected of the athlete (the posterior mean of a normal model)
  const noise = Math.hypot(dayNoise, carriedOver) / Math.max(leastTold, elasticity);
  const asWritten = swapsOf(original, version).length === 0 && sameAsked(original, version, result.athlete.category);
  const trust = asWritten ? 1 : 1 / (1 + (noise / capacity.fitnessSpread) ** 2);
  const fitness = Math.exp(trust * (Math.log(apparent) - offset.log));
  const spread = Math.min(0.5, 1.2816 * Math.hypot(Math.sqrt(trust) * noise, Math.sqrt(offset.variance)));
  const carried = neutral(original);
  // under the cap-plus-reps and the reps school a board is read with its cap; equivalent time looks past it
  const inOriginal = scorer(carried, capacity, rules.unfinished !== 'equivalentTime', rules);
  const originalUnit = headline(carried, walkProgram(compile(carried, capacity))).unit;
  const ends = [inOriginal(fitness * Math.exp(-spread)), inOriginal(fitness * Math.exp(spread))];
  return {
    low: Math.min(...ends),
    median: inOriginal(fitness),
    high: Math.max(...ends),
    unit: originalUnit,
    fitness,
    apparent,
    trust,
    elasticity,
    value: read.value,
    evidence: evidenceSentence(offset),
  };
}

/** Index 100: what the reference athlete of the column scores in the original. Higher is better, for times too. */
export function indexOf(original: Workout, category: Athlete['category'], median: number, unit: ScoreUnit, rules: ScoreRules = usualScoreRules): number {
  const par = scorer(neutral(original), referenceCapacity(category), rules.unfinished !== 'equivalentTime', rules)(1);
  return 100 * (higherIsBetter(unit) ? median / par : par / median);
}

/** What the score says about the version: too light, too heavy, too long, paced wrong, in the window, capped. */
export function verdictOf(result: Pick<Result, 'score' | 'version'>, value: number, unit: ScoreUnit): string {
  const window = windowOf(result.version);
  if (result.score.kind === 'capped') return 'capped: too much for the time';
  if (!window || window.unit !== unit) return 'logged';
  const { low, high } = window;
  if (result.score.kind === 'sets') {
    const first = result.score.seconds[0]!;
    const last = result.score.seconds[result.score.seconds.length - 1]!;
    if (low !== null && high !== null && first < low && last > high) return 'paced wrong: the first set too fast, the last too slow';
  }
  const within = inside(window, value, unit);
  if (within) return 'in the window';
  if (unit === 'rounds') return high !== null && value > high ? 'too light: more rounds than meant' : 'too heavy or too long: fewer rounds than meant';
  return low !== null && value < low ? 'too light: done before the window' : 'too heavy or too long: over the window';
}

/** Par in the version's own unit: the score this athlete should get. */
export function parOf(version: Workout, capacity: Capacity): number {
  return scorer(version, capacity, true)(1);
}

/**
 * The board: every result with its equivalent, best first. Ties share a rank; what cannot be carried over stands last, in the order it came.
 */
export function compareScores(
  original: Workout,
  results: readonly Result[],
  learned: LearnedConversions | null = null,
  rules: ScoreRules = usualScoreRules,
): BoardRow[] {
  const rows = results.map((result): BoardRow => {
    const equivalent = equivalentOf(original, result, learned, rules);
    const base = { athlete: result.athlete.name, version: result.versionName, score: result.scoreText };
    if (!equivalent)
      return {
        ...base,
        equivalent: null,
        index: null,
        rank: 0,
        inWindow: null,
        verdict: result.score.kind === 'done' ? (result.score.done ? 'done' : 'not done') : 'this kind of score does not fit the version',
        elasticity: null,
        evidence: null,
      };
    const { low, median, high, unit, value, elasticity, evidence } = equivalent;
    const versionUnit: ScoreUnit =
      result.score.kind === 'rounds' ? 'rounds' : result.score.kind === 'load' ? 'kg' : result.score.kind === 'reps' ? 'reps' : 'seconds';
    return {
      ...base,
      equivalent: { low, median, high, unit },
      index: Math.round(indexOf(original, result.athlete.category, median, unit, rules) * 10) / 10,
      rank: 0,
      inWindow: inside(windowOf(result.version), value, versionUnit),
      verdict: verdictOf(result, value, versionUnit),
      elasticity,
      evidence,
    };
  });
  const ordered = rows.map((row, at) => ({ row, at })).sort((a, b) => (b.row.index ?? -1) - (a.row.index ?? -1) || a.at - b.at);
  let rank = 0;
  return ordered.map(({ row }, at) => {
    if (at === 0 || row.index !== ordered[at - 1]!.row.index) rank = at + 1;
    return { ...row, rank };
  });
}
