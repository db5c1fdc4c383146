/** The minutes there are: what goes first, and what is shortened, so that a version fits with its warm-up. */
import { warmUpLimits } from '../../prepare/warm-up';
import { formatClock } from '../../units/duration';
import { wordsOf } from '../../notation/format-workout';
import { slotsOfPart } from '../../workout/walk';
import type { Part, Workout } from '../../workout/workout';
import { shorterPart, shorterText } from './shorter';

export interface Fitted {
  readonly workout: Workout;
  /** number of the original part each one stands for */
  readonly from: readonly number[];
  /** what goes altogether, and why */
  readonly leftOut: readonly string[];
}

/** share of its length a part keeps at least before whole parts go (round figure) */
const shortestShare = 0.5;

const nameOf = (part: Part): string => part.name ?? (slotsOfPart(part)[0] ? wordsOf(slotsOfPart(part)[0]!.movement) : part.kind);

/**
 * The workout that fits the minutes there are: optional parts go first, then quality work, then the longest part is shortened to no less than half,
 * then the last parts go; rests that lead nowhere go with them. What was done is said.
 * @param seconds predicted length of each part
 * @param isFramed whether the coach gave a part its frame for this athlete: it is not shortened
 */
export function fitToTime(
  workout: Workout,
  seconds: readonly number[],
  availableSeconds: number | null,
  isFramed: (index: number) => boolean = () => false,
): Fitted {
  const all = workout.parts.map((part, index) => ({ part, index, seconds: seconds[index]! }));
  const whole = (list: typeof all): number => list.reduce((sum, each) => sum + each.seconds, 0);
  const budget = availableSeconds === null ? Infinity : Math.max(300, availableSeconds - warmUpLimits.kept);
  let kept = all;
  const leftOut: string[] = [];
  const drop = (which: (part: Part) => boolean, why: string): void => {
    if (whole(kept) <= budget) return;
    const left = kept.filter((each) => !which(each.part));
    if (left.some((each) => each.part.kind !== 'rest') && left.length < kept.length) {
      leftOut.push(
        `${why} left out: ${kept
          .filter((each) => which(each.part))
          .map((each) => nameOf(each.part))
          .join(', ')}`,
      );
      kept = left;
    }
  };
  drop((part) => part.optional, 'optional');
  drop((part) => part.kind === 'quality', 'quality work');
  if (whole(kept) > budget) {
    const longest = kept.reduce((best, each) => (each.part.kind !== 'rest' && each.seconds > best.seconds ? each : best), kept[0]!);
    const factor = Math.max(shortestShare, 1 - (whole(kept) - budget) / Math.max(1, longest.seconds));
    const part = isFramed(longest.index) ? longest.part : shorterPart(longest.part, factor);
    if (part !== longest.part) {
      kept = kept.map((each) => (each === longest ? { ...each, part, seconds: each.seconds * factor } : each));
    }
  }
  while (whole(kept) > budget && kept.filter((each) => each.part.kind !== 'rest').length > 1) {
    const last = kept[kept.length - 1]!;
    if (last.part.kind !== 'rest') leftOut.push(`left out for time: ${nameOf(last.part)}`);
    kept = kept.slice(0, -1);
  }
  while (kept.length > 1 && kept[kept.length - 1]!.part.kind === 'rest') kept = kept.slice(0, -1);
  return { workout: { ...workout, parts: kept.map((each) => each.part) }, from: kept.map((each) => each.index), leftOut };
}

/** What the minutes took away, in words: nothing where nothing was. */
export function fitText(before: Workout, { workout, from, leftOut }: Fitted, availableSeconds: number | null): string[] {
  const shorter = workout.parts.flatMap((part, at) => {
    const whole = before.parts[from[at]!]!;
    if (part === whole) return [];
    return [workout.parts.length > 1 ? `${nameOf(part)}: ${shorterText(whole, part)}` : shorterText(whole, part)];
  });
  const said = [...leftOut, ...shorter];
  return said.length === 0 ? [] : [`${formatClock(availableSeconds!)} available, warm-up counted`, ...said];
}
