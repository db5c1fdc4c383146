import { describe, expect, test } from '@jest/globals';
import { readAthlete } from '@gambito/core';
import { readSheet, safeCell } from '../ui/csv';
import type { StoredAthlete } from '../api/types';
import { fileOf, formOf } from './athlete-form';
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
  test('a column about harm is asked about before a version is made, and is still there after a save', () => {
    const { rows } = readPeople('name,level,Injuries\nHespe,trained,left knee\nOrlo,trained,none', [], '2026-12-01');
    expect(rows.map(({ remarks }) => remarks.join(' '))).toEqual([expect.stringMatching(/“Injuries: left knee” is to be answered/), '']);
    expect(readAthlete(rows[0]!.file, '2026-12-01').athlete.unanswered).toHaveLength(1);
    expect(readAthlete(fileOf(formOf(rows[0]!.file), rows[0]!.file), '2026-12-01').athlete.unanswered).toHaveLength(1);
  });
  test('what somebody avoids is added to, and said; of two columns for one thing the first counts', () => {
    const known = {
      id: 1,
      name: 'Hespe',
      revision: 1,
      file: { name: 'Hespe', category: 'women', level: 'trained', avoid: ['overhead', 'running'] },
    } as unknown as StoredAthlete;
    const { rows } = readPeople('name,avoids,level,level\nHespe,jumping,newer,new', [known], '2026-12-01');
    expect(rows[0]!.file).toMatchObject({ avoid: ['overhead', 'running', 'jumping'], level: 'newer' });
    expect(rows[0]!.remarks.join(' ')).toMatch(/“level: new” is kept and not taken.*overhead, running stays as well/);
  });
  test('squat depth, reach and all places go out and come back', () => {
    const places = [
      { name: 'cabin', noise: 'quiet', kit: ['rope'] },
      { name: 'shed', noise: 'normal', kit: ['kettlebell 16 kg'] },
    ];
    const file = {
      name: 'Hespe',
      category: 'women',
      level: 'trained',
      units: 'kg',
      avoid: [],
      limits: { squat_depth: 'chair', reach: 'knees' },
      maxes: {},
      best_sets: {},
      times: {},
      places,
    };
    const known = { id: 1, name: 'Hespe', revision: 1, file } as unknown as StoredAthlete;
    const { rows } = readPeople(writePeople([known]), [], '2026-12-01');
    expect(rows[0]!.file).toMatchObject({ limits: file.limits, places });
  });
});
