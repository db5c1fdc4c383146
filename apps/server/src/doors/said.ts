/** What came through an athlete's own door and speaks of harm: until the coach has taken or left it, no version goes out, and one that went out is held. */
import { listedWords, type ProposedChange } from '@gambito/contract';
import { mayTellOfHarm } from '@gambito/core';

const plain = (word: string): string =>
  word
    .trim()
    .toLowerCase()
    .replaceAll(/[\s-]+/g, '_');
const known = (file: Readonly<Record<string, unknown>>): Set<string> => new Set(listedWords(file['avoid']).map(plain));

/** @returns the words, as they were written */
export function harmSaid(changes: readonly ProposedChange[], file: Readonly<Record<string, unknown>>): string[] {
  const avoided = known(file);
  return changes.flatMap(({ avoid = '', note }) => [
    ...listedWords(avoid)
      .filter((word) => word.trim() !== '' && !avoided.has(plain(word)))
      .map((word) => `avoid: ${word.trim()}`),
    ...(mayTellOfHarm(note) ? [note.slice(0, 200)] : []),
  ]);
}

export const saidSentence = (name: string, said: readonly string[]): string =>
  `${name} wrote on their own page: “${said.join('”, “')}”. Accept or decline it on the athlete’s page. Until then no version is made for them.`;
