import { expect, test } from '@jest/globals';
import { showDay, todayIn } from '../shell/days';
import { showScore } from './scores';

test.each([
  [521.4, 'seconds', '8:41'],
  [-3, 'seconds', '0:00'],
  [3725, 'seconds', '1:02:05'],
  [8.94, 'rounds', '8.9 rounds'],
  [9, 'rounds', '9 rounds'],
  [92.5, 'kg', '92.5 kg'],
  [181.6, 'reps', '182 reps'],
])('%d %s is shown as %s', (value, unit, shown) => expect(showScore(value, unit)).toBe(shown));

test('days as a coach reads them; no day yet, and a zone nobody knows, are no failure', () => {
  expect(showDay('2026-11-25')).toBe('Wed 25 Nov');
  expect(showDay(null)).toBe('no day yet');
  expect(todayIn('UTC')).toBe(new Date().toISOString().slice(0, 10));
  expect(todayIn('Lanterns/Pier')).toMatch(/^\d{4}-\d{2}-\d{2}$/);
  expect(todayIn(undefined)).toMatch(/^\d{4}-\d{2}-\d{2}$/);
});
