/** Best load in a time, and the load of a strength set, from the maxes and the state of the body. */
import { shareAtReps } from '../capacity/strength-laws';
import type { Body } from './body';
import type { Step } from './program';

/** Seconds an attempt takes with its rest: "one each 60–70 s" (common practice). */
export const attemptSeconds = 65;

/**
 * What fatigue leaves of a max: tired muscles cost up to a quarter, an empty breath a twentieth, and minutes of work before it up to a tenth that a short rest
 * does not give back. Fitted to T6 (80–90 % after a hard piece).
 */
function leftOfMax(body: Body, fatigue: number): number {
  return body.strength() * (1 - 0.25 * fatigue) * (1 - 0.05 * (1 - body.breath())) * (1 - 0.1 * (1 - Math.exp(-body.elapsed() / 300)));
}

/**
 * The heaviest load for one whole string of movements: its weakest link decides, and each further rep in the string costs what reps cost near the max.
 * Few attempts leave less of it. 0 when no movement of the string takes a load.
 */
export function predictedMaxLoad(body: Body, steps: readonly Step[], seconds: number): number {
  const loaded = steps.flatMap((step) => (step.kind === 'move' && step.demand.maxKg !== null ? [step] : []));
  if (loaded.length === 0) return 0;
  const attempts = Math.max(1, seconds / attemptSeconds);
  const built = 0.99 - 0.1 / attempts;
  return Math.min(
    ...loaded.map((step) => {
      const count = step.count ?? 1;
      const string = 1 + 0.35 * (loaded.length - 1);
      return step.demand.maxKg! * shareAtReps(count * string) * leftOfMax(body, body.fatigue(step.demand) * 0.8) * built;
    }),
  );
}

/** The load of a strength set, two reps kept in reserve. */
export function strengthLoad(body: Body, steps: readonly Step[]): number {
  const first = steps.find((step) => step.kind === 'move' && step.demand.maxKg !== null);
  if (!first || first.kind !== 'move') return 0;
  return first.demand.maxKg! * shareAtReps((first.count ?? 5) + 1) * leftOfMax(body, body.fatigue(first.demand) * 0.5);
}
