import { describe, expect, test } from '@jest/globals';
import type { ClassRun } from '@gambito/contract';
import { parseWorkout, planClock, scoreFields, waitingClass, type ClassClock } from '@gambito/core';
import { axisOf, laneView, membersOf, type Member } from './lanes';

const start = 1_000_000;
const laneFor = (text: string, change: Partial<Member> = {}): Member => {
  const { workout } = parseWorkout(text);
  return {
    athleteId: 1,
    name: 'Tabrik',
    later: 0,
    begin: null,
    orders: [],
    clock: planClock(workout),
    fields: scoreFields(workout) as Member['fields'],
    predicted: { unit: 'seconds', low: 280, median: 300, high: 330 },
    wholeSeconds: 600,
    uses: [],
    score: null,
    ...change,
  };
};
const clock: ClassClock = { ...waitingClass, startedAt: start };
const runOf = (taps: readonly number[], change: Partial<ClassRun> = {}): ClassRun => ({
  startedAt: start,
  taps: taps.map((at) => ({ at, cue: 0 })),
  ended: {},
  finishedAt: null,
  ...change,
});
const at = (seconds: number): number => start + seconds * 1000;

describe('a lane of the class', () => {
  const amrap = laneFor('AMRAP 10:00\n5 burpee\n5 push-up');
  test('fills with the clock, with a notch for each tap, and says how far somebody is', () => {
    const run = runOf([50, 99]);
    const view = laneView(amrap, clock, { run, seenAt: at(100) }, at(120));
    expect(view).toMatchObject({ state: 'working', filled: 120, marks: [50, 99], score: null });
    expect(view.doing).toContain('2 rounds');
  });
  test('stops where its clock has run out, with what was tapped as the score', () => {
    const view = laneView(amrap, clock, { run: runOf([50, 99]), seenAt: at(600) }, at(640));
    expect(view).toMatchObject({ state: 'done', filled: 600, score: '2+0' });
  });
  test('stops where somebody is done before the others', () => {
    const forTime = laneFor('for time, cap 10:00\n50 burpee');
    const done = { run: runOf([312], { ended: { 0: 312 }, finishedAt: 312 }), seenAt: at(313) };
    expect(laneView(forTime, clock, done, at(400))).toMatchObject({ state: 'done', filled: 312, expected: 300, score: '5:12' });
  });
  test('of a phone that is not there, and of one that fell silent, says so; the clock goes on for it', () => {
    expect(laneView(amrap, clock, undefined, at(60))).toMatchObject({ state: 'away', filled: 60 });
    expect(laneView(amrap, clock, { run: runOf([50]), seenAt: at(50) }, at(120)).state).toBe('silent');
  });
  test('does not count what was tapped before the clock was started anew', () => {
    const old = { run: runOf([50, 99], { startedAt: start - 60_000 }), seenAt: at(5) };
    expect(laneView(amrap, clock, old, at(20))).toMatchObject({ state: 'away', marks: [] });
  });
  test('begins later where a bar is shared, and everything of it lies as much later on the axis', () => {
    const later = laneFor('AMRAP 10:00\n5 burpee', { later: 90 });
    expect(laneView(later, clock, undefined, at(30)).doing).toBe('begins at 1:30');
    const view = laneView(later, clock, { run: runOf([50]), seenAt: at(150) }, at(150));
    expect(view.marks).toEqual([140]);
    expect(laneView(later, clock, { run: runOf([50]), seenAt: at(700) }, at(695)).filled).toBe(690);
    expect(axisOf([amrap, later], 0)).toBe(690);
  });
});

test('whoever begins with another movement has the clock of that order; with one that is not there, the clock as it is written', () => {
  const lane = laneFor('EMOM 4:00\n1: 5 burpee\n2: 5 push-up');
  const other = laneFor('EMOM 4:00\n1: 5 push-up\n2: 5 burpee').clock;
  const orders = [{ begin: 'push-up', wholeSeconds: 240, uses: [], clock: other }];
  const member = (begins: Record<string, string>) => membersOf({ lanes: [{ ...lane, orders }], later: { 1: 30 }, begins })[0]!;
  expect(member({ 1: 'push-up' })).toMatchObject({ begin: 'push-up', clock: other, later: 30 });
  expect(member({ 1: 'run' }).clock).toBe(lane.clock);
  expect(member({})).toMatchObject({ begin: null, clock: lane.clock });
});
