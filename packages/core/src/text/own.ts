/** A word looked up in a table of words: `constructor` and its kin, which every object has, are no entries. */
export function own<T>(table: Readonly<Record<string, T>>, word: string): T | undefined {
  return Object.hasOwn(table, word) ? table[word] : undefined;
}
