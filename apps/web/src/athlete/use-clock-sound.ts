/** How the clock is heard and felt: beeps (allowed by browsers only after a tap, muted for good where the athlete says so), words where they are wanted, a buzz where the phone can. */
import { useCallback, useRef, useState } from 'react';
import type { Sound } from './clock-state';

/** one after the other: work rises, a rest falls, what is said in between knocks twice, the end is three */
const tones: Readonly<Record<Sound, readonly { readonly hertz: number; readonly seconds: number }[]>> = {
  count: [{ hertz: 587, seconds: 0.14 }],
  work: [{ hertz: 880, seconds: 0.5 }],
  rest: [{ hertz: 440, seconds: 0.6 }],
  prompt: [
    { hertz: 698, seconds: 0.12 },
    { hertz: 698, seconds: 0.12 },
  ],
  end: [
    { hertz: 880, seconds: 0.2 },
    { hertz: 880, seconds: 0.2 },
    { hertz: 1175, seconds: 0.6 },
  ],
};
/** s between two tones of one sound */
const gap = 0.06;
const mutedKey = 'gambito.muted';
const speaksKey = 'gambito.speaks';
/** ms that the phone buzzes at a piece's start */
const buzz = 250;

function play(context: AudioContext, { hertz, seconds }: { readonly hertz: number; readonly seconds: number }, at: number): void {
  const tone = context.createOscillator();
  const volume = context.createGain();
  tone.frequency.value = hertz;
  volume.gain.setValueAtTime(0.35, at);
  volume.gain.exponentialRampToValueAtTime(0.001, at + seconds);
  tone.connect(volume).connect(context.destination);
  tone.start(at);
  tone.stop(at + seconds);
}

export function useClockSound() {
  const [muted, setMuted] = useState(() => localStorage.getItem(mutedKey) === '1');
  const [speaks, setSpeaks] = useState(() => localStorage.getItem(speaksKey) === '1');
  const audio = useRef<AudioContext | null>(null);
  const beep = useCallback((sound: Sound): void => {
    const context = audio.current;
    if (!context || context.state !== 'running') return;
    let at = context.currentTime;
    for (const tone of tones[sound]) {
      play(context, tone, at);
      at += tone.seconds + gap;
    }
  }, []);
  const unlock = useCallback((): void => {
    // a browser that plays nothing runs the clock all the same
    if (!('AudioContext' in window)) return;
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
