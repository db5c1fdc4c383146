/** What a swap gives up against the slot as meant, in a coach's words. */
import { mainPattern, movementOf } from '../../movements/catalogue';
import { muscles, type Movement } from '../../movements/movement';
import type { Bout } from '../../stimulus/bout';
import { isOpen } from '../../workout/walk';
import type { Told } from './told';
import { muscleWords, patternWordOf } from './words';

/** a third more or less is felt (as a logarithm) */
const felt = 0.45;
/** How the set feels against the one meant. A strength set goes near failure whatever is in the hand: there the load itself tells. */
function feelOf({ question: { slot, stimulus, strength }, option }: Told): string | null {
  const original = movementOf(slot.movement);
  const [now, meant] =
    strength && option.loadShare !== null && stimulus.maxShare !== null
      ? [option.loadShare, stimulus.maxShare]
      : [option.bout.setShare, stimulus.bout.setShare];
  const feel = Math.log(Math.max(0.02, now) / Math.max(0.02, meant));
  if (original.load && feel < -felt) return 'lighter than meant';
  if (feel <= felt) return null;
  if (!isOpen(slot) && option.bout.setShare > 1 && stimulus.bout.setShare <= 1) return 'will be broken where it was unbroken';
  // nobody feels how far a run is from the last one that could be run
  if (original.limit.by === 'engine') return null;
  return option.load && original.load ? 'heavier than meant' : 'harder than meant';
}

/** What another movement leaves out of the written one. */
function movementCosts(original: Movement, movement: Movement): string[] {
  const lost: string[] = [];
  const pattern = mainPattern(original);
  if ((movement.patterns[pattern] ?? 0) < 0.5 * (original.patterns[pattern] ?? 0))
    lost.push(`${patternWordOf(original, pattern)} becomes ${patternWordOf(movement)}`);
  for (const muscle of muscles)
    if ((original.muscles[muscle] ?? 0) >= 0.6 && (movement.muscles[muscle] ?? 0) <= 0.3)
      lost.push(muscle === 'grip' ? 'less grip' : `less for the ${muscleWords[muscle]}`);
  if (original.skill - movement.skill >= 2) lost.push('no practice of the skill');
  return lost;
}

/** breath that is felt, as a logarithm of the power */
const breathFelt = 0.4;
function breathOf({ question: { stimulus, strength }, option }: Told): string | null {
  if (strength) return null;
  const power = ({ joulesPerKg, seconds: length }: Bout): number => Math.max(0.1, joulesPerKg / length);
  const breath = Math.log(power(option.bout) / power(stimulus.bout));
  return breath < -breathFelt ? 'less breathing' : breath > breathFelt ? 'more breathing' : null;
}

/** What the swap gives up against the slot as meant, the largest first. */
export function givesUpOf(told: Told): string[] {
  const [original, movement] = [movementOf(told.question.slot.movement), movementOf(told.option.movement)];
  const costs = movement.id !== original.id && !original.anyOf ? movementCosts(original, movement) : [];
  return [feelOf(told), ...costs, breathOf(told)].filter((cost) => cost !== null).slice(0, 4);
}
