/** A filled part as the version shows it: each slot with what it was, what it is, why, and what to fall back to. */
import { describeLoad, type FeasibleLoad } from '../kit/loads';
import { movementOf } from '../movements/catalogue';
import type { PartIntent } from '../stimulus/intent';
import { itemLists } from '../workout/walk';
import type { Count, CountUnit, Item, Part, PartKind, Slot } from '../workout/workout';
import type { HouseRules } from '../rules/house-rules';
import type { Choice } from './choice';
import { isEasierPushUp } from './easier-push-up';
import { countText, fallbackOf, givesUpOf, markOf, reasonOf, type Fallback, type Mark } from './explain';
import type { AdaptContext } from './question';
import type { PartPlan } from './search';
import { questionsOf } from './space';

export interface VersionSlot {
  readonly original: { readonly movement: string; readonly reps: readonly number[] | null; readonly loadKg: number | null } | null;
  readonly movement: string;
  readonly unit: CountUnit;
  readonly reps: readonly number[];
  readonly perSide: boolean;
  readonly load: { readonly kg: number; readonly implement: string; readonly count: 1 | 2; readonly hold: string; readonly text: string } | null;
  readonly style: { readonly tempo: string | null; readonly pause: boolean; readonly surfaceCm: number | null };
  readonly swapped: boolean;
  readonly mark: Mark;
  readonly rule: string;
  readonly reason: string;
  readonly givesUp: readonly string[];
  readonly fallback: Fallback | null;
  /** the next best movement, for the coach who would have taken another */
  readonly runnerUp: { readonly movement: string; readonly count: string } | null;
  readonly growth: number | null;
  readonly link: number | null;
  /** where it stands: number of the station, window and block it is nested in, from 0 */
  readonly station: number | null;
  readonly window: number | null;
  readonly block: number | null;
}
export interface VersionPart {
  readonly kind: PartKind;
  readonly capSeconds: number | null;
  readonly seconds: number | null;
  readonly rounds: number | null;
  readonly sets: number | null;
  readonly setSeconds: number | null;
  readonly restSeconds: number | null;
  readonly from: readonly number[];
  readonly slots: readonly VersionSlot[];
}
function repsOf(count: Count, ladder: readonly number[] | null): number[] {
  switch (count.kind) {
    case 'fixed':
      return [count.men];
    case 'ladder':
      return [...count.rungs];
    case 'growing':
      return [count.start];
    case 'rung':
      return ladder ? [...ladder] : [];
    case 'max':
    case 'matchTime':
      return [];
  }
}

const headerLadder = (part: Part): readonly number[] | null => {
  const lists = 'items' in part ? [part.items] : [];
  const block = lists[0]?.find((item) => item.kind === 'block');
  return block?.kind === 'block' ? block.ladder : null;
};

type SlotPlace = Pick<VersionSlot, 'station' | 'window' | 'block'>;

/** Where each slot is nested, in reading order. */
function placesOf(part: Part): SlotPlace[] {
  let blocks = 0;
  const walk = (items: readonly Item[], place: SlotPlace): SlotPlace[] =>
    items.flatMap((item) => (item.kind === 'slot' ? [place] : item.kind === 'block' ? walk(item.items, { ...place, block: blocks++ }) : []));
  const grouped = itemLists(part).length > 1;
  return itemLists(part).flatMap((items, list) =>
    walk(items, { station: grouped && part.kind !== 'windows' ? list : null, window: part.kind === 'windows' ? list : null, block: null }),
  );
}

function runnerUpOf(plan: PartPlan, index: number, choice: Choice, rules: HouseRules): VersionSlot['runnerUp'] {
  const others = plan.options[index]?.filter((each) => each.movement !== choice.movement) ?? [];
  // where the coach chooses between the easier push-ups each time, the other one is what is offered
  const toChoose = rules.easierPushUp === 'coach' && isEasierPushUp(choice.movement);
  const next = (toChoose ? others.find((each) => isEasierPushUp(each.movement)) : undefined) ?? others[0];
  return next ? { movement: next.movement, count: countText(next) } : null;
}

export function versionSlot(
  original: Slot | null,
  originalPart: Part | null,
  filled: Slot,
  choice: Choice,
  part: Part,
  plan: PartPlan,
  intent: PartIntent,
  index: number,
  context: AdaptContext,
): VersionSlot {
  const question = questionsOf(plan.part, intent, context)[index];
  const stimulus = intent.stimulus.slots[index] ?? intent.stimulus.slots[0]!;
  const source = original ?? filled;
  const category = context.athlete.category;
  const movement = movementOf(choice.movement);
  const written = filled.load?.kind === 'mass' ? filled.load : null;
  const kept = original !== null && original.movement === choice.movement;
  const load: FeasibleLoad | null = choice.load;
  return {
    original: original
      ? {
          movement: original.movement,
          reps:
            original.count.kind === 'max' || original.count.kind === 'matchTime'
              ? null
              : original.count.kind === 'fixed'
                ? [original.count[category]]
                : repsOf(original.count, originalPart ? headerLadder(originalPart) : null),
          loadKg: original.load?.kind === 'mass' ? original.load[category] : null,
        }
      : null,
    movement: choice.movement,
    unit: choice.unit,
    reps: repsOf(choice.count, headerLadder(part)),
    perSide: choice.perSide,
    load: load
      ? { kg: load.grams / 1000, implement: load.implement, count: load.count, hold: movement.load?.position ?? 'hands', text: describeLoad(load) }
      : written
        ? {
            kg: written[category],
            implement: movement.load?.implements[0] ?? 'barbell',
            count: written.count,
            hold: movement.load?.position ?? 'hands',
            text: `${written[category]} kg`,
          }
        : null,
    style: { tempo: filled.tempo, pause: false, surfaceCm: choice.heightCm },
    swapped: !kept,
    mark: markOf(choice, kept),
    rule: choice.rule ?? (kept ? 'kept' : choice.coachRank !== null ? 'coach' : 'model'),
    reason: reasonOf(source, choice, context, stimulus, question?.timeScale ?? 1),
    givesUp: givesUpOf(source, choice, stimulus),
    fallback: fallbackOf(choice, context),
    runnerUp: runnerUpOf(plan, index, choice, context.rules),
    growth: choice.count.kind === 'growing' ? choice.count.step : null,
    link: filled.link,
    ...(placesOf(part)[index] ?? { station: null, window: null, block: null }),
  };
}
