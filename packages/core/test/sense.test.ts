/** What no coach would send, found by reading versions of people nobody tuned on: long holds, a movement with another load each time, carries in a room that has a street before it. */
import { describe, expect, test } from '@jest/globals';
import { adapt, predictWorkout, capacityOf } from '../src/index';
import { movementOf } from '../src/movements/catalogue';
import { placeCost } from '../src/simulate/place-costs';
import { slotOf, versionOf, withKit, workout } from './asking';

describe('stand-ins for carries and climbs', () => {
  const text = '3 rounds for time, cap 25:00\n200 m farmer carry @ 2x24/16 kg\n15 push-up';
  test('a carry goes out of the door where there is a route', () =>
    expect(slotOf(text, withKit(['kettlebell 24 kg x 2', 'run route 400 m']))).toMatchObject({ movement: 'farmer-carry', reps: [200] }));
  test('without one, what stands in for it is held or done for a minute at most', () => {
    for (const kit of [['chair 45 cm', 'wall'], ['kettlebell 16 kg', 'wall'], ['pull-up bar'], []]) {
      const { movement, unit, reps } = slotOf(text, withKit(kit));
      expect([movement, unit, Math.max(...reps) <= ({ s: 60, reps: 45, m: 200 }[unit as 's' | 'reps' | 'm'] ?? 0)]).toEqual([movement, unit, true]);
    }
  });
  test('a hold that a coach puts there is named by the gate where it goes on for minutes', () => {
    const said = (line: string) =>
      adapt(workout(text), withKit(['wall']), { runs: 5, locks: [{ part: 0, slot: 0, line }] })
        .warnings.filter(({ code }) => code === 'sense')
        .map(({ message }) => message);
    expect(said('60 s wall sit')).toEqual([]);
    expect(said('300 s wall sit')).toEqual([expect.stringContaining('300 s of wall sit in one go')]);
  });
  test('three climbs are nine rows each side, or eighteen with both hands', () => {
    const climbs = '4 rounds for time, cap 20:00\n3 rope climb\n15 air squat';
    expect(slotOf(climbs, withKit(['kettlebell 12 kg']))).toMatchObject({ movement: 'kettlebell-row', reps: [9], perSide: true });
    expect(slotOf(climbs, withKit(['dumbbell 10 kg x 2'])).reps).toEqual([expect.any(Number)]);
  });
});

test('one movement has one load in a part, whichever line says it', () => {
  const text = 'for time, cap 16:00\n10 power snatch @ 40/30 kg\n40 sit-up\n10 power snatch\n20 burpee\n10 power snatch';
  const { version } = adapt(workout(text), withKit(['dumbbell 10 kg x 2', 'dumbbell 15 kg']), { runs: 5 });
  const snatches = version.parts[0]!.slots.filter(({ original }) => original?.movement === 'power-snatch');
  expect(snatches).toHaveLength(3);
  expect(new Set(snatches.map(({ movement, reps, load }) => JSON.stringify([movement, reps, load])))).toHaveProperty('size', 1);
});

test('a part without work does not lead the prediction', () => {
  const of = (text: string) => predictWorkout(workout(text), capacityOf(withKit([])), { seed: 1, runs: 5 });
  expect(of('strength\n\nA) AMRAP 9:00\n10 burpee').unit).toBe(of('AMRAP 9:00\n10 burpee').unit);
});

test('the way to the street is for runs, and for carries that have no room; a shuttle run stays where it is written for', () => {
  const home = (floor: string) => withKit([], { place: { kit: ['stairs 18 cm', 'run route 400 m', 'kettlebell 16 kg'], floor } }).places[0]!;
  const cost = (id: string, floor: string) => placeCost(movementOf(id), home(floor));
  expect(cost('run', '30 x 4 m').wayOutSeconds).toBeGreaterThan(0);
  expect(cost('shuttle-run', '30 x 4 m').wayOutSeconds).toBe(0);
  expect(cost('suitcase-carry', '30 x 4 m')).toEqual({ wayOutSeconds: 0, turnSecondsPerMetre: 0 });
  expect(cost('suitcase-carry', '4 x 3 m').wayOutSeconds).toBeGreaterThan(0);
  expect(cost('suitcase-carry', '4 x 3 m').turnSecondsPerMetre).toBe(0);
});

test('a hundred for a hundred is what the coach asked: the gate has nothing against it, however many sides', () => {
  const rows = versionOf('for time\n100 pull-up', withKit(['dumbbell 15 kg x 2']));
  expect(rows.version.parts[0]!.slots[0]).toMatchObject({ movement: 'dumbbell-row', perSide: true, reps: [100] });
  expect(rows.warnings.map(({ code }) => code)).not.toContain('sense');
  const locked = adapt(workout('AMRAP 12:00\n40 pull-up\n10 push-up'), withKit(['dumbbell 15 kg x 2']), {
    runs: 1,
    locks: [{ part: 0, slot: 0, movement: 'dumbbell-row', reps: 100 }],
  });
  expect(locked.warnings.map(({ message }) => message).join()).toMatch(/100 dumbbell row in one go/);
});
