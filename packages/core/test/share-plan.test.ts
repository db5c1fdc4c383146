/** One implement among several: the order that is written, another order, loads that differ; and the other orders of a version. */
import { describe, expect, test } from '@jest/globals';
import {
  adapt,
  capacityOf,
  handOver,
  handOverSeconds,
  otherOrders,
  planClock,
  planSharing,
  plateChange,
  queueForEquipment,
  type Athlete,
  type InHand,
  type Sharer,
} from '../src/index';
import { withKit, workout } from './asking';

const spans = (every: number, from: number, length: number, count: number): Sharer['uses'] =>
  Array.from({ length: count }, (_, at) => ({ startSeconds: at * every + from, endSeconds: at * every + from + length }));
/** rounds of a minute and a half, a third of it with the bar, first or second */
const barFirst: Sharer = { uses: spans(90, 0, 30, 10), wholeSeconds: 900 };
const barSecond = { begin: 'burpee', uses: spans(90, 45, 30, 10), wholeSeconds: 900 };

describe('another order', () => {
  test('is taken where two would stand and wait, and nobody waits with it', () => {
    const plan = planSharing([barFirst, { ...barFirst, orders: [barSecond] }])!;
    expect(plan.people.map(({ begins, begin }) => [begins, begin])).toEqual([
      [0, null],
      [0, 'burpee'],
    ]);
    expect(plan).toMatchObject({ totalSeconds: 900, waitSeconds: 0, aloneSeconds: 900 });
    expect(plan.people[1]!.uses).toBe(barSecond.uses);
  });
  test('without one, they begin one after the other', () => {
    const plan = planSharing([barFirst, barFirst])!;
    expect(plan.people.map(({ begins, begin }) => [begins, begin])).toEqual([
      [0, null],
      [40, null],
    ]);
  });
  test('the order that is written stays where another saves next to nothing', () => {
    const short = { uses: [{ startSeconds: 0, endSeconds: 10 }], wholeSeconds: 600 };
    const other = { begin: 'burpee', uses: [{ startSeconds: 30, endSeconds: 40 }], wholeSeconds: 600 };
    expect(planSharing([short, { ...short, orders: [other] }])!.people.every(({ begin }) => begin === null)).toBe(true);
  });
  test('of several the one with the least waiting; more than four keep the order that is written', () => {
    const worse = { begin: 'run', uses: spans(90, 10, 30, 10), wholeSeconds: 900 };
    const plan = planSharing([barFirst, { ...barFirst, orders: [worse, barSecond] }])!;
    expect(plan.people[1]!.begin).toBe('burpee');
    const five = Array.from({ length: 5 }, () => ({ ...barFirst, orders: [barSecond] }));
    expect(planSharing(five)!.people.every(({ begin }) => begin === null)).toBe(true);
  });
});

describe('hands and plates', () => {
  test('other loads on one bar take the plates, other loads of two kettlebells do not', () => {
    expect(handOverSeconds([{ kg: 60 }, { kg: 60 }], 'barbell')).toBe(handOver);
    expect(handOverSeconds([{ kg: 60 }, { kg: 40 }], 'barbell')).toBe(handOver + plateChange);
    expect(handOverSeconds([{ kg: 60 }, { kg: null }], 'barbell')).toBe(handOver);
    expect(handOverSeconds([{ kg: 24 }, { kg: 16 }], 'kettlebell')).toBe(handOver);
  });
  test('and the second begins as much later', () => {
    const once: Sharer = { uses: [{ startSeconds: 0, endSeconds: 20 }], wholeSeconds: 120 };
    const begins = (kg: number): number =>
      planSharing(
        [
          { ...once, kg: 60 },
          { ...once, kg },
        ],
        'barbell',
      )!.people[1]!.begins;
    expect([begins(60), begins(40)]).toEqual([30, 50]);
    expect(
      planSharing(
        [
          { ...once, kg: 60 },
          { ...once, kg: 40 },
        ],
        'barbell',
      )!.changeSeconds,
    ).toBe(handOver + plateChange);
  });
});

describe('the other orders of a version', () => {
  const shed = withKit(['barbell 20 kg', 'plates 4x20 4x10 kg', 'pull-up bar', 'rope']);
  const ordersFor = (text: string, athlete: Athlete = shed) => {
    const version = adapt(workout(text), athlete, { runs: 4 });
    const inHand: InHand = (part, slot) => version.version.parts[part]?.slots[slot]?.load ?? undefined;
    return { version, orders: otherOrders(version.workout, capacityOf(athlete), inHand) };
  };
  test('begin with each movement but the first; the bar is then in use at another time', () => {
    const { version, orders } = ordersFor('AMRAP 12:00\n8 deadlift @ 60 kg\n10 burpee\n12 air squat');
    expect(orders.map(({ begin }) => begin)).toEqual(['burpee', 'air squat']);
    for (const { begin, uses, wholeSeconds, parts } of orders) {
      expect(planClock({ parts }).cues[0]!.lines[0]).toContain(begin);
      expect(wholeSeconds).toBe(version.run.totalSeconds);
      expect(uses.map(({ implement, kg }) => [implement, kg])).toEqual([['barbell', 60]]);
      expect(uses[0]!.uses[0]!.startSeconds).toBeGreaterThan(5);
    }
  });
  test('let two share a bar with less waiting than the order that is written', () => {
    const { version, orders } = ordersFor('5 rounds for time\n12 deadlift @ 60 kg\n15 burpee');
    const bar = (uses: (typeof orders)[number]['uses']) => uses.find(({ implement }) => implement === 'barbell')!.uses;
    const written = otherOrders(version.workout, capacityOf(shed), () => ({ implement: 'barbell', kg: 60 }));
    expect(written).toHaveLength(1);
    const own = { uses: spans(100, 0, 40, 5), wholeSeconds: version.run.totalSeconds };
    const other = { uses: bar(orders[0]!.uses), wholeSeconds: orders[0]!.wholeSeconds };
    const waits = (second: Sharer): number => queueForEquipment([own, second], [0, 0], handOver).waits.reduce((sum, wait) => sum + wait, 0);
    expect(waits(other)).toBeLessThan(waits(own));
  });
  test.each([
    ['a ladder', 'for time\n21-15-9\ndeadlift @ 60 kg\npull-up', ['pull-up']],
    ['stations that rotate', 'EMOM 12:00\n1: 8 deadlift @ 60 kg\n2: 10 burpee\n3: 12 air squat', ['burpee', 'air squat']],
    ['a list that is done once', 'for time\n50 deadlift @ 60 kg\n40 burpee\n30 pull-up', []],
    ['two parts', 'AMRAP 6:00\n8 deadlift @ 60 kg\n10 burpee\n\nAMRAP 6:00\n8 pull-up\n10 burpee', []],
    ['one movement', 'AMRAP 6:00\n8 deadlift @ 60 kg', []],
    ['work that interrupts', 'for time, every 1:00 5 burpee\n5 rounds\n  12 deadlift @ 60 kg\n  12 air squat', []],
  ])('%s', (_what, text, begins) => expect(ordersFor(text).orders.map(({ begin }) => begin)).toEqual(begins));
});
