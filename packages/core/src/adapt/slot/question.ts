/** What a slot is asked: who, where, under which rules; and what it was meant to be. */
import type { Athlete } from '../../athlete/athlete';
import type { Capacity } from '../../capacity/capacity';
import { roomAsTold, type Place } from '../../kit/kit';
import type { FeasibleLoad } from '../../kit/loads';
import type { Movement } from '../../movements/movement';
import type { HouseRules } from '../../rules/house-rules';
import type { PartIntent } from '../../stimulus/intent';
import type { SlotStimulus } from '../../stimulus/stimulus';
import { itemLists, slotsOfPart } from '../../workout/walk';
import type { Category, Item, Part, Slot } from '../../workout/workout';

export interface AdaptContext {
  readonly athlete: Athlete;
  readonly capacity: Capacity;
  readonly place: Place;
  readonly rules: HouseRules;
  readonly loads: readonly FeasibleLoad[];
  /** every movement of the text */
  readonly written: ReadonlySet<string>;
}
export interface SlotQuestion {
  readonly slot: Slot;
  readonly stimulus: SlotStimulus;
  readonly intent: PartIntent;
  /** reps of a set of it, as the reference breaks the count; 0 where it is not counted in sets */
  readonly setReps: number;
  /** how often the slot comes in the whole part, as the original is meant to go */
  readonly bouts: number;
  /** the block's ladder, where the slot follows one */
  readonly ladder: readonly number[] | null;
  readonly vestKg: number;
  /** sets judged by effort: strength, max loads, and what is heavy on an interval or in sets */
  readonly strength: boolean;
}

/** Where a movement is done, as far as it limits it: a room nobody told limits what is swapped in, not what the coach wrote. */
export const roomFor = ({ id }: Movement, { place, written }: AdaptContext): Place => (written.has(id) ? roomAsTold(place) : place);

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

/** share of a max from which a set is one of strength (common practice: hypertrophy and strength from 70 %) */
const heavyShare = 0.7;
/** Written as a lift that nobody races: at a large share of a max, as heavy as possible, by effort, or built up. */
export const isHeavySet = ({ load, effort, build }: Slot, category: Category): boolean =>
  load?.kind === 'heavy' || effort !== null || build || (load?.kind === 'share' && load[category] >= heavyShare);
/** Work with a rest of its own behind it: what is heavy there is a strength set, in a round of an AMRAP it is not. */
const hasRests = (part: Part): boolean => part.kind === 'every' || (part.kind === 'forTime' && part.sets > 1);

/** Slots with a stimulus of their own; the walk asks about the ones of an interruption, too. */
export function questionsOf(part: Part, intent: PartIntent, context: AdaptContext): SlotQuestion[] {
  const lists = itemLists(part).length;
  const passes = timesThrough(part, lists, intent.target ?? intent.stimulus.score);
  const vest = part.vest && !isNewer(context.athlete) && context.place.kit.some((item) => item.kind === 'vest') ? part.vest[context.athlete.category] : 0;
  return slotsOfPart(part).map((slot, index) => ({
    slot,
    stimulus: intent.stimulus.slots[index] ?? intent.stimulus.slots[0]!,
    intent,
    setReps: intent.setReps[index] ?? 0,
    bouts: Math.max(1, passes * (intent.stimulus.slots[index]?.bouts ?? 1)),
    ladder: ladderOf(part, slot),
    vestKg: vest,
    strength: part.kind === 'strength' || part.kind === 'maxLoad' || (hasRests(part) && isHeavySet(slot, context.athlete.category)),
  }));
}
