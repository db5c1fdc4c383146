/** Bytes of straps and rowing machines as the public formats have them, read and made; runs from points, against distances one can work out. */
import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { heartRateBytes, metresBetween, readHeartRate, readRower, rowerBytes, trackOf, type TrackPoint } from '../src/index';

describe('heart rate (Heart Rate Measurement, 0x2A37; layout from memory)', () => {
  test.each([
    ['one byte, no more', [0x00, 72], { bpm: 72, contact: null, kilojoules: null, beats: [] }],
    ['two bytes', [0x01, 0x2c, 0x01], { bpm: 300, contact: null }],
    ['skin felt', [0x06, 140], { bpm: 140, contact: true }],
    ['no skin', [0x04, 0], { bpm: 0, contact: false }],
    ['energy, and two beats', [0x18, 150, 0x10, 0x00, 0x9a, 0x01, 0xa0, 0x01], { bpm: 150, kilojoules: 16, beats: [410 / 1024, 416 / 1024] }],
  ] as const)('%s', (_, bytes, read) => expect(readHeartRate(Uint8Array.from(bytes))).toMatchObject(read));
  test('what is made is read again', () =>
    void fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 400 }),
        fc.constantFrom(true, false, null),
        fc.option(fc.integer({ min: 0, max: 65_535 })),
        fc.array(fc.integer({ min: 1, max: 4000 }), { maxLength: 8 }),
        (bpm, contact, kilojoules, beats) => {
          const rate = { bpm, contact, kilojoules, beats: beats.map((ticks) => ticks / 1024) };
          expect(readHeartRate(heartRateBytes(rate))).toEqual(rate);
        },
      ),
      { seed: 3, numRuns: 200 },
    ));
  test('bytes that end too soon are no heart rate', () => expect(() => readHeartRate(Uint8Array.from([0x01, 0x2c]))).toThrow(RangeError));
});

describe('a rowing machine (Rower Data, 0x2AD1; layout from memory)', () => {
  test('distance, pace and power behind their flags; stroke rate in halves', () => {
    // flags: distance (bit 2), pace (3), power (5); strokes, since bit 0 is not set
    const bytes = Uint8Array.from([0x2c, 0x00, 57, 0x34, 0x00, 0xf4, 0x01, 0x00, 0x78, 0x00, 0xc8, 0x00]);
    expect(readRower(bytes)).toEqual({ strokeRate: 28.5, strokes: 52, metres: 500, pace: 120, watts: 200, calories: null, heartRate: null, seconds: null });
  });
  test('fields that we do not use are stepped over: means, resistance, metabolic equivalent', () => {
    // flags: more data (0), mean rate (1), distance (2), mean pace (4), energy (8), heart rate (9), equivalent (10), time (11)
    const bytes = Uint8Array.from([0x17, 0x0f, 60, 0x10, 0x27, 0x00, 0x6e, 0x00, 0x2a, 0x00, 0x10, 0x03, 0x0d, 151, 80, 0x58, 0x02]);
    expect(readRower(bytes)).toMatchObject({ strokeRate: null, metres: 10_000, pace: null, calories: 42, heartRate: 151, seconds: 600 });
  });
  test('what a machine does not know yet is nothing', () => expect(readRower(Uint8Array.from([0x09, 0x00, 0xff, 0xff]))).toMatchObject({ pace: null }));
  test('what is made is read again', () =>
    void fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 100 }),
        fc.integer({ min: 0, max: 60_000 }),
        fc.option(fc.integer({ min: 0, max: 100_000 })),
        fc.option(fc.integer({ min: -50, max: 900 })),
        fc.option(fc.integer({ min: 0, max: 900 })),
        (rate, strokes, metres, watts, calories) => {
          const data = { strokeRate: rate / 2, strokes, metres, pace: null, watts, calories, heartRate: null, seconds: 9 };
          expect(readRower(rowerBytes(data))).toEqual(data);
        },
      ),
      { seed: 4, numRuns: 200 },
    ));
  test('bytes that end too soon are refused', () => expect(() => readRower(Uint8Array.from([0x04, 0x00, 1, 2]))).toThrow(RangeError));
});

describe('a run from its points', () => {
  const at = (latitude: number, longitude: number, time: number | null = null): TrackPoint => ({ latitude, longitude, time });
  test('a degree of latitude is a 360th of the way around the earth, and one of longitude shrinks with the cosine', () => {
    const degree = (2 * Math.PI * 6_371_008.8) / 360;
    expect(metresBetween(at(0, 0), at(1, 0))).toBeCloseTo(degree, 3);
    expect(metresBetween(at(60, 0), at(60, 1)) / degree).toBeCloseTo(0.5, 3);
    expect(metresBetween(at(0, 0), at(0, 180))).toBeCloseTo(180 * degree, 3);
  });
  /** north at so many m/s, a point a second */
  const straight = (metresASecond: number, seconds: number, from = 0, since = 0): TrackPoint[] =>
    Array.from({ length: seconds + 1 }, (_, second) => at(38 + ((from + second * metresASecond) / 6_371_008.8) * (180 / Math.PI), -28, 1000 + since + second));
  test('5 km at 4 m/s: distance, time, five kilometres alike', () => {
    const run = trackOf([straight(4, 1250)]);
    expect(run.metres).toBeCloseTo(5000, 0);
    expect(run.seconds).toBe(1250);
    expect(run.kilometres.map((split) => Math.round(split))).toEqual([250, 250, 250, 250].concat(run.metres >= 5000 ? [250] : []));
  });
  test('what lies in a pause is not run, its time is; a slip of the receiver is left out', () => {
    const paused = trackOf([straight(4, 100), straight(4, 100, 5000, 200)]);
    expect(paused.metres).toBeCloseTo(800, 0);
    expect(paused.seconds).toBe(300);
    const points = straight(4, 100);
    const slipped = trackOf([[...points.slice(0, 50), at(39, -28, 1049.5), ...points.slice(50)]]);
    expect(slipped.metres).toBeCloseTo(400, 0);
  });
  test('points without times have a length and no pace', () =>
    expect(trackOf([straight(4, 10).map((point) => ({ ...point, time: null }))])).toMatchObject({ seconds: null, kilometres: [] }));
});
