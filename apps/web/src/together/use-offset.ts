/** The measured offset to the server's time, measured again now and then: a device's clock drifts, and may be set. */
import { useEffect, useState } from 'react';
import { measureOffset } from './measure-time';

/** ms between two measurements */
const again = 30_000;

/** @returns null until it was measured once */
export function useOffset(): { readonly offsetMs: number; readonly errorMs: number } | null {
  const [offset, setOffset] = useState<{ offsetMs: number; errorMs: number } | null>(null);
  useEffect(() => {
    let left = false;
    const measure = async (): Promise<void> => {
      const measured = await measureOffset();
      if (measured && !left) setOffset(measured);
    };
    const now = (): void => void measure();
    now();
    const timer = setInterval(now, again);
    // a phone that was locked may have been set, or its clock corrected
    document.addEventListener('visibilitychange', now);
    window.addEventListener('online', now);
    return () => {
      left = true;
      clearInterval(timer);
      document.removeEventListener('visibilitychange', now);
      window.removeEventListener('online', now);
    };
  }, []);
  return offset;
}
