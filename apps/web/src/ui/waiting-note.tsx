/** A wait that lasts: shown after a second, and after ten with what is waited for and how to end it. */
import { useEffect, useState, useSyncExternalStore } from 'react';
import { inFlight, type Waiting } from '../api/in-flight';
import { Button } from './button';

/** ms after which a wait is shown, and after which it says what it is for */
const shownAfter = 1_000;
const toldAfter = 10_000;

/** The wait that lasts longest, and how long, ms; null while none is worth a word. */
function useLongest(): { readonly longest: Waiting; readonly lasts: number } | null {
  const waiting = useSyncExternalStore(inFlight.listen, inFlight.now);
  const [now, setNow] = useState(() => Date.now());
  const any = waiting.length > 0;
  useEffect(() => {
    if (!any) return;
    const timer = setInterval(() => setNow(Date.now()), 500);
    return () => clearInterval(timer);
  }, [any]);
  const [longest] = waiting;
  const lasts = longest ? now - longest.since : 0;
  return longest && lasts >= shownAfter ? { longest, lasts } : null;
}

export function WaitingNote() {
  const found = useLongest();
  if (!found) return null;
  const { longest, lasts } = found;
  const told = lasts >= toldAfter;
  return (
    <div
      role="status"
      aria-label="Waiting"
      className="no-print fixed bottom-3 left-3 z-50 flex max-w-[92vw] items-center gap-3 rounded-md border border-line bg-sheet px-3 py-1.5 text-sm shadow-sm"
    >
      <span className="size-2.5 animate-pulse rounded-full bg-amber" aria-hidden />
      <span>{told ? `Waiting for ${longest.what}, for ${Math.floor(lasts / 1000)} seconds now. What you typed is kept.` : 'Working …'}</span>
      {told && (
        <Button className="!min-h-8 !py-0" onClick={longest.stop ?? (() => window.location.reload())}>
          {longest.stop ? 'Stop waiting' : 'Load the page again'}
        </Button>
      )}
    </div>
  );
}
