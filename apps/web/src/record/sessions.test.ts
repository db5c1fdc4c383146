import { describe, expect, test } from '@jest/globals';
import type { PersonRecord, Recorded } from '@gambito/contract';
import { weighEvidence } from '@gambito/core';
import { alikeOf, calendarOf, giveOrTake, plannedOf, repeatsOf, shownOver } from './sessions';

const recorded = (scoreId: number, change: Partial<Recorded> = {}): Recorded => ({
  scoreId,
  workoutId: scoreId,
  title: `Workout ${scoreId}`,
  day: `2026-11-${String(28 - scoreId).padStart(2, '0')}`,
  score: '8:00',
  note: '',
  rating: 7,
  measured: null,
  seconds: 480,
  reps: {},
  movements: [],
  fitness: { log: 0.1, spread: 0.1 },
  verdict: 'in the window',
  read: true,
  counts: true,
  ...change,
});
const record = (sessions: Recorded[], missed: PersonRecord['missed'] = []): PersonRecord => ({ sessions, missed, open: [], hurt: [], figures: [] });

describe('what results taught', () => {
  test('each counted score moves it, a refused one does not, and without it the others say what they said', () => {
    const [near, far] = [recorded(1), recorded(2, { fitness: { log: -0.4, spread: 0.1 } })];
    const both = weighEvidence([near, far], 0.2);
    const refused = weighEvidence([near, { ...far, counts: false }], 0.2);
    expect(both.percent).toBeLessThan(refused.percent);
    expect(refused.evidence[1]).toMatchObject({ moves: null, percent: 100 * (Math.exp(-0.4) - 1) });
    expect(both.evidence[1]!.moves).toBeCloseTo(both.percent - refused.percent, 6);
  });
  test('nothing scored leaves what the file says, as unsure as it is', () => {
    expect(weighEvidence([], 0.2)).toMatchObject({ percent: 0, evidence: [] });
    expect(weighEvidence([recorded(1, { fitness: null })], 0.2)).toMatchObject({ percent: 0 });
  });
  test('the newest eight are weighed, older ones are shown', () => {
    const { evidence } = weighEvidence(
      Array.from({ length: 10 }, (_, at) => recorded(at + 1)),
      0.2,
    );
    expect(evidence.map(({ moves }) => moves !== null)).toEqual([...Array<boolean>(8).fill(true), false, false]);
  });
});

describe('the days', () => {
  const rows = calendarOf(
    {
      ...record([recorded(3)], [{ workoutId: 9, title: 'Ebb', day: '2026-11-24' }]),
      open: [{ workoutId: 8, title: 'Flow', day: '2026-11-28' }],
    },
    '2026-11-28',
    1,
    2,
  );
  const on = (day: string) => rows.flat().find((each) => each.day === day)!;
  test('stand in whole weeks up to this one', () => {
    expect(rows.map((week) => [week[0]!.day, week.length])).toEqual([
      ['2026-11-16', 7],
      ['2026-11-23', 7],
    ]);
    expect(on('2026-11-29').ahead).toBe(true);
  });
  test('were kept, missed, or are not over', () => {
    expect(on('2026-11-25').done).toEqual(['Workout 3']);
    expect(on('2026-11-24').missed).toEqual(['Ebb']);
    expect(on('2026-11-28').missed).toEqual([]);
    expect(on('2026-11-28').open).toEqual(['Flow']);
  });
  test('count as planned once each', () => expect(plannedOf(record([recorded(3)], [{ workoutId: 9, title: 'Ebb', day: '2026-11-24' }]))).toHaveLength(2));
});

test('what was done more than once stands together, the oldest first', () => {
  const again = recorded(2, { title: 'Squall', score: '7:50' });
  expect(repeatsOf(record([again, recorded(5), recorded(9, { title: 'Squall', score: '8:40' })]))).toEqual([
    { title: 'Squall', scores: [expect.objectContaining({ score: '8:40' }), again] },
  ]);
});

describe('what scores show', () => {
  const alike = { seconds: 480, reps: { squat: 90, hinge: 60 } };
  test('alike work under two names stands together, the oldest first; of one name alone it does not, nor what shows nothing', () => {
    const [tide, ebb] = [recorded(1, { title: 'Tide', ...alike }), recorded(4, { title: 'Ebb', ...alike })];
    expect(alikeOf(record([tide, ebb])).map((group) => group.map(({ title }) => title))).toEqual([['Ebb', 'Tide']]);
    expect(alikeOf(record([tide, { ...ebb, title: 'Tide' }]))).toEqual([]);
    expect(alikeOf(record([tide, { ...ebb, fitness: null }]))).toEqual([]);
  });
  test('over time, with how unsure each is; what is refused or shows nothing is left out', () => {
    const shown = shownOver(
      record([recorded(1), recorded(2, { counts: false }), recorded(3, { fitness: null }), recorded(4, { fitness: { log: 0, spread: 0.2 } })]),
    );
    expect(shown.map(({ title }) => title)).toEqual(['Workout 4', 'Workout 1']);
    expect(shown[0]!.percent).toBe(0);
    expect(shown[0]!.spread[0]).toBeCloseTo(100 * (1 - Math.exp(-0.2)), 6);
    expect(shown[0]!.spread[1]).toBeCloseTo(100 * (Math.exp(0.2) - 1), 6);
    expect(giveOrTake(shown[0]!)).toBe(20);
  });
});
