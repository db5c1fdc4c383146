/** What a slot is asked: who, where, under which rules; and what it was meant to be. */
import type { Athlete } from '../../athlete/athlete';
import type { Capacity } from '../../capacity/capacity';
import type { Place } from '../../kit/kit';
import type { FeasibleLoad } from '../../kit/loads';
import type { HouseRules } from '../../rules/house-rules';
import type { PartIntent } from '../../stimulus/intent';
import type { SlotStimulus } from '../../stimulus/stimulus';
import { itemLists, slotsOfPart } from '../../workout/walk';
import type { Item, Part, Slot } from '../../workout/workout';

export interface AdaptContext {
  readonly athlete: Athlete;
  readonly capacity: Capacity;
  readonly place: Place;
  readonly rules: HouseRules;
  readonly loads: readonly FeasibleLoad[];
}
export interface SlotQuestion {
  readonly slot: Slot;
  readonly stimulus: SlotStimulus;
  readonly intent: PartIntent;
  /** how often the slot comes in the whole part, as the original is meant to go */
  readonly bouts: number;
  /** the block's ladder, where the slot follows one */
  readonly ladder: readonly number[] | null;
  readonly vestKg: number;
  /** sets judged by effort: strength, max loads, and heavy shares of a max wherever they stand */
  readonly strength: boolean;
}

export const isNewer = ({ level }: Athlete): boolean => level === 'new' || level === 'newer';

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

/** How often a part goes through its lists. @param score its rounds, where they are what is scored */
export function timesThrough(part: Part, lists: number, score: number): number {
  switch (part.kind) {
    case 'amrap':
      return score;
    case 'every':
      return part.count / Math.max(1, lists);
    case 'intervals':
      return part.segments.length / Math.max(1, lists);
    case 'forTime':
    case 'strength':
      return part.sets;
    case 'windows':
      return part.count / Math.max(1, lists);
    default:
      return 1;
  }
}

/** share of a max from which a few reps on an interval are a strength set (common practice: hypertrophy and strength from 70 %) */
const heavyShare = 0.7;
const isHeavySet = ({ load }: Slot, { athlete }: AdaptContext): boolean => load?.kind === 'share' && load[athlete.category] >= heavyShare;

/** Slots with a stimulus of their own; the walk asks about the ones of an interruption, too. */
export function questionsOf(part: Part, intent: PartIntent, context: AdaptContext): SlotQuestion[] {
  const lists = itemLists(part).length;
  const passes = timesThrough(part, lists, intent.target ?? intent.stimulus.score);
  const vest = part.vest && !isNewer(context.athlete) && context.place.kit.some((item) => item.kind === 'vest') ? part.vest[context.athlete.category] : 0;
  return slotsOfPart(part).map((slot, index) => ({
    slot,
    stimulus: intent.stimulus.slots[index] ?? intent.stimulus.slots[0]!,
    intent,
    bouts: Math.max(1, passes * (intent.stimulus.slots[index]?.bouts ?? 1)),
    ladder: ladderOf(part, slot),
    vestKg: vest,
    strength: part.kind === 'strength' || part.kind === 'maxLoad' || isHeavySet(slot, context),
  }));
}
