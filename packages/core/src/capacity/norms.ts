/**
 * Norms where nothing is known, by sex category and training age. They are round figures of ours (common practice, no published source), used only as a start
 * and always listed under `assumed`. Masses as multiples of the reference body mass (80 kg men, 64 kg women), scaled by (mass/reference)^⅔.
 */
import type { Level } from '../athlete/athlete';
import type { BestSet, Lift } from '../movements/movement';
import type { Category } from '../workout/workout';

export const referenceMassKg: Readonly<Record<Category, number>> = { men: 80, women: 64 };
type ByLevel = readonly [fresh: number, newer: number, trained: number, competitive: number];
const index: Readonly<Record<Level, number>> = { new: 0, newer: 1, trained: 2, competitive: 3 };

const liftNorms: Readonly<Record<Category, Readonly<Record<Lift, ByLevel>>>> = {
  men: {
    backSquat: [0.7, 1.05, 1.6, 1.95],
    deadlift: [0.9, 1.35, 1.95, 2.35],
    strictPress: [0.38, 0.5, 0.7, 0.88],
    benchPress: [0.55, 0.8, 1.12, 1.4],
    clean: [0.48, 0.75, 1.18, 1.5],
    snatch: [0.38, 0.58, 0.9, 1.2],
    row: [0.5, 0.72, 1, 1.25],
  },
  women: {
    backSquat: [0.6, 0.95, 1.4, 1.75],
    deadlift: [0.8, 1.2, 1.75, 2.1],
    strictPress: [0.28, 0.4, 0.6, 0.74],
    benchPress: [0.38, 0.56, 0.82, 1],
    clean: [0.42, 0.64, 0.98, 1.25],
    snatch: [0.33, 0.48, 0.76, 0.98],
    row: [0.4, 0.57, 0.8, 1],
  },
};
const setNorms: Readonly<Record<Category, Readonly<Record<BestSet, ByLevel>>>> = {
  men: {
    strictPullUp: [0.4, 3, 12, 22],
    pushUp: [8, 22, 45, 70],
    dip: [0.5, 4, 14, 28],
    toesToBar: [0.4, 4, 20, 34],
    sitUp: [20, 40, 75, 110],
    handstandPushUp: [0.2, 0.4, 9, 22],
    doubleUnder: [0.5, 6, 80, 150],
    muscleUp: [0.05, 0.1, 2, 10],
    plank: [45, 80, 150, 220],
    hang: [20, 35, 65, 100],
  },
  women: {
    strictPullUp: [0.15, 0.4, 6, 13],
    pushUp: [3, 9, 26, 45],
    dip: [0.2, 0.5, 6, 16],
    toesToBar: [0.3, 2, 16, 29],
    sitUp: [18, 36, 70, 105],
    handstandPushUp: [0.1, 0.2, 3, 13],
    doubleUnder: [0.5, 6, 80, 150],
    muscleUp: [0.02, 0.05, 0.4, 5],
    plank: [40, 75, 145, 210],
    hang: [15, 28, 55, 90],
  },
};
const speedNorms: Readonly<Record<Category, ByLevel>> = { men: [2.45, 2.95, 3.75, 4.3], women: [2.15, 2.6, 3.35, 3.85] };
const reserveNorms: ByLevel = [110, 140, 180, 210];

export function liftNorm(lift: Lift, category: Category, level: Level, massKg: number): number {
  return liftNorms[category][lift][index[level]]! * referenceMassKg[category] * (massKg / referenceMassKg[category]) ** (2 / 3);
}
/** Body-mass sets fall with body mass: share moved grows, strength grows only with its two-thirds power. */
export function setNorm(set: BestSet, category: Category, level: Level, massKg: number): number {
  const own = setNorms[category][set][index[level]]!;
  return ['doubleUnder', 'sitUp', 'plank'].includes(set) ? own : own * (referenceMassKg[category] / massKg) ** 0.8;
}
export function speedNorm(category: Category, level: Level, massKg: number): number {
  return speedNorms[category][index[level]]! * (referenceMassKg[category] / massKg) ** 0.25;
}
export function reserveNorm(level: Level): number {
  return reserveNorms[index[level]]!;
}

/**
 * What age leaves of strength and of speed, as shares of the 25–35-year-old's. Round figures: about 0.7 % a year from 35, 1.2 % from 60, and growing up below 18.
 */
export function ageShare(ageYears: number | null): number {
  if (ageYears === null) return 1;
  if (ageYears < 18) return Math.max(0.55, 1 - 0.06 * (18 - ageYears));
  return Math.max(0.35, 1 - 0.007 * Math.max(0, Math.min(ageYears, 60) - 35) - 0.012 * Math.max(0, ageYears - 60));
}
export const cycleShare: Readonly<Record<Level, number>> = { new: 1.22, newer: 1.1, trained: 1, competitive: 0.94 };
