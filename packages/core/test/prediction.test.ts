import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  compile,
  estimateCapacity,
  formAtFitness,
  parseWorkout,
  predictWorkout,
  referenceAthlete,
  referenceCapacity,
  walkProgram,
  planPacing,
  splitOf,
  type Athlete,
  type Level,
} from '../src/index';
import { sampleNames, sampleText } from './samples';

const runs = 40;
const score = (text: string, level: Level = 'trained', category: 'men' | 'women' = 'men') => {
  const capacity = level === 'trained' ? referenceCapacity(category) : estimateCapacity({ ...referenceAthlete(category), level });
  return predictWorkout(parseWorkout(text).workout, capacity, { seed: 1, runs });
};
const t1 = 'for time, cap 30:00\n6 rounds\n  400 m run\n  21 kettlebell swing @ 24/16 kg\n  7 strict toes-to-bar';

// common practice (T rows): what a coach expects of a trained man
describe('times a coach expects (common practice)', () => {
  test('T1: swings well under 1:00, under 5:00 a round, the 30:00 cap never met', () => {
    const { median, run } = score(t1);
    expect(median).toBeLessThan(1800);
    for (const block of run.trace.filter((each) => each.slot === 1)) expect(block.end - block.start).toBeLessThan(60);
    for (const block of run.trace.filter((each) => each.slot === 0)) expect(block.end - block.start).toBeGreaterThan(80);
  });
  test('T2: AMRAP 12 with an unbroken load gives 7–10 rounds', () => {
    const { median } = score('AMRAP 12:00\n6 power clean + 6 push jerk, unbroken @ 115/75 lb\n4 x (2 lunge + 1 air squat)');
    expect(median).toBeGreaterThanOrEqual(7);
    expect(median).toBeLessThanOrEqual(10);
  });
  test('T3: three rounds at 135 lb take 3:00–4:30 a set', () => {
    const { median } = score('3 sets, rest 1:00 between\n  3 rounds\n    20 double-under\n    9 front squat @ 135/95 lb\n    7 toes-to-bar');
    expect(median).toBeGreaterThanOrEqual(180);
    expect(median).toBeLessThanOrEqual(270);
  });
  test('T6: a best single after a hard piece is 80–90 % of the fresh max', () => {
    const capacity = referenceCapacity('men');
    const run = walkProgram(
      compile(parseWorkout('for time, cap 12:00\n21-15-9\nthruster @ 42.5 kg\npull-up\n\nrest 2:00\n\nmax load in 7:00\n1 clean').workout, capacity),
    );
    const share = run.parts[2]!.score / capacity.lifts.clean.value;
    expect(share).toBeGreaterThan(0.8);
    expect(share).toBeLessThan(0.9);
  });
  test('T7: 1500 m on the rowing machine inside a longer piece at 1:45–2:05 (men), 1:55–2:15 (women) per 500 m', () => {
    for (const [category, low, high] of [
      ['men', 105, 125],
      ['women', 115, 135],
    ] as const) {
      const { run } = score('for time, cap 40:00\n50 air squat\n1500 m row\n30 push-up\n50 sit-up', 'trained', category);
      const row = run.trace.find((each) => each.slot === 1)!;
      expect((row.end - row.start) / 3).toBeGreaterThan(low);
      expect((row.end - row.start) / 3).toBeLessThan(high);
    }
  });
  test('C1: 200 m inside a workout is 45–60 s of work', () => {
    const { run } = score('for time, cap 20:00\n5 rounds\n  200 m run\n  15 push-up\n  15 air squat');
    for (const block of run.trace.filter((each) => each.slot === 0).slice(0, 4)) {
      expect(block.end - block.start).toBeGreaterThan(42);
      expect(block.end - block.start).toBeLessThan(62);
    }
  });
  test('max reps in 2:00 do not come out below the tested best', () => expect(score('AMRAP 2:00\nmax push-up').median).toBeGreaterThanOrEqual(45));
});

describe('monotone in the soft mode', () => {
  const texts = [
    t1,
    sampleText('breakwater'),
    'for time, cap 40:00\n21-15-9\nthruster @ 42.5/30 kg\npull-up',
    sampleText('harbour-wall'),
    'AMRAP 12:00\n6 power clean @ 60/42 kg\n8 lateral burpee',
  ];
  test.each(texts)('fitter never predicts worse: %j', (text) => {
    const program = compile(parseWorkout(text).workout, referenceCapacity('men'));
    let before: number | null = null;
    for (let fitness = 0.55; fitness < 1.7; fitness *= 1.02) {
      const part = walkProgram(program, { form: formAtFitness(fitness) }).parts[0]!;
      const better = part.unit === 'rounds' ? part.score : -part.score;
      if (before !== null) expect(better).toBeGreaterThanOrEqual(before - Math.abs(before) * 1e-3);
      before = better;
    }
  });
  test('heavier is never faster, more reps never sooner (seed 21)', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 20, max: 90 }),
        fc.integer({ min: 3, max: 30 }),
        fc.constantFrom('thruster', 'deadlift', 'front squat', 'power clean'),
        (kg, reps, movement) => {
          const time = (load: number, count: number) =>
            walkProgram(compile(parseWorkout(`3 rounds\n  ${count} ${movement} @ ${load} kg\n  10 burpee`).workout, referenceCapacity('men'))).parts[0]!.score;
          expect(time(kg + 2, reps)).toBeGreaterThanOrEqual(time(kg, reps) * 0.999);
          expect(time(kg, reps + 1)).toBeGreaterThanOrEqual(time(kg, reps));
        },
      ),
      { seed: 21, numRuns: 60 },
    );
  });
});

describe('edges give a figure, never NaN and never a hang', () => {
  const person = (change: Partial<Athlete>): Athlete => ({ ...referenceAthlete('women'), ...change });
  const people: [string, Athlete][] = [
    ['45 kg', person({ bodyMassKg: 45 })],
    ['140 kg', person({ bodyMassKg: 140 })],
    ['16 years', person({ ageYears: 16 })],
    ['75 years, new', person({ ageYears: 75, level: 'new' })],
    ['0 pull-ups', person({ bestSets: { 'strict-pull-up': 0 } })],
  ];
  const texts = [
    'AMRAP 1:00\n10 burpee\n10 air squat',
    'for time, cap 3:00:00\n300 burpee\n300 pull-up',
    'EMOM 10:00\n30 thruster @ 60 kg',
    ...sampleNames.map(sampleText),
  ];
  test.each(people)('%s', (_name, athlete) => {
    for (const text of texts) {
      const predicted = predictWorkout(parseWorkout(text).workout, estimateCapacity(athlete), { seed: 1, runs: 8 });
      for (const figure of [predicted.low, predicted.median, predicted.high, ...predicted.perPart.map((each) => each.median)])
        expect(Number.isFinite(figure)).toBe(true);
      expect(predicted.low).toBeLessThanOrEqual(predicted.median);
      expect(predicted.median).toBeLessThanOrEqual(predicted.high);
    }
  });
  test('a movement below the first repetition is simulated and said', () => {
    const { assumed } = predictWorkout(
      parseWorkout('3 rounds\n  5 strict pull-up\n  10 air squat').workout,
      estimateCapacity(person({ bestSets: { 'strict-pull-up': 0 } })),
      { seed: 1, runs: 4 },
    );
    expect(assumed.join(' ')).toMatch(/below the first repetition/);
  });
  test('an EMOM whose work does not fit falls behind', () => {
    const run = walkProgram(compile(parseWorkout('EMOM 6:00\n25 burpee').workout, referenceCapacity('women')));
    expect(run.parts[0]!.fellBehind).toBeGreaterThan(0);
  });
});

describe('pacing', () => {
  // the trade's usual splits (common practice)
  test.each([
    [15, 5, [5, 5, 5]],
    [21, 7, [7, 7, 7]],
    [30, 18, [18, 12]],
    [11, 6, [6, 5]],
    [9, 5, [5, 4]],
    [7, 4, [4, 3]],
    [8, 10, [8]],
  ])('%i with sets up to %i is %j', (count, largest, sets) => expect(splitOf(count, largest)).toEqual(sets));
  test('the plan names the slot that decides the score', () => {
    const pacing = planPacing(parseWorkout(t1).workout, referenceCapacity('men'));
    expect(pacing.slots[pacing.limiting!]!.movement).toBe('run');
  });
  test('whole-rep mode stays within 6 % of the soft mode', () => {
    for (const text of [t1, sampleText('breakwater'), 'for time, cap 40:00\n21-15-9\nthruster @ 42.5/30 kg\npull-up']) {
      const program = compile(parseWorkout(text).workout, referenceCapacity('men'));
      const soft = walkProgram(program).parts[0]!.score;
      const whole = walkProgram(program, { whole: true }).parts[0]!.score;
      expect(Math.abs(whole / soft - 1)).toBeLessThan(0.06);
    }
  });
});
