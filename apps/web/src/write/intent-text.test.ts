import { describe, expect, test } from '@jest/globals';
import { deriveIntent, defaultRules, parseWorkout, slotsOfPart } from '@gambito/core';
import { alternativesOf, hasOwnLine, readStated, settingOf, stays, withAlternatives, withSetting, writeStated } from './intent-text';

const text =
  '# Sluice\nAMRAP 12:00\n6 pull-up\n9 burpee\nintent: 9-12 rounds, light, unbroken while fresh\n\nrest 2:00\n\nfor time, cap 9:00\n21-15-9\nthruster @ 40/30 kg\nsit-up\n\n## tier no kit, newer, 20 min\nAMRAP 8:00\n10 air squat\n';
const places = (of: string) => parseWorkout(of).places;
const set = (of: string, part: number, name: string, value: string): string => withSetting(of, places(of), part, name, value);

describe('what a coach states', () => {
  test('stands as the last line of its part, above the tiers, and goes again', () => {
    const windowed = set(text, 2, 'window', '6:00-8:00');
    expect(windowed.split('\n').slice(8, 13)).toEqual(['for time, cap 9:00', '21-15-9', 'thruster @ 40/30 kg', 'sit-up', 'window: 6:00-8:00']);
    expect(parseWorkout(windowed).workout.parts[2]).toMatchObject({ window: { low: 360, high: 480 } });
    expect(settingOf(windowed, places(windowed), 2, 'window')).toBe('6:00-8:00');
    expect(set(windowed, 2, 'window', ' ')).toBe(text);
    expect(set(text, 2, 'window', '')).toBe(text);
  });
  test('takes the place of what stands there', () => {
    expect(set(text, 0, 'intent', 'heavy').split('\n')[4]).toBe('intent: heavy');
    expect(settingOf(text, places(text), 0, 'intent')).toBe('9-12 rounds, light, unbroken while fresh');
  });
  test('words that say something else stay', () => {
    const stated = readStated('9-12 rounds, light, unbroken while fresh, pulling must stay');
    expect(stated).toEqual({ feel: 'light', unbroken: false, oneLoad: false, stay: ['pulling'], others: ['9-12 rounds', 'unbroken while fresh'] });
    expect(writeStated({ ...stated, feel: 'heavy', oneLoad: true })).toBe('9-12 rounds, unbroken while fresh, heavy, one load, pulling must stay');
  });
  test.each(stays)('%s must stay is understood by the core', (stay) => {
    const written = set(text, 0, 'intent', writeStated({ feel: null, unbroken: true, oneLoad: true, stay: [stay], others: [] }));
    const intent = deriveIntent(parseWorkout(written).workout, 'women', defaultRules).parts[0]!;
    expect(intent).toMatchObject({ unbroken: true, oneLoad: true });
    expect(intent.mustStay.length + Object.keys(intent.weights).length).toBeGreaterThan(0);
  });
  test('what may stand for a slot is written behind it, where it has its line to itself', () => {
    const [first] = places(text);
    const other = withAlternatives(text, first!, 0, 'ring row | table row');
    expect(other.split('\n')[2]).toBe('6 pull-up | ring row | table row');
    expect(slotsOfPart(parseWorkout(other).workout.parts[0]!)[0]!.alternatives.map(([slot]) => slot?.movement)).toEqual(['ring-row', 'table-row']);
    expect(alternativesOf(other, first!, 0)).toBe('ring row | table row');
    expect(withAlternatives(other, first!, 0, '')).toBe(text);
    const inline = 'AMRAP 5:00\n5 burpee, 5 push-up';
    expect(hasOwnLine(places(inline)[0]!, 0)).toBe(false);
  });
});
