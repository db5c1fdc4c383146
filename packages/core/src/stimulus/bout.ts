/**
 * One bout on its own, in closed form: what the search compares thousands of times before it asks the simulation.
 * The same demand and the same constants as the walk, at a usual mid-workout fatigue.
 */
import { bothSeconds, constants, formAtFitness, usualForm } from '../simulate/body';
import type { Demand } from '../simulate/demand';
import type { Capacity } from '../capacity/capacity';

export interface Bout {
  readonly seconds: number;
  /** share of the reps at hand that the bout asks in one go: above 1 it will be broken */
  readonly setShare: number;
  readonly joulesPerKg: number;
}

/** fatigue the slot is usually met with, a round figure */
const metWith = 0.2;

export function boutOf(demand: Demand, count: number, capacity: Capacity, fitness = capacity.fitness): Bout {
  const power = capacity.criticalPower * fitness * 1.05;
  if (demand.secondsPerUnit) {
    const seconds = count * demand.secondsPerUnit(power);
    return { seconds, setShare: Math.min(1, seconds / 2400), joulesPerKg: power * seconds };
  }
  const form = fitness === 1 ? usualForm : formAtFitness(fitness);
  const atHand = Math.max(0.3, demand.repsToFailure * constants.insideShare * form.local) * (1 - metWith);
  const set = Math.max(1, atHand * constants.breakMargin);
  const breaks = Math.max(0, count / set - 1);
  const breakSeconds =
    (demand.resetSeconds * 0.7 + constants.breakLocal * 0.65 + Math.max(0, 3 - demand.repsToFailure * constants.insideShare) * 6) * form.breaks;
  const local = demand.isHold ? count * demand.cycleSeconds : count * demand.cycleSeconds * 1.06 * form.pace;
  const breathing = demand.isHold ? 0 : (count * demand.joulesPerKg) / power;
  return { seconds: bothSeconds(Math.max(0.1, local), breathing) + breaks * breakSeconds, setShare: count / atHand, joulesPerKg: count * demand.joulesPerKg };
}

/** How far a bout's time moves with fitness: −d ln seconds / d ln fitness. 1 for a run, 0 for a held minute. */
export function boutElasticity(demand: Demand, bout: Bout, count: number, capacity: Capacity): number {
  const fitter = boutOf(demand, count, capacity, capacity.fitness * 1.05);
  return Math.log(bout.seconds / fitter.seconds) / Math.log(1.05);
}
