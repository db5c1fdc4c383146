/**
 * From whatever is known of an athlete to a consistent profile.
 * Lifts: log-ratios to the norm are explained by one common factor and an own deviation each (a normal model; the posterior mean is least squares with a ridge),
 * so one known lift moves all others, and two that disagree meet between. Sets likewise, within each family. Breathing: critical speed from run times, else from rows, else norms.
 */
import type { Athlete, Measured } from '../athlete/athlete';
import { movementOf } from '../movements/catalogue';
import { lifts, sets, type BestSet, type Lift } from '../movements/movement';
import { engineOf, runJoulesPerKgMetre } from './engine';
import { ageShare, cycleShare, liftNorm, setNorm } from './norms';
import { shareAtReps } from './strength-laws';

export interface Estimate {
  readonly value: number;
  /** true: told; false: estimated */
  readonly known: boolean;
  /** standard deviation of its logarithm */
  readonly spread: number;
}
export interface Capacity {
  readonly athlete: Athlete;
  readonly lifts: Readonly<Record<Lift, Estimate>>;
  readonly sets: Readonly<Record<BestSet, Estimate>>;
  /** by movement id, where told: kg of a one-repetition max */
  readonly ownMaxes: Readonly<Record<string, number>>;
  readonly ownBests: Readonly<Record<string, number>>;
  /** sustainable metabolic power, W per kg */
  readonly criticalPower: number;
  /** work above it that can be spent, J per kg */
  readonly reserve: number;
  /** share of the reserve that a run or a machine can spend before top speed ends it */
  readonly steadyShare: number;
  readonly engineSpread: number;
  /** machine power this athlete makes ÷ what running fitness would give */
  readonly rowFactor: number;
  readonly bikeFactor: number;
  /** share of the free cycle time */
  readonly cycleShare: number;
  /** what past results say beyond the figures told: 1 as estimated, 1.05 five per cent fitter; its log standard deviation beside it */
  readonly fitness: number;
  readonly fitnessSpread: number;
  /** results it was learned from; 0 where only the file speaks */
  readonly pastResults: number;
  readonly assumed: readonly string[];
}

const spreadOfNorm = 0.22;
const spreadOfOwn = 0.1;
const spreadOfMeasure = 0.03;

/** years after which a measured figure is no longer taken at its word; a season of training, common practice */
const freshYears = 0.5;
/** by which a max or a best set may have moved in the first year after that, as a log standard deviation; from memory of training logs, up or down */
const yearlyDrift = { max: 0.08, set: 0.2 } as const;
/** What time adds to a figure's spread: as a walk does, with the root of it. */
const driftOf = (measured: Measured | undefined, kind: keyof typeof yearlyDrift): number =>
  measured ? yearlyDrift[kind] * Math.sqrt(Math.max(0, measured.yearsAgo - freshYears)) : 0;
/** Whether it would be worth measuring anew. */
export const isOld = (measured: Measured | undefined): boolean => measured !== undefined && measured.yearsAgo > freshYears;

/** How far fitness may be from what is told before any result: wide where little is known (round figures). */
const fitnessSpreadOf = (told: number): number => (told === 0 ? 0.25 : told < 4 ? 0.16 : 0.1);

interface Observation<K> {
  readonly key: K;
  readonly value: number;
  readonly spread: number;
}

/** Several measurements of one thing as one, weighted by their precision. */
function pooled<K>(observed: readonly Observation<K>[], norm: number): { log: number; variance: number } {
  const precision = observed.reduce((sum, each) => sum + 1 / each.spread ** 2, 0);
  return { log: observed.reduce((sum, each) => sum + Math.log(each.value / norm) / each.spread ** 2, 0) / precision, variance: 1 / precision };
}

/**
 * Common factor and own deviations; see the head of the file. Exact posterior of the normal model (checked against a matrix library).
 * What is told to within {@link spreadOfMeasure} stays as told.
 * @param saysNothing observations that stay their own and move no other estimate
 */
function reconcile<K extends string>(
  keys: readonly K[],
  norm: (key: K) => number,
  observed: readonly Observation<K>[],
  ownSpread: number,
  normSpread: number,
  saysNothing: (key: K, log: number) => boolean = () => false,
): Record<K, Estimate> {
  const seen = new Map(
    keys.flatMap((key) => {
      const own = observed.filter((each) => each.key === key);
      return own.length > 0 ? [[key, pooled(own, norm(key))] as const] : [];
    }),
  );
  let weight = 1 / normSpread ** 2;
  let sum = 0;
  for (const [key, { log, variance }] of seen) {
    if (saysNothing(key, log)) continue;
    weight += 1 / (ownSpread ** 2 + variance);
    sum += log / (ownSpread ** 2 + variance);
  }
  const common = sum / weight;
  return Object.fromEntries(
    keys.map((key): [K, Estimate] => {
      const own = seen.get(key);
      if (!own) return [key, { value: norm(key) * Math.exp(common), known: false, spread: Math.sqrt(1 / weight + ownSpread ** 2) }];
      const told = observed.find((each) => each.key === key && each.spread <= spreadOfMeasure);
      if (told) return [key, { value: told.value, known: true, spread: told.spread }];
      const precision = 1 / own.variance + 1 / ownSpread ** 2;
      const pull = 1 / ownSpread ** 2 / precision;
      const mean = own.log / own.variance / precision + pull * common;
      return [key, { value: norm(key) * Math.exp(mean), known: true, spread: Math.sqrt(1 / precision + pull ** 2 / weight) }];
    }),
  ) as Record<K, Estimate>;
}

/** by movement id: the lift its max is */
export const liftTests: Readonly<Record<string, Lift>> = {
  'back-squat': 'backSquat',
  deadlift: 'deadlift',
  'strict-press': 'strictPress',
  'bench-press': 'benchPress',
  clean: 'clean',
  snatch: 'snatch',
  'bent-over-row': 'row',
};
/** by movement id: the set its best is */
export const setTests: Readonly<Record<string, BestSet>> = {
  'strict-pull-up': 'strictPullUp',
  'push-up': 'pushUp',
  'ring-dip': 'dip',
  'toes-to-bar': 'toesToBar',
  'sit-up': 'sitUp',
  'strict-handstand-push-up': 'handstandPushUp',
  'double-under': 'doubleUnder',
  'ring-muscle-up': 'muscleUp',
  plank: 'plank',
  'bar-hang': 'hang',
};
const learned: ReadonlySet<BestSet> = new Set(['toesToBar', 'handstandPushUp', 'doubleUnder', 'muscleUp']);
/** A skill that is not there yet, or a rope, says nothing of the muscles: half of the norm or less of what must be learned moves no other estimate. */
const isLearned = (set: BestSet, log: number): boolean => set === 'doubleUnder' || (learned.has(set) && log < Math.log(0.5));

/** nobody is told to have less than this: zero tested reps still leaves some strength */
const leastReps = 0.3;

/** Each figure that is too old to be taken at its word, with what it is taken as. */
function oldFigures(
  { maxes, bestSets, bestSetsMeasured = {} }: Athlete,
  liftEstimates: Readonly<Record<Lift, Estimate>>,
  setEstimates: Readonly<Record<BestSet, Estimate>>,
): string[] {
  const ofMaxes = Object.entries(maxes).flatMap(([id, { kg, reps, measured }]) => {
    const lift = liftTests[id];
    if (!lift || !measured || !isOld(measured)) return [];
    const told = `${Math.round(kg)} kg${reps > 1 ? ` x ${reps}` : ''}`;
    return [`${movementOf(id).name}: ${told} is of ${measured.on}; a max of ${Math.round(liftEstimates[lift].value)} kg is used`];
  });
  const ofSets = Object.entries(bestSetsMeasured).flatMap(([id, measured]) => {
    const set = setTests[id];
    if (!set || !isOld(measured) || bestSets[id]! < 1) return [];
    return [`${movementOf(id).name}: ${bestSets[id]} is of ${measured.on}; ${Math.round(setEstimates[set].value)} is used`];
  });
  return [...ofMaxes, ...ofSets];
}

export function estimateCapacity(athlete: Athlete): Capacity {
  const { category, level, bodyMassKg: massKg } = athlete;
  const aged = ageShare(athlete.ageYears);
  const assumed = [...athlete.assumed];

  const ownMaxes: Record<string, number> = {};
  const liftsSeen: Observation<Lift>[] = [];
  for (const [id, { kg, reps, measured }] of Object.entries(athlete.maxes)) {
    const max = kg / (reps <= 1 ? 1 : shareAtReps(reps));
    const drift = driftOf(measured, 'max');
    // an old max of a lift is weighed against what is newer, below
    if (drift === 0 || !liftTests[id]) ownMaxes[id] = max;
    const { limit } = movementOf(id);
    if (max <= 0) continue;
    if (liftTests[id]) liftsSeen.push({ key: liftTests[id], value: max, spread: Math.hypot(drift, reps <= 5 ? spreadOfMeasure : 0.06) });
    else if (limit.by === 'lift') liftsSeen.push({ key: limit.lift, value: max / limit.ratio, spread: Math.hypot(drift, 0.09) });
  }
  const ownBests: Record<string, number> = {};
  const setsSeen: Observation<BestSet>[] = [];
  for (const [id, reps] of Object.entries(athlete.bestSets)) {
    const drift = driftOf(athlete.bestSetsMeasured?.[id], 'set');
    // nobody unlearns that a skill is not there: none stays none
    if (drift === 0 || reps < 1 || !setTests[id]) ownBests[id] = reps;
    const { limit } = movementOf(id);
    if (setTests[id]) setsSeen.push({ key: setTests[id], value: Math.max(leastReps, reps), spread: Math.hypot(drift, spreadOfMeasure) });
    else if (limit.by === 'set') setsSeen.push({ key: limit.set, value: Math.max(leastReps, reps / limit.ratio), spread: Math.hypot(drift, 0.25) });
  }

  const liftEstimates = reconcile(lifts, (lift) => liftNorm(lift, category, level, massKg) * aged, liftsSeen, spreadOfOwn, spreadOfNorm);
  const setEstimates = reconcile(sets, (set) => setNorm(set, category, level, massKg) * aged ** 2, setsSeen, 0.55, 0.4, isLearned);
  assumed.push(...oldFigures(athlete, liftEstimates, setEstimates));
  const guessed = [...lifts.filter((lift) => !liftEstimates[lift].known), ...sets.filter((set) => !setEstimates[set].known)];
  if (guessed.length > 0)
    assumed.push(
      `estimated from ${liftsSeen.length + setsSeen.length > 0 ? 'what is known and ' : ''}norms for ${level} ${category}: ${guessed.map((key) => key.replace(/([A-Z])/g, ' $1').toLowerCase()).join(', ')}`,
    );

  const engine = engineOf(athlete, aged);
  assumed.push(...engine.assumed);

  return {
    athlete,
    lifts: liftEstimates,
    sets: setEstimates,
    ownMaxes,
    ownBests,
    criticalPower: engine.curve.metresPerSecond * runJoulesPerKgMetre,
    reserve: (engine.curve.reserveMetres * runJoulesPerKgMetre) / engine.shownReserve,
    steadyShare: engine.shownReserve,
    engineSpread: engine.spread,
    rowFactor: engine.rowFactor,
    bikeFactor: engine.bikeFactor,
    cycleShare: cycleShare[level],
    fitness: 1,
    pastResults: 0,
    fitnessSpread: fitnessSpreadOf(liftsSeen.length + setsSeen.length + athlete.times.length),
    assumed,
  };
}
