/**
 * The reference athlete's one run of the text, for every keystroke and every step of a drag: about a millisecond off the page's thread.
 * While one answer is under way only the newest text waits, so a fast drag never queues up.
 */
import type { Category, MassUnit } from '@gambito/core';
import { useEffect, useRef, useState } from 'react';
import { useRoom } from '../api/room';
import { core } from '../workers/core-client';
import type { LiveReference } from '../workers/core-worker';

export function useLive(text: string, category: Category): LiveReference | null {
  const [shown, setShown] = useState<LiveReference | null>(null);
  const units = useRoom();
  const waiting = useRef<{ text: string; units: MassUnit; category: Category } | null>(null);
  const busy = useRef(false);
  useEffect(() => {
    waiting.current = { text, units, category };
    const next = async (): Promise<void> => {
      if (busy.current) return;
      busy.current = true;
      while (waiting.current) {
        const asked = waiting.current;
        waiting.current = null;
        // an unreadable moment in the middle of typing keeps the last picture
        const answer = await core()
          .live(asked, asked.category)
          .catch(() => null);
        if (answer) setShown(answer);
      }
      busy.current = false;
    };
    void next();
  }, [text, units, category]);
  return shown;
}
