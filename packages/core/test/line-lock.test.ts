/** One line of a version as the coach wrote it: it stands so, the rest is computed around it, and what is no line is said. */
import { describe, expect, test } from '@jest/globals';
import { adapt, alternativesFor, pageText, slotInLine, type Lock } from '../src/index';
import { withKit, workout } from './asking';

const asked = workout('# Sluice\nAMRAP 12:00\n10 goblet squat @ 16 kg\n8 pull-up\n12 sit-up');
const athlete = withKit(['dumbbell 12.5 kg', 'dumbbell 15 kg', 'chair 45 cm', 'wall', 'table 74 cm'], { name: 'Orvenna', avoid: ['jumping'] });
const withLine = (slot: number, line: string, text = asked) => adapt(text, athlete, { runs: 10, locks: [{ part: 0, slot, line }] });
const lineOf = (slot: number, line: string): string => withLine(slot, line).version.text.split('\n')[slot + 2]!;

describe('a line', () => {
  test.each([
    [0, '9 goblet squat @ 12.5 kg, tempo 31X1', '9 goblet squat, tempo 31X1 @ 12.5 kg'],
    [0, '12 air squat, heels down', '12 air squat, heels down'],
    [1, '6/side db row @ 15 kg', '6 dumbbell row, each side @ 15 kg'],
    [2, '40 s plank', '40 s plank'],
  ])('of slot %i written “%s” stands so', (slot, line, expected) => expect(lineOf(slot, line)).toBe(expected));
  test('the others are computed as without it, and the athlete reads its words', () => {
    const [plain, locked] = [adapt(asked, athlete, { runs: 10 }), withLine(0, '9 goblet squat @ 12.5 kg, elbows in')];
    expect(locked.version.parts[0]!.slots[1]!.movement).toBe(plain.version.parts[0]!.slots[1]!.movement);
    expect(pageText(locked.workout.parts)).toContain('elbows in');
    expect(locked.predicted.median).not.toBe(plain.predicted.median);
  });
  test('a load that is not owned becomes the nearest that is; without a count the count is computed', () => {
    expect(lineOf(0, '9 goblet squat @ 16 kg')).toBe('9 goblet squat @ 15 kg');
    expect(lineOf(2, 'v-up')).toMatch(/^\d+ v-up$/);
  });
  test('may name a movement that the workout defines', () => {
    const own = workout('movement: lantern hop = burpee\nAMRAP 12:00\n10 lantern hop\n8 pull-up');
    expect(adapt(own, withKit(['pull-up bar']), { runs: 10, locks: [{ part: 0, slot: 0, line: '6 lantern hop, slowly' }] }).version.text).toContain(
      '6 lantern hop, slowly\n',
    );
  });
  test('under a ladder without a count it follows the rungs', () => {
    const ladder = workout('for time, cap 15:00\n21-15-9\nthruster @ 40 kg\npull-up');
    expect(withLine(1, 'table row, slowly', ladder).version.text).toContain('  table row, slowly\n');
  });
  test('that is no movement, two of them or two lines holds nothing, and says so', () => {
    for (const line of ['keep smiling', '10 push-up, 5 burpee', '10 push-up\n5 burpee', '', '8 lantern hop']) {
      expect([line, slotInLine(line, { units: 'kg', own: [] })]).toEqual([line, null]);
      const { warnings, version } = withLine(0, line);
      expect([line, warnings.filter(({ code }) => code === 'line_unread').length]).toEqual([line, 1]);
      expect(version.text).toBe(adapt(asked, athlete, { runs: 10 }).version.text);
    }
  });
  test('that breaks a limit stands, and says so; its alternatives are still ranked', () => {
    const locks: Lock[] = [{ part: 0, slot: 2, line: '12 box jump @ 45 cm' }];
    const { warnings, version } = adapt(asked, athlete, { runs: 10, locks });
    expect(version.text).toContain('12 box jump');
    expect(warnings.find(({ code }) => code === 'lock_breaks_limit')?.message).toMatch(/box jump.*jump/);
    const [first, ...others] = alternativesFor(asked, athlete, { part: 0, slot: 2 }, { locks });
    expect(first).toMatchObject({ movement: 'box-jump', chosen: true });
    expect(others.length).toBeGreaterThan(2);
  });
});
