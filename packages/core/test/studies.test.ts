/** The studies in small; the whole ones are `npm run bench -- studies`. */
import { describe, expect, test } from '@jest/globals';
import { adapt, estimateCapacity, referenceAthlete, type Athlete } from '../src/index';
import { seedsTo } from './cases';
import { exhaustiveCase } from './studies/exhaustive';
import { fairnessCell, fairnessWorkouts, kendallTau, type FairnessCell } from './studies/fairness';
import { adaptedCells, gridPeople, gridWorkouts, naiveCells } from './studies/grid';
import { versionOf, withKit, workout } from './asking';
import { randomAthlete } from './people';
import { sampleNames, sampleText } from './samples';

describe('stable', () => {
  test('a few grams of body or plate do not reshuffle a version', () => {
    let same = 0;
    let all = 0;
    for (const seed of seedsTo(6, 12))
      for (const name of sampleNames.slice(0, 3)) {
        const athlete = randomAthlete(seed);
        const movements = (who: Athlete): string =>
          JSON.stringify(adapt(workout(sampleText(name)), who, { runs: 1 }).version.parts.map((part) => part.slots.map((slot) => slot.movement)));
        all++;
        if (movements(athlete) === movements({ ...athlete, bodyMassKg: athlete.bodyMassKg + 0.2 })) same++;
      }
    expect(same / all).toBeGreaterThan(0.93);
  });
  test('one more implement that is not needed changes nothing', () => {
    const kit = ['dumbbell 17.5 kg x 2', 'pull-up bar', 'run route 40 m'];
    expect(versionOf(sampleText('breakwater'), withKit([...kit, 'kettlebell 4 kg'])).version.text).toBe(
      versionOf(sampleText('breakwater'), withKit(kit)).version.text,
    );
  });
});

describe('studies in small (the whole ones: npm run bench -- studies)', () => {
  test('more versions lie in their band than by the naive method', () => {
    const [texts, people] = [gridWorkouts(8), gridPeople(8)];
    const inside = (of: typeof adaptedCells) => {
      const cells = texts.flatMap((text) => people.flatMap((athlete) => of(text, athlete)));
      return cells.filter(({ time }) => time === 0).length / cells.length;
    };
    const adapted = inside(adaptedCells);
    expect(adapted).toBeGreaterThan(0.85);
    expect(inside(naiveCells)).toBeLessThan(adapted - 0.2);
  });
  test('the gentlest edits there are, of all single ones and all pairs', () => {
    const searched = seedsTo(60, 120)
      .map((seed) => exhaustiveCase(seed, 600))
      .filter((each) => each !== null);
    expect(searched.length).toBeGreaterThan(5);
    for (const { seed, best, found } of searched)
      expect([seed, found?.edits, found && found.cost.toFixed(6)]).toEqual([seed, best?.edits, best && best.cost.toFixed(6)]);
  });
  test('a board of equivalents orders athletes better than the scores, par and the files do, and not clearly better than one who knows all', () => {
    const cells = [0, 1].map((at) =>
      fairnessCell({ text: fairnessWorkouts[at]!, world: 3, versions: 'tiers', chosen: 'weaker take easier', known: 'files', people: 50, calibration: 50 }),
    );
    const mean = (pick: (cell: FairnessCell) => number): number => cells.reduce((sum, cell) => sum + pick(cell), 0) / cells.length;
    expect(mean((cell) => cell.equivalent)).toBeGreaterThan(mean((cell) => Math.max(cell.raw, cell.perVersion, cell.files)) + 0.03);
    // fifty athletes: the luck of a day counts for some hundredths
    expect(mean((cell) => cell.ceiling)).toBeGreaterThan(mean((cell) => Math.max(cell.equivalent, cell.ratio, cell.calibrated)) - 0.03);
    expect(mean((cell) => cell.calibrated)).toBeGreaterThan(0.75);
    expect(mean((cell) => cell.biasCalibrated)).toBeLessThan(
      Math.max(
        0.05,
        mean((cell) => cell.bias),
      ),
    );
  });
  test('Kendall’s tau: 1 in order, −1 reversed, and (C − D) / pairs between', () => {
    expect(kendallTau([1, 2, 3], [2, 4, 9])).toBe(1);
    expect(kendallTau([1, 2, 3], [3, 2, 1])).toBe(-1);
    expect(kendallTau([1, 2, 3, 4], [1, 2, 4, 3])).toBeCloseTo(4 / 6, 9);
  });
  test('comparability is known before anybody trains', () => {
    const run = adapt(workout('for time, cap 40:00\n3000 m run'), withKit(['run route 400 m']), { runs: 1 });
    const hold = adapt(workout('for time, cap 40:00\n5 rounds\n  60 s plank\n  60 s wall sit'), withKit(['wall']), { runs: 1 });
    expect(run.comparability.elasticity).toBeGreaterThan(0.8);
    expect(hold.comparability.uncertainty).toBeGreaterThan(3 * run.comparability.uncertainty);
    expect(hold.warnings.map((each) => each.code)).toContain('tells_little');
    expect(estimateCapacity(referenceAthlete('men')).fitness).toBe(1);
  });
});
