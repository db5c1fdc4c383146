/** Who begins when with one implement among several: free whenever it is wanted where that costs little, else close together with a moment's wait now and then. */
import { queueForEquipment, staggerEquipment, type Holder } from './share-equipment';

/** s an implement takes to change hands, and plates to be changed where two lift other loads on one bar (from memory) */
export const handOver = 10;
export const plateChange = 20;
/** s between two starts that are tried, and the latest of them */
const tried = { step: 5, last: 300 };
/** share of one's own workout that a start without any waiting may cost; beyond it a moment's wait now and then is the better plan (round figure) */
const mostForNoWait = 0.25;
/** people whose every order is tried */
const mostOrdered = 4;

/** s less, all together, for which somebody begins with another movement (round figure) */
const worthAnotherOrder = 30;

/** Somebody who shares, with their version begun with its other movements. */
export interface Sharer extends Holder {
  readonly orders?: readonly (Holder & { readonly begin: string })[];
  /** on the implement; null or absent without any */
  readonly kg?: number | null;
}
export interface Sharing<Person> extends Holder {
  readonly person: Person;
  /** s by which they begin after the first */
  readonly begins: number;
  /** the movement they begin with; null: in the order that is written */
  readonly begin: string | null;
}
export interface SharePlan<Person extends Sharer> {
  /** in the order they begin, each as they do it then */
  readonly people: readonly Sharing<Person>[];
  /** until the last is done, s */
  readonly totalSeconds: number;
  /** s that they stand and wait, all together */
  readonly waitSeconds: number;
  /** s of the longest with an implement of their own */
  readonly aloneSeconds: number;
  /** s that each change of hands takes */
  readonly changeSeconds: number;
}
interface Starts {
  readonly offsets: readonly number[];
  readonly totalSeconds: number;
  readonly waitSeconds: number;
}

interface Plan<Person extends Sharer> extends Starts {
  readonly people: readonly Sharing<Person>[];
}
const costOf = ({ totalSeconds, waitSeconds }: Starts): number => totalSeconds + waitSeconds;
const cheapest = <Each extends Starts>(plans: readonly Each[]): Each | null =>
  plans.reduce<Each | null>((best, plan) => (best === null || costOf(plan) < costOf(best) ? plan : best), null);
/** Each takes it when it is free. */
function queued(people: readonly Holder[], offsets: readonly number[], change: number): Starts {
  const { waits, totalSeconds } = queueForEquipment(people, offsets, change);
  return { offsets, totalSeconds, waitSeconds: waits.reduce((sum, wait) => sum + wait, 0) };
}

/** All orders of a few; of many the one given. */
function ordersOf<T>(things: readonly T[]): T[][] {
  if (things.length > mostOrdered || things.length <= 1) return [[...things]];
  return things.flatMap((first, at) => ordersOf(things.filter((_, other) => other !== at)).map((rest) => [first, ...rest]));
}
/** Nobody waits. @returns null where somebody could only begin when the others are done */
function withoutWaiting(people: readonly Holder[], change: number): Starts | null {
  const { offsets, totalSeconds } = staggerEquipment(people, change);
  const free = offsets.flatMap((offset) => (offset === null ? [] : [Math.ceil(offset)]));
  return free.length < offsets.length ? null : { offsets: free, totalSeconds, waitSeconds: 0 };
}
/** Starts so far apart, each taking it when it is free: those after which all are done soonest, with the least waiting. */
function withWaiting(people: readonly Holder[], change: number): Starts {
  const plans = Array.from({ length: tried.last / tried.step + 1 }, (_, at): Starts => {
    const offsets = people.map((_person, who) => who * at * tried.step);
    return queued(people, offsets, change);
  });
  return cheapest(plans)!;
}

/** s a change of hands takes, of loads that differ with the plates. */
export function handOverSeconds(people: readonly Pick<Sharer, 'kg'>[], implement: string): number {
  const loads = new Set(people.flatMap(({ kg }) => (kg === null || kg === undefined ? [] : [kg])));
  return handOver + (implement === 'barbell' && loads.size > 1 ? plateChange : 0);
}

/** Everybody in the order that is written, whoever goes first. */
function asWritten<Person extends Sharer>(people: readonly Person[], change: number, aloneSeconds: number): Plan<Person> {
  const plans = ordersOf(people).map((order): Plan<Person> => {
    const free = withoutWaiting(order, change);
    const starts = free && free.totalSeconds - aloneSeconds <= mostForNoWait * aloneSeconds ? free : withWaiting(order, change);
    const sharing = order.map((person, at): Sharing<Person> => ({
      person,
      begins: starts.offsets[at]!,
      begin: null,
      uses: person.uses,
      wholeSeconds: person.wholeSeconds,
    }));
    return { ...starts, people: sharing };
  });
  return plans.reduce((least, plan) => (plan.totalSeconds < least.totalSeconds ? plan : least));
}
/** All at once, the first as it is written, the others begun with whichever movement leaves the least waiting. @returns null where nobody could begin otherwise */
function inOtherOrders<Person extends Sharer>(people: readonly Person[], change: number): Plan<Person> | null {
  if (people.length > mostOrdered) return null;
  const waysOf = (person: Person): Sharing<Person>[] =>
    [{ ...person, begin: null }, ...(person.orders ?? [])].map(({ begin, uses, wholeSeconds }) => ({ person, begins: 0, begin, uses, wholeSeconds }));
  const [first, ...others] = people;
  const all = others.reduce<Sharing<Person>[][]>(
    (plans, person) => plans.flatMap((plan) => waysOf(person).map((way) => [...plan, way])),
    [[waysOf(first!)[0]!]],
  );
  const plans = all
    .filter((plan) => plan.some(({ begin }) => begin !== null))
    .map((plan): Plan<Person> => ({
      ...queued(
        plan,
        plan.map(() => 0),
        change,
      ),
      people: plan,
    }));
  return cheapest(plans);
}

/** The order and the starts after which all of them are done soonest, with the least waiting. @returns null with fewer than two */
export function planSharing<Person extends Sharer>(people: readonly Person[], implement = ''): SharePlan<Person> | null {
  if (people.length < 2) return null;
  const aloneSeconds = Math.max(...people.map(({ wholeSeconds }) => wholeSeconds));
  const change = handOverSeconds(people, implement);
  const written = asWritten(people, change, aloneSeconds);
  const other = inOtherOrders(people, change);
  const { offsets: _offsets, ...plan } = other && costOf(other) + worthAnotherOrder < costOf(written) ? other : written;
  return { ...plan, aloneSeconds, changeSeconds: change };
}
