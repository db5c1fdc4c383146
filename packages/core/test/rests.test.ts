/** What to do in a rest (common practice): a sentence a length, once. */
import { describe, expect, test } from '@jest/globals';
import { restAdvice } from '../src/index';
import { workout } from './asking';

const advice = (text: string): string[] => restAdvice(workout(text));

describe('what to do in a rest', () => {
  test.each([
    ['3 sets, rest 0:20 between\n  10 burpee', /^In rests of 0:20: stay standing/],
    ['3 sets, rest 1:00 between\n  10 burpee', /^In rests of 1:00: walk, breathe out long.*ten seconds before/],
    ['3 sets, rest 1:40 between\n  10 burpee', /^In rests of 1:40: walk, breathe out long/],
    ['3 sets, rest 3:00 between\n  10 burpee', /^In rests of 3:00: walk all of it.*fifteen seconds before/],
    ['3 sets, rest 2-3 min between\n  10 burpee', /^In rests of 2:00–3:00: walk all of it/],
    ['AMRAP 5:00\n10 burpee\n\nrest 6:00\n\nAMRAP 5:00\n10 air squat', /^In the rest of 6:00: walk, drink/],
    ['3 sets, rest until recovered between\n  10 burpee', /speak in whole sentences/],
    ['4 rounds for time, rest 1:30 between rounds\n10 burpee', /^In rests of 1:30: walk/],
    ['AMRAP 20:00\n10 burpee\nrest 0:20', /^In rests of 0:20: stay standing/],
    ['4 rounds for time, rest 1:1 between rounds\n10 burpee', /^Rest as long as the work took/],
    ['EMOM 10:00\n10 burpee', /^What is left of each interval is rest/],
  ])('%j', (text, sentence) => expect(advice(text)).toEqual([expect.stringMatching(sentence)]));
  test('each is said once, and nothing where nothing is rested', () => {
    expect(advice('AMRAP 5:00 x 3, rest 1:00 between\n10 burpee\n\nrest 1:00\n\n3 sets, rest 1:00 between\n  10 air squat')).toHaveLength(1);
    expect(advice('AMRAP 12:00\n10 burpee')).toEqual([]);
  });
});
