/** A part that takes less: its clock where it has one, else its scheme as a whole. One room for the cut of newer athletes and for the minutes there are. */
import { mapBlocks, mapSlots, itemLists } from '../../workout/walk';
import type { Block, Part, Window } from '../../workout/workout';
import { ladderBelow, ladderSteps, nearestFigure, roundTime } from '../slot/coach-numbers';

/** A window for another amount of work; one of a round, a set or a load stays. */
export const scaleWindow = (window: Window | null, factor: number): Window | null => {
  if (!window || window.per === 'round' || window.per === 'set' || window.unit === 'kg') return window;
  const scaled = (value: number | null): number | null =>
    value === null ? null : window.unit === 'seconds' ? roundTime(value * factor) : Math.round(value * factor * 2) / 2;
  return { ...window, low: scaled(window.low), high: scaled(window.high), ...(window.usual === undefined ? {} : { usual: scaled(window.usual)! }) };
};

/** Whole rounds of the stations that come nearest to a share of an interval part, at least `least` of it. */
const wholeRounds = (count: number, lists: number, factor: number, least: number): number => {
  const rounds = count / Math.max(1, lists);
  return Math.max(1, Math.min(Math.floor(rounds), Math.max(Math.round(rounds * factor), Math.ceil(rounds * least - 1e-9)))) * Math.max(1, lists);
};

/**
 * The part at a share of its clock: minutes of an AMRAP, whole rounds of intervals, the last of several windows left off. Parts without a clock of their own stay.
 * @param least share it does not go below by rounding to whole rounds
 */
export function shorterClock(part: Part, factor: number, least = 0): Part {
  switch (part.kind) {
    case 'amrap': {
      if (part.sets > 1) {
        const sets = wholeRounds(part.sets, 1, factor, least);
        if (sets === part.sets) return part;
        return { ...part, sets, window: scaleWindow(part.window, sets / part.sets) };
      }
      const length = Math.max(60, roundTime(part.seconds.high * factor));
      return { ...part, seconds: { low: length, high: length }, window: scaleWindow(part.window, length / part.seconds.high) };
    }
    case 'every': {
      const count = wholeRounds(part.count, part.stations.length, factor, least);
      return count === part.count ? part : { ...part, count };
    }
    case 'intervals': {
      const segments = wholeRounds(part.segments.length, part.stations.length, factor, least);
      const stays = part.circuitRounds !== null || segments === part.segments.length;
      return stays ? part : { ...part, segments: part.segments.slice(0, segments) };
    }
    case 'windows': {
      const count = wholeRounds(part.count, 1, factor, least);
      if (count === part.count) return part;
      return { ...part, count, windows: part.windows.length > 1 ? part.windows.slice(0, count) : part.windows };
    }
    default:
      return part;
  }
}

const outermost = (part: Part): Block | undefined =>
  itemLists(part)[0]?.find((item): item is Block => item.kind === 'block' && (item.ladder !== null || item.rounds.high > 1));
function withOuter(part: Part, change: (block: Block) => Block): Part {
  const first = outermost(part);
  return mapBlocks(part, (block) => (first && JSON.stringify(block) === JSON.stringify(first) ? change(block) : block));
}
const rounds = (block: Block, to: number): Block => ({ ...block, rounds: { low: Math.max(1, to), high: Math.max(1, to) } });
/** Every count of a chipper, in figures a coach writes. */
const allCounts = (part: Part, factor: number): Part =>
  mapSlots(part, (slot) => {
    if (slot.count.kind !== 'fixed' || slot.bracket !== null) return slot;
    const figure = (count: number): number => nearestFigure(count * factor, slot.unit, false);
    return { ...slot, count: { kind: 'fixed', men: figure(slot.count.men), women: figure(slot.count.women), low: null } };
  });

/** The whole scheme one familiar step smaller: 21-15-9 → 15-12-9, five rounds → four, a chipper to three quarters. */
export function schemeBelow(part: Part): Part {
  if (part.kind !== 'forTime') return part;
  const block = outermost(part);
  if (!block) return part.sets > 1 ? { ...part, sets: part.sets - 1 } : allCounts(part, 0.75);
  if (block.ladder) return withOuter(part, (each) => ({ ...each, ladder: ladderBelow(each.ladder!) }));
  const now = block.rounds.high;
  return withOuter(part, (each) => rounds(each, Math.min(now - 1, Math.round(now * 0.8))));
}

/** A part for time with about a share of its work; cap and window follow what was really left of it. */
export function shorterWork(part: Part, factor: number): Part {
  if (part.kind === 'strength') return { ...part, sets: Math.max(2, Math.floor(part.sets * factor)) };
  if (part.kind !== 'forTime') return part;
  const { smaller, share } = lessWork(part, factor);
  // a share so near to the whole that nothing gets smaller is no shortening
  if (JSON.stringify(smaller) === JSON.stringify(part)) return part;
  return { ...smaller, capSeconds: part.capSeconds === null ? null : roundTime(part.capSeconds * share), window: scaleWindow(part.window, share) };
}

/** share of a round that may run over before it goes (round figure) */
const nearlyARound = 0.05;
type ForTime = Extract<Part, { kind: 'forTime' }>;
function lessWork(part: ForTime, factor: number): { smaller: ForTime; share: number } {
  const made = (smaller: Part, share: number): { smaller: ForTime; share: number } => ({ smaller: smaller as ForTime, share });
  if (part.sets > 1) {
    const sets = Math.max(1, Math.floor(part.sets * factor));
    return made({ ...part, sets }, sets / part.sets);
  }
  const block = outermost(part);
  if (!block) return made(allCounts(part, factor), factor);
  if (block.ladder) {
    const ladder = nearestLadder(block.ladder, factor);
    return made(
      withOuter(part, (each) => ({ ...each, ladder })),
      total(ladder) / total(block.ladder),
    );
  }
  const left = Math.max(1, Math.floor(block.rounds.high * factor + nearlyARound));
  return made(
    withOuter(part, (each) => rounds(each, left)),
    left / block.rounds.high,
  );
}
const total = (rungs: readonly number[]): number => rungs.reduce((sum, rung) => sum + rung, 0);
const nearestLadder = (ladder: readonly number[], factor: number): readonly number[] => {
  const off = (rungs: readonly number[]): number => Math.abs(total(rungs) / total(ladder) - factor);
  return ladderSteps(ladder, 0.4, 0.9).reduce<readonly number[]>((best, rungs) => (off(rungs) < off(best) ? rungs : best), ladder);
};

export const shorterPart = (part: Part, factor: number): Part =>
  part.kind === 'forTime' || part.kind === 'strength' ? shorterWork(part, factor) : shorterClock(part, factor);

/** Every count at a share, the clock as it is: the school that cuts the reps first. */
export const fewerReps = allCounts;

const minutes = (seconds: number): number => Math.round(seconds / 6) / 10;
const clockOf = (part: Part): number | null =>
  part.kind === 'amrap' ? part.sets * part.seconds.high : part.kind === 'every' || part.kind === 'windows' ? part.count * part.intervalSeconds : null;

/** What shortening changed, in words: `12 of 16 minutes`, `4 of 5 rounds`, `15-12-9 for 21-15-9`. */
export function shorterText(before: Part, after: Part): string {
  if (before.kind === 'intervals' && after.kind === 'intervals') return `${after.segments.length} of ${before.segments.length} intervals`;
  const [then, now] = [clockOf(before), clockOf(after)];
  if (then !== null && now !== null && then !== now) return `${minutes(now)} of ${minutes(then)} minutes`;
  if ('sets' in before && 'sets' in after && before.sets !== after.sets) return `${after.sets} of ${before.sets} sets`;
  const [whole, left] = [outermost(before), outermost(after)];
  if (whole?.ladder && left?.ladder) return `${left.ladder.join('-')} for ${whole.ladder.join('-')}`;
  if (whole && whole.rounds.high > (left?.rounds.high ?? 1)) return `${left?.rounds.high ?? 1} of ${whole.rounds.high} rounds`;
  return 'every count smaller';
}
