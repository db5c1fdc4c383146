/** In which order the lanes stand, and which of them: pure, so that the keys walk what is seen. */
import { changeOf, swapMark, type Adapted, type Mark } from '@gambito/core';
import type { Version } from './use-versions';

export const laneOrders = {
  name: 'by name',
  changed: 'most changed first',
  drift: 'furthest from the intent first',
  window: 'outside the window first',
} as const;
export type LaneOrder = keyof typeof laneOrders;
export const laneFilters = {
  all: 'everybody',
  changed: 'changed',
  doubtful: 'doubtful swaps',
  outside: 'outside the window',
  locked: 'decided by me',
} as const;
export type LaneFilter = keyof typeof laneFilters;

/** The mark of the swap that gives up most; null where nothing was swapped, or the coach wrote all of it by hand. */
export function worstMark({ version }: Adapted): Mark | null {
  const marks = version.parts.flatMap(({ slots }) => slots.map(swapMark));
  return (['?', '?!', '!?', '!'] as const).find((mark) => marks.includes(mark)) ?? null;
}

const edits = ({ adapted }: Version): number => adapted?.version.parts.reduce((sum, part) => sum + part.edits.length, 0) ?? 0;
const figures: Readonly<Record<Exclude<LaneOrder, 'name'>, (version: Version) => number>> = {
  changed: edits,
  drift: ({ adapted }) => adapted?.drift.total ?? 0,
  window: ({ adapted }) => (adapted?.insideBand === false ? 1 : 0),
};
const holds: Readonly<Record<LaneFilter, (version: Version) => boolean>> = {
  all: () => true,
  changed: ({ adapted }) => adapted !== null && changeOf(adapted.version.parts) !== 'asWritten',
  doubtful: ({ adapted }) => adapted !== null && ['?', '?!'].includes(worstMark(adapted) ?? ''),
  outside: ({ adapted }) => adapted?.insideBand === false,
  locked: ({ locks }) => locks.length > 0,
};

export interface LanesAsked {
  readonly order: LaneOrder;
  readonly filter: LaneFilter;
  /** null: everybody */
  readonly group: string | null;
}
/** Tiers stay below the people, in any order. A version that is not there yet, or could not be computed, stays in sight. */
export function arrange(versions: readonly Version[], { order, filter, group }: LanesAsked): Version[] {
  const inGroup = ({ athleteId, groups }: Version): boolean => group === null || athleteId === null || groups.includes(group);
  const shown = versions.filter((version) => inGroup(version) && (!version.adapted || holds[filter](version)));
  if (order === 'name') return shown;
  const figure = figures[order];
  const tier = ({ athleteId }: Version): number => (athleteId === null ? 1 : 0);
  return [...shown].sort((a, b) => tier(a) - tier(b) || figure(b) - figure(a));
}
