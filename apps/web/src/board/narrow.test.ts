import { describe, expect, test } from '@jest/globals';
import { narrowings, within } from './narrow';

const people = [
  { id: 1, file: { name: 'Tabrik', groups: ['keepers', 'keepers'], level: 'trained' } },
  { id: 2, file: { name: 'Quillume', groups: ['shore'], level: 'newer', tier: ' one dumbbell, newer, 30 min ' } },
  { id: 3, file: { name: 'Sasquel', groups: ['keepers', 'shore'], level: 'trained' } },
];

describe('a board is narrowed', () => {
  test('by groups, levels and tiers, each with how many it holds', () =>
    expect(narrowings(people)).toEqual([
      { group: 'keepers', count: 2 },
      { group: 'shore', count: 2 },
      { group: 'level: newer', count: 1 },
      { group: 'level: trained', count: 2 },
      { group: 'tier: one dumbbell, newer, 30 min', count: 1 },
    ]));
  test('not by what everybody shares, nor by what nobody said', () => {
    expect(narrowings(people.map(({ id }) => ({ id, file: { groups: ['keepers'], level: 'trained' } })))).toEqual([]);
    expect(narrowings([{ id: 1, file: { level: 7, tier: null, groups: 'no list' } }])).toEqual([]);
  });
  test('to whom the label is of', () => {
    expect([...within(people, 'keepers')]).toEqual([1, 3]);
    expect([...within(people, 'tier: one dumbbell, newer, 30 min')]).toEqual([2]);
    expect([...within(people, null)]).toEqual([1, 2, 3]);
  });
});
