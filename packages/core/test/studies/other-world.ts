/** A world that is not our model: every constant off by up to ±15 %, every movement's reps at hand, cost and cycle off by up to ±15 %, and athletes who break earlier. */
import { constants, seededRandom, type Constants } from '../../src/index';
import type { Demand } from '../../src/simulate/demand';

const off = 0.15;

export interface World {
  readonly constants: Constants;
  readonly demand: (demand: Demand) => Demand;
}

/** @param movements false: only the constants are wrong, each movement is what our catalogue says */
export function otherWorld(seed: number, movements = true): World {
  const random = seededRandom(seed);
  const skew = (): number => 1 + off * (2 * random() - 1);
  const changed = Object.fromEntries(Object.entries(constants).map(([key, value]) => [key, value * skew()])) as unknown as Constants;
  const skewed = new Map<string, { reps: number; cost: number; cycle: number }>();
  return {
    constants: { ...changed, breakMargin: Math.min(0.9, changed.breakMargin * 0.75), insideShare: Math.min(0.95, changed.insideShare) },
    demand: ({ secondsPerUnit, ...demand }) => {
      const own = skewed.get(demand.movement.id) ?? (movements ? { reps: skew(), cost: skew(), cycle: skew() } : { reps: 1, cost: 1, cycle: 1 });
      skewed.set(demand.movement.id, own);
      return {
        ...demand,
        repsToFailure: demand.repsToFailure * own.reps,
        joulesPerKg: demand.joulesPerKg * own.cost,
        cycleSeconds: demand.cycleSeconds * own.cycle,
        secondsPerUnit: secondsPerUnit && ((watts) => secondsPerUnit(watts) * own.cost),
      };
    },
  };
}
