/** What Gambito does not know is marked wherever it appears; its metres and calories are distance and work. */
import { describe, expect, test } from '@jest/globals';
import { adapt, forTheAthlete, parseWorkout, predictWorkout, readAthlete, referenceCapacity } from '../src/index';

const athlete = readAthlete({ name: 'Orli', category: 'men', level: 'trained', place: { kit: ['chair 45 cm'] } }, '2026-12-02').athlete;
const version = (text: string) => adapt(parseWorkout(text).workout, athlete);
const unchecked = (text: string): string[] => version(text).warnings.flatMap(({ code, message }) => (code === 'not_checked' ? [message] : []));

describe('a movement nobody knows', () => {
  test('is marked as doubtful, and says that nobody checked it', () => {
    const [slot, burpee] = version('AMRAP 10:00\n12 quasar glide\n10 burpee').version.parts[0]!.slots;
    expect(slot).toMatchObject({ mark: '?!', reason: 'Not checked: Gambito does not know this movement.' });
    expect(burpee).toMatchObject({ mark: '!', reason: 'As written.' });
  });
  test('is told to coach and athlete once, with the thing its name asks for where it is not there', () => {
    const text = 'AMRAP 10:00\n12 barbell quasar\n10 burpee\n12 barbell quasar';
    expect(unchecked(text)).toEqual([expect.stringMatching(/“barbell quasar”.*asks for a barbell, which is not here/)]);
    expect(forTheAthlete(version(text).warnings).some(({ code }) => code === 'not_checked')).toBe(true);
    expect(unchecked('AMRAP 10:00\n10 burpee')).toEqual([]);
  });
  test('whose name says what this person avoids is said with it, beside the line and to the coach', () => {
    const spared = { ...athlete, avoid: ['overhead', 'deep_knee'] as const };
    const made = (name: string) => adapt(parseWorkout(`AMRAP 10:00\n12 ${name}\n10 push-up`).workout, spared);
    const { version: of, warnings } = made('overhead quasar lunge');
    expect(of.parts[0]!.slots[0]!.reason).toBe('Not checked: Gambito does not know this movement; its name says overhead and deep knee, which Orli avoids.');
    expect(warnings.find(({ code }) => code === 'not_checked')!.message).toMatch(/for it\. Its name says overhead and deep knee, which Orli avoids\.$/);
    expect(made('quasar glide').version.parts[0]!.slots[0]!.reason).not.toMatch(/avoids/);
  });
  test('that the coach says the likeness of is known', () => expect(unchecked('movement: quasar glide = burpee\n\nAMRAP 10:00\n12 quasar glide')).toEqual([]));
  test.each([
    ['500 m', 100, 200],
    ['30 cal', 40, 240],
  ])('%s of it are distance and work', (count, least, most) => {
    const { median } = predictWorkout(parseWorkout(`for time, cap 40:00\n${count} quasar`).workout, referenceCapacity('men'), { seed: 1, runs: 50 });
    expect(median).toBeGreaterThan(least);
    expect(median).toBeLessThan(most);
  });
});
