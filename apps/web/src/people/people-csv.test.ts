import { describe, expect, test } from '@jest/globals';
import { readAthlete } from '@gambito/core';
import { readSheet, safeCell } from '../ui/csv';
import { readPeople, writePeople } from './people-csv';

const today = '2026-11-28';
const stored = (id: number, file: Record<string, unknown>) => ({ id, name: String(file['name']), file, revision: 3, results: [] });
const orvenna = stored(1, {
  name: 'Orvenna',
  category: 'women',
  level: 'trained',
  units: 'kg',
  body_mass: '63 kg',
  groups: ['ferry crew'],
  maxes: { back_squat: '88 kg', deadlift: '112 kg' },
  best_sets: {},
  times: { run_400_m: '1:36' },
  avoid: ['deep_knee', 'wrists'],
  place: { name: 'cabin', noise: 'quiet', kit: ['dumbbell 12.5 kg', 'chair 45 cm'] },
});

describe('people as a table', () => {
  test('what goes out comes in again as it was', () => {
    const { rows, problems } = readPeople(writePeople([orvenna]), [], today);
    expect(problems).toEqual([]);
    expect(rows).toMatchObject([{ row: 2, name: 'Orvenna', known: null, remarks: [], blocked: null }]);
    expect(readAthlete(rows[0]!.file, today).athlete).toEqual(readAthlete(orvenna.file, today).athlete);
  });
  test('a row with a name that is here changes that person, and what it does not say stays', () => {
    const { rows } = readPeople('Name;Weight;Kit\nORVENNA;61,5;rope; ', [orvenna], today);
    expect(rows[0]).toMatchObject({
      known: { id: 1 },
      file: { name: 'ORVENNA', body_mass: '61,5', maxes: { deadlift: '112 kg' }, place: { name: 'cabin', kit: ['rope'] } },
    });
  });
  test('each row tells what cannot be read of it, and keeps it', () => {
    const { rows, problems } = readPeople('name,level,lifts,phone\nHespin,splendid,"back squat 80 kg; zibble 3",0123\n,trained,,\nhespin,new,,', [], today);
    expect(problems).toEqual(['Not read, and kept as typed in each file: “phone”.']);
    expect(rows.map(({ blocked }) => blocked)).toEqual([null, 'no name', 'this name stands in an earlier row']);
    expect(rows[0]!.remarks.join(' ')).toMatch(/zibble 3/);
    expect(rows[0]!.remarks[0]).toBe('level: “splendid” is not known; expected new, newer, trained, competitive.');
    expect(rows[0]!.file).toMatchObject({
      level: 'trained',
      maxes: { back_squat: '80 kg' },
      unread: { maxes: ['zibble 3'], columns: ['phone: 0123', 'level: splendid'] },
    });
  });
  test('a file without headings says what was expected', () => {
    expect(readPeople('Hespin,trained\nOstrame,new', [], today)).toEqual({ rows: [], problems: [expect.stringMatching(/^Expected a first row of headings/)] });
    expect(readPeople('  ', [], today)).toEqual({ rows: [], problems: [] });
  });
  test('a broken quote is told with its row', () => expect(readSheet('name,notes\nHespin,"open\nOstrame,x').problems[0]).toMatch(/^Row \d: /));
  test('nothing goes out that a spreadsheet would compute, and it comes back plain', () => {
    const risky = stored(2, { ...orvenna.file, name: '=1+1', notes: '@sum' });
    const text = writePeople([risky]);
    expect(text).toContain("'=1+1");
    expect(readPeople(text, [], today).rows[0]!.file).toMatchObject({ name: '=1+1', notes: '@sum' });
    expect([safeCell('-3'), safeCell('3')]).toEqual(["'-3", '3']);
  });
});
