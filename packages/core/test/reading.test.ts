/**
 * What coaches type and what it means. The two sample files hold spellings from whiteboards, chats and spreadsheets, each with the canonical text it was read as and what was said of it;
 * every entry was read by a person before it was kept. Beside them: no figure is silent, hostile texts are answered, and any beginning of a text can be read.
 */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { formatWorkout, pageOf, parseWorkout, planClock, readAthlete, readingLimits, readKit, readScoreAs, summarize } from '../src/index';
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

/** Seconds of work, not of waiting: other checks run beside this one. A second try leaves out what compiling and cleaning up took the first time. */
function secondsOf(work: () => void): number {
  const once = (): number => {
    const began = process.cpuUsage();
    work();
    return process.cpuUsage(began).user / 1e6;
  };
  const first = once();
  return first < 1 ? first : Math.min(first, once());
}

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
    const found = tested.flatMap((text) => silent(text).map((where) => `${JSON.stringify(text)} ${where}`));
    expect(found).toEqual([]);
  });
  test('in 400 lines put together from pieces (seed 31)', () => {
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
      { seed: 31, numRuns: 400 },
    );
  });
});

describe('hostile texts are answered with a sentence, within two seconds each', () => {
  const nested = (depth: number, line: string): string =>
    [...Array.from({ length: depth }, (_, at) => `${' '.repeat(at)}${line}`), `${' '.repeat(depth)}5 burpee`].join('\n');
  const hostile: readonly (readonly [string, string])[] = [
    ['4 000 spaces', `AMRAP 10\n10${' '.repeat(4000)}burpee`],
    ['4 000 spaces between figures', `10 x${' '.repeat(4000)}10${' '.repeat(4000)}m run`],
    ['22 nested rounds', nested(22, '2 rounds')],
    ['30 rounds six deep', nested(6, '30 rounds')],
    ['300 deep', nested(300, '2 rounds')],
    ['1e7 intervals', 'EMOM 10000000:00\n5 burpee'],
    ['1e7 times', 'every 1:00 x 10000000\n5 burpee'],
    ['1e7 rounds', '10000000 rounds\n5 burpee'],
    ['1e7 sets', 'AMRAP 5:00 x 10000000\n5 burpee'],
    ['1e7 on and off', '20 s on / 10 s off x 10000000\nburpee'],
    ['a million of one movement', 'for time\n1000000000 burpee'],
    ['0 burpee', '0 burpee'],
    ['0 rounds', '0 rounds\n5 burpee'],
    ['AMRAP 0:00', 'AMRAP 0:00\n5 burpee'],
    ['every 0:00', 'every 0:00 x 5\n5 burpee'],
    ['0 on 0 off', '0 s on / 0 s off x 8\nburpee'],
    ['400 digits', `${'9'.repeat(400)} burpee`],
    ['400 digits of minutes', `AMRAP ${'9'.repeat(400)}\n5 burpee`],
    ['a megabyte of a word', 'burpee '.repeat(150_000)],
    ['a megabyte of lines', '5 burpee\n'.repeat(110_000)],
    ['100 000 commas', `5 burpee${','.repeat(100_000)}`],
    ['50 000 open brackets', `5 burpee ${'('.repeat(50_000)}`],
    ['nested brackets', `${'2 x ('.repeat(300)}5 burpee${')'.repeat(300)}`],
    ['50 000 pluses', `5 burpee ${'+ '.repeat(50_000)}`],
    ['10 000 bars', `5 burpee ${'| '.repeat(10_000)}row`],
    ['10 000 ats', `5 thruster ${'@ '.repeat(10_000)}`],
    ['a ladder of 5 000 rungs', `${Array.from({ length: 5000 }, (_, at) => 5000 - at).join('-')}\nburpee`],
    ['a ladder down from a million', '1000000-1\nburpee'],
    ['1-2-3…1000000', '1-2-3…1000000\nburpee'],
    ['unknown words only', 'zibble zabble '.repeat(5_000)],
    ['3 000 unknown movements', Array.from({ length: 3000 }, (_, at) => `5 zib${at}ble${at}`).join('\n')],
    ['alternatives without end', `5 ${'row or run or '.repeat(2_000)}bike`],
    ['a slash list', `5 ${'row/'.repeat(5_000)}run`],
    ['negative figures', 'AMRAP -5:00\n-10 burpee @ -20 kg'],
    ['not a number', 'AMRAP NaN\nInfinity burpee'],
    ['control characters', 'AMRAP 10\u0000\u0007\u001b[31m\n5 burpee\u0000'],
    ['right-to-left marks and joiners', 'AMRAP 10\n5 \u202eburpee\u202c \u200d\ufe0f'],
    ['emoji', '🔥🔥🔥 AMRAP 10 🔥\n💪 5 burpee'],
    ['combining marks', `5 bur${'\u0301'.repeat(3000)}pee`],
    ['an unclosed quote', `5 burpee "${'x'.repeat(20_000)}`],
    ['many quotes', '" '.repeat(20_000)],
    ['tabs', `\t\t\t${'\t'.repeat(3000)}5 burpee`],
    ['carriage returns', 'AMRAP 10\r5 burpee\r\n10 squat\r\r'],
    ['only dashes', '-'.repeat(20_000)],
    ['only colons', ':'.repeat(20_000)],
    ['dots', `5${'.'.repeat(20_000)}burpee`],
    ['every every every', 'every '.repeat(10_000)],
    ['rest rest rest', 'rest '.repeat(10_000)],
    ['headers without work', 'AMRAP 10\n\n'.repeat(2_000)],
    ['2 000 tiers', '## tier x\n5 burpee\n'.repeat(1_400)],
    ['prototype names', '5 __proto__\n5 constructor\n5 toString'],
    ['script', '5 <script>alert(1)</script> @ {{7*7}} kg'],
    ['an interruption every second', '100 burpees, every 1 s 5 squats'],
    ['a growing count without end', 'AMRAP 60:00\n1, +1000000 each round: burpee'],
    ['windows that are none', 'every 7:00 x 3\nwindow 999:\n5 burpee'],
    ['kilometres of kilometres', '99999 km run'],
  ];
  test('there are at least fifty', () => expect(hostile.length).toBeGreaterThanOrEqual(50));
  test.each(hostile)('%s', (_, text) => {
    const { workout, diagnostics } = parseWorkout(text);
    const seconds = secondsOf(() => {
      parseWorkout(text);
      for (const part of workout.parts) pageOf(part);
      planClock(workout);
      formatWorkout(workout);
    });
    expect(seconds).toBeLessThan(2);
    for (const { message, line, column, length } of diagnostics) {
      expect(message).toMatch(/[.?]$/);
      expect([line, column, length].every((figure) => Number.isInteger(figure) && figure >= 1)).toBe(true);
    }
  });
  test.each([
    ['an adjustable dumbbell in steps of a gram', 'adjustable dumbbell 4-20 kg step 0.001'],
    ['a set from nothing to a ton', 'dumbbell set 0-1000 kg step 0.01'],
    ['a mass of 400 digits', `kettlebell ${'9'.repeat(400)} kg`],
    ['100 000 commas', `dumbbell 5 kg${','.repeat(100_000)}`],
    ['a million kettlebells', '1000000 kettlebells 16 kg'],
  ])('kit: %s', (_, line) => {
    expect(secondsOf(() => readKit([line]))).toBeLessThan(2);
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
    expect(secondsOf(() => readAthlete(file, '2026-11-27'))).toBeLessThan(2);
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

describe('any beginning of a text can be read', () => {
  test.each(sampleNames)('%s, typed key by key and deleted again', (name) => {
    const text = sampleText(name);
    for (let length = 0; length <= text.length; length++) {
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
