/** Loads and surfaces worth trying for a movement in a slot. */
import { shareAtReps } from '../capacity/strength-laws';
import { loadsFor, type FeasibleLoad } from '../kit/loads';
import type { Movement } from '../movements/movement';
import { maxOf } from '../simulate/demand';
import type { Category, Slot } from '../workout/workout';
import type { AdaptContext, SlotQuestion } from './question';

/** Surfaces of a kit by height, for raised push-ups and steps. */
export function heightsFor(movement: Movement, slot: Slot, context: AdaptContext): (number | null)[] {
  const { kit } = context.place;
  const written = slot.heightCm?.[context.athlete.category] ?? null;
  const of = (...kinds: string[]): number[] =>
    [...new Set(kit.flatMap((item) => ('heightCm' in item && kinds.includes(item.kind) ? [item.heightCm] : [])))].sort((a, b) => a - b);
  if (movement.id === 'raised-push-up') {
    const surfaces = of('box', 'chair', 'table', 'couch', 'bench').concat(
      kit.some((item) => item.kind === 'stairs') ? [18, 36, 54] : [],
      kit.some((item) => item.kind === 'wall') ? [110] : [],
    );
    return surfaces.length > 0 ? [...new Set(surfaces)].sort((a, b) => a - b) : [null];
  }
  if (movement.id === 'low-step-up') {
    const low = of('box').filter((height) => height <= 40);
    return [...low, ...(kit.some((item) => item.kind === 'stairs') ? [of('stairs')[0] ?? 18] : [])].slice(0, 1).map((height) => Math.min(40, height));
  }
  if (movement.family === 'box' || movement.family === 'step') {
    const boxes = of('box', ...(movement.family === 'step' ? ['bench'] : []));
    if (boxes.length === 0) return kit.some((item) => item.kind === 'stairs') && movement.family === 'step' ? [36] : [null];
    const wanted = written ?? 50;
    return [boxes.reduce((best, each) => (Math.abs(each - wanted) < Math.abs(best - wanted) ? each : best))];
  }
  return [movement.id === slot.movement ? written : null];
}

const gramsOfWritten = (slot: Slot, category: Category): { grams: number; count: 1 | 2 } | null =>
  slot.load?.kind === 'mass' ? { grams: Math.round(slot.load[category] * 1000), count: slot.load.count } : null;

/** Loads worth trying: the written one where owned, and those nearest to the wanted feel. */
export function loadOptions(
  movement: Movement,
  question: SlotQuestion,
  context: AdaptContext,
  countFactor: number,
): { load: FeasibleLoad | null; asWritten: boolean }[] {
  if (!movement.load) return [{ load: null, asWritten: false }];
  const { slot, stimulus } = question;
  const all = movement.load.implements.flatMap((kind) => loadsFor(context.loads, [kind], movement.load!.count));
  const written = movement.id === slot.movement ? gramsOfWritten(slot, context.athlete.category) : null;
  const owned = written ? all.find((load) => Math.abs(load.grams - written.grams) <= 60 && load.count === written.count) : undefined;
  const bare = movement.load.optional ? [{ load: null, asWritten: false }] : [];
  if (movement.load.optional && slot.load === null && movement.id === slot.movement) return [{ load: null, asWritten: true }];
  if (all.length === 0) return bare;
  if (question.strength && slot.load === null && movement.id === slot.movement) return [{ load: null, asWritten: true }];
  const max = maxOf(movement, context.capacity);
  const feel = context.rules.loadChoice === 'heaviest' ? 0.75 : context.rules.loadChoice === 'light' ? 1.35 : 1;
  const wantedReps = question.strength ? stimulus.repsToFailure : Math.max(2, stimulus.repsToFailure * countFactor * feel);
  const bodyShare = movement.limit.by === 'lift' ? movement.limit.bodyShare * context.athlete.bodyMassKg : 0;
  const share = slot.load?.kind === 'share' && question.strength ? slot.load[context.athlete.category] : shareAtReps(wantedReps);
  const wantedKg = max === null ? (written ? (written.grams / 1000) * written.count : 10) : Math.max(0.5, share * (max + bodyShare) - bodyShare);
  const distance = (load: FeasibleLoad): number => Math.abs(Math.log((load.grams * load.count) / 1000 / wantedKg));
  const nearest = [...all].sort((a, b) => distance(a) - distance(b)).slice(0, 3);
  const options = nearest.map((load) => ({ load, asWritten: false }));
  return [...(owned ? [{ load: owned, asWritten: false }] : []), ...options.filter((each) => each.load !== owned), ...bare];
}

export const isWritten = (load: FeasibleLoad | null, slot: Slot, category: Category): boolean => {
  const written = gramsOfWritten(slot, category);
  return load !== null && written !== null && Math.abs(load.grams - written.grams) <= 60 && load.count === written.count;
};
