/**
 * What each kind of figure may be, wherever it is read. Outside of it a figure is a slip of the pen: it is said, with what was expected, and never computed with.
 * Round figures with room around what the trade has and people do (common practice, from memory).
 */
export interface Range {
  readonly least: number;
  readonly most: number;
  /** as a sentence has it, in the unit people type: `25–250 kg` */
  readonly said: string;
}

const range = (least: number, most: number, said: string): Range => ({ least, most, said });

export const ranges = {
  // of a person
  ageYears: range(8, 100, '8–100 years'),
  bodyMassKg: range(25, 250, '25–250 kg'),
  statureM: range(1.2, 2.3, '120–230 cm'),
  reachM: range(1.3, 3.2, '130–320 cm'),
  maxKg: range(0.5, 600, '0.5–600 kg'),
  maxReps: range(1, 100, '1–100 reps'),
  bestSet: range(0, 5_000, '0–5 000'),
  effortSeconds: range(5, 48 * 3600, '5 seconds to 48 hours'),
  timeAvailableSeconds: range(60, 6 * 3600, '1 minute to 6 hours'),
  // of a place
  floorM: range(0.3, 200, '0.3–200 m'),
  ceilingM: range(1.2, 30, '1.2–30 m'),
  toStreetSeconds: range(0, 1_800, '0–30 minutes'),
  // of a kit
  implementGrams: range(100, 250_000, '0.1–250 kg'),
  barGrams: range(1_000, 60_000, '1–60 kg'),
  plateGrams: range(50, 60_000, '0.05–60 kg'),
  implements: range(1, 40, '1–40 of them'),
  plates: range(1, 200, '1–200 of them'),
  furnitureCm: range(1, 299, '1–299 cm'),
  routeM: range(1, 100_000, '1 m to 100 km'),
  // of a workout
  loadKg: range(0.1, 1_500, '0.1–1 500 kg'),
  loadShare: range(0.01, 2, '1–200 %'),
  bodyShare: range(0.01, 10, '0.01–10 times body mass'),
  heightCm: range(1, 500, '1 cm to 5 m'),
  effort: range(0, 10, '0–10'),
  count: range(0, 100_000, '0–100 000'),
  clockSeconds: range(0, 6 * 3600, '0 to 6 hours'),
  rounds: range(1, 300, '1–300'),
  intervals: range(1, 300, '1–300'),
} as const satisfies Readonly<Record<string, Range>>;

export const isWithin = (value: number, { least, most }: Range): boolean => value >= least && value <= most;
/** The figure; null where it is none, or outside. */
export const orNull = (value: number | null, range: Range): number | null => (value !== null && isWithin(value, range) ? value : null);
