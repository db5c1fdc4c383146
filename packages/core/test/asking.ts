/** What the tests of adaptation ask again and again: an athlete with this kit, the version of this text, one slot of it. */
import {
  adapt,
  defaultRules,
  parseWorkout,
  readAthlete,
  type Adapted,
  type Athlete,
  type HouseRules,
  type Place,
  type VersionSlot,
  type Workout,
} from '../src/index';

export const workout = (text: string): Workout => parseWorkout(text).workout;
export const withKit = (kit: string[], change: Record<string, unknown> = {}): Athlete =>
  readAthlete(
    { name: 'Keeper', category: 'men', level: 'trained', body_mass: '80 kg', stature: '178 cm', place: { floor: '6 x 4 m', ceiling: '3 m', kit }, ...change },
    '2026-11-25',
  ).athlete;
export const versionOf = (text: string, athlete: Athlete, rules: Partial<HouseRules> = {}, place: Place = athlete.places[0]!): Adapted =>
  adapt(workout(text), athlete, { place, rules: { ...defaultRules, ...rules }, runs: 4 });
export const slotOf = (text: string, athlete: Athlete, rules: Partial<HouseRules> = {}, slot = 0): VersionSlot =>
  versionOf(text, athlete, rules).version.parts[0]!.slots[slot]!;
