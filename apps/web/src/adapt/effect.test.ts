import { describe, expect, test } from '@jest/globals';
import { effectOf } from './effect';

describe('effectOf', () => {
  test.each([
    [200, { score: 330, unit: 'seconds' }, '2:10 later'],
    [330, { score: 200, unit: 'seconds' }, '2:10 sooner'],
    [7.5, { score: 7.1, unit: 'rounds' }, '0.4 rounds fewer'],
    [7.5, { score: 7.52, unit: 'rounds' }, null],
    [null, { score: 7.52, unit: 'rounds' }, null],
  ] as const)('without it %p, with it %j: %p', (without, now, said) => expect(effectOf({ without }, now)).toBe(said));
});
