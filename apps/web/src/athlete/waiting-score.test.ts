import { expect, test } from '@jest/globals';
import { readWaiting } from './waiting-score';

test('a score that waits is read again; anything else that lies there is none', () => {
  expect(readWaiting(JSON.stringify({ score: '9+4', note: 'Windy.' }))).toEqual({ score: '9+4', note: 'Windy.' });
  for (const kept of [null, '', 'null', '{', '{"score":9}', '[]']) expect(readWaiting(kept)).toBeNull();
});
