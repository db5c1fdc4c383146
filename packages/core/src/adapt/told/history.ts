/** A version against what its athlete did before, as far as past results are known: what is new, and what is suddenly much. */
import { movementOf } from '../../movements/catalogue';
import type { Pattern } from '../../movements/movement';
import { wordsOf } from '../../notation/format-workout';
import { movementsIn, pastOf, repsByPattern } from '../../scoring/past-result';
import type { Run } from '../../simulate/walk-program';
import type { Workout } from '../../workout/workout';
import type { AdaptContext } from '../slot/question';
import { patternWords } from './words';

/** more than this many times the most of any past workout, and more than so many reps, is a jump (round figures) */
const jump = 1.5;
const jumpFrom = 40;

/** @param run of the version: how far its athlete gets */
export function historyWarnings(adapted: Workout, run: Run, context: AdaptContext): { code: 'novelty' | 'volume_jump'; message: string }[] {
  const past = pastOf(context.athlete);
  if (past.length === 0) return [];
  const known = new Set(past.flatMap(({ movements }) => movements));
  const fresh = movementsIn(adapted).filter((id) => !known.has(id) && movementOf(id).skill > 0);
  const mostOf = (pattern: Pattern): number => Math.max(...past.map(({ reps }) => reps[pattern] ?? 0));
  const jumps = (Object.entries(repsByPattern(adapted, run)) as [Pattern, number][]).flatMap(([pattern, reps]) => {
    const most = mostOf(pattern);
    return most > 0 && reps > jumpFrom && reps > jump * most ? [{ pattern, reps, most }] : [];
  });
  return [
    ...(fresh.length > 0
      ? [{ code: 'novelty' as const, message: `New to ${context.athlete.name}: ${fresh.map(wordsOf).join(', ')}. Practise it before the clock runs.` }]
      : []),
    ...jumps.map(({ pattern, reps, most }) => ({
      code: 'volume_jump' as const,
      message: `${Math.round(reps)} reps of ${patternWords[pattern]}, the most before was ${Math.round(most)}: expect soreness, or cut it.`,
    })),
  ];
}
