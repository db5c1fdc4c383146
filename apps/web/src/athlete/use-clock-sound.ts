/** The clock's beeps: allowed by browsers only after a tap, muted for good where the athlete says so. */
import { useCallback, useRef, useState } from 'react';

const tones = { long: { hertz: 880, seconds: 0.5 }, short: { hertz: 587, seconds: 0.14 } } as const;
export type Beep = keyof typeof tones;
const mutedKey = 'gambito.muted';

export function useClockSound() {
  const [muted, setMuted] = useState(() => localStorage.getItem(mutedKey) === '1');
  const audio = useRef<AudioContext | null>(null);
  const beep = useCallback((kind: Beep): void => {
    const context = audio.current;
    if (!context || context.state !== 'running') return;
    const tone = context.createOscillator();
    const volume = context.createGain();
    const { hertz, seconds } = tones[kind];
    tone.frequency.value = hertz;
    volume.gain.setValueAtTime(0.35, context.currentTime);
    volume.gain.exponentialRampToValueAtTime(0.001, context.currentTime + seconds);
    tone.connect(volume).connect(context.destination);
    tone.start();
    tone.stop(context.currentTime + seconds);
  }, []);
  const unlock = useCallback((): void => {
    audio.current ??= new AudioContext();
    void audio.current.resume();
  }, []);
  const mute = (on: boolean): void => {
    setMuted(on);
    localStorage.setItem(mutedKey, on ? '1' : '0');
  };
  return { muted, mute, beep, unlock };
}
