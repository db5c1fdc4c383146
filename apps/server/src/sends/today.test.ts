import { describe, expect, test } from '@jest/globals';
import type { TodayAsked } from '@gambito/contract';
import { fileToday, placesOfFile } from './today';

const file = {
  name: 'Lumerik',
  avoid: ['wrists'],
  places: [
    { name: 'hotel', noise: 'quiet', kit: ['dumbbell 12 kg x 2', 'chair 45 cm'] },
    { name: 'buoy yard', kit: ['kettlebell 24 kg', 'pull-up bar'] },
  ],
};
const asked = (change: Partial<TodayAsked> = {}): TodayAsked => ({ place: 0, kit: null, minutes: null, spare: [], ...change });

describe('today', () => {
  test('what is not there, the minutes and what is sore go into the file, and are said', () => {
    const { file: today, said } = fileToday(file, asked({ kit: ['chair 45 cm'], minutes: 20, spare: ['deep_knee', 'wrists'] }));
    expect(today).toEqual({
      name: 'Lumerik',
      avoid: ['wrists', 'deep_knee'],
      time_available: '20 min',
      place: { name: 'hotel', noise: 'quiet', kit: ['chair 45 cm'] },
    });
    expect(said).toBe('without dumbbell 12 kg x 2 · 20 min · spare deep knee, wrists');
  });
  test('another place is meant whole', () =>
    expect(fileToday(file, asked({ place: 1 }))).toMatchObject({ file: { place: { name: 'buoy yard' } }, said: 'in the buoy yard' }));
  test('kit nobody has is not taken; without any it is said so', () =>
    expect(fileToday(file, asked({ kit: ['barbell 200 kg'] }))).toMatchObject({ file: { place: { kit: [] } }, said: 'without any kit' }));
  test('a file with one place, or none, has its places too', () => {
    expect(placesOfFile({ place: { kit: 'rope\nrings' } })).toEqual([{ name: 'home', kit: ['rope', 'rings'] }]);
    expect(placesOfFile({})).toEqual([{ name: 'home', kit: [] }]);
    expect(fileToday({ place: { kit: ['rope'] } }, asked({ place: 7 })).said).toBe('in the home');
  });
});
