import { describe, expect, test } from '@jest/globals';
import { compile, parseWorkout, referenceCapacity, walkProgram, type Workout } from '@gambito/core';
import { laneOf, tickSeconds } from './lane';

const capacity = referenceCapacity('men');
const laneFor = (text: string, swapped: (part: number, slot: number) => boolean = () => false) => {
  const { workout }: { workout: Workout } = parseWorkout(text);
  return { lane: laneOf(workout, walkProgram(compile(workout, capacity), { trace: true }), swapped), workout };
};

describe('a lane of the strip', () => {
  test('has one block a set, in order, none beyond the end, and their reps are those of the workout', () => {
    const { lane } = laneFor('for time, cap 30:00\n3 rounds\n  15 push-up\n  20 air squat');
    for (let at = 1; at < lane.blocks.length; at++) expect(lane.blocks[at]!.start).toBeGreaterThanOrEqual(lane.blocks[at - 1]!.end - 1e-9);
    expect(lane.blocks.at(-1)!.end).toBeLessThanOrEqual(lane.end + 1e-9);
    const reps = (slot: number): number => lane.blocks.filter((each) => each.slot === slot).reduce((sum, each) => sum + each.count, 0);
    expect([reps(0), reps(1)]).toEqual([45, 60]);
  });
  test('blocks carry their pattern, their words with the unit where it is not reps, and whether they were swapped', () => {
    const { lane } = laneFor('for time, cap 30:00\n2 rounds\n  400 m run\n  10 kettlebell swing @ 24 kg', (_part, slot) => slot === 1);
    expect(lane.blocks[0]).toMatchObject({ label: '400 m run', pattern: 'run', swapped: false });
    expect(lane.blocks.find((each) => each.slot === 1)).toMatchObject({
      pattern: 'hinge',
      swapped: true,
      label: expect.stringMatching(/^\d+ kettlebell swing$/),
    });
  });
  test('the window of a piece for time lies on the axis; one in rounds does not', () => {
    expect(laneFor('for time, cap 20:00\n60 burpee\nwindow: 3:00-5:00').lane.parts[0]!.window).toEqual({ from: 180, to: 300 });
    expect(laneFor('for time, cap 20:00\n60 burpee\nintent: under 6:00').lane.parts[0]!.window).toEqual({ from: 0, to: 360 });
    expect(laneFor('AMRAP 10:00\n10 burpee\nintent: 8-10 rounds').lane.parts[0]!.window).toBeNull();
  });
  test('a window a set stands where the last set would end, rests counted', () => {
    const { lane } = laneFor('3 sets, rest 1:00 between\n  2 rounds\n    10 burpee\nscore: each set\nwindow: 1:00-2:00 per set');
    expect(lane.parts[0]!.window).toEqual({ from: 3 * 60 + 120, to: 3 * 120 + 120 });
  });
  test('a second part begins where the first ends, and its window moves with it', () => {
    const { lane } = laneFor('AMRAP 5:00\n10 burpee\n\nrest 2:00\n\nfor time, cap 10:00\n40 burpee\nwindow: 2:00-4:00');
    expect(lane.parts.map((each) => [each.start, each.isRest])).toEqual([
      [0, false],
      [300, true],
      [420, false],
    ]);
    expect(lane.parts[2]!.window).toEqual({ from: 540, to: 660 });
  });
});

test.each([
  [120, 30],
  [480, 60],
  [720, 120],
  [1200, 180],
  [1800, 300],
  [3600, 600],
  [7200, 900],
])('an axis of %d s has a tick every %d s: nine at most', (total, tick) => expect(tickSeconds(total)).toBe(tick));
