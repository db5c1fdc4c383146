import { expect, test } from '@jest/globals';
import { formatClock } from './duration';

test.each([
  [520.6, '8:41'],
  [3599.4, '59:59'],
  [3750, '1:02:30'],
  [5, '0:05'],
])('%d s is %s', (seconds, clock) => expect(formatClock(seconds)).toBe(clock));
test('a duration below nothing is a bug of ours', () => expect(() => formatClock(-1)).toThrow(RangeError));
