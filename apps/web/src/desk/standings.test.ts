import { describe, expect, test } from '@jest/globals';
import type { Board, StoredSend } from '../api/types';
import { countOf, standingsOf } from './standings';

const people = ['Orvenna', 'Tabrik', 'Quillume', 'Sasquel', 'Wendrith', 'Brontek'].map((name, index) => ({ id: index + 1, name }));
const sent = (athleteId: number, change: Partial<StoredSend> = {}): StoredSend => ({
  id: athleteId,
  athleteId,
  token: 't',
  sentAt: '2026-11-27T18:00:00Z',
  sentBy: '',
  revoked: false,
  opened: false,
  changed: false,
  against: [],
  today: null,
  ...change,
});
const row = { athleteId: 4, score: '8+5', index: 103.6, note: 'Knee a little sore.' };
const board = { boards: [{ label: 'Squall', rows: [row] }], day: null } as unknown as Board;
const sends = [sent(1), sent(2, { opened: true }), sent(3, { opened: true, changed: true }), sent(4, { changed: true }), sent(5, { revoked: true })];
const held = sent(1, { opened: true, changed: true, against: ['“200 m run” on the avoid-list: running'] });

describe('where everybody stands', () => {
  test('what must be done comes first, and whoever logged is done whatever was sent', () => {
    expect(standingsOf(people, sends, board).map(({ name, kind }) => [name, kind])).toEqual([
      ['Quillume', 'changed'],
      ['Wendrith', 'notSent'],
      ['Brontek', 'notSent'],
      ['Orvenna', 'notOpened'],
      ['Tabrik', 'notLogged'],
      ['Sasquel', 'logged'],
    ]);
  });
  test('a version that is held comes before everything, and says so', () => {
    expect(standingsOf(people, [held, ...sends.slice(1)], board)[0]).toMatchObject({ name: 'Orvenna', kind: 'held' });
  });
  test('a score comes with its index and with what was said; of several scores, with the place in the day', () => {
    expect(standingsOf(people, sends, board).at(-1)).toMatchObject({ score: '8+5 · index 104', note: 'Knee a little sore.' });
    const ofDay = { ...board, day: [{ athleteId: 4, entry: '8+5 | 100 kg', rank: 2, note: '' }] } as unknown as Board;
    expect(standingsOf(people, sends, ofDay).at(-1)!.score).toBe('8+5 | 100 kg · place 2');
  });
  test('before the board is there nobody has logged', () => expect(countOf(standingsOf(people, [], undefined), 'notSent')).toBe(6));
});
