import { describe, expect, test } from '@jest/globals';
import { adapt, parseWorkout, readAthlete } from '@gambito/core';
import { alikeHeadings, arrange } from './lane-order';
import type { Version } from './use-versions';

const { workout } = parseWorkout('# Squall\nAMRAP 12:00\n6 pull-up\n12 air squat\nintent: 9-13 rounds');
const versionOf = (key: string, kit: string[], change: Partial<Version> = {}): Version => {
  const { athlete } = readAthlete({ name: key, category: 'women', level: 'trained', place: { kit } }, '2026-11-25');
  const adapted = adapt(workout, athlete, { runs: 20 });
  return {
    key,
    athleteId: 1,
    name: key,
    sub: '',
    groups: [],
    words: `${key} ${kit.join(', ')}`,
    who: { kind: 'tier', name: '', category: 'women' },
    locks: [],
    by: '',
    adapted,
    refreshing: false,
    error: null,
    ...change,
  };
};
const all = { group: null, search: '' } as const;
const bare = versionOf('bare', []);
const barred = versionOf('barred', ['pull-up bar']);
const tier = versionOf('tier', [], { athleteId: null });
const waiting = versionOf('waiting', [], { adapted: null });
const keys = (versions: readonly Version[]): string[] => versions.map(({ key }) => key);

describe('lanes', () => {
  test('stand as they come by name, and by what was changed with the people before the tiers', () => {
    expect(keys(arrange([barred, bare, tier], { ...all, order: 'name', filter: 'all' }))).toEqual(['barred', 'bare', 'tier']);
    expect(keys(arrange([barred, bare, tier], { ...all, order: 'changed', filter: 'all' }))).toEqual(['bare', 'barred', 'tier']);
    expect(keys(arrange([barred, tier, bare], { ...all, order: 'drift', filter: 'all' }))).toEqual(['bare', 'barred', 'tier']);
  });
  test('are narrowed to those who were changed, or decided; what is not there yet stays', () => {
    expect(keys(arrange([barred, bare, waiting], { ...all, order: 'name', filter: 'changed' }))).toEqual(['bare', 'waiting']);
    const decided = { ...barred, locks: [{ part: 0, slot: 0, reps: 5 }] };
    expect(keys(arrange([decided, bare], { ...all, order: 'name', filter: 'locked' }))).toEqual(['barred']);
  });
  test('are those of a group, and the tiers', () => {
    const crew = { ...barred, groups: ['ferry crew'] };
    expect(keys(arrange([crew, bare, tier], { ...all, order: 'name', filter: 'all', group: 'ferry crew' }))).toEqual(['barred', 'tier']);
  });
  test('are found by words of a name, a place or a kit; the tiers stay', () => {
    expect(keys(arrange([barred, bare, tier], { ...all, order: 'name', filter: 'all', search: 'Pull-up BAR' }))).toEqual(['barred', 'tier']);
    expect(keys(arrange([barred, bare, tier], { ...all, order: 'name', filter: 'all', search: 'rowing' }))).toEqual(['tier']);
  });
  test('stand together where they read the same, the largest group first, and say so', () => {
    const also = versionOf('also bare', []);
    const shown = arrange([barred, waiting, bare, tier, also], { ...all, order: 'alike', filter: 'all' });
    expect(keys(shown)).toEqual(['bare', 'also bare', 'barred', 'waiting', 'tier']);
    expect([...alikeHeadings(shown)]).toEqual([
      ['bare', '2 the same'],
      ['barred', 'each like nobody else'],
    ]);
    expect([...alikeHeadings([bare, barred])]).toEqual([['bare', 'no two are the same']]);
  });
  test('the order given is not changed', () => {
    const given = [barred, bare];
    arrange(given, { ...all, order: 'changed', filter: 'all' });
    expect(keys(given)).toEqual(['barred', 'bare']);
  });
});
