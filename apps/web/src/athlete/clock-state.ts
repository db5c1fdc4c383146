/**
 * The clock as a value: when it was started, what was paused, what was tapped. The display is computed from it and the time of day,
 * so it survives a reload and a locked phone, and every change can be undone.
 */
import type { ClockCue } from '../api/types';
import { formatClock } from '@gambito/core';

export interface ClockState {
  /** ms since the epoch; null before the start. The count-in runs before it */
  readonly startedAt: number | null;
  readonly pausedAt: number | null;
  readonly pausedMs: number;
  /** seconds on the clock at which each open piece was ended by the athlete, by cue index */
  readonly ended: Readonly<Record<number, number>>;
  readonly taps: readonly { readonly at: number; readonly part: number }[];
  readonly finishedAt: number | null;
}
export const freshClock: ClockState = { startedAt: null, pausedAt: null, pausedMs: 0, ended: {}, taps: [], finishedAt: null };
export const clockKey = (token: string, version: string): string => `gambito.clock.${token}.${version}`;
export const scoreDraftKey = (token: string): string => `gambito.score.${token}`;

/** Seconds since the start, count-in negative. */
export function secondsOf(state: ClockState, now: number): number {
  if (state.startedAt === null) return 0;
  return ((state.pausedAt ?? now) - state.startedAt - state.pausedMs) / 1000;
}

export interface ClockView {
  readonly index: number;
  readonly cue: ClockCue;
  /** seconds into the piece */
  readonly into: number;
  /** seconds left in it; null when the athlete ends it */
  readonly left: number | null;
  readonly next: ClockCue | null;
  readonly over: boolean;
}

/** When each cue begins, open pieces and early finishes counted in. Infinity: not yet known. */
export function startsOf(cues: readonly ClockCue[], ended: ClockState['ended']): number[] {
  const starts: number[] = [];
  let at = 0;
  cues.forEach((cue, index) => {
    starts.push(at);
    const stopped = ended[index];
    if (stopped !== undefined) at = Math.max(at, stopped);
    else at = cue.kind === 'end' ? at : cue.lengthSeconds === null ? Infinity : at + cue.lengthSeconds;
  });
  return starts;
}

export function viewOf(cues: readonly ClockCue[], state: ClockState, now: number): ClockView {
  const seconds = Math.max(0, secondsOf(state, now));
  const starts = startsOf(cues, state.ended);
  let index = 0;
  for (let each = 0; each < cues.length; each++) if (starts[each]! <= seconds) index = each;
  const cue = cues[index]!;
  const into = seconds - starts[index]!;
  return {
    index,
    cue,
    into,
    left: cue.lengthSeconds === null ? null : Math.max(0, cue.lengthSeconds - into),
    next: cues[index + 1] ?? null,
    over: cue.kind === 'end',
  };
}

/** Beeps due between two looks at the clock: at every piece's start, and 3-2-1 before one that the clock begins. */
export function beepsBetween(cues: readonly ClockCue[], state: ClockState, from: number, to: number): ('short' | 'long')[] {
  const beeps: ('short' | 'long')[] = [];
  for (const start of startsOf(cues, state.ended)) {
    if (!Number.isFinite(start)) continue;
    for (const before of [3, 2, 1]) if (from < start - before && start - before <= to) beeps.push('short');
    if (from < start && start <= to) beeps.push('long');
  }
  return beeps;
}

/** The score the clock can tell: a time, each set's time, or rounds tapped. */
export function scoreOfClock(cues: readonly ClockCue[], state: ClockState, kind: string): string | null {
  const starts = startsOf(cues, state.ended);
  const lengths = Object.entries(state.ended).map(([index, at]) => at - (starts[Number(index)] ?? 0));
  if (kind === 'eachSet') return lengths.length > 0 ? lengths.map(formatClock).join(' ') : null;
  if (kind === 'time') return lengths.length > 0 ? formatClock(lengths[0]!) : cues.some((cue) => cue.kind === 'cap') ? 'CAP+' : null;
  if (kind === 'rounds' || kind === 'sum') return state.taps.length > 0 ? `${state.taps.length}+0` : null;
  return null;
}
