/**
 * One clock for a whole class: when it was started and what was paused, in the server's time, and how far a device's own time of day is from that.
 * Each screen computes its display from both, so that a device with a wrong clock, or one that joins late, shows the same second.
 */
export interface ClassClock {
  /** ms of the server's time at which the work begins, the count-in before it; null before the coach starts */
  readonly startedAt: number | null;
  /** ms of the server's time; null while it runs */
  readonly pausedAt: number | null;
  /** ms that earlier pauses took */
  readonly pausedMs: number;
  /** ms of the server's time; null until the coach ends it */
  readonly endedAt: number | null;
}
export type ClassMove = 'start' | 'pause' | 'goOn' | 'end';
export const waitingClass: ClassClock = { startedAt: null, pausedAt: null, pausedMs: 0, endedAt: null };

const rules: Readonly<Record<ClassMove, (clock: ClassClock, now: number, countInMs: number) => ClassClock>> = {
  // again from the beginning too
  start: (_clock, now, countInMs) => ({ ...waitingClass, startedAt: now + countInMs }),
  pause: (clock, now) => (clock.startedAt === null || clock.pausedAt !== null ? clock : { ...clock, pausedAt: now }),
  goOn: (clock, now) => (clock.pausedAt === null ? clock : { ...clock, pausedAt: null, pausedMs: clock.pausedMs + now - clock.pausedAt }),
  end: (clock, now) => ({ ...clock, endedAt: now }),
};
/** What a coach's move makes of the clock; one that makes no sense (a pause before the start) changes nothing. @param now ms of the server's time */
export const movedClass = (clock: ClassClock, move: ClassMove, now: number, countInMs: number): ClassClock =>
  clock.endedAt !== null && move !== 'start' ? clock : rules[move](clock, now, countInMs);

/** One question for the server's time: asked and answered by the device's clock, in ms, and what the server said. */
export interface TimeSample {
  readonly asked: number;
  readonly answered: number;
  readonly server: number;
}
/**
 * What to add to the device's time of day to have the server's, ms, and by how much that may be wrong.
 * Of several questions the one that was answered soonest tells most: its answer was given somewhere between asking and hearing
 * (Cristian 1989, Distributed Computing 3: 146–158).
 * @returns null where nothing was answered
 */
export function offsetOf(samples: readonly TimeSample[]): { readonly offsetMs: number; readonly errorMs: number } | null {
  const trips = samples.map(({ asked, answered, server }) => ({ offsetMs: server - (asked + answered) / 2, errorMs: (answered - asked) / 2 }));
  const possible = trips.filter(({ errorMs }) => errorMs >= 0).sort((a, b) => a.errorMs - b.errorMs);
  return possible[0] ?? null;
}

/** The class's clock in the device's own time. @param laterMs this one begins later: shared equipment */
export function onDevice(clock: ClassClock, offsetMs: number, laterMs = 0): Pick<ClassClock, 'startedAt' | 'pausedAt' | 'pausedMs'> {
  const here = (server: number | null, more: number): number | null => (server === null ? null : server - offsetMs + more);
  return { startedAt: here(clock.startedAt, laterMs), pausedAt: here(clock.pausedAt, 0), pausedMs: clock.pausedMs };
}
