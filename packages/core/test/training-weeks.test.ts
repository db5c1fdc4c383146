/** Weeks of training: sums against a plain loop, limits each made to decide, attendance, and the load of a published example. */
import { describe, expect, test } from '@jest/globals';
import { addDays as dateFnsAddDays, differenceInCalendarDays, formatISO, parseISO, startOfWeek } from 'date-fns';
import fc from 'fast-check';
import {
  addDays,
  attendance,
  daysBetween,
  hoursAfter,
  patternVolumes,
  sessionLoad,
  trainingWeeks,
  weekLimits,
  weekOf,
  weekWarnings,
  type Session,
} from '../src/index';

const today = '2026-11-28';
const session = (daysAgo: number, change: Partial<Session> = {}): Session => ({
  day: addDays(today, -daysAgo),
  rating: 7,
  seconds: 1800,
  reps: { squat: 50 },
  movements: ['air-squat'],
  ...change,
});
const isoDay = (date: Date): string => formatISO(date, { representation: 'date' });

describe('days', () => {
  test('as date-fns reckons them, over month and year ends', () =>
    void fc.assert(
      fc.property(fc.integer({ min: 0, max: 4000 }), fc.integer({ min: -400, max: 400 }), fc.constantFrom(0, 1), (from, days, firstDay) => {
        const day = isoDay(dateFnsAddDays(parseISO('2020-01-01'), from));
        const other = addDays(day, days);
        expect(other).toBe(isoDay(dateFnsAddDays(parseISO(day), days)));
        expect(daysBetween(day, other)).toBe(differenceInCalendarDays(parseISO(other), parseISO(day)));
        expect(weekOf(day, firstDay)).toBe(isoDay(startOfWeek(parseISO(day), { weekStartsOn: firstDay as 0 | 1 })));
      }),
      { seed: 28, numRuns: 200 },
    ));
});

describe('weeks', () => {
  test('load is rating × minutes (Foster et al. 2001); a session nobody rated is counted beside it', () => {
    const [week] = trainingWeeks([session(0), session(1, { rating: 5, seconds: 2400 }), session(2, { rating: null })], today, 1, 1);
    expect(week).toMatchObject({ sessions: 3, minutes: 100, load: sessionLoad(1800, 7) + sessionLoad(2400, 5), unrated: 1, reps: { squat: 150 } });
    expect(week!.load).toBe(210 + 200);
  });
  test('a week begins on the day the coach’s does', () => {
    // 2026-11-22 was a Sunday
    const sunday = [session(6)];
    expect(trainingWeeks(sunday, today, 0, 1)[0]!.sessions).toBe(1);
    expect(trainingWeeks(sunday, today, 1, 1)[0]!.sessions).toBe(0);
  });
  test('volume is held against the mean of the four weeks before: a jump is one beyond the limit, and not one just at it', () => {
    const before = [7, 14, 21, 28].map((days) => session(days, { reps: { squat: 100 } }));
    const jumps = (reps: number): boolean => patternVolumes(trainingWeeks([...before, session(0, { reps: { squat: reps } })], today, 1, 8))[0]!.jumps;
    expect(patternVolumes(trainingWeeks([...before, session(0)], today, 1, 8))[0]).toMatchObject({ pattern: 'squat', now: 50, usual: 100 });
    expect([jumps(100 * weekLimits.jump), jumps(100 * weekLimits.jump + 1)]).toEqual([false, true]);
  });
  test('few reps are no jump, whatever there was before', () =>
    expect(patternVolumes(trainingWeeks([session(20), session(0, { reps: { squat: weekLimits.leastReps - 1 } })], today, 1, 8))[0]!.jumps).toBe(false));
  test('a beginning is no jump, and weeks from before there was anything are none without work', () => {
    const now = session(0, { reps: { squat: 300 } });
    const volume = (...before: Session[]) => patternVolumes(trainingWeeks([...before, now], today, 1, 8))[0]!;
    expect(volume().jumps).toBe(false);
    expect(volume(session(7)).jumps).toBe(false);
    expect(volume(session(7), session(14))).toMatchObject({ jumps: true, usual: 50 });
  });
});

describe('what is to be looked at twice', () => {
  const heard = (...sessions: Session[]): string[] => weekWarnings(sessions, trainingWeeks(sessions, today, 1, 8), today, (id) => id);
  test('many pull-ups after weeks with few: said with the signs that are for a doctor', () => {
    const many = session(0, { reps: { verticalPull: weekLimits.pulling }, movements: ['pull-up'] });
    expect(heard(session(10), many).join()).toMatch(/pull-ups or their like.*for a doctor/);
    const usual = [7, 14, 21, 28].map((days) => session(days, { reps: { verticalPull: weekLimits.pulling / 2 }, movements: ['pull-up'] }));
    expect(heard(...usual, many).join()).not.toMatch(/for a doctor/);
  });
  test('what was not done for six weeks is new; in a first week nothing is', () => {
    const snatch = session(0, { movements: ['power-snatch', 'air-squat'] });
    expect(heard(session(8), snatch)).toContain('new or not done for six weeks: power-snatch');
    expect(heard(snatch).join()).not.toContain('new or not done');
    expect(heard(session(weekLimits.novel + 1, { movements: ['power-snatch'] }), session(8), snatch).join()).toContain('power-snatch');
    expect(heard(session(weekLimits.novel - 1, { movements: ['power-snatch'] }), session(8), snatch).join()).not.toContain('power-snatch');
  });
  test('of many new ones five are named', () => {
    const movements = ['power-snatch', 'rope-climb', 'pull-up', 'burpee', 'run', 'row'];
    expect(heard(session(8), session(0, { movements })).join()).toMatch(/: (?:[\w-]+, ){4}[\w-]+ and 1 more$/);
  });
  test('four weeks and no more are what a week is held against', () => {
    const old = session(35, { reps: { squat: 5000 } });
    const before = [7, 14, 21, 28].map((days) => session(days, { reps: { squat: 100 } }));
    expect(patternVolumes(trainingWeeks([old, ...before, session(0)], today, 1, 8))[0]!.usual).toBe(100);
  });
  test('a load far above the usual', () => {
    const calm = [7, 14, 21, 28].map((days) => session(days));
    expect(heard(...calm, session(0), session(1)).join()).toContain('load 420 this week, about 210 a week before');
    expect(heard(...calm, session(0)).join()).not.toContain('load');
    // a load that nobody rated is not known
    const unrated = calm.map((each) => ({ ...each, rating: null }));
    expect(heard(...unrated, session(0), session(1)).join()).not.toContain('load');
  });
});

describe('kept and missed', () => {
  const days = (...kept: boolean[]) => kept.map((each, at) => ({ day: addDays(today, at - kept.length), kept: each }));
  test('a streak ends with a miss, and the longest is kept', () => {
    expect(attendance(days(true, true, true, false, true, true))).toEqual({ kept: 5, missed: 1, streak: 2, silent: 0, silentSince: null, longest: 3 });
    expect(attendance(days(true, false, false))).toMatchObject({ streak: 0, silent: 2, silentSince: addDays(today, -2), longest: 1 });
    expect(attendance([])).toEqual({ kept: 0, missed: 0, streak: 0, silent: 0, silentSince: null, longest: 0 });
  });
  test('whatever the order they come in', () => {
    const [first, ...rest] = days(false, true, true);
    expect(attendance([...rest, first!])).toEqual(attendance([first!, ...rest]));
  });
  test('a score is due some hours after its day begins', () => {
    expect(hoursAfter('2026-11-28', 21)).toBe('2026-11-28T21:00');
    expect(hoursAfter('2026-11-28', 24)).toBe('2026-11-29T00:00');
    expect(hoursAfter('2026-11-30', 36)).toBe('2026-12-01T12:00');
    expect(hoursAfter('2026-12-28', 168)).toBe('2027-01-04T00:00');
  });
});
