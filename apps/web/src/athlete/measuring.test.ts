import { describe, expect, test } from '@jest/globals';
import { heartRateBytes, trackOf } from '@gambito/core';
import { measuredWords } from '../scores/measured-words';
import { standInRower, standInStrap } from './device';
import { readGpx } from './gpx';
import { heardBytes, measuredOf, nothingYet, type Measuring } from './measuring';

const beat = (bpm: number, contact: boolean | null = true) => heartRateBytes({ bpm, contact, kilojoules: null, beats: [] });

describe('what devices tell', () => {
  test('is shown at once, and kept with its mean and most while the clock runs', () => {
    const warm = heardBytes(nothingYet, 'heart', beat(99), false);
    expect([warm.beats!.now, measuredOf(warm)]).toEqual([99, null]);
    const hard = [140, 160, 180].reduce((before, bpm) => heardBytes(before, 'heart', beat(bpm), true), warm);
    expect(measuredOf(hard)).toEqual({ heart: { mean: 160, most: 180 } });
  });
  test('of a strap that feels no skin, or in bytes that break off, changes nothing', () => {
    const before = heardBytes(nothingYet, 'heart', beat(120), true);
    expect(heardBytes(before, 'heart', beat(40, false), true)).toBe(before);
    expect(heardBytes(before, 'heart', Uint8Array.from([1, 2]), true)).toBe(before);
  });
  test('comes from the stand-ins in the bytes of the public formats', () => {
    let measuring: Measuring = nothingYet;
    for (const { kind, listen } of [standInStrap, standInRower]) listen((bytes) => (measuring = heardBytes(measuring, kind, bytes, true)))();
    expect(measuring.beats!.now).toBeGreaterThan(60);
    expect(measuring.row).toMatchObject({ metres: 0, pace: 122 });
  });
  test('is said in words', () =>
    expect(measuredWords({ heart: { mean: 152, most: 178 }, row: { metres: 500, seconds: 122 }, run: { metres: 5012, seconds: 1500 } })).toBe(
      'heart 152 on the whole, 178 at most; rowed 500 m in 2:02; ran 5.01 km in 25:00, 4:59 a km',
    ));
});

describe('a run from a watch', () => {
  const point = (latitude: number, time: string) => `<trkpt lat="${latitude}" lon="-28.1"><ele>4</ele><time>${time}</time></trkpt>`;
  const gpx = (...segments: string[]) =>
    `<?xml version="1.0"?><gpx version="1.1" creator="made up" xmlns="http://www.topografix.com/GPX/1/1"><trk><name>Quay</name>${segments.map((points) => `<trkseg>${points}</trkseg>`).join('')}</trk></gpx>`;
  const first = point(38, '2026-11-28T07:00:00Z') + point(38.001, '2026-11-28T07:00:30Z');
  test('has its points, a piece for each stretch', () => {
    const pieces = readGpx(gpx(first, point(38.1, '2026-11-28T07:05:00Z') + point(38.101, '2026-11-28T07:05:30Z')));
    expect(pieces.map((points) => points.length)).toEqual([2, 2]);
    expect(pieces[0]![0]).toEqual({ latitude: 38, longitude: -28.1, time: Date.UTC(2026, 10, 28, 7) / 1000 });
    // a thousandth of a degree of latitude is 111 m, twice
    expect(trackOf(pieces).metres).toBeCloseTo(222.4, 0);
    expect(trackOf(pieces).seconds).toBe(330);
  });
  test('that is another file, or holds no track, is said', () => {
    expect(() => readGpx('name,score\nTabrik,7')).toThrow('no GPX file');
    expect(() => readGpx('<gpx><wpt lat="1" lon="2"/></gpx>')).toThrow('no track');
    expect(() => readGpx(gpx('<trkpt lat="north" lon="2"/>'))).toThrow('no track');
  });
  test('of entities that grow, nothing is made', () =>
    expect(() => readGpx('<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;&a;">]><gpx><name>&b;</name></gpx>')).toThrow(RangeError));
});
