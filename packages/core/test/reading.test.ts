/**
 * What coaches type and what it means. The two sample files hold spellings from whiteboards, chats and spreadsheets, each with the canonical text it was read as and what was said of it;
 * every entry was read by a person before it was kept. Beside them: no figure is silent, hostile texts are answered, and any beginning of a text can be read.
 */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { formatWorkout, pageOf, parseWorkout, planClock, readAthlete, readingLimits, readKit, readScoreAs, summarize } from '../src/index';
import { cases, everyOf } from './cases';
import { hostile } from './hostile';
import { sampleNames, sampleText } from './samples';

const samples = (name: string): string => readFileSync(join(process.cwd(), 'packages/core/test/samples', name), 'utf8').trimEnd();
const spellings = samples('spellings.md')
  .split('\n~~~\n')
  .map((entry) => {
    const [text = '', told = ''] = entry.split('\n=>\n');
    const lines = told.split('\n');
    return { text, canonical: lines.filter((line) => !line.startsWith('! ')).join('\n'), said: lines.filter((line) => line.startsWith('! ')) };
  });
const saidOf = (text: string): string[] =>
  parseWorkout(text)
    .diagnostics.filter(({ code }) => code !== 'cap_assumed_open')
    .map(({ code, line, column, length }) => `! ${code} “${text.split('\n')[line - 1]?.slice(column - 1, column - 1 + length)}”`);

describe('spellings of a workout', () => {
  test('there are enough of them', () => expect(spellings.length).toBeGreaterThanOrEqual(200));
  test.each(spellings.map((spelling) => [spelling.text, spelling] as const))('%j', (text, { canonical, said }) => {
    const { workout } = parseWorkout(text);
    const written = formatWorkout(workout);
    expect(written.trim()).toBe(canonical);
    expect(saidOf(text)).toEqual(said);
    expect(parseWorkout(written).workout).toEqual(workout);
  });
  test('a figure without a unit is taken in the unit of the room, and said with the other one a key away', () => {
    const text = 'AMRAP 9:00\n10 thruster 95/65';
    const [said] = parseWorkout(text, { units: 'lb' }).diagnostics;
    expect(formatWorkout(parseWorkout(text, { units: 'lb' }).workout)).toContain('95/65 lb');
    expect(said).toMatchObject({ code: 'unit_assumed', level: 'info', fix: '95/65 kg' });
    expect(parseWorkout(text).diagnostics[0]).toMatchObject({ fix: '95/65 lb' });
  });
});

describe('spellings of a kit', () => {
  const lines = samples('kit-lines.md').split('\n');
  test('there are enough of them', () => expect(lines.length).toBeGreaterThanOrEqual(80));
  test.each(lines)('%s', (entry) => {
    const [line = '', told = ''] = entry.split(' => ');
    const [words = '', ...codes] = told.split(' ! ');
    const read = readKit([line]);
    expect(read.understood[0] || '-').toBe(words === '-' || words.startsWith('- ') ? '-' : words);
    expect(read.problems.map(({ code }) => code)).toEqual(codes.map((code) => code.trim()));
  });
  test('plates on a line of their own go onto a bar that has none; a bar without a mass is the category’s', () => {
    expect(readKit(['barbell', 'bumper plates 2x20 4x10'], { category: 'women' }).items[0]).toMatchObject({
      kind: 'barbell',
      barGrams: 15000,
      plates: [
        { grams: 20000, pieces: 2 },
        { grams: 10000, pieces: 4 },
      ],
    });
  });
  test('a rack and a bar make a low bar to row under; a rack alone does not', () => {
    expect(readKit(['squat rack']).items.map(({ kind }) => kind)).toEqual(['rack']);
  });
});

/** Every figure of a text: its line, its place, and what it is. */
const figuresOf = (text: string): { line: number; at: number; figure: string }[] =>
  text.split('\n').flatMap((row, line) => [...row.matchAll(/\d+/g)].map((found) => ({ line: line + 1, at: found.index, figure: found[0] })));
/** The text with one figure changed to another that is as likely. */
const changed = (text: string, { line, at, figure }: { line: number; at: number; figure: string }): string =>
  text
    .split('\n')
    .map((row, index) =>
      index + 1 === line
        ? row.slice(0, at) +
          (figure === '2' ? '3' : String(Math.max(2, Number(figure) + (figure.length === 1 ? 1 : -1))).padStart(figure.length, '0')) +
          row.slice(at + figure.length)
        : row,
    )
    .join('\n');

describe('no figure is silent', () => {
  /** Figures that change neither the model nor what is said when they are changed, and do not stand in a diagnostic. */
  const silent = (text: string): string[] => {
    const { workout, diagnostics } = parseWorkout(text);
    const told = (parsed: ReturnType<typeof parseWorkout>): string => JSON.stringify([parsed.workout, parsed.diagnostics]);
    const before = JSON.stringify([workout, diagnostics]);
    return figuresOf(text)
      .filter((figure) => told(parseWorkout(changed(text, figure))) === before)
      .filter(({ line, at }) => !diagnostics.some((said) => said.line === line && said.column - 1 <= at && at < said.column - 1 + said.length))
      .map(({ line, figure }) => `line ${line}: ${figure}`);
  };
  // numbers that only name a station or a bullet say nothing but their order
  const labels = /^(?:\d+[.):]|(?:min|minute|window|station)\s*\d+|[A-H]\d)/i;
  const tested = [...spellings.map(({ text }) => text), ...sampleNames.map(sampleText)].filter(
    (text) => !text.split('\n').some((line) => labels.test(line.trim())),
  );
  test('in the corpus and the samples: a figure that changes nothing is said', () => {
    const found = everyOf(tested, 3).flatMap((text) => silent(text).map((where) => `${JSON.stringify(text)} ${where}`));
    expect(found).toEqual([]);
  });
  test('in lines put together from pieces (seed 31)', () => {
    const count = fc.constantFrom('12', '9/6', '5-8', '21-15-9', '400 m', '15/12 cal', '40 s', '1:00', '8 x 200 m', '10', '3 x 12', '5+5');
    const movement = fc.constantFrom('burpee', 'kb swing', 'thruster', 'row', 'run', 'push-up', 'box jump', 'zibble hop', 'db row');
    const tail = fc.constantFrom(
      '',
      ' @ 24/16 kg',
      ' 43/30',
      ' @ 70%',
      ', tempo 31X1',
      ' 24/20"',
      ' (60 kg)',
      ', 7 of them fast',
      ' RPE 8',
      ', 5 each side',
      ' 99',
      ' @ 12 stone 4',
      ', rest 90',
      ' x 3',
    );
    const header = fc.constantFrom('AMRAP 12', 'for time, cap 14', 'EMOM 10', '5 rounds', '4 rounds, rest 2:00', '');
    fc.assert(
      fc.property(header, count, movement, tail, (head, many, what, more) => {
        const text = `${head === '' ? '' : `${head}\n`}${many} ${what}${more}`;
        expect([text, silent(text)]).toEqual([text, []]);
      }),
      { seed: 31, numRuns: cases(160, 400) },
    );
  });
});

// how long each takes is in `npm run bench`: here none may come to no end
describe('hostile texts are answered with a sentence', () => {
  test('there are at least fifty', () => expect(hostile.length).toBeGreaterThanOrEqual(50));
  test.each(hostile)('%s', (_, text) => {
    const { workout, diagnostics } = parseWorkout(text);
    for (const part of workout.parts) pageOf(part);
    planClock(workout);
    formatWorkout(workout);
    const isPlace = (figure: number): boolean => Number.isInteger(figure) && figure >= 1;
    expect(diagnostics.filter(({ message, line, column, length }) => !/[.?]$/.test(message) || ![line, column, length].every(isPlace))).toEqual([]);
  });
  test.each([
    ['an adjustable dumbbell in steps of a gram', 'adjustable dumbbell 4-20 kg step 0.001'],
    ['a set from nothing to a ton', 'dumbbell set 0-1000 kg step 0.01'],
    ['a mass of 400 digits', `kettlebell ${'9'.repeat(400)} kg`],
    ['100 000 commas', `dumbbell 5 kg${','.repeat(100_000)}`],
    ['a million kettlebells', '1000000 kettlebells 16 kg'],
  ])('kit: %s', (_, line) => {
    expect(readKit([line]).items.length).toBeLessThan(200);
  });
  test.each([
    ['a floor of 0 x 0', { place: { floor: '0 x 0 m' } }, 'place.floor'],
    ['a ceiling of a kilometre', { place: { ceiling: '1 km' } }, 'place.ceiling'],
    ['steps of a gram', { place: { kit: ['adjustable dumbbell 4-20 kg step 0.001'] } }, 'place.kit'],
    ['a mass of 400 digits', { body_mass: '9'.repeat(400) }, 'body_mass'],
    ['a list for a record', { maxes: [1, 2, 3] }, null],
    ['100 000 maxes', { maxes: Object.fromEntries(Array.from({ length: 100_000 }, (_, at) => [`zib_${at}`, '80 kg'])) }, 'maxes.zib_0'],
    ['a word that is not in the avoid-list', { avoid: ['knees'] }, 'avoid'],
  ])('athlete: %s', (_, file, key) => {
    const { problems } = readAthlete(file, '2026-11-27');
    if (key) expect(problems.map((problem) => problem.key)).toContain(key);
  });
  test('a bare time available is minutes', () => expect(readAthlete({ time_available: '45' }, '2026-11-27').athlete.timeAvailableSeconds).toBe(2700));
  test('a score of 20 000 characters is no score', () => expect(readScoreAs('7+'.repeat(10_000), 'rounds')).toBeNull());
  test('limits are told with both figures', () => {
    const said = parseWorkout('5 burpee\n'.repeat(readingLimits.lines + 50)).diagnostics.find(({ code }) => code === 'limit');
    expect(said?.message).toContain(String(readingLimits.lines));
  });
});

describe('a figure of 400 digits is told where it stands, and nothing fails on it', () => {
  const vast = '9'.repeat(400);
  test.each([
    `AMRAP 12:00\n10 box jump @ ${vast} cm`,
    `for time, cap ${vast}:00\n10 burpee`,
    `EMOM ${vast}\n5 burpee`,
    `5 x 5 back squat @ ${vast}%`,
    `AMRAP 10:00\n10 push press @ ${vast} BW`,
    `every 2:00 x 5\n${vast} s plank`,
    `AMRAP 9\n5 burpee\nwindow: ${vast}-${vast} rounds`,
  ])('%#', (text) => {
    const { workout, diagnostics } = parseWorkout(text);
    expect(diagnostics.some(({ code, level, length }) => code === 'limit' && level === 'error' && length === 400)).toBe(true);
    for (const part of workout.parts) pageOf(part);
    expect(planClock(workout).cues.every(({ atSeconds }) => Number.isFinite(atSeconds))).toBe(true);
    formatWorkout(workout);
  });
});

describe('any beginning of a text can be read', () => {
  test.each(sampleNames)('%s, typed key by key and deleted again', (name) => {
    const text = sampleText(name);
    for (let length = 0; length <= text.length; length += cases(3, 1)) {
      const { workout } = parseWorkout(text.slice(0, length));
      summarize(workout);
      planClock(workout);
      for (const part of workout.parts) pageOf(part);
    }
  });
});

test('“no partition” reaches the athlete as a sentence over the coach’s notes', () => {
  const { notes } = pageOf(parseWorkout('for time, cap 20:00\n40 burpee\n400 m run\nno partition\nnote: breathe').workout.parts[0]!);
  expect(notes).toEqual([expect.stringMatching(/finish each movement before the next/), 'breathe']);
  expect(pageOf(parseWorkout('for time, cap 20:00\n40 burpee\n400 m run').workout.parts[0]!).notes).toEqual([]);
});

describe('a rest below one part, right above the next', () => {
  const kinds = (text: string) => parseWorkout(text).workout.parts.map((part) => (part.kind === 'rest' ? (part.open ?? part.seconds) : part.kind));
  test.each([
    ['A) 12:00 to find a heavy 2 front squat\nrest until recovered\nB) AMRAP 6:00\n5 burpee', ['maxLoad', 'recovered', 'amrap']],
    ['12:00 to find a heavy 2 front squat\nrest 3:00\nAMRAP 6:00\n5 burpee', ['maxLoad', 180, 'amrap']],
    ['AMRAP 6:00\n5 burpee\nrest 3:00\nAMRAP 6:00\n5 burpee', ['amrap', 180, 'amrap']],
    // a short one is of the rounds, and so is one with nothing below it
    ['AMRAP 6:00\n5 burpee\nrest 0:20\nAMRAP 6:00\n5 burpee', ['amrap', 'amrap']],
    ['AMRAP 20:00\n5 burpee\n400 m run\nrest 1:00', ['amrap']],
    ['AMRAP 20:00\n400 m run\nrest 1:00 between rounds\nB) AMRAP 6:00\n5 burpee', ['amrap', 'amrap']],
    ['A) 5 sets\n3 back squat @ 80 kg\nrest 2:00\nB) AMRAP 6:00\n5 burpee', ['strength', 'amrap']],
    ['5 x 3 back squat @ 80 kg\nrest 2:00', ['strength']],
    ['A) 5 x 3 back squat @ 80 kg\nrest 2:00\nB) AMRAP 6:00\n5 burpee', ['strength', 'amrap']],
    ['6 x 400 m run\nrest 1:30', ['forTime']],
    ['A) 3 rounds for time\n400 m run\nrest 1:00\nB) AMRAP 6:00\n5 burpee', ['forTime', 'amrap']],
  ])('%j', (text, parts) => expect(kinds(text)).toEqual(parts));
});
