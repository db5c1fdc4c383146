import { describe, expect, test } from '@jest/globals';
import { deriveIntent, defaultRules, parseWorkout, slotsOfPart } from '@gambito/core';
import { alternativesOf, hasOwnLine, isStated, phrases, withAlternatives, withPhrase, withSetting } from './intent-text';

const text =
  '# Sluice\nAMRAP 12:00\n6 pull-up\n9 burpee\nintent: 9-12 rounds, light, unbroken while fresh\n\nrest 2:00\n\nfor time, cap 9:00\n21-15-9\nthruster @ 40/30 kg\nsit-up\n\n## tier no kit, newer, 20 min\nAMRAP 8:00\n10 air squat\n';
const places = (of: string) => parseWorkout(of).places;
const set = (of: string, part: number, name: 'window' | 'intent', value: string): string => withSetting(of, places(of), part, name, value);

describe('what a coach states', () => {
  test('stands as the last line of its part, above the tiers, and goes again', () => {
    const windowed = set(text, 2, 'window', '6:00-8:00');
    expect(windowed.split('\n').slice(8, 13)).toEqual(['for time, cap 9:00', '21-15-9', 'thruster @ 40/30 kg', 'sit-up', 'window: 6:00-8:00']);
    expect(parseWorkout(windowed).workout.parts[2]).toMatchObject({ window: { low: 360, high: 480 } });
    expect(set(windowed, 2, 'window', ' ')).toBe(text);
    expect(set(text, 2, 'window', '')).toBe(text);
  });
  test('takes the place of what stands there', () => {
    expect(set(text, 0, 'intent', 'heavy').split('\n')[4]).toBe('intent: heavy');
    const several = 'AMRAP 5:00\nintent: light\n5 burpee\n\nstimulus: pulling must stay\n';
    expect(parseWorkout(several).workout.parts[0]!.intent).toBe('light; pulling must stay');
    expect(set(several, 0, 'intent', 'light, pulling must stay, heavy')).toBe('AMRAP 5:00\nintent: light, pulling must stay, heavy\n5 burpee\n\n');
    expect(set(several, 0, 'intent', '')).toBe('AMRAP 5:00\n5 burpee\n\n');
  });
  test('a phrase counts as stated in whatever words, and what says something else stays in its place', () => {
    const intent = '9-12 rounds, light, unbroken while fresh, pulling must stay';
    expect(['light', 'heavy', 'unbroken', 'one load', 'pulling must stay', 'pushing must stay'].filter((phrase) => isStated(intent, phrase))).toEqual([
      'light',
      'unbroken',
      'pulling must stay',
    ]);
    expect(withPhrase(intent, 'heavy')).toBe('9-12 rounds, unbroken while fresh, pulling must stay, heavy');
    expect(withPhrase(intent, 'unbroken')).toBe('9-12 rounds, light, pulling must stay');
    expect(withPhrase(withPhrase('', 'one load'), 'one load')).toBe('');
  });
  test('what must stay is taken away alone: legs are more than squatting', () => {
    expect(isStated('legs must stay', 'squatting must stay')).toBe(false);
    expect(withPhrase('keep the pull, legs must stay', 'pulling must stay')).toBe('legs must stay');
  });
  test.each([...phrases.stay, ...phrases.hold])('%s is understood by the core', (phrase) => {
    const intent = deriveIntent(parseWorkout(set(text, 0, 'intent', withPhrase('unbroken, one load', phrase))).workout, 'women', defaultRules).parts[0]!;
    expect(intent).toMatchObject({ unbroken: true, oneLoad: true });
    expect(intent.mustStay.length + Object.keys(intent.weights).length).toBeGreaterThan(0);
    expect(isStated(phrase, phrase)).toBe(true);
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
