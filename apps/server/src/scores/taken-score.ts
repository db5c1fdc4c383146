/** A score as typed → as it is kept; an entry that cannot be a score of this version is refused with its sentence. */
import { checkScores, parseWorkout, scoresProblem, type Category, type MassUnit } from '@gambito/core';
import { Problem } from '../platform/errors';

/** characters of an entry: every part's score, in the order of the parts */
export const scoreLength = 400;

/** @throws {Problem} bad_score */
export function takenScore(typed: string, versionText: string, asked: { category: Category; units: MassUnit }): string {
  const checked = checkScores(typed, parseWorkout(versionText).workout, asked);
  if (checked.text === null) throw new Problem('bad_score', scoresProblem(checked) ?? undefined);
  return checked.text;
}
