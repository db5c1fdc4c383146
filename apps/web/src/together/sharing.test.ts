import { describe, expect, test } from '@jest/globals';
import type { Member } from './lanes';
import { handOver } from '@gambito/core';
import { sharedImplements, sharingPlan, startsWith } from './sharing';

const member = (athleteId: number, spans: [number, number][], wholeSeconds: number, implement = 'barbell'): Member => ({
  athleteId,
  name: `Keeper ${athleteId}`,
  later: 0,
  begin: null,
  orders: [],
  clock: { cues: [], totalSeconds: null },
  fields: [],
  predicted: { unit: 'seconds', low: 0, median: 0, high: 0 },
  wholeSeconds,
  uses: [{ implement, spans, kg: null }],
  score: null,
});

describe('sharing an implement', () => {
  test('is offered for what at least two have in use', () => {
    expect(sharedImplements([member(1, [[0, 20]], 60), member(2, [[0, 20]], 60), member(3, [[0, 9]], 60, 'rope')])).toEqual(['barbell']);
    expect(sharingPlan([member(1, [[0, 20]], 60)], 'barbell')).toBeNull();
  });
  test('the second begins when it is free, with the time it takes to change hands', () => {
    const plan = sharingPlan([member(1, [[0, 20]], 120), member(2, [[0, 20]], 120)], 'barbell')!;
    expect(plan.people.map(({ begins }) => begins)).toEqual([0, 20 + handOver]);
    expect(plan).toMatchObject({ totalSeconds: 120 + 20 + handOver, waitSeconds: 0 });
  });
  test('whoever is longer goes first where that is done sooner', () => {
    const [short, long] = [member(1, [[0, 20]], 60), member(2, [[0, 20]], 300)];
    expect(sharingPlan([short, long], 'barbell')!.people.map(({ person }) => person.lane.athleteId)).toEqual([2, 1]);
  });
  test('where it would be free only when the other is nearly done, they begin close together and wait a moment now and then', () => {
    // rounds of 60 and 70 s, a quarter of each with the bar: every offset clashes somewhere
    const rounds = (length: number, count: number) => Array.from({ length: count }, (_, at): [number, number] => [at * length, at * length + 15]);
    const plan = sharingPlan([member(1, rounds(60, 12), 720), member(2, rounds(70, 10), 700)], 'barbell')!;
    expect(plan.people[1]!.begins).toBeLessThanOrEqual(60);
    expect(plan.waitSeconds).toBeGreaterThan(0);
    expect(plan.totalSeconds).toBeLessThan(1.25 * plan.aloneSeconds);
  });
  test('what is set keeps what was set for others, and takes back what was set for those who share', () => {
    const rounds = (from: number) => Array.from({ length: 10 }, (_, at): [number, number] => [at * 90 + from, at * 90 + from + 30]);
    const orders = [
      { begin: 'burpee', wholeSeconds: 900, clock: { cues: [], totalSeconds: null }, uses: [{ implement: 'barbell', spans: rounds(45), kg: 60 }] },
    ];
    const lanes = [
      { ...member(1, rounds(0), 900), later: 40 },
      { ...member(2, rounds(0), 900), orders },
      { ...member(3, [], 600), later: 90 },
      { ...member(4, [], 600), begin: 'run' },
    ];
    const plan = sharingPlan(lanes.slice(0, 2), 'barbell')!;
    expect(startsWith(lanes, plan)).toEqual({ later: { 3: 90 }, begins: { 2: 'burpee', 4: 'run' } });
  });
});
