/** What one part is decided over: a question a slot, its options under the coach's locks, which slots are decided together, and the band the score should lie in. */
import type { PartIntent } from '../../stimulus/intent';
import type { Category, Part } from '../../workout/workout';
import type { LineWords } from '../line-words';
import { optionsFor } from '../slot/fill';
import { ownedFor } from '../slot/load';
import { movementOf } from '../../movements/catalogue';
import type { Option } from '../slot/option';
import { questionsOf, type AdaptContext, type SlotQuestion } from '../slot/question';
import type { Band } from './band';
import { withSharedLoads } from './share-loads';

export interface SlotLock {
  readonly slot: number;
  readonly movement?: string;
  readonly reps?: number;
  readonly loadKg?: number;
  /** read of a line of the coach's */
  readonly words?: LineWords;
  /** the part's rounds and ladder stay as they are written */
  readonly scheme?: true;
}

export interface Space {
  readonly part: Part;
  readonly intent: PartIntent;
  readonly context: AdaptContext;
  readonly questions: readonly SlotQuestion[];
  /** slots written alike are decided alike: each slot's leader is the first of its kind, unless a lock sets it apart */
  readonly leaders: readonly number[];
  /** ranked, nearest first */
  readonly options: readonly (readonly Option[])[];
  /** the first of each, with the loads that belong together made one */
  readonly first: readonly Option[];
  readonly locks: readonly SlotLock[];
  readonly band: Band | null;
}

function leadersOf(questions: readonly SlotQuestion[], locks: readonly SlotLock[]): number[] {
  const first = new Map<string, number>();
  return questions.map(({ slot }, index) => {
    if (locks.some((lock) => lock.slot === index && !lock.scheme)) return index;
    const key = JSON.stringify([slot.movement, slot.count, slot.unit, slot.load, slot.heightCm, slot.perSide, slot.bracket !== null]);
    const leader = first.get(key);
    if (leader === undefined) first.set(key, index);
    return leader ?? index;
  });
}

export interface SpaceAsked {
  readonly part: Part;
  readonly intent: PartIntent;
  readonly context: AdaptContext;
  readonly locks: readonly SlotLock[];
  readonly band: Band | null;
  /** what the last gate would not let pass: movements not to be tried again */
  readonly without: readonly { readonly slot: number; readonly movement: string }[];
}

/** Filled one after the other, so that two slots do not both become the same movement while another is as near. */
export function spaceOf({ part, intent, context, locks, band, without }: SpaceAsked): Space {
  const questions = questionsOf(part, intent, context);
  const leaders = leadersOf(questions, locks);
  const options: (readonly Option[])[] = [];
  const taken = new Set(questions.map(({ slot }) => slot.movement));
  /** what stands in for a movement stands in for it wherever it is written */
  const standsFor = new Map<string, string>();
  questions.forEach((question, index) => {
    const leader = leaders[index]!;
    const lock = locks.find((each) => each.slot === index && !each.scheme);
    options[index] =
      leader === index
        ? passing(lockedOptions(question, context, lock, allBut(taken, standsFor.get(question.slot.movement))), index, without)
        : options[leader]!;
    const chosen = options[index][0];
    if (!chosen) return;
    taken.add(chosen.movement);
    standsFor.set(question.slot.movement, chosen.movement);
  });
  const first = options.map((each) => each[0]!);
  return { part, intent, context, questions, leaders, options, locks, band, first: withSharedLoads(questions, first, context, intent.oneLoad) };
}

const allBut = (ids: ReadonlySet<string>, id: string | undefined): ReadonlySet<string> =>
  id === undefined ? ids : new Set([...ids].filter((each) => each !== id));

/** Without what did not pass the gate, while anything else is left. */
function passing(options: readonly Option[], slot: number, without: SpaceAsked['without']): readonly Option[] {
  const left = options.filter(({ movement }) => !without.some((each) => each.slot === slot && each.movement === movement));
  return left.length > 0 ? left : options;
}

/** Options under a lock: what the coach fixed stays, the rest is free. */
function lockedOptions(question: SlotQuestion, context: AdaptContext, lock: SlotLock | undefined, taken: ReadonlySet<string>): readonly Option[] {
  const others = new Set([...taken].filter((id) => id !== question.slot.movement));
  const found = optionsFor(question, context, lock?.movement ?? null, others);
  // nothing at all may be done: the line stays as it is, and the gate says so
  const options = found.length > 0 ? found : optionsFor(question, context, question.slot.movement, others);
  if (!lock) return options;
  return options.map((option) => ({
    ...option,
    ...(lock.reps === undefined ? {} : { count: { kind: 'fixed' as const, men: lock.reps, women: lock.reps, low: null } }),
    ...(lock.loadKg === undefined || !option.load ? {} : { load: nearestLoad(context, option, lock.loadKg) }),
    ...(lock.words && option.movement === lock.movement ? inTheseWords(option, lock.words, context.athlete.category) : {}),
  }));
}

const inTheseWords = (option: Option, words: LineWords, category: Category): Partial<Option> => ({
  words,
  unit: words.unit ?? option.unit,
  perSide: words.perSide ?? option.perSide,
  heightCm: words.heightCm?.[category] ?? option.heightCm,
  tempo: words.tempo ?? option.tempo,
});

function nearestLoad(context: AdaptContext, option: Option, kg: number): Option['load'] {
  const owned = ownedFor(movementOf(option.movement), context).filter((load) => load.implement === option.load!.implement);
  return owned.reduce((best, load) => (Math.abs(load.grams / 1000 - kg) < Math.abs(best.grams / 1000 - kg) ? load : best), owned[0] ?? option.load!);
}
