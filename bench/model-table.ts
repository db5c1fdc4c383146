/** Rows of the trade (common practice) that a prediction can meet, all with the one parameter set. */
import { compile, formatClock, parseWorkout, referenceCapacity, walkProgram, type Category, type Run } from '../packages/core/src/index';

interface Row {
  readonly id: string;
  readonly what: string;
  readonly expected: string;
  readonly text: string;
  readonly read: (run: Run, category: Category) => string;
}
const blocks = (run: Run, slot: number, part = 0): number[] =>
  run.trace.filter((each) => each.slot === slot && each.part === part).map((each) => each.end - each.start);
const span = (values: readonly number[]): string => `${formatClock(Math.min(...values))}–${formatClock(Math.max(...values))}`;
const score = (run: Run): string => (run.parts[0]!.unit === 'rounds' ? `${run.parts[0]!.score.toFixed(1)} rounds` : formatClock(run.parts[0]!.score));
const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;

const rows: readonly Row[] = [
  {
    id: 'T1',
    what: '6 rounds of 400 m, 21 swings, 7 strict toes-to-bar',
    expected: '≤ 5:00 a round, cap 30:00',
    text: 'for time, cap 30:00\n6 rounds\n  400 m run\n  21 kettlebell swing @ 24/16 kg\n  7 strict toes-to-bar',
    read: (run) => `${score(run)}; 400 m ${span(blocks(run, 0))}, swings ${span(blocks(run, 1))}`,
  },
  {
    id: 'T2',
    what: 'AMRAP 12, cleans, jerks, lunges at 115/75 lb',
    expected: '7–10 rounds',
    text: 'AMRAP 12:00\n6 power clean + 6 push jerk, unbroken @ 115/75 lb\n4 x (2 lunge + 1 air squat)',
    read: score,
  },
  {
    id: 'T2',
    what: 'the same at 75/55 lb',
    expected: 'over 10: too light',
    text: 'AMRAP 12:00\n6 power clean + 6 push jerk, unbroken @ 75/55 lb\n4 x (2 lunge + 1 air squat)',
    read: score,
  },
  {
    id: 'T3',
    what: '3 sets of 3 rounds, front squats at 135/95 lb',
    expected: '3:00–4:30 a set',
    text: '3 sets, rest 1:00 between\n  3 rounds\n    20 double-under\n    9 front squat @ 135/95 lb\n    7 toes-to-bar',
    read: (run) => span(run.parts[0]!.sets),
  },
  {
    id: 'T6',
    what: 'best single in 7:00 after a hard piece',
    expected: '80–90 % of the max',
    text: 'for time, cap 12:00\n21-15-9\nthruster @ 42.5/27.5 kg\npull-up\n\nrest 2:00\n\nmax load in 7:00\n1 clean',
    read: (run, category) => `${Math.round((100 * run.parts[2]!.score) / referenceCapacity(category).lifts.clean.value)} %`,
  },
  {
    id: 'T7',
    what: '1500 m row inside a longer piece, per 500 m',
    expected: 'men 1:45–2:05, women 1:55–2:15',
    text: 'for time, cap 40:00\n50 air squat\n1500 m row\n30 push-up\n50 sit-up',
    read: (run) => formatClock(blocks(run, 1)[0]! / 3),
  },
  {
    id: 'C1',
    what: '200 m run inside a workout',
    expected: '45–60 s',
    text: 'for time, cap 20:00\n5 rounds\n  200 m run\n  15 push-up\n  15 air squat',
    read: (run) => span(blocks(run, 0)),
  },
  {
    id: 'C1',
    what: '100 single-unders there',
    expected: 'as a 200 m run',
    text: 'for time, cap 20:00\n5 rounds\n  100 single-under\n  15 push-up\n  15 air squat',
    read: (run) => span(blocks(run, 0)),
  },
  {
    id: 'C1',
    what: '75 jumping jacks there',
    expected: 'as a 200 m run',
    text: 'for time, cap 20:00\n5 rounds\n  75 jumping jack\n  15 push-up\n  15 air squat',
    read: (run) => span(blocks(run, 0)),
  },
  {
    id: 'C3',
    what: '400 m run ↔ 500/400 m row (seconds each)',
    expected: 'equal',
    text: 'for time, cap 30:00\n4 rounds\n  400 m run\n  500/400 m row\n  800 m bike\n  40/28 cal air bike',
    read: (run) => [0, 1, 2, 3].map((slot) => formatClock(mean(blocks(run, slot)))).join(' ↔ '),
  },
  {
    id: 'C13',
    what: 'squat clean 21-15-9 at 135/95 lb',
    expected: 'near the two below',
    text: 'for time, cap 20:00\n21-15-9\nsquat clean @ 135/95 lb',
    read: score,
  },
  {
    id: 'C13',
    what: 'a pair of 50/35 lb, 21-15-9-9-9',
    expected: '',
    text: 'for time, cap 20:00\n21-15-9-9-9\ndumbbell squat clean @ 2x50/35 lb',
    read: score,
  },
  { id: 'C13', what: 'jumping squats 40-30-20-20-20', expected: '', text: 'for time, cap 20:00\n40-30-20-20-20\njumping squat', read: score },
];

export function modelTable(): string {
  const predicted = (row: Row, category: Category): string =>
    row.read(walkProgram(compile(parseWorkout(row.text).workout, referenceCapacity(category)), { trace: true }), category);
  return [
    '| row | what | expected (common practice) | reference man | reference woman |',
    '|---|---|---|---|---|',
    ...rows.map((row) => `| ${row.id} | ${row.what} | ${row.expected} | ${predicted(row, 'men')} | ${predicted(row, 'women')} |`),
  ].join('\n');
}
