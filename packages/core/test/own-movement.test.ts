/** Movements of the coach's own: defined in the text by a neighbour, reckoned as it, called by their own name, and never lost on the way. */
import { describe, expect, test } from '@jest/globals';
import { adapt, formatWorkout, pageText, parseWorkout, predictWorkout, prepare, capacityOf, defaultRules } from '../src/index';
import { withKit, workout } from './asking';

const text = '# Sluice\nAMRAP 12:00\n10 lantern hops\n8 pull-up\nmovement: lantern hop = burpee x 1.5; both feet land; https://lanterns.example/hop';
const bar = withKit(['pull-up bar']);
const medianOf = (written: string): number => predictWorkout(parseWorkout(written).workout, capacityOf(bar), { seed: 1, runs: 20 }).median;

describe('a movement of the coach’s own', () => {
  test('stands in the text as the movement it is reckoned as, under its name, and reads back', () => {
    const { workout: read, diagnostics } = parseWorkout(text);
    expect(diagnostics).toEqual([]);
    const written = formatWorkout(read);
    expect(written).toBe(
      '# Sluice\nmovement: lantern hop = burpee x 1.5; both feet land; https://lanterns.example/hop\n\nAMRAP 12:00\n10 lantern hop\n8 pull-up\n',
    );
    expect(parseWorkout(written).workout).toEqual(read);
    expect(pageText(read.parts)).toContain('10 lantern hop');
  });
  test('takes its share of its neighbour’s time', () => {
    const [same, longer, plain] = ['x 1', 'x 1.5', ''].map((share) =>
      medianOf(share === '' ? 'AMRAP 12:00\n10 burpee\n8 pull-up' : `movement: hop = burpee ${share}\nAMRAP 12:00\n10 hop\n8 pull-up`),
    );
    expect(same).toBe(plain);
    expect(longer).toBeLessThan(0.9 * plain!);
  });
  test('is left alone where its neighbour would be, and swapped where it would be', () => {
    const [left, swapped] = [bar, withKit(['pull-up bar'], { avoid: ['jumping'] })].map((athlete) => adapt(workout(text), athlete, { runs: 10 }).version);
    expect(left!.text).toContain('10 lantern hop\n');
    expect(left!.parts[0]!.edits).toEqual([]);
    expect(swapped!.text).toMatch(/\d+ (?!lantern)[a-z ]*burpee/);
    expect(parseWorkout(swapped!.text).diagnostics.filter(({ level }) => level !== 'info')).toEqual([]);
  });
  test('the athlete reads the coach’s standard and link; without one, what its neighbour asks', () => {
    const standardsOf = (written: string) => prepare(parseWorkout(written).workout, bar, defaultRules).standards[0];
    expect(standardsOf(text)).toEqual({
      movement: 'burpee',
      name: 'lantern hop',
      points: ['both feet land'],
      noReps: [],
      link: 'https://lanterns.example/hop',
    });
    const plain = standardsOf('movement: hop = burpee\nAMRAP 12:00\n10 hop')!;
    expect([plain.name, plain.link, plain.points.length > 1]).toEqual(['hop', null, true]);
  });
  test('whatever is wrong with a definition is said, and nothing of it is dropped', () => {
    const unknown = parseWorkout('AMRAP 12:00\n10 zib\nmovement: zib = zob');
    expect(unknown.diagnostics.map(({ code, line }) => [code, line])).toEqual([
      ['unknown_movement', 2],
      ['unknown_movement', 3],
    ]);
    expect(formatWorkout(unknown.workout)).toContain('note: movement: zib = zob');
    const twice = parseWorkout('AMRAP 12:00\n10 hop\nmovement: hop = burpee\nmovement: hop = air squat');
    expect(twice.diagnostics.map(({ code, line }) => [code, line])).toEqual([['unreadable', 4]]);
    expect(formatWorkout(twice.workout)).toContain('note: movement: hop = air squat');
    const far = parseWorkout('movement: zib = burpee x 40\nAMRAP 12:00\n10 zib');
    expect(far.diagnostics.map(({ code }) => code)).toEqual(['share_cut']);
    expect(formatWorkout(parseWorkout('movement: unused = burpee\nAMRAP 12:00\n10 burpee').workout)).toContain('movement: unused = burpee\n');
  });
  test('may be among a coach’s alternatives, in a string and in a tier', () => {
    const written = formatWorkout(
      parseWorkout('movement: hop = burpee\nAMRAP 9:00\n5 pull-up | 9 hop\n1 hop + 1 air squat\n\n## light\nAMRAP 9:00\n5 hop').workout,
    );
    expect(written.match(/\bhop\b/g)).toHaveLength(4);
    expect(parseWorkout(written).diagnostics).toEqual([]);
  });
});
