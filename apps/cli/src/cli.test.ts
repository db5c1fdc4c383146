import { spawnSync } from 'node:child_process';
import { mkdtempSync, writeFileSync, mkdirSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { describe, expect, test } from '@jest/globals';
import { adaptSchema, clockSchema, compareSchema, fileSchemas, loadsSchema, parseSchema, predictSchema } from '@gambito/contract';
import { run } from './run';

const root = process.cwd();
const samples = join(root, 'packages/core/test/samples');
const names = ['breakwater', 'two-tides', 'lantern-room', 'bilge-pump', 'long-stairs', 'cargo', 'harbour-wall', 'night-watch', 'spare-parts'];
interface Answer {
  readonly code: number | null;
  readonly out: string;
  readonly err: string;
}
/** What is shipped, in a process of its own. */
const shipped = (args: string[], input?: string): Answer => {
  const ran = spawnSync(process.execPath, [join(root, 'apps/cli/dist/gambito.mjs'), ...args], { encoding: 'utf8', ...(input === undefined ? {} : { input }) });
  return { code: ran.status, out: ran.stdout, err: ran.stderr };
};
/** The same, here: a process of its own takes half a second to start. */
const gambito = (args: string[], input = ''): Answer => {
  const [out, err]: [string[], string[]] = [[], []];
  const code = run(args, { input: () => input, out: (text) => void out.push(text), err: (text) => void err.push(text) });
  return { code, out: out.join(''), err: err.join('') };
};
const directory = mkdtempSync(join(tmpdir(), 'gambito-cli-'));
const athlete = join(directory, 'keeper.yaml');
writeFileSync(
  athlete,
  'name: Keeper\ncategory: women\nbody_mass: 64 kg\nstature: 168 cm\nlevel: trained\nmaxes: { deadlift: 110 kg }\nplace:\n  floor: 3 x 2 m\n  ceiling: 2.25 m\n  noise: quiet\n  kit:\n    - dumbbell 10 kg x 2\n    - barbell 15 kg, plates 2x10 2x5 kg\n    - pull-up bar\n    - table 75 cm, chair 45 cm x 2, wall\n',
);

describe('what is shipped', () => {
  test.each([
    [['adapt', join(samples, 'cargo.txt'), '--athlete', athlete, '--json']],
    [['compare', '--json']],
    [['parse', '/nowhere.txt', '--json']],
    [['parse', '--nope', '--json']],
    [['schema', 'athlete']],
  ])('answers %j as its source does', (args) => {
    expect(shipped(args)).toEqual(gambito(args));
  });
  test('reads standard input', () => {
    expect(shipped(['format', '-'], 'amrap 9min\n10 thruster')).toEqual({ code: 0, out: 'AMRAP 9:00\n10 thruster\n', err: expect.any(String) });
  });
});

describe('gambito read', () => {
  const message = join(directory, 'message.txt');
  writeFileSync(message, 'evening all! twelve min amrap pls: 8 deck rolls, then ten box jumps 24/20. bring 3 towels');
  const words = (list: unknown): string => {
    const file = join(directory, 'words.json');
    writeFileSync(file, JSON.stringify(list));
    return file;
  };
  test('prints plain notation, and its questions with their choices beside it', () => {
    const { code, out, err } = gambito(['read', message]);
    expect([code, out]).toEqual([0, 'AMRAP 12:00\n8 deck roll\n10 box jump @ 24/20 in\n']);
    expect(err).toContain('question: Gambito does not know “deck roll”. What is it? Keep it as written, not checked / It is no movement');
    expect(err).toContain('question: “24/20” of box jump: in which unit? Inches / Centimetres');
  });
  test('takes answers from a file, as a list or under `words`, and asks no more about them', () => {
    const answers = [
      { kind: 'like', words: 'deck roll', means: 'Burpee' },
      { kind: 'height', words: '', means: 'in' },
      { kind: 'figure', words: '3', means: '' },
    ];
    for (const list of [answers, { words: answers }]) {
      const read = JSON.parse(gambito(['read', message, '--words', words(list), '--json']).out) as { notation: string; questions: unknown[] };
      expect(read).toMatchObject({ notation: 'movement: deck roll = burpee\nAMRAP 12:00\n8 deck roll\n10 box jump @ 24/20 in', questions: [] });
    }
  });
  test('each choice of a question is an answer that a file may hold', () => {
    const { questions } = JSON.parse(gambito(['read', message, '--json']).out) as { questions: { choices: { answer: unknown }[] }[] };
    const all = questions.flatMap(({ choices }) => choices.map(({ answer }) => answer));
    expect(all.length).toBeGreaterThan(4);
    expect(gambito(['read', message, '--words', words(all)]).code).toBe(0);
  });
  test.each([[[{ kind: 'guess', words: 'x', means: '' }]], ['deck roll'], [[{ kind: 'name' }]]])('says what was expected of answers such as %j', (list) => {
    const { code, err } = gambito(['read', message, '--words', words(list)]);
    expect([code, err]).toEqual([2, expect.stringContaining('expected a list such as')]);
  });
});

describe('gambito', () => {
  test.each(names)('runs parse, adapt, predict and clock on %s, in the contract’s shapes', (name) => {
    const file = join(samples, `${name}.txt`);
    for (const [schema, args] of [
      [parseSchema, ['parse', file]],
      [adaptSchema, ['adapt', file, '--athlete', athlete]],
      [predictSchema, ['predict', file, '--athlete', athlete]],
      [clockSchema, ['clock', file]],
    ] as const) {
      const answer = gambito([...args, '--json']);
      expect([args[0], answer.code, answer.err.includes('Error')]).toEqual([args[0], 0, false]);
      expect(() => schema.parse(JSON.parse(answer.out))).not.toThrow();
    }
  });
  test('format is stable, also from standard input', () => {
    const once = gambito(['format', join(samples, 'night-watch.txt')]).out;
    expect(gambito(['format', '-'], once).out).toBe(once);
  });
  test('a movement tells what it needs, costs and is limited by; an unknown one exits 2 with the nearest', () => {
    const { movement } = JSON.parse(gambito(['movements', 'DB thrusters', '--json']).out) as {
      movement: { id: string; limitedBy: string; rise: { load: number } };
    };
    expect(movement).toMatchObject({ id: 'dumbbell-thruster', limitedBy: '1.2 × strictPress' });
    expect(movement.rise.load).toBeGreaterThan(0.5);
    const unknown = gambito(['movements', 'thrusterr', '--json']);
    expect([unknown.code, unknown.out.includes('thruster')]).toEqual([2, true]);
  });
  test('predict says sets, breaks, the slot that decides, attempts, and what does not fit', () => {
    const cargo = predictSchema.parse(JSON.parse(gambito(['predict', join(samples, 'cargo.txt'), '--athlete', athlete, '--json']).out));
    expect(cargo.pacing.attempts[0]!.list.length).toBeGreaterThan(3);
    const behind = gambito(['predict', '-', '--athlete', athlete], 'EMOM 6:00\n30 burpee\n');
    expect(behind.err).toMatch(/does not fit in \d of 6 intervals/);
    const long = gambito(['predict', '-', '--athlete', athlete], 'for time, cap 3:00\n100 burpee\n100 pull-up\n');
    expect(long.err).toMatch(/time is called at burpee.*never reached: pull-up/);
    expect(long.out).toMatch(/decides the score/);
  });
  test('a date that is no ISO 8601 date is refused with what was expected', () => {
    const answer = gambito(['loads', athlete, '--date', '25.11.2026']);
    expect([answer.code, /YYYY-MM-DD/.test(answer.err)]).toEqual([2, true]);
  });
  test('loads lists what the kit makes, with plates a side', () => {
    const { loads } = loadsSchema.parse(JSON.parse(gambito(['loads', athlete, '--json']).out));
    expect(loads.filter((load) => load.implement === 'barbell').map((load) => [load.kg, load.platesPerSideKg])).toEqual([
      [15, []],
      [25, [5]],
      [35, [10]],
      [45, [10, 5]],
    ]);
  });
  test('compare reads a CSV as RFC 4180 has it, quotes, doubled quotes and a byte order mark, and lists every problem of a bad one', () => {
    const people = join(directory, 'people');
    mkdirSync(people, { recursive: true });
    writeFileSync(join(people, 'keeper.yaml'), 'name: Keeper\ncategory: women\nlevel: trained\n');
    const results = join(directory, 'results.csv');
    writeFileSync(results, '\uFEFFathlete,version,score\n"Keeper",original,"8+3"\n');
    const { board } = compareSchema.parse(
      JSON.parse(gambito(['compare', join(samples, 'breakwater.txt'), '--results', results, '--people', people, '--json']).out),
    );
    expect(board[0]).toMatchObject({ athlete: 'Keeper', rank: 1, inWindow: true });
    writeFileSync(results, 'athlete,version,score\nNobody,original,8+3\nKeeper,original,fast\n');
    const bad = gambito(['compare', join(samples, 'breakwater.txt'), '--results', results, '--people', people, '--json']);
    expect(bad.code).toBe(2);
    expect(JSON.parse(bad.out).problems).toHaveLength(2);
  });
  test('every schema can be printed', () => {
    for (const name of Object.keys(fileSchemas)) expect(JSON.parse(gambito(['schema', name]).out)).toHaveProperty('$schema');
  });
  test.each([
    [['movements', 'thurster', '--json'], /thruster/],
    [['parse', '/nowhere.txt'], /cannot be read/],
    [['adapt', join(samples, 'breakwater.txt')], /--athlete/],
    [['fly'], /no command/],
    [['predict', join(samples, 'breakwater.txt'), '--athlete', athlete, '--date', 'today'], /YYYY-MM-DD/],
  ])('%j is refused with exit 2 and says what was expected', (args, message) => {
    const answer = gambito(args);
    expect(answer.code).toBe(2);
    expect(answer.err).toMatch(message);
  });
  test('movements nobody knows are told, and block nothing', () => {
    const answer = gambito(['parse', '-', '--json'], 'AMRAP 10:00\n5 quasars\n5 zorbles\n');
    expect(answer.code).toBe(0);
    const codes = JSON.parse(answer.out).diagnostics.map((each: { level: string; code: string }) => `${each.level} ${each.code}`);
    expect(codes).toEqual(['warning unknown_movement', 'warning unknown_movement']);
  });
  test.each([
    ['', 'No workout yet'],
    [
      'AMRAP 10:00\n' + '3 rounds\n 2 rounds\n  2 rounds\n   2 rounds\n    2 rounds\n     2 rounds\n      2 rounds\n       2 rounds\n        5 burpee',
      'more than 6 deep',
    ],
  ])('what cannot be computed with is refused with its sentence: %j', (text, sentence) => {
    const answer = gambito(['format', '-'], text);
    expect(answer.code).toBe(2);
    expect(answer.err).toContain(sentence);
  });
  test('an athlete file that unfolds to a huge one is answered, not a stack trace', () => {
    const bomb = [
      'a: &a [x, x, x, x, x, x, x, x, x]',
      ...'bcdefghij'.split('').map((name, at) => `${name}: &${name} [${Array(9).fill(`*${'abcdefghij'[at]}`).join(', ')}]`),
    ].join('\n');
    const file = join(directory, 'bomb.yaml');
    writeFileSync(file, bomb);
    const answer = gambito(['loads', file]);
    expect(answer.code).toBe(2);
    expect(answer.err).toMatch(/cannot be unfolded/);
    expect(answer.err).not.toMatch(/\n\s+at /);
  });
  test('a word that is not in the avoid-list is refused with the list, and loads without a unit follow the rules file', () => {
    const file = join(directory, 'avoids.yaml');
    writeFileSync(file, 'name: Keeper\navoid: [knees]\n');
    expect(gambito(['loads', file])).toMatchObject({ code: 2, err: expect.stringMatching(/“knees” is not in the avoid-list; expected .*deep_knee/) });
    const rules = join(directory, 'pounds.yaml');
    writeFileSync(rules, 'units: lb\n');
    expect(gambito(['format', '-', '--rules', rules], 'AMRAP 9:00\n10 thruster 95/65\n').out).toContain('@ 95/65 lb');
  });
  test('one athlete stands once on a board, and an impossible score is named', () => {
    const workout = join(directory, 'board.txt');
    writeFileSync(workout, 'AMRAP 10:00\n4 burpee\n6 push-up\n');
    const people = mkdtempSync(join(tmpdir(), 'gambito-people-'));
    writeFileSync(join(people, 'keeper.yaml'), 'name: Keeper\nlevel: trained\n');
    const results = join(directory, 'twice.csv');
    writeFileSync(results, 'athlete,version,score\nKeeper,original,7+3\nKeeper,original,2+99\n');
    const answer = gambito(['compare', workout, '--results', results, '--people', people]);
    expect(answer.code).toBe(2);
    expect(answer.err).toMatch(/Keeper stands twice, first on line 2/);
    expect(answer.err).toMatch(/a round has 10 reps here/);
  });
});

describe('what comes back of what was typed', () => {
  const long = 'an old lamp '.repeat(20_000);
  const people = join(directory, 'echo-people');
  mkdirSync(people);
  writeFileSync(join(people, 'keeper.yaml'), 'name: Keeper\n');
  const results = (text: string): string => {
    const path = join(directory, 'echo.csv');
    writeFileSync(path, text);
    return path;
  };
  test('too many results are said, and not simulated', () => {
    const rows = (count: number, name = 'Keeper'): string => results(`athlete,version,score\n${`${name},original,7+3\n`.repeat(count)}`);
    const compare = (path: string) => gambito(['compare', join(samples, 'cargo.txt'), '--people', people, '--results', path]);
    expect(compare(rows(501))).toMatchObject({ code: 2, err: expect.stringMatching(/more than 500 results; expected at most 500 in one comparison\.\n$/) });
    expect(compare(rows(400, 'Nobody')).err.split('\n')).toHaveLength(23);
    expect(compare(rows(400, 'Nobody')).err).toMatch(/… and \d+ more\.\n$/);
  });
  test.each([
    [
      'a quote that never closes',
      () => ['compare', join(samples, 'cargo.txt'), '--people', people, '--results', results(`athlete,version,score\n"Keeper,original,7+3\n${long}`)],
    ],
    [
      'a name that nobody has',
      () => ['compare', join(samples, 'cargo.txt'), '--people', people, '--results', results(`athlete,version,score\n${long},original,7+3\n`)],
    ],
    ['a score', () => ['compare', join(samples, 'cargo.txt'), '--people', people, '--results', results(`athlete,version,score\nKeeper,original,${long}\n`)]],
    ['a movement', () => ['movements', long]],
    ['a path', () => ['parse', `/tmp/${'x'.repeat(90_000)}`]],
  ])('is little of %s, with its exit code', (_what, args) => {
    for (const more of [[], ['--json']]) {
      const answer = gambito([...args(), ...more]);
      expect(answer.code).toBe(2);
      expect(answer.err).toContain('…');
      expect(answer.err.length + answer.out.length).toBeLessThan(3_000);
    }
  });
});
