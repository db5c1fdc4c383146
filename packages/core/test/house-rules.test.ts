/** House rules act: a probe a row, and the minutes that choose the parts. */
import { describe, expect, test } from '@jest/globals';
import {
  adapt,
  compareScores,
  planPacing,
  referenceAthlete,
  referenceCapacity,
  setsFigure,
  usualScoreRules,
  type ScoreRules,
  type AdaptOptions,
  type HouseRules,
  defaultRules,
  ruleSpecs,
  rulesAtWork,
} from '../src/index';
import { fitText, fitToTime } from '../src/adapt/asked/minutes';
import { slotOf, versionOf, withKit, workout } from './asking';

describe('house rules act', () => {
  const sets = 'every 6:00 x 3, rest what is left\nwindow 1:\n  20 push-up\nwindow 2:\n  30 air squat\nwindow 3:\n  20 sit-up';
  test('rest between pieces: a cap inside the window under that school', () => {
    expect(versionOf(sets, withKit([])).version.parts[0]!.capSeconds).toBeNull();
    expect(versionOf(sets, withKit([]), { restBetween: 'shorterCap' }).version.text).toMatch(/cap 4:30/);
  });
  test('clock: own caps follow the athlete', () => {
    const text = 'for time, cap 30:00\n3 rounds\n  10 burpee\n  15 air squat';
    expect(versionOf(text, withKit([])).version.parts[0]!.capSeconds).toBe(1800);
    expect(versionOf(text, withKit([]), { clock: 'own' }).version.parts[0]!.capSeconds).toBeLessThan(900);
  });
  test('style not said: strict under that school', () =>
    expect(slotOf('AMRAP 10:00\n5 pull-up\n10 air squat', withKit(['pull-up bar']), { styleNotSaid: 'strict' }).movement).toBe('strict-pull-up'));
  test('breaks: singles for heavy lifts, unbroken while fresh', () => {
    const heavy = workout('3 rounds\n  5 deadlift @ 130 kg\n  10 push-up');
    expect(planPacing(heavy, referenceCapacity('men'), null, 'singles').slots[0]!.sets).toEqual([1, 1, 1, 1, 1]);
    expect(planPacing(workout('3 rounds\n  24 push-up\n  10 air squat'), referenceCapacity('men'), null, 'unbroken').slots[0]!.sets).toEqual([24]);
  });
  test('several sets, one score', () => {
    const times = [180, 200, 250];
    expect((['each', 'slowest', 'sum', 'fastestSlowest'] as const).map((school) => setsFigure(times, school))).toEqual([210, 250, 630, 215]);
  });
  test('unfinished at the cap: equivalent time looks past it', () => {
    const original = workout('for time, cap 6:00\n21-15-9\nthruster @ 42.5/30 kg\npull-up');
    const row = {
      athlete: referenceAthlete('men'),
      version: original,
      versionName: 'original',
      score: { kind: 'capped' as const, repsLeft: 20 },
      scoreText: 'CAP+20',
    };
    const median = (unfinished: ScoreRules['unfinished']): number =>
      compareScores(original, [row], null, { ...usualScoreRules, unfinished })[0]!.equivalent!.median;
    expect(median('capPlusReps')).toBeCloseTo(380, 0);
    expect(median('equivalentTime')).toBeGreaterThan(median('capPlusReps'));
    // 45 thrusters and 45 pull-ups, 20 of them left
    const { equivalent, index } = compareScores(original, [row], null, { ...usualScoreRules, unfinished: 'reps' })[0]!;
    expect(equivalent).toMatchObject({ unit: 'reps', median: expect.closeTo(70, 0) });
    expect(equivalent!.low).toBeLessThanOrEqual(equivalent!.median);
    expect(index).toBe(compareScores(original, [row])[0]!.index);
  });
  // a probe a row: under each school the version reads otherwise than under the default, and the explanation names the rule
  test.each([
    ['easierPushUp', ['knees', 'kneesThenRaised'], 'AMRAP 10:00\n12 push-up\n20 sit-up', withKit(['chair 45 cm'], { best_sets: { push_up: 5 } })],
    ['sides', ['blocks'], 'AMRAP 12:00\n12 db push press @ 2x17.5/12.5 kg\n10 sit-up', withKit(['dumbbell 15 kg'])],
    ['noDoubleUnders', ['sameTime', 'hops'], 'AMRAP 12:00\n40 double-under\n10 push-up', withKit(['rope'], { best_sets: { double_under: 2 } })],
    ['otherImplement', ['sameReps'], 'AMRAP 12:00\n9 front squat @ 135/95 lb\n10 push-up', withKit(['dumbbell 10 kg x 2'])],
    [
      'strictMissing',
      ['kipping'],
      'AMRAP 12:00\n7 strict toes-to-bar\n10 push-up',
      withKit(['pull-up bar'], { best_sets: { strict_toes_to_bar: 1, toes_to_bar: 20 } }),
    ],
    [
      'restBetween',
      ['shorterCap'],
      'every 7:00 x 2, rest what is left\nwindow 1:\n  400 m run\n  20 push-up\nwindow 2:\n  400 m run\n  20 sit-up',
      withKit(['run route 400 m']),
    ],
    ['restBetween', ['recovered'], 'AMRAP 5:00 x 2, rest 1:00 between\n10 push-up\n15 air squat', withKit([])],
    ['newerAthlete', ['cutReps', 'lighter'], 'AMRAP 20:00\n10 push-up\n15 air squat', withKit([], { level: 'newer' })],
    ['homeVersion', ['another'], 'AMRAP 12:00\n10 power clean @ 60/40 kg\n10 toes-to-bar\n200 m row', withKit(['chair 45 cm', 'kettlebell 16 kg'])],
    ['clock', ['own'], 'for time, cap 20:00\n5 rounds\n  10 push-up\n  15 air squat', withKit([])],
    ['halfSkill', ['smallSets', 'attempts'], 'AMRAP 12:00\n40 double-under\n10 push-up', withKit(['rope'], { best_sets: { double_under: 12 } })],
    ['halfSkill', ['attempts'], 'AMRAP 12:00\n40 double-under\n10 push-up', withKit(['rope'], { best_sets: { double_under: 4 } })],
    ['loadGone', ['sameReps', 'tempo'], 'AMRAP 10:00\n15 thruster @ 95/65 lb\n10 sit-up', withKit([])],
    ['pullUpsToRows', ['sameTotal'], 'AMRAP 12:00\n10 strict pull-up\n10 push-up', withKit(['dumbbell 22.5 kg'])],
    [
      'runToMachine',
      ['fixedMetres', 'shorter'],
      'for time, cap 20:00\n4 rounds\n  400 m run\n  10 push-up',
      withKit(['rowing machine'], { category: 'women', body_mass: '64 kg' }),
    ],
    [
      'tooFit',
      ['reps'],
      'AMRAP 12:00\n9 front squat @ 60/40 kg\n10 burpee\nwindow: 7-8 rounds',
      withKit(['barbell 20 kg, plates 4x10 4x5 4x2.5 kg'], { level: 'competitive' }),
    ],
    [
      'loadChoice',
      ['heaviest', 'light'],
      'AMRAP 12:00\n10 dumbbell row each side @ 20/14 kg\n200 m run',
      withKit(['adjustable dumbbell 4-40 kg step 2 x 2', 'run route 400 m']),
    ],
    ['squatDepth', ['chair'], 'AMRAP 12:00\n20 air squat\n10 push-up', withKit(['chair 45 cm'], { limits: { squat_depth: 'chair' } })],
    ['styleNotSaid', ['strict'], 'AMRAP 12:00\n5 pull-up\n10 air squat', withKit(['pull-up bar'])],
  ] as const)('%s: %j acts and is named', (rule, schools, text, athlete) => {
    for (const school of schools) {
      const rules = { ...defaultRules, [rule]: school } as HouseRules;
      const atWork = rulesAtWork(workout(text), athlete, { rules });
      expect(atWork.map((each) => each.rule)).toEqual([rule]);
      expect(atWork[0]!.said).toMatch(ruleSpecs[rule].options.find((each) => each.value === school)!.label);
      expect(atWork[0]!.otherwise).toBe(versionOf(text, athlete).version.text);
    }
    expect(rulesAtWork(workout(text), athlete)).toEqual([]);
  });
  test('easier push-up, coach chooses: one stands, both are named, until the coach locks one', () => {
    const text = 'AMRAP 10:00\n12 push-up\n20 sit-up';
    const weak = withKit(['chair 45 cm'], { best_sets: { push_up: 5 } });
    const toChoose = (locks: AdaptOptions['locks'] = []): string[] =>
      adapt(workout(text), weak, { rules: { ...defaultRules, easierPushUp: 'coach' }, locks, runs: 1 })
        .warnings.filter((each) => each.code === 'yours_to_choose')
        .map((each) => each.message);
    expect(toChoose()).toEqual([expect.stringMatching(/raised push-up at 45 cm.*knee push-up|knee push-up.*raised push-up/)]);
    expect(toChoose([{ part: 0, slot: 0, movement: 'knee-push-up' }])).toEqual([]);
    expect(versionOf(text, weak).warnings.map((each) => each.code)).not.toContain('yours_to_choose');
  });
  test('sides and the easier push-up are named where they had a say', () => {
    expect(slotOf('AMRAP 12:00\n12 db push press @ 2x17.5/12.5 kg\n10 sit-up', withKit(['dumbbell 15 kg'])).figures.join()).toMatch(
      /house rule “sides: alternate”/,
    );
    expect(slotOf('AMRAP 10:00\n12 push-up\n20 sit-up', withKit(['table 75 cm'], { best_sets: { push_up: 6 } })).figures.join()).toMatch(
      /house rule “easier push-up: hands raised/,
    );
  });
});

describe('minutes choose the parts', () => {
  const long = workout('3 rounds\n  10 push-up\n  10 air squat\n\nAMRAP 20:00\n10 burpee\n10 sit-up\n\noptional:\n3 rounds\n  10 curl @ 10 kg');
  test('optional work goes first, then the longest part is shortened; what was done is said', () => {
    const fitted = fitToTime(long, [240, 1200, 300], 1800);
    expect(fitted.from).toEqual([0, 1]);
    expect(fitted.leftOut.join(' ')).toMatch(/optional left out/);
    const tight = fitToTime(long, [240, 1200, 300], 1200);
    expect(tight.workout.parts.find((part) => part.kind === 'amrap')).toMatchObject({ seconds: { high: 600 } });
  });
  test('a little too long loses a round, and what cannot lose a figure is not called shortened', () => {
    const rounds = workout('for time, cap 30:00\n6 rounds\n  400 m run\n  15 push-up');
    expect(fitText(rounds, fitToTime(rounds, [1180], 1500), 1500)).toEqual([expect.any(String), '5 of 6 rounds']);
    const chipper = workout('for time, cap 30:00\n8 push-up\n9 sit-up\n10 air squat');
    const same = fitToTime(chipper, [1160], 1500);
    expect(same.workout.parts[0]).toBe(chipper.parts[0]);
    expect(fitText(chipper, same, 1500)).toEqual([]);
  });
  test('a version of 30 minutes fits in 30 minutes, and an athlete without a limit keeps everything', () => {
    const athlete = { ...withKit([]), timeAvailableSeconds: 1500 };
    const adapted = adapt(long, athlete, { runs: 1 });
    expect(adapted.run.totalSeconds).toBeLessThanOrEqual(1500);
    expect(adapted.warnings.map((each) => each.code)).toContain('time_budget');
    expect(adapt(long, withKit([]), { runs: 1 }).version.parts).toHaveLength(3);
  });
  test('a newer athlete stuck in sets for time gets pieces of fixed length instead', () => {
    const text = '3 sets, rest 1:00 between\n  5 rounds\n    400 m run\n    20 burpee\nscore: each set\nwindow: 3:00-4:00 per set';
    const adapted = versionOf(text, withKit(['run route 400 m'], { level: 'newer' }));
    expect(adapted.version.parts[0]).toMatchObject({ kind: 'amrap', setSeconds: 240 });
    expect(adapted.drift.scoreType).toBe(1);
    expect(adapted.warnings.map((each) => each.code)).toContain('part_replaced');
    expect(versionOf(text, withKit(['run route 400 m'])).version.parts[0]!.kind).toBe('forTime');
  });
});
