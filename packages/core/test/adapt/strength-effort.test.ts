/** A strength set without its load is another form of the same effort, not a light one of the same name (judgement: one leg or arm, slowly, more of it). */
import { describe, expect, test } from '@jest/globals';
import { movementOf } from '../../src/index';
import { slotOf, withKit } from '../asking';

const maxes = { deadlift: '165 kg', back_squat: '140 kg', bench_press: '100 kg', strict_press: '60 kg', clean: '90 kg' };
const strong = (kit: string[]) => withKit(kit, { level: 'trained', maxes, best_sets: { push_up: 40, pistol: 8, strict_pull_up: 10 } });
const chosen = (text: string, kit: string[]) => slotOf(text, strong(kit));

describe('a strength set whose load is not there', () => {
  test.each([
    ['every 2:30 x 6\n3 deadlift @ 85%', ['kettlebell 28 kg'], 'a fifth of the max on two legs is no triple'],
    ['5x5 back squat @ 75%', ['dumbbell 15 kg x 2', 'chair 45 cm'], 'thirty kilograms are nothing for two legs that squat 140'],
    ['5x5 deadlift @ 80%', [], 'nothing at all'],
  ])('%s with %j goes to one leg: %s', (text, kit) => {
    const { movement } = chosen(text, kit);
    expect([movement, movementOf(movement).side]).toEqual([movement, expect.stringMatching(/perSide|alternating/)]);
  });
  test('is no easier form of the same name for somebody with forty push-ups', () =>
    expect(chosen('5x5 bench press @ 75%', ['barbell 20 kg, plates 4x20 4x10 kg', 'bench', 'chair 45 cm']).movement).not.toMatch(
      /raised-push-up|knee-push-up|wall/,
    ));
  test('never becomes more than twelve a side of a set of a few', () => {
    for (const kit of [[], ['kettlebell 16 kg'], ['dumbbell 10 kg x 2'], ['backpack up to 20 kg']])
      for (const text of ['5x5 back squat @ 75%', '5x3 deadlift @ 85%', '5x5 strict press @ 75%']) {
        const { reps, movement } = chosen(text, kit);
        expect([kit, text, movement, Math.max(...reps) <= 12]).toEqual([kit, text, movement, true]);
      }
  });
  test('keeps the near form where the written load is there in another hand', () =>
    expect(
      chosen('strength\n5 sets, rest 2:00\n8 each side bulgarian split squat @ 2x20/15 kg', ['chair 45 cm', 'barbell 20 kg, plates 4x10 2x5 kg']).movement,
    ).toBe('back-rack-split-squat'));
  test('whose lightest load is heavier than the share pays with its reps, and says so', () => {
    const presser = (press: string) =>
      withKit(['barbell 20 kg, plates 2x10 kg'], { level: 'newer', category: 'women', body_mass: '75 kg', maxes: { strict_press: press } });
    const heavy = slotOf('strength\n4 sets, rest 2:00\n5 strict press @ 65%', presser('22 kg'));
    expect([heavy.movement, heavy.load?.kg]).toEqual(['strict-press', 20]);
    // 20 of 22 kg is about three reps to failure (Epley); one is left
    expect(heavy.reps[0]).toBeLessThanOrEqual(3);
    expect(heavy.reason).toMatch(/for 5: the load is heavier than meant, and about one rep is left/);
    const near = slotOf('strength\n4 sets, rest 2:00\n5 strict press @ 65%', presser('30 kg'));
    expect([near.load?.kg, near.reps]).toEqual([20, [5]]);
  });
});
