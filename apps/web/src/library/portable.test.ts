import { describe, expect, test } from '@jest/globals';
import { exportFormats, readLibrary } from './portable';

const workouts = [
  { text: '# Breakwater\nAMRAP 14:00\n7 push-up\n## second\n9 sit-up\n', day: '2026-11-25', tags: ['short', 'no kit'] },
  { text: '# Ledger\nfor time, cap 9:00\n24-16-8\nair squat\n\nrest 2:00\n\nEMOM 4:00\n1: 5 burpee\n', day: null, tags: [] },
];

describe('workouts that come and go', () => {
  test.each(exportFormats)('$name goes out and comes in again the same', ({ write }) => {
    const read = readLibrary(write(workouts));
    expect(read.problems).toEqual([]);
    expect(read.workouts.map(({ text, day, tags }) => ({ text, day, tags }))).toEqual(workouts);
  });
  test('a paste of several is cut at its titles or at dashes, and what cannot be read is told and kept', () => {
    const { workouts: read } = readLibrary('# One\nAMRAP 5:00\n5 burpee\n# Two\nsomething 5\n---\nEMOM 5:00\n1: 5 burpee');
    expect(read.map(({ title }) => title)).toEqual(['One', 'Two', 'EMOM 5:00']);
    expect(read[1]!.text).toBe('# Two\nsomething 5\n');
    expect(read[1]!.remarks.length).toBeGreaterThan(0);
  });
  test('a day that is none stays in the text', () =>
    expect(readLibrary('# One\nday: soon\nAMRAP 5:00\n5 burpee').workouts[0]).toMatchObject({ day: null, text: '# One\nday: soon\nAMRAP 5:00\n5 burpee\n' }));
  test('what a table says and nobody reads is told', () => {
    const { workouts: read, problems } = readLibrary('day;place;text\n2026-02-31;quay;"AMRAP 5:00\n5 burpee"\n2026-03-01;;');
    expect(read).toMatchObject([{ day: null, remarks: ['“2026-02-31” is no day; expected such as 2026-11-25.'] }]);
    expect(problems).toEqual(['Not read: the column “place”; expected text, day and tags.', 'Rows without a text, which are left out: 1.']);
    const json = JSON.stringify({ gambito: 'library', format: 1, workouts: [{ ...workouts[0], day: '2026-02-31' }] });
    expect(readLibrary(json).workouts[0]).toMatchObject({ day: null, remarks: [expect.stringContaining('no day')] });
  });
  test('JSON of something else, or broken, says so', () => {
    expect(readLibrary('{"gambito":"library","format":2,"workouts":[]}').problems[0]).toMatch(/no library of Gambito: format/);
    expect(readLibrary('{"gambito":').problems[0]).toMatch(/cannot be read/);
    expect(readLibrary('  ')).toEqual({ workouts: [], problems: [] });
  });
  test('a table needs a column “text”; a text with commas is no table', () => {
    expect(readLibrary('day;text\n2026-11-25;"AMRAP 5:00\n5 burpee"\n;"  "').workouts).toMatchObject([{ day: '2026-11-25', text: 'AMRAP 5:00\n5 burpee\n' }]);
    expect(readLibrary('for time, cap 9:00\n5, 6, 7 burpee').workouts).toHaveLength(1);
  });
});
