/** A movement that Gambito does not know: nobody looked at limits, room or kit, and that is said wherever it appears. */
import type { AvoidName } from '../../athlete/athlete';
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
/** what a name may say of a movement, for the avoid-list */
const ways: readonly (readonly [RegExp, AvoidName])[] = [
  [/\boverhead\b|\bpress(?:es)?\b|\bjerks?\b|\bsnatch(?:es)?\b/, 'overhead'],
  [/\bjump|\bhops?\b|\bbounds?\b|\bburpees?\b/, 'jumping'],
  [/\bruns?\b|\brunning\b|\bsprints?\b/, 'running'],
  [/\bhandstand|\binverted\b/, 'inverted'],
  [/\bhang|\b(?:pull|chin)[ -]?ups?\b/, 'hanging'],
  [/\bsquats?\b|\blunges?\b|\bpistols?\b/, 'deep_knee'],
  [/\bkneel/, 'kneeling'],
];
type Known = Pick<AdaptContext, 'place' | 'athlete'>;
/** What the name of a movement that nobody knows tells against it, as clauses: a thing that is not here, a way of moving that this person avoids. */
export function nameSays(slot: Slot, { place, athlete }: Known): string[] {
  const name = plainName(slot).toLowerCase();
  const missing = things.flatMap(([pattern, atom, words]) => (pattern.test(name) && countOfAtom(place.kit, atom) === 0 ? [words] : []));
  const avoided = ways.flatMap(([pattern, tag]) => (pattern.test(name) && athlete.avoid.includes(tag) ? [tag.replaceAll('_', ' ')] : []));
  return [
    ...(missing.length > 0 ? [`its name asks for ${missing.join(' and ')}, which is not here`] : []),
    ...(avoided.length > 0 ? [`its name says ${avoided.join(' and ')}, which ${athlete.name} avoids`] : []),
  ];
}

export const notChecked = (slot: Slot, context: Known): string =>
  `${['Not checked: Gambito does not know this movement', ...nameSays(slot, context)].join('; ')}.`;
