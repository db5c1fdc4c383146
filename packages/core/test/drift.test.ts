/** Drift: its signs, its weights, and that what is known without a simulation never promises too much. */
import { describe, expect, test } from '@jest/globals';
import { adapt, compile, defaultRules, deriveIntent, insideWindow, referenceCapacity, stimulusOf, walkProgram } from '../src/index';
import { combineDrift, driftOf, noDrift } from '../src/adapt/told/drift';
import { bandOf, timeDriftOf } from '../src/adapt/part/band';
import type { PartIntent } from '../src/stimulus/intent';
import { withKit, workout } from './asking';

const capacity = referenceCapacity('men');
const intentOf = (text: string): PartIntent => deriveIntent(workout(text), 'men', defaultRules).parts[0]!;
const driftBetween = (meant: string, done: string) => {
  const intent = intentOf(meant);
  const program = compile(workout(done), capacity);
  const result = walkProgram(program).parts[0]!;
  return driftOf(intent, stimulusOf(program, 0, result), timeDriftOf(bandOf(workout(meant).parts[0]!, intent, false)!, result.score), 0);
};

describe('each part of the drift has its sign', () => {
  const written = 'for time, cap 30:00\n5 rounds\n  10 front squat @ 60 kg\n  200 m run';
  test('none against itself', () => {
    const drift = driftBetween(written, written);
    expect(drift.total).toBeCloseTo(0, 2);
    for (const part of ['load', 'pattern', 'muscles', 'volume', 'breathing', 'grip', 'skill', 'comparability'] as const) expect(drift[part]).toBeCloseTo(0, 6);
  });
  test.each([
    ['more rounds', 'for time, cap 30:00\n7 rounds\n  10 front squat @ 60 kg\n  200 m run', { time: 1, volume: 1 }],
    ['fewer rounds', 'for time, cap 30:00\n3 rounds\n  10 front squat @ 60 kg\n  200 m run', { time: -1, volume: -1 }],
    ['more load', 'for time, cap 30:00\n5 rounds\n  10 front squat @ 80 kg\n  200 m run', { load: 1 }],
    ['less load', 'for time, cap 30:00\n5 rounds\n  10 front squat @ 30 kg\n  200 m run', { load: -1 }],
    ['a skill in place of squats', 'for time, cap 30:00\n5 rounds\n  10 ring muscle-up\n  200 m run', { skill: 1, pattern: 1, muscles: 1 }],
    ['hanging in place of squats', 'for time, cap 30:00\n5 rounds\n  10 toes-to-bar\n  200 m run', { grip: 1, pattern: 1 }],
    ['holding still in place of the run', 'for time, cap 30:00\n5 rounds\n  10 front squat @ 60 kg\n  50 s plank', { breathing: -1, comparability: 1 }],
  ] as const)('%s', (_what, done, signs) => {
    const drift = driftBetween(written, done);
    for (const [part, sign] of Object.entries(signs)) expect([part, Math.sign(drift[part as keyof typeof signs])]).toEqual([part, sign]);
    expect(drift.total).toBeGreaterThan(0);
    expect(drift.total).toBeLessThan(1);
  });
  test('a run rowed is half a change: it stays breathing work', () => {
    const run = 'for time, cap 30:00\n5 rounds\n  10 front squat @ 60 kg\n  400 m run';
    const rowed = driftBetween(run, run.replace('400 m run', '500 m row'));
    const pressed = driftBetween(run, run.replace('400 m run', '30 strict press @ 20 kg'));
    expect(rowed.pattern).toBeGreaterThan(0);
    expect(rowed.pattern).toBeLessThan(0.5 * pressed.pattern);
  });
  test('another kind of score is priced', () => {
    const program = compile(workout(written), capacity);
    const result = walkProgram(program).parts[0]!;
    const [same, other] = [0, 1].map((scoreType) => driftOf(intentOf(written), stimulusOf(program, 0, result), 0, scoreType).total);
    expect(other).toBeGreaterThan(same! + 0.2);
  });
});

describe('time', () => {
  test('nothing inside the band; outside it the signed share of the nearest edge', () => {
    const windowed = 'AMRAP 12:00\n10 burpee\nwindow: 7-10 rounds';
    const met = { ...intentOf(windowed), stimulus: { ...intentOf(windowed).stimulus, score: 8 } };
    const rounds = bandOf(workout(windowed).parts[0]!, met, false)!;
    // give or take five per cent of the edges
    expect(rounds).toMatchObject({ low: 7 * 0.95, high: 10 * 1.05 });
    expect([6.65, 8, 10.5].map((score) => timeDriftOf(rounds, score))).toEqual([0, 0, 0]);
    expect(timeDriftOf(rounds, 3.325)).toBeCloseTo(1, 9);
    expect(timeDriftOf(rounds, 21)).toBeCloseTo(-0.5, 9);
    const text = 'for time, cap 20:00\n50 burpee';
    const time = bandOf(workout(text).parts[0]!, { ...intentOf(text), stimulus: { ...intentOf(text).stimulus, score: 200 } }, false)!;
    expect(time).toMatchObject({ low: 150, high: 250 });
    expect([timeDriftOf(time, 300), timeDriftOf(time, 120)]).toEqual([expect.closeTo(0.2, 9), expect.closeTo(-0.2, 9)]);
  });
  test('the window is met on its bounds, and says nothing of another unit', () => {
    const intent = intentOf('AMRAP 12:00\n10 burpee\nwindow: 7-10 rounds');
    expect([6.99, 7, 10, 10.01].map((score) => insideWindow(intent, 'amrap', score))).toEqual([false, true, true, false]);
    expect(insideWindow(intent, 'forTime', 8)).toBeNull();
    expect(insideWindow(intentOf('AMRAP 12:00\n10 burpee'), 'amrap', 8)).toBeNull();
  });
  test('the one thing that must hold weighs double', () => {
    const text = 'for time, cap 20:00\n4 rounds\n  10 push-up\n  200 m run\nintent: hold the time';
    const plain = intentOf(text.replace('\nintent: hold the time', ''));
    const held = { ...plain, weights: { ...plain.weights, time: 2 } };
    const program = compile(workout(text), capacity);
    const result = walkProgram(program).parts[0]!;
    const late = stimulusOf(program, 0, result);
    const [once, twice] = [plain, held].map((intent) => -Math.log(1 - driftOf(intent, late, 0.2, 0).total));
    expect(twice! / once!).toBeCloseTo(2, 1);
  });
});

test('parts count by their length, and one changed kind of score is a changed kind of score', () => {
  const half = { ...noDrift, total: 0.5, time: -0.4, scoreType: 1 };
  expect(
    combineDrift([
      { drift: half, seconds: 300 },
      { drift: noDrift, seconds: 900 },
    ]),
  ).toMatchObject({ total: 0.125, time: -0.1, scoreType: 1 });
  expect(combineDrift([{ drift: half, seconds: 0 }])).toEqual(noDrift);
});

test('a full kit and the reference drift least; every piece of kit lost never brings the version nearer', () => {
  const text = 'AMRAP 14:00\n7 db push press @ 2x17.5 kg\n9 toes-to-bar\n40 m shuttle run';
  const kits = [['dumbbell 17.5 kg x 2', 'pull-up bar', 'wall'], ['dumbbell 17.5 kg x 2', 'wall'], ['wall'], []];
  const totals = kits.map((kit) => adapt(workout(text), withKit(kit), { runs: 1 }).drift.total);
  for (let at = 1; at < totals.length; at++) expect(totals[at]!).toBeGreaterThanOrEqual(totals[at - 1]! - 1e-9);
});
