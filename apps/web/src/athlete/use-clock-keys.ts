/** The clock by keyboard: the space bar starts and taps, P pauses, U takes a tap back. What has the focus and wants the key itself keeps it. */
import { useEffect, useRef } from 'react';
import type { ClockModel } from './use-clock-view';

const takesKeys = (target: EventTarget | null): boolean => target instanceof Element && target.closest('button, a, input, select, textarea') !== null;

function press(key: string, clock: ClockModel): boolean {
  const { started, over, countingIn, led } = clock;
  if (key === ' ' && !started && !led) clock.start();
  else if (key === ' ' && clock.running && !countingIn) clock.tap();
  else if (key === 'p' && started && !over && !led) clock.pause();
  else if (key === 'u' && clock.canUndo) clock.takeBack();
  else return false;
  return true;
}

export function useClockKeys(clock: ClockModel): void {
  const current = useRef(clock);
  current.current = clock;
  useEffect(() => {
    const onKey = (event: KeyboardEvent): void => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || takesKeys(event.target)) return;
      if (press(event.key.toLowerCase(), current.current)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, []);
}
