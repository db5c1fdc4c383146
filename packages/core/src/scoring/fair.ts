/** Whether a score in a version may stand beside the others at all. Where it may not, no figure is shown: a wrong one is believed. */
import type { Equivalent, Weighed } from './equivalent';

/** Limits beyond which an equivalent is not told (round figures: what a coach would still read out in front of the class). */
export const fairLimits = {
  /** top of the band ÷ its bottom */
  widest: 1.8,
  /** index of who would be working on the workout as written long after everybody has left, and of who is better than anybody */
  leastIndex: 35,
  mostIndex: 250,
  /** what the score shows ÷ what the athlete's figures and earlier scores let one expect, or the other way round */
  furthest: 2.2,
} as const;

/** What the score shows ÷ what was expected of the athlete, or the other way round. */
const awayOf = ({ apparent, expected, offset }: Weighed): number => Math.exp(Math.abs(apparent - offset.log - expected));
/** @param log ln of what a score shows ÷ what was expected of its athlete */
export const isFarOff = (log: number): boolean => Math.exp(Math.abs(log)) > fairLimits.furthest;
/** Not a slip of the hand, nor figures of years ago: such a score tells nothing about the others on the board either. */
export const isBelievable = ({ apparent, expected, offset }: Weighed): boolean => !isFarOff(apparent - offset.log - expected);

/** @param index 100 is par @returns a sentence; null where the comparison is fair */
export function unfairBecause(weighed: Weighed, { low, high }: Equivalent, index: number): string | null {
  // a score as written is its own equivalent
  if (weighed.asWritten) return null;
  const away = awayOf(weighed);
  if (!isBelievable(weighed))
    return `no fair comparison: the score is ${away >= 4 ? 'many' : away.toFixed(1)} times off what this athlete’s figures let one expect; look whether it was typed right, or whether the figures are old`;
  if (index < fairLimits.leastIndex) return 'no fair comparison: as written it would be another workout for this athlete, far from what it is for';
  if (index > fairLimits.mostIndex) return 'no fair comparison: the version asks so little else that it would make this athlete better than anybody';
  if (low > 0 && high / low > fairLimits.widest) return 'no fair comparison: a score in this version hardly moves with fitness, so it tells too little';
  return null;
}
