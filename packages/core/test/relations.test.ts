/** What must hold between two versions, whatever each of them is: relations that need no expected figure (random workouts × athletes, seeded). */
import { describe, expect, test } from '@jest/globals';
import {
  adapt,
  alternativesFor,
  formatWorkout,
  movementOf,
  parseWorkout,
  readAthlete,
  type Adapted,
  type Athlete,
  type Lock,
  type Workout,
} from '../src/index';
import { withKit, workout } from './asking';
import { randomAthlete, randomWorkout } from './people';
import { sampleNames, sampleText } from './samples';

const seeds = Array.from({ length: 10 }, (_, index) => 300 + index);
const version = (of: Workout, athlete: Athlete, locks: readonly Lock[] = []): Adapted => adapt(of, athlete, { locks, runs: 1 });
const text = (of: Workout, athlete: Athlete, locks: readonly Lock[] = []): string => version(of, athlete, locks).version.text;

describe('the same question asked in other words', () => {
  test.each(sampleNames)('%s in its canonical text gets the same versions', (name) => {
    const typed = workout(sampleText(name));
    const canonical = workout(formatWorkout(typed));
    for (const seed of [7, 21]) expect(text(canonical, randomAthlete(seed))).toBe(text(typed, randomAthlete(seed)));
  });
  test('a name, a note and a title change nothing but themselves', () => {
    for (const seed of seeds.slice(0, 6)) {
      const plain = workout(randomWorkout(seed));
      const dressed = { ...plain, title: 'Lamp Oil' };
      const athlete = randomAthlete(seed);
      const body = (of: string): string => of.replace(/^#.*\n/, '');
      expect(body(text(dressed, { ...athlete, name: 'Somebody else' }))).toBe(body(text(plain, athlete)));
    }
  });
  test('kit in another order is the same kit', () => {
    for (const seed of seeds.slice(0, 8)) {
      const athlete = randomAthlete(seed);
      const place = athlete.places[0]!;
      const turned = { ...athlete, places: [{ ...place, kit: [...place.kit].reverse() }] };
      expect(text(workout(randomWorkout(seed)), turned)).toBe(text(workout(randomWorkout(seed)), athlete));
    }
  });
  test('a load written in pounds is the load written in kilograms', () => {
    const athlete = withKit(['adjustable dumbbell 4-40 kg step 2 x 2', 'pull-up bar']);
    const [pounds, kilograms] = ['50/35 lb', '22.67961850/15.87573295 kg'].map((load) =>
      version(workout(`AMRAP 12:00\n10 dumbbell snatch @ ${load}\n8 pull-up`), athlete),
    );
    expect(pounds!.version.parts[0]!.slots.map(({ movement, reps, load }) => [movement, reps, load?.kg])).toEqual(
      kilograms!.version.parts[0]!.slots.map(({ movement, reps, load }) => [movement, reps, load?.kg]),
    );
  });
  test('what the other column says is nobody’s business', () => {
    const athlete = withKit(['kettlebell 24 kg', 'kettlebell 16 kg', 'pull-up bar']);
    const at = (women: number): string => text(workout(`AMRAP 12:00\n15 kettlebell swing @ 24/${women} kg\n8 pull-up`), athlete);
    expect(at(12)).toBe(at(16));
  });
});

describe('a lock', () => {
  test('on what was chosen anyway changes nothing', () => {
    let compared = 0;
    for (const seed of [...seeds, ...seeds.map((seed) => seed + 100)]) {
      const of = workout(randomWorkout(seed));
      const athlete = randomAthlete(seed);
      const free = version(of, athlete);
      const part = free.version.parts[0]!;
      const slot = part.slots[0];
      if (!slot || slot.reps.length !== 1 || slot.growth !== null || of.parts[0]!.kind !== free.workout.parts[0]!.kind) continue;
      const locks = [{ part: part.from[0]!, slot: 0, movement: slot.movement, reps: slot.reps[0]!, ...(slot.load ? { loadKg: slot.load.kg } : {}) }];
      const locked = version(of, athlete, locks).version.parts[0]!.slots[0]!;
      expect([seed, locked.movement, locked.reps, locked.load?.kg]).toEqual([seed, slot.movement, slot.reps, slot.load?.kg]);
      compared++;
    }
    expect(compared).toBeGreaterThan(2);
  });
  test('is kept to the letter, in every slot, and the text says it', () => {
    for (const seed of seeds.slice(0, 8)) {
      const of = workout('AMRAP 12:00\n10 push-up\n15 air squat\n10 sit-up');
      const locks = [
        { part: 0, slot: 0, reps: 7 },
        { part: 0, slot: 1, movement: 'reverse-lunge', reps: 16 },
      ];
      const { slots } = version(of, randomAthlete(seed), locks).version.parts[0]!;
      expect(slots[0]!.reps).toEqual([7]);
      expect([slots[1]!.movement, slots[1]!.reps]).toEqual(['reverse-lunge', [16]]);
      expect(text(of, randomAthlete(seed), locks)).toMatch(/^16 reverse lunge/m);
    }
  });
});

describe('an athlete', () => {
  test('who also avoids what the version does not ask anyway gets the same version', () => {
    let compared = 0;
    for (const seed of seeds) {
      const athlete = { ...randomAthlete(seed), avoid: [] };
      const of = workout(randomWorkout(seed));
      const before = version(of, athlete);
      const used = before.version.parts.flatMap((part) => part.slots.map((slot) => slot.movement));
      // to avoid what the version does not ask anyway changes nothing
      const spare = (['inverted', 'kneeling', 'hanging'] as const).find((tag) => !used.some((id) => movementOf(id).avoid.includes(tag)));
      if (!spare) continue;
      expect([seed, spare, text(of, { ...athlete, avoid: [spare] })]).toEqual([seed, spare, before.version.text]);
      compared++;
    }
    expect(compared).toBeGreaterThan(seeds.length / 2);
  });
  test('under a higher ceiling on a larger floor never gets a worse version', () => {
    for (const seed of seeds) {
      const athlete = randomAthlete(seed);
      const place = athlete.places[0]!;
      const roomy = { ...athlete, places: [{ ...place, ceilingM: 4, floor: { lengthM: 12, widthM: 8 }, noise: 'free' as const }] };
      const [cramped, free] = [athlete, roomy].map((each) => version(workout(randomWorkout(seed)), each));
      const marks = (of: Adapted): number => of.version.parts.flatMap((part) => part.slots).filter((slot) => slot.swapped).length;
      expect([seed, marks(free!) <= marks(cramped!)]).toEqual([seed, true]);
    }
  });
  test('twice in a row gets the same, and looking at alternatives in between changes nothing', () => {
    const of = workout(sampleText('breakwater'));
    const athlete = randomAthlete(9);
    const first = text(of, athlete);
    alternativesFor(of, athlete, { part: 0, slot: 0 });
    expect(text(of, athlete)).toBe(first);
  });
  test('of whom a figure is told that is what was assumed is told nothing new', () => {
    const base = { name: 'Hespin', category: 'women', level: 'trained', place: { kit: ['dumbbell 10 kg x 2', 'rope'] } };
    const [assumed, said] = [base, { ...base, body_mass: '64 kg', stature: '1.66 m' }].map((file) => readAthlete(file, '2026-11-25').athlete);
    expect(text(workout(sampleText('breakwater')), said!)).toBe(text(workout(sampleText('breakwater')), assumed!));
    expect(said!.assumed.length).toBeLessThan(assumed!.assumed.length);
  });
});

test('every version read back and adapted again for the same athlete stays what it is, or nearly so', () => {
  let same = 0;
  let all = 0;
  for (const seed of seeds) {
    const athlete: Athlete = { ...randomAthlete(seed), level: 'trained' };
    const { version: first, workout: adapted } = version(workout(randomWorkout(seed)), athlete);
    const again = version(parseWorkout(first.text).workout, athlete);
    const movements = (of: Adapted): string[] => of.version.parts.flatMap((part) => part.slots.map((slot) => slot.movement));
    adapted.parts.forEach((part, at) => expect([seed, again.workout.parts[at]?.kind]).toEqual([seed, part.kind]));
    all += first.parts.flatMap((part) => part.slots).length;
    same += first.parts.flatMap((part) => part.slots).filter((slot, at) => movements(again)[at] === slot.movement).length;
  }
  expect(same / all).toBeGreaterThan(0.9);
});
