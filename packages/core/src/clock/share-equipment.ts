/**
 * Two people, one implement: when may the second start? Offsets that free a bar do not free a dumbbell, so each shared implement has its own answer.
 * Times are seconds from the start of the first person's clock.
 */
export interface Use {
  readonly startSeconds: number;
  readonly endSeconds: number;
}
export interface Sharing {
  /** the smallest later start of the second without a clash, s; null when none is shorter than the whole workout */
  readonly offsetSeconds: number | null;
  /** until both are done with that offset, s */
  readonly totalSeconds: number | null;
  /** until both are done when they take turns, piece by piece, s */
  readonly turnsSeconds: number;
}

const clashes = (first: Use, second: Use): boolean => first.startSeconds < second.endSeconds && second.startSeconds < first.endSeconds;

/**
 * @param uses when one person holds the implement, in order, not overlapping
 * @param wholeSeconds length of one person's workout
 * @returns the smallest offset at which no two uses clash: it is 0 or puts one use's start at another's end, so only those are tried
 */
export function shareEquipment(uses: readonly Use[], wholeSeconds: number): Sharing {
  const offsets = [...new Set([0, ...uses.flatMap((mine) => uses.map((theirs) => mine.endSeconds - theirs.startSeconds))])]
    .filter((offset) => offset >= 0 && offset < wholeSeconds)
    .sort((a, b) => a - b);
  const free = offsets.find((offset) =>
    uses.every((mine) => uses.every((theirs) => !clashes(mine, { startSeconds: theirs.startSeconds + offset, endSeconds: theirs.endSeconds + offset }))),
  );
  const turnsSeconds = 2 * uses.reduce((sum, each) => sum + each.endSeconds - each.startSeconds, 0);
  return { offsetSeconds: free ?? null, totalSeconds: free === undefined ? null : wholeSeconds + free, turnsSeconds };
}
