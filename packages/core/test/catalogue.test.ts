import { describe, expect, test } from '@jest/globals';
import { movements, movementOf, findMovement, meetsNeeds, parseNeeds, type NeedAtom } from '../src/index';

describe('the catalogue', () => {
  test('has at least 220 movements with ids of their own', () => {
    expect(movements.length).toBeGreaterThanOrEqual(220);
    expect(new Set(movements.map((each) => each.id)).size).toBe(movements.length);
  });
  test.each(movements.map((each) => [each.id, each] as const))('%s is complete', (id, each) => {
    expect(id).toMatch(/^[a-z0-9]+(-[a-z0-9]+)*$/);
    expect(Object.values(each.patterns).reduce((sum, share) => sum + share, 0)).toBeCloseTo(1, 6);
    expect(Math.max(...Object.values(each.muscles))).toBeCloseTo(1, 6);
    expect(each.standards.length).toBeGreaterThan(0);
    expect(each.cautions.length).toBeGreaterThan(0);
    if (!each.prepareOnly) expect(each.noReps.length).toBeGreaterThan(0);
    expect(each.cycleSeconds).toBeGreaterThan(0);
    expect(each.joulesPerKg + each.rise.load).toBeGreaterThan(0);
    for (const neighbour of [...each.easier, ...each.harder]) expect(movementOf(neighbour).id).toBe(neighbour);
    expect([...each.easier, ...each.harder]).not.toContain(id);
    for (const alias of each.aliases) expect(findMovement(alias)).not.toBeNull();
  });
  test('an easier neighbour asks at most a knack more, never a skill more', () => {
    for (const each of movements) for (const id of each.easier) expect([each.id, id, movementOf(id).skill <= each.skill + 1]).toEqual([each.id, id, true]);
  });
  test('what is overhead, on the floor or in the air is tagged for the avoid-list', () => {
    for (const each of movements) {
      if (each.overheadStanding && each.load?.position === 'overhead') expect([each.id, each.avoid]).toEqual([each.id, expect.arrayContaining(['overhead'])]);
      if (/jump|burpee-pull|double-under|single-under|jack/.test(each.id) && !/stepping/.test(each.id)) expect([each.id, each.jumps]).toEqual([each.id, true]);
      if (/pull-up$|toes-to-bar|hanging/.test(each.id) && each.load === null)
        expect([each.id, each.avoid]).toEqual([each.id, expect.arrayContaining(['hanging'])]);
    }
  });
});

describe('needs', () => {
  const has = (kit: Partial<Record<NeedAtom, number>>) => (atom: NeedAtom, count: number) => (kit[atom] ?? 0) >= count;
  test.each([
    ['dumbbell*2 | kettlebell*2', { dumbbell: 1, kettlebell: 2 }, true],
    ['dumbbell*2 | kettlebell*2', { dumbbell: 1, kettlebell: 1 }, false],
    ['bar & (band | chair)', { bar: 1, chair: 1 }, true],
    ['bar & (band | chair)', { bar: 1 }, false],
    ['', {}, true],
  ])('%j with %j is %s', (text, kit, expected) => expect(meetsNeeds(parseNeeds(text), has(kit))).toBe(expected));
  test('an unknown atom is a bug of ours', () => expect(() => parseNeeds('trampoline')).toThrow(RangeError));
});
