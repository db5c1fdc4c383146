/** Small steps from a version: rounds or the ladder, a count or a load up or down, a count that rights the time, one load for all. */
import { movementOf } from '../movements/catalogue';
import { itemLists } from '../workout/walk';
import type { Block, Count, Part } from '../workout/workout';
import { writtenWith, type Choice, type PartLever } from './choice';
import { roundFigures, scaleLadder } from './coach-numbers';
import type { AdaptContext, SlotQuestion } from './question';
import type { SlotLock } from './space';

/** Every slot that can take it with this one load. */
export const withOneLoad = (choices: readonly Choice[], load: NonNullable<Choice['load']>): Choice[] =>
  choices.map((each) => (each.load && each.load.implement === load.implement && each.load.count === load.count ? { ...each, load, asWritten: false } : each));

const longestLadder = 5;
/** Rounds one up or down, or the ladder at a familiar scale. */
export function leversOf(part: Part, lever: PartLever): PartLever[] {
  if (part.kind !== 'forTime' && part.kind !== 'windows') return [];
  const block = itemLists(part)[0]?.find((item): item is Block => item.kind === 'block');
  if (!block || (part.kind === 'windows' && part.windows.length > 1)) return [];
  if (block.ladder) {
    const { ladder } = block;
    const last = ladder[ladder.length - 1]!;
    const scaled = [0.6, 0.75, 0.86, 1.15, 1.3].map((factor) => scaleLadder(ladder, factor, false));
    // another rung or two, as the trade writes them (C13, common practice: 21-15-9 → 21-15-9-9-9), or one fewer
    const longer =
      ladder.length <= longestLadder
        ? [
            [...ladder, last],
            [...ladder, last, last],
          ]
        : [];
    const shorter = ladder.length > 3 ? [ladder.slice(0, -1)] : [];
    const now = JSON.stringify(lever.ladder ?? ladder);
    return [...scaled, ...longer, ...shorter].map((rungs) => ({ rounds: null, ladder: rungs })).filter((each) => JSON.stringify(each.ladder) !== now);
  }
  const own = block.items.some((item) => item.kind === 'slot' && item.count.kind === 'ladder');
  const now = lever.rounds ?? block.rounds.high;
  return own || block.rounds.high === 1
    ? []
    : [now - 1, now + 1].filter((rounds) => rounds >= 1 && rounds <= block.rounds.high * 1.5 + 1).map((rounds) => ({ rounds, ladder: null }));
}

/** beyond this ratio to the written count (e^0.25 ≈ 1.28) the same movement is no longer the same idea: another movement may be better */
const freeRatio = 0.25;
const farWeight = 0.7;
/** What moving a count further from the written one adds, for what the coach wrote only. */
function farPrice(next: Count, choice: Choice, { slot }: SlotQuestion): number {
  const source = writtenWith(choice, slot);
  const { count } = choice;
  if (!source || next.kind !== 'fixed' || count.kind !== 'fixed' || source.count.kind !== 'fixed') return 0;
  const written = source.count.men;
  const price = (figure: number): number => farWeight * Math.max(0, Math.abs(Math.log(figure / Math.max(1, written))) - freeRatio);
  return price(next.men) - price(count.men);
}

/** drift of time from which a count is righted at once */
export const timeWorthRighting = 0.05;

/** The choice with the count that would take the drift of time away, were this slot to do it alone; null where the count is not free. */
export function withTime(choice: Choice, question: SlotQuestion, time: number, all: readonly Choice[], context: AdaptContext): Choice | null {
  // too fit for it: more load comes before more reps, where the rules say so
  if (time < 0 && context.rules.tooFit === 'load' && canGoUp(choice, context)) return null;
  if (
    choice.count.kind !== 'fixed' ||
    choice.coachRank !== null ||
    choice.rule !== null ||
    choice.said !== null ||
    question.slot.bracket !== null ||
    question.slot.count.kind !== 'fixed'
  )
    return null;
  const round = all.reduce((sum, each) => sum + each.bout.seconds, 0);
  const factor = Math.min(1.45, Math.max(0.72, 1 - (time / (1 + time)) * (round / Math.max(1, choice.bout.seconds))));
  const even = movementOf(choice.movement).side === 'alternating' && question.slot.side === null;
  const figure = roundFigures(choice.count.men * factor, choice.unit, { even, most: 1 })[0]!;
  const count: Count = { kind: 'fixed', men: figure, women: figure, low: null };
  // a set is not cut to less than four fifths of what was written only to be in time
  const least = choice.movement === question.slot.movement ? 0.8 : 0.9;
  const cut = choice.unit === question.slot.unit && figure < choice.count.men && figure < least * question.slot.count.men;
  return figure === choice.count.men || cut ? null : { ...choice, count, structural: choice.structural + 0.004 + farPrice(count, choice, question) };
}

const nearestIndex = (loads: readonly { readonly grams: number }[], grams: number): number =>
  loads.reduce((best, each, index) => (Math.abs(each.grams - grams) < Math.abs(loads[best]!.grams - grams) ? index : best), 0);

/** Whether the kit has a heavier load for what this slot does. */
export const canGoUp = ({ load }: Choice, context: AdaptContext): boolean =>
  load !== null && context.loads.some((each) => each.implement === load.implement && each.count === load.count && each.grams > load.grams);

/** One step in count or in load around a choice, at the same movement. What the coach wrote beside the line keeps its count unless the window is `missed` with it. */
export function neighboursOf(
  choice: Choice,
  question: SlotQuestion,
  context: AdaptContext,
  lock: SlotLock | undefined,
  time: number,
  missed: boolean,
): { choice: Choice; kind: 'count' | 'load' }[] {
  const found: { choice: Choice; kind: 'count' | 'load' }[] = [];
  const movement = movementOf(choice.movement);
  const isEven = movement.side === 'alternating' && question.slot.bracket === null && question.slot.side === null;
  if (lock?.reps === undefined && (choice.coachRank === null || missed) && choice.rule === null && choice.said === null && question.slot.bracket === null) {
    const counts = (() => {
      switch (choice.count.kind) {
        case 'fixed': {
          const now = choice.count.men;
          const below = roundFigures(now * 0.99, choice.unit, { even: isEven, most: 6 })
            .filter((figure) => figure < now)
            .slice(0, 2);
          const above = roundFigures(now * 1.01, choice.unit, { even: isEven, most: 6 })
            .filter((figure) => figure > now)
            .slice(0, 2);
          return (time > 0 ? [...below, ...above.slice(0, 1)] : [...above, ...below.slice(0, 1)]).map((figure) => ({
            kind: 'fixed' as const,
            men: figure,
            women: figure,
            low: null,
          }));
        }
        case 'ladder': {
          const { rungs } = choice.count;
          return [0.75, 1.25].map((factor) => ({ kind: 'ladder' as const, rungs: scaleLadder(rungs, factor, isEven) }));
        }
        default:
          return [];
      }
    })();
    for (const count of counts)
      found.push({
        kind: 'count',
        choice: {
          ...choice,
          count,
          structural:
            choice.structural +
            (JSON.stringify(choice.count) === JSON.stringify(writtenWith(choice, question.slot)?.count) ? 0.03 : 0.004) +
            farPrice(count, choice, question),
        },
      });
  }
  if (lock?.loadKg === undefined && choice.load && movement.load && choice.coachRank === null) {
    const all = context.loads.filter((load) => load.implement === choice.load!.implement && load.count === choice.load!.count);
    const at = all.findIndex((load) => load.grams === choice.load!.grams);
    // too fit: not only the next plate, but a tenth, a fifth, two fifths more (C17, common practice)
    const jumps = time < -0.02 && context.rules.tooFit === 'load' ? [1.1, 1.2, 1.42].map((factor) => nearestIndex(all, choice.load!.grams * factor)) : [];
    for (const index of new Set([at - 1, at + 1, ...jumps])) {
      const load = index === at ? undefined : all[index];
      if (load) found.push({ kind: 'load', choice: { ...choice, load, asWritten: false, structural: choice.structural + 0.004 } });
    }
  }
  return found;
}
