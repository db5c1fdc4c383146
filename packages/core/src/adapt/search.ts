/**
 * Search for the version of one part: the cheapest choice a slot first, then coordinate descent over the whole part with the simulation in the loop,
 * then small moves (count, load, rounds, ladder) while they help. Deterministic: options are ordered, ties keep the earlier one.
 */
import { walkProgram, type PartResult } from '../simulate/walk-program';
import { compile, type Program } from '../simulate/program';
import { stimulusOf } from '../stimulus/stimulus';
import type { PartIntent } from '../stimulus/intent';
import { itemLists, slotsOfItems, slotsOfPart } from '../workout/walk';
import type { Block, Count, Item, Part, Slot } from '../workout/workout';
import { applyChoices, noLever, type Choice, type PartLever } from './choice';
import { choiceWorks, leastOf } from './bound';
import { choicesFor } from './candidates';
import type { AdaptContext, SlotQuestion } from './question';
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
  /** true: no combination of the first options of each slot and the levers is better, by bound */
  readonly proved: boolean;
}
/** How far the proof may go before the best found is taken as it is. */
export interface Effort {
  readonly bounds: number;
  readonly simulations: number;
}
export interface SlotLock {
  readonly slot: number;
  readonly movement?: string;
  readonly reps?: number;
  readonly loadKg?: number;
}

/** options a slot brings to the joint search */
export const breadth = 7;
/** what the second lever costs when an athlete is too fit: more load first, or more reps first, by house rule */
const tooFitPenalty = 0.06;
const usualEffort: Effort = { bounds: 8000, simulations: 120 };
/** inside the window the middle is no longer worth a change: so much of the time drift is given back, up to there */
const easing = { rate: 0.6, upTo: 0.12 } as const;
const structuralWeight = 0.8;
/** a swap nobody needed, in a part of any length */
const needlessSwap = 0.05;
/** a stated window is hit wherever some candidate can hit it: missing it costs more than any swap on the way there */
const outsideWindow = 0.6;
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
    mayTempo: part.kind !== 'every',
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
  let cost = 0;
  let first: number | null = null;
  for (let index = 0; index < choices.length; index++) {
    const load = choices[index]!.load;
    if (load?.implement !== 'barbell') continue;
    if (first === null) first = load.grams;
    else if (load.grams !== first && !choices.slice(0, index).some((each) => each.load?.implement === 'barbell' && each.load.grams === load.grams))
      cost += 0.12;
  }
  return cost;
}

/** Every slot that can take it with this one load. */
const withOneLoad = (choices: readonly Choice[], load: NonNullable<Choice['load']>): Choice[] =>
  choices.map((each) => (each.load && each.load.implement === load.implement && each.load.count === load.count ? { ...each, load, asWritten: false } : each));

/** One load for everything, when the coach said so: each further load costs. */
function oneLoadCost(intent: PartIntent, choices: readonly Choice[]): number {
  if (!intent.oneLoad) return 0;
  const loads = new Set(choices.flatMap(({ load }) => (load ? [`${load.implement} ${load.count} ${load.grams}`] : [])));
  return 0.5 * Math.max(0, loads.size - 1);
}

/** Linked movements are one string: what they ask of the hand together should be there in one go. */
function stringCost(questions: readonly SlotQuestion[], choices: readonly Choice[]): number {
  const strings = new Map<number, number>();
  questions.forEach(({ slot }, index) => {
    if (slot.link !== null && slot.hold === 'unbroken') strings.set(slot.link, (strings.get(slot.link) ?? 0) + choices[index]!.bout.setShare);
  });
  return [...strings.values()].reduce((sum, share) => sum + 0.25 * Math.max(0, share - 1), 0);
}

/** Two slots with the same movement were one idea each; keep them apart unless the coach wrote them so. */
function repeatCost(questions: readonly SlotQuestion[], choices: readonly Choice[]): number {
  let cost = 0;
  for (let index = 1; index < choices.length; index++)
    for (let other = 0; other < index; other++) {
      const alikeNow = choices[other]!.movement === choices[index]!.movement;
      const alikeWritten = questions[other]!.slot.movement === questions[index]!.slot.movement;
      if (alikeNow !== alikeWritten) cost += alikeNow ? 0.08 : 0.15;
    }
  return cost;
}

/** One part's search space, and the price of a point in it. */
interface Space {
  readonly part: Part;
  readonly intent: PartIntent;
  readonly context: AdaptContext;
  readonly questions: readonly SlotQuestion[];
  readonly leaders: readonly number[];
  readonly options: readonly (readonly Choice[])[];
}

export function spaceOf(part: Part, intent: PartIntent, context: AdaptContext, locks: readonly SlotLock[]): Space {
  const questions = questionsOf(part, intent, context);
  const leaders = leadersOf(questions, locks);
  const options = questions.map((): readonly Choice[] => []);
  questions.forEach((question, index) => {
    const lock = locks.find((each) => each.slot === index);
    options[index] = leaders[index] === index ? lockedOptions(question, context, lock) : options[leaders[index]!]!;
  });
  return { part, intent, context, questions, leaders, options };
}

/** The part of the price that needs no simulation: structure, moved rounds, plates, links, repeats. */
/** Held or timed seconds that do not fit in their interval are no version at all. */
function overfullCost(part: Part, choices: readonly Choice[]): number {
  if (part.kind !== 'every') return 0;
  let at = 0;
  return part.stations.some((station) => {
    const own = choices.slice(at, (at += slotsOfItems(station).length));
    const seconds = own.reduce((sum, { count, unit, perSide }) => sum + (unit === 's' && count.kind === 'fixed' ? count.men * (perSide ? 2 : 1) : 0), 0);
    return seconds > part.intervalSeconds;
  })
    ? 2
    : 0;
}

function staticCost({ part, questions, intent }: Space, choices: readonly Choice[], lever: PartLever): number {
  const structural = choices.reduce((sum, each) => sum + each.structural, 0) * structureShare(choices.length);
  const moved = (lever.rounds === null ? 0 : 0.05) + (lever.ladder === null ? 0 : 0.05);
  return (
    structuralWeight * structural +
    needlessSwap * choices.filter((each) => each.needless).length +
    moved +
    conflictCost(choices) +
    linkCost(questions, choices) +
    stringCost(questions, choices) +
    oneLoadCost(intent, choices) +
    overfullCost(part, choices) +
    repeatCost(questions, choices)
  );
}
const structureShare = (slots: number): number => Math.max(1 / Math.max(1, slots), 0.22);

/** how far off its paced length a piece for time may end before it is walked again, paced by that end */
const pacedWithin = 0.02;

/** One run; a piece for time is paced by the time it is meant to take, and again by its own where that is another. */
function resultOf(program: Program, part: Part, intent: PartIntent): PartResult {
  const sets = part.kind === 'forTime' && part.score === 'eachSet' ? part.sets : 1;
  if (part.kind !== 'forTime' || intent.target === null) return walkProgram(program).parts[0]!;
  const meant = intent.target * sets;
  const first = walkProgram(program, { lengths: [meant] }).parts[0]!;
  const took = Math.max(30, first.endSeconds - first.startSeconds);
  return Math.abs(took / meant - 1) <= pacedWithin ? first : walkProgram(program, { lengths: [took] }).parts[0]!;
}

export function evaluatePoint(space: Space, choices: readonly Choice[], lever: PartLever): Evaluated {
  const { part, intent, context } = space;
  const filled = applyChoices(part, choices, lever, context.athlete.units);
  const program = compile({ parts: [filled] }, context.capacity, context.place);
  const result = resultOf(program, part, intent);
  const workShare = filled.kind === 'every' ? result.workSeconds / Math.max(1, result.endSeconds - result.startSeconds) : null;
  const drift = driftOf(intent, filled.kind, stimulusOf(program, 0, result), workShare, 0);
  const inside = insideWindow(intent, filled.kind, result.score);
  const lost = result.fellBehind > 0 && filled.kind === 'every' ? 0.2 * Math.min(1, result.fellBehind / filled.count) : 0;
  const capped = result.reached && filled.kind === 'forTime' ? 0.15 : 0;
  const eased = inside === true ? -easing.rate * Math.min(easing.upTo, Math.abs(drift.time)) : 0;
  return {
    objective: drift.total + eased + staticCost(space, choices, lever) + (inside === false ? outsideWindow : 0) + lost + capped,
    drift,
    result,
    part: filled,
  };
}

interface Point {
  readonly choices: Choice[];
  readonly lever: PartLever;
  readonly evaluated: Evaluated;
}

type LeastObjective = (choices: readonly Choice[], lever: PartLever) => number;

/** The least a point can cost, by bound: it is simulated only when that is less than what was found. */
function leastObjectiveOf(space: Space, base: readonly Choice[]): LeastObjective {
  const works = choiceWorks(space.part, base, space.context);
  const eases = space.intent.window ? easing : null;
  return (choices, lever) =>
    staticCost(space, choices, lever) +
    leastOf(
      space.intent,
      choices.map((choice, slot) => works(slot, choice, lever)),
      eases,
    );
}

/** Every combination of the first options and the levers that could still be better than `found`, by bound; those are simulated. */
function prove(
  space: Space,
  found: Point,
  levers: readonly PartLever[],
  effort: Effort,
  evaluate: (choices: Choice[], lever: PartLever) => Evaluated,
  leastObjective: LeastObjective,
): { point: Point; proved: boolean } {
  const { intent, leaders, options } = space;
  const lead = leaders.flatMap((leader, index) => (leader === index ? [index] : []));
  const followers = lead.map((index) => leaders.filter((leader) => leader === index).length);
  const listed = lead.map((index) => [...options[index]!.slice(0, breadth)].sort((a, b) => a.structural - b.structural));
  const share = structuralWeight * structureShare(options.length);
  /** least structure of the leaders from `at` on */
  const rest = lead.map(() => 0).concat(0);
  for (let at = lead.length - 1; at >= 0; at--) rest[at] = rest[at + 1]! + followers[at]! * (listed[at]![0]?.structural ?? 0);
  const slack = intent.window ? easing.rate * easing.upTo : 0;
  let point = found;
  let { bounds, simulations } = effort;
  const chosen: Choice[] = [];
  const visit = (at: number, structure: number, lever: PartLever): void => {
    if (bounds <= 0 || simulations <= 0) return;
    if (share * (structure + rest[at]!) - slack >= point.evaluated.objective) return;
    if (at < lead.length) {
      for (const choice of listed[at]!) {
        chosen[at] = choice;
        visit(at + 1, structure + followers[at]! * choice.structural, lever);
      }
      return;
    }
    bounds--;
    const choices = leaders.map((leader) => chosen[lead.indexOf(leader)]!);
    if (leastObjective(choices, lever) >= point.evaluated.objective - 1e-9) return;
    simulations--;
    const evaluated = evaluate(choices, lever);
    if (evaluated.objective < point.evaluated.objective - 1e-6) point = { choices, lever, evaluated };
  };
  for (const lever of levers) visit(0, 0, lever);
  return { point, proved: bounds > 0 && simulations > 0 };
}

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
  for (let move = 0; move < moves; move++) {
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
      for (const { choice, kind } of neighboursOf(choices[index]!, question, context, lock, before.best.drift.time)) {
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

/** Rounds one up or down, or the ladder at a familiar scale. */
export function leversOf(part: Part, lever: PartLever): PartLever[] {
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

/** beyond this ratio to the written count (e^0.25 ≈ 1.28) the same movement is no longer the same idea: another movement may be better */
const freeRatio = 0.25;
const farWeight = 0.7;
/** What moving a count further from the written one adds, for the written movement only. */
function farPrice(next: Count, { movement, count }: Choice, { slot }: SlotQuestion): number {
  if (movement !== slot.movement || next.kind !== 'fixed' || count.kind !== 'fixed' || slot.count.kind !== 'fixed') return 0;
  const written = slot.count.men;
  const price = (figure: number): number => farWeight * Math.max(0, Math.abs(Math.log(figure / Math.max(1, written))) - freeRatio);
  return price(next.men) - price(count.men);
}

/** drift of time from which a count is righted at once */
const timeWorthRighting = 0.05;

/** The choice with the count that would take the drift of time away, were this slot to do it alone; null where the count is not free. */
function withTime(choice: Choice, question: SlotQuestion, time: number, all: readonly Choice[], context: AdaptContext): Choice | null {
  // too fit for it: more load comes before more reps, where the rules say so
  if (time < 0 && context.rules.tooFit === 'load' && canGoUp(choice, context)) return null;
  if (
    choice.count.kind !== 'fixed' ||
    choice.coachRank !== null ||
    choice.rule !== null ||
    choice.said !== null ||
    question.slot.bracket !== null ||
    question.slot.count.kind !== 'fixed'
  )
    return null;
  const round = all.reduce((sum, each) => sum + each.bout.seconds, 0);
  const factor = Math.min(1.45, Math.max(0.72, 1 - (time / (1 + time)) * (round / Math.max(1, choice.bout.seconds))));
  const even = movementOf(choice.movement).side === 'alternating' && question.slot.side === null;
  const figure = roundFigures(choice.count.men * factor, choice.unit, { even, most: 1 })[0]!;
  const count: Count = { kind: 'fixed', men: figure, women: figure, low: null };
  // a set is not cut to less than four fifths of what was written only to be in time
  const least = choice.movement === question.slot.movement ? 0.8 : 0.9;
  const cut = choice.unit === question.slot.unit && figure < choice.count.men && figure < least * question.slot.count.men;
  return figure === choice.count.men || cut ? null : { ...choice, count, structural: choice.structural + 0.004 + farPrice(count, choice, question) };
}

const nearestIndex = (loads: readonly { readonly grams: number }[], grams: number): number =>
  loads.reduce((best, each, index) => (Math.abs(each.grams - grams) < Math.abs(loads[best]!.grams - grams) ? index : best), 0);

/** Whether the kit has a heavier load for what this slot does. */
const canGoUp = ({ load }: Choice, context: AdaptContext): boolean =>
  load !== null && context.loads.some((each) => each.implement === load.implement && each.count === load.count && each.grams > load.grams);

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
  if (lock?.reps === undefined && choice.coachRank === null && choice.rule === null && choice.said === null && question.slot.bracket === null) {
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
            (choice.movement === question.slot.movement && JSON.stringify(choice.count) === JSON.stringify(question.slot.count) ? 0.03 : 0.004) +
            farPrice(count, choice, question),
        },
      });
  }
  if (lock?.loadKg === undefined && choice.load && movement.load && choice.coachRank === null) {
    const all = context.loads.filter((load) => load.implement === choice.load!.implement && load.count === choice.load!.count);
    const at = all.findIndex((load) => load.grams === choice.load!.grams);
    // too fit: not only the next plate, but a tenth, a fifth, two fifths more (C17, common practice)
    const jumps = time < -0.02 && context.rules.tooFit === 'load' ? [1.1, 1.2, 1.42].map((factor) => nearestIndex(all, choice.load!.grams * factor)) : [];
    for (const index of new Set([at - 1, at + 1, ...jumps])) {
      const load = index === at ? undefined : all[index];
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
