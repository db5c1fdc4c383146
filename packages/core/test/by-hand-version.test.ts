/** A version that the coach wrote whole: nothing of it is changed, and everything a coach must hear of it is said. */
import { describe, expect, test } from '@jest/globals';
import { adapt, byHandOf, noteOf, partLocks, swapMark, withByHand, withNote, type Lock } from '../src/index';
import { withKit, workout } from './asking';

const asked = workout('# Sluice\nAMRAP 12:00\n10 goblet squat @ 16 kg\n8 pull-up\n12 sit-up');
const athlete = withKit(['dumbbell 12.5 kg', 'chair 45 cm', 'wall'], {
  name: 'Orvenna',
  avoid: ['jumping'],
  place: { kit: ['dumbbell 12.5 kg', 'chair 45 cm'], ceiling: '2.0 m' },
});
const byHand = (text: string, locks: readonly Lock[] = []) => adapt(asked, athlete, { runs: 10, locks: withByHand(locks, text) });

describe('by hand', () => {
  const text = 'AMRAP 10:00\n9 goblet squat @ 12.5 kg, tempo 3-1-1-0\n7 table row\n12 sit-up';
  test('every line stays as it was written: count, load, tempo, clock', () => {
    const { version, workout: adapted } = byHand(text);
    expect(version.text).toBe('# Sluice\nAMRAP 10:00\n9 goblet squat, tempo 3110 @ 12.5 kg\n7 table row\n12 sit-up\n');
    expect(adapted.parts[0]).toMatchObject({ kind: 'amrap', seconds: { high: 600 } });
    expect(version.parts[0]!.edits).toEqual([expect.objectContaining({ text: 'written by hand' })]);
    expect(version.parts[0]!.slots.map(({ movement, swapped }) => [movement, swapped])).toEqual([
      ['goblet-squat', false],
      ['table-row', true],
      ['sit-up', false],
    ]);
  });
  test('nobody weighed its swaps, so none has a mark; a computed one has', () => {
    const marks = (slots: Parameters<typeof swapMark>[0][]) => slots.map(swapMark);
    expect(marks([...byHand(text).version.parts[0]!.slots])).toEqual([null, null, null]);
    const computed = adapt(asked, athlete, { runs: 10 }).version.parts[0]!.slots;
    expect(marks([...computed])).toEqual(computed.map(({ swapped, mark }) => (swapped ? mark : null)));
    expect(computed.some(({ swapped }) => swapped)).toBe(true);
  });
  test('it is predicted and set beside what was meant', () => {
    const [same, other] = [byHand('AMRAP 12:00\n10 goblet squat @ 12.5 kg\n8 table row\n12 sit-up'), byHand('AMRAP 12:00\n40 push-up')];
    expect(same.predicted.unit).toBe('rounds');
    expect(other.drift.total).toBeGreaterThan(same.drift.total + 0.1);
    expect(byHand('for time, cap 12:00\n40 push-up').drift.scoreType).toBe(1);
    expect([same.insideBand, byHand('AMRAP 12:00\n100 goblet squat @ 12.5 kg').insideBand]).toEqual([true, false]);
  });
  test('what breaks a limit or is not there is said, and stands', () => {
    const { warnings, version } = byHand('AMRAP 12:00\n10 box jump @ 50 cm\n6 goblet squat @ 20 kg\n5 strict press @ 40 kg');
    expect(version.text).toContain('10 box jump');
    const said = warnings.filter(({ code }) => code === 'lock_breaks_limit' || code === 'load_not_owned').map(({ message }) => message);
    expect(said[0]).toMatch(/^Part 1, box jump, by hand: .*jump/);
    expect(said[1]).toBe('Part 1, goblet squat with 20 kg, by hand: there is 12.5 kg.');
    expect(said[2]).toMatch(/strict press, by hand: /);
  });
  test('a part more or less than the coach wrote for everybody is no trouble', () => {
    expect(byHand('AMRAP 12:00\n10 push-up\n\nrest 2:00\n\nAMRAP 5:00\n5 burpee').version.parts).toHaveLength(3);
  });
  test('a text that cannot be read is said, and the version is computed', () => {
    const { warnings, version } = byHand(' ');
    expect(warnings[0]).toEqual({
      code: 'by_hand',
      message:
        'What was written by hand cannot be read, so this version is computed: line 1: No workout yet: write a header such as “AMRAP 12:00” and its movements below it.',
    });
    expect(version.text).toContain('AMRAP 12:00');
  });
  test('a movement nobody knows stays as it was written', () => {
    expect(byHand('AMRAP 12:00\n10 zibble\n5 burpee').version.text).toContain('10 zibble');
  });
  test('a load without a unit is of the room', () => {
    const pounds = adapt(asked, athlete, { runs: 1, units: 'lb', locks: withByHand([], 'AMRAP 5:00\n5 goblet squat @ 25') });
    expect(pounds.workout.parts[0]).toMatchObject({ items: [{ load: { women: expect.closeTo(11.34, 1) } }] });
  });
});

test('decisions of one person: each kind is found and changed without the others', () => {
  const slot: Lock = { part: 0, slot: 1, reps: 5 };
  const locks = withNote(withByHand([slot], 'AMRAP 5:00\n5 burpee'), ' Mind the hatch. ');
  expect([partLocks(locks), byHandOf(locks), noteOf(locks)]).toEqual([[slot], 'AMRAP 5:00\n5 burpee', 'Mind the hatch.']);
  expect(withNote(withByHand(locks, null), '  ')).toEqual([slot]);
  expect([byHandOf([slot]), noteOf([slot])]).toEqual([null, null]);
});
