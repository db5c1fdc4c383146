/** Plan B is another load or another movement: the same line with fewer reps is no plan. */
import { describe, expect, test } from '@jest/globals';
import { fallbackText } from '../../src/index';
import { slotOf, withKit } from '../asking';

const planB = (text: string, kit: string[]) => slotOf(text, withKit(kit)).fallback;

describe('plan B', () => {
  test('is the next lighter load that is owned, not the lightest', () =>
    expect(planB('AMRAP 10:00\n10 goblet squat @ 24 kg', ['kettlebell 24 kg', 'kettlebell 20 kg', 'kettlebell 16 kg'])).toMatchObject({
      movement: 'goblet-squat',
      reps: [10],
      when: expect.stringMatching(/^if sets of \d+ fail, take 20 kg$/),
    }));
  test('is none that is hardly lighter, nor one that is another thing', () => {
    expect(planB('AMRAP 10:00\n10 goblet squat @ 24 kg', ['kettlebell 24 kg', 'kettlebell 23 kg'])?.when ?? '').not.toMatch(/23 kg/);
    expect(planB('AMRAP 10:00\n10 goblet squat @ 24 kg', ['kettlebell 24 kg', 'kettlebell 8 kg'])?.when ?? '').not.toMatch(/8 kg/);
  });
  test('is an easier movement where nothing is in the hand, with its count', () => {
    const { movement } = planB('AMRAP 10:00\n10 push-up', [])!;
    expect(movement).not.toBe('push-up');
  });
  test('is never the same line again', () => {
    for (const text of ['AMRAP 10:00\n10 thruster @ 40 kg', '21-15-9\npull-up\ndumbbell snatch @ 20 kg', 'AMRAP 12:00\n10 lunge\n12 sit-up'])
      for (const kit of [['dumbbell 12.5 kg x 2'], ['barbell 20 kg, plates 4x10 4x5 kg'], ['backpack up to 16 kg', 'pull-up bar'], []])
        for (const slot of [0, 1]) {
          const told = slot === 1 && text.includes('thruster') ? null : slotOf(text, withKit(kit), {}, slot);
          if (told?.fallback?.movement === told?.movement && told?.fallback) expect(told.fallback.when).toMatch(/, take /);
        }
  });
  test('says each side of what is done a side at a time', () =>
    expect(fallbackText({ movement: 'half-kneeling-press', reps: [5], when: 'if sets of 3 fail, take 10 kg' })).toMatch(
      /^if sets of 3 fail, take 10 kg: 5 .*, each side$/,
    ));
});
