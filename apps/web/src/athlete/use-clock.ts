/** Keeps the clock: state in this browser, a redraw ten times a second, sound after the first tap, the screen kept awake. */
import { useCallback, useEffect, useRef, useState } from 'react';
import type { ClockCue } from '../api/types';
import { beepsBetween, clockKey, freshClock, secondsOf, type ClockState } from './clock-state';

function load(key: string): ClockState {
  try {
    const kept = localStorage.getItem(key);
    return kept ? { ...freshClock, ...(JSON.parse(kept) as Partial<ClockState>) } : freshClock;
  } catch {
    return freshClock;
  }
}

export function useClock(token: string, version: string, cues: readonly ClockCue[]) {
  const key = clockKey(token, version);
  const [state, setState] = useState<ClockState>(() => load(key));
  const [now, setNow] = useState(() => Date.now());
  const [muted, setMuted] = useState(() => localStorage.getItem('gambito.muted') === '1');
  const audio = useRef<AudioContext | null>(null);
  const heard = useRef(secondsOf(state, Date.now()));
  const current = useRef(state);
  current.current = state;

  const change = useCallback(
    (next: (before: ClockState) => ClockState): void => {
      setState((before) => {
        const changed = next(before);
        localStorage.setItem(key, JSON.stringify(changed));
        return changed;
      });
      setNow(Date.now());
    },
    [key],
  );
  const beep = useCallback((kind: 'short' | 'long'): void => {
    const context = audio.current;
    if (!context || context.state !== 'running') return;
    const tone = context.createOscillator();
    const volume = context.createGain();
    const length = kind === 'long' ? 0.5 : 0.14;
    tone.frequency.value = kind === 'long' ? 880 : 587;
    volume.gain.setValueAtTime(0.35, context.currentTime);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + length);
    tone.connect(volume).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + length);
  }, []);
  /** browsers allow sound only after a tap */
  const unlockSound = useCallback((): void => {
    audio.current ??= new AudioContext();
    void audio.current.resume();
  }, []);

  const running = state.startedAt !== null && state.pausedAt === null && state.finishedAt === null;
  useEffect(() => {
    if (!running) return;
    const tick = (): void => {
      const time = Date.now();
      const seconds = secondsOf(current.current, time);
      // a phone that slept does not beep through all it missed
      if (!muted && seconds - heard.current < 2) for (const kind of beepsBetween(cues, current.current, heard.current, seconds)) beep(kind);
      heard.current = seconds;
      setNow(time);
    };
    const timer = setInterval(tick, 100);
    document.addEventListener('visibilitychange', tick);
    return () => {
      clearInterval(timer);
      document.removeEventListener('visibilitychange', tick);
    };
  }, [running, muted, cues, beep]);
  useEffect(() => {
    if (!running || !('wakeLock' in navigator)) return;
    let lock: WakeLockSentinel | null = null;
    let left = false;
    const hold = async (): Promise<void> => {
      if (document.visibilityState !== 'visible') return;
      try {
        const got = await navigator.wakeLock.request('screen');
        if (left) await got.release();
        else lock = got;
      } catch {
        // refused on low battery or by the browser: the clock goes on without it
      }
    };
    void hold();
    const again = (): void => void hold();
    document.addEventListener('visibilitychange', again);
    return () => {
      left = true;
      document.removeEventListener('visibilitychange', again);
      void lock?.release();
    };
  }, [running]);

  const mute = (on: boolean): void => {
    setMuted(on);
    localStorage.setItem('gambito.muted', on ? '1' : '0');
  };
  return { state, change, now, muted, mute, unlockSound, running };
}
