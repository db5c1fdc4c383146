/** In which order the lanes stand, and which of them: pure, so that the keys walk what is seen. */
import { changeOf, swapMark, type Adapted, type Mark } from '@gambito/core';
import { hasWords } from '../ui/has-words';
import { alike } from './alike';
import type { Version } from './use-versions';

export const laneOrders = {
  name: 'by name',
  changed: 'most changed first',
  drift: 'furthest from the intent first',
  window: 'outside the window first',
  alike: 'alike together',
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
const figures: Readonly<Record<Exclude<LaneOrder, 'name' | 'alike'>, (version: Version) => number>> = {
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
  /** words that must all stand in a name, a place or a kit */
  readonly search: string;
}
const isTier = ({ athleteId }: Version): boolean => athleteId === null;
/** Tiers stay below the people, in any order. A version that is not there yet, or could not be computed, stays in sight. */
export function arrange(versions: readonly Version[], { order, filter, group, search }: LanesAsked): Version[] {
  const meant = ({ groups, words }: Version): boolean => (group === null || groups.includes(group)) && hasWords(words, search);
  const shown = versions.filter((version) => (isTier(version) || meant(version)) && (!version.adapted || holds[filter](version)));
  if (order === 'name') return shown;
  const [tiers, people] = [shown.filter(isTier), shown.filter((version) => !isTier(version))];
  return order === 'alike' ? [...together(people), ...tiers] : [...byFigure(people, figures[order]), ...byFigure(tiers, figures[order])];
}
const byFigure = (versions: readonly Version[], figure: (version: Version) => number): Version[] => [...versions].sort((a, b) => figure(b) - figure(a));
/** Groups of versions that read the same, the largest first; who has none yet comes last. */
const together = (versions: readonly Version[]): Version[] => [
  ...alike(versions)
    .sort((a, b) => b.versions.length - a.versions.length)
    .flatMap((group) => group.versions),
  ...versions.filter(({ adapted }) => !adapted),
];

/** What stands above a lane, by its key, where lanes stand alike together: how many are the same, and where those begin who are like nobody. */
export function alikeHeadings(versions: readonly Version[]): ReadonlyMap<string, string> {
  const groups = alike(versions.filter((version) => !isTier(version))).map((group) => ({ first: group.versions[0]!.key, count: group.versions.length }));
  const alone = groups.find(({ count }) => count === 1);
  const several = groups.filter(({ count }) => count > 1);
  return new Map([
    ...several.map(({ first, count }): [string, string] => [first, `${count} the same`]),
    ...(alone ? [[alone.first, several.length > 0 ? 'each like nobody else' : 'no two are the same'] as const] : []),
  ]);
}
