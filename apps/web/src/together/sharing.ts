/** Who shares which implement, and when each of them begins: the plan before it is set. Pure. */
import { staggerEquipment, type Holder } from '@gambito/core';
import type { Member } from './lanes';

/** s an implement takes to change hands (from memory) */
export const handOver = 10;

export interface SharingPlan {
  readonly lanes: readonly (Member & { readonly begins: number })[];
  /** until the last is done, s */
  readonly totalSeconds: number;
  readonly turnsSeconds: number;
  /** somebody finds no room and begins when the others are done */
  readonly oneAfterAnother: boolean;
}

/** Implements that at least two versions have in use. */
export function sharedImplements(lanes: readonly Member[]): string[] {
  const counts = new Map<string, number>();
  for (const { uses } of lanes) for (const { implement } of uses) counts.set(implement, (counts.get(implement) ?? 0) + 1);
  return [...counts]
    .filter(([, count]) => count > 1)
    .map(([implement]) => implement)
    .sort();
}

const holderOf = ({ uses, wholeSeconds }: Member, implement: string): Holder => ({
  uses: (uses.find((each) => each.implement === implement)?.spans ?? []).map(([startSeconds, endSeconds]) => ({ startSeconds, endSeconds })),
  wholeSeconds,
});

/** All orders of a few; of many the one given. */
function ordersOf<T>(things: readonly T[]): T[][] {
  if (things.length > 4) return [[...things]];
  if (things.length <= 1) return [[...things]];
  return things.flatMap((first, at) => ordersOf(things.filter((_, other) => other !== at)).map((rest) => [first, ...rest]));
}

/** The order and the later starts after which all of them are done soonest. @returns null with fewer than two */
export function sharingPlan(lanes: readonly Member[], implement: string): SharingPlan | null {
  if (lanes.length < 2) return null;
  const plans = ordersOf(lanes).map((order) => ({
    order,
    stagger: staggerEquipment(
      order.map((lane) => holderOf(lane, implement)),
      handOver,
    ),
  }));
  const best = plans.reduce((least, plan) => (plan.stagger.totalSeconds < least.stagger.totalSeconds ? plan : least));
  const { offsets, totalSeconds, turnsSeconds } = best.stagger;
  let done = 0;
  const placed = best.order.map((lane, at) => {
    const begins = Math.ceil(offsets[at] ?? done);
    done = Math.max(done, begins + lane.wholeSeconds);
    return { ...lane, begins };
  });
  return { lanes: placed, totalSeconds: Math.max(totalSeconds, done), turnsSeconds, oneAfterAnother: offsets.includes(null) };
}
