/** Words beside a line, true of it. */
import { describe, expect, test } from '@jest/globals';
import { movementOf } from '../../src/index';
import { patternWordOf } from '../../src/adapt/told/words';
import { versionOf, withKit } from '../asking';

describe('what a movement is called by its pattern', () => {
  test.each([
    ['double-under', 'rope'],
    ['stepping-jack', 'quick steps on the spot'],
    ['jumping-jack', 'quick steps on the spot'],
    ['row', 'machine'],
    ['goblet-squat', 'squat'],
  ])('%s: %s', (id, word) => expect(patternWordOf(movementOf(id))).toBe(word));
});

// one that was moved is among the seeds of adaptation.test.ts
test('a ladder that stands has the same count, and says on which side', () => {
  const { slots } = versionOf('for time, cap 12:00\n9-6-3\n  thruster @ 30/20 kg\n  air squat', withKit(['kettlebell 24 kg'])).version.parts[0]!;
  expect(slots[0]!.reps).toEqual([9, 6, 3]);
  expect(slots[0]!.reason).toMatch(/, same count/);
});
