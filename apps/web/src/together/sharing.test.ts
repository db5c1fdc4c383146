import { describe, expect, test } from '@jest/globals';
import type { Member } from './lanes';
import { handOver, sharedImplements, sharingPlan } from './sharing';

const member = (athleteId: number, spans: [number, number][], wholeSeconds: number, implement = 'barbell'): Member => ({
  athleteId,
  name: `Keeper ${athleteId}`,
  later: 0,
  clock: { cues: [], totalSeconds: null },
  fields: [],
  predicted: { unit: 'seconds', low: 0, median: 0, high: 0 },
  wholeSeconds,
  uses: [{ implement, spans }],
  score: null,
});

describe('sharing an implement', () => {
  test('is offered for what at least two have in use', () => {
    expect(sharedImplements([member(1, [[0, 20]], 60), member(2, [[0, 20]], 60), member(3, [[0, 9]], 60, 'rope')])).toEqual(['barbell']);
    expect(sharingPlan([member(1, [[0, 20]], 60)], 'barbell')).toBeNull();
  });
  test('the second begins when it is free, with the time it takes to change hands', () => {
    const plan = sharingPlan([member(1, [[0, 20]], 120), member(2, [[0, 20]], 120)], 'barbell')!;
    expect(plan.lanes.map(({ begins }) => begins)).toEqual([0, 20 + handOver]);
    expect(plan).toMatchObject({ totalSeconds: 120 + 20 + handOver, oneAfterAnother: false });
  });
  test('whoever is longer goes first where that is done sooner', () => {
    const [short, long] = [member(1, [[0, 20]], 60), member(2, [[0, 20]], 300)];
    expect(sharingPlan([short, long], 'barbell')!.lanes.map(({ athleteId }) => athleteId)).toEqual([2, 1]);
  });
  test('where it is never free, one begins when the other is done, and that is said', () => {
    const plan = sharingPlan([member(1, [[0, 100]], 100), member(2, [[0, 100]], 100)], 'barbell')!;
    expect(plan.oneAfterAnother).toBe(true);
    expect(plan.lanes[1]!.begins).toBe(100);
  });
});
