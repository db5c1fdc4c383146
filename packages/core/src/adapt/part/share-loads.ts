/**
 * Loads that belong together are made one: a linked string goes with what is in the hands, slots written with one load keep one, and one load goes for all where the
 * coach says so. The slot that bears least decides. Two loads for one pattern only where the kit forces it.
 */
import { movementOf } from '../../movements/catalogue';
import type { FeasibleLoad } from '../../kit/loads';
import { demandOf } from '../../simulate/demand';
import { boutOf } from '../../stimulus/bout';
import { ownedFor, totalKg } from '../slot/load';
import type { Option } from '../slot/option';
import type { AdaptContext, SlotQuestion } from '../slot/question';
import type { Slot } from '../../workout/workout';

/** The option with another load: its feel follows. */
export function withLoad(option: Option, load: FeasibleLoad, question: SlotQuestion, context: AdaptContext): Option {
  const demand = demandOf(option.movement, option.unit, context.capacity, totalKg(load), option.heightCm, question.vestKg);
  const before = demandOf(option.movement, option.unit, context.capacity, option.load ? totalKg(option.load) : 0, option.heightCm, question.vestKg);
  // what a bout costs is its count times what one rep costs
  const count = option.bout.joulesPerKg / Math.max(1e-6, before.joulesPerKg);
  return {
    ...option,
    load,
    openLoad: false,
    bout: boutOf(demand, count, context.capacity),
    repsToFailure: demand.repsToFailure,
    share: demand.share,
    loadShare: demand.maxKg ? totalKg(load) / demand.maxKg : null,
  };
}

/** What of the writing makes slots share a load: one string, or one mass; null: nothing does. */
function saidLoad({ link, load }: Slot): string | null {
  if (link !== null) return `link ${link}`;
  return load?.kind === 'mass' ? `${load.men}/${load.women}x${load.count}` : null;
}
export const sharesLoad = (a: SlotQuestion, b: SlotQuestion): boolean => saidLoad(a.slot) !== null && saidLoad(a.slot) === saidLoad(b.slot);

/** Slots whose loads go together: what is in the hands stays there, or the writing had one load for them. */
interface Group {
  readonly slots: number[];
  readonly inHand: boolean;
}
function groupsOf(questions: readonly SlotQuestion[], options: readonly Option[], oneLoad: boolean): Group[] {
  const groups = new Map<string, Group>();
  questions.forEach(({ slot }, index) => {
    const { load } = options[index]!;
    if (!load) return;
    const said = oneLoad ? '' : saidLoad(slot);
    if (said === null) return;
    const key = `${load.implement} ${load.count} ${said}`;
    const group = groups.get(key) ?? { slots: [], inHand: oneLoad || slot.link !== null };
    group.slots.push(index);
    groups.set(key, group);
  });
  return [...groups.values()].filter(({ slots }) => slots.length > 1);
}

/** below this share of it a load that lies ready beside the other one is not given up for the sake of one load (round figure) */
const leastShared = 0.75;
/** A fixed implement that is there as it is: nothing has to be changed between two slots. */
export const liesReady = ({ implement, grams, count }: FeasibleLoad, { place }: AdaptContext): boolean =>
  place.kit.reduce((sum, item) => sum + (item.kind === implement && 'count' in item && item.grams === grams ? item.count : 0), 0) >= count;

export function withSharedLoads(questions: readonly SlotQuestion[], options: readonly Option[], context: AdaptContext, oneLoad: boolean): readonly Option[] {
  let shared = options;
  for (const { slots: group, inHand } of groupsOf(questions, options, oneLoad)) {
    const loads = group.map((index) => shared[index]!.load!);
    if (loads.every((load) => load.grams === loads[0]!.grams)) continue;
    const lightest = loads.reduce((best, load) => (load.grams < best.grams ? load : best));
    const canAll = group.every((index) =>
      ownedFor(movementOf(shared[index]!.movement), context).some((load) => load.grams === lightest.grams && load.implement === lightest.implement),
    );
    const staysApart = (load: FeasibleLoad): boolean => !inHand && lightest.grams < leastShared * load.grams && liesReady(load, context);
    if (canAll)
      shared = shared.map((option, index) =>
        group.includes(index) && option.load!.grams !== lightest.grams && !staysApart(option.load!)
          ? withLoad(option, lightest, questions[index]!, context)
          : option,
      );
  }
  return shared;
}
