/** Sets for time that somebody would be stuck in, as pieces of fixed length. */
import type { PartResult } from '../../simulate/walk-part';
import type { PartIntent } from '../../stimulus/intent';
import { mapBlocks, slotsOfPart } from '../../workout/walk';
import type { Part } from '../../workout/workout';
import { roundTime } from '../slot/coach-numbers';
import { isHeavySet, isNewer, type AdaptContext } from '../slot/question';

/**
 * Sets that are raced, and that a newer athlete would be stuck in, become pieces of fixed length: as long as the window allows, one score a set.
 * Null where they fit, and where heavy lifts say that nobody races.
 * @param written the part as the coach wrote it: what is filled in says its loads in kilograms
 */
export function setsByTheClock(part: Part, written: Part, result: PartResult, intent: PartIntent, context: AdaptContext): Part | null {
  const { athlete } = context;
  if (!isNewer(athlete) || part.kind !== 'forTime' || part.sets < 2 || slotsOfPart(written).some((slot) => isHeavySet(slot, athlete.category))) return null;
  const limit = part.window?.unit === 'seconds' && part.window.per === 'set' ? part.window.high : intent.target;
  if (limit === null || result.sets.every((each) => each <= limit * 1.2)) return null;
  const length = roundTime(limit);
  const unrolled = mapBlocks(part, (block) => (block.ladder ? block : { ...block, rounds: { low: 1, high: 1 } })) as typeof part;
  const { capSeconds: _cap, capPerSet: _per, ...rest } = unrolled;
  return { ...rest, kind: 'amrap', score: 'eachSet', scoreSaid: true, window: null, seconds: { low: length, high: length } };
}
