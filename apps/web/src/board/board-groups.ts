/** The rows of a board in the order and the groups of the house rule. */
import type { MassUnit } from '@gambito/core';
import type { Board, BoardEntry } from '../api/types';
import { byVersion } from './by-version';

export interface BoardGroup {
  /** what those in it did; null where the board is one */
  readonly name: string | null;
  readonly rows: readonly BoardEntry[];
}

const byName = (a: BoardEntry, b: BoardEntry): number => (a.athlete < b.athlete ? -1 : 1);
const insideFirst = (a: BoardEntry, b: BoardEntry): number => Number(b.inWindow) - Number(a.inWindow) || a.rank - b.rank;

/** @param original text of the workout as written, '' while it is not known */
export function boardGroups(rows: readonly BoardEntry[], school: Board['school'], original: string, units: MassUnit): BoardGroup[] {
  if (school === 'turnedUp') return [{ name: null, rows: [...rows].sort(byName) }];
  if (school === 'window') return [{ name: null, rows: [...rows].sort(insideFirst) }];
  if (school !== 'perVersion' || original === '') return [{ name: null, rows }];
  return byVersion(original, rows, units).map((group) => ({ name: group.name, rows: group.rows.map((row, at) => ({ ...row, rank: at + 1 })) }));
}
