import { describe, expect, test } from '@jest/globals';
import Papa from 'papaparse';
import type { BoardEntry } from '../api/types';
import { boardCsv, boardText } from './board-out';

const row = (change: Partial<BoardEntry>): BoardEntry => ({
  athlete: 'Tabrik',
  version: 'own version',
  score: '7+15',
  equivalent: { low: 5.8, median: 6.3, high: 7.1, unit: 'rounds' },
  index: 86.6,
  rank: 2,
  inWindow: true,
  verdict: 'in the window',
  elasticity: 0.9,
  evidence: null,
  unfair: null,
  scoreId: 4,
  replaced: null,
  athleteId: 9,
  entry: '7+15',
  note: 'the knee again',
  by: 'Maruvel',
  versionText: 'AMRAP 12:00\n6 kettlebell swing @ 24 kg',
  category: 'men',
  ...change,
});
const rows = [
  row({ athlete: '=Lumerik', rank: 1 }),
  row({}),
  row({ athlete: 'Wendrith', equivalent: null, index: null, rank: 3, unfair: 'no fair comparison: …' }),
];

describe('a board for others', () => {
  test('as CSV that another reader takes: no formula, no figure where there is no fair comparison', () => {
    const { data, errors } = Papa.parse<string[]>(boardCsv(rows));
    expect(errors).toEqual([]);
    expect(data).toEqual([
      ['rank', 'athlete', 'score', 'as written', 'range', 'index', 'verdict'],
      ['1', "'=Lumerik", '7+15', '6.3 rounds', '5.8 rounds to 7.1 rounds', '87', 'in the window'],
      ['2', 'Tabrik', '7+15', '6.3 rounds', '5.8 rounds to 7.1 rounds', '87', 'in the window'],
      ['', 'Wendrith', '7+15', '', '', '', 'in the window'],
    ]);
  });
  test('as words: a line each', () => expect(boardText('Net Loft', rows.slice(1))).toBe('Net Loft\n2. Tabrik 7+15 (as written 6.3 rounds)\n– Wendrith 7+15'));
  test('with nothing of what is between a coach and an athlete', () => {
    for (const out of [boardCsv(rows), boardText('Net Loft', rows)]) expect(out).not.toMatch(/knee|24 kg|Maruvel/);
  });
});
