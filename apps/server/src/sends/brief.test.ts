/** What an athlete reads: lines in the athlete's own units, plates, plan B, the window in words; for every kind of part. */
import { describe, expect, test } from '@jest/globals';
import { athletePageSchema, briefSchema } from '@gambito/contract';
import { defaultRules, readAthlete, usualCautions, type Athlete, type Lock } from '@gambito/core';
import { Problem } from '../platform/errors';
import { makeBrief } from './brief';

const keeper = (kit: string[], change: Record<string, unknown> = {}): Athlete =>
  readAthlete(
    {
      name: 'Wendrith',
      category: 'women',
      level: 'trained',
      body_mass: '64 kg',
      place: { name: 'lighthouse', floor: '4 x 3 m', ceiling: '2.8 m', kit },
      ...change,
    },
    '2026-11-25',
  ).athlete;
const briefFor = (text: string, athlete: Athlete = keeper([]), locks: readonly Lock[] = []) => makeBrief(text, athlete, { rules: defaultRules, locks });
const bar = ['barbell 15 kg, plates 2x10 2x5 2x2.5 kg'];

describe('a brief', () => {
  test('is made of no message: what it is read as is taken by a person first', () => {
    expect(() => briefFor('morning! 12 min amrap: 8 burpees, 12 air squats, bring 2 towels')).toThrow(Problem);
    expect(briefFor('AMRAP 12:00\n8 burpee\n12 air squat').versionText).toContain('8 burpee');
  });
  test('says whose it is, where, and what to expect', () => {
    const { brief } = briefFor('# Ebb\nAMRAP 10:00\n10 push-up\n15 air squat\nintent: 8-11 rounds');
    expect(brief).toMatchObject({
      title: 'Ebb',
      athlete: 'Wendrith',
      place: 'lighthouse',
      window: '8–11 rounds',
      fields: [{ part: 0, kind: 'rounds', label: 'AMRAP 10:00' }],
    });
    expect(brief.predicted.low).toBeLessThanOrEqual(brief.predicted.median);
    expect(brief.predicted.high).toBeGreaterThanOrEqual(brief.predicted.median);
    expect(briefSchema.parse(brief)).toEqual(brief);
  });
  test('the workout without a name is a workout', () => expect(briefFor('AMRAP 5:00\n10 burpee').brief.title).toBe('Workout'));
  test.each([
    ['under 8:00', 'for time, cap 10:00\n50 burpee\nintent: under 8:00', 'under 8:00'],
    ['a range of time', 'for time, cap 20:00\n100 burpee\nwindow: 9:00-12:00', '9:00–12:00'],
    ['a set', '3 sets, rest 1:00 between\n  2 rounds\n    10 burpee\nscore: each set\nwindow: 3:00-4:30 per set', '3:00–4:30 a set'],
    ['none', 'AMRAP 5:00\n10 burpee', null],
  ])('its window in words: %s', (_what, text, words) => expect(briefFor(text).brief.window).toBe(words));

  test('loads are told in the athlete’s units, kilograms beside pounds, a pair as a pair', () => {
    const text = 'AMRAP 8:00\n8 db push press @ 2x15/10 kg';
    const [kg] = briefFor(text, keeper(['dumbbell 10 kg x 2'])).brief.parts[0]!.lines;
    expect(kg).toMatchObject({ text: '8 dumbbell push press', load: '2 × 10 kg', original: null });
    expect(briefFor(text, keeper(['dumbbell 10 kg x 2'], { units: 'lb' })).brief.parts[0]!.lines[0]!.load).toBe('2 × 22 lb (10 kg)');
  });
  test('a bar comes with its plates, each side', () => {
    const { lines } = briefFor('AMRAP 8:00\n5 front squat @ 60/40 kg\n10 push-up', keeper(bar)).brief.parts[0]!;
    expect(lines[0]!.load).toBe('40 kg');
    expect(lines[0]!.plates).toMatch(/^10 kg \+ 2\.5 kg a side$/);
    expect(lines[1]!.plates).toBeNull();
  });
  test('a swap says what it stands for, how well, why; what was kept says nothing of the kind', () => {
    const { lines } = briefFor('AMRAP 8:00\n10 pull-up\n10 air squat', keeper(['dumbbell 12.5 kg'])).brief.parts[0]!;
    expect(lines[0]).toMatchObject({
      original: '10 pull-up',
      reason: expect.stringMatching(/^No bar to hang from/),
    });
    expect(lines[1]).toMatchObject({ original: null, reason: null });
    expect(lines.some((line) => line.fallback !== null)).toBe(true);
  });
  test('speaks to its athlete: no coach’s marks, why a movement was left, and none of the coach’s warnings', () => {
    const { brief } = briefFor('for time, cap 6:00\n5 rounds\n  10 pull-up\n  10 toes-to-bar\n  10 deadlift @ 100 kg', keeper([]));
    const text = JSON.stringify(brief.parts);
    expect(text).not.toMatch(/doubtful|compromise|(?:good|poor) match|[!?]{2}/);
    for (const { original, reason } of brief.parts[0]!.lines) if (original) expect(reason).toMatch(/^[A-Z][^:]*[^.]$/);
    expect(brief.warnings.join(' ')).not.toMatch(/Grip on grip|tells little|outside the window|Look at it before you send it/);
  });
  test('the coach’s locks are in it', () => {
    const { brief, versionText } = briefFor('AMRAP 8:00\n10 burpee\n10 air squat', keeper([]), [{ part: 0, slot: 1, movement: 'reverse-lunge', reps: 14 }]);
    expect(brief.parts[0]!.lines[1]!.text).toBe('14 reverse lunge');
    expect(versionText).toContain('14 reverse lunge');
  });
  test.each([
    ['AMRAP 5:00 x 2, rest 1:00 between\n10 burpee', /^2 × AMRAP 5:00, rest 1:00 between$/],
    ['EMOM 8:00\n1: 10 push-up\n2: 12 air squat', /^Every 1:00, 8 times \(8:00\)$/],
    ['for time, cap 12:00\n5 rounds\n  10 burpee', /^For time, cap 12:00$/],
    ['3 sets, rest 1:00 between\n  2 rounds\n    10 burpee', /^3 sets for time, rest 1:00 between$/],
    ['30 s on / 15 s off x 8\nalternate\n  push-up\n  air squat', /^8 intervals: 0:30 work, 0:15 rest$/],
    ['every 6:00 x 2, rest what is left\nwindow 1:\n  30 burpee\nwindow 2:\n  40 air squat', /^2 windows of 6:00, rest what is left$/],
    ['max load in 7:00\n1 clean', /^Max load in 7:00$/],
  ])('the header of %j', (text, header) =>
    expect(briefFor(text, keeper(['barbell 15 kg, plates 2x20 2x15 2x10 2x5 2x2.5 2x1.25 kg'])).brief.parts[0]!.header).toMatch(header),
  );
  test('carries warm-up, pacing, standards, cautions, cool-down and the clock of its own version', () => {
    const { brief } = briefFor('for time, cap 20:00\n4 rounds\n  15 push-up\n  20 air squat');
    expect(brief.warmUp.length).toBeGreaterThan(0);
    expect(brief.pacing.filter((line) => line.includes('this one decides the score'))).toHaveLength(1);
    expect(brief.standards.length).toBe(brief.parts[0]!.lines.length);
    for (const caution of usualCautions) expect(brief.cautions).toContain(caution);
    expect(brief.clock.cues.at(-1)).toMatchObject({ kind: 'end', atSeconds: 1200 });
  });
  test('a movement nobody knows goes through as it was written, and blocks nothing', () => {
    const { brief, versionText } = briefFor('AMRAP 5:00\n10 zibble hops\n5 burpee');
    expect(brief.parts[0]!.rows.map(({ text }) => text)).toEqual(['10 zibble hops', '5 burpee']);
    expect(versionText).toContain('10 zibble hops');
  });
  test('an avoid-list with a word nobody can read holds the version back', () =>
    expect(() => briefFor('AMRAP 5:00\n10 burpee', keeper([], { avoid: ['knees'] }))).toThrow(Problem));
  test.each([
    ['for time, cap 9:00\n24-16-8\n  push-up\n  air squat', [/^\d+-\d+-\d+$/, /^ {2}push-up$/, /^ {2}air squat$/]],
    ['3 sets, rest 1:00 between\n  3 rounds\n    10 push-up\nscore: each set', [/^3 rounds$/, /^ {2}\d+ push-up$/]],
    ['EMOM 8:00\n1: 10 push-up\n2: 12 air squat', [/^Minute 1, 3, 5, 7$/, /^ {2}\d+ push-up$/, /^Minute 2, 4, 6, 8$/, /^ {2}\d+ air squat$/]],
  ])('the rows of %j keep the scheme', (text, rows) => {
    const [part] = briefFor(text, keeper([], { level: 'competitive' })).brief.parts;
    expect(part!.rows.map((row) => `${'  '.repeat(row.depth)}${row.text}`)).toEqual(rows.map((row) => expect.stringMatching(row)));
  });
  test('nested work is told in a plain sentence and has its boxes', () => {
    const [part] = briefFor('3 sets, rest 1:00 between\n  3 rounds\n    10 push-up\nscore: each set').brief.parts;
    expect(part!.sentence).toBe('3 sets of 3 rounds: 9 ticks.');
    expect(part!.grid.map(({ boxes }) => boxes.length)).toEqual([3, 3, 3]);
  });
  test('a heavy single is paced as attempts', () => {
    const { brief } = briefFor(
      'max load in 7:00\n1 clean',
      keeper(['barbell 15 kg, plates 2x20 2x15 2x10 2x5 2x2.5 2x1.25 kg'], { maxes: { clean: '60 kg' } }),
    );
    expect(brief.pacing.join('\n')).toMatch(/attempts: 0:\d\d \d+(\.\d)? kg, 1:/);
  });
  test('a text that cannot be read makes no brief, and the line is named', () => {
    const deep = Array.from({ length: 9 }, (_, depth) => `${' '.repeat(depth)}2 rounds`).join('\n');
    expect(() => briefFor(deep)).toThrow(Problem);
    expect(() => briefFor('')).toThrow(Problem);
    try {
      briefFor(deep);
    } catch (error) {
      expect((error as Problem).detail).toMatch(/^Line 8: /);
    }
  });
  test('the page it stands on is what the contract says', () =>
    expect(() =>
      athletePageSchema.parse({
        brief: briefFor('AMRAP 5:00\n10 burpee').brief,
        originalText: '',
        versionText: '',
        sentAt: '',
        changed: false,
        score: null,
        places: [],
        today: null,
        felt: null,
        doctorNow: false,
      }),
    ).not.toThrow());
});
