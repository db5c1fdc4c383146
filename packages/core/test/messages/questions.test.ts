/** What a message leaves open is asked with choices; an answer changes the reading, and the ones that hold for other messages are kept. */
import { describe, expect, test } from '@jest/globals';
import { houseWordSentence, isKept, mostHouseWords, withHouseWord, withoutHouseWord, type HouseWord } from '../../src/message/house-words';
import { openSentences, readWorkoutText } from '../../src/message/read-any';

const message = 'morning! 12 min amrap today: 8 zombie squats, 12 swings at 24/16 kg, 10 box jumps 24/20';
const read = (words: readonly HouseWord[] = [], text = message, units: 'kg' | 'lb' = 'kg') => readWorkoutText(text, { words, units });
const asks = (words: readonly HouseWord[] = [], text = message): string[] => read(words, text).questions.map((question) => question.asks);
const choose = (at: number, label: RegExp, words: readonly HouseWord[] = [], text = message): HouseWord[] =>
  withHouseWord(words, read(words, text).questions[at]!.choices.find((choice) => label.test(choice.label))!.answer);

describe('a movement nobody knows', () => {
  test('is asked about, with the nearest ones first, and a way to leave it', () => {
    const [question] = read().questions;
    expect(question).toMatchObject({ about: 'zombie squat', asks: 'Gambito does not know “zombie squat”. What is it?', movement: true });
    expect(question!.choices.map(({ label }) => label)).toEqual([
      'The same as air squat',
      expect.stringMatching(/^The same as /),
      'Keep it as written, not checked',
      'It is no movement',
    ]);
  });
  test('is read as what the coach says it is, in this message and in others', () => {
    const words = choose(0, /air squat/);
    expect(read(words).readAs).toContain('8 air squat');
    expect(asks(words)).not.toContain('Gambito does not know “zombie squat”. What is it?');
    expect(read(words, 'for time:\n3 rounds of 20 Zombie Squats and 10 burpees, good luck all').readAs).toMatch(/20 air squat\n10 burpee/);
  });
  test('stays under its own name, reckoned as another, where that is said', () => {
    const reading = read([{ kind: 'like', words: 'zombie squat', means: 'Front squat' }]);
    expect(reading.readAs).toMatch(/^movement: zombie squat = front squat\nAMRAP 12:00\n8 zombie squat/);
    expect(reading.diagnostics.map(({ code }) => code)).not.toContain('unknown_movement');
  });
  test('is not asked about again where it is kept as written, and is still not checked', () => {
    const words = choose(0, /as written/);
    expect(asks(words)).toEqual(['“24/20” of box jump: in which unit?']);
    expect(read(words).diagnostics.map(({ code }) => code)).toContain('unknown_movement');
    expect(openSentences(read(words)).join(' ')).not.toContain('zombie');
  });
  test('is left out where it is none', () => {
    expect(read(choose(0, /no movement/)).readAs).not.toContain('zombie');
  });
});

describe('figures', () => {
  test('a height without a unit is asked about once', () => {
    expect(asks()).toContain('“24/20” of box jump: in which unit?');
    const words = choose(1, /Centimetres/);
    expect(read(words).readAs).toContain('10 box jump @ 24/20 cm');
    expect(asks(words, 'amrap 10 please: 12 box jumps 20, 8 burpees thanks')).toEqual([]);
  });
  test('a load as plates in pounds have it is asked about in a room of kilograms; the answer is of this load alone', () => {
    const text = 'for time today: 21-15-9 thrusters 95/65 and burpees, swings 24/16. have fun';
    expect(asks([], text)).toContain('“95/65” of thruster: in which unit?');
    const words = choose(0, /Pounds/, [], text);
    expect(read(words, text).readAs).toMatch(/thruster @ 95\/65 lb/);
    expect(read(words, text).readAs).toMatch(/swing @ 24\/16 kg/);
    expect(isKept(words[0]!)).toBe(false);
  });
  test('a load without a unit is in the unit of the room', () => {
    const text = 'hey, amrap 12: 10 thrusters 95/65, 10 burpees, see you';
    expect(read([], text, 'lb').readAs).toContain('@ 95/65 lb');
  });
  test('a ball of 20 is one of pounds, and asked about', () => {
    const text = 'ok team amrap 10: 15 wall balls 20/14, 10 burpees';
    expect(read([], text).readAs).toContain('wall ball @ 20/14 lb');
    expect(asks([], text)).toEqual(['“20/14” of wall ball: in which unit?']);
  });
  test('metres without a movement are run, or what the coach says', () => {
    const text = 'ok team today amrap 12: 200 m, then ten burpees. enjoy';
    expect(read([], text).readAs).toContain('200 m run');
    const words = choose(0, /^Row$/, [], text);
    expect(read(words, text).readAs).toContain('200 m row');
    expect(asks(words, text)).toEqual([]);
  });
  test('a figure that found no place goes where the coach puts it, or is none', () => {
    const text = `${message}. bring 3 towels`;
    const last = read([], text).questions.length - 1;
    expect(read([], text).questions[last]).toMatchObject({ about: '3', asks: 'Where does “3” belong?' });
    const words = choose(last, /no part/, [], text);
    expect(asks(words, text)).not.toContain('Where does “3” belong?');
    expect(openSentences(read(words, text)).join(' ')).not.toContain('“3”');
  });
  test('each question is a sentence of the command line as well', () => {
    const { questions, diagnostics } = read();
    const said = diagnostics.map((each) => each.message);
    for (const { sentence, about } of questions) expect(said.some((each) => each === sentence || each.includes(about))).toBe(true);
  });
});

test('each line of the plain notation knows the line of the message it came from', () => {
  const { readAs, from } = read([], 'hi all, 12 min amrap pls\neight burpees\n\nand twelve swings 24/16 kg, 10 sit ups');
  expect(readAs!.split('\n').map((line, at) => [line, from[at]])).toEqual([
    ['AMRAP 12:00', null],
    ['8 burpee', 1],
    ['12 kettlebell swing @ 24/16 kg', 3],
    ['10 sit-up', 3],
  ]);
});

test('what stands before a ladder makes no talk of the work after it, and a load belongs to what stands before it', () => {
  const text = 'morning team!! twenty one fifteen nine thrusters 95/65 lb & burpees. have fun';
  expect(read([], text).readAs).toBe('for time\n21-15-9\nthruster @ 95/65 lb\nburpee');
});

describe('the answers of a coach', () => {
  const kept: HouseWord = { kind: 'name', words: 'Zombie squats', means: 'Air squat' };
  test('of two about the same the later holds, and one can be taken back', () => {
    const words = withHouseWord([kept], { kind: 'asWritten', words: 'zombie squats', means: '' });
    expect(words).toHaveLength(1);
    expect(words[0]!.kind).toBe('asWritten');
    expect(withoutHouseWord(words, kept)).toEqual([]);
  });
  test('are no more than a list can hold: the oldest goes', () => {
    const many = Array.from({ length: mostHouseWords + 1 }, (_, at): HouseWord => ({ kind: 'name', words: `lantern hop ${at}`, means: 'Burpee' }));
    const words = many.reduce(withHouseWord, [] as HouseWord[]);
    expect([words.length, words[0]!.words]).toEqual([mostHouseWords, 'lantern hop 1']);
  });
  test.each<[HouseWord, string]>([
    [kept, '“Zombie squats” means air squat.'],
    [{ kind: 'name', words: 'crew', means: '' }, '“crew” is no movement.'],
    [{ kind: 'like', words: 'deck roll', means: 'Burpee' }, '“deck roll” is a movement of your own, counted like burpee.'],
    [{ kind: 'asWritten', words: 'deck roll', means: '' }, '“deck roll” stays as it is written, and is not checked.'],
    [{ kind: 'height', words: '', means: 'in' }, 'A height without a unit is in inches.'],
    [{ kind: 'metres', words: '', means: 'Row' }, 'A length without a movement means row.'],
    [{ kind: 'load', words: '95/65', means: 'lb' }, '“95/65” is in pounds.'],
    [{ kind: 'figure', words: '3', means: '' }, '“3” is no part of the workout.'],
    [{ kind: 'figure', words: '16 kg', means: 'Thruster' }, '“16 kg” is of thruster.'],
  ])('%j reads as a sentence', (word, sentence) => expect(houseWordSentence(word)).toBe(sentence));
});
