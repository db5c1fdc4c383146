import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  adapt,
  findMovement,
  formatWorkout,
  movements,
  nearestMovements,
  parseWorkout,
  plainName,
  slotsOfPart,
  wordsOf,
  schedule,
  ticksOf,
} from '../src/index';
import { withKit } from './asking';
import { cases } from './cases';
import { sampleNames, sampleText } from './samples';

const read = (text: string) => parseWorkout(text);
const part = (text: string, index = 0) => read(text).summary.parts[index]!;

describe('parseWorkout on the sample texts', () => {
  test.each(sampleNames)('%s reads without an error or a warning', (name) => {
    expect(read(sampleText(name)).diagnostics.filter((each) => each.level !== 'info')).toEqual([]);
  });
  test.each(sampleNames)('%s comes back from its canonical text, and formatting again changes nothing', (name) => {
    const { workout } = read(sampleText(name));
    const text = formatWorkout(workout);
    expect(read(text).workout).toEqual(workout);
    expect(formatWorkout(read(text).workout)).toBe(text);
  });
  test.each([
    [
      'breakwater',
      0,
      {
        kind: 'amrap',
        seconds: 840,
        reps: { 'dumbbell-push-press': 7, 'toes-to-bar': 9, 'shuttle-run': 40 },
        window: { low: 8, high: 10, unit: 'rounds', per: 'part' },
        score: 'rounds',
      },
    ],
    ['two-tides', 0, { kind: 'forTime', capSeconds: 540, rounds: 3, reps: { 'kettlebell-swing': 48, 'box-jump-over': 48 }, score: 'time' }],
    ['two-tides', 1, { kind: 'rest', seconds: 300 }],
    ['two-tides', 2, { kind: 'forTime', capSeconds: 720, reps: { 'double-under': 100, row: 100 } }],
    [
      'lantern-room',
      0,
      {
        kind: 'windows',
        seconds: 1260,
        reps: { 'chin-up': 54, 'ring-dip': 72, 'walking-lunge': 108, row: 300, 'dumbbell-snatch': 24, 'farmer-carry': 60 },
        score: 'eachSet',
      },
    ],
    ['bilge-pump', 0, { kind: 'every', seconds: 720, rounds: 4, reps: { row: 48, 'side-plank': 160, 'dumbbell-strict-press': 40 } }],
    ['bilge-pump', 2, { kind: 'intervals', seconds: 240, reps: {} }],
    ['cargo', 0, { kind: 'strength', seconds: 900, reps: { 'back-squat': 25 }, score: 'load' }],
    ['cargo', 2, { kind: 'maxLoad', seconds: 420, score: 'load' }],
    [
      'harbour-wall',
      0,
      { kind: 'forTime', reps: { 'jumping-squat': 90, 'dumbbell-floor-press': 42 }, window: { low: 480, high: 660, unit: 'seconds', per: 'part' } },
    ],
    [
      'night-watch',
      0,
      {
        kind: 'amrap',
        seconds: 660,
        score: 'sum',
        window: { low: 8, high: null, usual: 12, unit: 'rounds', per: 'workout' },
        reps: { 'dumbbell-hang-power-clean': 6, 'dumbbell-push-press': 6, 'reverse-lunge': 6, 'jumping-squat': 3, 'ring-row': 8 },
      },
    ],
    [
      'night-watch',
      1,
      {
        kind: 'forTime',
        sets: 3,
        score: 'eachSet',
        window: { low: 180, high: 270, unit: 'seconds', per: 'set' },
        reps: { row: 2250, deadlift: 72, 'hanging-knee-raise': 90 },
      },
    ],
    ['spare-parts', 0, { kind: 'forTime', rounds: 5, reps: { 'power-clean': 40, 'any-squat': 40, 'any-press': 40 } }],
    ['spare-parts', 1, { kind: 'every', seconds: 1440, score: 'reps', reps: { run: 1200 } }],
    ['spare-parts', 4, { kind: 'intervals', seconds: 960, rounds: 4, reps: { 'floor-press': 120, 'flutter-kick': 120 } }],
  ])('%s, part %i', (name, index, expected) => {
    expect(part(sampleText(name), index)).toMatchObject(expected);
  });
  test('an intent in several lines is kept whole, of a part as of the workout', () => {
    const { workout } = parseWorkout('# Squall\nintent: short\n\nintent: for the crew\n\nAMRAP 5:00\n5 burpee\nintent: light\n\nintent: pulling must stay\n');
    expect([workout.intent, workout.parts[0]!.intent]).toEqual(['short; for the crew', 'light; pulling must stay']);
  });
  test('keeps tiers apart from the workout', () => {
    const { workout } = read(sampleText('harbour-wall'));
    expect(workout.parts).toHaveLength(1);
    expect(workout.tiers.map((tier) => tier.name)).toEqual(['no kit, 30 min, newer']);
  });
});

// T5 and the running clock: exact totals, common practice
describe('totals', () => {
  test.each([
    ['for time, cap 9:00\n21-15-9\nthruster @ 40 kg', 45],
    ['for time, cap 9:00\n21-15-9-9-9\nthruster @ 40 kg', 63],
    ['for time, cap 9:00\n50-40-30-20-10\nthruster @ 40 kg', 150],
  ])('%j has %i reps', (text, reps) => expect(part(text).reps['thruster']).toBe(reps));
  test('an EMOM of 16:00 with 4 stations is 4 rounds', () => {
    expect(part('EMOM 16:00\n1: 5 push-up\n2: 5 air squat\n3: 5 sit-up\n4: 5 burpee')).toMatchObject({ seconds: 960, rounds: 4, reps: { 'push-up': 20 } });
  });
  test('4 on, 2 off, 4, 2, 3, 2, 3 is 20:00', () => expect(part('4 on / 2 off / 4 / 2 / 3 / 2 / 3\npush-up').seconds).toBe(1200));
  test('per side counts both sides', () => expect(part('3 rounds\n  5 dumbbell row, each side @ 20 kg').reps['dumbbell-row']).toBe(30));
});

describe('forgiving reading', () => {
  test.each([
    ['AMRAP 12 min', 720],
    ['12 min amrap', 720],
    ["amrap 12'", 720],
    ['AMRAP 12', 720],
    ['As many rounds as possible in 12:00', 720],
  ])('%j lasts %i s', (header, seconds) => expect(part(`${header}\n5 push-ups\n5 squats`).seconds).toBe(seconds));
  test.each([
    ['10 DB thrusters', 'dumbbell-thruster'],
    ['10 T2B', 'toes-to-bar'],
    ['10 KB Swings', 'kettlebell-swing'],
    ['10 BB deadlifts', 'deadlift'],
    ['50 DUs', 'double-under'],
    ['10 pushups', 'push-up'],
    ['400m run', 'run'],
    ['run 400 m', 'run'],
    ['10 Strict Pull-Ups', 'strict-pull-up'],
    ['10 single-leg RDL, each side', 'single-leg-romanian-deadlift'],
  ])('%j is %s', (line, id) => expect(Object.keys(part(`AMRAP 10:00\n${line}\n5 burpees`).reps)[0]).toBe(id));
  test('reads pounds as exact kilograms (NIST SP 811: 0.453 592 37)', () => {
    const slot = read('AMRAP 10:00\n5 thruster @ 95/65 lb\n5 burpee').workout.parts[0];
    expect(slot?.kind === 'amrap' && slot.items[0]?.kind === 'slot' && slot.items[0].load).toMatchObject({ men: 95 * 0.45359237, women: 65 * 0.45359237 });
  });
  test('a pair is said by 2x, not by a figure that begins with 2', () => {
    const slot = read('AMRAP 10:00\n5 kettlebell swing @ 24/16 kg\n5 burpee').workout.parts[0];
    expect(slot?.kind === 'amrap' && slot.items[0]?.kind === 'slot' && slot.items[0].load).toMatchObject({ men: 24, women: 16, count: 1 });
  });
  test('a ladder of its own beside a header ladder stays with its movement', () => {
    expect(part('for time, cap 9:00\n21-15-9\n  pull-up\n  42-30-18: single-under').reps).toEqual({ 'pull-up': 45, 'single-under': 90 });
  });
});

describe('open ladders and chippers', () => {
  test('3-6-9-… grows by three a round', () => {
    expect(part('AMRAP 10:00\n3-6-9-12-...\nthruster @ 40 kg\npull-up').reps).toEqual({ thruster: 3, 'pull-up': 3 });
    expect(formatWorkout(read('AMRAP 10:00\n3-6-9-12-...\nthruster @ 40 kg\npull-up').workout)).toContain('3, +3 each round: thruster @ 40 kg');
  });
  test.each([
    // what is indented with the rounds is repeated, what stands at the header's margin behind them is done once
    ['4 rounds for time, cap 20:00\n  8 clean @ 60 kg\n40 sit-up', '4 rounds\n  8 clean @ 60 kg\n40 sit-up'],
    ['4 rounds for time, cap 20:00\nbuy-in: 500 m row\n8 burpee\ncash-out: 40 sit-up', '500 m row\n4 rounds\n  8 burpee\n40 sit-up'],
    ['5 rounds for time, cap 15:00\n  10 push-up\nrest 1:00', '5 rounds\n  10 push-up\n  rest 1:00'],
    ['3 rounds, not for time\n  10 lunge\ncash-out: 20 sit-up', '3 rounds\n  10 lunge\n20 sit-up'],
  ])('%j: what the rounds repeat, and what is done once', (text, items) =>
    expect(formatWorkout(parseWorkout(text).workout).split('\n').slice(1).join('\n').trim()).toBe(items),
  );
  test('a buy-in and a cash-out are done once', () =>
    expect(part('for time, cap 30:00\nbuy-in: 1000 m row\n3 rounds\n  10 burpee\ncash-out: 50 double-unders').reps).toEqual({
      row: 1000,
      burpee: 30,
      'double-under': 50,
    }));
});

describe('ladders within rounds', () => {
  test('are walked once a round, on the clock too', () => {
    const text = 'for time, cap 30:00\n2 rounds\n  21-15-9: burpee';
    expect(part(text).reps).toEqual({ burpee: 90 });
    expect(schedule(read(text).workout.parts[0]!).flatMap((piece) => (piece.kind === 'work' ? ticksOf(piece.items, piece.pass) : []))).toHaveLength(6);
  });
});

describe('work that interrupts', () => {
  const interrupted = read('for time, cap 20:00\n100 burpee\nevery 1:00: 5 air squat').workout;
  test('is of the part: in its slots, in what it is computed with, and in its text', () => {
    expect(slotsOfPart(interrupted.parts[0]!).map(({ movement }) => movement)).toEqual(['burpee', 'air-squat']);
    expect(adapt(interrupted, withKit([])).version.parts[0]!.slots.map(({ movement }) => movement)).toEqual(['burpee', 'air-squat']);
    expect(formatWorkout(interrupted)).toContain('every 1:00: 5 air squat');
  });
});

describe('diagnostics', () => {
  const codes = (text: string) => read(text).diagnostics.map((each) => `${each.level} ${each.code}`);
  test('an unknown movement is underlined and the nearest named', () => {
    const [problem] = read('AMRAP 10:00\n10 thursters\n5 burpee').diagnostics;
    expect(problem).toMatchObject({ level: 'warning', code: 'unknown_movement', line: 2, column: 4, length: 9, suggestion: 'thruster' });
  });
  test.each([
    ['for time\n3 rounds\n  10 burpee', 'warning no_cap'],
    ['for time, cap 5:00\n100 burpee\nwindow: 8:00-10:00', 'warning cap_before_window'],
    ['EMOM 10:00\n1: 5 burpee\n2: 5 push-up\n3: 5 sit-up', 'warning minutes_do_not_add_up'],
    ['20 s on / 10 s off\nburpee', 'warning no_rounds'],
    ['for time, cap 9:00\n21-15-9: thruster @ 40 kg\n21-15: pull-up', 'warning ladders_disagree'],
    ['EMOM 4:00\n1: 40 s plank, 40 s wall sit\n2: 5 burpee', 'warning holds_over_interval'],
    ['AMRAP 10:00\nburpee\npush-up', 'warning no_count'],
    ['', 'error empty'],
  ])('%j says %s', (text, code) => expect(codes(text)).toContain(code));
  test('the header-less sample without a cap gets a note, not a warning', () => expect(codes('3 rounds\n  10 burpee')).toEqual(['info cap_assumed_open']));
});

describe('the reader never throws', () => {
  const words = fc.constantFrom(
    'AMRAP',
    'for time',
    'EMOM',
    '10',
    '21-15-9',
    '12:00',
    '@',
    '24/16 kg',
    'kettlebell swing',
    'burpee',
    '+',
    '|',
    ',',
    'rest',
    '3 rounds',
    'x',
    '(',
    ')',
    'each side',
    ':',
    '\n',
    '\n  ',
    '#',
    '## tier',
    'score: time',
    'window:',
    '8:00-9:00',
    '¼',
    '–',
  );
  test('on any sequence of whiteboard words (seed 11)', () => {
    fc.assert(
      fc.property(fc.array(words, { maxLength: 30 }), (tokens) => {
        const parsed = read(tokens.join(' '));
        const text = formatWorkout(parsed.workout);
        expect(formatWorkout(read(text).workout)).toBe(text);
      }),
      { seed: 11, numRuns: cases(200, 400) },
    );
  });
});

describe('names', () => {
  test('every movement is found by the words Gambito writes for it', () => {
    for (const each of movements) expect([each.id, findMovement(wordsOf(each.id))]).toEqual([each.id, each.id]);
  });
  test('nearest names of a slip', () => expect(nearestMovements('burpie')[0]).toBe('burpee'));
});

test('a movement nobody knows is called in sentences what it was called in the text', () => {
  const [slot] = slotsOfPart(parseWorkout('AMRAP 12:00\n5 gobblet squats').workout.parts[0]!);
  expect(plainName(slot!)).toBe('gobblet squats');
});
