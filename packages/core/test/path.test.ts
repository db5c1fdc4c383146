/**
 * One path: text → model → page → clock → score. Random workouts are written as a coach would, and the work on the page and on the clock, read back from the words shown there,
 * must be the model's. The words are read by the workout reader itself, which is checked elsewhere; what is checked here is that no room loses or invents a line.
 */
import { describe, expect, test } from '@jest/globals';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  adapt,
  checkScores,
  compile,
  formatWorkout,
  pageOf,
  parseWorkout,
  planClock,
  readAthlete,
  referenceCapacity,
  schedule,
  scoreFields,
  seededRandom,
  walkProgram,
  workOf,
  type Part,
} from '../src/index';
import { everyOf, seedsTo } from './cases';
import { sampleNames, sampleText } from './samples';

/** Workouts as they stand on whiteboards, from a seed. */
function randomWorkout(seed: number): string {
  const random = seededRandom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
  const count = (): string => pick(['5', '6', '8', '10', '12', '15', '20']);
  const line = (): string =>
    pick([
      () => `${count()} burpee`,
      () => `${count()} push-up`,
      () => `${count()} kettlebell swing @ 24/16 kg`,
      () => `${count()} thruster @ 40/30 kg`,
      () => `${pick(['200', '400'])} m run`,
      () => `${pick(['12/9', '15'])} cal row`,
      () => `${count()} dumbbell row, each side @ 20 kg`,
      () => `${pick(['20', '30'])} s plank`,
      () => `${pick(['4', '6'])} alternating db snatch @ 22.5/15 kg`,
      () => `2 x (1 lunge + 1 jumping squat)`,
      () => `${count()} pull-up | ${count()} ring row`,
    ])();
  const lines = (most: number, indent = ''): string => Array.from({ length: 1 + Math.floor(random() * most) }, () => `${indent}${line()}`).join('\n');
  const rounds = (indent = ''): string => `${indent}${pick(['2', '3', '4'])} rounds${pick(['', ', rest 1:00 between'])}\n${lines(3, `${indent}  `)}`;
  const movements = (indent = ''): string =>
    ['push-up', 'air squat', 'thruster @ 40 kg']
      .slice(0, 1 + Math.floor(random() * 3))
      .map((name) => `${indent}${name}`)
      .join('\n');
  const ladder = (): string => `${pick(['21-15-9', '10-8-6-4-2', '5-10-15'])}\n${movements('  ')}`;
  const part = (): string =>
    pick([
      () => `AMRAP ${pick(['6:00', '12:00'])}${pick(['', ' x 2, rest 1:00 between'])}\n${lines(4)}`,
      () => `AMRAP 8:00\n2, +2 each round: burpee\n${line()}`,
      () => `for time, cap 15:00\n${lines(2)}\n${rounds()}\n${line()}`,
      () => `for time, cap 12:00\n${ladder()}`,
      () => `for time, cap 12:00\n21-15-9: push-up\n42-30-18: single-under`,
      () => `3 sets, rest 1:00 between\n${rounds('  ')}\n  ${line()}\nscore: each set`,
      () => `EMOM ${pick(['8:00', '12:00'])}\n${lines(1)}`,
      () => `EMOM 12:00\n1: ${line()}\n2: ${line()}\n3: rest`,
      () => `every 3:00 x 4\n${lines(2)}`,
      () => `every 6:00 x 2, rest what is left\nwindow 1:\n${rounds('  ')}\nwindow 2:\n${lines(2, '  ')}`,
      () => `${pick(['20 s', '40 s'])} on / 20 s off x 6\n${lines(1)}`,
      () => `4 on / 2 off x 2\n${lines(2)}`,
      () => `strength\n5 sets, rest 2:00 between\n  5 back squat @ 80 kg`,
      () => `max load in 10:00\n1 clean`,
      () => `for quality\n${rounds()}`,
      () => `for time, cap 20:00\n60 burpee\nevery 2:00: 5 air squat`,
    ])();
  return Array.from({ length: 1 + Math.floor(random() * 2) }, part).join('\n\nrest 2:00\n\n');
}

/** Work of lines as they are shown, both sides and brackets counted, by movement. */
function workOfLines(lines: readonly string[]): Record<string, number> {
  const into: Record<string, number> = {};
  for (const line of lines) {
    if (/^(?:rest|every )/i.test(line)) continue;
    for (const [movement, count] of Object.entries(workOf(parseWorkout(`for quality\n${line}`).workout.parts[0]!)))
      into[movement] = (into[movement] ?? 0) + count;
  }
  return into;
}
const scaled = (work: Readonly<Record<string, number>>, times: number): Record<string, number> =>
  Object.fromEntries(Object.entries(work).map(([movement, count]) => [movement, count * times]));
const plain = (work: Readonly<Record<string, number>>): Record<string, number> => ({ ...work });

/** The page's rows, written out with their indentation, read as the work of one list; stations and windows stand under heads of their own. */
function workOfPage(part: Part): Record<string, number> {
  const { rows } = pageOf(part);
  const lists: string[][] = [[]];
  for (const row of rows) {
    if (row.kind === 'head' && /in between$/.test(row.text)) break;
    if (row.kind === 'head' && row.depth === 0 && /^(?:Minute|Interval|Window|Each window|Station)/.test(row.text)) lists.push([]);
    else lists[lists.length - 1]!.push(`${'  '.repeat(row.depth)}${row.text.replaceAll(' or ', ' | ').replace(', each one rep', '')}`);
  }
  const filled = lists.filter((list) => list.length > 0);
  const works = filled.map((list) => workOf(parseWorkout(`for quality\n${list.join('\n')}`).workout.parts[0]!));
  const pieces = schedule(part).flatMap((piece) => (piece.kind === 'work' ? [piece] : []));
  const counted = part.kind === 'amrap' ? pieces.slice(0, 1) : pieces;
  const lastRest = part.kind === 'every' && part.stations.some((items) => items.length === 0);
  const times = works.map((_, list) => counted.filter((piece) => (works.length === 1 && !lastRest ? true : piece.list === list)).length);
  const into: Record<string, number> = {};
  works.forEach((work, list) => {
    for (const [movement, count] of Object.entries(scaled(work, times[list]!))) into[movement] = (into[movement] ?? 0) + count;
  });
  return into;
}

/** The clock's cues of a part, tick by tick. */
function workOfClock(part: Part, index: number, cues: ReturnType<typeof planClock>['cues']): Record<string, number> {
  const own = cues.filter((cue) => cue.part === index && cue.kind !== 'rest' && cue.kind !== 'end');
  const counted = part.kind === 'amrap' ? own.slice(0, 1) : own;
  return workOfLines(counted.flatMap((cue) => (cue.ticks.length > 0 && !cue.repeats ? cue.ticks.flatMap(({ lines }) => lines) : cue.lines)));
}

describe('the work on the page and on the clock is the model’s', () => {
  const seeds = seedsTo(120, 500);
  test('on random workouts (seeds from 1)', () => {
    for (const seed of seeds) {
      const text = randomWorkout(seed);
      const { workout, diagnostics } = parseWorkout(text);
      expect([text, diagnostics.filter(({ level }) => level === 'error')]).toEqual([text, []]);
      const { cues } = planClock(workout);
      workout.parts.forEach((part, index) => {
        if (part.kind === 'rest') return;
        expect([text, plain(workOfPage(part))]).toEqual([text, plain(workOf(part))]);
        expect([text, plain(workOfClock(part, index, cues))]).toEqual([text, plain(workOf(part))]);
      });
    }
  });
  test.each(sampleNames)('%s: every line of the workout stands on its page', (name) => {
    const { workout } = parseWorkout(sampleText(name));
    for (const part of workout.parts) {
      if (part.kind === 'rest') continue;
      const shown = new Set(pageOf(part).rows.flatMap((row) => (row.kind === 'line' ? [row.slot] : [])));
      const slots = Object.keys(workOf(part)).length;
      expect(shown.size).toBeGreaterThanOrEqual(slots);
    }
  });
});

describe('a version goes all the way', () => {
  const keeper = readAthlete(
    {
      name: 'Keeper',
      category: 'women',
      level: 'trained',
      body_mass: '64 kg',
      stature: '168 cm',
      place: { floor: '3 x 2 m', ceiling: '2.3 m', noise: 'quiet', kit: ['dumbbell 10 kg x 2', 'kettlebell 12 kg', 'chair 45 cm', 'rope'] },
    },
    '2026-11-27',
  ).athlete;
  test('spellings of the corpus (every seventh; all in the bench) become versions whose text reads back to itself', () => {
    const texts = readFileSync(join(process.cwd(), 'packages/core/test/samples/spellings.md'), 'utf8')
      .trimEnd()
      .split('\n~~~\n')
      .map((entry) => entry.split('\n=>\n')[0]!);
    for (const text of everyOf(texts, 7)) {
      const { workout } = parseWorkout(text);
      if (workout.parts.length === 0) continue;
      const { version, predicted } = adapt(workout, keeper, { place: keeper.places[0]!, runs: 5 });
      expect([text, formatWorkout(parseWorkout(version.text).workout)]).toEqual([text, version.text]);
      expect([text, Number.isFinite(predicted.median)]).toEqual([text, true]);
    }
  });
  test('text → version → page → clock → score, on the samples', () => {
    for (const name of sampleNames) {
      const { workout } = parseWorkout(sampleText(name));
      const { version, workout: adapted } = adapt(workout, keeper, { place: keeper.places[0]! });
      const again = parseWorkout(version.text);
      expect([name, again.diagnostics.filter(({ level }) => level !== 'info')]).toEqual([name, []]);
      expect(formatWorkout(again.workout)).toBe(version.text);
      const { cues } = planClock(adapted);
      adapted.parts.forEach((part, index) => {
        if (part.kind !== 'rest') expect([name, plain(workOfClock(part, index, cues))]).toEqual([name, plain(workOf(part))]);
      });
      const run = walkProgram(compile(adapted, referenceCapacity('women')));
      const fields = scoreFields(adapted);
      expect(fields.length).toBeGreaterThan(0);
      const typed = fields
        .map(({ part, kind }) => {
          const seconds = Math.max(1, Math.round(run.parts[part]!.endSeconds - run.parts[part]!.startSeconds));
          const clock = `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
          if (kind === 'time') return run.parts[part]!.reached ? 'CAP+1' : clock;
          if (kind === 'eachSet')
            return run.parts[part]!.sets.map(
              (set) => `${Math.floor(Math.min(set, 360) / 60)}:${String(Math.floor(Math.min(set, 360) % 60)).padStart(2, '0')}`,
            ).join(' ');
          return { rounds: '2+0', sum: '2+0', load: '40 kg', done: 'done' }[kind as 'rounds'] ?? '20';
        })
        .join(' | ');
      const checked = checkScores(typed, adapted, { category: 'women' });
      expect([name, checked.fields.map(({ checked: each }) => (each.status === 'bad' ? each.message : 'ok'))]).toEqual([name, fields.map(() => 'ok')]);
    }
  });
});

describe('scores that cannot be', () => {
  const check = (text: string, workout: string): string => {
    const { fields } = checkScores(text, parseWorkout(workout).workout);
    const [first] = fields;
    return first?.checked.status === 'ok' ? `ok: ${first.checked.told}` : first?.checked.status === 'bad' ? first.checked.message : 'empty';
  };
  const amrap = 'AMRAP 10:00\n4 burpee\n6 push-up';
  const sets = '3 sets, rest 1:00 between\n  2 rounds\n    5 burpee\nscore: each set\nwindow: 3:00-4:30 per set';
  const capped = 'for time, cap 1:00\n10 burpee';
  test.each([
    ['7+3', amrap, 'ok: 7 rounds and 3 reps = 73 reps'],
    ['7 rds 3', amrap, 'ok: 7 rounds and 3 reps = 73 reps'],
    ['7 rounds 3 reps', amrap, 'ok: 7 rounds and 3 reps = 73 reps'],
    ['7', amrap, 'ok: 7 rounds = 70 reps'],
    ['2+99', amrap, '“2+99”: a round has 10 reps here, so 99 more are another round. Is 11+9 meant?'],
    ['8.41', 'for time, cap 12:00\n50 burpee', 'ok: 8:41'],
    ['8:41', 'for time, cap 12:00\n50 burpee', 'ok: 8:41'],
    ['55 s', 'for time, cap 12:00\n50 burpee', 'ok: 0:55'],
    ['5:00', capped, '“5:00”: the cap is 1:00; write CAP+ and the reps left, such as CAP+14.'],
    ['cap+4', capped, 'ok: 4 reps left when the cap came'],
    ['cap 4', capped, 'ok: 4 reps left when the cap came'],
    ['cap+14', capped, '“cap+14”: only 10 reps are asked for in all.'],
    ['3:05 3:20 4:01', sets, 'ok: 3:05, 3:20, 4:01; 10:26 of work in all'],
    ['3:05 3:20', sets, '“3:05 3:20”: 2 times for 3 sets.'],
    // T11, common practice: 11:32 with two rests of 1:00 is 3:11 a set
    ['11:32', sets, 'ok: 11:32 on the clock, 2:00 of it rest: 3:11 a set on average'],
    ['1:30', sets, '“1:30”: one clock time for 3 sets holds 2:00 of rest; expected more than that, or each set’s time.'],
    ['92.5', 'max load in 7:00\n1 clean', 'ok: 92.5 kg'],
    ['700 kg', 'max load in 7:00\n1 clean', '“700 kg”: nobody lifts that; expected a load above 0 and up to 600 kg.'],
    ['fast', amrap, '“fast”: expected rounds and reps such as 7+12.'],
  ])('%j in %j: %s', (text, workout, told) => expect(check(text, workout)).toBe(told));
  test('a growing AMRAP knows how large each round is', () => {
    const growing = 'AMRAP 10:00\n2, +2 each round: burpee';
    expect(check('3+7', growing)).toBe('ok: 3 rounds and 7 reps = 19 reps');
    expect(check('3+8', growing)).toContain('a round has 8 reps here');
  });
});
