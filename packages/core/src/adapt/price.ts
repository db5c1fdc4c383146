/** The price of a point in the search space: its drift, its structure, and what a coach would not accept. */
import { compile, type Program } from '../simulate/program';
import { walkProgram } from '../simulate/walk-program';
import type { PartResult } from '../simulate/walk-part';
import type { PartIntent } from '../stimulus/intent';
import { stimulusOf } from '../stimulus/stimulus';
import { slotsOfItems } from '../workout/walk';
import type { Part } from '../workout/workout';
import { applyChoices, type Choice, type PartLever } from './choice';
import { driftOf, insideWindow, type Drift } from './drift';
import type { SlotQuestion } from './question';
import type { Space } from './space';
import { beyondPullingCap, beyondRopeCap } from './volume-caps';

/** inside the window the middle is no longer worth a change: so much of the time drift is given back, up to there */
export const easing = { rate: 0.6, upTo: 0.12 } as const;
export const structuralWeight = 0.8;
/** a swap nobody needed, in a part of any length */
const needlessSwap = 0.05;
/** a stated window is hit wherever some candidate can hit it: missing it costs more than any swap on the way there */
const outsideWindow = 0.6;
/** more than may add up costs more than any other version could */
const overVolume = 2;
/** drift saturates; a version far out of time still gets better by coming nearer */
const farOut = { beyond: 0.3, weight: 0.04 } as const;

export interface Evaluated {
  readonly objective: number;
  readonly drift: Drift;
  readonly result: PartResult;
  readonly part: Part;
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

/** The part of the price that needs no simulation: structure, moved rounds, plates, links, repeats. */
export function staticCost({ part, questions, intent }: Space, choices: readonly Choice[], lever: PartLever): number {
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
export const structureShare = (slots: number): number => Math.max(1 / Math.max(1, slots), 0.22);

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
  const over = beyondPullingCap(context.athlete.level, program, 0, result) + beyondRopeCap(program, result, choices, space.questions);
  const far = farOut.weight * Math.max(0, Math.abs(drift.time) - farOut.beyond);
  return {
    objective:
      drift.total +
      far +
      eased +
      staticCost(space, choices, lever) +
      (inside === false ? outsideWindow : 0) +
      lost +
      capped +
      (over > 0 ? overVolume + over : 0),
    drift,
    result,
    part: filled,
  };
}
