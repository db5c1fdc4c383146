/**
 * Several people, one implement: when may each start? Offsets that free a bar do not free a dumbbell, so each shared implement has its own answer.
 * Times are seconds from the start of a person's own clock.
 */
export interface Use {
  readonly startSeconds: number;
  readonly endSeconds: number;
}
/** When one person holds the implement, in order, not overlapping; and how long all of it takes them. */
export interface Holder {
  readonly uses: readonly Use[];
  readonly wholeSeconds: number;
}

const clashes = (first: Use, second: Use): boolean => first.startSeconds < second.endSeconds && second.startSeconds < first.endSeconds;
const later = ({ startSeconds, endSeconds }: Use, offset: number): Use => ({ startSeconds: startSeconds + offset, endSeconds: endSeconds + offset });
const held = (uses: readonly Use[]): number => uses.reduce((sum, { startSeconds, endSeconds }) => sum + endSeconds - startSeconds, 0);

/**
 * The smallest later start at which no use clashes with one that is planned: it is 0 or puts one use's start at another's end, so only those are tried.
 * @returns s; null when none is below `most`
 */
function smallestOffset(planned: readonly Use[], uses: readonly Use[], most: number): number | null {
  const offsets = [...new Set([0, ...planned.flatMap((theirs) => uses.map((mine) => theirs.endSeconds - mine.startSeconds))])]
    .filter((offset) => offset >= 0 && offset < most)
    .sort((a, b) => a - b);
  return offsets.find((offset) => uses.every((mine) => planned.every((theirs) => !clashes(theirs, later(mine, offset))))) ?? null;
}

export interface Stagger {
  /** s by which each begins after the first, in their order; null where no start below the whole of those before is free */
  readonly offsets: readonly (number | null)[];
  /** until all of them are done, those without a free start one after the other, s */
  readonly totalSeconds: number;
  /** the implement in hand all the time, one piece after the other, s; rests and other movements lie beside it */
  readonly turnsSeconds: number;
}

/**
 * Several, each with a version of their own, one after the other in the order given: each begins as soon as the implement is free whenever they need it.
 * @param handOver s an implement takes to go from one hand to the next
 */
export function staggerEquipment(people: readonly Holder[], handOver = 0): Stagger {
  const planned: Use[] = [];
  const offsets: (number | null)[] = [];
  let totalSeconds = 0;
  for (const { uses, wholeSeconds } of people) {
    const padded = uses.map(({ startSeconds, endSeconds }) => ({ startSeconds, endSeconds: endSeconds + handOver }));
    const free = smallestOffset(planned, padded, totalSeconds);
    const offset = free ?? (planned.length === 0 ? 0 : null);
    // who finds no room begins when the others are done
    planned.push(...padded.map((use) => later(use, offset ?? totalSeconds)));
    totalSeconds = Math.max(totalSeconds, (offset ?? totalSeconds) + wholeSeconds);
    offsets.push(offset);
  }
  return { offsets, totalSeconds, turnsSeconds: people.reduce((sum, { uses }) => sum + held(uses) + handOver * uses.length, 0) };
}

export interface Queue {
  /** s each stands and waits for the implement */
  readonly waits: readonly number[];
  /** until all of them are done, s */
  readonly totalSeconds: number;
}
/**
 * The same people with the starts given, each taking the implement when it is free and they are there: whoever comes first has it first, and what they do beside it moves with their waiting.
 * @param offsets s by which each begins after the first @param handOver s an implement takes to go from one hand to the next
 */
export function queueForEquipment(people: readonly Holder[], offsets: readonly number[], handOver = 0): Queue {
  const at = people.map(({ uses }, who) => ({ next: 0, ready: offsets[who]! + (uses[0]?.startSeconds ?? 0), waited: 0 }));
  let free = { from: -Infinity, by: -1 };
  for (;;) {
    const there = at.map((_, who) => who).filter((who) => at[who]!.next < people[who]!.uses.length);
    if (there.length === 0) break;
    const who = there.reduce((first, other) => (at[other]!.ready < at[first]!.ready ? other : first));
    const [state, { uses }] = [at[who]!, people[who]!];
    const start = Math.max(state.ready, free.by === who ? -Infinity : free.from + (free.by < 0 ? 0 : handOver), free.by === who ? free.from : -Infinity);
    const [use, after] = [uses[state.next]!, uses[state.next + 1]];
    state.waited += start - state.ready;
    free = { from: start + use.endSeconds - use.startSeconds, by: who };
    state.ready = free.from + (after ? after.startSeconds - use.endSeconds : 0);
    state.next++;
  }
  return {
    waits: at.map(({ waited }) => waited),
    totalSeconds: Math.max(0, ...people.map(({ wholeSeconds }, who) => offsets[who]! + wholeSeconds + at[who]!.waited)),
  };
}
