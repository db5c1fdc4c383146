/** The lanes of a class as people who share an implement. Pure; the plan itself is the core's. */
import { planSharing, type SharePlan, type Use } from '@gambito/core';
import type { Member } from './lanes';

/** Somebody of the class with one implement: when it is in their hands. */
interface Sharer {
  readonly lane: Member;
  readonly uses: readonly Use[];
  readonly wholeSeconds: number;
}
export type SharingPlan = SharePlan<Sharer>;

/** Implements that at least two versions have in use. */
export function sharedImplements(lanes: readonly Member[]): string[] {
  const counts = new Map<string, number>();
  for (const { uses } of lanes) for (const { implement } of uses) counts.set(implement, (counts.get(implement) ?? 0) + 1);
  return [...counts]
    .filter(([, count]) => count > 1)
    .map(([implement]) => implement)
    .sort();
}
const usesOf = ({ uses }: Member, implement: string): Use[] =>
  (uses.find((each) => each.implement === implement)?.spans ?? []).map(([startSeconds, endSeconds]) => ({ startSeconds, endSeconds }));

/** @returns null with fewer than two */
export const sharingPlan = (lanes: readonly Member[], implement: string): SharingPlan | null =>
  planSharing(lanes.map((lane) => ({ lane, uses: usesOf(lane, implement), wholeSeconds: lane.wholeSeconds })));
