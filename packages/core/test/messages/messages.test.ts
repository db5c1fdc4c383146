/** Messages as strangers write them, each beside the same in plain notation: read whole, or said; and what nobody knows is never read without a word. */
import { describe, expect, test } from '@jest/globals';
import { seededRandom } from '../../src/units/random';
import { readMessage } from '../../src/message/read-message';
import { readWorkoutText } from '../../src/message/read-any';
import { parseWorkout } from '../../src/notation/parse-workout';
import { cases } from '../cases';
import { meaningOf } from './meaning';
import corpus from './workouts.json' with { type: 'json' };

type Case = (typeof corpus)[number];
interface Seen {
  readonly n: number;
  readonly style: string;
  readonly isRight: boolean;
  /** something is said of it that is more than a remark */
  readonly isTold: boolean;
}
function seen({ n, style, text, plain }: Case): Seen {
  const reading = readWorkoutText(text);
  const isRight = meaningOf(reading) === meaningOf(parseWorkout(plain));
  return { n, style, isRight, isTold: reading.diagnostics.some(({ level }) => level !== 'info') };
}

describe('messages of strangers', () => {
  const all = corpus.map(seen);
  test('are read right, of each style, no less often than before', () => {
    const right = new Map<string, number>();
    for (const each of all) if (each.isRight) right.set(each.style, (right.get(each.style) ?? 0) + 1);
    const least = { chat: 20, voice: 4, whiteboard: 21, spreadsheet: 3, document: 14 };
    for (const [style, count] of Object.entries(least)) expect([style, (right.get(style) ?? 0) >= count]).toEqual([style, true]);
  });
  test('what is not read right is said, but for a few that are known', () => {
    const silent = all.filter(({ isRight, isTold }) => !isRight && !isTold).map(({ n }) => n);
    // read by the strict reader whole, with another scheme than was meant
    const known = [8, 23, 79, 211, 236, 268];
    expect(silent.filter((n) => !known.includes(n))).toEqual([]);
  });
  test('a figure is used or said, with greetings, emoji, bullets, case and slips added', () => {
    const random = seededRandom(26);
    const noise = [
      (text: string) => `Good morning everyone 🙂\n${text}`,
      (text: string) => text.toUpperCase(),
      (text: string) => text.replaceAll('\n', '\n• '),
      (text: string) => `${text}\nsee you there 💪`,
      (text: string) => text.replace(/([a-z])([a-z])(?=[a-z]{3})/, '$2$1'),
    ];
    for (let at = 0; at < cases(40, 400); at++) {
      const { text } = corpus[Math.floor(random() * corpus.length)]!;
      const noisy = noise[Math.floor(random() * noise.length)]!(text);
      expect(() => readWorkoutText(noisy)).not.toThrow();
      const { notation } = readMessage(noisy);
      // plain notation reads back as itself
      expect(meaningOf(parseWorkout(notation))).toBe(meaningOf(parseWorkout(notation)));
    }
  });
});

describe('a message', () => {
  test.each([
    ['morning team! 12 min amrap today: 8 burpees, 12 air squats, 16 sit ups. have fun 🔥', 'AMRAP 12:00\n8 burpee\n12 air squat\n16 sit-up'],
    ['buy milk', ''],
    ['5 rds for time 🏃\n➡️ 400m run\n➡️ 15 kb swigns (24/16)\ncap 20', '5 rounds for time, cap 20:00\n400 m run\n15 kettlebell swing @ 24/16 kg'],
    ['4 rope climbs... jk 1 rope climb, for time', 'for time\n1 rope climb'],
    ['twelve minute cap, for time: twenty one fifteen nine, thrusters at forty kilos and pull ups', 'for time, cap 12:00\n21-15-9\nthruster @ 40 kg\npull-up'],
  ])('%j', (text, notation) => expect(readMessage(text).notation).toBe(notation));
  test('two figures of a lift are masses where the scheme counts, and a count that is followed by another is said', () => {
    expect(readMessage('21-15-9 burpees and swings 24/16').notation).toContain('kettlebell swing @ 24/16 kg');
    expect(readMessage('30 min: run 1k easy then 5 rounds of 10 swings 16kg').left).toContain('1 km');
  });
  test('what it leaves aside is listed', () => {
    const { left, aside } = readMessage('AMRAP 9 today\n8 burpees\nbring 2 towels');
    expect([left, aside.join(' ')]).toEqual([['2'], expect.stringContaining('bring')]);
  });
  test('of two readings without a remark, the one with fewer parts names the other', () => {
    const told = (text: string): string[] => readWorkoutText(text).diagnostics.flatMap(({ level, message }) => (level === 'warning' ? [message] : []));
    const [other] = told('deadlift 5x5 at 80%, rest 3 mins. then 3 rounds of 12 ring rows, 10 burpees');
    expect(other).toContain('5 sets, rest 3:00 between / 5 deadlift @ 80% / 3 rounds / 12 ring row / 10 burpee');
    expect(told('AMRAP 12, then rest 2:00\n10 burpees').filter((message) => message.startsWith('It can also'))).toEqual([]);
  });
  test('a figure in a note of the coach is no figure that was lost', () => {
    expect(readWorkoutText('for time, cap 15:00\n120 burpee\nnote: every minute look up 4 times from 0:00')).toMatchObject({ readAs: null });
  });
  test('notation stays with the strict reader', () => {
    const clear = corpus.filter(({ plain }) => !parseWorkout(plain).diagnostics.some(({ level }) => level !== 'info'));
    const taken = clear.filter(({ plain }) => readWorkoutText(plain).readAs !== null).map(({ n }) => n);
    expect(clear.length).toBeGreaterThan(80);
    expect(taken).toEqual([]);
  });
  test.each(['x'.repeat(50_000), '10 '.repeat(8_000), '21-15-9 '.repeat(2_000), '(('.repeat(10_000), '\n'.repeat(30_000), '12 min '.repeat(3_000)])(
    'a hostile one is answered',
    (text) => {
      expect(() => readWorkoutText(text)).not.toThrow();
    },
  );
});
