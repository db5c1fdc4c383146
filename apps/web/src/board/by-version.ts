/** One board a version: those who did the same movements stand together, the workout as written first. */
import { parseWorkout, swapsOf, wordsOf, type MassUnit } from '@gambito/core';
import type { BoardEntry } from '../api/types';

export interface VersionBoard {
  readonly name: string | null;
  readonly rows: readonly BoardEntry[];
}

/** `toes-to-bar>sit-up` → `sit-up for toes-to-bar` */
const words = (swaps: readonly string[]): string =>
  swaps.length === 0 ? 'The movements as written' : swaps.map((swap) => swap.split('>').reverse().map(wordsOf).join(' for ')).join(', ');

/** @param rows best first; the order within a board is kept */
export function byVersion(original: string, rows: readonly BoardEntry[], units: MassUnit): VersionBoard[] {
  const { workout } = parseWorkout(original, { units });
  const boards = new Map<string, BoardEntry[]>();
  for (const row of rows) {
    const name = words(swapsOf(workout, parseWorkout(row.versionText).workout));
    boards.set(name, [...(boards.get(name) ?? []), row]);
  }
  return [...boards].map(([name, own]) => ({ name, rows: own })).sort((a, b) => Number(b.name === words([])) - Number(a.name === words([])));
}
