/** One clock for a class: moves of the coach, a device's offset, and an hour on a device whose clock is wrong and drifts. */
import { describe, expect, test } from '@jest/globals';
import { countInSeconds, movedClass, offsetOf, onDevice, seededRandom, waitingClass, type ClassClock, type ClassMove } from '../src/index';

const countIn = countInSeconds * 1000;
const moved = (moves: readonly (readonly [ClassMove, number])[], from: ClassClock = waitingClass): ClassClock =>
  moves.reduce((clock, [move, now]) => movedClass(clock, move, now, countIn), from);

describe('moves', () => {
  test.each([
    ['a start lies a count-in ahead', [['start', 1000]], { startedAt: 11_000 }],
    [
      'a pause that goes on is time that does not count',
      [
        ['start', 0],
        ['pause', 30_000],
        ['goOn', 42_000],
      ],
      { startedAt: 10_000, pausedAt: null, pausedMs: 12_000 },
    ],
    [
      'two pauses add up',
      [
        ['start', 0],
        ['pause', 20_000],
        ['goOn', 21_000],
        ['pause', 30_000],
        ['goOn', 35_000],
      ],
      { pausedMs: 6_000 },
    ],
    [
      'a second pause changes nothing',
      [
        ['start', 0],
        ['pause', 20_000],
        ['pause', 25_000],
      ],
      { pausedAt: 20_000 },
    ],
    ['a pause before the start is none', [['pause', 20_000]], { pausedAt: null }],
    [
      'started again, it is new',
      [
        ['start', 0],
        ['pause', 20_000],
        ['start', 60_000],
      ],
      { startedAt: 70_000, pausedAt: null, pausedMs: 0 },
    ],
    [
      'what was ended is moved by a start only',
      [
        ['start', 0],
        ['end', 90_000],
        ['pause', 95_000],
      ],
      { pausedAt: null, endedAt: 90_000 },
    ],
  ] as const)('%s', (_, moves, stands) => expect(moved(moves)).toMatchObject(stands));
});

describe('the time of a device', () => {
  test('is told by the question that was answered soonest; one answered before it was asked tells nothing', () => {
    const server = (device: number): number => device + 5_000;
    const samples = [
      { asked: 0, answered: 300, server: server(40) },
      { asked: 1000, answered: 1020, server: server(1010) },
      { asked: 3000, answered: 2990, server: 0 },
    ];
    expect(offsetOf(samples)).toEqual({ offsetMs: 5_000, errorMs: 10 });
    expect(offsetOf([])).toBeNull();
  });
  test('a clock that begins later begins later, and its pauses are the class’s', () => {
    const clock: ClassClock = { startedAt: 100_000, pausedAt: 130_000, pausedMs: 500, endedAt: null };
    expect(onDevice(clock, 2_000, 90_000)).toEqual({ startedAt: 188_000, pausedAt: 128_000, pausedMs: 500 });
  });
  test('an hour on a phone that is two minutes wrong and drifts by 80 parts in a million: never 50 ms from the class, measured every half minute over 15 to 75 ms each way', () => {
    // quartz in phones is good to some tens of parts in a million (common practice)
    const drift = 1 + 80e-6;
    const random = seededRandom(1114);
    const device = (real: number): number => real * drift - 120_000;
    const clock = movedClass(waitingClass, 'start', 0, countIn);
    let worst = 0;
    let unmeasured = 0;
    for (let real = 0; real < 3_600_000; real += 30_000) {
      const samples = Array.from({ length: 5 }, () => {
        const [there, back] = [15 + 60 * random(), 15 + 60 * random()];
        return { asked: device(real), server: real + there, answered: device(real + there + back) };
      });
      const { offsetMs } = offsetOf(samples)!;
      // just before the next measurement it is furthest off
      const shown = (device(real + 30_000) - onDevice(clock, offsetMs).startedAt!) / 1000;
      worst = Math.max(worst, Math.abs(shown * 1000 - (real + 30_000 - clock.startedAt!)));
      unmeasured = Math.abs(device(real + 30_000) - device(0) - (real + 30_000));
    }
    expect(worst).toBeLessThan(50);
    expect(unmeasured).toBeGreaterThan(250);
  });
});
