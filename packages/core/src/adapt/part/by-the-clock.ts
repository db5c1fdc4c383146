/** Sets for time that somebody would be stuck in, as pieces of fixed length. */
import type { PartResult } from '../../simulate/walk-part';
import type { PartIntent } from '../../stimulus/intent';
import { mapBlocks, slotsOfPart } from '../../workout/walk';
import type { Part, Slot } from '../../workout/workout';
import { roundTime } from '../slot/coach-numbers';
import { isNewer, type AdaptContext } from '../slot/question';

/** at a share of a max, by effort, or built up: a lift that is not raced */
const isHeavy = ({ load, effort, build }: Slot): boolean => load?.kind === 'share' || load?.kind === 'heavy' || effort !== null || build;

/**
 * Sets that are raced, and that a newer athlete would be stuck in, become pieces of fixed length: as long as the window allows, one score a set.
 * Null where they fit, and where lifts at a share of a max say that nobody races.
 */
export function setsByTheClock(part: Part, result: PartResult, intent: PartIntent, context: AdaptContext): Part | null {
  if (!isNewer(context.athlete) || part.kind !== 'forTime' || part.sets < 2 || slotsOfPart(part).some(isHeavy)) return null;
  const limit = part.window?.unit === 'seconds' && part.window.per === 'set' ? part.window.high : intent.target;
  if (limit === null || result.sets.every((each) => each <= limit * 1.2)) return null;
  const length = roundTime(limit);
  const unrolled = mapBlocks(part, (block) => (block.ladder ? block : { ...block, rounds: { low: 1, high: 1 } })) as typeof part;
  const { capSeconds: _cap, capPerSet: _per, ...rest } = unrolled;
  return { ...rest, kind: 'amrap', score: 'eachSet', scoreSaid: true, window: null, seconds: { low: length, high: length } };
}
