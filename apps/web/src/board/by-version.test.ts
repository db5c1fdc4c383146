import { describe, expect, test } from '@jest/globals';
import type { BoardEntry } from '../api/types';
import { byVersion } from './by-version';

const row = (athlete: string, versionText: string): BoardEntry => ({ athlete, versionText }) as BoardEntry;

describe('byVersion', () => {
  test('puts the workout as written first, and those with the same swaps together, in their order', () => {
    const original = 'AMRAP 9:00\n5 pull-up\n10 push-up';
    const boards = byVersion(
      original,
      [row('Hespin', 'AMRAP 9:00\n5 ring row\n10 push-up'), row('Orvenna', original), row('Tabrik', 'AMRAP 9:00\n8 ring row\n10 push-up')],
      'kg',
    );
    expect(boards.map((each) => [each.name, each.rows.map((own) => own.athlete)])).toEqual([
      ['The movements as written', ['Orvenna']],
      ['ring row for pull-up', ['Hespin', 'Tabrik']],
    ]);
  });
});
