/** Words for patterns and muscles, and a count and a load as a coach says them. */
import type { FeasibleLoad } from '../../kit/loads';
import { mainPattern } from '../../movements/catalogue';
import type { Movement, Muscle, Pattern } from '../../movements/movement';
import { saidFactor } from '../../text/figures';
import { formatMass, trimNumber, type MassUnit } from '../../units/mass';
import type { Category, Slot } from '../../workout/workout';
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

type Counted = Pick<Option, 'count' | 'unit' | 'perSide'> & Partial<Pick<Slot, 'unitSaid'>>;
/** What the coach wrote comes back in the coach's own unit: a mile, not 1609 m. @param category the column that is told: the coach may have written two */
export function countText({ count, unit, unitSaid = null, perSide }: Counted, category: Category): string {
  const said = unitSaid === 'clock' ? null : unitSaid;
  const of = unit === 'reps' ? '' : ` ${said ?? unit}`;
  const figure = (value: number): string => trimNumber(value / (said ? saidFactor[said] : 1));
  const side = perSide ? ' each side' : '';
  switch (count.kind) {
    case 'fixed':
      return `${figure(count[category])}${of}${side}`;
    case 'ladder':
      return `${count.rungs.map(figure).join('-')}${of}${side}`;
    case 'growing':
      return `${count.start}, +${count.step}${of}${side}`;
    case 'rung':
      return `same rungs${side === '' ? '' : ','}${side}`;
    case 'max':
    case 'matchTime':
      return 'max';
  }
}
/** `2 × 12.5 kg`, `35 lb`; a band by its name. */
export const massOfLoad = ({ count, grams, range }: FeasibleLoad, units: MassUnit): string =>
  `${count === 2 ? '2 × ' : ''}${range ? range.name : formatMass(grams / 1000, units)}`;
