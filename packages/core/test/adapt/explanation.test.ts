/** What the coach reads beside a swap: the written count in the unit it was written in. */
import { expect, test } from '@jest/globals';
import { slotOf, versionOf, withKit } from '../asking';

test.each([
  ['for time, cap 25:00\n1 mile run\n50 air squat', /for 1 mile\b/],
  ['for time, cap 25:00\n2 km run\n50 air squat', /for 2 km\b/],
  ['AMRAP 10:00\n60 ft bear crawl\n10 push-up', /for 60 ft\b/],
])('%j is told as %s', (text, written) => {
  const alone = withKit(['wall', 'stairs 18 cm'], { avoid: ['wrists'], place: { floor: '1 x 2 m', ceiling: '2.5 m', kit: ['wall', 'stairs 18 cm'] } });
  expect(slotOf(text, alone).reason).toMatch(written);
  // and in no sentence of the version a figure to the millimetre
  expect(JSON.stringify(versionOf(text, alone).version.parts[0]!.edits)).not.toMatch(/\d\.\d{3} m\b/);
});
