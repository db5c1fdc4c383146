/** Which test would tell most of an athlete: each is taken as done with what is expected now, and what it narrows is measured over the movements the coach asks for. */
import type { Athlete } from '../athlete/athlete';
import { barePlace } from '../kit/kit';
import { obstacles } from '../limits/feasible';
import { movementOf } from '../movements/catalogue';
import { runJoulesPerKgMetre } from './engine';
import { estimateCapacity, isOld, liftTests, setTests, type Capacity } from './capacity';

export interface HelpfulTest {
  /** movement to be tested */
  readonly movement: string;
  readonly kind: 'max' | 'bestSet' | 'run';
  /** movements asked for that it narrows, the most narrowed first */
  readonly narrows: readonly string[];
  /** log standard deviation of what can be done of those, on average, before and after */
  readonly before: number;
  readonly after: number;
}

/** m of the run that is proposed where nothing is known of breathing */
const runMetres = 400;
/** below this share of the whole uncertainty a test is not worth the day */
const leastGain = 0.02;

/** How unsure a movement is: log standard deviation of the max, the best set or the power that limits it. */
function spreadOf(capacity: Capacity, id: string): number {
  const { limit } = movementOf(id);
  if (capacity.ownMaxes[id] !== undefined || capacity.ownBests[id] !== undefined) return 0.03;
  if (limit.by === 'lift') return capacity.lifts[limit.lift].spread;
  if (limit.by === 'set') return capacity.sets[limit.set].spread;
  return limit.by === 'engine' ? capacity.engineSpread : spreadOfEase;
}

/** of what is so light that no test tells of it */
const spreadOfEase = 0.2;

interface Candidate {
  readonly movement: string;
  readonly kind: HelpfulTest['kind'];
  /** the athlete as known after the test came out as expected */
  readonly tested: Athlete;
}

/** With a best set that was done today. */
function withBest(athlete: Athlete, movement: string, reps: number): Athlete {
  const { [movement]: _before, ...bestSetsMeasured } = athlete.bestSetsMeasured ?? {};
  return { ...athlete, bestSets: { ...athlete.bestSets, [movement]: reps }, bestSetsMeasured };
}

function candidatesFor(athlete: Athlete, capacity: Capacity): Candidate[] {
  const place = athlete.places[0] ?? barePlace;
  const can = (id: string): boolean => obstacles(movementOf(id), athlete, place, null, null).length === 0 && athlete.skills[id] !== 'no';
  const maxes = Object.entries(liftTests)
    .filter(([id, lift]) => (!capacity.lifts[lift].known || isOld(athlete.maxes[id]?.measured)) && can(id))
    .map(([movement, lift]): Candidate => ({
      movement,
      kind: 'max',
      tested: { ...athlete, maxes: { ...athlete.maxes, [movement]: { kg: capacity.lifts[lift].value, reps: 1 } } },
    }));
  const sets = Object.entries(setTests)
    .filter(([id, set]) => (!capacity.sets[set].known || isOld(athlete.bestSetsMeasured?.[id])) && can(id) && movementOf(id).skill < 2)
    .map(([movement, set]): Candidate => ({
      movement,
      kind: 'bestSet',
      tested: withBest(athlete, movement, Math.max(1, Math.round(capacity.sets[set].value))),
    }));
  const seconds = Math.round(runMetres / (capacity.criticalPower / runJoulesPerKgMetre));
  const run: Candidate[] =
    athlete.times.length === 0 && can('run')
      ? [{ movement: 'run', kind: 'run', tested: { ...athlete, times: [{ engine: 'run', metres: runMetres, seconds: Math.round(seconds * 0.85) }] } }]
      : [];
  return [...maxes, ...sets, ...run];
}

/** @param asked movement ids the coach's workouts ask for, each as often as it comes @returns the most telling first; none where everything is known well */
export function helpfulTests(athlete: Athlete, asked: readonly string[]): HelpfulTest[] {
  const capacity = estimateCapacity(athlete);
  const whole = asked.reduce((sum, id) => sum + spreadOf(capacity, id), 0);
  if (whole === 0) return [];
  const tests = candidatesFor(athlete, capacity).map(({ movement, kind, tested }) => {
    const after = estimateCapacity(tested);
    const gains = [...new Set(asked)]
      .map((id) => ({ id, before: spreadOf(capacity, id), after: spreadOf(after, id) }))
      .filter(({ before, after: now }) => now < before * 0.95);
    const gained = asked.reduce((sum, id) => sum + spreadOf(capacity, id) - spreadOf(after, id), 0);
    const mean = (pick: (gain: { before: number; after: number }) => number): number =>
      gains.reduce((sum, gain) => sum + pick(gain), 0) / Math.max(1, gains.length);
    const narrows = gains.sort((a, b) => b.before - b.after - (a.before - a.after)).map(({ id }) => id);
    return { movement, kind, narrows, before: mean((gain) => gain.before), after: mean((gain) => gain.after), gained };
  });
  return tests
    .filter(({ narrows, gained }) => narrows.length > 0 && gained / whole >= leastGain)
    .sort((a, b) => b.gained - a.gained)
    .map(({ gained: _gained, ...test }) => test);
}
