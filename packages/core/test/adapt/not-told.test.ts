/** What nobody told of a place is no limit for what the coach wrote: it is made as written and said under assumed; only what is swapped in fits a usual room. */
import { describe, expect, test } from '@jest/globals';
import { adapt, brokenLines, parseWorkout, readAthlete, readKit, type Athlete } from '../../src/index';
import { placeAsAsked } from '../../src/kit/as-asked';

const file = (place?: object): Athlete =>
  readAthlete(
    {
      name: 'Tall keeper',
      category: 'men',
      level: 'trained',
      body_mass: '90 kg',
      stature: '194 cm',
      maxes: { clean: '100 kg', back_squat: '140 kg', deadlift: '170 kg', strict_press: '65 kg' },
      ...(place ? { place } : {}),
    },
    '2026-12-02',
  ).athlete;
const version = (text: string, athlete: Athlete): string => adapt(parseWorkout(text).workout, athlete, { runs: 5 }).version.text;

const text = 'AMRAP 12:00\n6 push press @ 50/35 kg\n10 burpee';
const kit = ['barbell 20 kg, plates 4x10 4x5 kg'];

describe('a ceiling', () => {
  test('that is told keeps a tall man from pressing a bar under it', () =>
    expect(version(text, file({ ceiling: '2.4 m', floor: '3 x 3 m', kit }))).not.toMatch(/6 push press @ 50 kg/));
  test('that is not told keeps nobody from what is written', () => {
    const athlete = file({ floor: '3 x 3 m', kit });
    const made = adapt(parseWorkout(text).workout, athlete, { runs: 5 });
    expect(made.version.text).toMatch(/6 push press @ 50 kg/);
    expect(athlete.assumed).toContain('ceiling: nobody told its height; it does not limit what you wrote, and a substitute must fit under 2.4 m');
    expect(brokenLines(made.version.text, athlete, athlete.places[0]!)).toEqual([]);
  });
  test('that is not told still counts for what is swapped in: nobody wrote it', () => {
    // no pull-up bar for the rope climb; nothing that stands for it goes overhead
    const swapped = version('AMRAP 12:00\n10 dumbbell thruster @ 2x22.5/15 kg\n10 sit-up', file({ floor: '3 x 3 m', kit }));
    expect(swapped).not.toMatch(/(?:thruster|push press|push jerk|shoulder-to-overhead)/);
  });
});
describe('a floor', () => {
  const walk = 'AMRAP 12:00\n20 walking lunge\n10 sit-up';
  test('that is told is a limit', () => expect(version(walk, file({ floor: '2 x 1.5 m', ceiling: '3 m' }))).not.toMatch(/walking lunge/));
  test('that is not told is none', () => expect(version(walk, file({ ceiling: '3 m' }))).toMatch(/20 walking lunge/));
});
describe('no place at all', () => {
  const whole =
    'for time, cap 20:00\n21-15-9\n  thruster @ 42.5/30 kg\n  chest-to-bar pull-up\n\nfor time, cap 12:00\n1000 m row\n20 wall ball @ 9/6 kg\n10 box jump @ 60/50 cm';
  test('is a place with what the text asks for, and that is said', () => {
    const athlete = readAthlete({ name: 'Keeper', category: 'men', level: 'trained', best_sets: { 'chest-to-bar pull-up': 25 } }, '2026-12-02').athlete;
    expect(version(whole, athlete)).toMatch(/thruster @ 42.5 kg[\s\S]*chest-to-bar pull-up[\s\S]*1000 m row[\s\S]*wall ball @ 9 kg[\s\S]*box jump @ 60 cm/);
    expect(athlete.assumed.join('; ')).toContain('place: nobody told where they train');
  });
  test('an empty one that is told is empty', () => expect(version(whole, file({ name: 'pier', kit: [] }))).not.toMatch(/1000 m row/));
  test.each(['men', 'women'] as const)('every line of its kit is read (%s)', (category) => {
    expect(placeAsAsked(category).kit.length).toBeGreaterThan(30);
    expect(readKit(['ski machine', 'sled', 'climbing rope', 'run route 100, 200, 400, 800, 1000, 1600 m']).problems).toEqual([]);
  });
});
