/**
 * Heart rate as straps send it over the air: the Heart Rate Measurement characteristic (0x2A37) of the Bluetooth SIG's Heart Rate Service 1.0; the layout from memory.
 * A byte of flags, then the rate in one byte or two, the energy spent, and the times between beats.
 */
export interface HeartRate {
  /** beats a minute */
  readonly bpm: number;
  /** whether the strap feels skin; null where it cannot tell */
  readonly contact: boolean | null;
  /** kJ since it was reset; null where it is not told */
  readonly kilojoules: number | null;
  /** s between beats, the oldest first */
  readonly beats: readonly number[];
}
const flags = { wide: 1, contact: 2, canTellContact: 4, energy: 8, beats: 16 } as const;
/** ticks of a second that times between beats are in */
const ticks = 1024;

/** @throws {RangeError} on bytes that end too soon: the answer of a device is checked before it is believed */
export function readHeartRate(bytes: Uint8Array): HeartRate {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  const set = view.getUint8(0);
  const has = (flag: number): boolean => (set & flag) !== 0;
  let at = 1;
  const two = (): number => view.getUint16((at += 2) - 2, true);
  const bpm = has(flags.wide) ? two() : view.getUint8((at += 1) - 1);
  const kilojoules = has(flags.energy) ? two() : null;
  const beats: number[] = [];
  if (has(flags.beats)) while (at + 1 < bytes.byteLength) beats.push(two() / ticks);
  return { bpm, contact: has(flags.canTellContact) ? has(flags.contact) : null, kilojoules, beats };
}

/** The same as bytes, as a strap would send them. */
export function heartRateBytes({ bpm, contact, kilojoules, beats }: HeartRate): Uint8Array {
  const wide = bpm > 255;
  const set =
    (wide ? flags.wide : 0) |
    (contact ? flags.contact : 0) |
    (contact === null ? 0 : flags.canTellContact) |
    (kilojoules === null ? 0 : flags.energy) |
    (beats.length > 0 ? flags.beats : 0);
  const two = (value: number): number[] => [value & 0xff, (value >> 8) & 0xff];
  return Uint8Array.from([
    set,
    ...(wide ? two(bpm) : [bpm]),
    ...(kilojoules === null ? [] : two(kilojoules)),
    ...beats.flatMap((seconds) => two(Math.round(seconds * ticks))),
  ]);
}
