/**
 * What one rep of a movement, with this load, asks of this athlete: reps to failure when fresh, cost, cycle time, the muscles that tire.
 * Everything here is computed once a slot; the walk only multiplies.
 */
import type { Athlete } from '../athlete/athlete';
import { grossEfficiency, gravity, positionCost } from '../movements/build';
import { muscles, type Movement } from '../movements/movement';
import { isMovementId, movementOf } from '../movements/catalogue';
import type { Capacity } from '../capacity/capacity';
import { machineEfficiency } from '../capacity/engine';
import { bikePace, rowCaloriesPerSecond, rowPace } from '../capacity/engine-laws';
import { repsAtShare, shareAtReps } from '../capacity/strength-laws';
import { pushUpShares } from '../movements/catalogue/push';
import { own as entryOf } from '../text/own';
import type { CountUnit } from '../workout/workout';

export interface Demand {
  readonly movement: Movement;
  readonly unit: CountUnit;
  /** repetitions (seconds for a hold) to failure in one go when fresh, as tested; below 1 when the load is over the max */
  readonly repsToFailure: number;
  /** load ÷ max, body share included; null where no load or max is involved */
  readonly share: number | null;
  /** metabolic J per kg body mass, a rep (a metre, a calorie, a second) */
  readonly joulesPerKg: number;
  readonly cycleSeconds: number;
  readonly resetSeconds: number;
  /** weights in the order of `muscles` */
  readonly tires: Float64Array;
  /** the groups with a weight, so that the walk visits no others */
  readonly groups: readonly number[];
  /** engine work: seconds a unit at a metabolic power in W per kg; null for reps */
  readonly secondsPerUnit: ((wattsPerKg: number) => number) | null;
  readonly isHold: boolean;
  readonly maxKg: number | null;
  readonly loadKg: number;
  /** the load a bar must be dressed to, kg; null when no bar is used */
  readonly barKg: number | null;
  readonly guessed: string | null;
}

/** Mechanical J a calorie of an air bike takes: a round figure fitted to C3 (400 m run ↔ 40/28 cal), see docs/model.md. */
const airBikeJoulesPerCalorie = 725;
/** Alternating single-sided work rests the other side (model-notes: about 1.5). */
const alternatingRest = 1.4;
/** Reps at hand with a load that one side carries while the other rests, against both at once. */
export const sideRest = (movement: Movement): number =>
  movement.side === 'perSide' || (movement.side === 'alternating' && movement.load !== null && !movement.load.optional) ? alternatingRest : 1;

function bodyMassFactor(share: number, best: number): number {
  // reps at one share of body mass, carried to another through the load–reps curve (Ebben et al. shares)
  const own = shareAtReps(Math.max(0.3, best));
  return repsAtShare((own * share) / pushUpShares.floor) / Math.max(0.05, repsAtShare(own));
}

/** The share of body mass a raised push-up carries by the height of the hands: Ebben's floor, 30 and 60 cm, linear between and on to a wall. */
export function handsRaisedShare(heightCm: number): number {
  const points: readonly (readonly [number, number])[] = [
    [0, pushUpShares.floor],
    [30, pushUpShares.hands30],
    [60, pushUpShares.hands60],
    [130, 0.12],
  ];
  for (let at = 1; at < points.length; at++) {
    const [low, from] = points[at - 1]!;
    const [high, to] = points[at]!;
    if (heightCm <= high) return from + ((heightCm - low) / (high - low)) * (to - from);
  }
  return 0.12;
}

/** The one-repetition max of the external load for a movement, kg; null where loads do not limit it. */
export function maxOf(movement: Movement, capacity: Capacity): number | null {
  const own = entryOf(capacity.ownMaxes, movement.id);
  if (own !== undefined && own > 0) return own;
  return movement.limit.by === 'lift' && movement.load ? capacity.lifts[movement.limit.lift].value * movement.limit.ratio : null;
}

interface AtHand {
  readonly reps: number;
  readonly share: number | null;
  readonly maxKg: number | null;
  readonly guessed: string | null;
}
/** What a movement is done with. */
interface Loaded {
  readonly loadKg: number;
  readonly heightCm: number | null;
  readonly vestKg: number;
}
const endless = 5000;
const easeOfLevel = { new: 0.5, newer: 0.75, trained: 1, competitive: 1.3 } as const;

function repsToFailure(movement: Movement, capacity: Capacity, loaded: Loaded): AtHand {
  const { limit } = movement;
  const mass = capacity.athlete.bodyMassKg;
  const own = entryOf(capacity.ownBests, movement.id);
  const plain = (reps: number): AtHand => ({ reps, share: null, maxKg: null, guessed: null });
  switch (limit.by) {
    case 'engine':
      return plain(endless);
    case 'ease':
      return plain(own && own > 0 ? own : (limit.reps * easeOfLevel[capacity.athlete.level]) / ((mass + loaded.vestKg) / mass) ** 2);
    case 'lift':
      return byLift(movement, limit, capacity, loaded, own);
    case 'set':
      return bySet(movement, limit, capacity, loaded, own);
  }
}

/** A step or a box asks for more the higher it is. */
function heightFactor({ family }: Movement, heightCm: number | null): number {
  if (heightCm === null) return 1;
  if (family === 'step') return 0.55 + 0.45 * (heightCm / 50);
  return family === 'box' ? 0.5 + 0.5 * (heightCm / 60) : 1;
}

type LimitBy<By extends Movement['limit']['by']> = Extract<Movement['limit'], { by: By }>;
function byLift(movement: Movement, limit: LimitBy<'lift'>, capacity: Capacity, { loadKg, heightCm, vestKg }: Loaded, own: number | undefined): AtHand {
  const max = movement.load ? (maxOf(movement, capacity) ?? 0) : capacity.lifts[limit.lift].value * limit.ratio;
  const body = limit.bodyShare * capacity.athlete.bodyMassKg;
  const share = ((loadKg + body + vestKg * limit.bodyShare) / (max + body)) * heightFactor(movement, heightCm);
  const reps =
    own !== undefined && loadKg === 0 && vestKg === 0 ? Math.max(0.3, own) : repsAtShare(Math.max(0.02, share)) * (share < 0.8 ? sideRest(movement) : 1);
  const beyond = `${movement.name.toLowerCase()}: ${loadKg.toFixed(1)} kg is above the estimated max of ${max.toFixed(1)} kg; simulated as slow singles`;
  return { reps, share, maxKg: movement.load ? max : null, guessed: share > 1 ? beyond : null };
}

function bySet(movement: Movement, limit: LimitBy<'set'>, capacity: Capacity, { loadKg, heightCm, vestKg }: Loaded, own: number | undefined): AtHand {
  const base = capacity.sets[limit.set].value;
  const carried = movement.heightOf === 'surface' ? handsRaisedShare(heightCm ?? 60) : limit.bodyMassShare;
  const shareFactor = carried === null || movement.family !== 'push-up' ? 1 : bodyMassFactor(carried, base);
  const extra = loadKg + vestKg;
  // extra load on a body-mass movement: the share of the max that the best set implies, raised by the added mass
  const implied = shareAtReps(Math.max(0.3, base * limit.ratio * shareFactor));
  const heavier = extra > 0 && !movement.load?.optional;
  const plain = heavier ? repsAtShare(implied * (1 + extra / capacity.athlete.bodyMassKg)) : base * limit.ratio * shareFactor;
  const told = own !== undefined && extra === 0 ? Math.max(0.3, own) : plain;
  const reps = movement.adjusts === 'angle' ? Math.max(setToFit, told) : told;
  const below = `${movement.name.toLowerCase()}: below the first repetition; simulated as slow singles with rests`;
  return { reps, share: null, maxKg: null, guessed: reps < 1 ? below : null };
}

/** What is set by its angle is set until so many are at hand (round figure). */
const setToFit = 22;

/** A load of this share of body mass, or more, has the whole breathing cost of its position (round figure). */
const fullBreathShare = 0.35;
const positionBreath = (movement: Movement, loadKg: number, massKg: number): number =>
  movement.load ? 1 + positionCost[movement.load.position].breath * Math.min(1, loadKg / massKg / fullBreathShare) : 1;

/** What a shortened range leaves of the way a rep takes: two thirds of the squat, or of the hinge (round figures). */
const shortenedTo = 0.67;
export function rangeShare(movement: Movement, limits: Athlete['limits']): number {
  const squat = limits.squatDepth && movement.avoid.includes('deep_knee') ? (movement.patterns.squat ?? 0) : 0;
  const hinge = limits.reach ? (movement.patterns.hinge ?? 0) : 0;
  return 1 - (1 - shortenedTo) * (squat + hinge);
}

/**
 * How a cycle slows with the load: velocity falls in a line with the share of the max (published: González-Badillo and Sánchez-Medina 2010, from memory), and the load is
 * moved for a part of the cycle. Fitted with the table; what is light is not thrown about for ever, and what swings, flies or has no load keeps its own pace.
 */
const loadPaceLaw = { even: 0.42, slope: 1.6, least: 0.88 };
const loadPace = ({ keepsPace }: Movement, share: number | null, loadKg: number): number =>
  keepsPace || share === null || loadKg === 0 ? 1 : Math.max(loadPaceLaw.least, 1 + loadPaceLaw.slope * (share - loadPaceLaw.even));

/**
 * @param loadKg whole external load (both implements), ≥ 0
 * @param heightCm box, step or surface height, where it has one
 * @param vestKg worn on top, ≥ 0
 */
export function demandOf(movementId: string, unit: CountUnit, capacity: Capacity, loadKg: number, heightCm: number | null, vestKg = 0): Demand {
  const known = demands.get(capacity) ?? new Map<string, Demand>();
  demands.set(capacity, known);
  const key = `${movementId} ${unit} ${loadKg} ${heightCm} ${vestKg}`;
  const before = known.get(key);
  if (before) return before;
  const made = makeDemand(movementId, unit, capacity, loadKg, heightCm, vestKg);
  known.set(key, made);
  return made;
}
/** kept as long as the athlete's capacity is: the search asks for the same ones hundreds of times */
const demands = new WeakMap<Capacity, Map<string, Demand>>();

/** Metres and calories of a machine that nobody knows are distance and work, as on a rowing machine; reps of it would take half an hour. */
function reckonedMovement(movementId: string, unit: CountUnit): Movement {
  const movement = movementOf(movementId);
  if (isMovementId(movementId) || (unit !== 'm' && unit !== 'cal')) return movement;
  const { id, name, needs, needsText } = movement;
  return { ...movementOf('row'), id, name, needs, needsText };
}

function makeDemand(movementId: string, unit: CountUnit, capacity: Capacity, loadKg: number, heightCm: number | null, vestKg: number): Demand {
  const movement = reckonedMovement(movementId, unit);
  const { bodyMassKg: mass, statureM } = capacity.athlete;
  const { reps, share, maxKg, guessed } = repsToFailure(movement, capacity, { loadKg, heightCm, vestKg });
  const tires = Float64Array.from(muscles, (muscle) => movement.muscles[muscle] ?? 0);
  const groups = muscles.flatMap((muscle, index) => (movement.muscles[muscle] ? [index] : []));
  const height = heightCm !== null && (movement.family === 'box' || movement.family === 'step') ? heightCm / 50 : 1;
  const heavier = (mass + vestKg) / mass;
  const range = rangeShare(movement, capacity.athlete.limits);
  const isHold = unit === 's' && movement.unit === 's';
  const timed = unit === 's' && !isHold;
  const climb = (gravity / grossEfficiency) * statureM * ((movement.rise.load * loadKg) / mass);
  const joules = (movement.joulesPerKg * height * heavier + climb) * positionBreath(movement, loadKg, mass) * range;
  const rope = movement.limit.by === 'set' && movement.limit.set === 'doubleUnder' ? 1 + 0.35 * Math.exp(-reps / 25) : 1;
  const cycle =
    movement.cycleSeconds * capacity.cycleShare * loadPace(movement, share, loadKg) * rope * (height > 1 ? 1 + 0.25 * (height - 1) : 1) * (0.4 + 0.6 * range);
  const barKg = movement.load?.implements[0] === 'barbell' && loadKg > 0 ? loadKg : null;
  const plain = { movement, unit, repsToFailure: reps, share, resetSeconds: movement.resetSeconds, tires, groups, isHold, maxKg, loadKg, barKg, guessed };
  if (movement.limit.by === 'engine')
    return {
      ...plain,
      joulesPerKg: movement.joulesPerKg * heavier,
      cycleSeconds: movement.cycleSeconds,
      secondsPerUnit: engineTime(movement, unit, capacity, heavier),
    };
  if (isHold) return { ...plain, joulesPerKg: joules, cycleSeconds: 1, secondsPerUnit: null };
  // so many seconds of a movement that is counted in reps: a second costs what its share of a rep costs
  if (timed) return { ...plain, repsToFailure: reps * cycle, joulesPerKg: joules / cycle, cycleSeconds: 1, isHold: true, secondsPerUnit: null };
  return { ...plain, joulesPerKg: joules, cycleSeconds: cycle, secondsPerUnit: null };
}

/** of the power on a rowing machine: arms and trunk do most of it (from memory) */
const skiShare = 0.9;
function engineTime(movement: Movement, unit: CountUnit, capacity: Capacity, heavier: number): (wattsPerKg: number) => number {
  const { bodyMassKg: mass } = capacity.athlete;
  const mechanical = (wattsPerKg: number, factor: number): number => Math.max(15, wattsPerKg * mass * machineEfficiency * factor);
  if (unit === 's') return () => 1;
  if (movement.limit.by !== 'engine') throw new RangeError(`engineTime: ${movement.id} is no engine movement`);
  switch (movement.limit.engine) {
    case 'run': {
      const perMetre = unit === 'cal' ? 4184 / mass / 0.9 : movement.joulesPerKg * heavier;
      return (watts) => perMetre / Math.max(2, watts);
    }
    case 'row':
      return unit === 'cal'
        ? (watts) => 1 / rowCaloriesPerSecond(mechanical(watts, capacity.rowFactor))
        : (watts) => rowPace(mechanical(watts, capacity.rowFactor));
    case 'ski':
      return unit === 'cal'
        ? (watts) => 1 / rowCaloriesPerSecond(mechanical(watts, capacity.rowFactor * skiShare))
        : (watts) => rowPace(mechanical(watts, capacity.rowFactor * skiShare));
    case 'bike':
      return unit === 'cal'
        ? (watts) => 1 / rowCaloriesPerSecond(mechanical(watts, capacity.bikeFactor))
        : (watts) => bikePace(mechanical(watts, capacity.bikeFactor));
    case 'airBike':
      return unit === 'm'
        ? (watts) => bikePace(mechanical(watts, capacity.bikeFactor))
        : (watts) => airBikeJoulesPerCalorie / mechanical(watts, capacity.bikeFactor);
  }
}

/** The demand of a movement that is so many times easier: reps at hand and pace. */
export function easierBy({ repsToFailure, joulesPerKg, secondsPerUnit, ...rest }: Demand, factor: number): Demand {
  return {
    ...rest,
    repsToFailure: repsToFailure * factor,
    joulesPerKg: joulesPerKg / factor,
    secondsPerUnit: secondsPerUnit && ((watts) => secondsPerUnit(watts) / factor),
  };
}
