/**
 * One telling of a part's clock: part → pieces (work and rests), pass → steps (movements with the counts of this pass, and pauses), piece → ticks (what is ticked off).
 * The walk, the clock plan, totals, the page, the calendar and the score fields are made from it; nobody else counts. Counts are as written: a side where they are per side.
 */
import { assertNever } from '../units/assert-never';
import { itemLists, passesOf, slotsOfPart } from './walk';
import type { Block, Category, Columns, Count, EveryPart, IntervalsPart, Item, Part, Rest, Slot, WindowsPart } from './workout';

/** What is rested between strength sets when nothing is said; a round figure of the trade (2–3 minutes). */
export const usualStrengthRest: Rest = { low: 150, high: 150 };

export type WorkMode =
  /** the list once; what is left of a fixed time is rest */
  | 'once'
  /** the list again and again until the time is over */
  | 'again'
  /** attempts at a max */
  | 'attempts'
  /** one strength set */
  | 'set';
export interface WorkPiece {
  readonly kind: 'work';
  readonly mode: WorkMode;
  readonly items: readonly Item[];
  /** which of the part's lists (station, window), and the how-manieth time it is done */
  readonly list: number;
  readonly pass: number;
  /** s the clock gives; null: until the work is done */
  readonly seconds: number | null;
  /** s after which work is cut though the piece goes on (windows with a cap), or after which an open piece is called */
  readonly capSeconds: number | null;
  readonly number: number;
  readonly of: number;
  readonly is: 'part' | 'set' | 'interval' | 'window' | 'station';
}
export interface RestPiece {
  readonly kind: 'rest';
  readonly rest: Rest;
  /** `rest until 14:00`, `rest 3:00`: a part of its own rather than between sets */
  readonly is: 'part' | 'between';
}
export type Piece = WorkPiece | RestPiece;

const between = (rest: Rest | null): RestPiece[] => (rest === null ? [] : [{ kind: 'rest', rest, is: 'between' }]);
const fixedRest = (seconds: number): Rest => ({ low: seconds, high: seconds });

/** `count` sets of the same work with a rest between each two. */
function inSets(count: number, rest: Rest | null, set: Omit<WorkPiece, 'kind' | 'number' | 'of' | 'list' | 'pass' | 'is'>, passes: boolean): Piece[] {
  return Array.from({ length: count }, (_, at): Piece[] => [
    { kind: 'work', ...set, list: 0, pass: passes ? at : 0, number: at + 1, of: count, is: count === 1 ? 'part' : 'set' },
    ...(at < count - 1 ? between(rest) : []),
  ]).flat();
}

function intervalPieces(part: EveryPart | WindowsPart): Piece[] {
  const lists = part.kind === 'every' ? part.stations : part.windows;
  const rotating = Math.max(1, lists.length);
  return Array.from({ length: part.count }, (_, at): Piece => ({
    kind: 'work',
    mode: 'once',
    items: lists[at % rotating] ?? [],
    list: at % rotating,
    pass: Math.floor(at / rotating),
    seconds: part.intervalSeconds,
    capSeconds: part.capSeconds,
    number: at + 1,
    of: part.count,
    is: part.kind === 'windows' ? 'window' : 'interval',
  }));
}

function segmentPieces(part: IntervalsPart): Piece[] {
  const rotating = Math.max(1, part.stations.length);
  return part.segments.flatMap((segment, at): Piece[] => {
    const items = part.stations[at % rotating] ?? [];
    const work: Piece =
      items.length === 0
        ? { kind: 'rest', rest: fixedRest(segment.workSeconds), is: 'part' }
        : {
            kind: 'work',
            mode: 'again',
            items,
            list: at % rotating,
            pass: Math.floor(at / rotating),
            seconds: segment.workSeconds,
            capSeconds: null,
            number: at + 1,
            of: part.segments.length,
            is: part.circuitRounds === null ? 'interval' : 'station',
          };
    return [work, ...(segment.restSeconds > 0 ? between(fixedRest(segment.restSeconds)) : [])];
  });
}

/** @param atSeconds the clock of the whole workout when the part begins, for a rest until a time */
export function schedule(part: Part, atSeconds = 0): Piece[] {
  switch (part.kind) {
    case 'rest': {
      const seconds = part.untilSeconds !== null ? Math.max(0, part.untilSeconds - atSeconds) : (part.seconds ?? 0);
      return [{ kind: 'rest', rest: part.open ? { ...fixedRest(seconds), open: part.open } : fixedRest(seconds), is: 'part' }];
    }
    case 'amrap':
      return inSets(part.sets, part.restBetween, { mode: 'again', items: part.items, seconds: part.seconds.high, capSeconds: null }, false);
    case 'forTime': {
      const cap = part.sets === 1 || part.capPerSet ? part.capSeconds : null;
      return inSets(part.sets, part.restBetween, { mode: 'once', items: part.items, seconds: null, capSeconds: cap }, false);
    }
    case 'every':
    case 'windows':
      return intervalPieces(part);
    case 'intervals':
      return segmentPieces(part);
    case 'maxLoad':
      return inSets(1, null, { mode: 'attempts', items: part.items, seconds: part.seconds, capSeconds: null }, false);
    case 'strength': {
      const rest = part.everySeconds === null ? (part.restBetween ?? usualStrengthRest) : null;
      return inSets(part.sets, rest, { mode: 'set', items: part.items, seconds: part.everySeconds, capSeconds: null }, true);
    }
    case 'quality':
      return inSets(1, null, { mode: 'once', items: part.items, seconds: part.seconds, capSeconds: null }, false);
    default:
      return assertNever(part, 'schedule');
  }
}

/**
 * The count of a slot on one pass of its block, in both columns.
 * @returns null for `max` and `matchTime`, which have no figure; 0 past the end of an own ladder
 */
export function countsOn(count: Count, pass: number, ladder: readonly number[] | null): Columns | null {
  const both = (value: number): Columns => ({ men: value, women: value });
  switch (count.kind) {
    case 'fixed':
      return { men: count.men, women: count.women };
    case 'rung':
      return both(ladder?.[pass] ?? ladder?.[ladder.length - 1] ?? 0);
    case 'ladder':
      return both(count.rungs[pass] ?? 0);
    case 'growing':
      return both(count.start + count.step * pass);
    case 'max':
    case 'matchTime':
      return null;
  }
}

/** A round or rung of a block: the how-manieth of how many, and the rung's figure where it is a ladder's. */
export interface Round {
  readonly number: number;
  readonly of: number;
  readonly rung: number | null;
  /** which block of the list, in reading order, so that two blocks' rounds are told apart */
  readonly block: number;
}
export interface Move {
  readonly kind: 'move';
  readonly slot: Slot;
  /** as written; null is "as many as possible" or "as long as the first option takes" */
  readonly counts: Columns | null;
  /** the rounds it stands in, outermost first; empty outside of blocks */
  readonly rounds: readonly Round[];
}
export interface Pause {
  readonly kind: 'pause';
  readonly rest: Rest;
  readonly rounds: readonly Round[];
}
export type Step = Move | Pause;

/** One pass over a list → its steps in order. @param pass how often the list was done before */
export function stepsOfPass(items: readonly Item[], pass: number): Step[] {
  const steps: Step[] = [];
  let blocks = 0;
  const walk = (list: readonly Item[], at: number, ladder: readonly number[] | null, rounds: readonly Round[]): void => {
    for (const item of list)
      if (item.kind === 'pause') steps.push({ kind: 'pause', rest: item.seconds, rounds });
      else if (item.kind === 'block') walkBlock(item, at, rounds);
      else {
        const counts = countsOn(item.count, at, ladder);
        if (counts === null || counts.men !== 0 || counts.women !== 0) steps.push({ kind: 'move', slot: item, counts, rounds });
      }
  };
  const walkBlock = (block: Block, outer: number, rounds: readonly Round[]): void => {
    const passes = passesOf(block);
    const number = blocks++;
    const rungs = rungsOf(block);
    for (let at = 0; at < passes; at++) {
      const here: Round[] = passes === 1 ? [...rounds] : [...rounds, { number: at + 1, of: passes, rung: rungs?.[at] ?? null, block: number }];
      walk(block.items, passes === 1 ? outer : at, block.ladder, here);
      if (block.restBetween && at < passes - 1) steps.push({ kind: 'pause', rest: block.restBetween, rounds: here });
    }
  };
  walk(items, pass, null, []);
  return steps;
}
/** The rungs a block is told by: its own ladder where a slot goes by it, else the one that all its slots have; null where they differ. */
export function rungsOf(block: Block): readonly number[] | null {
  const byRung = block.items.some((item) => item.kind === 'slot' && item.count.kind === 'rung');
  return byRung ? block.ladder : sharedLadder(block.items);
}
function sharedLadder(items: readonly Item[]): readonly number[] | null {
  const ladders = items.flatMap((item) => (item.kind === 'slot' && item.count.kind === 'ladder' ? [item.count.rungs] : []));
  const [first] = ladders;
  return first && ladders.length === items.length && ladders.every((rungs) => rungs.join() === first.join()) ? first : null;
}

/** What is ticked off at once: the steps of one innermost round, or a stretch outside of rounds. */
export interface Tick {
  readonly rounds: readonly Round[];
  readonly steps: readonly Step[];
}
const sameRounds = (a: readonly Round[], b: readonly Round[]): boolean =>
  a.length === b.length && a.every((round, at) => round.number === b[at]!.number && round.block === b[at]!.block);
export function ticksOf(items: readonly Item[], pass: number): Tick[] {
  const ticks: { rounds: readonly Round[]; steps: Step[] }[] = [];
  for (const step of stepsOfPass(items, pass)) {
    const last = ticks[ticks.length - 1];
    if (last && sameRounds(last.rounds, step.rounds)) last.steps.push(step);
    else ticks.push({ rounds: step.rounds, steps: [step] });
  }
  return ticks;
}

/** What of a movement is done in one step, both sides and all repeats of its bracket counted; null where nobody knows beforehand. */
export function amountOf({ slot, counts }: Move, category: Category): number | null {
  return counts === null ? null : counts[category] * (slot.perSide ? 2 : 1) * (slot.bracket?.times ?? 1);
}

export type Amounts = Readonly<Record<string, number>>;
/** Adds up steps by movement, in each slot's own unit. */
export function addSteps(
  steps: readonly Step[],
  category: Category,
  into: Record<string, number> = Object.create(null) as Record<string, number>,
): Record<string, number> {
  for (const step of steps) {
    if (step.kind === 'pause') continue;
    const amount = amountOf(step, category);
    if (amount !== null) into[step.slot.movement] = (into[step.slot.movement] ?? 0) + amount;
  }
  return into;
}

/** Work of a part by movement: one pass for an AMRAP, the whole for the rest; interruptions, which depend on the time, left out. */
export function workOf(part: Part, category: Category = 'men'): Record<string, number> {
  // no prototype: a movement may be called anything
  const into = Object.create(null) as Record<string, number>;
  const pieces = schedule(part).filter((piece) => piece.kind === 'work');
  for (const piece of part.kind === 'amrap' ? pieces.slice(0, 1) : pieces) addSteps(stepsOfPass(piece.items, piece.pass), category, into);
  return into;
}

/** s of a rest after so much work; what the interval leaves is rested anyway. */
export function restSeconds(rest: Rest, workSeconds: number): number {
  if (rest.open === 'left') return 0;
  return rest.open === 'ratio' ? workSeconds * (rest.ratio ?? 1) : rest.high;
}

/** Does any count of the part depend on the pass? */
export const growsByPass = (part: Part): boolean =>
  slotsOfPart(part).some(({ count }) => count.kind === 'growing') ||
  (part.kind === 'strength' && itemLists(part).some((items) => items.some((item) => item.kind === 'slot' && item.count.kind === 'ladder')));
