/** A bar without a rack is brought up from the floor; nobody lies under one (common practice). */
import { describe, expect, test } from '@jest/globals';
import { adapt, parseWorkout } from '../../src/index';
import { withKit } from '../asking';

const bar = 'barbell 20 kg, plates 4x20 4x10 4x5 4x2.5 kg';
const maxes = { back_squat: '140 kg', front_squat: '115 kg', clean: '90 kg', bench_press: '100 kg', deadlift: '170 kg' };
const made = (text: string, kit: string[]) => adapt(parseWorkout(text).workout, withKit(kit, { level: 'trained', maxes }), { runs: 1 }).version;
const firstSlot = (text: string, kit: string[]) => made(text, kit).parts[0]!.slots[0]!;
const kgOf = (text: string, kit: string[]): number => {
  const load = firstSlot(text, kit).load;
  return load && 'kg' in load && typeof load.kg === 'number' ? load.kg : 0;
};

describe('with a rack', () => {
  test.each([
    ['5x5 back squat @ 75%', 'back-squat'],
    ['5x5 front squat @ 80%', 'front-squat'],
  ])('%s is done as it is written', (text, movement) => expect(firstSlot(text, [bar, 'squat rack']).movement).toBe(movement));
});
describe('without a rack', () => {
  test('a heavy back squat becomes one that is brought up, no heavier than 85 % of the clean, and it is said why', () => {
    const slot = firstSlot('5x5 back squat @ 75%', [bar]);
    expect(slot.movement).toBe('front-squat');
    expect(kgOf('5x5 back squat @ 75%', [bar])).toBeLessThanOrEqual(0.85 * 90);
    expect(slot.because).toMatch(/^No rack here/);
  });
  test('a heavy front squat is as heavy as the clean lets it be', () => {
    expect(firstSlot('5x3 front squat @ 90%', [bar]).movement).toBe('front-squat');
    expect(kgOf('5x3 front squat @ 90%', [bar])).toBeLessThanOrEqual(0.85 * 90);
    expect(kgOf('5x3 front squat @ 90%', [bar, 'squat rack'])).toBeGreaterThan(100);
  });
  test('a light bar on the back stays: it is pressed over the head', () =>
    expect(firstSlot('AMRAP 9:00\n10 back-rack lunge @ 40/30 kg', [bar]).movement).toBe('back-rack-lunge'));
  test.each(['5x5 bench press @ 75%', '5x5 floor press @ 60 kg'])('%s: nobody lies under a bar', (text) => {
    expect(made(text, [bar, 'bench', 'dumbbell 22.5 kg x 2']).text).not.toMatch(/\d (?:bench|floor) press/);
    expect(made(text, [bar, 'bench', 'squat rack']).text).toMatch(/\d (?:bench|floor) press/);
  });
  test('a max is not built up on the back', () => expect(firstSlot('max load in 15:00\n1 back squat', [bar]).movement).not.toBe('back-squat'));
});
