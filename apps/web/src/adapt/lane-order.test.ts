import { describe, expect, test } from '@jest/globals';
import { adapt, parseWorkout, readAthlete } from '@gambito/core';
import { arrange } from './lane-order';
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
    who: { kind: 'tier', name: '', category: 'women' },
    locks: [],
    adapted,
    refreshing: false,
    error: null,
    ...change,
  };
};
const bare = versionOf('bare', []);
const barred = versionOf('barred', ['pull-up bar']);
const tier = versionOf('tier', [], { athleteId: null });
const waiting = versionOf('waiting', [], { adapted: null });
const keys = (versions: readonly Version[]): string[] => versions.map(({ key }) => key);

describe('lanes', () => {
  test('stand as they come by name, and by what was changed with the people before the tiers', () => {
    expect(keys(arrange([barred, bare, tier], 'name', 'all'))).toEqual(['barred', 'bare', 'tier']);
    expect(keys(arrange([barred, bare, tier], 'changed', 'all'))).toEqual(['bare', 'barred', 'tier']);
    expect(keys(arrange([barred, tier, bare], 'drift', 'all'))).toEqual(['bare', 'barred', 'tier']);
  });
  test('are narrowed to those who were changed, or decided; what is not there yet stays', () => {
    expect(keys(arrange([barred, bare, waiting], 'name', 'changed'))).toEqual(['bare', 'waiting']);
    const decided = { ...barred, locks: [{ part: 0, slot: 0, reps: 5 }] };
    expect(keys(arrange([decided, bare], 'name', 'locked'))).toEqual(['barred']);
  });
  test('the order given is not changed', () => {
    const given = [barred, bare];
    arrange(given, 'changed', 'all');
    expect(keys(given)).toEqual(['barred', 'bare']);
  });
});
