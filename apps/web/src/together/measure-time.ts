/** How far this device's time of day is from the server's: asked several times in a row, the quickest answer counts. */
import { offsetOf, type TimeSample } from '@gambito/core';
import { api } from '../api/client';

const questions = 5;

/** @returns null where the server does not answer */
export async function measureOffset(): Promise<{ readonly offsetMs: number; readonly errorMs: number } | null> {
  const samples: TimeSample[] = [];
  for (let each = 0; each < questions; each++) {
    const asked = Date.now();
    try {
      const { now } = await api<{ now: number }>('/time');
      samples.push({ asked, server: now, answered: Date.now() });
    } catch {
      // without a network: what was measured before stands
    }
  }
  return offsetOf(samples);
}
