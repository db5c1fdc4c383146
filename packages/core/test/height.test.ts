/** Heights come back in the unit they were written in (exact factors: international yard and pound agreement, 1959). */
import { describe, expect, test } from '@jest/globals';
import { adapt, formatWorkout, parseWorkout } from '../src/index';
import { heightIn, heightOf } from '../src/units/height';
import { withKit } from './asking';

const again = (line: string): string =>
  formatWorkout(parseWorkout(`AMRAP 9:00\n${line}`).workout)
    .trim()
    .split('\n')[1]!;

describe('a height', () => {
  test.each([
    ['10 box jump @ 24/20 in', '10 box jump @ 24/20 in'],
    ['10 box jump 24"/20"', '10 box jump @ 24/20 in'],
    ['10 box jump @ 60/50 cm', '10 box jump @ 60/50 cm'],
    ["15 wall ball @ 9/6 kg, 10'/9'", '15 wall ball @ 9/6 kg @ 10/9 ft'],
    ['15 wall ball @ 9/6 kg @ 10 ft', '15 wall ball @ 9/6 kg @ 10 ft'],
    ['8 step-up @ 17.5 in', '8 step-up @ 17.5 in'],
  ])('%s is written %s', (line, written) => {
    expect(again(line)).toBe(written);
    expect(again(written)).toBe(written);
  });
  test('every usual figure of inches and feet survives whole centimetres', () => {
    for (let half = 12; half <= 96; half++) expect(heightIn(heightOf({ men: half / 2, women: half / 2 }, 'in').men, 'in')).toBe(String(half / 2));
    for (let half = 6; half <= 40; half++) expect(heightIn(heightOf({ men: half / 2, women: half / 2 }, 'ft').men, 'ft')).toBe(String(half / 2));
  });
  test('of somebody’s own box is told as their box is', () =>
    expect(adapt(parseWorkout('AMRAP 9:00\n10 box jump @ 24/20 in\n10 burpee').workout, withKit(['box 50 cm']), { runs: 1 }).version.text).toContain(
      '@ 50 cm',
    ));
});
