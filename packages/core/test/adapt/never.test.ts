/** What a coach never does: a round is not added to fill time, and speed does not stand for a slow, heavy set. */
import { describe, expect, test } from '@jest/globals';
import { adapt, movementOf, parseWorkout, slotsOfPart, summarize } from '../../src/index';
import { seededRandom } from '../../src/units/random';
import { cases } from '../cases';
import { withKit } from '../asking';

const kits = [
  [],
  ['kettlebell 28 kg'],
  ['dumbbell 10 kg x 2', 'chair 45 cm'],
  ['backpack up to 20 kg', 'water can 10 kg x 2'],
  ['sandbag 40 kg', 'rope'],
  ['band medium', 'table 75 cm'],
];
const lines = [
  '30 m sled push @ 90/60 kg',
  '2 rope climb',
  '400 m row',
  '10 power clean @ 60/40 kg',
  '8 strict pull-up',
  '12 wall ball @ 9/6 kg',
  '6 bar muscle-up',
  '20 cal bike',
  '10 front squat @ 70/50 kg',
];
const strength = [
  'every 2:30 x 6\n3 deadlift @ 85%',
  '5x5 back squat @ 75%',
  'every 3:00 x 5\n3 front squat @ 80%',
  '4x6 romanian deadlift @ 70 kg',
  '5x3 power clean @ 80%',
];
const levels = ['newer', 'trained', 'competitive'] as const;

describe('never', () => {
  test('a round more than was written, whatever is missing and however far the window is', () => {
    const random = seededRandom(27);
    const pick = <T>(from: readonly T[]): T => from[Math.floor(random() * from.length)]!;
    const added: string[] = [];
    for (let at = 0; at < cases(40, 400); at++) {
      const rounds = 3 + Math.floor(random() * 4);
      const text = `${rounds} rounds for time, cap 25:00\n${pick(lines)}\n${pick(lines)}\n${random() < 0.5 ? `${pick(lines)}\n` : ''}window: 12:00-${14 + Math.floor(random() * 8)}:00`;
      const version = adapt(parseWorkout(text).workout, withKit(pick(kits), { level: pick(levels) }), { runs: 1 });
      for (const part of summarize(version.workout).parts) if ((part.rounds ?? 0) > rounds) added.push(`${text} → ${version.version.text}`);
    }
    expect(added).toEqual([]);
  });
  test.each(strength)('a swing or a jump for %s, where the lift itself is none', (text) => {
    const { workout } = parseWorkout(text);
    const isFast = (id: string): boolean => movementOf(id).family === 'swing' || movementOf(id).jumps;
    const written = workout.parts.flatMap((part) => slotsOfPart(part).map(({ movement }) => movement));
    for (const kit of kits)
      for (const level of levels) {
        const made = adapt(workout, withKit(kit, { level, maxes: { deadlift: '160 kg', back_squat: '130 kg', clean: '85 kg' } }), { runs: 1 }).workout;
        const movements = made.parts.flatMap((part) => slotsOfPart(part).map(({ movement }) => movement));
        expect([kit, movements.filter((id) => isFast(id) && !written.some(isFast))]).toEqual([kit, []]);
      }
  });
});
