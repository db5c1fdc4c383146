/** One way to fill a slot: movement, count, load and style, and why it was proposed. A version is one option a slot. */
import type { FeasibleLoad } from '../../kit/loads';
import { implementToSay } from '../../movements/in-hand';
import type { Nearness } from '../../movements/stand-ins';
import type { RuleKey } from '../../rules/house-rules';
import type { Bout } from '../../stimulus/bout';
import type { MassUnit } from '../../units/mass';
import { mapBlocks, mapSlots } from '../../workout/walk';
import type { Count, CountUnit, Part, Slot } from '../../workout/workout';
import type { LineWords } from '../line-words';
import type { Rank } from './rank';

export interface Option {
  readonly movement: string;
  readonly nearness: Nearness;
  readonly unit: CountUnit;
  readonly count: Count;
  readonly perSide: boolean;
  readonly load: FeasibleLoad | null;
  /** the load stands as it is written: open, or to be built up */
  readonly openLoad: boolean;
  readonly heightCm: number | null;
  readonly tempo: string | null;
  /** the coach's own for this person; null where none are */
  readonly words: LineWords | null;
  /** the house rule that had a say, and what it or the trade states */
  readonly rule: RuleKey | null;
  readonly said: string | null;
  /** place in the coach's own alternatives, from 0; null when the model chose it */
  readonly coachRank: number | null;
  readonly bout: Bout;
  readonly repsToFailure: number;
  /** load ÷ max, body share included; null without a load */
  readonly share: number | null;
  /** whole external load ÷ the max of it; null where either is missing */
  readonly loadShare: number | null;
  readonly rank: Rank;
}

/** Rounds and ladder of a part, where the version moves them. */
export interface PartLever {
  readonly rounds: number | null;
  readonly ladder: readonly number[] | null;
}
export const noLever: PartLever = { rounds: null, ladder: null };

/** The coach's alternatives that are one movement each; `coachRank` is the place in this list. */
export const singleAlternatives = (slot: Slot): Slot[] => slot.alternatives.flatMap((option) => (option.length === 1 ? [option[0]!] : []));

/** The slot as the coach wrote it with this movement: the line itself, or the alternative beside it; null for a movement of the model's. */
export function writtenWith({ movement, coachRank }: Pick<Option, 'movement' | 'coachRank'>, slot: Slot): Slot | null {
  if (movement === slot.movement) return slot;
  return coachRank === null ? null : (singleAlternatives(slot)[coachRank] ?? null);
}

/** The slot with an option in it. */
export function slotFor(slot: Slot, option: Option, unit: MassUnit): Slot {
  const kept = option.movement === slot.movement;
  const { load, heightCm } = option;
  return {
    ...slot,
    movement: option.movement,
    own: kept ? slot.own : null,
    said: kept ? slot.said : null,
    implement: load ? implementToSay(option.movement, load.implement) : kept ? slot.implement : null,
    unit: option.unit,
    unitSaid: kept && option.unit === slot.unit ? slot.unitSaid : null,
    count: option.count,
    perSide: option.perSide,
    load: option.openLoad ? slot.load : load ? { kind: 'mass', men: load.grams / 1000, women: load.grams / 1000, count: load.count, unit } : null,
    heightCm: heightCm === null ? (kept ? slot.heightCm : null) : { men: heightCm, women: heightCm },
    tempo: option.tempo ?? (kept ? slot.tempo : null),
    effort: kept ? slot.effort : null,
    side: kept ? slot.side : null,
    note: kept ? slot.note : null,
    alternatives: [],
    ...(option.words ?? {}),
  };
}

/** A slot's own rungs under a ladder that gained or lost some: the last one is repeated (21-15-9 → 21-15-9-9), or left out. */
export function fitRungs(rungs: readonly number[], length: number): readonly number[] {
  return rungs.length >= length ? rungs.slice(0, length) : [...rungs, ...Array.from({ length: length - rungs.length }, () => rungs[rungs.length - 1]!)];
}

/** Own rungs of a converted slot follow the ladder of the part: two singles for a double stay two for one. */
function followRungs(rungs: readonly number[], from: readonly number[], to: readonly number[]): readonly number[] {
  const factor = rungs[0]! / from[0]!;
  return rungs.length === from.length && rungs.every((rung, at) => rung === Math.round(from[at]! * factor))
    ? to.map((rung) => Math.max(1, Math.round(rung * factor)))
    : fitRungs(rungs, to.length);
}

/** The part with its slots filled and its lever pulled. */
export function applyOptions(part: Part, options: readonly Option[], lever: PartLever, unit: MassUnit): Part {
  const ladder = outerLadder(part);
  const filled = mapSlots(part, (slot, index) => {
    const own = options[index] ? slotFor(slot, options[index], unit) : slot;
    if (!lever.ladder || own.count.kind !== 'ladder') return own;
    return {
      ...own,
      count: { ...own.count, rungs: ladder ? followRungs(own.count.rungs, ladder, lever.ladder) : fitRungs(own.count.rungs, lever.ladder.length) },
    };
  });
  if (lever.rounds === null && lever.ladder === null) return filled;
  let outermost = true;
  return mapBlocks(filled, (block) => {
    if (!outermost) return block;
    outermost = false;
    if (lever.ladder && block.ladder) return { ...block, ladder: lever.ladder };
    return lever.rounds !== null && block.ladder === null ? { ...block, rounds: { low: lever.rounds, high: lever.rounds } } : block;
  });
}

/** The ladder that heads a part; null without one. */
export function outerLadder(part: Part): readonly number[] | null {
  const block = 'items' in part ? part.items.find((item) => item.kind === 'block') : undefined;
  return block?.kind === 'block' ? block.ladder : null;
}
/** Whether the rungs that lead a part are others than they were. */
export const isMoved = (before: Part, after: Part): boolean => JSON.stringify(outerLadder(before)) !== JSON.stringify(outerLadder(after));
