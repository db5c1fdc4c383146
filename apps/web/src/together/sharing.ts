/** Who shares which implement, and when each of them begins: the plan before it is set. Pure. */
import { queueForEquipment, staggerEquipment, type Holder } from '@gambito/core';
import type { Member } from './lanes';

/** s an implement takes to change hands (from memory) */
export const handOver = 10;

export interface SharingPlan {
  readonly lanes: readonly (Member & { readonly begins: number })[];
  /** until the last is done, s */
  readonly totalSeconds: number;
  /** s that they stand and wait, all together */
  readonly waitSeconds: number;
  /** s of the longest with an implement of their own */
  readonly aloneSeconds: number;
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

/** s between two starts that are tried, and the latest of them */
const tried = { step: 5, last: 300 };
/** share of one's own workout that a start without any waiting may cost; beyond it a moment's wait now and then is the better plan */
const mostForNoWait = 0.25;

interface Starts {
  readonly offsets: readonly number[];
  readonly totalSeconds: number;
  readonly waitSeconds: number;
}
/** Free whenever it is needed: nobody waits. @returns null where somebody could only begin when the others are done */
function withoutWaiting(holders: readonly Holder[]): Starts | null {
  const { offsets, totalSeconds } = staggerEquipment(holders, handOver);
  const free = offsets.flatMap((offset) => (offset === null ? [] : [Math.ceil(offset)]));
  return free.length < offsets.length ? null : { offsets: free, totalSeconds, waitSeconds: 0 };
}
/** Starts so far apart, each taking it when it is free: those after which all are done soonest, with the least waiting. */
function withWaiting(holders: readonly Holder[]): Starts {
  const plans = Array.from({ length: tried.last / tried.step + 1 }, (_, at): Starts => {
    const offsets = holders.map((_holder, who) => who * at * tried.step);
    const { waits, totalSeconds } = queueForEquipment(holders, offsets, handOver);
    return { offsets, totalSeconds, waitSeconds: waits.reduce((sum, wait) => sum + wait, 0) };
  });
  const cost = ({ totalSeconds, waitSeconds }: Starts): number => totalSeconds + waitSeconds;
  return plans.reduce((best, plan) => (cost(plan) < cost(best) ? plan : best));
}

/** The order and the later starts after which all of them are done soonest. @returns null with fewer than two */
export function sharingPlan(lanes: readonly Member[], implement: string): SharingPlan | null {
  if (lanes.length < 2) return null;
  const alone = Math.max(...lanes.map(({ wholeSeconds }) => wholeSeconds));
  const plans = ordersOf(lanes).map((order) => {
    const holders = order.map((lane) => holderOf(lane, implement));
    const free = withoutWaiting(holders);
    return { order, starts: free && free.totalSeconds - alone <= mostForNoWait * alone ? free : withWaiting(holders) };
  });
  const { order, starts } = plans.reduce((least, plan) => (plan.starts.totalSeconds < least.starts.totalSeconds ? plan : least));
  return {
    lanes: order.map((lane, at) => ({ ...lane, begins: starts.offsets[at]! })),
    totalSeconds: starts.totalSeconds,
    waitSeconds: starts.waitSeconds,
    aloneSeconds: alone,
  };
}
