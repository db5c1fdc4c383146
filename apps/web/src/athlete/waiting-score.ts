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
}
const keyOf = (token: string): string => `gambito.waiting.${token}`;

/** @returns null where none waits, or what is kept there is none */
export function readWaiting(kept: string | null): WaitingScore | null {
  if (kept === null) return null;
  try {
    const { score, note, rating, measured } = JSON.parse(kept) as Partial<WaitingScore>;
    if (typeof score !== 'string' || typeof note !== 'string') return null;
    return { score, note, ...(typeof rating === 'number' ? { rating } : {}), ...(measured ? { measured } : {}) };
  } catch {
    return null;
  }
}
const isPassing = (error: unknown): boolean => error instanceof ApiError && (error.problem.status === 0 || error.problem.status === 503);
/** ms between two tries while a score waits */
const again = 15_000;

/** @param done after it is on the server */
export function useScoreSending(token: string, done: () => void) {
  const client = useQueryClient();
  const [waiting, setWaiting] = useState(() => readWaiting(localStorage.getItem(keyOf(token))));
  const keep = (score: WaitingScore | null): void => {
    if (score) localStorage.setItem(keyOf(token), JSON.stringify(score));
    else localStorage.removeItem(keyOf(token));
    setWaiting(score);
  };
  const send = useMutation({
    mutationFn: (score: WaitingScore) => api(`/a/${token}/score`, { body: score }),
    onSuccess: async () => {
      keep(null);
      done();
      await client.invalidateQueries({ queryKey: ['a', token] });
      toast('Logged. Your coach sees it.');
    },
    onError: (error, score) => {
      if (isPassing(error)) keep(score);
      else keep(null);
    },
  });
  const { mutate, isPending } = send;
  const tried = useRef(false);
  useEffect(() => {
    // what waited when the page was left
    if (waiting && !tried.current) mutate(waiting);
    tried.current = true;
  }, [waiting, mutate]);
  useEffect(() => {
    if (!waiting) return;
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
  const problem = send.error && !isPassing(send.error) ? messageOf(send.error) : null;
  return { send: mutate, sending: isPending, waiting, problem };
}
