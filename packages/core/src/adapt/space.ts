/** What one part's search ranges over: a question a slot, its options under the coach's locks, and which slots are decided together. */
import type { PartIntent } from '../stimulus/intent';
import { itemLists, slotsOfPart } from '../workout/walk';
import type { Item, Part, Slot } from '../workout/workout';
import { choicesFor } from './candidates';
import type { Choice } from './choice';
import type { AdaptContext, SlotQuestion } from './question';
import { timesThrough } from './volume-caps';

/** options a slot brings to the joint search */
export const breadth = 7;

export interface SlotLock {
  readonly slot: number;
  readonly movement?: string;
  readonly reps?: number;
  readonly loadKg?: number;
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
  const lists = itemLists(part).length;
  const passes = timesThrough(part, lists, intent.target ?? intent.stimulus.score);
  return slotsOfPart(part).map((slot, index) => ({
    slot,
    stimulus: intent.stimulus.slots[index] ?? intent.stimulus.slots[0]!,
    intent,
    bouts: passes * (intent.stimulus.slots[index]?.bouts ?? 1),
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

export interface Space {
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

/** Where the written movement is out, the coach's first alternative that can be done is the only one searched: no drift outranks it. */
function coachFirst(choices: readonly Choice[], slot: Slot): Choice[] {
  const first = Math.min(...choices.map((each) => each.coachRank ?? Infinity));
  const open = choices.some((each) => each.movement === slot.movement);
  return open || !Number.isFinite(first) ? [...choices] : choices.filter((each) => each.coachRank === first);
}

/** Options under a lock: what the coach fixed stays, the rest is free. */
function lockedOptions(question: SlotQuestion, context: AdaptContext, lock: SlotLock | undefined): Choice[] {
  const listed = choicesFor(question, context, lock?.movement ?? null);
  const options = lock?.movement ? listed : coachFirst(listed, question.slot);
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
