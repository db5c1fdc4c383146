/** The test that would help most: what it is, and what it would narrow. */
import { describe, expect, test } from '@jest/globals';
import { helpfulTests } from '../src/index';
import { withKit } from './asking';

const gymnastic = ['pull-up', 'push-up', 'toes-to-bar', 'pull-up'];
const heavy = ['back-squat', 'deadlift', 'front-squat', 'power-clean'];
const everything = ['barbell 20 kg, plates 2x20 2x10 2x5 kg', 'pull-up bar', 'run route 200 m, 400 m', 'rings', 'bench'];

describe('the test that would help most', () => {
  test('is one of what the coach asks for', () => {
    const [best] = helpfulTests(withKit(everything, {}), gymnastic);
    expect(best).toMatchObject({ kind: 'bestSet', movement: 'strict-pull-up' });
    expect(best!.narrows).toContain('pull-up');
    expect(best!.after).toBeLessThan(best!.before * 0.75);
    expect(helpfulTests(withKit(everything, {}), heavy)[0]!.kind).toBe('max');
    expect(helpfulTests(withKit(everything, {}), ['run', 'row'])[0]!.kind).toBe('run');
  });
  test('a lift that is known says something of the others, so that a second one helps less', () => {
    const gain = (maxes: Record<string, string>): number => {
      const tests = helpfulTests(withKit(everything, { maxes }), heavy);
      const deadlift = tests.find(({ movement }) => movement === 'deadlift')!;
      return deadlift.before - deadlift.after;
    };
    expect(gain({ back_squat: '100 kg' })).toBeLessThan(gain({}));
  });
  test('what cannot be tested here, or must be spared, is not proposed', () => {
    const tests = (kit: string[], change: Record<string, unknown> = {}): string[] =>
      helpfulTests(withKit(kit, change), [...gymnastic, ...heavy]).map(({ movement }) => movement);
    expect(tests([]).filter((id) => ['back-squat', 'deadlift', 'strict-pull-up'].includes(id))).toEqual([]);
    expect(tests(everything, { avoid: ['hanging'] })).not.toContain('strict-pull-up');
  });
  test('somebody who is known well is left in peace', () =>
    expect(helpfulTests(withKit(everything, { best_sets: { strict_pull_up: 10, push_up: 40, toes_to_bar: 12 } }), gymnastic)).toEqual([]));
  test('without any workout there is nothing to narrow', () => expect(helpfulTests(withKit(everything, {}), [])).toEqual([]));
});
