/**
 * Study 1: hard limits and sense. Random workouts × random athletes; every version is looked over by the independent checker and by the last gate, and its text must
 * read cleanly.
 */
import { adapt, parseWorkout } from '../../src/index';
import { brokenForNewer, brokenLimits } from '../limits-checker';
import { randomAthlete, randomWorkout } from '../people';

export interface LimitsFinding {
  readonly seed: number;
  readonly what: string;
}

export function limitsFindings(seed: number): LimitsFinding[] {
  const athlete = randomAthlete(seed);
  const place = athlete.places[0]!;
  const adapted = adapt(parseWorkout(randomWorkout(seed)).workout, athlete, { place, runs: 1 });
  const again = parseWorkout(adapted.version.text);
  const slots = adapted.version.parts.flatMap((part) => part.slots);
  return [
    ...slots.flatMap((slot) => brokenLimits(slot, athlete, place)),
    ...brokenForNewer(adapted, athlete),
    ...adapted.warnings.filter(({ code }) => code === 'sense').map(({ message }) => `gate: ${message}`),
    ...again.diagnostics.filter((each) => each.level !== 'info').map((each) => `text: ${each.message}`),
    ...(JSON.stringify(again.workout.parts.map((part) => part.kind)) === JSON.stringify(adapted.workout.parts.map((part) => part.kind))
      ? []
      : ['text: read back as other kinds of part']),
    ...slots.flatMap((slot) => slot.reps.filter((reps) => !Number.isInteger(reps) || reps <= 0).map((reps) => `${slot.movement}: ${reps} reps`)),
  ].map((what) => ({ seed, what }));
}
