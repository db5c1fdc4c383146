/** Whether every word that is asked for stands somewhere, in any order. @param text in small letters */
export const hasWords = (text: string, asked: string): boolean =>
  asked
    .toLowerCase()
    .split(/\s+/)
    .every((word) => text.includes(word));
