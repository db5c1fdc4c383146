import { describe, expect, test } from '@jest/globals';
import { adapt, parseWorkout, readAthlete } from '@gambito/core';
import { sheetsOf } from './sheets';
import type { Version } from './use-versions';

const { workout } = parseWorkout('# Squall\nAMRAP 12:00\n6 pull-up\n12 air squat');
const versionOf = (name: string, kit: string[], change: Partial<Version> = {}): Version => ({
  key: name,
  athleteId: 1,
  name,
  sub: '',
  groups: [],
  words: '',
  who: { kind: 'tier', name: '', category: 'women' },
  locks: [],
  by: '',
  adapted: adapt(workout, readAthlete({ name, category: 'women', level: 'trained', best_sets: { strict_pull_up: 8 }, place: { kit } }, '2026-11-25').athlete, {
    runs: 5,
  }),
  refreshing: false,
  error: null,
  ...change,
});

describe('sheets', () => {
  test('versions that read alike are one card, notes keep their names, and who has no version is left out', () => {
    const versions = [
      versionOf('Orvenna', []),
      versionOf('Tabrik', ['pull-up bar'], { locks: [{ note: 'Slowly down.' }] }),
      versionOf('Hespin', ['pull-up bar']),
      versionOf('Nivaro', [], { adapted: null }),
    ];
    const sheets = sheetsOf(versions);
    expect(sheets.map(({ names, notes }) => ({ names, notes }))).toEqual([
      { names: ['Orvenna'], notes: [] },
      { names: ['Tabrik', 'Hespin'], notes: ['Tabrik: Slowly down.'] },
    ]);
    expect(sheets[1]!.text).toMatch(/^AMRAP 12:00\n6 pull-up/);
  });
});
