/** Plan B of a line: what to do when it fails half-way. Another movement or another load, never the same line with fewer reps. */
import type { FeasibleLoad } from '../../kit/loads';
import { movementOf } from '../../movements/catalogue';
import { wordsOf } from '../../notation/format-workout';
import { constants } from '../../simulate/body';
import { demandOf } from '../../simulate/demand';
import type { SlotStimulus } from '../../stimulus/stimulus';
import { massOfLoad } from './words';
import { isOpen } from '../../workout/walk';
import { hardLimits } from '../slot/hard-limits';
import { neighboursOf } from '../slot/likeness';
import { ownedFor, totalKg } from '../slot/load';
import type { Option } from '../slot/option';
import type { AdaptContext } from '../slot/question';

export interface Fallback {
  readonly movement: string;
  readonly reps: readonly number[];
  readonly when: string;
}
/** a lighter load has to be felt: at most this share of what failed (common practice: a step of a tenth or more) */
const lighterAtMost = 0.9;
/** and still be the same work: at least this share (round figure) */
const lighterAtLeast = 0.5;

function countsOf({ count }: Option, stimulus: SlotStimulus): readonly number[] {
  if (count.kind === 'fixed') return [count.men];
  if (count.kind === 'ladder') return count.rungs;
  return [count.kind === 'growing' ? count.start : Math.round(stimulus.count)];
}
/** The nearest easier movement that may be done here without a load. */
const easierThan = (option: Option, context: AdaptContext): string | undefined =>
  movementOf(option.movement).easier.find((id) => {
    const movement = movementOf(id);
    if (hardLimits(movement, context).length > 0 || movement.load) return false;
    return (
      neighboursOf(option.movement).some((near) => near.movement.id === id) &&
      demandOf(id, 'reps', context.capacity, 0, null).repsToFailure > option.repsToFailure
    );
  });
/** The next lighter one that is owned, of the same kind. */
function lighterThan({ load, openLoad, movement }: Option, context: AdaptContext): FeasibleLoad | undefined {
  if (!load || openLoad) return undefined;
  const share = (other: FeasibleLoad): number => totalKg(other) / totalKg(load);
  return ownedFor(movementOf(movement), context)
    .filter((other) => other.implement === load.implement && other.count === load.count && share(other) <= lighterAtMost && share(other) >= lighterAtLeast)
    .at(-1);
}

/** @returns null where there is nothing to count, and where nothing easier is there */
export function fallbackOf(option: Option, stimulus: SlotStimulus, context: AdaptContext): Fallback | null {
  if (isOpen(option) || option.unit !== 'reps') return null;
  const counts = countsOf(option, stimulus);
  const inside = Math.max(2, Math.floor(option.repsToFailure * constants.insideShare * 0.5));
  const when = `if sets of ${Math.max(2, Math.min(inside, Math.max(...counts)))} fail`;
  const lighter = lighterThan(option, context);
  if (lighter) {
    return { movement: option.movement, reps: counts, when: `${when}, take ${massOfLoad(lighter, context.athlete.units)}` };
  }
  const easier = easierThan(option, context);
  if (easier === undefined) return null;
  const even = (value: number): number => (movementOf(easier).side === 'alternating' ? Math.max(2, Math.round(value / 2) * 2) : Math.max(1, Math.round(value)));
  return { movement: easier, reps: counts.map(even), when };
}
/** `if sets of 3 fail, take 10 kg: 3 seated single-arm press, each side` */
export const fallbackText = ({ movement, reps, when }: Fallback): string =>
  `${when}: ${reps.join('-')} ${wordsOf(movement)}${movementOf(movement).side === 'perSide' ? ', each side' : ''}`;
