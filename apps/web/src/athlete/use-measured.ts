/** What was measured of a session, kept in this browser until it goes out with the score. */
import type { Measured } from '@gambito/contract';
import { useState } from 'react';

const keyOf = (token: string): string => `gambito.measured.${token}`;

export function readMeasured(token: string): Measured | null {
  try {
    return JSON.parse(localStorage.getItem(keyOf(token)) ?? 'null') as Measured | null;
  } catch {
    return null;
  }
}
export const keepMeasured = (token: string, measured: Measured | null): void =>
  measured ? localStorage.setItem(keyOf(token), JSON.stringify(measured)) : localStorage.removeItem(keyOf(token));

/** @param logged what is with the score already */
export function useMeasured(token: string, logged: Measured | null) {
  const [measured, setMeasured] = useState(() => readMeasured(token) ?? logged);
  return {
    measured,
    keep: (next: Measured | null) => {
      keepMeasured(token, next);
      setMeasured(next);
    },
  };
}
