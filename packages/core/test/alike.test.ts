/** What counts as alike work, with each limit made to decide. */
import { describe, expect, test } from '@jest/globals';
import { alikeGroups, isAlike, type Work } from '../src/index';

const work = (seconds: number, reps: Work['reps']): Work => ({ seconds, reps });
const squall = work(720, { squat: 120, horizontalPush: 80 });

describe('alike work', () => {
  test('is of the same patterns, about as long and about as dense', () => {
    expect(isAlike(squall, work(700, { squat: 130, horizontalPush: 75 }))).toBe(true);
    expect(isAlike(squall, squall)).toBe(true);
  });
  test.each([
    ['a third longer', work(960, { squat: 160, horizontalPush: 107 }), false],
    ['a quarter longer', work(900, { squat: 150, horizontalPush: 100 }), true],
    ['three quarters denser', work(720, { squat: 210, horizontalPush: 140 }), false],
    ['half denser', work(720, { squat: 180, horizontalPush: 120 }), true],
    ['one pattern more', work(720, { squat: 120, horizontalPush: 80, hinge: 80 }), false],
    ['a little of one more', work(720, { squat: 120, horizontalPush: 80, hinge: 40 }), true],
    ['other patterns', work(720, { hinge: 120, verticalPull: 80 }), false],
    ['nothing counted', work(720, {}), false],
    ['of no length', work(0, { squat: 120, horizontalPush: 80 }), false],
  ])('%s', (_what, other, alike) => expect([isAlike(squall, other), isAlike(other, squall)]).toEqual([alike, alike]));
  test('groups keep the order, and whoever is alone is in none', () => {
    const [a, b, c] = [
      { ...squall, name: 'a' },
      { ...work(300, { hinge: 60 }), name: 'b' },
      { ...squall, name: 'c' },
    ];
    expect(alikeGroups([a, b, c])).toEqual([[a, c]]);
    expect(alikeGroups([])).toEqual([]);
  });
});
