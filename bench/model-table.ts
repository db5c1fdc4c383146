/**
 * Rows of the trade (common practice) that a prediction can meet, all with the one parameter set of the core.
 * Every figure is computed here; the expected column is what coaches say.
 */
import {
  adapt,
  bouts,
  compile,
  estimateCapacity,
  formatClock,
  parseWorkout,
  planClock,
  referenceAthlete,
  referenceCapacity,
  repsAtShare,
  shareAtReps,
  staggerEquipment,
  summarize,
  walkProgram,
  wordsOf,
  type Athlete,
  type Capacity,
  type Category,
  type Run,
} from '../packages/core/src/index';

interface Row {
  readonly id: string;
  readonly what: string;
  readonly expected: string;
  readonly read: (category: Category) => string;
}

const of = (text: string) => parseWorkout(text).workout;
const walk = (text: string, capacity: Capacity): Run => walkProgram(compile(of(text), capacity), { trace: true });
const blocks = (run: Run, slot: number, part = 0): number[] =>
  run.trace.filter((each) => each.slot === slot && each.part === part).map((each) => each.end - each.start);
const mean = (values: readonly number[]): number => values.reduce((sum, each) => sum + each, 0) / values.length;
const span = (values: readonly number[]): string => `${formatClock(Math.min(...values))}–${formatClock(Math.max(...values))}`;
const scoreOf = (run: Run, part = 0): string =>
  run.parts[part]!.unit === 'rounds' ? `${run.parts[part]!.score.toFixed(1)} rounds` : formatClock(run.parts[part]!.score);
const seconds = (value: number): string => `${value.toFixed(0)} s`;

const own =
  (text: string, read: (run: Run, category: Category) => string): Row['read'] =>
  (category) =>
    read(walk(text, referenceCapacity(category)), category);
/** mean seconds of one bout of each line, each amid the same push-ups and squats, five rounds */
const times =
  (...lines: readonly string[]): Row['read'] =>
  (category) =>
    lines
      .map((line) => seconds(mean(blocks(walk(`for time, cap 60:00\n5 rounds\n  ${line}\n  15 push-up\n  15 air squat`, referenceCapacity(category)), 0))))
      .join(' ↔ ');
/** how hard one bout is: share of the reps at hand, in the middle of a workout */
const shares =
  (...lines: readonly string[]): Row['read'] =>
  (category) =>
    lines.map((line) => `${Math.round(100 * bouts(of(`3 rounds\n  ${line}`), referenceCapacity(category))[0]!.setShare)} %`).join(' ↔ ');
const person = (category: Category, change: Partial<Athlete>): Capacity => estimateCapacity({ ...referenceAthlete(category), ...change });

const pieces = '4 on / 2 off / 4 / 2 / 3 / 2 / 3\npush-up';
const pieceUses = (which: readonly number[]) => {
  const all = planClock(of(pieces)).cues.filter((cue) => cue.kind === 'work');
  return which.map((at) => ({ startSeconds: all[at]!.atSeconds, endSeconds: all[at]!.atSeconds + (all[at]!.lengthSeconds ?? 0) }));
};
const t2 = (load: string): string => `AMRAP 12:00\n6 power clean + 6 push jerk, unbroken @ ${load}\n4 x (2 lunge + 1 air squat)`;
const chipper = 'for time, cap 20:00\n80 double-under\n70 air squat\n60 push-up\n50 sit-up\n40 pull-up\n30 thruster @ 95/65 lb\n20 burpee\n1000 m run';

const rows: readonly Row[] = [
  {
    id: 'T1',
    what: '6 rounds of 400 m, 21 swings, 7 strict toes-to-bar',
    expected: '≤ 5:00 a round, cap 30:00 never met; swings well under 1:00; 400s drift',
    read: own(
      'for time, cap 30:00\n6 rounds\n  400 m run\n  21 kettlebell swing @ 24/16 kg\n  7 strict toes-to-bar',
      (run) => `${scoreOf(run)}; 400 m ${span(blocks(run, 0))}, swings ${span(blocks(run, 1))}`,
    ),
  },
  { id: 'T2', what: 'AMRAP 12, cleans, jerks, lunges at 115/75 lb', expected: '7–10 rounds', read: own(t2('115/75 lb'), (run) => scoreOf(run)) },
  { id: 'T2', what: 'the same at 75/55 lb', expected: 'over 10: too light', read: own(t2('75/55 lb'), (run) => scoreOf(run)) },
  {
    id: 'T3',
    what: '3 sets of 3 rounds, front squats at 135/95 lb',
    expected: '3:00–4:30 a set, slower after the first round',
    read: own('3 sets, rest 1:00 between\n  3 rounds\n    20 double-under\n    9 front squat @ 135/95 lb\n    7 toes-to-bar', (run) =>
      span(run.parts[0]!.sets),
    ),
  },
  {
    id: 'T3',
    what: 'the same, a competitive athlete: first set',
    expected: 'about 1:00 a round',
    read: (category) =>
      formatClock(
        walk(
          '3 sets, rest 1:00 between\n  3 rounds\n    20 double-under\n    9 front squat @ 135/95 lb\n    7 toes-to-bar',
          person(category, { level: 'competitive' }),
        ).parts[0]!.sets[0]! / 3,
      ),
  },
  {
    id: 'T4',
    what: '4 on, 2 off, 4, 2, 3, 2, 3; alone · two and one bar (1st and 3rd piece) · two and one dumbbell (all)',
    expected: '20:00 · second 4:00 later, 24:00 · no offset, turns 28:00',
    read: () => {
      const whole = planClock(of(pieces)).totalSeconds!;
      const two = (held: number[]) => staggerEquipment(Array(2).fill({ uses: pieceUses(held), wholeSeconds: whole }));
      const [bar, dumbbell] = [two([0, 2]), two([0, 1, 2, 3])];
      const later = dumbbell.offsets[1];
      return `${formatClock(whole)} · ${formatClock(bar.offsets[1]!)}, ${formatClock(bar.totalSeconds)} · ${later === null || later === undefined ? 'no offset' : formatClock(later)}, turns ${formatClock(dumbbell.turnsSeconds)}`;
    },
  },
  {
    id: 'T5',
    what: '21-15-9 · 21-15-9-9-9 · 50-40-30-20-10 · EMOM 16:00 of 4 stations',
    expected: '45 · 63 · 150 reps · 4 rounds',
    read: () =>
      [
        ...['21-15-9', '21-15-9-9-9', '50-40-30-20-10'].map((ladder) => summarize(of(`for time\n${ladder}\nair squat`)).parts[0]!.reps['air-squat']),
        summarize(of('EMOM 16:00\n1: 10 burpee\n2: 10 air squat\n3: 10 push-up\n4: 10 sit-up')).parts[0]!.rounds,
      ].join(' · '),
  },
  {
    id: 'T6',
    what: 'best single in 7:00 after a hard piece',
    expected: '80–90 % of the max',
    read: own(
      'for time, cap 12:00\n21-15-9\nthruster @ 42.5/27.5 kg\npull-up\n\nrest 2:00\n\nmax load in 7:00\n1 clean',
      (run, category) => `${Math.round((100 * run.parts[2]!.score) / referenceCapacity(category).lifts.clean.value)} %`,
    ),
  },
  {
    id: 'T7',
    what: '1500 m row inside a longer piece, per 500 m',
    expected: 'men 1:45–2:05, women 1:55–2:15',
    read: own('for time, cap 40:00\n50 air squat\n1500 m row\n30 push-up\n50 sit-up', (run) => formatClock(blocks(run, 1)[0]! / 3)),
  },
  {
    id: 'T8',
    what: 'a 400 m run without a measured route: where to turn',
    expected: 'half the predicted time',
    read: own(
      'for time, cap 20:00\n3 rounds\n  400 m run\n  15 push-up',
      (run) => `${formatClock(mean(blocks(run, 0)))} → turn at ${formatClock(mean(blocks(run, 0)) / 2)}`,
    ),
  },
  {
    id: 'T9',
    what: '20:00 for a newer · a brand-new athlete',
    expected: '15:00 · 10:00',
    read: (category) =>
      (['newer', 'new'] as const)
        .map((level) =>
          formatClock(adapt(of('AMRAP 20:00\n10 push-up\n15 air squat'), { ...referenceAthlete(category), level }, { runs: 1 }).version.parts[0]!.seconds!),
        )
        .join(' · '),
  },
  {
    id: 'T10',
    what: 'AMRAP 5:00 × 2, 2:00 rest',
    expected: 'two scores',
    read: own('AMRAP 5:00 x 2, rest 2:00 between\n10 burpee\n10 air squat\nscore: each set', (run) =>
      run.parts[0]!.sets.map((each) => each.toFixed(1)).join(' and '),
    ),
  },
  {
    id: 'T12',
    what: 'EMOM of 4:00 with five minutes listed',
    expected: 'noticed',
    read: () =>
      parseWorkout('EMOM 4:00\n1: 10 burpee\n2: 10 air squat\n3: 10 push-up\n4: 10 sit-up\n5: max burpee')
        .diagnostics.filter((each) => each.level === 'warning')[0]
        ?.message.replace(/\|/g, '/') ?? 'not noticed',
  },
  {
    id: 'T13',
    what: 'a chipper of 350 reps and 1 km, cap 20:00',
    expected: 'where time is called, and what is never reached',
    read: own(chipper, (run) => {
      const { reached } = run.parts[0]!;
      const names = of(chipper).parts.flatMap((part) =>
        'items' in part ? part.items.flatMap((item) => (item.kind === 'slot' ? [wordsOf(item.movement)] : [])) : [],
      );
      return reached ? `${names[reached.slot]!} at the call; not reached: ${names.slice(reached.slot + 1).join(', ') || 'nothing'}` : `done in ${scoreOf(run)}`;
    }),
  },
  {
    id: 'C1',
    what: '200 m run ↔ 100 singles ↔ 75 jacks ↔ 100 jacks inside a workout',
    expected: '45–60 s each',
    read: times('200 m run', '100 single-under', '75 jumping jack', '100 jumping jack'),
  },
  {
    id: 'C1',
    what: '75 double-unders, a very proficient rope skipper',
    expected: '45–60 s',
    read: (category) =>
      seconds(
        mean(
          blocks(
            walk('for time, cap 60:00\n5 rounds\n  75 double-under\n  15 push-up\n  15 air squat', person(category, { bestSets: { 'double-under': 200 } })),
            0,
          ),
        ),
      ),
  },
  {
    id: 'C2',
    what: '50 doubles ↔ 100 singles ↔ 50 hip-tap hops ↔ 50 hop-overs ↔ 50 jacks',
    expected: 'alike',
    read: times('50 double-under', '100 single-under', '50 hip-tap hop', '50 hop-over', '50 jumping jack'),
  },
  {
    id: 'C3',
    what: '400 m run ↔ 500/400 m row ↔ 800 m bike ↔ 40/28 cal air bike',
    expected: 'equal',
    read: own('for time, cap 30:00\n4 rounds\n  400 m run\n  500/400 m row\n  800 m bike\n  40/28 cal air bike', (run) =>
      [0, 1, 2, 3].map((slot) => formatClock(mean(blocks(run, slot)))).join(' ↔ '),
    ),
  },
  {
    id: 'C3',
    what: '2 km run − 1500 m row',
    expected: '3–4 min shorter',
    read: (category) => {
      const long = (line: string) => blocks(walk(`for time, cap 60:00\n${line}\n60 sit-up\n60 push-up`, referenceCapacity(category)), 0)[0]!;
      return formatClock(long('2000 m run') - long('1500 m row'));
    },
  },
  {
    id: 'C4',
    what: '5 strict pull-ups ↔ 5 rows each side, heavy dumbbell (35/22.5 kg): share of the reps at hand',
    expected: 'alike',
    read: shares('5 strict pull-up', '5 dumbbell row each side @ 35/22.5 kg'),
  },
  {
    id: 'C5',
    what: '7 strict toes-to-bar ↔ 7 strict leg raises ↔ 14 ↔ 21 sit-ups, time',
    expected: 'alike',
    read: times('7 strict toes-to-bar', '7 strict leg raise', '14 sit-up', '21 sit-up'),
  },
  {
    id: 'C6',
    what: '50 running skips ↔ 50 jogging steps ↔ 25 jacks',
    expected: 'alike',
    read: times('50 running skip', '50 jog on the spot', '25 jumping jack'),
  },
  {
    id: 'C7',
    what: '21 swings at 24/16 kg ↔ 11 a side single-arm at 16/12 kg ↔ 21 with a dumbbell ↔ 21 with two of 10/7.5 kg',
    expected: 'alike',
    read: times(
      '21 kettlebell swing @ 24/16 kg',
      '11 single-arm kettlebell swing each side @ 16/12 kg',
      '21 dumbbell swing @ 24/16 kg',
      '21 double dumbbell swing @ 2x10/7.5 kg',
    ),
  },
  {
    id: 'C8',
    what: '9 front squats at 135/95 lb ↔ 11 with a pair of 50/35 lb ↔ 11 with a 95/65 lb bag on the shoulder ↔ 6.5 hugging 125/85 lb: share of the reps at hand',
    expected: 'alike',
    read: (category) =>
      [
        ['front squat @ 135/95 lb', 9],
        ['dumbbell front squat @ 2x50/35 lb', 11],
        ['sandbag squat @ 95/65 lb', 11],
        ['hug squat @ 125/85 lb', 6.5],
      ]
        .map(
          ([line, count]) =>
            `${Math.round((100 * (count as number) * bouts(of(`3 rounds\n  10 ${line as string}`), referenceCapacity(category))[0]!.setShare) / 10)} %`,
        )
        .join(' ↔ '),
  },
  {
    id: 'C8',
    what: 'the same, J/kg of one rep',
    expected: 'the hugged bag costs most for its mass',
    read: (category) =>
      ['front squat @ 135/95 lb', 'dumbbell front squat @ 2x50/35 lb', 'sandbag squat @ 95/65 lb', 'hug squat @ 125/85 lb']
        .map((line) => (bouts(of(`3 rounds\n  10 ${line}`), referenceCapacity(category))[0]!.joulesPerKg / 10).toFixed(0))
        .join(' ↔ '),
  },
  {
    id: 'C9',
    what: '10 push-ups ↔ 15 with hands on 60 cm · 10 pressed ↔ 15 plain sit-ups',
    expected: 'the set stays as long',
    read: (category) => `${times('10 push-up', '15 raised push-up @ 60 cm')(category)} · ${times('10 pressed sit-up @ 10/7.5 kg', '15 sit-up')(category)}`,
  },
  {
    id: 'C13',
    what: 'squat clean 21-15-9 at 135/95 lb ↔ a pair of 50/35 lb, 21-15-9-9-9 ↔ jumping squats 40-30-20-20-20',
    expected: 'alike',
    read: (category) =>
      ['21-15-9\nsquat clean @ 135/95 lb', '21-15-9-9-9\ndumbbell squat clean @ 2x50/35 lb', '40-30-20-20-20\njumping squat']
        .map((text) => scoreOf(walk(`for time, cap 20:00\n${text}`, referenceCapacity(category))))
        .join(' ↔ '),
  },
  {
    id: 'C14',
    what: '15 thrusters at 95/65 lb ↔ 30 jumping squats, trained: time',
    expected: 'alike',
    read: times('15 thruster @ 95/65 lb', '30 jumping squat'),
  },
  {
    id: 'C16',
    what: '“a heavy clean” with 60/40 kg at most: reps to failure, and the max they tell',
    expected: 'a high-rep set, scored as an estimated max',
    read: (category) => {
      const max = referenceCapacity(category).lifts.clean.value;
      const kg = category === 'men' ? 60 : 40;
      const reps = Math.round(repsAtShare(kg / max));
      return `${reps} reps → ${(kg / shareAtReps(reps)).toFixed(0)} kg (max ${max.toFixed(0)} kg)`;
    },
  },
  {
    id: 'C17',
    what: 'T2 for a competitive athlete at 95/65 → 135/95 lb',
    expected: 'over 10, back to 7–10 with more load',
    read: (category) => ['95/65 lb', '135/95 lb'].map((load) => scoreOf(walk(t2(load), person(category, { level: 'competitive' })))).join(' → '),
  },
  {
    id: 'C18',
    what: '12 push-ups, best set 10: share of the reps at hand on the floor, 18, 45, 75 cm',
    expected: 'the lowest with 100 % or less',
    read: (category) => {
      const capacity = person(category, { bestSets: { 'push-up': 10 } });
      return ['12 push-up', ...[18, 45, 75].map((cm) => `12 raised push-up @ ${cm} cm`)]
        .map((line) => `${Math.round(100 * bouts(of(`3 rounds\n  ${line}`), capacity)[0]!.setShare)} %`)
        .join(', ');
    },
  },
];

export function modelTable(): string {
  return [
    '| row | what | expected (common practice) | reference man | reference woman |',
    '|---|---|---|---|---|',
    ...rows.map((row) => `| ${row.id} | ${row.what} | ${row.expected} | ${row.read('men')} | ${row.read('women')} |`),
  ].join('\n');
}
