/** What logged results teach about swaps: found, weighed by its evidence, and the ridge regression a matrix library solves. */
import { describe, expect, test } from '@jest/globals';
import { Matrix, solve } from 'ml-matrix';
import { evidenceSentence, learnConversions, learnedOffset, normalFrom, seededRandom, swapsOf, usualPriors, type FitnessResult } from '../src/index';
import { workout } from './asking';

describe('learnConversions', () => {
  const random = normalFrom(seededRandom(4));
  const results: FitnessResult[] = Array.from({ length: 60 }, (_, index) => {
    const fitness = 0.1 * Math.sin(index);
    return [
      { athlete: `a${index}`, workout: 'ebb', swaps: [], log: fitness + 0.06 * random(), spread: 0.06, prior: 0.15 },
      { athlete: `a${index}`, workout: 'ebb', swaps: ['toes-to-bar>sit-up'], log: fitness + 0.15 + 0.06 * random(), spread: 0.06, prior: 0.15 },
    ];
  }).flat();
  test('finds the error of a swap, and says it with its evidence', () => {
    const learned = learnConversions(results);
    const swap = learned.swaps.get('toes-to-bar>sit-up')!;
    expect(swap.log).toBeCloseTo(0.15, 1);
    expect(swap.results).toBe(60);
    expect(evidenceSentence(learnedOffset(learned, ['toes-to-bar>sit-up']))).toMatch(/^from 60 results: 1\d % easier than the model thought$/);
    expect(evidenceSentence(learnedOffset(learned, ['run>row']))).toBeNull();
  });
  test('two results move little, sixty as the data says', () => {
    const few = learnConversions(results.slice(0, 4)).swaps.get('toes-to-bar>sit-up')!;
    const many = learnConversions(results).swaps.get('toes-to-bar>sit-up')!;
    expect(few.spread).toBeGreaterThan(2 * many.spread);
    expect(Math.abs(few.log)).toBeLessThan(Math.abs(many.log) + 0.05);
  });
  test('is the ridge regression that a matrix library solves (ml-matrix)', () => {
    const list = results.slice(0, 20);
    const names = [...new Set(list.map((each) => each.athlete))];
    const design = new Matrix(list.map((each) => [...names.map((name) => (name === each.athlete ? 1 : 0)), each.swaps.length, 1]));
    const weights = Matrix.diag(list.map((each) => 1 / each.spread ** 2));
    const prior = Matrix.diag([...names.map(() => 1 / 0.15 ** 2), 1 / usualPriors.swap ** 2, 1 / usualPriors.workout ** 2]);
    const left = design.transpose().mmul(weights).mmul(design).add(prior);
    const right = design
      .transpose()
      .mmul(weights)
      .mmul(Matrix.columnVector(list.map((each) => each.log)));
    expect(learnConversions(list).swaps.get('toes-to-bar>sit-up')!.log).toBeCloseTo(solve(left, right).get(names.length, 0), 9);
  });
  test('those who did one version only are not all taken for the swap', () => {
    const once: FitnessResult[] = Array.from({ length: 40 }, (_, index) => ({
      athlete: `o${index}`,
      workout: 'ebb',
      swaps: index % 2 ? ['run>row'] : [],
      log: index % 2 ? -0.2 : 0.2,
      spread: 0.06,
      prior: 0.15,
    }));
    expect(Math.abs(learnConversions(once).swaps.get('run>row')!.log)).toBeLessThan(0.15);
  });
  test('what a whole workout is off by is not laid at the door of its swaps', () => {
    const slow = results.map((each) => ({ ...each, log: each.log - 0.3 }));
    expect(learnConversions(slow).swaps.get('toes-to-bar>sit-up')!.log).toBeCloseTo(learnConversions(results).swaps.get('toes-to-bar>sit-up')!.log, 1);
  });
  test('an athlete whose file tells much moves less, and the swap more', () => {
    const read = (prior: number) => learnConversions(results.slice(1, 2).map((each) => ({ ...each, log: 0.2, prior })));
    expect(read(0.05).athletes.get('a0')!).toBeLessThan(read(0.25).athletes.get('a0')!);
    expect(read(0.05).swaps.get('toes-to-bar>sit-up')!.log).toBeGreaterThan(read(0.25).swaps.get('toes-to-bar>sit-up')!.log);
  });
  test('evidence closes the doubt about a swap, and only about that swap', () => {
    const learned = learnConversions(results);
    expect(learnedOffset(null, ['run>row']).open).toBe(1);
    expect(learnedOffset(learned, ['toes-to-bar>sit-up']).open).toBeLessThan(0.3);
    expect(learnedOffset(learned, ['toes-to-bar>sit-up', 'run>row']).open).toBeGreaterThan(0.5);
  });
  test('swaps of a version are told by slot', () =>
    expect(swapsOf(workout('AMRAP 9:00\n5 pull-up\n5 push-up'), workout('AMRAP 9:00\n5 ring row\n5 push-up'))).toEqual(['pull-up>ring-row']));
});
