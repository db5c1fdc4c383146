/**
 * Devices that measure, behind one interface: bytes as they come over the air. Those that ship with Gambito are stand-ins; a real one (a strap, a rowing machine) speaks the same bytes.
 */
import { heartRateBytes, rowerBytes } from '@gambito/core';

export interface Device {
  readonly name: string;
  readonly kind: 'heart' | 'row';
  /** @returns how to stop */
  listen(hear: (bytes: Uint8Array) => void): () => void;
}
/** ms between two messages of a stand-in */
const every = 1_000;

function ticking(hear: (bytes: Uint8Array) => void, bytesAt: (second: number) => Uint8Array): () => void {
  let second = 0;
  const tick = (): void => hear(bytesAt(second++));
  tick();
  const timer = setInterval(tick, every);
  return () => clearInterval(timer);
}

/** Rises towards hard work as hearts do (a minute's time constant, round), with breath in it. */
const bpmAt = (second: number): number => Math.round(92 + 74 * (1 - Math.exp(-second / 60)) + 2 * Math.sin(second / 4));
export const standInStrap: Device = {
  name: 'Heart-rate strap (stand-in)',
  kind: 'heart',
  listen: (hear) => ticking(hear, (second) => heartRateBytes({ bpm: bpmAt(second), contact: true, kilojoules: null, beats: [60 / bpmAt(second)] })),
};

/** s for 500 m of the stand-in */
const pace = 122;
export const standInRower: Device = {
  name: 'Rowing machine (stand-in)',
  kind: 'row',
  listen: (hear) =>
    ticking(hear, (second) =>
      rowerBytes({
        strokeRate: 27.5,
        strokes: Math.floor((second * 27.5) / 60),
        metres: Math.round((second * 500) / pace),
        pace,
        // watts of a pace: 2.80 ÷ (s a metre)³, the usual conversion of rowing machines
        watts: Math.round(2.8 / (pace / 500) ** 3),
        calories: Math.floor(second / 5),
        heartRate: null,
        seconds: second,
      }),
    ),
};
export const devices: readonly Device[] = [standInStrap, standInRower];
