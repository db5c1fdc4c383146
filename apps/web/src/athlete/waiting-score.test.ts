import { expect, test } from '@jest/globals';
import { ApiError } from '../api/client';
import { isPassing, readWaiting } from './waiting-score';

test('a score that waits is read again; anything else that lies there is none', () => {
  expect(readWaiting(JSON.stringify({ score: '9+4', note: 'Windy.' }))).toEqual({ score: '9+4', note: 'Windy.' });
  const whole = { score: '9+4', note: '', rating: 7, versionText: 'AMRAP 9:00\n9 burpee', refused: 'Nobody does that.' };
  expect(readWaiting(JSON.stringify(whole))).toEqual(whole);
  for (const kept of [null, '', 'null', '{', '{"score":9}', '[]']) expect(readWaiting(kept)).toBeNull();
});
test.each([0, 408, 429, 500, 502, 503, 504, 507])('a score waits through %d', (status) =>
  expect(isPassing(new ApiError({ code: 'x', title: 'x', status }))).toBe(true),
);
test.each([400, 404, 409, 410, 422])('a score is not sent again by itself after %d', (status) =>
  expect(isPassing(new ApiError({ code: 'x', title: 'x', status }))).toBe(false),
);
