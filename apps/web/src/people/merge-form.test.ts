/** Two windows, a table, the own door and a kept draft on one person: no limit disappears without a person's click. */
import { describe, expect, test } from '@jest/globals';
import { avoidNames, readAthlete, seededRandom } from '@gambito/core';
import { seedsTo } from '../../../../packages/core/test/cases';
import { fileOf, formOf, type AthleteForm } from './athlete-form';
import { mergeForm } from './merge-form';

const file = {
  name: 'Tabrik',
  category: 'men',
  level: 'trained',
  units: 'kg',
  avoid: ['overhead'],
  notes: 'keeper',
  maxes: {},
  best_sets: {},
  times: {},
  place: { name: 'lamp room', kit: ['rope'] },
};
const base = formOf(file);

describe('a form and a file that changed meanwhile', () => {
  test('what only one side changed is that side’s', () => {
    const { form, taken, clashes } = mergeForm(base, { ...base, notes: 'mine' }, { ...base, bodyMass: '81 kg' });
    expect([form.notes, form.bodyMass, taken, clashes]).toEqual(['mine', '81 kg', ['bodyMass'], []]);
  });
  test('what was added to be avoided elsewhere is avoided; what was taken off here is off', () => {
    const theirs = { ...base, avoid: ['overhead', 'running'] };
    expect(mergeForm(base, { ...base, notes: 'mine' }, theirs).form.avoid).toEqual(['overhead', 'running']);
    expect(mergeForm(base, { ...base, avoid: [] }, theirs).form.avoid).toEqual(['running']);
    // of a draft nobody knows the beginning of, both stand
    expect(mergeForm(null, { ...base, avoid: [] }, theirs).form.avoid).toEqual(['overhead', 'running']);
  });
  test('a depth that was emptied elsewhere stands until somebody decides, and both are shown', () => {
    const limited = { ...base, squatDepth: 'chair' };
    const { form, clashes } = mergeForm(limited, limited, base);
    expect([form.squatDepth, clashes]).toEqual(['chair', [{ field: 'squatDepth', theirs: '' }]]);
  });
  test('where both changed a field, what was typed here stands and the other is shown', () => {
    const { form, clashes } = mergeForm(base, { ...base, notes: 'mine' }, { ...base, notes: 'theirs' });
    expect([form.notes, clashes]).toEqual(['mine', [{ field: 'notes', theirs: 'theirs' }]]);
  });
});

describe('in random order', () => {
  interface Window {
    form: AthleteForm;
    from: Record<string, unknown>;
  }
  /** One story of two windows, an import and an own door; says which limit went without a click. */
  function story(seed: number): string[] {
    const random = seededRandom(seed);
    const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)]!;
    let stored: Record<string, unknown> = file;
    const clicked = new Set<string>();
    const windows: Window[] = [0, 1].map(() => ({ form: formOf(stored), from: stored }));
    const merged = (window: Window): AthleteForm => mergeForm(formOf(window.from), window.form, formOf(stored)).form;
    const said = new Set<string>(['overhead']);
    // who took it off in a window that is still open has decided, whatever is said meanwhile
    const isTakenOff = (word: string): boolean => windows.some((window) => formOf(window.from).avoid.includes(word) && !window.form.avoid.includes(word));
    const say = (word: string): void => {
      said.add(word);
      if (!isTakenOff(word)) clicked.delete(word);
    };
    const steps: (() => void)[] = [
      // an import, the own door taken, another program over the API
      () => {
        const word = pick(avoidNames);
        say(word);
        stored = { ...stored, avoid: [...new Set([...readAthlete(stored, '2026-12-01').athlete.avoid, word])] };
      },
      () => {
        const word = pick(avoidNames);
        say(word);
        stored = { ...stored, limits: { ...(stored['limits'] as object | undefined), [`no_${word}`]: true } };
      },
      () => {
        const window = pick(windows);
        window.form = { ...window.form, notes: `${random()}` };
      },
      // a click takes one off, in a window that shows it
      () => {
        const window = pick(windows);
        const word = window.form.avoid[0];
        if (word === undefined || random() < 0.7) return;
        clicked.add(word);
        window.form = { ...window.form, avoid: window.form.avoid.slice(1) };
      },
      // saved: what stands there is merged first; or left, and opened again from what was kept
      () => {
        const window = pick(windows);
        const form = merged(window);
        stored = fileOf(form, stored);
        Object.assign(window, { form: formOf(stored), from: stored });
      },
      () => {
        const window = pick(windows);
        Object.assign(window, { form: merged(window), from: stored });
      },
    ];
    const gone: string[] = [];
    for (let at = 0; at < 25; at++) {
      pick(steps)();
      const now = readAthlete(stored, '2026-12-01').athlete.avoid as readonly string[];
      for (const word of said) if (!now.includes(word) && !clicked.has(word)) gone.push(`seed ${seed}, step ${at}: ${word}`);
    }
    return gone;
  }
  test('stories (60; 500 in the bench): no limit goes without a click', () => expect(seedsTo(60, 500).map(story).flat().slice(0, 5)).toEqual([]));
});

describe('a file in shapes that a form does not show', () => {
  test.each([
    [{ ...file, avoid: { running: true, jumping: true } }, ['running', 'jumping']],
    [{ ...file, avoids: ['running'] }, ['overhead', 'running']],
    [{ ...file, limits: { no_running: true } }, ['overhead', 'running']],
    [{ ...file, place: { ...file.place, avoid: ['running'] } }, ['overhead', 'running']],
  ])('%j keeps what it spares when it is saved, and a click takes it off', (odd, avoid) => {
    const form = formOf(odd);
    expect([...form.avoid].sort()).toEqual([...avoid].sort());
    const again = readAthlete(fileOf(form, odd), '2026-12-01').athlete;
    expect([...again.avoid].sort()).toEqual([...avoid].sort());
    const off = readAthlete(fileOf({ ...form, avoid: form.avoid.filter((word) => word !== 'running') }, odd), '2026-12-01').athlete;
    expect(off.avoid).not.toContain('running');
  });
  test('what waits for an answer waits after a save too, and goes with its answer', () => {
    const odd = { ...file, injuries: 'left knee, old', unread: { columns: ['phone: 012', 'Pain: wrist'] } };
    const saved = fileOf(formOf(odd), odd);
    expect(readAthlete(saved, '2026-12-01').athlete.unanswered.map(({ text }) => text)).toEqual(['injuries: left knee, old', 'Pain: wrist']);
    expect(saved['unread']).toEqual({ columns: ['phone: 012', 'Pain: wrist'] });
    const answers = ['injuries: left knee, old', 'Pain: wrist'].map((text) => ({ text, by: 'Maruvel', date: '2026-12-01', spares: ['deep_knee'] }));
    const answered = readAthlete(fileOf({ ...formOf(odd), answers }, odd), '2026-12-01').athlete;
    expect([answered.unanswered, answered.avoid]).toEqual([[], ['overhead', 'deep_knee']]);
  });
});
