/** Several scores in one workout: a board each, and the day's over them (adding up places: common practice of contests of several events). */
import { describe, expect, test } from '@jest/globals';
import { parseWorkout, placeDay, referenceAthlete, usualScoreRules, type DayEntry } from '../src/index';

const day = parseWorkout('# Slack Water\nAMRAP 8:00\n8 push-up\n12 air squat\n\nrest 3:00\n\nfor time, cap 9:00\n1000 m run\n30 burpee').workout;
const entry = (name: string, scoreText: string): DayEntry => ({
  athlete: { ...referenceAthlete('men'), name },
  version: day,
  versionName: 'original',
  scoreText,
});
const entries = [entry('Orvenna', '9+4 | 7:10'), entry('Tabrik', '8+0 | 6:20'), entry('Hespin', '7+3 | 8:05'), entry('Ylmarra', '10+2')];
const names = (rows: readonly { entry: DayEntry }[] | null): string[] => (rows ?? []).map((row) => row.entry.athlete.name);

describe('a day of two scores', () => {
  const { boards, day: rows } = placeDay(day, entries);
  test('each score has its board, with its own scores, best first', () => {
    expect(boards.map(({ parts, placed }) => ({ parts, order: placed.map(({ row }) => `${row.athlete} ${row.score}`) }))).toEqual([
      { parts: [0], order: ['Ylmarra 10+2', 'Orvenna 9+4', 'Tabrik 8+0', 'Hespin 7+3'] },
      { parts: [2], order: ['Tabrik 6:20', 'Orvenna 7:10', 'Hespin 8:05'] },
    ]);
    expect(boards[1]!.placed[0]!.row.equivalent).toMatchObject({ median: 380, unit: 'seconds' });
  });
  test('places added up: who did not log a part stands one behind its last, equal sums share a place', () => {
    expect(rows!.map(({ entry: { athlete }, places, points, rank }) => [athlete.name, places, points, rank])).toEqual([
      ['Orvenna', [2, 2], 4, 1],
      ['Tabrik', [3, 1], 4, 1],
      ['Ylmarra', [1, null], 5, 3],
      ['Hespin', [4, 3], 7, 4],
    ]);
  });
  test('by mean index, who has not logged every part comes last; the first part may decide alone', () => {
    expect(names(placeDay(day, entries, null, { ...usualScoreRules, severalScores: 'index' }).day)[3]).toBe('Ylmarra');
    expect(names(placeDay(day, entries, null, { ...usualScoreRules, severalScores: 'lead' }).day)).toEqual(['Ylmarra', 'Orvenna', 'Tabrik', 'Hespin']);
  });
  test('the second part is read with the first one done: it tires', () => {
    const alone = { ...day, parts: [day.parts[2]!] };
    const index = (at: number, original = day, scoreText = '7:10'): number =>
      placeDay(original, [{ ...entry('Orvenna', scoreText), version: original }]).boards[at]!.placed[0]!.row.index!;
    expect(index(1, day, '9+4 | 7:10')).toBeGreaterThan(index(0, alone));
  });
});

test('scores that are added up share one board, and there is no day to rank', () => {
  const summed = parseWorkout('AMRAP 4:00\n10 burpee\nscore: sum\n\nrest 2:00\n\nAMRAP 4:00\n10 air squat\nscore: sum').workout;
  const { boards, day: none } = placeDay(summed, [{ ...entry('Orvenna', '5+0 | 9+0'), version: summed }]);
  expect(none).toBeNull();
  expect(boards.map(({ parts }) => parts)).toEqual([[0, 2]]);
  expect(boards[0]!.placed[0]!.row.equivalent).toMatchObject({ median: 14, unit: 'rounds' });
});

test('namesakes are two people', () => {
  const { day: rows } = placeDay(day, [entry('Hespin', '9+4 | 7:10'), entry('Hespin', '7+0 | 8:00')]);
  expect(rows!.map(({ places }) => places)).toEqual([
    [1, 1],
    [2, 2],
  ]);
});
