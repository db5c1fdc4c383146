/** Versions that read alike are one card with several names. */
import { noteOf, type Adapted } from '@gambito/core';
import { alike } from './alike';
import type { Version } from './use-versions';

export interface Sheet {
  readonly names: readonly string[];
  /** without the title, which stands above all */
  readonly text: string;
  readonly adapted: readonly Adapted[];
  /** to single people of it, with their names */
  readonly notes: readonly string[];
}
/** In the order of the first of each; who has no version is left out. */
export const sheetsOf = (versions: readonly Version[]): Sheet[] =>
  alike(versions).map(({ text, versions: readers }) => ({
    text,
    names: readers.map(({ name }) => name),
    adapted: readers.map(({ adapted }) => adapted!),
    notes: readers.flatMap(({ name, locks }) => {
      const note = noteOf(locks);
      return note === null ? [] : [`${name}: ${note}`];
    }),
  }));
