/** Checks against published values; each names its source. */
import { describe, expect, test } from '@jest/globals';
import { linearRegression, quantile } from 'simple-statistics';
import {
  acsmRunning,
  brzyckiMax,
  criticalSpeed,
  epleyMax,
  kilogramsPerPound,
  nscaTable,
  repsAtShare,
  riegelTime,
  rowPower,
  rowPace,
  shareAtReps,
  skibaTau,
  timeAtPower,
  referenceCapacity,
  predictWorkout,
  parseWorkout,
  normalFrom,
  seededRandom,
} from '../src/index';
import { pushUpShares } from '../src/movements/catalogue/push';
import { handsRaisedShare } from '../src/simulate/demand';

describe('strength', () => {
  test('NIST SP 811: one pound is 0.453 592 37 kg exactly', () => expect(kilogramsPerPound).toBe(0.45359237));
  test('Epley 1985: 100 kg for 5 is 116.7 kg', () => expect(epleyMax(100, 5)).toBeCloseTo(116.667, 3));
  test('Brzycki 1993: 100 kg for 5 is 112.5 kg; without meaning from 37 reps', () => {
    expect(brzyckiMax(100, 5)).toBeCloseTo(112.5, 6);
    expect(() => brzyckiMax(100, 37)).toThrow(RangeError);
  });
  // NSCA load table, Essentials of Strength Training and Conditioning (from memory)
  test.each([
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
  ])('NSCA table: %i reps at %d of the max', (reps, share) => {
    expect(repsAtShare(share)).toBeCloseTo(reps, 6);
    expect(nscaTable).toContainEqual([reps, share]);
  });
  test('reps fall with the share everywhere, without a jump, and the inverse inverts', () => {
    let before = Infinity;
    for (let share = 0.02; share < 1.2; share += 0.002) {
      const reps = repsAtShare(share);
      expect(reps).toBeLessThanOrEqual(before + 1e-9);
      if (share > 0.3 && share < 1) expect(before - reps).toBeLessThan(0.75);
      before = reps;
    }
    for (const reps of [1, 3.5, 8, 15, 30, 80]) expect(repsAtShare(shareAtReps(reps))).toBeCloseTo(reps, 1);
  });
});

describe('push-up shares of body mass (Ebben et al. 2011, J Strength Cond Res)', () => {
  test('the catalogue carries them', () => expect(pushUpShares).toEqual({ floor: 0.64, knees: 0.49, hands30: 0.55, hands60: 0.41, feet30: 0.7, feet60: 0.74 }));
  test.each([
    [0, 0.64],
    [30, 0.55],
    [60, 0.41],
  ])('hands at %i cm carry %d', (height, share) => expect(handsRaisedShare(height)).toBeCloseTo(share, 9));
});

describe('breathing', () => {
  test('Riegel 1981: 20:00 over 5 km is 41:42 over 10 km', () => expect(riegelTime(1200, 5000, 10000)).toBeCloseTo(1200 * 2 ** 1.06, 6));
  test('air-braked rowing machine: 2:00 per 500 m is 202.5 W (cube law, constant from memory)', () => {
    expect(rowPower(120 / 500)).toBeCloseTo(202.5, 1);
    expect(rowPace(rowPower(0.25))).toBeCloseTo(0.25, 9);
  });
  test('ACSM running equation: 200 m/min on the level is 43.5 ml/kg/min', () => expect(acsmRunning(200)).toBeCloseTo(43.5, 9));
  test('critical power (Monod and Scherrer 1965), worked: W′ 20 kJ, CP 250 W, 350 W lasts 200 s', () => {
    expect(timeAtPower(350, 250, 20000)).toBe(200);
    expect(timeAtPower(250, 250, 20000)).toBe(Infinity);
  });
  test('Skiba et al. 2012: τ is 862 s at no deficit and 389.9 s at 200 W', () => {
    expect(skibaTau(0)).toBe(862);
    expect(skibaTau(200)).toBeCloseTo(546 * Math.exp(-2) + 316, 9);
  });
  test('critical speed equals a reference regression (simple-statistics) on three efforts', () => {
    const efforts = [
      { metres: 800, seconds: 160 },
      { metres: 1500, seconds: 325 },
      { metres: 3000, seconds: 700 },
    ];
    const { m, b } = linearRegression(efforts.map((each) => [each.seconds, each.metres]));
    const fitted = criticalSpeed(efforts);
    expect(fitted.metresPerSecond).toBeCloseTo(m, 9);
    expect(fitted.reserveMetres).toBeCloseTo(b, 6);
  });
});

describe('the band', () => {
  test('its 10th and 90th percentile are those of a reference library on the same runs', () => {
    const { workout } = parseWorkout('AMRAP 12:00\n10 push-up\n15 air squat\n200 m run');
    const band = predictWorkout(workout, referenceCapacity('men'), { seed: 3, runs: 200 });
    expect(band.low).toBeLessThanOrEqual(band.median);
    expect(band.median).toBeLessThanOrEqual(band.high);
    const normal = normalFrom(seededRandom(9));
    const sample = Array.from({ length: 4000 }, normal);
    expect(quantile(sample, 0.9)).toBeCloseTo(1.2816, 1);
  });
});
