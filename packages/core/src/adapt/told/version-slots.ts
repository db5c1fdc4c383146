/** A filled part as the version shows it: each slot with what it was, what it is, why, and what to fall back to. */
import { describeLoad } from '../../kit/loads';
import { movementOf } from '../../movements/catalogue';
import type { HouseRules } from '../../rules/house-rules';
import { isOpen, itemLists, slotsOfPart } from '../../workout/walk';
import type { Category, Count, CountUnit, Item, Part, PartKind, Slot } from '../../workout/workout';
import type { PlannedPart } from '../part/plan-parts';
import type { PartPlan } from '../part/search';
import { isMoved, outerLadder, type Option } from '../slot/option';
import type { AdaptContext } from '../slot/question';
import { isEasierPushUp } from '../slot/schools';
import type { VersionEdit } from './edits';
import { becauseOf, figuresOf, reasonOf } from './explain';
import { fallbackOf, type Fallback } from './fallback';
import { givesUpOf } from './gives-up';
import type { Told } from './told';
import { markOf, type Mark } from './marks';
import { countText } from './words';

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
  /** one sentence */
  readonly reason: string;
  /** why the written movement was left, for its athlete; null where it was not, or another is nearer to what is meant */
  readonly because: string | null;
  /** what stands behind it: seconds a bout, shares of a max, house rules */
  readonly figures: readonly string[];
  readonly givesUp: readonly string[];
  readonly fallback: Fallback | null;
  /** the next best movement, for the coach who would have taken another */
  readonly runnerUp: { readonly movement: string; readonly count: string } | null;
  readonly growth: number | null;
  readonly link: number | null;
  /** number of the written slot it stands for: what a lock names */
  readonly written: number;
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
  readonly edits: readonly VersionEdit[];
}

function repsOf(count: Count, ladder: readonly number[] | null, category: Category): number[] {
  switch (count.kind) {
    case 'fixed':
      return [count[category]];
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

function runnerUpOf({ space }: PartPlan, index: number, { movement }: Option, rules: HouseRules): VersionSlot['runnerUp'] {
  const others = space.options[index]?.filter((each) => each.movement !== movement) ?? [];
  // where the coach chooses between the easier push-ups each time, the other one is what is offered
  const toChoose = rules.easierPushUp === 'coach' && isEasierPushUp(movement);
  const next = (toChoose ? others.find((each) => isEasierPushUp(each.movement)) : undefined) ?? others[0];
  return next ? { movement: next.movement, count: countText(next, space.context.athlete.category) } : null;
}

/** The slot as the coach wrote it. */
const originalOf = (slot: Slot, part: Part, category: Category): VersionSlot['original'] => ({
  movement: slot.movement,
  reps: isOpen(slot) ? null : repsOf(slot.count, outerLadder(part), category),
  loadKg: slot.load?.kind === 'mass' ? slot.load[category] : null,
});

function loadOf({ load, movement }: Option, filled: Slot, category: Category): VersionSlot['load'] {
  const rule = movementOf(movement).load;
  const hold = rule?.position ?? 'hands';
  if (load) return { kg: load.grams / 1000, implement: load.implement, count: load.count, hold, text: describeLoad(load) };
  if (filled.load?.kind !== 'mass') return null;
  const kg = filled.load[category];
  return { kg, implement: filled.implement ?? rule?.implements[0] ?? 'barbell', count: filled.load.count, hold, text: `${kg} kg` };
}

const unweighed = 'byHand';
/** The mark of a swap; null where nothing was swapped, or where it is the coach's own and nobody weighed it. */
export const swapMark = ({ swapped, rule, mark }: Pick<VersionSlot, 'swapped' | 'rule' | 'mark'>): Mark | null => (swapped && rule !== unweighed ? mark : null);

/** Slots that nobody chose but the coach, as they stand. @param written the same part of the workout for everybody, where there is one */
export function plainSlots(part: Part, written: Part | undefined, category: Category): VersionSlot[] {
  const originals = written ? slotsOfPart(written) : [];
  const places = placesOf(part);
  return slotsOfPart(part).map((slot, at): VersionSlot => {
    const original = originals[at] ?? null;
    const rule = movementOf(slot.movement).load;
    const mass = slot.load?.kind === 'mass' ? slot.load : null;
    const implement = slot.implement ?? rule?.implements[0] ?? 'barbell';
    return {
      original: original && originalOf(original, written!, category),
      movement: slot.movement,
      unit: slot.unit,
      reps: repsOf(slot.count, outerLadder(part), category),
      perSide: slot.perSide,
      load: mass && { kg: mass[category], implement, count: mass.count, hold: rule?.position ?? 'hands', text: `${mass[category]} kg` },
      style: { tempo: slot.tempo, pause: false, surfaceCm: slot.heightCm === null ? null : slot.heightCm[category] },
      swapped: original !== null && original.movement !== slot.movement,
      mark: '!',
      rule: unweighed,
      reason: 'As the coach wrote it by hand.',
      because: null,
      figures: [],
      givesUp: [],
      fallback: null,
      runnerUp: null,
      growth: slot.count.kind === 'growing' ? slot.count.step : null,
      link: slot.link,
      written: at,
      ...(places[at] ?? { station: null, window: null, block: null }),
    };
  });
}

/** @param written the part as the coach wrote it */
export function versionSlots(written: Part, planned: PlannedPart, context: AdaptContext): VersionSlot[] {
  const { plan, part, from } = planned;
  if (!plan) return [];
  const { category } = context.athlete;
  const originals = slotsOfPart(written);
  const filled = slotsOfPart(part);
  const places = placesOf(part);
  const rungsMoved = isMoved(written, part);
  return plan.options.map((option, at): VersionSlot => {
    const original = originals[from[at]!] ?? null;
    const question = plan.space.questions[at]!;
    const asked = original ? { ...question, slot: original } : question;
    const told: Told = { question: asked, option, context, wall: plan.untouched.walls.includes(at), beyond: plan.untouched.beyond, rungsMoved };
    const slot = filled[at]!;
    const kept = original !== null && original.movement === option.movement && slot.implement === original.implement;
    return {
      original: original && originalOf(original, written, category),
      movement: option.movement,
      unit: option.unit,
      reps: repsOf(slot.count, outerLadder(part), category),
      perSide: option.perSide,
      load: loadOf(option, slot, category),
      style: { tempo: slot.tempo, pause: false, surfaceCm: option.heightCm },
      swapped: !kept,
      mark: markOf(option, original?.movement ?? option.movement),
      rule: option.rule ?? (kept ? 'kept' : option.coachRank !== null ? 'coach' : 'model'),
      reason: reasonOf(told),
      because: kept ? null : becauseOf(told),
      figures: figuresOf(told),
      givesUp: givesUpOf(told),
      fallback: fallbackOf(option, question.stimulus, context),
      runnerUp: runnerUpOf(plan, at, option, context.rules),
      growth: option.count.kind === 'growing' ? option.count.step : null,
      link: slot.link,
      written: from[at]!,
      ...(places[at] ?? { station: null, window: null, block: null }),
    };
  });
}
