import { describe, expect, test } from '@jest/globals';
import {
  adapt,
  boardShift,
  compareScores,
  elasticityOf,
  equivalentOf,
  estimateCapacity,
  fitsKind,
  formatScore,
  meanSetFromClock,
  parOf,
  placeResults,
  parseWorkout,
  planClock,
  prepare,
  readDone,
  readScore,
  referenceAthlete,
  referenceCapacity,
  defaultRules,
  scoredParts,
  compile,
  walkProgram,
  formAtFitness,
  repsPerRound,
  usualCautions,
  weigh,
  type Athlete,
  type BoardRow,
  type Workout,
} from '../src/index';
import { randomAthlete } from './people';
import { sampleText } from './samples';

const workout = (text: string) => parseWorkout(text).workout;

describe('readScore', () => {
  test.each([
    ['8:41', { kind: 'time', seconds: 521 }],
    ['7+12', { kind: 'rounds', rounds: 7, reps: 12 }],
    ['CAP+14', { kind: 'capped', repsLeft: 14 }],
    ['182', { kind: 'reps', reps: 182 }],
    ['92.5 kg', { kind: 'load', kg: 92.5 }],
    ['4:02 3:58 4:10', { kind: 'sets', seconds: [242, 238, 250] }],
    ['done', { kind: 'done', done: true }],
  ])('%j', (text, score) => {
    expect(readScore(text)).toEqual(score);
    expect(readScore(formatScore(readScore(text)!))).toEqual(score);
  });
  test.each(['fast', '8:61', '7+', '', '-5'])('%j is no score', (text) => expect(readScore(text)).toBeNull());
  test('a score must fit its kind', () => {
    expect(fitsKind(readScore('8:41')!, 'rounds')).toBe(false);
    expect(fitsKind(readScore('CAP+3')!, 'time')).toBe(true);
  });
});

describe('equivalents', () => {
  const asWritten = (text: string, scores: readonly string[]): BoardRow[] =>
    compareScores(
      workout(text),
      scores.map((score) => ({
        athlete: { ...referenceAthlete('men'), name: score },
        version: workout(text),
        versionName: 'as written',
        scoreText: score,
        score: readScore(score)!,
      })),
    );
  test('a max is read as a max: each its own equivalent, the index in proportion', () => {
    const rows = asWritten('max load in 12:00\n1 clean', ['100 kg', '180 kg', '60 kg']);
    expect(rows.map(({ score, equivalent }) => [score, equivalent!.median])).toEqual([
      ['180 kg', 180],
      ['100 kg', 100],
      ['60 kg', 60],
    ]);
    expect(rows[0]!.index! / rows[1]!.index!).toBeCloseTo(1.8, 2);
    for (const { equivalent } of rows) expect(equivalent!.high / equivalent!.low).toBeGreaterThan(1.05);
  });
  test('far past the cap a rep less is still worth a second', () => {
    const rows = asWritten('for time, cap 8:00\n5 rounds\n  15 burpee\n  20 air squat', ['CAP+140', 'CAP+60', 'CAP+10', '7:50']);
    expect(rows.map(({ equivalent }) => Math.round(equivalent!.median))).toEqual([470, 490, 540, 620]);
    expect(new Set(rows.map(({ index }) => index)).size).toBe(4);
  });
  test('T11: a clock of 11:32 with two 1:00 rests is 3:11 a set', () => expect(Math.round(meanSetFromClock(692, 3, 60))).toBe(191));
  test('a score in the workout as written is its own equivalent', () => {
    const original = workout(sampleText('breakwater'));
    const result = equivalentOf(original, { athlete: referenceAthlete('men'), version: original, score: { kind: 'rounds', rounds: 9, reps: 0 } })!;
    expect(result.median).toBeCloseTo(9, 2);
    expect(result.low).toBeLessThan(9);
    expect(result.high).toBeGreaterThan(9);
  });
  test('the fitness that made a score in a version is found again', () => {
    const original = workout('for time, cap 15:00\n5 rounds\n  10 kettlebell swing @ 24/16 kg\n  10 pull-up\n  200 m run');
    for (const seed of [2, 3, 8]) {
      const athlete: Athlete = { ...randomAthlete(seed), level: 'trained' };
      const { workout: version } = adapt(original, athlete, { runs: 2 });
      const program = compile(version, estimateCapacity(athlete));
      const time = walkProgram(program, { form: formAtFitness(1.08) }).parts[0]!;
      if (time.reached) continue;
      const done = { athlete, version, score: { kind: 'time', seconds: time.score } } as const;
      const apparent = Math.exp(readDone(original, done)!.apparent);
      const { fitness } = equivalentOf(original, done)!;
      expect(apparent).toBeGreaterThan(1.04);
      expect(apparent).toBeLessThan(1.12);
      expect(fitness).toBeGreaterThan(1);
      expect(fitness).toBeLessThanOrEqual(apparent);
    }
  });
  describe('a board on a day when everybody is a fifth slower', () => {
    const original = workout('for time, cap 30:00\n5 rounds\n  10 kettlebell swing @ 24/16 kg\n  10 pull-up\n  200 m run');
    const version = workout('for time, cap 30:00\n5 rounds\n  10 dumbbell swing @ 20/12.5 kg\n  12 ring row\n  200 m run');
    const row = (name: string, done: Workout) => ({
      athlete: { ...referenceAthlete('men'), name },
      version: done,
      versionName: '',
      score: { kind: 'time' as const, seconds: 1.2 * parOf(done, referenceCapacity('men')) },
      scoreText: '',
    });
    const rows = [...[1, 2, 3, 4].map((index) => row(`written ${index}`, original)), ...[1, 2, 3, 4].map((index) => row(`swapped ${index}`, version))];
    const gap = (board: readonly BoardRow[]): number => {
      const indexOf = (name: string): number => board.find((each) => each.athlete === name)!.index!;
      return indexOf('swapped 1') - indexOf('written 1');
    };
    test('does not favour those whose versions are believed less', () => {
      const alone = gap([...compareScores(original, [rows[0]!]), ...compareScores(original, [rows[4]!])]);
      expect(gap(compareScores(original, rows))).toBeLessThan(alone);
      expect(boardShift(rows.map((each) => weigh(readDone(original, each)!)))).toBeLessThan(-0.05);
    });
    test('and a board of one moves but little', () => {
      const alone = boardShift([weigh(readDone(original, rows[4]!)!)]);
      expect(Math.abs(alone)).toBeLessThan(Math.abs(boardShift(rows.map((each) => weigh(readDone(original, each)!)))));
    });
  });
  test('past results are expected of an athlete, and a version that tells little leaves him there', () => {
    const original = workout('for time, cap 40:00\n3 rounds\n  400 m run\n  30 sit-up');
    const version = workout('for time, cap 40:00\n3 rounds\n  100 s jog on the spot\n  60 s plank');
    const par = parOf(version, referenceCapacity('men'));
    const fit: Athlete = {
      ...referenceAthlete('men'),
      results: Array.from({ length: 6 }, () => ({ workout: 'for time, cap 40:00\n3000 m run', score: '10:40' })),
    };
    const at = (athlete: Athlete) => equivalentOf(original, { athlete, version, score: { kind: 'time', seconds: par } })!;
    expect(at(fit).fitness).toBeGreaterThan(1.05);
    expect(at(fit).median).toBeLessThan(at(referenceAthlete('men')).median);
  });
  test('however much is known of an athlete, today’s score is heard: ten past results leave it a third of the say', () => {
    const original = workout('for time, cap 40:00\n5 rounds\n  400 m run\n  20 air squat');
    const version = workout('for time, cap 40:00\n5 rounds\n  400 m run\n  20 step-up @ 45 cm');
    const known: Athlete = {
      ...referenceAthlete('men'),
      results: Array.from({ length: 10 }, (_, at) => ({ workout: `for time, cap 40:00\n${2000 + 200 * at} m run`, score: at % 2 ? '9:30' : '10:10' })),
    };
    const trust = (athlete: Athlete): number => weigh(readDone(original, { athlete, version, score: { kind: 'time', seconds: 900 } })!).trust;
    expect(trust(known)).toBeGreaterThan(0.33);
    expect(trust(known)).toBeLessThan(trust(referenceAthlete('men')));
    expect(weigh(readDone(original, { athlete: known, version: original, score: { kind: 'time', seconds: 900 } })!).trust).toBe(1);
  });
  test('namesakes on one board keep their own results', () => {
    const original = workout('AMRAP 10:00\n10 burpee\n10 air squat');
    const result = (id: number, rounds: number) => ({
      id,
      athlete: referenceAthlete('men'),
      version: original,
      versionName: 'original',
      score: { kind: 'rounds' as const, rounds, reps: 0 },
      scoreText: `${rounds}+0`,
    });
    expect(placeResults(original, [result(1, 6), result(2, 9), result(3, 9)]).map(({ row, result: own }) => [own.id, row.score, row.rank])).toEqual([
      [2, '9+0', 1],
      [3, '9+0', 1],
      [1, '6+0', 3],
    ]);
  });
  test('the reference athlete at par has index 100, and a better score a higher one, for times too', () => {
    const original = workout('for time, cap 15:00\n21-15-9\nthruster @ 42.5/30 kg\npull-up');
    const athlete = referenceAthlete('men');
    const par = parOf(original, referenceCapacity('men'));
    const row = (seconds: number, name: string) => ({
      athlete: { ...athlete, name },
      version: original,
      versionName: 'original',
      score: { kind: 'time' as const, seconds },
      scoreText: '',
    });
    const board = compareScores(original, [row(par * 1.1, 'slow'), row(par, 'par'), row(par * 0.9, 'fast')]);
    expect(board.map((each) => each.athlete)).toEqual(['fast', 'par', 'slow']);
    expect(board[1]!.index).toBeCloseTo(100, 0);
    expect(board[0]!.index).toBeGreaterThan(105);
  });
  test('reps left at the cap keep their order, and ties share a rank', () => {
    const original = workout('for time, cap 4:00\n21-15-9\nthruster @ 42.5/30 kg\npull-up');
    const athlete = referenceAthlete('men');
    const row = (repsLeft: number, name: string) => ({
      athlete: { ...athlete, name },
      version: original,
      versionName: 'original',
      score: { kind: 'capped' as const, repsLeft },
      scoreText: `CAP+${repsLeft}`,
    });
    const board = compareScores(original, [row(30, 'thirty'), row(4, 'four'), row(4, 'also four')]);
    expect(board.map((each) => each.rank)).toEqual([1, 1, 3]);
    expect(board[2]!.athlete).toBe('thirty');
  });
  test('verdicts: in the window, too light, too heavy, paced wrong', () => {
    const original = workout('3 sets, rest 1:00 between\n  3 rounds\n    10 air squat\n    10 push-up\nscore: each set\nwindow: 3:00-4:30 per set');
    const row = (seconds: number[]) => ({
      athlete: referenceAthlete('men'),
      version: original,
      versionName: 'original',
      score: { kind: 'sets' as const, seconds },
      scoreText: '',
    });
    const verdict = (seconds: number[]) => compareScores(original, [row(seconds)])[0]!.verdict;
    expect(verdict([200, 210, 220])).toBe('in the window');
    expect(verdict([150, 160, 170])).toMatch(/too light/);
    expect(verdict([300, 300, 310])).toMatch(/over the window/);
    expect(verdict([170, 230, 290])).toMatch(/paced wrong/);
  });
  test('elasticity is near 1 for running and small for held seconds', () => {
    expect(elasticityOf(workout('for time, cap 40:00\n3000 m run'), referenceCapacity('men'))).toBeGreaterThan(0.8);
    expect(elasticityOf(workout('for time, cap 40:00\n5 rounds\n  60 s plank\n  60 s wall sit'), referenceCapacity('men'))).toBeLessThan(0.3);
  });
  test('metres and calories count one rep each 10 m and calorie', () => {
    const program = compile(workout('AMRAP 12:00\n200 m row\n10 cal row\n5 burpee'), referenceCapacity('men'));
    expect(repsPerRound(program, 0, 0)).toBe(35);
    expect(scoredParts(workout('rest 1:00\n\nAMRAP 5:00\n5 burpee'))).toEqual([1]);
  });
});

describe('planClock', () => {
  const cues = (text: string) => planClock(workout(text)).cues.map((cue) => [cue.atSeconds, cue.kind]);
  test('T4: 4 on, 2 off, 4, 2, 3, 2, 3 ends at 20:00', () => {
    const plan = planClock(workout('4 on / 2 off / 4 / 2 / 3 / 2 / 3\npush-up'));
    expect(plan.totalSeconds).toBe(1200);
    expect(plan.cues.map((cue) => cue.atSeconds)).toEqual([0, 240, 360, 600, 720, 900, 1020, 1200]);
  });
  test('EMOM minutes, rests and caps', () => {
    expect(cues('EMOM 3:00\n5 burpee')).toEqual([
      [0, 'interval'],
      [60, 'interval'],
      [120, 'interval'],
      [180, 'end'],
    ]);
    expect(cues(sampleText('two-tides'))).toEqual([
      [0, 'cap'],
      [540, 'rest'],
      [840, 'cap'],
      [1560, 'end'],
    ]);
  });
  test('an open piece has no fixed end', () => expect(planClock(workout('3 rounds\n  5 burpee')).totalSeconds).toBeNull());
});

describe('prepare', () => {
  test('always carries the usual cautions and clears nobody', () => {
    const preparation = prepare(workout(sampleText('breakwater')), referenceAthlete('women'), defaultRules);
    for (const caution of usualCautions) expect(preparation.cautions).toContain(caution);
    expect(preparation.warmUp.length).toBeGreaterThan(1);
    expect(preparation.standards.map((each) => each.movement)).toContain('toes-to-bar');
  });
  test('the miniature school ends in 5:00 off', () =>
    expect(prepare(workout(sampleText('breakwater')), referenceAthlete('women'), { ...defaultRules, warmUp: 'miniature' }).warmUp.at(-1)).toBe(
      'Then 5:00 off',
    ));
});
