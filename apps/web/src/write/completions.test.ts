import { describe, expect, test } from '@jest/globals';
import { EditorState } from '@codemirror/state';
import { parseWorkout } from '@gambito/core';
import { complete, type LastUsed } from './completions';

interface Offer {
  readonly label: string;
  readonly apply?: unknown;
  readonly detail?: string;
  readonly type?: string;
  readonly boost?: number;
}
const offered = (typed: string, explicit = false, lastUsed?: LastUsed): readonly Offer[] => {
  const state = EditorState.create({ doc: typed });
  return (complete({ state, pos: typed.length, explicit }, lastUsed)?.options as never) ?? [];
};
const labels = (typed: string): string[] => offered(typed).map(({ label }) => label);

describe('completion', () => {
  test('after a count come movements and no headers, whatever the count is', () => {
    for (const before of ['10 ', '  200 m ', '1: 12/9 cal ', '- 5 ', '2 x '])
      expect([before, labels(`${before}bur`).includes('burpee'), offered(`${before}bur`).some(({ type }) => type === 'header')]).toEqual([before, true, false]);
  });
  test('at the start of a line headers come too', () => expect(labels('AMR')).toEqual(expect.arrayContaining(['AMRAP 12:00', 'burpee'])));
  test('nothing comes for one letter, behind a load, or where the name stands already', () => {
    for (const typed of ['10 b', '10 burpee @ 20 k', '10 burpee', '10 ']) expect([typed, labels(typed)]).toEqual([typed, []]);
  });
  test('an alias is found and its movement taken, with what it needs', () => {
    const alias = offered('10 t2').find(({ label }) => label === 't2b');
    expect(alias).toMatchObject({ apply: 'toes-to-bar', detail: expect.stringMatching(/^needs .*bar/) });
  });
  test('what was used before says when, and goes before what was not', () => {
    const offers = offered('10 bur', false, new Map([['burpee', '2026-11-21']]));
    const [used, other] = ['burpee', 'lateral burpee'].map((name) => offers.find(({ label }) => label === name));
    expect(used?.detail).toBe('no kit, last 21 Nov');
    expect(other?.detail).not.toMatch(/last/);
    expect(used!.boost).toBeGreaterThan(other!.boost!);
  });
  test('whatever is taken is read as the movement it names', () => {
    const taken = [...new Set(offered('10 bu').map(({ apply }) => String(apply)))];
    expect(taken.length).toBeGreaterThan(150);
    for (const name of taken) expect([name, parseWorkout(`AMRAP 9:00\n10 ${name}`).diagnostics.filter(({ level }) => level === 'warning')]).toEqual([name, []]);
  });
  test('a header that is taken is read', () => {
    for (const { label, type } of offered('AMR').filter(({ type: kind }) => kind === 'header'))
      expect([
        type,
        label,
        parseWorkout(`${/:\s/.test(label) ? 'AMRAP 9:00\n10 burpee\n' : ''}${label}\n`).diagnostics.some(
          ({ code }) => code === 'unknown_movement' || code === 'unreadable',
        ),
      ]).toEqual([type, label, false]);
  });
});
