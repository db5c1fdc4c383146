/** A score that could not be sent: it stays in this browser and goes out by itself when the network is back. */
import type { Measured } from '@gambito/contract';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { toast } from '../ui/toast';
import { api, ApiError, messageOf } from '../api/client';

export interface WaitingScore {
  readonly score: string;
  readonly note: string;
  /** how hard it was; left out where nothing was said */
  readonly rating?: number;
  readonly measured?: Measured;
  /** of which it is: the coach may send another one before it arrives */
  readonly versionText?: string;
  /** why it was not taken; absent while it only waits */
  readonly refused?: string;
}
export const waitingKey = (token: string): string => `gambito.waiting.${token}`;

/** @returns null where none waits, or what is kept there is none */
export function readWaiting(kept: string | null): WaitingScore | null {
  if (kept === null) return null;
  try {
    const { score, note, rating, measured, versionText, refused } = JSON.parse(kept) as Partial<WaitingScore>;
    if (typeof score !== 'string' || typeof note !== 'string') return null;
    return {
      score,
      note,
      ...(typeof rating === 'number' ? { rating } : {}),
      ...(measured ? { measured } : {}),
      ...(typeof versionText === 'string' ? { versionText } : {}),
      ...(typeof refused === 'string' ? { refused } : {}),
    };
  } catch {
    return null;
  }
}
/** What goes by itself: no network, a server or a proxy that is away, busy, or out of room. */
const passing = new Set([0, 408, 425, 429, 500, 502, 503, 504, 507]);
export const isPassing = (error: unknown): boolean => error instanceof ApiError && passing.has(error.problem.status);
/** ms between two tries while a score waits */
const again = 15_000;

/** @param done after it is on the server */
export function useScoreSending(token: string, done: () => void) {
  const client = useQueryClient();
  const [waiting, setWaiting] = useState(() => readWaiting(localStorage.getItem(waitingKey(token))));
  const keep = (score: WaitingScore | null): void => {
    if (score) localStorage.setItem(waitingKey(token), JSON.stringify(score));
    else localStorage.removeItem(waitingKey(token));
    setWaiting(score);
  };
  const send = useMutation({
    mutationFn: ({ refused: _refused, ...score }: WaitingScore) => api(`/a/${token}/score`, { body: score }),
    onSuccess: async () => {
      keep(null);
      done();
      await client.invalidateQueries({ queryKey: ['a', token] });
      toast('Logged. Your coach sees it.');
    },
    onError: (error, score) => {
      // what was refused stays here too, with its note: it is not sent again by itself
      keep(isPassing(error) ? score : { ...score, refused: messageOf(error) });
    },
  });
  const { mutate, isPending } = send;
  const tried = useRef(false);
  useEffect(() => {
    // what waited when the page was left
    if (waiting && waiting.refused === undefined && !tried.current) mutate(waiting);
    tried.current = true;
  }, [waiting, mutate]);
  useEffect(() => {
    if (!waiting || waiting.refused !== undefined) return;
    const tryAgain = (): void => {
      if (!isPending) mutate(waiting);
    };
    const timer = setInterval(tryAgain, again);
    window.addEventListener('online', tryAgain);
    return () => {
      clearInterval(timer);
      window.removeEventListener('online', tryAgain);
    };
  }, [waiting, mutate, isPending]);
  return { send: mutate, sending: isPending, waiting: waiting?.refused === undefined ? waiting : null, kept: waiting, problem: waiting?.refused ?? null };
}
