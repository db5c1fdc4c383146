/** Keeps the screen awake while something runs, and asks again when the page comes back. */
import { useEffect } from 'react';

export function useWakeLock(running: boolean): void {
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
}
