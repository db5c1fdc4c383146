/** What the score says about the version: inside its window, too light, too heavy or too long, paced wrong, capped. */
import { scoredParts } from '../simulate/predict';
import type { Window, Workout } from '../workout/workout';
import type { Score } from './score-text';
import type { ScoreUnit } from './score-value';

export function windowOf(workout: Workout): Window | null {
  const part = workout.parts[scoredParts(workout)[0] ?? 0];
  return part?.window ?? null;
}

export function inside(window: Window | null, value: number, unit: ScoreUnit): boolean | null {
  if (!window || window.unit !== unit || window.per === 'round') return null;
  return (window.low === null || value >= window.low) && (window.high === null || value <= window.high);
}

/** The first set under the window and the last over it. */
function pacedWrong(score: Score, { low, high }: Window): boolean {
  return score.kind === 'sets' && low !== null && high !== null && score.seconds[0]! < low && score.seconds.at(-1)! > high;
}

export function verdictOf({ score, version }: { readonly score: Score; readonly version: Workout }, value: number, unit: ScoreUnit): string {
  const window = windowOf(version);
  if (score.kind === 'capped') return 'capped: too much for the time';
  if (!window || window.unit !== unit) return 'logged';
  if (pacedWrong(score, window)) return 'paced wrong: the first set too fast, the last too slow';
  if (inside(window, value, unit)) return 'in the window';
  const { low, high } = window;
  if (unit === 'rounds') return high !== null && value > high ? 'too light: more rounds than meant' : 'too heavy or too long: fewer rounds than meant';
  return low !== null && value < low ? 'too light: done before the window' : 'too heavy or too long: over the window';
}
