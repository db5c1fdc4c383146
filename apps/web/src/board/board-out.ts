/** A board as others may have it: names, scores and what they come to; no notes, no bodies, no limits, nobody's files. Pure. */
import type { BoardEntry } from '../api/types';
import { showScore } from '../ui/scores';
import { writeSheet } from '../ui/csv';

const asWritten = ({ equivalent }: BoardEntry): string => (equivalent ? showScore(equivalent.median, equivalent.unit) : '');
const band = ({ equivalent }: BoardEntry): string =>
  equivalent ? `${showScore(equivalent.low, equivalent.unit)} to ${showScore(equivalent.high, equivalent.unit)}` : '';
const index = (row: BoardEntry): string => (row.index === null ? '' : String(Math.round(row.index)));

export const boardCsv = (rows: readonly BoardEntry[]): string =>
  writeSheet(
    ['rank', 'athlete', 'score', 'as written', 'range', 'index', 'verdict'],
    rows.map((row) => [row.index === null ? '' : String(row.rank), row.athlete, row.score, asWritten(row), band(row), index(row), row.verdict]),
  );

/** For a message to the class: a line each. */
export const boardText = (title: string, rows: readonly BoardEntry[]): string =>
  [
    title,
    ...rows.map((row) =>
      [row.index === null ? '–' : `${row.rank}.`, row.athlete, row.score, row.equivalent ? `(as written ${asWritten(row)})` : ''].filter(Boolean).join(' '),
    ),
  ].join('\n');
