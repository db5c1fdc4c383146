import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  compile,
  headline,
  estimateCapacity,
  formAtFitness,
  parseWorkout,
  predictWorkout,
  referenceAthlete,
  referenceCapacity,
  walkProgram,
  pacingSentence,
  planPacing,
  attemptLadder,
  bouts,
  capacityOf,
  learnFitness,
  posteriorFitness,
  mapSlots,
  readAthlete,
  readKit,
  runWarnings,
  scoredParts,
  staggerEquipment,
  type Use,
  splitOf,
  splitsFor,
  usualForm,
  type Part,
  type Place,
  type Slot,
  type Athlete,
  type Level,
} from '../src/index';
import { demandOf } from '../src/simulate/demand';
import { cases, seedsTo } from './cases';
import { randomAthlete, randomWorkout } from './people';
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
  test('a very fit man’s couplet of 21-15-9 takes 3:00–3:35 (from memory), whose sprint ended at his top speed', () => {
    const man = { category: 'men', level: 'competitive', body_mass: '88 kg', born: 1998, best_sets: { strict_pull_up: 28, pull_up: 60 } };
    const maxes = { back_squat: '190 kg', clean: '150 kg', strict_press: '92 kg' };
    const { workout } = parseWorkout('for time\n21-15-9\nthruster @ 42.5 kg\npull-up');
    const { athlete } = readAthlete({ ...man, maxes, times: { run_400_m: '1:02', run_5_km: '18:20' } }, '2026-11-27');
    const seconds = walkProgram(compile(workout, estimateCapacity(athlete))).parts[0]!.score;
    expect(seconds).toBeGreaterThan(180);
    expect(seconds).toBeLessThan(215);
  });
  test('max reps in 2:00 do not come out below the tested best', () => expect(score('AMRAP 2:00\nmax push-up').median).toBeGreaterThanOrEqual(45));
});

describe('conversions that are a time or an effort (common practice)', () => {
  /** mean seconds of a line amid push-ups and squats, five rounds */
  const seconds = (line: string, athlete: Partial<Athlete> = {}): number => {
    const capacity = estimateCapacity({ ...referenceAthlete('men'), ...athlete });
    const { run } = predictWorkout(parseWorkout(`for time, cap 60:00\n5 rounds\n  ${line}\n  15 push-up\n  15 air squat`).workout, capacity, {
      seed: 1,
      runs: 1,
    });
    const blocks = run.trace.filter((each) => each.slot === 0);
    return blocks.reduce((sum, each) => sum + each.end - each.start, 0) / blocks.length;
  };
  const effort = (line: string): number => bouts(parseWorkout(`3 rounds\n  ${line}`).workout, referenceCapacity('men'))[0]!.setShare;
  const alike = (values: readonly number[], within: number): void => {
    const mean = values.reduce((sum, each) => sum + each, 0) / values.length;
    for (const value of values) expect(Math.abs(value / mean - 1)).toBeLessThan(within);
  };
  test('C1: 200 m of running, 100 singles and 75 jacks are alike, and 45–60 s', () => {
    const all = ['200 m run', '100 single-under', '75 jumping jack'].map((line) => seconds(line));
    for (const each of all) expect(each >= 45 && each <= 60).toBe(true);
    alike(all, 0.1);
  });
  test('C1: so are 75 double-unders for a very proficient skipper', () => {
    const time = seconds('75 double-under', { bestSets: { 'double-under': 200 } });
    expect(time >= 45 && time <= 60).toBe(true);
  });
  test('C3: 400 m run, 500 m row, 800 m bike and 40 calories of air bike within a tenth', () =>
    alike(
      ['400 m run', '500 m row', '800 m bike', '40 cal air bike'].map((line) => seconds(line)),
      0.1,
    ));
  test('C7: 21 swings ↔ 11 a side single-arm with a lighter bell ↔ a dumbbell ↔ two light ones', () =>
    alike(
      [
        '21 kettlebell swing @ 24 kg',
        '11 single-arm kettlebell swing each side @ 16 kg',
        '21 dumbbell swing @ 24 kg',
        '21 double dumbbell swing @ 2x10 kg',
      ].map((line) => seconds(line)),
      0.12,
    ));
  test('C8: 9 at 135 lb ↔ 11 with a pair of 50s or a 95 lb bag ↔ 6.5 hugging 125 lb, by effort; the hugged bag costs most', () => {
    const lines = ['10 front squat @ 135 lb', '10 dumbbell front squat @ 2x50 lb', '10 sandbag squat @ 95 lb', '10 hug squat @ 125 lb'];
    alike(
      [9, 11, 11, 6.5].map((count, index) => (count * effort(lines[index]!)) / 10),
      0.15,
    );
    const joules = lines.map((line) => bouts(parseWorkout(`3 rounds\n  ${line}`).workout, referenceCapacity('men'))[0]!.joulesPerKg);
    expect(Math.max(...joules)).toBe(joules[3]);
  });
  test('C9: 10 pressed sit-ups ↔ 15 plain ones last as long', () => alike([seconds('10 pressed sit-up @ 10 kg'), seconds('15 sit-up')], 0.1));
  test('C13: squat cleans, lighter pairs with two more rungs, and jumping squats take alike', () => {
    const time = (text: string): number => walkProgram(compile(parseWorkout(`for time\n${text}`).workout, referenceCapacity('men'))).parts[0]!.score;
    alike([time('21-15-9\nsquat clean @ 135 lb'), time('21-15-9-9-9\ndumbbell squat clean @ 2x50 lb'), time('40-30-20-20-20\njumping squat')], 0.15);
  });
  test('C17: too light for a competitive athlete, back in the window with more load', () => {
    const text = (load: string): string => `AMRAP 12:00\n6 power clean + 6 push jerk, unbroken @ ${load}\n4 x (2 lunge + 1 air squat)`;
    expect(score(text('95/65 lb'), 'competitive').median).toBeGreaterThan(10);
    expect(score(text('135/95 lb'), 'competitive').median).toBeLessThan(10.3);
  });
  test('C18: the higher the hands, the easier the set; the lowest unbroken surface exists', () => {
    const weak = estimateCapacity({ ...referenceAthlete('men'), bestSets: { 'push-up': 10 } });
    const shares = [18, 45, 75].map((cm) => bouts(parseWorkout(`3 rounds\n  12 raised push-up @ ${cm} cm`).workout, weak)[0]!.setShare);
    expect(shares[0]!).toBeGreaterThan(1);
    expect(shares[1]!).toBeLessThan(1);
    expect(shares[2]!).toBeLessThan(shares[1]!);
  });
  test('T4: two who share the bar start 4:00 apart, two who share the dumbbell cannot, turns last 28:00', () => {
    const uses = [
      [0, 240],
      [360, 600],
      [720, 900],
      [1020, 1200],
    ].map(([startSeconds, endSeconds]) => ({ startSeconds: startSeconds!, endSeconds: endSeconds! }));
    const two = (held: readonly Use[]) => staggerEquipment(Array(2).fill({ uses: held, wholeSeconds: 1200 }));
    expect(two([uses[0]!, uses[2]!])).toMatchObject({ offsets: [0, 240], totalSeconds: 1440 });
    // one after the other, then
    expect(two(uses)).toEqual({ offsets: [0, null], totalSeconds: 2400, turnsSeconds: 1680 });
    expect(two([]).offsets).toEqual([0, 0]);
  });
});

describe('a cycle and its load', () => {
  const capacity = referenceCapacity('men');
  const cycle = (movement: string, kg: number): number => demandOf(movement, 'reps', capacity, kg, null).cycleSeconds;
  test('slows in a line with the share of the max, and an empty bar is not thrown about', () => {
    const max = demandOf('thruster', 'reps', capacity, 20, null).maxKg!;
    const at = (share: number): number => cycle('thruster', share * max);
    expect(at(0.9) - at(0.7)).toBeCloseTo(at(0.7) - at(0.5), 9);
    expect(at(0.8)).toBeGreaterThan(1.4 * at(0.45));
    expect(at(0.1)).toBe(at(0.3));
    expect(at(0.1)).toBeGreaterThan(0.85 * at(0.42));
  });
  test('is the pendulum’s or the flight’s where the load swings or flies', () => {
    expect(cycle('kettlebell-swing', 32)).toBe(cycle('kettlebell-swing', 16));
    expect(cycle('wall-ball-squat', 12)).toBe(cycle('wall-ball-squat', 4));
  });
});

describe('the set-level walk', () => {
  // fixed seeds; the reference does every repetition on its own
  test('agrees with the rep-by-rep reference within 1 % in the median and 3 % at worst', () => {
    const cases = [
      ...[t1, ...sampleNames.map(sampleText)].map((text) => [text, referenceCapacity('women')] as const),
      ...Array.from({ length: 30 }, (_, seed) => [randomWorkout(seed + 1), estimateCapacity(randomAthlete(seed + 1))] as const),
    ];
    const off = cases.flatMap(([text, capacity]) => {
      const program = compile(parseWorkout(text).workout, capacity);
      const reference = walkProgram(program, { stride: 'rep' });
      return walkProgram(program).parts.flatMap((part, index) => (part.score > 0 ? [Math.abs(part.score / reference.parts[index]!.score - 1)] : []));
    });
    off.sort((a, b) => a - b);
    expect(off.length).toBeGreaterThan(45);
    expect(off[off.length >> 1]).toBeLessThan(0.01);
    expect(off[off.length - 1]).toBeLessThan(0.03);
  });
});

describe('what is told predicts itself within 2 %', () => {
  const predicted = (times: Record<string, string>, line: string): number => {
    const { athlete } = readAthlete({ category: 'men', level: 'trained', body_mass: '80 kg', times }, '2026-11-27');
    return walkProgram(compile(parseWorkout(`for time\n${line}`).workout, estimateCapacity(athlete))).parts[0]!.score;
  };
  test.each<[Record<string, string>, string, number]>([
    [{ run_400_m: '1:20' }, '400 m run', 80],
    [{ run_400_m: '1:05' }, '400 m run', 65],
    [{ run_800_m: '3:00' }, '800 m run', 180],
    [{ run_1_km: '3:50' }, '1 km run', 230],
    [{ run_5_km: '24:00' }, '5 km run', 1440],
    [{ run_400_m: '1:20', run_5_km: '24:00' }, '400 m run', 80],
    [{ run_400_m: '1:20', run_5_km: '24:00' }, '5 km run', 1440],
    [{ run_400_m: '1:42', run_5_km: '26:30' }, '400 m run', 102],
    [{ run_400_m: '1:42', run_5_km: '26:30' }, '5 km run', 1590],
    [{ row_500_m: '1:45' }, '500 m row', 105],
    [{ row_500_m: '1:45', row_2000_m: '7:40' }, '500 m row', 105],
    [{ row_500_m: '1:45', row_2000_m: '7:40' }, '2000 m row', 460],
    [{ run_400_m: '1:24', row_500_m: '1:45' }, '500 m row', 105],
    [{ bike_10_km: '18:00' }, '10 km bike', 1080],
  ])('%j: %s', (times, line, told) => expect(Math.abs(predicted(times, line) / told - 1)).toBeLessThan(0.02));
  test('times that no one curve can hold are said', () => {
    const told = (times: Record<string, string>) =>
      estimateCapacity(readAthlete({ category: 'men', level: 'trained', body_mass: '80 kg', times }, '2026-11-27').athlete).assumed.join('\n');
    expect(told({ run_400_m: '1:20', run_5_km: '17:00' })).toMatch(/the told run times do not agree: 400 m in 1:20 is 1:\d\d on the curve/);
    expect(told({ run_400_m: '1:20', run_5_km: '24:00' })).not.toMatch(/do not agree/);
  });
});

describe('sets to failure and maxima', () => {
  test('rounds of nothing but “as many as possible” are sets to failure, scored in reps', () => {
    const { workout } = parseWorkout('5 rounds, rest 2:00\n  max bench press @ 60 kg\n  max strict pull-up');
    const { run, unit, median } = predictWorkout(workout, referenceCapacity('men'), { seed: 1, runs });
    expect(unit).toBe('reps');
    // twenty and twelve in a fresh set, less each round: more than half of five fresh rounds, and no hour on the clock
    expect(median).toBeGreaterThan(75);
    expect(median).toBeLessThan(165);
    expect(run.totalSeconds).toBeLessThan(20 * 60);
  });
  test('a max and a strength set have a band', () => {
    for (const text of ['max load in 12:00\n1 clean', '5x5 back squat @ 75 %']) {
      const { low, median, high } = predictWorkout(parseWorkout(text).workout, referenceCapacity('men'), { seed: 1, runs });
      expect(high / median).toBeGreaterThan(1.02);
      expect(low / median).toBeLessThan(0.98);
    }
  });
  test('two references at half their max take the same for a set of thrusters, whatever the breaks', () => {
    const set = (category: 'men' | 'women'): number => {
      const capacity = referenceCapacity(category);
      const kg = 0.5 * capacity.lifts.strictPress.value * 1.35;
      const run = walkProgram(compile(parseWorkout(`for time\n15 thruster @ ${kg.toFixed(1)} kg`).workout, capacity));
      return run.parts[0]!.score;
    };
    expect(Math.abs(set('men') / set('women') - 1)).toBeLessThan(0.15);
  });
  // Rikli and Jones 1999, chair stands in 30 s, middle half of women (from memory): 65–69 years 11–16, 75–79 years 10–15
  test.each([
    [67, 11, 16],
    [77, 10, 15],
  ])('chair stands in 30 s at %d: %d to %d', (age, low, high) => {
    for (const level of ['new', 'newer'] as const) {
      const { athlete } = readAthlete({ category: 'women', level, born: 2026 - age, body_mass: '66 kg' }, '2026-11-27');
      const score = (text: string): number => walkProgram(compile(parseWorkout(text).workout, estimateCapacity(athlete))).parts[0]!.score;
      expect(score('AMRAP 0:30\nmax squat to chair')).toBeGreaterThanOrEqual(low);
      expect(score('AMRAP 0:30\nmax squat to chair')).toBeLessThanOrEqual(high);
      if (level === 'new') expect(score('AMRAP 1:00\nmax air squat')).toBeLessThan(30);
    }
  });
});

describe('what the place and the person change', () => {
  const place = (change: Partial<Place>): Place => ({ name: 'hut', floor: { lengthM: 3, widthM: 2 }, ceilingM: 2.6, noise: 'free', kit: [], ...change });
  const time = (text: string, at: Place | null, athlete: Partial<Athlete> = {}): number =>
    walkProgram(compile(parseWorkout(text).workout, estimateCapacity({ ...referenceAthlete('men'), ...athlete }), at)).parts[0]!.score;
  test('the way to the street is walked before a run and after it', () => {
    const text = '3 rounds\n  200 m run\n  10 push-up';
    const upstairs = time(text, place({ kit: readKit(['run route 200 m']).items, toStreetSeconds: 20 }));
    // three ways down and, after the first two runs and the last, three ways up; a longer piece is paced a little slower
    expect(upstairs - time(text, null)).toBeGreaterThan(80);
    expect(upstairs - time(text, null)).toBeLessThan(125);
  });
  test('a crawl in laps of three metres turns more often than in the open', () =>
    expect(time('3 rounds\n  15 m bear crawl', place({}))).toBeGreaterThan(time('3 rounds\n  15 m bear crawl', null) + 8));
  test('one bar at two loads costs plate changes, each way each round', () => {
    const same = time('3 rounds\n  5 deadlift @ 80 kg\n  5 power clean @ 80 kg', null);
    const changed = time('3 rounds\n  5 deadlift @ 81 kg\n  5 power clean @ 79 kg', null);
    expect(changed - same).toBeGreaterThan(30);
  });
  test('a shorter squat is less work', () => {
    const text = 'for time\n100 air squat';
    expect(time(text, null, { limits: { squatDepth: 'chair', reach: null } })).toBeLessThan(time(text, null));
  });
  test('past results move the prediction towards them, and one bad day not far', () => {
    const workout = 'for time, cap 40:00\n5 rounds\n  200 m run\n  15 push-up\n  15 air squat';
    const par = time(workout, null);
    const slower = (times: number, factor: number) =>
      capacityOf({
        ...referenceAthlete('men'),
        results: Array.from({ length: times }, () => ({
          workout,
          score: `${Math.floor((par * factor) / 60)}:${String(Math.round((par * factor) % 60)).padStart(2, '0')}`,
        })),
      });
    expect(slower(1, 1).fitness).toBeCloseTo(1, 2);
    expect(slower(6, 1.15).fitness).toBeLessThan(0.93);
    expect(slower(6, 0.87).fitness).toBeGreaterThan(1.07);
    const oneBadDay = learnFitness(estimateCapacity(referenceAthlete('men')), [
      ...Array.from({ length: 5 }, () => ({ workout: parseWorkout(workout).workout, score: { kind: 'time' as const, seconds: par } })),
      { workout: parseWorkout(workout).workout, score: { kind: 'time' as const, seconds: par * 2 } },
    ]);
    expect(oneBadDay.fitness).toBeGreaterThan(0.94);
    // Huber's weights: ten times the distance does not move ten times as far
    const [near, far] = [-0.2, -2].map(
      (log) =>
        posteriorFitness(
          [
            { log, spread: 0.08 },
            { log: 0, spread: 0.08 },
            { log: 0, spread: 0.08 },
          ],
          0.12,
        ).log,
    );
    expect(far! / near!).toBeLessThan(2);
  });
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
      { seed: 21, numRuns: cases(30, 60) },
    );
  });
});

describe('monotone for random people and workouts', () => {
  /** what is worse is larger; where the clock is fixed and stations rotate, work may move from one to the next, which is allowed a few per cent (docs/model.md) */
  const worse = (text: string, seed: number, change: (slot: Slot, part: Part) => Slot, fitness = 1): { cost: number; grace: number }[] => {
    const { workout } = parseWorkout(text);
    const changed = { ...workout, parts: workout.parts.map((part) => mapSlots(part, (slot) => change(slot, part))) };
    const run = walkProgram(compile(changed, estimateCapacity(randomAthlete(seed))), { form: formAtFitness(fitness) });
    return run.parts.map((part, index) => {
      const { kind } = changed.parts[index]!;
      const told = scoredParts(changed).includes(index);
      return {
        cost: !told ? 0 : part.unit === 'seconds' ? part.score : 1 / Math.max(0.05, part.score),
        grace: kind === 'amrap' || kind === 'forTime' ? 1.001 : 1.07,
      };
    });
  };
  const asIs = (slot: Slot): Slot => slot;
  test('fitter never predicts worse', () => {
    for (const seed of seedsTo(24, 60)) {
      const text = randomWorkout(seed);
      let before: { cost: number; grace: number }[] | null = null;
      for (const fitness of [0.7, 0.8, 0.9, 1, 1.1, 1.25, 1.4]) {
        const now = worse(text, seed, asIs, fitness);
        now.forEach(({ cost, grace }, index) => before && expect([seed, fitness, cost <= before[index]!.cost * grace]).toEqual([seed, fitness, true]));
        before = now;
      }
    }
  });
  test('heavier is never faster', () => {
    for (const seed of seedsTo(24, 60)) {
      const text = randomWorkout(seed);
      const heavier = worse(text, seed, (slot, part) =>
        slot.load?.kind === 'mass' && part.kind !== 'maxLoad' && part.kind !== 'strength'
          ? { ...slot, load: { ...slot.load, men: slot.load.men * 1.06, women: slot.load.women * 1.06 } }
          : slot,
      );
      worse(text, seed, asIs).forEach(({ cost, grace }, index) => expect([seed, heavier[index]!.cost * grace >= cost]).toEqual([seed, true]));
    }
  });
  test('more reps are never done sooner', () => {
    for (const seed of seedsTo(24, 60)) {
      const text = randomWorkout(seed);
      if (!text.includes('for time') && !text.includes('3 sets')) continue;
      const more = worse(text, seed, (slot) =>
        slot.count.kind === 'fixed' ? { ...slot, count: { ...slot.count, men: slot.count.men + 1, women: slot.count.women + 1 } } : slot,
      );
      worse(text, seed, asIs).forEach(({ cost }, index) => expect([seed, more[index]!.cost >= cost]).toEqual([seed, true]));
    }
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
  test('chooses among the splits a coach would write, and none of them walks better than the plan by a hundredth', () => {
    const { workout } = parseWorkout('for time, cap 30:00\n4 rounds\n  15 pull-up\n  15 push-up');
    const plan = planPacing(workout, referenceCapacity('men'));
    const program = compile(workout, referenceCapacity('men'));
    const days = [1, 0.85, 1.12];
    const total = (first: readonly number[]): number =>
      days.reduce(
        (sum, local) =>
          sum + walkProgram(program, { form: { ...usualForm, local }, splits: (_part, slot) => (slot === 0 ? first : plan.slots[1]!.later) }).parts[0]!.score,
        0,
      );
    const [chosen] = plan.slots;
    expect(splitsFor(15)).toContainEqual([...chosen!.later]);
    for (const split of splitsFor(15)) expect(total(split)).toBeGreaterThan(total(chosen!.later) * 0.97);
    expect(chosen!.later.length).toBeGreaterThan(1);
    expect(chosen!.breakSeconds).toBeGreaterThanOrEqual(5);
    expect(chosen!.breakSeconds).toBeLessThanOrEqual(20);
    expect(chosen!.planB).toMatch(/fail/);
  });
  test('a plan is told in the slot’s own unit', () => {
    const told = planPacing(parseWorkout('AMRAP 12:00\n40 m shuttle run\n12 cal row\n10 push-up').workout, referenceCapacity('men')).slots.map(pacingSentence);
    expect(told[0]).toMatch(/^shuttle run: 40 m in one go/);
    expect(told[1]).toMatch(/^row: 12 cal in one go/);
    expect(told[2]).toMatch(/^push-up: 10 in one go/);
  });
  test('splits add up to their count', () => {
    for (let count = 1; count <= 60; count++) for (const split of splitsFor(count)) expect(split.reduce((sum, each) => sum + each, 0)).toBe(count);
  });
  // T6, common practice: five or six attempts, one each 60–70 s, in 5–10 lb steps
  test('T6: seven minutes hold six attempts in 2.5–5 kg steps', () => {
    const list = attemptLadder(83, 420);
    expect(list.map((each) => each.kg)).toEqual([57.5, 62.5, 67.5, 72.5, 77.5, 82.5]);
    for (let at = 1; at < list.length; at++) expect(list[at]!.atSeconds - list[at - 1]!.atSeconds).toBeGreaterThanOrEqual(60);
  });
  test('T13: says where time is called and which slots nobody reaches', () => {
    const { workout } = parseWorkout('for time, cap 8:00\n80 pull-up\n80 push-up\n80 thruster @ 42.5/30 kg\n2000 m run');
    const { run } = predictWorkout(workout, referenceCapacity('men'), { seed: 1, runs: 1 });
    const [warning] = runWarnings(workout.parts, run);
    expect(warning?.code).toBe('not_reached');
    expect(warning?.message).toMatch(/never reached: .*run/);
    expect(planPacing(workout, referenceCapacity('men')).neverReached.map((each) => each.slot)).toContain(3);
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

test.each([
  ['all reps where nothing is done for most', 'EMOM 10:00\n1: 12 burpee\n2: 15 kettlebell swing @ 24/16 kg\nscore: reps', 5 * 27],
  ['those of what is done for most, where something is', 'EMOM 4:00\n1: max burpee\n2: 15 air squat\nscore: reps', null],
])('reps on a fixed clock: %s', (_what, text, reps) => {
  const { unit, score: predicted } = headline(parseWorkout(text).workout, walkProgram(compile(parseWorkout(text).workout, referenceCapacity('men'))));
  expect(unit).toBe('reps');
  if (reps !== null) expect(predicted).toBeCloseTo(reps, 6);
  else expect(predicted).toBeGreaterThan(25);
  if (reps === null) expect(predicted).toBeLessThan(60);
});
