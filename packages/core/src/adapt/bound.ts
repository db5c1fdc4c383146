/**
 * The least objective a version can have, without simulating it: everything but the time part of the drift is known in closed form.
 * With it the search proves that no combination of the options it was given is better (branch and bound).
 */
import { compile, demandOfSlot } from '../simulate/program';
import type { PartIntent } from '../stimulus/intent';
import { openCount, slotCounts, Work, type Shares } from '../stimulus/stimulus';
import { itemLists, slotsOfPart } from '../workout/walk';
import type { Block, Part } from '../workout/workout';
import { applyChoices, fitRungs, noLever, slotFor, type Choice, type PartLever } from './choice';
import { freeTime, leastDrift, timeWeight } from './drift';
import type { AdaptContext } from './question';

const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / Math.max(1, values.length);

/** The work of one choice in one slot under one lever, in the sums a stimulus is made of. */
export function choiceWorks(part: Part, base: readonly Choice[], context: AdaptContext): (slot: number, choice: Choice, lever: PartLever) => Work {
  const slots = slotsOfPart(part);
  const { category, units } = context.athlete;
  const vestKg = part.vest ? part.vest[category] : 0;
  const bouts = new Map<string, Map<number, { total: number; bouts: number }>>();
  const known = new Map<string, Map<Choice, Work>[]>();
  const keyOf = (lever: PartLever): string => (lever === noLever ? '' : `${lever.rounds ?? ''} ${lever.ladder?.join('-') ?? ''}`);
  const block = itemLists(part)[0]?.find((item): item is Block => item.kind === 'block') ?? null;
  const boutsUnder = (lever: PartLever): Map<number, { total: number; bouts: number }> => {
    const before = bouts.get(keyOf(lever));
    if (before) return before;
    const counted = slotCounts(compile({ parts: [applyChoices(part, base, lever, units)] }, context.capacity, context.place), 0);
    bouts.set(keyOf(lever), counted);
    return counted;
  };
  const countOf = (slot: number, choice: Choice, lever: PartLever, open: number): number => {
    const times = (choice.perSide ? 2 : 1) * (slots[slot]!.bracket?.times ?? 1);
    switch (choice.count.kind) {
      case 'fixed':
        return choice.count[category] * times;
      case 'ladder':
        return mean(lever.ladder ? fitRungs(choice.count.rungs, lever.ladder.length) : choice.count.rungs) * times;
      case 'rung':
        return mean(lever.ladder ?? block?.ladder ?? [10]) * times;
      case 'growing':
        return (choice.count.start + 2 * choice.count.step) * times;
      case 'max':
      case 'matchTime':
        return open;
    }
  };
  return (slot, choice, lever) => {
    const key = keyOf(lever);
    const perSlot = known.get(key) ?? slots.map(() => new Map<Choice, Work>());
    known.set(key, perSlot);
    const before = perSlot[slot]!.get(choice);
    if (before) return before;
    const { demand } = demandOfSlot(slotFor(slots[slot]!, choice, units), context.capacity, context.place, vestKg);
    const work = new Work();
    const counted = boutsUnder(lever).get(slot);
    if (counted) work.addBouts(demand, countOf(slot, choice, lever, openCount(demand)), counted.bouts, context.capacity);
    perSlot[slot]!.set(choice, work);
    return work;
  };
}

/** reused from bound to bound; holds nothing between calls */
const scratch = new Work();
const scratchShares: Shares = { patterns: [], muscles: [] };

/**
 * The least of drift and of what the window eases, over every possible time: the two meet at no drift of time, at the 2 % that are free, or where easing ends.
 * @param eases whether the score could lie in a window, where the middle is no longer worth a change
 */
export function leastOf(intent: PartIntent, works: readonly Work[], eases: { readonly rate: number; readonly upTo: number } | null): number {
  scratch.clear();
  for (const each of works) scratch.add(each);
  const least = leastDrift(intent, scratch.sums(scratchShares));
  if (!eases) return least;
  const kept = 1 - least;
  const at = (time: number): number => 1 - kept * Math.exp(-timeWeight(intent) * Math.max(0, time - freeTime)) - eases.rate * Math.min(eases.upTo, time);
  return Math.min(at(0), at(freeTime), at(eases.upTo));
}
