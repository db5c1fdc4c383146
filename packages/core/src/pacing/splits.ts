/** The splits coaches write (common practice). A split is the sets of one count, largest first where they differ. */

const usual: Readonly<Record<number, readonly (readonly number[])[]>> = {
  6: [[3, 3]],
  7: [[4, 3]],
  8: [
    [4, 4],
    [5, 3],
  ],
  9: [
    [5, 4],
    [6, 3],
    [3, 3, 3],
  ],
  10: [
    [5, 5],
    [6, 4],
  ],
  11: [[6, 5]],
  12: [
    [6, 6],
    [7, 5],
    [4, 4, 4],
  ],
  15: [
    [8, 7],
    [5, 5, 5],
    [6, 5, 4],
  ],
  18: [
    [10, 8],
    [6, 6, 6],
  ],
  20: [
    [10, 10],
    [12, 8],
    [5, 5, 5, 5],
  ],
  21: [
    [11, 10],
    [12, 9],
    [7, 7, 7],
    [9, 7, 5],
  ],
  24: [
    [12, 12],
    [8, 8, 8],
  ],
  30: [
    [18, 12],
    [20, 10],
    [15, 15],
    [10, 10, 10],
  ],
};

/** Even sets, the larger first, as few as `largest` allows: 15 → 5-5-5, 21 → 7-7-7, 7 → 4-3; the trade's own split where it has just as many sets. */
export function splitOf(count: number, largest: number): number[] {
  if (count <= largest) return [count];
  const pieces = Math.min(count, Math.ceil(count / Math.max(1, largest)));
  const known = usual[count]?.find((split) => split.length === pieces && split[0]! <= largest);
  if (known) return [...known];
  const base = Math.floor(count / pieces);
  const rest = count - base * pieces;
  return Array.from({ length: pieces }, (_, index) => base + (index < rest ? 1 : 0));
}

const key = (split: readonly number[]): string => split.join('-');

/** What a coach would consider for a count: in one go, the usual splits, halves to fifths, fives, threes, singles. Fewer sets first. */
export function splitsFor(count: number): number[][] {
  const whole = Math.max(1, Math.round(count));
  const sizes = [whole, ...[2, 3, 4, 5].map((pieces) => Math.ceil(whole / pieces)), 5, 3, 1].filter((size) => size <= whole && whole / size <= 30);
  const all = [...sizes.map((size) => splitOf(whole, size)), ...(usual[whole] ?? []).map((split) => [...split])];
  return all.filter((split, index) => all.findIndex((each) => key(each) === key(split)) === index).sort((a, b) => a.length - b.length);
}
