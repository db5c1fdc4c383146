/** A stored reading says what the simulation would say: its curve against the simulation itself, its way through JSON, and boards made of it (decision 0014). */
import { describe, expect, test } from '@jest/globals';
import {
  adapt,
  capacityOf,
  carryOver,
  compareScores,
  formatScore,
  learnConversions,
  lessonOf,
  parseWorkout,
  placeDay,
  placeEntries,
  boardLabels,
  readDone,
  readEntry,
  scoreAt,
  usualScoreRules,
  weigh,
  type Athlete,
  type Done,
  type Score,
  type Workout,
} from '../src/index';
import { scorer } from '../src/scoring/score-of-fitness';
import { neutral } from '../src/scoring/reading';
import { randomAthlete } from './people';

const texts = [
  'AMRAP 12:00\n7 pull-up\n14 push-up\n21 air squat',
  'for time, cap 10:00\n21-15-9\nthruster @ 40/30 kg\nburpee',
  'for time, cap 25:00\n4 rounds\n  400 m run\n  15 kettlebell swing @ 24/16 kg\n  10 burpee',
  'EMOM 10:00\n1: 12 burpee\n2: 15 kettlebell swing @ 24/16 kg\nscore: reps',
  '3 sets, rest 2:00 between\n  10 burpee\n  200 m run\nscore: each set',
];
const people = Array.from({ length: 8 }, (_, at): Athlete => ({ ...randomAthlete(40 + at), name: `Keeper ${at}` }));
/** What this athlete scores in a version on a day of this form, as it is written down. */
function scoreIn(version: Workout, athlete: Athlete, form: number): Score | null {
  const value = scorer(neutral(version), capacityOf(athlete), false)(capacityOf(athlete).fitness * form);
  const part = version.parts[0]!;
  if (part.kind === 'amrap') return { kind: 'rounds', rounds: Math.floor(value), reps: 0 };
  if (part.kind === 'forTime') return { kind: 'time', seconds: Math.round(value) };
  return part.score === 'reps' ? { kind: 'reps', reps: Math.round(value) } : null;
}
const results = texts.flatMap((text) => {
  const original = parseWorkout(text).workout;
  return people.flatMap((athlete, at): { text: string; original: Workout; done: Done }[] => {
    const version = at % 2 === 0 ? original : adapt(original, athlete, { runs: 1 }).workout;
    const score = scoreIn(version, athlete, 0.92 + 0.02 * at);
    return score && version.parts.length > 0 ? [{ text, original, done: { athlete, version, score } }] : [];
  });
});
const readings = results.flatMap(({ original, done }) => {
  const reading = readDone(original, done);
  return reading ? [{ original, done, reading }] : [];
});

describe('the curve of a reading', () => {
  test('there is something to look at', () => expect(readings.length).toBeGreaterThan(25));
  test('is the simulation near what was seen and expected: within half a per cent in the middle of the errors, one and a half in nineteen of twenty, four where a break falls otherwise', () => {
    const errors = readings.flatMap(({ original, done, reading }) => {
      const direct = scorer(neutral(original), capacityOf(done.athlete), true);
      const [low, high] = [Math.min(reading.apparent, reading.expected) - 0.3, Math.max(reading.apparent, reading.expected) + 0.3];
      return Array.from({ length: 9 }, (_, at) => low + ((high - low) * at) / 8).map((log) =>
        Math.abs(scoreAt(reading.original.curve, log) / direct(Math.exp(log)) - 1),
      );
    });
    const sorted = [...errors].sort((a, b) => a - b);
    expect(sorted[Math.floor(sorted.length / 2)]).toBeLessThan(0.005);
    expect(sorted[Math.floor(0.95 * sorted.length)]).toBeLessThan(0.015);
    expect(sorted.at(-1)).toBeLessThan(0.04);
  });
  test('rises or falls with fitness all the way, but on a fixed clock that rotates stations (docs/model.md), and holds at its ends', () => {
    for (const { original, reading } of readings) {
      const { curve, unit } = reading.original;
      const least = original.parts[0]!.kind === 'every' ? -0.11 : -0.001;
      const gains = curve.scores.slice(1).map((score, at) => (unit === 'seconds' ? -1 : 1) * (score / curve.scores[at]! - 1));
      expect(Math.min(...gains)).toBeGreaterThan(least);
      expect([scoreAt(curve, -9), scoreAt(curve, 9)]).toEqual([curve.scores[0], curve.scores.at(-1)]);
    }
  });
});

describe('stored and taken out again', () => {
  test('a reading is plain data: through JSON it weighs and carries the same', () => {
    for (const { reading } of readings) expect(carryOver(weigh(JSON.parse(JSON.stringify(reading))), 0.02)).toEqual(carryOver(weigh(reading), 0.02));
  });
  test('a board of stored readings is the board of the scores', () => {
    const learned = learnConversions(results.flatMap(({ original, done, text }) => lessonOf(original, done, done.athlete.name, text) ?? []));
    for (const text of texts.slice(0, 3)) {
      const original = parseWorkout(text).workout;
      const own = results.filter((each) => each.text === text).map(({ done }) => ({ ...done, versionName: 'own version', scoreText: formatScore(done.score) }));
      const stored = own.map((entry) => ({ entry, read: JSON.parse(JSON.stringify(readEntry(original, entry))) as ReturnType<typeof readEntry> }));
      const rules = { ...usualScoreRules, severalScores: 'places' as const };
      const board = placeEntries(boardLabels(original), stored, learned, rules).boards[0]!;
      const rows = (placed: readonly { row: { athlete: string; rank: number; index: number | null } }[]) =>
        placed.map(({ row }) => [row.athlete, row.rank, row.index]);
      expect(rows(board.placed)).toEqual(rows(placeDay(original, own, learned, rules).boards[0]!.placed));
      expect(board.placed.map(({ row }) => row.athlete)).toEqual(compareScores(original, own, learned).map(({ athlete }) => athlete));
    }
  });
  test('what was learned moves the weight of a version, and not of the workout as written', () => {
    const learned = {
      athletes: new Map(),
      swaps: new Map(readings.flatMap(({ reading }) => reading.swaps).map((swap) => [swap, { swap, log: 0.05, spread: 0.01, results: 40 }])),
    };
    for (const { reading } of readings) {
      const [plain, told] = [weigh(reading), weigh(reading, learned)];
      if (reading.asWritten) expect([told.trust, told.offset.log]).toEqual([1, 0]);
      else if (reading.swaps.length > 0) {
        expect(told.offset.log).toBeCloseTo(0.05 * reading.swaps.length, 9);
        expect(told.noise).toBeLessThan(plain.noise);
        expect(told.trust).toBeGreaterThan(plain.trust);
      }
    }
  });
  test('what an entry leaves out, and a score of another kind, are no readings', () => {
    const original = parseWorkout('AMRAP 6:00\n8 push-up\n\nfor time, cap 9:00\n40 burpee').workout;
    const entry = (scoreText: string) => readEntry(original, { athlete: people[0]!, version: original, versionName: 'original', scoreText });
    expect(entry('- | 3:10').map((read) => read?.score ?? null)).toEqual([null, '3:10']);
    expect(entry('7+0').map((read) => read?.reading?.unit ?? null)).toEqual(['rounds', null]);
    expect(readDone(original, { athlete: people[0]!, version: original, score: { kind: 'load', kg: 80 } })).toBeNull();
  });
});
