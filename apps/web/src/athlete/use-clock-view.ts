/** Everything a clock shows and can do, computed from its state and the time of day. */
import { countInSeconds } from '@gambito/core';
import type { AthletePage } from '../api/types';
import { allDone, freshClock, secondsOf, tapped, untapped, viewOf } from './clock-state';
import { useClock, type Led } from './use-clock';

export type ClockPlan = AthletePage['brief']['clock'];

/** @param key where its state is kept @param led start and pauses, where they are the coach's */
export function useClockView(key: string, { cues, totalSeconds }: ClockPlan, led: Led | null = null) {
  const { state, change, now, muted, mute, unlockSound, running, speaks, speak } = useClock(key, cues, led);
  const seconds = secondsOf(state, now);
  const started = state.startedAt !== null;
  const view = viewOf(cues, state, now);
  return {
    state,
    /** the coach starts and pauses it */
    led: led !== null,
    view,
    seconds,
    started,
    running,
    muted,
    mute,
    speaks,
    speak,
    totalSeconds,
    paused: state.pausedAt !== null,
    countingIn: started && seconds < 0,
    over: started && (view.over || state.finishedAt !== null),
    finishedAt: state.finishedAt,
    canUndo: state.taps.length > 0,
    start: () => {
      unlockSound();
      change(() => ({ ...freshClock, startedAt: Date.now() + countInSeconds * 1000 }));
    },
    pause: () =>
      change((before) =>
        before.pausedAt === null
          ? { ...before, pausedAt: Date.now() }
          : { ...before, pausedAt: null, pausedMs: before.pausedMs + Date.now() - before.pausedAt },
      ),
    tap: () => {
      unlockSound();
      change((before) => tapped(cues, before, Date.now()));
    },
    allDone: () => change((before) => allDone(cues, before, Date.now())),
    takeBack: () => change(untapped),
    again: () => change(() => freshClock),
  };
}
export type ClockModel = ReturnType<typeof useClockView>;
