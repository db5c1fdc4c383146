/** A phone on the coach's clock: it follows what the coach does, and tells what was tapped on it. */
import type { ClassNews, ClassRun } from '@gambito/contract';
import { onDevice } from '@gambito/core';
import { useEffect, useMemo, useRef, useState } from 'react';
import { api } from '../api/client';
import { useNews } from '../together/use-news';
import { useOffset } from '../together/use-offset';
import type { Led } from './use-clock';
import type { ClockModel } from './use-clock-view';

const heardKey = (token: string): string => `gambito.class.${token}`;
interface Heard extends ClassNews {
  readonly offsetMs: number;
}
/** What was heard last stays here, so that a reload without a network goes on. */
function lastHeard(token: string): Heard | null {
  try {
    return JSON.parse(localStorage.getItem(heardKey(token)) ?? 'null') as Heard | null;
  } catch {
    return null;
  }
}

/** @returns `led` null until the clock is known; `run`: which start it is, 0 before the first; `begin`: the movement to begin with, null the first */
export function useClass(token: string): { readonly led: Led | null; readonly run: number; readonly begin: string | null; readonly note: string } {
  const [heard, setHeard] = useState<Heard | null>(() => lastHeard(token));
  const measured = useOffset();
  const [news, setNews] = useState<ClassNews | null>(null);
  const connected = useNews<ClassNews>(`/a/${token}/class/news`, setNews);
  useEffect(() => {
    const offsetMs = measured?.offsetMs ?? heard?.offsetMs;
    const told = news ?? heard;
    if (
      told === null ||
      offsetMs === undefined ||
      (heard && told.clock === heard.clock && offsetMs === heard.offsetMs && told.later === heard.later && told.begin === heard.begin)
    )
      return;
    const next = { ...told, offsetMs };
    localStorage.setItem(heardKey(token), JSON.stringify(next));
    setHeard(next);
  }, [token, news, measured, heard]);
  const led = useMemo(() => (heard?.clock ? onDevice(heard.clock, heard.offsetMs, heard.later * 1000) : null), [heard]);
  return { led, run: heard?.clock?.startedAt ?? 0, begin: heard?.begin ?? null, note: noteOf(heard, connected, measured?.errorMs ?? null) };
}

function noteOf(heard: Heard | null, connected: boolean, errorMs: number | null): string {
  if (!heard) return 'Looking for the coach’s clock';
  if (!heard.clock) return 'There is no class now';
  if (heard.clock.endedAt !== null) return 'Your coach ended the class; your own clock goes on';
  const later = heard.later > 0 ? ` · you begin ${heard.later} s after the others` : '';
  if (!connected) return `No connection: the clock goes on by itself${later}`;
  return `On the coach’s clock${errorMs === null ? '' : `, within ${Math.max(1, Math.round(errorMs))} ms`}${later}`;
}

/** ms after a tap before it is told, after a failure before it is tried again, and between signs of life */
const soon = 250;
const retry = 3_000;
const alive = 20_000;

/** Tells the server what was tapped, the whole of it each time, so that what was lost on the way comes with the next. @returns whether something is not told yet */
export function useTellRun(token: string, run: number, { state, over, seconds }: ClockModel): boolean {
  const { taps, ended } = state;
  const finishedAt = useRef<number | null>(null);
  if (over && finishedAt.current === null) finishedAt.current = Math.round(seconds * 10) / 10;
  const whole = useMemo(
    (): ClassRun => ({ startedAt: run, taps: [...taps], ended: { ...ended }, finishedAt: over ? finishedAt.current : null }),
    [run, taps, ended, over],
  );
  const [failing, setFailing] = useState(false);
  useEffect(() => {
    if (run === 0) return;
    let timer: ReturnType<typeof setTimeout>;
    let left = false;
    const tell = async (): Promise<void> => {
      const fine = await api(`/a/${token}/class`, { method: 'PUT', body: whole }).then(
        () => true,
        () => false,
      );
      if (left) return;
      setFailing(!fine);
      timer = setTimeout(() => void tell(), fine ? alive : retry);
    };
    timer = setTimeout(() => void tell(), soon);
    const online = (): void => {
      clearTimeout(timer);
      void tell();
    };
    window.addEventListener('online', online);
    return () => {
      left = true;
      clearTimeout(timer);
      window.removeEventListener('online', online);
    };
  }, [token, run, whole]);
  return failing && whole.taps.length > 0;
}
