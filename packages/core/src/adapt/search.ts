/**
 * Search for the version of one part: the cheapest choice a slot first, then coordinate descent over the whole part with the simulation in the loop,
 * then small moves (count, load, rounds, ladder) while they help. Deterministic: options are ordered, ties keep the earlier one.
 */
import { walkProgram, type PartResult } from '../simulate/walk-program';
import { compile } from '../simulate/program';
import { stimulusOf } from '../stimulus/stimulus';
import type { PartIntent } from '../stimulus/intent';
import { itemLists, slotsOfPart } from '../workout/walk';
import type { Block, Item, Part, Slot } from '../workout/workout';
import { applyChoices, noLever, type Choice, type PartLever } from './choice';
import { choicesFor, type AdaptContext, type SlotQuestion } from './candidates';
import { roundFigures, scaleLadder } from './coach-numbers';
import { driftOf, insideWindow, type Drift } from './drift';
import { movementOf } from '../movements/catalogue';

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
}
export interface SlotLock {
  readonly slot: number;
  readonly movement?: string;
  readonly reps?: number;
  readonly loadKg?: number;
}

/** options a slot brings to the joint search */
const breadth = 7;
const sweeps = 2;
const moves = 8;

interface Evaluated {
  readonly objective: number;
  readonly drift: Drift;
  readonly result: PartResult;
  readonly part: Part;
}

function ladderOf(part: Part, slot: Slot): readonly number[] | null {
  const search = (items: readonly Item[], ladder: readonly number[] | null): readonly number[] | null | undefined => {
    for (const item of items) {
      if (item === slot) return ladder;
      if (item.kind === 'block') {
        const found = search(item.items, item.ladder);
        if (found !== undefined) return found;
      }
    }
    return undefined;
  };
  for (const items of itemLists(part)) {
    const found = search(items, null);
    if (found !== undefined) return found;
  }
  return null;
}

export function questionsOf(part: Part, intent: PartIntent, context: AdaptContext): SlotQuestion[] {
  const wantedScale =
    intent.target !== null && intent.stimulus.score > 0
      ? part.kind === 'amrap'
        ? intent.stimulus.score / intent.target
        : intent.target / intent.stimulus.score
      : 1;
  const tooNew = context.athlete.level === 'new' || context.athlete.level === 'newer';
  return slotsOfPart(part).map((slot, index) => ({
    slot,
    stimulus: intent.stimulus.slots[index] ?? intent.stimulus.slots[0]!,
    intent,
    timeScale: Math.min(1.6, Math.max(0.6, wantedScale)),
    ladder: ladderOf(part, slot),
    vestKg: part.vest && !tooNew && context.place.kit.some((item) => item.kind === 'vest') ? part.vest[context.athlete.category] : 0,
    strength: part.kind === 'strength' || part.kind === 'maxLoad',
  }));
}

/** Slots written alike are decided alike: each slot's leader is the first of its kind, unless a lock sets it apart. */
function leadersOf(questions: readonly SlotQuestion[], locks: readonly SlotLock[]): number[] {
  const first = new Map<string, number>();
  return questions.map(({ slot }, index) => {
    if (locks.some((lock) => lock.slot === index)) return index;
    const key = JSON.stringify([slot.movement, slot.count, slot.unit, slot.load, slot.heightCm, slot.perSide, slot.bracket !== null]);
    const leader = first.get(key);
    if (leader === undefined) first.set(key, index);
    return leader ?? index;
  });
}

/** Linked movements share what is in the hands. */
function linkCost(questions: readonly SlotQuestion[], choices: readonly Choice[]): number {
  let cost = 0;
  for (let index = 1; index < choices.length; index++) {
    const link = questions[index]!.slot.link;
    if (link === null || questions[index - 1]!.slot.link !== link) continue;
    const [a, b] = [choices[index - 1]!.load, choices[index]!.load];
    if ((a === null) !== (b === null) || (a && b && (a.implement !== b.implement || a.count !== b.count || a.grams !== b.grams))) cost += 0.3;
  }
  return cost;
}

/** Two slots that want the one bar at two loads pay for the plates; so do two that want more dumbbells than there are. */
function conflictCost(choices: readonly Choice[]): number {
  const loads = new Map<string, Set<number>>();
  for (const { load } of choices) {
    if (!load || load.implement === 'backpack') continue;
    const key = load.implement === 'barbell' ? 'barbell' : null;
    if (!key) continue;
    loads.set(key, (loads.get(key) ?? new Set()).add(load.grams));
  }
  return [...loads.values()].reduce((sum, masses) => sum + 0.12 * (masses.size - 1), 0);
}

/** Two slots with the same movement were one idea each; keep them apart unless the coach wrote them so. */
function repeatCost(part: Part, choices: readonly Choice[]): number {
  const written = slotsOfPart(part);
  let cost = 0;
  choices.forEach((choice, index) => {
    for (let other = 0; other < index; other++)
      if (choices[other]!.movement === choice.movement && written[other]!.movement !== written[index]!.movement) cost += 0.08;
    for (let other = 0; other < index; other++)
      if (written[other]!.movement === written[index]!.movement && choices[other]!.movement !== choice.movement) cost += 0.15;
  });
  return cost;
}

export function searchPart(part: Part, intent: PartIntent, context: AdaptContext, locks: readonly SlotLock[] = []): PartPlan {
  let evaluations = 0;
  const unit = context.athlete.units;
  const questions = questionsOf(part, intent, context);
  const leaders = leadersOf(questions, locks);
  const options = questions.map((): readonly Choice[] => []);
  questions.forEach((question, index) => {
    options[index] =
      leaders[index] === index
        ? lockedOptions(
            question,
            context,
            locks.find((lock) => lock.slot === index),
          )
        : options[leaders[index]!]!;
  });
  const evaluate = (choices: readonly Choice[], lever: PartLever): Evaluated => {
    evaluations++;
    const filled = applyChoices(part, choices, lever, unit);
    const program = compile({ parts: [filled] }, context.capacity, context.place);
    const run = walkProgram(
      program,
      part.kind === 'forTime' && intent.target !== null ? { lengths: [intent.target * (part.score === 'eachSet' ? part.sets : 1)] } : {},
    );
    const result = run.parts[0]!;
    const workShare = filled.kind === 'every' ? result.workSeconds / Math.max(1, result.endSeconds - result.startSeconds) : null;
    const drift = driftOf(intent, filled.kind, stimulusOf(program, 0, result), workShare, 0);
    const inside = insideWindow(intent, filled.kind, result.score);
    const structural = choices.reduce((sum, each) => sum + each.structural, 0) * Math.max(1 / Math.max(1, choices.length), 0.22);
    const lost = result.fellBehind > 0 && filled.kind === 'every' ? 0.2 * Math.min(1, result.fellBehind / filled.count) : 0;
    const capped = result.reached && filled.kind === 'forTime' ? 0.15 : 0;
    const moved = (lever.rounds === null ? 0 : 0.05) + (lever.ladder === null ? 0 : 0.05);
    // inside the window the middle is no longer worth a change
    const eased = inside === true ? -0.6 * Math.min(0.12, Math.abs(drift.time)) : 0;
    return {
      objective:
        drift.total +
        eased +
        0.8 * structural +
        (inside === false ? 0.12 : 0) +
        lost +
        capped +
        moved +
        conflictCost(choices) +
        linkCost(questions, choices) +
        repeatCost(part, choices),
      drift,
      result,
      part: filled,
    };
  };
  let choices = options.map((each) => each[0]!);
  if (choices.some((each) => each === undefined)) throw new RangeError('searchPart: a slot has no option; the caller asks hasOption first');
  let lever = noLever;
  let best = evaluate(choices, lever);
  const attempt = (nextChoices: Choice[], nextLever: PartLever): boolean => {
    const next = evaluate(nextChoices, nextLever);
    if (next.objective >= best.objective - 1e-6) return false;
    best = next;
    choices = nextChoices;
    lever = nextLever;
    return true;
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
    let improved = false;
    options.forEach((each, index) => {
      if (leaders[index] !== index) return;
      for (const choice of each.slice(0, breadth)) if (choice !== choices[index]) improved = attempt(replaced(index, choice), lever) || improved;
    });
    if (!improved) break;
  }
  for (let move = 0; move < moves; move++) {
    const before = { best, choices, lever };
    let top: { evaluated: Evaluated; choices: Choice[]; lever: PartLever } | null = null;
    const consider = (nextChoices: Choice[], nextLever: PartLever, penalty = 0): void => {
      const evaluated = evaluate(nextChoices, nextLever);
      if (evaluated.objective + penalty < (top?.evaluated.objective ?? before.best.objective) - 1e-6)
        top = { evaluated: { ...evaluated, objective: evaluated.objective + penalty }, choices: nextChoices, lever: nextLever };
    };
    questions.forEach((question, index) => {
      if (leaders[index] !== index) return;
      const lock = locks.find((each) => each.slot === index);
      for (const { choice, kind } of neighboursOf(choices[index]!, question, context, lock, before.best.drift.time))
        consider(replaced(index, choice), lever, before.best.drift.time < 0 && kind !== (context.rules.tooFit === 'load' ? 'load' : 'count') ? 0.004 : 0);
    });
    for (const nextLever of leversOf(part, lever)) consider(choices, nextLever);
    if (!top) break;
    const taken: { evaluated: Evaluated; choices: Choice[]; lever: PartLever } = top;
    best = taken.evaluated;
    choices = taken.choices;
    lever = taken.lever;
  }
  return { part: best.part, choices, lever, drift: best.drift, result: best.result, objective: best.objective, options, evaluations };
}

/** Rounds one up or down, or the ladder at a familiar scale. */
function leversOf(part: Part, lever: PartLever): PartLever[] {
  if (part.kind !== 'forTime' && part.kind !== 'windows') return [];
  const block = itemLists(part)[0]?.find((item): item is Block => item.kind === 'block');
  if (!block || (part.kind === 'windows' && part.windows.length > 1)) return [];
  if (block.ladder)
    return [0.6, 0.75, 0.86, 1.15, 1.3]
      .map((factor) => ({ rounds: null, ladder: scaleLadder(block.ladder!, factor, false) }))
      .filter((each) => JSON.stringify(each.ladder) !== JSON.stringify(lever.ladder ?? block.ladder));
  const own = block.items.some((item) => item.kind === 'slot' && item.count.kind === 'ladder');
  const now = lever.rounds ?? block.rounds.high;
  return own || block.rounds.high === 1
    ? []
    : [now - 1, now + 1].filter((rounds) => rounds >= 1 && rounds <= block.rounds.high * 1.5 + 1).map((rounds) => ({ rounds, ladder: null }));
}

/** One step in count or in load around a choice, at the same movement. */
function neighboursOf(
  choice: Choice,
  question: SlotQuestion,
  context: AdaptContext,
  lock: SlotLock | undefined,
  time: number,
): { choice: Choice; kind: 'count' | 'load' }[] {
  const found: { choice: Choice; kind: 'count' | 'load' }[] = [];
  const movement = movementOf(choice.movement);
  const isEven = movement.side === 'alternating' && question.slot.bracket === null && question.slot.side === null;
  if (lock?.reps === undefined && choice.coachRank === null && choice.rule === null && question.slot.bracket === null) {
    const counts = (() => {
      switch (choice.count.kind) {
        case 'fixed': {
          const now = choice.count.men;
          const below = roundFigures(now * 0.99, choice.unit, { even: isEven, most: 6 })
            .filter((figure) => figure < now)
            .slice(0, 2);
          const above = roundFigures(now * 1.01, choice.unit, { even: isEven, most: 6 })
            .filter((figure) => figure > now)
            .slice(0, 2);
          return (time > 0 ? [...below, ...above.slice(0, 1)] : [...above, ...below.slice(0, 1)]).map((figure) => ({
            kind: 'fixed' as const,
            men: figure,
            women: figure,
            low: null,
          }));
        }
        case 'ladder': {
          const { rungs } = choice.count;
          return [0.75, 1.25].map((factor) => ({ kind: 'ladder' as const, rungs: scaleLadder(rungs, factor, isEven) }));
        }
        default:
          return [];
      }
    })();
    for (const count of counts)
      found.push({
        kind: 'count',
        choice: {
          ...choice,
          count,
          structural:
            choice.structural +
            (choice.movement === question.slot.movement && JSON.stringify(choice.count) === JSON.stringify(question.slot.count) ? 0.03 : 0.004),
        },
      });
  }
  if (lock?.loadKg === undefined && choice.load && movement.load && choice.coachRank === null) {
    const all = context.loads.filter((load) => load.implement === choice.load!.implement && load.count === choice.load!.count);
    const at = all.findIndex((load) => load.grams === choice.load!.grams);
    for (const step of [-1, 1]) {
      const load = all[at + step];
      if (load) found.push({ kind: 'load', choice: { ...choice, load, asWritten: false, structural: choice.structural + 0.004 } });
    }
  }
  return found;
}

/** Options under a lock: what the coach fixed stays, the rest is free. */
function lockedOptions(question: SlotQuestion, context: AdaptContext, lock: SlotLock | undefined): Choice[] {
  const options = choicesFor(question, context, lock?.movement ?? null);
  if (!lock) return options;
  const fixed = options.map((choice) => ({
    ...choice,
    ...(lock.reps === undefined ? {} : { count: { kind: 'fixed' as const, men: lock.reps, women: lock.reps, low: null } }),
    ...(lock.loadKg === undefined || !choice.load ? {} : { load: nearestLoad(context, choice, lock.loadKg) }),
  }));
  return fixed.length > 0 ? fixed : options;
}

function nearestLoad(context: AdaptContext, choice: Choice, kg: number): Choice['load'] {
  const all = context.loads.filter((load) => load.implement === choice.load!.implement && load.count === choice.load!.count);
  return all.reduce((best, load) => (Math.abs(load.grams / 1000 - kg) < Math.abs(best.grams / 1000 - kg) ? load : best), all[0] ?? choice.load!);
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
