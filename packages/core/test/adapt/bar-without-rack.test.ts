/** A bar without a rack is brought up from the floor; nobody lies under one (common practice). */
import { describe, expect, test } from '@jest/globals';
import { adapt, brokenLines, parseWorkout } from '../../src/index';
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
  test('a front squat that had to be lighter says why', () =>
    expect(firstSlot('5x3 front squat @ 90%', [bar]).reason).toMatch(/without a rack the bar is lifted from the floor, and the clean decides/));
  test('a version sent while there was a rack is broken once there is none', () => {
    const { text } = made('5x5 back squat @ 75%', [bar, 'squat rack']);
    const broken = (kit: string[]) => brokenLines(text, withKit(kit, { maxes }), withKit(kit).places[0]!);
    expect(broken([bar, 'squat rack'])).toEqual([]);
    expect(broken([bar])).toMatchObject([{ why: 'there is no rack here to take the bar from', harms: true }]);
  });
});

describe('what the coach decides', () => {
  const athlete = withKit([bar], { level: 'trained', maxes });
  const text = '5x5 back squat @ 75%';
  test('by a lock is loaded as it is written, and the missing rack is said', () => {
    const { version, warnings } = adapt(parseWorkout(text).workout, athlete, { runs: 1, locks: [{ part: 0, slot: 0, movement: 'back-squat' }] });
    expect(version.text).toContain('5 back squat @ 105 kg');
    expect(warnings).toContainEqual({ code: 'lock_breaks_limit', message: 'Locked back squat: there is no rack here to take the bar from.' });
  });
  test('by hand too', () => {
    const { version, warnings } = adapt(parseWorkout(text).workout, athlete, { runs: 1, locks: [{ byHand: '5x5 back squat @ 100 kg' }] });
    expect(version.text).toContain('back squat @ 100 kg');
    expect(warnings.map(({ message }) => message)).toContain('Part 1, back squat, by hand: there is no rack here to take the bar from.');
  });
});
