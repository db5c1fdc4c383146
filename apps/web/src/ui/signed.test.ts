import { expect, test } from '@jest/globals';
import { signed } from './signed';

test.each([
  [3.4, '+3 %'],
  [0.3, '0 %'],
  [-0.3, '0 %'],
  [-2.6, '-3 %'],
])('%d is told as %s', (percent, words) => expect(signed(percent)).toBe(words));
