/** A version against what its athlete did before, as far as past results are known: what is new, and what is suddenly much. */
import { mainPattern, movementOf } from '../../movements/catalogue';
import type { Pattern } from '../../movements/movement';
import { parseWorkout } from '../../notation/parse-workout';
import { wordsOf } from '../../notation/format-workout';
import { compile } from '../../simulate/program';
import { walkProgram, type Run } from '../../simulate/walk-program';
import { summarize } from '../../workout/summary';
import type { Workout } from '../../workout/workout';
import type { AdaptContext } from '../slot/question';
import { patternWords } from './words';

/** Reps by pattern of the counted work of a workout, an AMRAP as far as the run gets; metres, calories and seconds are left to the clock. */
function repsByPattern(workout: Pick<Workout, 'parts'>, run: Run): Map<Pattern, number> {
  const sums = new Map<Pattern, number>();
  summarize(workout).parts.forEach((part, at) => {
    const passes = part.kind === 'amrap' ? run.parts[at]!.score : 1;
    for (const [id, reps] of Object.entries(part.reps)) {
      if (movementOf(id).unit !== 'reps') continue;
      const pattern = mainPattern(movementOf(id));
      sums.set(pattern, (sums.get(pattern) ?? 0) + reps * passes);
    }
  });
  return sums;
}

/** more than this many times the most of any past workout, and more than so many reps, is a jump (round figures) */
const jump = 1.5;
const jumpFrom = 40;

/** @param run of the version: how far its athlete gets */
export function historyWarnings(adapted: Workout, run: Run, context: AdaptContext): { code: 'novelty' | 'volume_jump'; message: string }[] {
  const past = (context.athlete.results ?? []).map((each) => parseWorkout(each.workout).workout);
  if (past.length === 0) return [];
  const known = new Set(past.flatMap((workout) => summarize(workout).parts.flatMap((part) => Object.keys(part.reps))));
  const asked = [...new Set(summarize(adapted).parts.flatMap((part) => Object.keys(part.reps)))];
  const fresh = asked.filter((id) => !known.has(id) && movementOf(id).skill > 0);
  const most = new Map<Pattern, number>();
  for (const workout of past)
    for (const [pattern, reps] of repsByPattern(workout, walkProgram(compile(workout, context.capacity))))
      most.set(pattern, Math.max(most.get(pattern) ?? 0, reps));
  const jumps = [...repsByPattern(adapted, run)].filter(([pattern, reps]) => reps > jumpFrom && most.has(pattern) && reps > jump * most.get(pattern)!);
  return [
    ...(fresh.length > 0
      ? [{ code: 'novelty' as const, message: `New to ${context.athlete.name}: ${fresh.map(wordsOf).join(', ')}. Practise it before the clock runs.` }]
      : []),
    ...jumps.map(([pattern, reps]) => ({
      code: 'volume_jump' as const,
      message: `${Math.round(reps)} reps of ${patternWords[pattern]}, the most before was ${Math.round(most.get(pattern)!)}: expect soreness, or cut it.`,
    })),
  ];
}
