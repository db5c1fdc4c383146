/**
 * Search for the version of one part: the cheapest choice a slot first, then coordinate descent over the whole part with the simulation in the loop,
 * then small moves while they help, then the proof. Deterministic: options are ordered, ties keep the earlier one.
 */
import { compile } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import type { PartResult } from '../simulate/walk-part';
import type { PartIntent } from '../stimulus/intent';
import { stimulusOf } from '../stimulus/stimulus';
import type { Part } from '../workout/workout';
import { applyChoices, noLever, type Choice, type PartLever } from './choice';
import { driftOf, insideWindow, type Drift } from './drift';
import { canGoUp, leversOf, neighboursOf, timeWorthRighting, withOneLoad, withTime } from './moves';
import { evaluatePoint, type Evaluated } from './price';
import { leastObjectiveOf, prove, type Effort } from './proof';
import type { AdaptContext } from './question';
import { breadth, spaceOf, type SlotLock } from './space';

export interface PartPlan {
  readonly part: Part;
  readonly choices: readonly Choice[];
  readonly lever: PartLever;
  readonly drift: Drift;
  readonly result: PartResult;
  readonly objective: number;
  /** each slot's ranked options, for "why not" and the coach's own pick */
  readonly options: readonly (readonly Choice[])[];
  readonly evaluations: number;
  /** true: no combination of the first options of each slot and the levers is better, by bound */
  readonly proved: boolean;
}
/** what the second lever costs when an athlete is too fit: more load first, or more reps first, by house rule */
const tooFitPenalty = 0.06;
const usualEffort: Effort = { bounds: 4000, simulations: 120 };
const sweeps = 2;
const moves = 8;
/** and while a stated window is still missed */
const movesToWindow = 16;

export function searchPart(part: Part, intent: PartIntent, context: AdaptContext, locks: readonly SlotLock[] = [], effort: Effort = usualEffort): PartPlan {
  const space = spaceOf(part, intent, context, locks);
  const { questions, leaders, options } = space;
  let evaluations = 0;
  const evaluate = (choices: readonly Choice[], lever: PartLever): Evaluated => {
    evaluations++;
    return evaluatePoint(space, choices, lever);
  };
  let choices = options.map((each) => each[0]!);
  if (choices.some((each) => each === undefined)) throw new RangeError('searchPart: a slot has no option; the caller asks hasOption first');
  let lever = noLever;
  let best = evaluate(choices, lever);
  const leastObjective = leastObjectiveOf(space, choices);
  const attempt = (nextChoices: Choice[], nextLever: PartLever): Evaluated | null => {
    if (leastObjective(nextChoices, nextLever) >= best.objective - 1e-6) return null;
    const next = evaluate(nextChoices, nextLever);
    if (next.objective < best.objective - 1e-6) {
      best = next;
      choices = nextChoices;
      lever = nextLever;
    }
    return next;
  };
  /** A choice as listed and, where its time comes out wrong, with the count that would right it: a good movement is not lost over a count the closed form missed. */
  const attemptChoice = (index: number, choice: Choice): void => {
    const tried = attempt(replaced(index, choice), lever);
    if (!tried || Math.abs(tried.drift.time) < timeWorthRighting || locks.some((each) => each.slot === index)) return;
    const righted = withTime(choice, questions[index]!, tried.drift.time, choices, context);
    if (righted) {
      attempt(replaced(index, righted), lever);
      return;
    }
    // a count that is stated stays; the longest of the other slots pays for it
    const swapped = replaced(index, choice);
    const payers = questions.flatMap((question, other) => {
      const free = other !== index && leaders[other] === other && !locks.some((each) => each.slot === other);
      const paid = free ? withTime(swapped[other]!, question, tried.drift.time, swapped, context) : null;
      return paid ? [{ other, paid, seconds: swapped[other]!.bout.seconds }] : [];
    });
    if (payers.length === 0) return;
    const { other, paid } = payers.reduce((most, each) => (each.seconds > most.seconds ? each : most));
    attempt(
      swapped.map((each, at) => (leaders[at] === other ? paid : each)),
      lever,
    );
  };
  const replaced = (index: number, choice: Choice): Choice[] => {
    const { link } = questions[index]!.slot;
    return choices.map((each, at) => {
      if (leaders[at] === index) return choice;
      // one implement goes through the whole linked string
      const follows =
        link !== null &&
        questions[at]!.slot.link === link &&
        choice.load !== null &&
        each.load?.implement === choice.load.implement &&
        each.load.count === choice.load.count;
      return follows ? { ...each, load: choice.load, asWritten: false } : each;
    });
  };
  for (let sweep = 0; sweep < sweeps; sweep++) {
    const before = best.objective;
    options.forEach((each, index) => {
      if (leaders[index] !== index) return;
      for (const choice of each.slice(0, breadth)) if (choice !== choices[index] || sweep === 0) attemptChoice(index, choice);
    });
    if (best.objective >= before) break;
  }
  for (let move = 0; move < movesToWindow; move++) {
    const missed = insideWindow(intent, best.part.kind, best.result.score) === false;
    if (move >= moves && !missed) break;
    const before = { best, choices, lever };
    // too fit for it: the first lever is the house rule's, as far as there is a heavier load at all
    const tooFit = best.drift.time < 0 && (context.rules.tooFit !== 'load' || choices.some((each) => canGoUp(each, context)));
    let top: { evaluated: Evaluated; choices: Choice[]; lever: PartLever } | null = null;
    const consider = (nextChoices: Choice[], nextLever: PartLever, penalty = 0): void => {
      const toBeat = (top?.evaluated.objective ?? before.best.objective) - 1e-6;
      if (leastObjective(nextChoices, nextLever) + penalty >= toBeat) return;
      const evaluated = evaluate(nextChoices, nextLever);
      if (evaluated.objective + penalty < toBeat)
        top = { evaluated: { ...evaluated, objective: evaluated.objective + penalty }, choices: nextChoices, lever: nextLever };
    };
    questions.forEach((question, index) => {
      if (leaders[index] !== index) return;
      const lock = locks.find((each) => each.slot === index);
      for (const { choice, kind } of neighboursOf(choices[index]!, question, context, lock, before.best.drift.time, missed)) {
        const second = tooFit && kind !== (context.rules.tooFit === 'load' ? 'load' : 'count');
        consider(replaced(index, choice), lever, second ? tooFitPenalty : 0);
      }
    });
    for (const nextLever of leversOf(part, lever)) consider(choices, nextLever);
    if (intent.oneLoad) for (const load of new Set(choices.flatMap((each) => each.load ?? []))) consider(withOneLoad(choices, load), lever);
    if (!top) break;
    const taken: { evaluated: Evaluated; choices: Choice[]; lever: PartLever } = top;
    best = taken.evaluated;
    choices = taken.choices;
    lever = taken.lever;
  }
  // a window missed so far is worth ten times the search
  const missed = insideWindow(intent, best.part.kind, best.result.score) === false;
  const reach: Effort = missed ? { bounds: effort.bounds * 5, simulations: effort.simulations * 5 } : effort;
  const { point, proved } = prove(space, { choices, lever, evaluated: best }, [noLever, ...leversOf(part, noLever)], reach, evaluate, leastObjective);
  const { drift, result, objective, part: filled } = point.evaluated;
  return { part: filled, choices: point.choices, lever: point.lever, drift, result, objective, options, evaluations, proved };
}

/** The part with another choice in one slot and all else as it is: what a coach asks when pointing at an alternative. */
export function evaluateChoice(
  plan: PartPlan,
  part: Part,
  intent: PartIntent,
  context: AdaptContext,
  slot: number,
  choice: Choice,
): { drift: Drift; result: PartResult } {
  const choices = plan.choices.map((each, index) => (index === slot ? choice : each));
  const filled = applyChoices(part, choices, plan.lever, context.athlete.units);
  const program = compile({ parts: [filled] }, context.capacity, context.place);
  const result = walkProgram(program).parts[0]!;
  const workShare = filled.kind === 'every' ? result.workSeconds / Math.max(1, result.endSeconds - result.startSeconds) : null;
  return { drift: driftOf(intent, filled.kind, stimulusOf(program, 0, result), workShare, 0), result };
}
