/** Which edits there are from a point: toward an easier or a harder part. Only what a coach would write is proposed, and nothing that a lock holds. */
import { movementOf } from '../../movements/catalogue';
import { itemLists } from '../../workout/walk';
import type { Block, Count, Part } from '../../workout/workout';
import { demandOf } from '../../simulate/demand';
import { boutOf } from '../../stimulus/bout';
import { figuresWithin, ladderSteps } from '../slot/coach-numbers';
import { ownedFor, totalKg } from '../slot/load';
import { singleAlternatives, writtenWith, type Option } from '../slot/option';
import type { SlotQuestion } from '../slot/question';
import type { Edit, Tried } from './edit';
import type { Evaluated, Point } from './evaluate';
import { liesReady, sharesLoad, withLoad } from './share-loads';
import type { Space } from './space';

/** no slot's total moves by less (judgement) */
const leastShare = 0.2;
/** a single edit does not leave less than half, or more than half as much again (round figures) */
const mostDown = 0.5;
const mostUp = 1.5;
/** share of the reps at hand that a heavier load may ask in one go, and of the max it may be (round figures) */
const heaviestSet = 1.05;
const heaviestShare = 0.85;
/** and the least a lighter one leaves of the effort meant */
const lightestEffort = 0.4;
const mostLoadSteps = 12;

const isLocked = ({ locks }: Space, slot: number, what: 'reps' | 'loadKg' | 'movement'): boolean =>
  locks.some((lock) => lock.slot === slot && lock[what] !== undefined);
const schemeLocked = ({ locks }: Space): boolean => locks.some((lock) => lock.scheme);

/** Slots that follow a leader, itself first. */
export const followers = ({ leaders }: Space, leader: number): number[] => leaders.flatMap((each, slot) => (each === leader ? [slot] : []));
const leading = ({ leaders }: Space): number[] => leaders.flatMap((leader, slot) => (leader === slot ? [slot] : []));

export const replaced = (options: readonly Option[], slots: readonly number[], change: (option: Option, slot: number) => Option): Option[] =>
  options.map((option, slot) => (slots.includes(slot) ? change(option, slot) : option));

/** Slots that carry the same thing: linked, written with one load, or done with what would have to be changed in between. */
function loadMates(space: Space, { options }: Point, slot: number): number[] {
  const { load } = options[slot]!;
  const { questions, context } = space;
  if (!load) return [];
  return options.flatMap((other, at) =>
    other.load &&
    (at === slot || sharesLoad(questions[at]!, questions[slot]!) || space.intent.oneLoad || !liesReady(load, context)) &&
    other.load.implement === load.implement &&
    other.load.count === load.count &&
    other.load.grams === load.grams &&
    ownsAll(space, other, load.grams)
      ? [at]
      : [],
  );
}
const ownsAll = ({ context }: Space, { movement, load }: Option, grams: number): boolean =>
  ownedFor(movementOf(movement), context).some((each) => each.grams === grams && each.implement === load!.implement);

/** Steps of load, one after the other, as far as the kit goes and the set bears. */
function loadEdits(space: Space, point: Evaluated, harder: boolean): Tried[] {
  const { context, questions } = space;
  const done = new Set<number>();
  return leading(space).flatMap((slot): Tried[] => {
    const { load, coachRank } = point.options[slot]!;
    const mates = loadMates(space, point, slot);
    // its effort is what a strength set is for: it is not lightened to save seconds
    if (!harder && questions[slot]!.strength) return [];
    if (!load || load.range || done.has(slot) || coachRank !== null || mates.some((mate) => isLocked(space, mate, 'loadKg'))) return [];
    for (const mate of mates) done.add(mate);
    const owned = ownedFor(movementOf(point.options[slot]!.movement), context).filter((each) => each.implement === load.implement);
    const next = harder ? owned.filter(({ grams }) => grams > load.grams) : owned.filter(({ grams }) => grams < load.grams).reverse();
    return next.slice(0, mostLoadSteps).flatMap((to, at): Tried[] => {
      if (
        !mates.every((mate) =>
          ownedFor(movementOf(point.options[mate]!.movement), context).some((each) => each.grams === to.grams && each.implement === to.implement),
        )
      )
        return [];
      const options = replaced(point.options, mates, (option, mate) => withLoad(option, to, questions[mate]!, context));
      const bears = mates.every((mate) => bearable(options[mate]!, questions[mate]!, harder));
      return bears ? [{ edit: { kind: 'load', slots: mates, to, steps: at + 1 }, point: { options, lever: point.lever } }] : [];
    });
  });
}

function bearable({ bout, share }: Option, { stimulus }: SlotQuestion, harder: boolean): boolean {
  if (!harder) return bout.setShare >= lightestEffort * stimulus.bout.setShare;
  return bout.setShare <= Math.max(heaviestSet, stimulus.bout.setShare) && (share ?? 0) <= heaviestShare;
}

const outerBlock = (part: Part): Block | undefined => itemLists(part)[0]?.find((item): item is Block => item.kind === 'block');

/** Rounds one to three down, or the whole scheme by familiar steps. A round is never added: what is missing is made up in a line. */
export function schemeEdits(space: Space, point: Point, harder: boolean): Tried[] {
  const { part } = space;
  if ((part.kind !== 'forTime' && part.kind !== 'windows') || schemeLocked(space) || (part.kind === 'windows' && part.windows.length > 1)) return [];
  const block = outerBlock(part);
  if (!block) return [];
  const at = (edit: Edit, lever: Point['lever']): Tried => ({ edit, point: { options: point.options, lever } });
  if (block.ladder) {
    const { ladder } = block;
    const now = point.lever.ladder ?? ladder;
    const [low, high] = harder ? [1 + leastShare, 1.75] : [mostDown, 1 - leastShare];
    return ladderSteps(ladder, low, high)
      .filter((to) => to.join() !== now.join())
      .map((to) => at({ kind: 'scheme', from: ladder, to }, { rounds: null, ladder: to }));
  }
  const written = block.rounds.high;
  if (written === 1 || block.items.some((item) => item.kind === 'slot' && item.count.kind === 'ladder')) return [];
  const rounds = harder ? [] : [written - 1, written - 2, written - 3];
  return rounds
    .filter((to) => to >= 1 && to >= mostDown * written && to !== point.lever.rounds)
    .map((to) => at({ kind: 'rounds', from: written, to }, { rounds: to, ladder: null }));
}

/** The option with another count. */
export function withCount(option: Option, figure: number, { question, context }: { question: SlotQuestion; context: Space['context'] }): Option {
  const count: Count = { kind: 'fixed', men: figure, women: figure, low: null };
  const demand = demandOf(option.movement, option.unit, context.capacity, option.load ? totalKg(option.load) : 0, option.heightCm, question.vestKg);
  const whole = figure * (option.perSide ? 2 : 1) * (question.slot.bracket?.times ?? 1);
  return { ...option, count, bout: boutOf(demand, whole, context.capacity) };
}

/** One slot's count, by a fifth or more, in figures a coach writes. */
export function countEdits(space: Space, point: Point, harder: boolean, only: number | null = null): Tried[] {
  const { context, questions, part } = space;
  if (part.kind === 'strength' || part.kind === 'maxLoad') return [];
  return leading(space).flatMap((slot): Tried[] => {
    const option = point.options[slot]!;
    const question = questions[slot]!;
    if ((only !== null && slot !== only) || option.count.kind !== 'fixed' || question.slot.bracket !== null || isLocked(space, slot, 'reps')) return [];
    // what a rule or the trade states stays; another slot pays for it
    if (option.rule !== null) return [];
    const slots = followers(space, slot);
    const from = writtenFigure(option, question, context.athlete.category);
    const even = movementOf(option.movement).side === 'alternating' && question.slot.side === null;
    const figures = harder
      ? figuresWithin((1 + leastShare) * from, mostUp * from, option.unit, even)
      : figuresWithin(mostDown * from, (1 - leastShare) * from, option.unit, even).reverse();
    return figures.map((to): Tried => ({
      edit: { kind: 'count', slots, from, to },
      point: { options: replaced(point.options, slots, (each, at) => withCount(each, to, { question: questions[at]!, context })), lever: point.lever },
    }));
  });
}
/** The figure an edit is measured from: what the coach wrote for this movement, or what the swap came to. */
function writtenFigure(option: Option, { slot }: SlotQuestion, category: 'men' | 'women'): number {
  const source = writtenWith(option, slot);
  return source?.count.kind === 'fixed' ? source.count[category] : option.count.kind === 'fixed' ? option.count[category] : 1;
}

/** Other movements for one slot, nearest first. */
export function swapEdits(space: Space, point: Point, slot: number): Tried[] {
  if (isLocked(space, slot, 'movement')) return [];
  const now = point.options[slot]!.movement;
  const seen = new Set([now]);
  const coachs = singleAlternatives(space.questions[slot]!.slot).length > 0;
  const others = space.options[slot]!.filter(({ coachRank }) => !coachs || coachRank !== null).filter(({ movement, rank }) =>
    // other muscles altogether are no way round a wall
    seen.has(movement) || rank.beyondRepair > 0 || rank.tooHard > 1 ? false : (seen.add(movement), true),
  );
  const slots = followers(space, slot);
  return others.slice(0, 6).map((to, order): Tried => ({
    edit: { kind: 'swap', slots, to, order },
    point: { options: replaced(point.options, slots, () => to), lever: point.lever },
  }));
}

/**
 * Every single edit toward an easier (`harder` false) or a harder part.
 * @param loadOnly without a window a fast athlete gets more load, never another text
 */
export function editsOf(space: Space, point: Evaluated, harder: boolean, loadOnly: boolean): Tried[] {
  const loads = loadEdits(space, point, harder);
  return loadOnly ? loads : [...loads, ...schemeEdits(space, point, harder), ...countEdits(space, point, harder)];
}
