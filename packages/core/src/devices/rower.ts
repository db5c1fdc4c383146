/**
 * What a rowing machine sends over the air: the Rower Data characteristic (0x2AD1) of the Bluetooth SIG's Fitness Machine Service 1.0; the layout from memory.
 * Two bytes of flags say which fields follow, in their order; the first is there when its flag is not set.
 */
export interface RowerData {
  /** strokes a minute, to the half */
  readonly strokeRate: number | null;
  readonly strokes: number | null;
  /** m since the start */
  readonly metres: number | null;
  /** s for 500 m */
  readonly pace: number | null;
  readonly watts: number | null;
  /** kcal since the start */
  readonly calories: number | null;
  readonly heartRate: number | null;
  /** s since the start */
  readonly seconds: number | null;
}
/** Bits of the flags, each with the bytes of its fields. */
const fields = [
  { bit: 1, bytes: 1 }, // mean stroke rate
  { bit: 2, bytes: 3, name: 'metres' },
  { bit: 3, bytes: 2, name: 'pace' },
  { bit: 4, bytes: 2 }, // mean pace
  { bit: 5, bytes: 2, name: 'watts' },
  { bit: 6, bytes: 2 }, // mean power
  { bit: 7, bytes: 2 }, // resistance
  { bit: 8, bytes: 5, name: 'calories' }, // total, an hour, a minute
  { bit: 9, bytes: 1, name: 'heartRate' },
  { bit: 10, bytes: 1 }, // metabolic equivalent
  { bit: 11, bytes: 2, name: 'seconds' },
  { bit: 12, bytes: 2 }, // time left
] as const;
type Named = Extract<(typeof fields)[number], { readonly name: string }>['name'];
/** what a machine sends where it does not know a value yet */
const unknown: Readonly<Partial<Record<Named, number>>> = { pace: 0xffff, watts: 0x7fff, calories: 0xffff };

const little = (bytes: Uint8Array, at: number, count: number): number =>
  Array.from({ length: count }, (_, index) => {
    if (at + index >= bytes.length) throw new RangeError(`readRower: expected ${at + count} bytes, got ${bytes.length}`);
    return bytes[at + index]! * 256 ** index;
  }).reduce((sum, byte) => sum + byte, 0);

/** @throws {RangeError} on bytes that end too soon */
export function readRower(bytes: Uint8Array): RowerData {
  const set = little(bytes, 0, 2);
  let at = 2;
  let stroke: Pick<RowerData, 'strokeRate' | 'strokes'> = { strokeRate: null, strokes: null };
  if ((set & 1) === 0) {
    stroke = { strokeRate: little(bytes, at, 1) / 2, strokes: little(bytes, at + 1, 2) };
    at += 3;
  }
  const read: Partial<Record<Named, number | null>> = {};
  for (const field of fields) {
    if ((set & (1 << field.bit)) === 0) continue;
    if ('name' in field) {
      const raw = little(bytes, at, field.name === 'calories' ? 2 : field.bytes);
      // power has a sign
      read[field.name] = raw === unknown[field.name] ? null : field.name === 'watts' && raw > 0x7fff ? raw - 0x10000 : raw;
    }
    at += field.bytes;
  }
  const { metres = null, pace = null, watts = null, calories = null, heartRate = null, seconds = null } = read;
  return { ...stroke, metres, pace, watts, calories, heartRate, seconds };
}

/** The same as bytes, as a machine would send them: only what is known. */
export function rowerBytes(data: RowerData): Uint8Array {
  const bytesOf = (value: number, count: number): number[] =>
    Array.from({ length: count }, (_, index) => Math.floor((value < 0 ? value + 0x10000 : value) / 256 ** index) & 0xff);
  const body: number[] = [];
  let set = data.strokeRate === null || data.strokes === null ? 1 : 0;
  if (set === 0) body.push(...bytesOf(Math.round(data.strokeRate! * 2), 1), ...bytesOf(data.strokes!, 2));
  for (const field of fields) {
    const value = 'name' in field ? data[field.name] : null;
    if (value === null) continue;
    set |= 1 << field.bit;
    // an hour's and a minute's energy are not told
    body.push(...('name' in field && field.name === 'calories' ? [...bytesOf(value, 2), 0xff, 0xff, 0xff] : bytesOf(value, field.bytes)));
  }
  return Uint8Array.from([...bytesOf(set, 2), ...body]);
}
