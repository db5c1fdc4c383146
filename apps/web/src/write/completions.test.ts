import { describe, expect, test } from '@jest/globals';
import { EditorState, type TransactionSpec } from '@codemirror/state';
import { parseWorkout } from '@gambito/core';
import { complete, type Known } from './completions';

interface Offer {
  readonly label: string;
  readonly apply?: unknown;
  readonly detail?: string;
  readonly type?: string;
  readonly boost?: number;
}
const offered = (typed: string, explicit = false, known?: Known): readonly Offer[] => {
  const state = EditorState.create({ doc: typed });
  return (complete({ state, pos: typed.length, explicit }, known)?.options as never) ?? [];
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
    const offers = offered('10 bur', false, { own: [], lastUsed: new Map([['burpee', '2026-11-21']]) });
    const [used, other] = ['burpee', 'lateral burpee'].map((name) => offers.find(({ label }) => label === name));
    expect(used?.detail).toBe('no kit, last 21 Nov');
    expect(other?.detail).not.toMatch(/last/);
    expect(used!.boost).toBeGreaterThan(other!.boost!);
  });
  test('a movement of the coach’s own comes with the line that defines it, once', () => {
    const own = { name: 'lantern hop', share: 1.2, link: null, standard: 'both feet land' };
    const take = (doc: string): string => {
      let state = EditorState.create({ doc });
      const from = doc.indexOf('lan');
      const option = complete({ state, pos: from + 3, explicit: false }, { lastUsed: new Map(), own: [{ own, as: 'burpee' }] })!.options[0]!;
      const view = { state, dispatch: (change: TransactionSpec) => (state = state.update(change).state) };
      (option.apply as (view: unknown, option: unknown, from: number, to: number) => void)(view, option, from, from + 3);
      return state.doc.toString();
    };
    const text = 'AMRAP 9:00\n10 lantern hop\n\nmovement: lantern hop = burpee x 1.2; both feet land';
    expect(take('AMRAP 9:00\n10 lan')).toBe(text);
    expect(take(text.replace('10 lantern hop', '10 lan'))).toBe(text);
    expect(parseWorkout(text).diagnostics).toEqual([]);
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
