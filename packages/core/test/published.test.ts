/** Checks against published values; each names its source. */
import { describe, expect, test } from '@jest/globals';
import { Matrix, inverse } from 'ml-matrix';
import newton from 'newton-raphson-method';
import { bracketedRoot } from '../src/units/bracketed-root';
import { linearRegression, quantile as referenceQuantile } from 'simple-statistics';
import {
  acsmRunning,
  brzyckiMax,
  criticalSpeed,
  shownReserve,
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
  quantile,
  compile,
  elasticityOf,
  estimateCapacity,
  fitnessFor,
  formAtFitness,
  heights,
  loadHeights,
  movementOf,
  referenceAthlete,
  reserveBalance,
  rises,
  sessionLoad,
  usualForm,
  usualPlates,
  walkProgram,
} from '../src/index';
import { Body } from '../src/simulate/body';
import { liftNorm } from '../src/capacity/norms';
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
  test('Morton 1996: a run whose speed is bounded shows a part of the reserve, a long one nearly all (three parameters, from memory)', () => {
    const curve = { metresPerSecond: 4, reserveMetres: 0 };
    const [top, whole] = [8, 200];
    for (const speed of [4.1, 4.4, 4.8]) {
      // t = D′ / (v − CS) − D′ / (v_max − CS)
      const seconds = whole / (speed - 4) - whole / (top - 4);
      const shown = (speed - 4) * seconds;
      expect(
        shownReserve(curve, [
          { metres: speed * seconds, seconds },
          { metres: 8000, seconds: 2000 },
        ]),
      ).toBeCloseTo(shown / whole, 9);
    }
    expect(shownReserve(curve, [])).toBe(1);
    // a sprinter’s sprint hides no more than a fifth (round figure)
    expect(shownReserve(curve, [{ metres: 200, seconds: 26 }])).toBe(0.8);
  });
});

describe('energy', () => {
  /** net J/kg/s to MET: 3.5 ml O₂/kg/min at rest, 20.9 J/ml */
  const met = (netWatts: number): number => netWatts / ((3.5 * 20.9) / 60) + 1;
  // Compendium of Physical Activities 2011 (from memory): rope skipping 100–120 a minute 11.8, fast (120–160) 12.3; calisthenics, vigorous 8.0; running 6 mph 9.8
  test('rope skipping at 125 a minute lies between 11.8 and 12.3 MET, half a MET of grace', () => {
    const { joulesPerKg, cycleSeconds } = movementOf('single-under');
    expect(met(joulesPerKg / cycleSeconds)).toBeGreaterThan(11.3);
    expect(met(joulesPerKg / cycleSeconds)).toBeLessThan(12.8);
  });
  test('jumping jacks are vigorous calisthenics: 8 MET and no more than 9', () => {
    const { joulesPerKg, cycleSeconds } = movementOf('jumping-jack');
    expect(met(joulesPerKg / cycleSeconds)).toBeGreaterThan(7.5);
    expect(met(joulesPerKg / cycleSeconds)).toBeLessThan(9);
  });
  test('running at 6 mph is 9.8 MET, and what ACSM gives, within a tenth', () => {
    const metresPerMinute = (6 * 1609.344) / 60;
    const own = met((movementOf('run').joulesPerKg * metresPerMinute) / 60);
    expect(Math.abs(own / 9.8 - 1)).toBeLessThan(0.1);
    expect(Math.abs(own / (acsmRunning(metresPerMinute) / 3.5) - 1)).toBeLessThan(0.13);
  });
});

describe('W′ balance', () => {
  // worked by hand from Skiba et al. 2012 with CP 250 W, W′ 20 kJ: 100 s at 350 W leave 10 kJ; 60 s at 100 W: τ = 546 e^(−1.5) + 316 = 437.83 s, 20 − 10 e^(−60/437.83) = 11.280 kJ
  test('a bout and a rest', () => {
    const [spent, refilled] = reserveBalance(
      [
        { watts: 350, seconds: 100 },
        { watts: 100, seconds: 60 },
      ],
      250,
      20000,
    );
    expect(spent).toBe(10000);
    expect(refilled).toBeCloseTo(20000 - 10000 * Math.exp(-60 / (546 * Math.exp(-1.5) + 316)), 6);
    expect(refilled).toBeCloseTo(11280, -1);
  });
  test('the time to exhaustion of Monod and Scherrer is where the balance reaches 0', () =>
    expect(reserveBalance([{ watts: 320, seconds: timeAtPower(320, 250, 20000) }], 250, 20000)[0]).toBeCloseTo(0, 6));
  test('the walk refills by the differential form: deficit · e^(−(CP − P) t / W′)', () => {
    const capacity = referenceCapacity('men');
    const body = new Body(capacity, usualForm);
    const run = compile(parseWorkout('400 m run').workout, capacity).parts[0]!.steps(0, 0)[0]!;
    if (run.kind !== 'move') throw new Error('a run is a move');
    body.perform(run.demand, 400, 60, Infinity);
    const before = body.breath();
    expect(before).toBeLessThan(0.7);
    body.rest(90);
    const rate = (capacity.criticalPower - 1.3) / capacity.reserve;
    expect(body.breath()).toBeCloseTo(1 - (1 - before) * Math.exp(-rate * 90), 9);
  });
});

describe('bodies, bars and sessions', () => {
  test('Drillis and Contini 1966: knee 0.285, hip 0.530, shoulder 0.818 of stature', () =>
    expect(heights).toEqual({ knee: 0.285, hip: 0.53, shoulder: 0.818 }));
  test('what a rep lifts follows from them: a squat the hip to the knee, a press from the shoulders to straight arms', () => {
    expect(movementOf('air-squat').rise.body).toBeCloseTo(heights.hip - heights.knee, 1);
    expect(movementOf('strict-press').rise.load).toBe(loadHeights.overhead - loadHeights.rack);
    expect(movementOf('thruster').rise.load).toBeCloseTo(rises.squat + rises.press, 9);
    expect(rises.snatch).toBeCloseTo(rises.clean + rises.press, 9);
    // upper arm 0.186, forearm 0.146, hand 0.108: the fist of a straight arm overhead is near 1.2 of stature
    expect(loadHeights.overhead).toBeCloseTo(0.818 + 0.186 + 0.146 + 0.054, 9);
  });
  test('international weightlifting rules: plates of 25 20 15 10 5 2.5 2 1.5 1 0.5 kg', () =>
    expect(usualPlates.map((each) => each.grams / 1000)).toEqual([25, 20, 15, 10, 5, 2.5, 2, 1.5, 1, 0.5]));
  test('Foster et al. 2001: an hour at 7 is a load of 420', () => {
    expect(sessionLoad(3600, 7)).toBe(420);
    expect(() => sessionLoad(3600, 11)).toThrow(RangeError);
  });
});

describe('against reference libraries', () => {
  test('the posterior of the lifts is that of the full covariance matrix (ml-matrix)', () => {
    // maxes told through other movements, so that nothing "stays as told": front squat (0.85 of the back squat), push press (1.35 of the press), romanian deadlift (0.72)
    const capacity = estimateCapacity({
      ...referenceAthlete('men'),
      maxes: { 'front-squat': { kg: 100, reps: 1 }, 'push-press': { kg: 95, reps: 1 }, 'romanian-deadlift': { kg: 96, reps: 1 } },
    });
    const keys = ['backSquat', 'strictPress', 'deadlift'] as const;
    const seen = [100 / 0.85, 95 / 1.35, 96 / 0.72].map((kg, index) => Math.log(kg / liftNorm(keys[index]!, 'men', 'trained', 80)));
    const [common, own, measure] = [0.22, 0.1, 0.09];
    const covariance = (same: boolean): number => common ** 2 + (same ? own ** 2 : 0);
    const noisy = Matrix.from1DArray(
      3,
      3,
      keys.flatMap((a) => keys.map((b) => covariance(a === b) + (a === b ? measure ** 2 : 0))),
    );
    const solved = inverse(noisy).mmul(Matrix.columnVector(seen));
    const posterior = (key: string): number => keys.reduce((sum, each, index) => sum + covariance(each === key) * solved.get(index, 0), 0);
    for (const key of [...keys, 'clean'] as const)
      expect(Math.log(capacity.lifts[key].value / liftNorm(key, 'men', 'trained', 80))).toBeCloseTo(posterior(key), 9);
    const gain = Matrix.rowVector(keys.map((each) => covariance(each === 'backSquat')));
    const variance = covariance(true) - gain.mmul(inverse(noisy)).mmul(gain.transpose()).get(0, 0);
    expect(capacity.lifts.backSquat.spread).toBeCloseTo(Math.sqrt(variance), 9);
  });
  test('the fitness factor is the root that Newton–Raphson finds (newton-raphson-method)', () => {
    const program = compile(parseWorkout('for time, cap 40:00\n5 rounds\n  200 m run\n  15 push-up\n  15 air squat').workout, referenceCapacity('women'));
    const score = (fitness: number): number => walkProgram(program, { form: formAtFitness(fitness) }).parts[0]!.score;
    for (const target of [score(0.8), score(1.13), 700]) {
      const root = newton((log: number) => score(Math.exp(log)) - target, 0, { tolerance: 1e-9, maxIterations: 60 });
      expect(root).not.toBe(false);
      expect(Math.log(fitnessFor(target, score, 'lower'))).toBeCloseTo(root as number, 5);
    }
  });
  // Oliveira and Takahashi 2020 (from memory): never more than one evaluation beyond bisection; their test functions are like these
  test('ITP finds what bisection finds, on smooth, flat and stepped functions, in at most one step more', () => {
    const bisected = (f: (x: number) => number, low: number, high: number, within: number): number => {
      let [a, b] = [low, high];
      while (b - a > 2 * within) {
        const middle = (a + b) / 2;
        if (f(middle) < 0) a = middle;
        else b = middle;
      }
      return (a + b) / 2;
    };
    const functions: [(x: number) => number, number, number][] = [
      [(x) => x * Math.exp(x) - 1, -1, 1],
      [(x) => Math.tan(x - 0.1), -1, 1],
      [(x) => Math.cbrt(x - 0.3), -1, 1],
      [(x) => Math.floor(20 * x) - 7.5, 0, 1],
      [(x) => Math.max(-0.2, Math.min(0.2, x - 0.71)), -4, 4],
    ];
    for (const [f, low, high] of functions) {
      let calls = 0;
      const root = bracketedRoot((x) => (calls++, f(x)), low, high, 1e-7);
      expect(root).toBeCloseTo(bisected(f, low, high, 1e-7), 5);
      // two for the ends
      expect(calls).toBeLessThanOrEqual(Math.ceil(Math.log2((high - low) / 2e-7)) + 1 + 2);
    }
    expect(() => bracketedRoot((x) => x + 5, 0, 1, 1e-6)).toThrow(RangeError);
  });
  test('quantiles equal simple-statistics within what the two definitions differ', () => {
    const normal = normalFrom(seededRandom(9));
    const sample = Array.from({ length: 4001 }, normal).sort((a, b) => a - b);
    for (const share of [0.1, 0.25, 0.5, 0.9]) expect(quantile(sample, share)).toBeCloseTo(referenceQuantile(sample, share), 2);
    expect(quantile([3], 0.9)).toBe(3);
  });
  test('the elasticity of a run alone is that of a regression of ln score on ln fitness (simple-statistics)', () => {
    const { workout } = parseWorkout('for time, cap 60:00\n3000 m run');
    const program = compile(workout, referenceCapacity('men'));
    const points = [0.96, 0.98, 1, 1.02, 1.04].map((fitness) => [
      Math.log(fitness),
      Math.log(walkProgram(program, { form: formAtFitness(fitness) }).parts[0]!.score),
    ]);
    expect(elasticityOf(workout, referenceCapacity('men'))).toBeCloseTo(-linearRegression(points).m, 2);
  });
});

describe('the band', () => {
  test('surrounds the deterministic run and is the same for the same seed', () => {
    const { workout } = parseWorkout('AMRAP 12:00\n10 push-up\n15 air squat\n200 m run');
    const band = predictWorkout(workout, referenceCapacity('men'), { seed: 3, runs: 200 });
    expect(band.low).toBeLessThanOrEqual(band.median);
    expect(band.median).toBeLessThanOrEqual(band.high);
    expect(band.high - band.low).toBeGreaterThan(0.1);
    expect(predictWorkout(workout, referenceCapacity('men'), { seed: 3, runs: 200 })).toEqual(band);
  });
});
