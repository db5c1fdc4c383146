/** The clock plan against the totals of the same workout (two readers of one text), and shared equipment against trying every second. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  compile,
  implementUses,
  planClock,
  referenceCapacity,
  queueForEquipment,
  staggerEquipment,
  summarize,
  walkProgram,
  type Holder,
  type Use,
} from '../src/index';
import { cases, seedsTo } from './cases';
import { workout } from './asking';
import { randomWorkout } from './people';
import { sampleNames, sampleText } from './samples';

const everyText = [...sampleNames.map(sampleText), ...seedsTo(30, 60).map(randomWorkout)];

describe('a clock plan', () => {
  test('ends when the totals say, wherever the clock fixes the time', () => {
    let compared = 0;
    for (const text of everyText) {
      const read = workout(text);
      const { totalSeconds } = planClock(read);
      const { clockSeconds } = summarize(read);
      if (totalSeconds === null || clockSeconds === null || read.parts.some((part) => part.optional)) continue;
      expect([text, totalSeconds]).toEqual([text, clockSeconds]);
      compared++;
    }
    expect(compared).toBeGreaterThan(20);
  });
  test('leaves no second uncovered: each cue begins where the one before ends', () => {
    for (const text of everyText) {
      const { cues } = planClock(workout(text));
      cues.slice(1).forEach((cue, index) => {
        const before = cues[index]!;
        expect([text, cue.atSeconds]).toEqual([text, before.atSeconds + (before.lengthSeconds ?? 0)]);
      });
      expect(cues.at(-1)).toMatchObject({ kind: 'end', lengthSeconds: null });
    }
  });
  test('AMRAPs with a rest between are work, rest, work, and no rest after the last', () =>
    expect(planClock(workout('AMRAP 5:00 x 2, rest 2:00 between\n10 burpee')).cues.map(({ atSeconds, kind, text }) => [atSeconds, kind, text])).toEqual([
      [0, 'work', 'AMRAP 1 of 2'],
      [300, 'rest', 'Rest 2:00'],
      [420, 'work', 'AMRAP 2 of 2'],
      [720, 'end', 'Time'],
    ]));
  test('stations take turns on an EMOM, and each interval lists its own lines', () => {
    const { cues } = planClock(workout('EMOM 4:00\n1: 10 push-up\n2: 12 air squat'));
    expect(cues.slice(0, 4).map(({ text, lines }) => [text, lines])).toEqual([
      ['1 of 4', ['10 push-up']],
      ['2 of 4', ['12 air squat']],
      ['3 of 4', ['10 push-up']],
      ['4 of 4', ['12 air squat']],
    ]);
  });
  test('work and rest alternate in intervals, with the station told during the work', () => {
    const { cues } = planClock(workout('30 s on / 15 s off x 4\nalternate\n  push-up\n  air squat'));
    expect(cues.map(({ atSeconds, kind }) => [atSeconds, kind])).toEqual([
      [0, 'work'],
      [30, 'rest'],
      [45, 'work'],
      [75, 'rest'],
      [90, 'work'],
      [120, 'rest'],
      [135, 'work'],
      [165, 'rest'],
      [180, 'end'],
    ]);
    expect(cues[2]!.lines.join()).toMatch(/air squat/);
  });
  test('sets for time are open pieces: the athlete ends them, the rest runs by itself', () => {
    const { cues, totalSeconds } = planClock(workout('3 sets, rest 1:00 between\n  2 rounds\n    10 burpee\n    200 m run'));
    expect(totalSeconds).toBeNull();
    expect(cues.map(({ kind, lengthSeconds }) => [kind, lengthSeconds])).toEqual([
      ['open', null],
      ['rest', 60],
      ['open', null],
      ['rest', 60],
      ['open', null],
      ['end', null],
    ]);
  });
  test('windows start by the clock, however early the work was done', () => {
    const { cues } = planClock(workout('every 6:00 x 3, rest what is left\nwindow 1:\n  400 m run\nwindow 2:\n  30 burpee\nwindow 3:\n  400 m run'));
    expect(cues.map((cue) => cue.atSeconds)).toEqual([0, 360, 720, 1080]);
    expect(cues[1]).toMatchObject({ kind: 'interval', text: 'Window 2 of 3', lines: ['30 burpee'] });
  });
  test('strength sets on an interval, and without one with their rests', () => {
    expect(planClock(workout('every 2:30 x 5\n5 back squat, build')).totalSeconds).toBe(750);
    const free = planClock(workout('5 sets, rest 2:00 between\n  5 back squat @ 80 kg')).cues;
    expect(free.filter((cue) => cue.kind === 'rest').map((cue) => cue.lengthSeconds)).toEqual([120, 120, 120, 120]);
  });
});

/** Every whole second tried as the second person's start. */
function firstFreeSecond(uses: readonly Use[], wholeSeconds: number): number | null {
  for (let offset = 0; offset < wholeSeconds; offset++) {
    const clash = uses.some((mine) => uses.some((theirs) => mine.startSeconds < theirs.endSeconds + offset && theirs.startSeconds + offset < mine.endSeconds));
    if (!clash) return offset;
  }
  return null;
}

describe('two people and one implement', () => {
  test('the offset is the first second at which nobody waits (seed 5)', () =>
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 60 }), { minLength: 2, maxLength: 10 }), (lengths) => {
        // used and free in turn
        let at = 0;
        const uses: Use[] = [];
        lengths.forEach((length, index) => {
          if (index % 2 === 0) uses.push({ startSeconds: at, endSeconds: at + length });
          at += length;
        });
        const { offsets, totalSeconds, turnsSeconds } = staggerEquipment(Array(2).fill({ uses, wholeSeconds: at }));
        const expected = firstFreeSecond(uses, at);
        expect(offsets).toEqual([0, expected]);
        expect(totalSeconds).toBe(at + (expected ?? at));
        expect(turnsSeconds).toBe(2 * uses.reduce((sum, each) => sum + each.endSeconds - each.startSeconds, 0));
      }),
      { seed: 5, numRuns: cases(80, 200) },
    ));
  test('several with versions of their own: no two hold it at once, and nobody could begin a second sooner', () =>
    void fc.assert(
      fc.property(
        fc.array(fc.array(fc.integer({ min: 5, max: 60 }), { minLength: 1, maxLength: 6 }), { minLength: 2, maxLength: 3 }),
        fc.integer({ min: 0, max: 12 }),
        (all, handOver) => {
          const people = all.map((lengths): Holder => {
            let at = 0;
            const uses: Use[] = [];
            lengths.forEach((length, index) => {
              if (index % 2 === 0) uses.push({ startSeconds: at, endSeconds: at + length });
              at += length;
            });
            return { uses, wholeSeconds: at };
          });
          const { offsets, totalSeconds } = staggerEquipment(people, handOver);
          const taken: Use[] = [];
          let before = 0;
          people.forEach(({ uses, wholeSeconds }, index) => {
            const at = (offset: number) => uses.map((use) => ({ startSeconds: use.startSeconds + offset, endSeconds: use.endSeconds + offset + handOver }));
            const free = (offset: number) =>
              at(offset).every((mine) => taken.every((theirs) => mine.startSeconds >= theirs.endSeconds || theirs.startSeconds >= mine.endSeconds));
            const first = Array.from({ length: Math.max(1, before) }, (_, offset) => offset).find(free) ?? null;
            expect(offsets[index]).toBe(first);
            taken.push(...at(first ?? before));
            before = Math.max(before, (first ?? before) + wholeSeconds);
          });
          expect(totalSeconds).toBe(before);
        },
      ),
      { seed: 6, numRuns: cases(60, 150) },
    ));
  test('whoever comes first has it first, and waiting moves what comes after; where a start is free for everybody nobody waits', () => {
    const holder = (spans: readonly (readonly [number, number])[], wholeSeconds: number): Holder => ({
      uses: spans.map(([startSeconds, endSeconds]) => ({ startSeconds, endSeconds })),
      wholeSeconds,
    });
    const two = [
      holder(
        [
          [0, 20],
          [40, 60],
        ],
        80,
      ),
      holder(
        [
          [0, 20],
          [40, 60],
        ],
        80,
      ),
    ];
    // by hand: the second has it from 30 to 50, the first again from 60 to 80 (not 40), the second from 90 to 110 (not 70)
    expect(queueForEquipment(two, [0, 0], 10)).toEqual({ waits: [20, 50], totalSeconds: 130 });
    expect(queueForEquipment(two, [0, 20], 0)).toEqual({ waits: [0, 0], totalSeconds: 100 });
    expect(queueForEquipment([holder([], 60)], [5])).toEqual({ waits: [0], totalSeconds: 65 });
    const { offsets } = staggerEquipment(two, 0);
    expect(queueForEquipment(two, offsets as number[], 0).waits).toEqual([0, 0]);
  });
  test('a version tells when it has which implement in use: the bar in its odd minutes, the rope in its even ones', () => {
    const read = workout('EMOM 4:00\nminute 1: 8 thruster @ 40/30 kg\nminute 2: 30 single-under');
    const run = walkProgram(compile(read, referenceCapacity('men')), { trace: true });
    const uses = implementUses(read, run, () => undefined);
    expect(uses.map(({ implement }) => implement)).toEqual(['barbell', 'rope']);
    expect(uses[0]!.uses.map(({ startSeconds }) => Math.floor(startSeconds / 60))).toEqual([0, 2]);
    expect(uses[1]!.uses.map(({ startSeconds }) => Math.floor(startSeconds / 60))).toEqual([1, 3]);
    // somebody else begins a minute later, and both are done a minute later
    const { offsets } = staggerEquipment(
      [uses[0]!, uses[0]!].map((each) => ({ ...each, wholeSeconds: 240 })),
      10,
    );
    expect(offsets[1]).toBeGreaterThan(20);
    expect(offsets[1]).toBeLessThanOrEqual(60);
  });
  test('an implement put down for a moment is not given away; for longer it is', () => {
    const read = workout('AMRAP 5:00\n10 front squat @ 40/30 kg\n5 burpee\n10 front squat @ 40/30 kg');
    const block = (slot: number, start: number, end: number) => ({ part: 0, slot, start, end, count: 1 }) as never;
    const uses = (gap: number) =>
      implementUses(read, { trace: [block(0, 0, 30), block(2, 30 + gap, 60 + gap)] } as never, () => undefined).find(
        ({ implement }) => implement === 'barbell',
      )!.uses;
    expect(uses(14)).toEqual([{ startSeconds: 0, endSeconds: 74 }]);
    expect(uses(15)).toHaveLength(2);
  });
  test('nothing shared, nobody waits', () =>
    expect(staggerEquipment(Array(2).fill({ uses: [], wholeSeconds: 600 }))).toMatchObject({ offsets: [0, 0], totalSeconds: 600, turnsSeconds: 0 }));
});
