/** How the clock is heard and felt: beeps (allowed by browsers only after a tap, muted for good where the athlete says so), words where they are wanted, a buzz where the phone can. */
import { useCallback, useRef, useState } from 'react';

const tones = { long: { hertz: 880, seconds: 0.5 }, short: { hertz: 587, seconds: 0.14 } } as const;
export type Beep = keyof typeof tones;
const mutedKey = 'gambito.muted';
const speaksKey = 'gambito.speaks';
/** ms that the phone buzzes at a piece's start */
const buzz = 250;

export function useClockSound() {
  const [muted, setMuted] = useState(() => localStorage.getItem(mutedKey) === '1');
  const [speaks, setSpeaks] = useState(() => localStorage.getItem(speaksKey) === '1');
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
  /** Said aloud, in place of what was being said; a browser without a voice says nothing. */
  const say = useCallback((words: string): void => {
    if (!('speechSynthesis' in window)) return;
    window.speechSynthesis.cancel();
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(words));
  }, []);
  const feel = useCallback((): void => {
    if ('vibrate' in navigator) navigator.vibrate(buzz);
  }, []);
  const speak = (on: boolean): void => {
    setSpeaks(on);
    localStorage.setItem(speaksKey, on ? '1' : '0');
    if (on) say('I say what comes.');
    else if ('speechSynthesis' in window) window.speechSynthesis.cancel();
  };
  const mute = (on: boolean): void => {
    setMuted(on);
    localStorage.setItem(mutedKey, on ? '1' : '0');
  };
  return { muted, mute, beep, unlock, speaks, speak, say, feel };
}
