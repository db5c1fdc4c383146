/** Words for patterns and muscles, and a count as a coach says it. */
import { mainPattern } from '../../movements/catalogue';
import type { Movement, Muscle, Pattern } from '../../movements/movement';
import type { Category } from '../../workout/workout';
import type { Option } from '../slot/option';

export const patternWords: Readonly<Record<Pattern, string>> = {
  squat: 'squat',
  hinge: 'hinge',
  lunge: 'lunge',
  horizontalPush: 'horizontal push',
  verticalPush: 'vertical push',
  horizontalPull: 'horizontal pull',
  verticalPull: 'vertical pull',
  trunkFlexion: 'trunk flexion',
  trunkExtension: 'trunk extension',
  trunkRotation: 'trunk rotation',
  trunkBrace: 'trunk bracing',
  jump: 'jump',
  rope: 'rope',
  run: 'running',
  machine: 'machine',
  carry: 'carry',
  crawl: 'crawl',
  groundToOverhead: 'ground to overhead',
  mobility: 'mobility',
};

/** The word for what a movement mainly is; jacks and quick feet go like skipping, without a rope. */
export function patternWordOf(movement: Movement, pattern: Pattern = mainPattern(movement)): string {
  const hasRope = movement.needs.kind === 'atom' && movement.needs.atom === 'rope';
  return pattern === 'rope' && !hasRope ? 'quick steps on the spot' : patternWords[pattern];
}

export const muscleWords: Readonly<Record<Muscle, string>> = {
  quads: 'thighs',
  posterior: 'back of the legs',
  chest: 'chest',
  shoulders: 'shoulders',
  back: 'upper back',
  arms: 'arms',
  grip: 'grip',
  trunk: 'trunk',
  calves: 'calves',
};

/** @param category the column that is told: the coach may have written two */
export function countText({ count, unit, perSide }: Pick<Option, 'count' | 'unit' | 'perSide'>, category: Category): string {
  const of = unit === 'reps' ? '' : ` ${unit}`;
  const side = perSide ? ' each side' : '';
  switch (count.kind) {
    case 'fixed':
      return `${count[category]}${of}${side}`;
    case 'ladder':
      return `${count.rungs.join('-')}${of}${side}`;
    case 'growing':
      return `${count.start}, +${count.step}${of}${side}`;
    case 'rung':
      return `same rungs${side === '' ? '' : ','}${side}`;
    case 'max':
    case 'matchTime':
      return 'max';
  }
}
