/** How often a block and a part are walked through: what limits of length and the totals hang on. */
import { describe, expect, test } from '@jest/globals';
import { parseWorkout } from '../notation/parse-workout';
import { passesOf, stepsOfPart } from './walk';

const partOf = (text: string) => parseWorkout(text).workout.parts[0]!;
const blockOf = (text: string) => {
  const part = partOf(text);
  const items = 'items' in part ? part.items : [];
  const block = items.find((item) => item.kind === 'block');
  if (block?.kind !== 'block') throw new Error(`no block in ${text}`);
  return block;
};

describe('passes of a block', () => {
  test('are its rounds, its ladder, or its longest own ladder as often as it has rounds', () => {
    const plain = blockOf('for time, cap 20:00\n400 m run\n3 rounds\n  10 burpee\n  15 sit-up');
    expect(passesOf(plain)).toBe(3);
    expect(passesOf({ ...plain, ladder: [21, 15, 9, 3] })).toBe(4);
    const rungs = (count: number[]) => ({ ...plain.items[0]!, count: { kind: 'ladder' as const, rungs: count } });
    const own = { ...plain, items: [rungs([5, 4]), rungs([3, 2, 1])] } as typeof plain;
    expect(passesOf(own)).toBe(9);
    expect(passesOf({ ...own, rounds: { ...plain.rounds, low: 1, high: 1 } })).toBe(3);
  });
});

describe('steps of a part', () => {
  test.each([
    ['for time, cap 20:00\n10 burpee\n15 sit-up', 2],
    ['3 sets, rest 2:00 between\n10 burpee\n15 sit-up', 6],
    ['4 sets, rest 2:00 between\n5 back squat @ 75%', 4],
    ['AMRAP 12:00\n10 burpee\n15 sit-up', 2],
    ['for time, cap 20:00\n400 m run\n3 rounds\n  10 burpee\n  15 sit-up', 7],
  ])('%j are %i', (text, steps) => expect(stepsOfPart(partOf(text))).toBe(steps));
});
