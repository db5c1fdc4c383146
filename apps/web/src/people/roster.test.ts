import { describe, expect, test } from '@jest/globals';
import { arrangeRoster, groupsIn, rosterRow, type RosterOrder } from './roster';

const stored = (id: number, file: Record<string, unknown>) => ({ id, name: String(file['name']), file, revision: 1, results: [] });
const rows = [
  stored(1, { name: 'Wendrith', level: 'newer', born: 1990, place: { name: 'flat', kit: ['dumbbell 5 kg x 2'] }, avoid: ['jumping'] }),
  stored(2, {
    name: 'Brontek',
    level: 'competitive',
    place: { name: 'ferry store room', kit: ['rope', 'kettlebell 16 kg'] },
    notes: 'nights',
    groups: ['ferry crew'],
  }),
  stored(3, { name: 'Orvenna', level: 'newer', born: 1970, places: [{ name: 'crew cabin', kit: [] }, { name: 'ferry deck' }], groups: ['ferry crew', 'new'] }),
].map((each) => rosterRow(each, '2026-11-25'));
const names = (search: string, order: RosterOrder = 'name', backwards = false, group: string | null = null): string[] =>
  arrangeRoster(rows, { search, group, order, backwards }).map(({ name }) => name);

describe('the roster', () => {
  test('is found by any word of a file: place, second place, kit, note, level, what is avoided', () => {
    expect(names('ferry')).toEqual(['Brontek', 'Orvenna']);
    expect(names('KETTLE nights')).toEqual(['Brontek']);
    expect(names('newer jump')).toEqual(['Wendrith']);
    expect(names('nobody')).toEqual([]);
  });
  test('is shown by group, and groups stand by how many are in them', () => {
    expect(names('', 'name', false, 'ferry crew')).toEqual(['Brontek', 'Orvenna']);
    expect(names('cabin', 'name', false, 'ferry crew')).toEqual(['Orvenna']);
    expect(groupsIn(rows)).toEqual([
      { group: 'ferry crew', count: 2 },
      { group: 'new', count: 1 },
    ]);
  });
  test('stands by name, by level from the newest, by age with those without one last, by what is avoided', () => {
    expect(names('')).toEqual(['Brontek', 'Orvenna', 'Wendrith']);
    expect(names('', 'level')).toEqual(['Orvenna', 'Wendrith', 'Brontek']);
    expect(names('', 'age')).toEqual(['Wendrith', 'Orvenna', 'Brontek']);
    expect(names('', 'avoids')).toEqual(['Wendrith', 'Brontek', 'Orvenna']);
    expect(names('', 'name', true)).toEqual(['Wendrith', 'Orvenna', 'Brontek']);
  });
});
