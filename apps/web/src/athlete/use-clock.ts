/** Keeps a clock: its state in this browser, a redraw ten times a second, sound after the first tap, the screen kept awake. */
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { ClockCue } from '../api/types';
import { begunBetween, freshClock, promptsBetween, secondsOf, soundsBetween, wordsOf, type ClockState } from './clock-state';
import { useClockSound } from './use-clock-sound';
import { useWakeLock } from './use-wake-lock';

function load(key: string): ClockState {
  try {
    const kept = localStorage.getItem(key);
    return kept ? { ...freshClock, ...(JSON.parse(kept) as Partial<ClockState>) } : freshClock;
  } catch {
    return freshClock;
  }
}
/** ms between two redraws */
const redraw = 100;
/** s; a phone that slept for longer does not beep through all it missed */
const slept = 2;

/** What somebody else decides: the coach, for a class. */
export type Led = Pick<ClockState, 'startedAt' | 'pausedAt' | 'pausedMs'>;

/** @param key where its state is kept @param led start and pauses, where they are the coach's */
export function useClock(key: string, cues: readonly ClockCue[], led: Led | null = null) {
  const [kept, setKept] = useState<ClockState>(() => load(key));
  const state = useMemo(() => ({ ...kept, ...led }), [kept, led]);
  const [now, setNow] = useState(() => Date.now());
  const { muted, mute, beep, unlock, speaks, speak, say, feel } = useClockSound();
  const heard = useRef(secondsOf(state, Date.now()));
  const current = useRef(state);
  current.current = state;

  const change = useCallback(
    (next: (before: ClockState) => ClockState): void => {
      setKept((before) => {
        const changed = next({ ...before, ...led });
        localStorage.setItem(key, JSON.stringify(changed));
        return changed;
      });
      setNow(Date.now());
    },
    [key, led],
  );
  const running = state.startedAt !== null && state.pausedAt === null && state.finishedAt === null;
  useEffect(() => {
    if (!running) return;
    const tell = (from: number, to: number): void => {
      if (!muted) for (const sound of soundsBetween(cues, current.current, from, to)) beep(sound);
      const begun = begunBetween(cues, current.current, from, to);
      const said = [...(begun ? [wordsOf(begun)] : []), ...promptsBetween(cues, current.current, from, to)];
      if (said.length > 0) feel();
      if (said.length > 0 && speaks) say(said.join('. '));
    };
    const tick = (): void => {
      const time = Date.now();
      const seconds = secondsOf(current.current, time);
      if (seconds - heard.current < slept) tell(heard.current, seconds);
      heard.current = seconds;
      setNow(time);
    };
    const timer = setInterval(tick, redraw);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [running, muted, cues, beep, speaks, say, feel]);
  useWakeLock(running);
  return { state, change, now, muted, mute, unlockSound: unlock, running, speaks, speak };
}
