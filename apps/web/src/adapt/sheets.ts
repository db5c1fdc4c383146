/** Versions that read alike are one card with several names. */
import { noteOf, pageText, type Adapted } from '@gambito/core';
import type { Version } from './use-versions';

export interface Sheet {
  readonly names: readonly string[];
  /** without the title, which stands above all */
  readonly text: string;
  readonly adapted: readonly Adapted[];
  /** to single people of it, with their names */
  readonly notes: readonly string[];
}
/** As its athlete reads it: what the coach states for Gambito is left out. */
const bodyOf = ({ workout }: Adapted): string => pageText(workout.parts).trim();

/** In the order of the first of each; who has no version is left out. */
export function sheetsOf(versions: readonly Version[]): Sheet[] {
  const byText = new Map<string, Version[]>();
  for (const version of versions) {
    if (!version.adapted) continue;
    const text = bodyOf(version.adapted);
    byText.set(text, [...(byText.get(text) ?? []), version]);
  }
  return [...byText].map(([text, alike]) => ({
    text,
    names: alike.map(({ name }) => name),
    adapted: alike.map(({ adapted }) => adapted!),
    notes: alike.flatMap(({ name, locks }) => {
      const note = noteOf(locks);
      return note === null ? [] : [`${name}: ${note}`];
    }),
  }));
}
