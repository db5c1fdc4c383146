/** One way to fill a slot: movement, count, load and style, with what it costs on its own. A version is one choice a slot. */
import type { FeasibleLoad } from '../kit/loads';
import type { RuleKey } from '../rules/house-rules';
import type { Bout } from '../stimulus/bout';
import type { MassUnit } from '../units/mass';
import { mapBlocks, mapSlots } from '../workout/walk';
import type { Count, CountUnit, Part, Slot } from '../workout/workout';

export interface Choice {
  readonly movement: string;
  readonly unit: CountUnit;
  readonly count: Count;
  readonly perSide: boolean;
  readonly load: FeasibleLoad | null;
  readonly heightCm: number | null;
  readonly tempo: string | null;
  /** the written load is kept as it stands */
  readonly asWritten: boolean;
  readonly rule: RuleKey | null;
  readonly said: string | null;
  /** the house rules would do just this where the written movement is out */
  readonly stated: boolean;
  /** another movement though the written one could be done here */
  readonly needless: boolean;
  /** place in the coach's own alternatives, from 0; null when the model chose it */
  readonly coachRank: number | null;
  readonly bout: Bout;
  readonly repsToFailure: number;
  readonly share: number | null;
  /** what the choice costs by itself: 0 is the slot as the reference athlete feels it */
  readonly cost: number;
  /** the part of the cost that the drift of the whole does not see */
  readonly structural: number;
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
export function writtenWith({ movement, coachRank }: Choice, slot: Slot): Slot | null {
  if (movement === slot.movement) return slot;
  return coachRank === null ? null : (singleAlternatives(slot)[coachRank] ?? null);
}

/** The slot with a choice in it. */
export function slotFor(slot: Slot, choice: Choice, unit: MassUnit): Slot {
  const kept = choice.movement === slot.movement;
  return {
    ...slot,
    movement: choice.movement,
    unit: choice.unit,
    count: choice.count,
    perSide: choice.perSide,
    load: choice.asWritten
      ? slot.load
      : choice.load
        ? { kind: 'mass', men: choice.load.grams / 1000, women: choice.load.grams / 1000, count: choice.load.count, unit }
        : null,
    heightCm: choice.heightCm === null ? (kept ? slot.heightCm : null) : { men: choice.heightCm, women: choice.heightCm },
    tempo: choice.tempo ?? (kept ? slot.tempo : null),
    side: kept ? slot.side : null,
    note: kept ? slot.note : null,
    alternatives: [],
  };
}

/** A slot's own rungs under a ladder that gained or lost some: the last one is repeated (21-15-9 → 21-15-9-9), or left out. */
export function fitRungs(rungs: readonly number[], length: number): readonly number[] {
  return rungs.length >= length ? rungs.slice(0, length) : [...rungs, ...Array.from({ length: length - rungs.length }, () => rungs[rungs.length - 1]!)];
}

/** The part with its slots filled and its lever pulled. */
export function applyChoices(part: Part, choices: readonly Choice[], lever: PartLever, unit: MassUnit): Part {
  const filled = mapSlots(part, (slot, index) => {
    const own = choices[index] ? slotFor(slot, choices[index], unit) : slot;
    return lever.ladder && own.count.kind === 'ladder' ? { ...own, count: { ...own.count, rungs: fitRungs(own.count.rungs, lever.ladder.length) } } : own;
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
