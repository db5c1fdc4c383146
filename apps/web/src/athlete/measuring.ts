/** What came from devices, put together: the rate now, its mean and most, and how far was rowed. Pure. */
import type { Measured } from '@gambito/contract';
import { readHeartRate, readRower } from '@gambito/core';
import type { Device } from './device';

export interface Measuring {
  readonly beats: { readonly now: number; readonly sum: number; readonly count: number; readonly most: number } | null;
  readonly row: { readonly metres: number; readonly seconds: number; readonly pace: number | null } | null;
}
export const nothingYet: Measuring = { beats: null, row: null };

/** @param counts false: shown, and not part of what is kept (before the start, in a pause) @returns as before where the bytes are none of the format */
export function heardBytes(before: Measuring, kind: Device['kind'], bytes: Uint8Array, counts: boolean): Measuring {
  try {
    if (kind === 'heart') {
      const { bpm, contact } = readHeartRate(bytes);
      // a strap that feels no skin guesses
      if (contact === false || bpm === 0) return before;
      const { sum, count, most } = before.beats ?? { sum: 0, count: 0, most: 0 };
      return { ...before, beats: { now: bpm, sum: counts ? sum + bpm : sum, count: counts ? count + 1 : count, most: counts ? Math.max(most, bpm) : most } };
    }
    const { metres, seconds, pace } = readRower(bytes);
    return { ...before, row: { metres: metres ?? before.row?.metres ?? 0, seconds: seconds ?? before.row?.seconds ?? 0, pace } };
  } catch (error) {
    if (error instanceof RangeError) return before;
    throw error;
  }
}

/** What is kept with the score; null where nothing was measured. */
export function measuredOf({ beats, row }: Measuring): Measured | null {
  const heart = beats && beats.count > 0 ? { mean: Math.round(beats.sum / beats.count), most: beats.most } : null;
  const rowed = row && row.metres > 0 ? { metres: row.metres, seconds: row.seconds } : null;
  if (!heart && !rowed) return null;
  return { ...(heart ? { heart } : {}), ...(rowed ? { row: rowed } : {}) };
}
