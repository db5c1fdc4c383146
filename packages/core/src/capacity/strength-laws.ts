/**
 * Reps and loads: published relations between a share of the one-repetition maximum and repetitions to failure.
 * Units: kg and reps; shares are 0…1.
 */

/** Epley 1985: w (1 + r/30). One rep is the max itself. */
export function epleyMax(kg: number, reps: number): number {
  return reps <= 1 ? kg : kg * (1 + reps / 30);
}

/** Brzycki 1993: w · 36/(37 − r). @throws {RangeError} from 37 reps on, where it has no meaning */
export function brzyckiMax(kg: number, reps: number): number {
  if (reps >= 37) throw new RangeError(`brzyckiMax: expected reps < 37, got ${reps}`);
  return (kg * 36) / (37 - reps);
}

/** NSCA load table (Essentials of Strength Training and Conditioning; from memory): share of the max at 1…15 reps. */
export const nscaTable: readonly (readonly [reps: number, share: number])[] = [
  [1, 1],
  [2, 0.95],
  [3, 0.93],
  [4, 0.9],
  [5, 0.87],
  [6, 0.85],
  [7, 0.83],
  [8, 0.8],
  [9, 0.77],
  [10, 0.75],
  [12, 0.67],
  [15, 0.65],
];

/** Share at which the table ends and the endurance extension begins. */
const lightest = 0.65;
const repsAtLightest = 15;

/**
 * Repetitions to failure at a share of the max. Heavy (≥ 65 %): the NSCA table, linear between its rows. Lighter: Epley's curve 30 (1/ρ − 1),
 * scaled to meet the table at 65 %. Above the max: a fraction below one, which falls steeply; the simulation turns it into slow singles and says so.
 * @param share load ÷ max, > 0
 * @returns reps > 0, falling in `share`, continuous
 */
export function repsAtShare(share: number): number {
  if (!(share > 0)) return 2000;
  if (share >= 1) return Math.max(0.02, 1 - (share - 1) / 0.08);
  if (share < lightest) return Math.min(2000, (30 * (1 / share - 1) * repsAtLightest) / (30 * (1 / lightest - 1)));
  for (let row = 1; row < nscaTable.length; row++) {
    const [reps, at] = nscaTable[row]!;
    if (share >= at) {
      const [before, above] = nscaTable[row - 1]!;
      return before + ((above - share) / (above - at)) * (reps - before);
    }
  }
  return repsAtLightest;
}

/** The inverse of {@link repsAtShare}, piece by piece; reps > 0. Below one rep it is the share above the max at which so little is left. */
export function shareAtReps(reps: number): number {
  if (reps < 1) return 1 + 0.08 * (1 - Math.max(0.02, reps));
  if (reps > repsAtLightest) return 1 / (1 + (reps * (30 * (1 / lightest - 1))) / (30 * repsAtLightest));
  for (let row = 1; row < nscaTable.length; row++) {
    const [at, share] = nscaTable[row]!;
    if (reps <= at) {
      const [before, above] = nscaTable[row - 1]!;
      return above - ((reps - before) / (at - before)) * (above - share);
    }
  }
  return lightest;
}
