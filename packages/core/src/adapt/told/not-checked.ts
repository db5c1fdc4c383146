/** A movement that Gambito does not know: nobody looked at limits, room or kit, and that is said wherever it appears. */
import { countOfAtom } from '../../limits/feasible';
import { isMovementId } from '../../movements/catalogue';
import type { NeedAtom } from '../../movements/needs';
import { plainName } from '../../notation/format-workout';
import type { Slot } from '../../workout/workout';
import type { AdaptContext } from '../slot/question';

/** Whether nothing is known of it; a coach's own that says what it is like is known. */
export const isUnchecked = ({ movement, own }: Pick<Slot, 'movement' | 'own'>): boolean => own === null && !isMovementId(movement);

/** things that a name may say it is done with */
const things: readonly (readonly [RegExp, NeedAtom, string])[] = [
  [/\bdumbbells?\b|\bdbs?\b/, 'dumbbell', 'a dumbbell'],
  [/\bkettlebells?\b|\bkbs?\b/, 'kettlebell', 'a kettlebell'],
  [/\bbarbells?\b/, 'barbell', 'a barbell'],
  [/\b(?:sand)?bags?\b/, 'sandbag', 'a bag'],
  [/\bplates?\b/, 'plate', 'a plate'],
  [/\brings?\b/, 'rings', 'rings'],
  [/\brope\b/, 'rope', 'a rope'],
  [/\bbands?\b/, 'band', 'a band'],
  [/\bbox(?:es)?\b/, 'box', 'a box'],
  [/\bbench\b/, 'bench', 'a bench'],
  [/\bsled\b/, 'sled', 'a sled'],
];
/** `a barbell`: named by a movement that nobody knows, and not there */
export function missingThings(slot: Slot, { place }: Pick<AdaptContext, 'place'>): string[] {
  const name = plainName(slot).toLowerCase();
  return things.flatMap(([pattern, atom, words]) => (pattern.test(name) && countOfAtom(place.kit, atom) === 0 ? [words] : []));
}

export function notChecked(slot: Slot, context: Pick<AdaptContext, 'place'>): string {
  const missing = missingThings(slot, context);
  return `Not checked: Gambito does not know this movement${missing.length > 0 ? `; its name asks for ${missing.join(' and ')}, which is not here` : ''}.`;
}
