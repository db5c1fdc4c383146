/** Who begins when with one implement among several: free whenever it is wanted where that costs little, else close together with a moment's wait now and then. */
import { queueForEquipment, staggerEquipment, type Holder } from './share-equipment';

/** s an implement takes to change hands (from memory) */
export const handOver = 10;
/** s between two starts that are tried, and the latest of them */
const tried = { step: 5, last: 300 };
/** share of one's own workout that a start without any waiting may cost; beyond it a moment's wait now and then is the better plan (round figure) */
const mostForNoWait = 0.25;
/** people whose every order is tried */
const mostOrdered = 4;

export interface SharePlan<Person extends Holder> {
  /** in the order they begin, each with the s by which that is after the first */
  readonly people: readonly { readonly person: Person; readonly begins: number }[];
  /** until the last is done, s */
  readonly totalSeconds: number;
  /** s that they stand and wait, all together */
  readonly waitSeconds: number;
  /** s of the longest with an implement of their own */
  readonly aloneSeconds: number;
}
interface Starts {
  readonly offsets: readonly number[];
  readonly totalSeconds: number;
  readonly waitSeconds: number;
}

/** All orders of a few; of many the one given. */
function ordersOf<T>(things: readonly T[]): T[][] {
  if (things.length > mostOrdered || things.length <= 1) return [[...things]];
  return things.flatMap((first, at) => ordersOf(things.filter((_, other) => other !== at)).map((rest) => [first, ...rest]));
}
/** Nobody waits. @returns null where somebody could only begin when the others are done */
function withoutWaiting(people: readonly Holder[]): Starts | null {
  const { offsets, totalSeconds } = staggerEquipment(people, handOver);
  const free = offsets.flatMap((offset) => (offset === null ? [] : [Math.ceil(offset)]));
  return free.length < offsets.length ? null : { offsets: free, totalSeconds, waitSeconds: 0 };
}
/** Starts so far apart, each taking it when it is free: those after which all are done soonest, with the least waiting. */
function withWaiting(people: readonly Holder[]): Starts {
  const plans = Array.from({ length: tried.last / tried.step + 1 }, (_, at): Starts => {
    const offsets = people.map((_person, who) => who * at * tried.step);
    const { waits, totalSeconds } = queueForEquipment(people, offsets, handOver);
    return { offsets, totalSeconds, waitSeconds: waits.reduce((sum, wait) => sum + wait, 0) };
  });
  const cost = ({ totalSeconds, waitSeconds }: Starts): number => totalSeconds + waitSeconds;
  return plans.reduce((best, plan) => (cost(plan) < cost(best) ? plan : best));
}

/** The order and the starts after which all of them are done soonest. @returns null with fewer than two */
export function planSharing<Person extends Holder>(people: readonly Person[]): SharePlan<Person> | null {
  if (people.length < 2) return null;
  const aloneSeconds = Math.max(...people.map(({ wholeSeconds }) => wholeSeconds));
  const plans = ordersOf(people).map((order) => {
    const free = withoutWaiting(order);
    return { order, starts: free && free.totalSeconds - aloneSeconds <= mostForNoWait * aloneSeconds ? free : withWaiting(order) };
  });
  const { order, starts } = plans.reduce((least, plan) => (plan.starts.totalSeconds < least.starts.totalSeconds ? plan : least));
  const { offsets, totalSeconds, waitSeconds } = starts;
  return { people: order.map((person, at) => ({ person, begins: offsets[at]! })), totalSeconds, waitSeconds, aloneSeconds };
}
