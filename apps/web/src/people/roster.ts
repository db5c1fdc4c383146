/** The roster as rows: what is read of each file once, found by any word of it, in an order of the coach's. */
import { formatMass, readAthlete, type Athlete } from '@gambito/core';
import { groupsOf } from '@gambito/contract';
import { placeOf } from '../api/place-of';
import type { StoredAthlete } from '../api/types';
import { hasWords } from '../ui/has-words';

export interface RosterRow {
  readonly id: number;
  readonly name: string;
  readonly notes: string;
  readonly athlete: Athlete;
  /** kit as typed */
  readonly kit: string;
  readonly measures: string;
  readonly groups: readonly string[];
  readonly stored: StoredAthlete;
  /** everything that is searched, in small letters */
  readonly words: string;
}
export const rosterOrders = ['name', 'level', 'age', 'place', 'avoids'] as const;
export type RosterOrder = (typeof rosterOrders)[number];

const levelRank: Readonly<Record<Athlete['level'], number>> = { new: 0, newer: 1, trained: 2, competitive: 3 };
/** nobody's age comes after everybody's */
const ageless = 999;

export function rosterRow(stored: StoredAthlete, today: string): RosterRow {
  const { id, name, file } = stored;
  const { athlete } = readAthlete(file, today);
  const notes = typeof file['notes'] === 'string' ? file['notes'] : '';
  const { kit } = placeOf(file);
  const measures = `${formatMass(athlete.bodyMassKg, athlete.units)}, ${Math.round(athlete.statureM * 100)} cm`;
  const places = athlete.places.map((place) => place.name);
  const groups = groupsOf(file['groups']);
  const words = [name, notes, ...groups, athlete.level, athlete.category, ...places, ...athlete.avoid.map(avoidWords), kit].join(' ').toLowerCase();
  return { id, name, notes, athlete, kit, measures, groups, words, stored };
}
export const avoidWords = (tag: string): string => tag.replaceAll('_', ' ');

const byName = (a: RosterRow, b: RosterRow): number => a.name.localeCompare(b.name);
const compare: Readonly<Record<RosterOrder, (a: RosterRow, b: RosterRow) => number>> = {
  name: byName,
  level: (a, b) => levelRank[a.athlete.level] - levelRank[b.athlete.level],
  age: (a, b) => (a.athlete.ageYears ?? ageless) - (b.athlete.ageYears ?? ageless),
  place: (a, b) => (a.athlete.places[0]?.name ?? '').localeCompare(b.athlete.places[0]?.name ?? ''),
  avoids: (a, b) => b.athlete.avoid.length - a.athlete.avoid.length,
};

/** Every group, each with how many are in it, the largest first. */
export function groupsIn(rows: readonly RosterRow[]): { group: string; count: number }[] {
  const counts = new Map<string, number>();
  for (const group of rows.flatMap(({ groups }) => groups)) counts.set(group, (counts.get(group) ?? 0) + 1);
  return [...counts].map(([group, count]) => ({ group, count })).sort((a, b) => b.count - a.count || a.group.localeCompare(b.group));
}

export interface RosterAsked {
  /** words that must all stand somewhere */
  readonly search: string;
  /** null: everybody */
  readonly group: string | null;
  readonly order: RosterOrder;
  readonly backwards: boolean;
}
export function arrangeRoster(rows: readonly RosterRow[], { search, group, order, backwards }: RosterAsked): RosterRow[] {
  const found = rows.filter(({ words, groups }) => (group === null || groups.includes(group)) && hasWords(words, search));
  const sorted = found.sort((a, b) => compare[order](a, b) || byName(a, b));
  return backwards ? sorted.reverse() : sorted;
}
