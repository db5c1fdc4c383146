/** The lanes of a class as people who share an implement. Pure; the plan itself is the core's. */
import { planSharing, type SharePlan, type Sharer, type Use } from '@gambito/core';
import type { Member } from './lanes';
import type { Starts } from './use-class-room';

/** Somebody of the class with one implement: when it is in their hands. */
interface LaneSharer extends Sharer {
  readonly lane: Member;
}
export type SharingPlan = SharePlan<LaneSharer>;

/** Implements that at least two versions have in use. */
export function sharedImplements(lanes: readonly Member[]): string[] {
  const counts = new Map<string, number>();
  for (const { uses } of lanes) for (const { implement } of uses) counts.set(implement, (counts.get(implement) ?? 0) + 1);
  return [...counts]
    .filter(([, count]) => count > 1)
    .map(([implement]) => implement)
    .sort();
}
const usesOf = (uses: Member['uses'], implement: string): Use[] =>
  (uses.find((each) => each.implement === implement)?.spans ?? []).map(([startSeconds, endSeconds]) => ({ startSeconds, endSeconds }));
const sharerOf = (lane: Member, implement: string): LaneSharer => ({
  lane,
  uses: usesOf(lane.uses, implement),
  wholeSeconds: lane.wholeSeconds,
  kg: lane.uses.find((each) => each.implement === implement)?.kg ?? null,
  orders: lane.orders.map(({ begin, wholeSeconds, uses }) => ({ begin, wholeSeconds, uses: usesOf(uses, implement) })),
});

/** @returns null with fewer than two */
export const sharingPlan = (lanes: readonly Member[], implement: string): SharingPlan | null =>
  planSharing(
    lanes.map((lane) => sharerOf(lane, implement)),
    implement,
  );

/** What is set for the class: the plan's starts, beside those of who is not in it. */
export function startsWith(lanes: readonly Member[], plan: SharingPlan): Starts {
  const planned = new Set(plan.people.map(({ person }) => person.lane.athleteId));
  const kept = lanes.filter(({ athleteId }) => !planned.has(athleteId));
  const all = [...kept, ...plan.people.map(({ person, begins, begin }) => ({ athleteId: person.lane.athleteId, later: begins, begin }))];
  return {
    later: Object.fromEntries(all.filter(({ later }) => later > 0).map(({ athleteId, later }) => [athleteId, later])),
    begins: Object.fromEntries(all.flatMap(({ athleteId, begin }) => (begin === null ? [] : [[athleteId, begin]]))),
  };
}
