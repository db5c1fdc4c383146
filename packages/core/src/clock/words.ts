/** A part's schedule in words: what stands over it, what each piece and each tick is called, and one plain sentence for anything nested. */
import { formatRest, formatSlot, formatString, joined } from '../notation/format-workout';
import { formatClock } from '../units/duration';
import { rungsOf, schedule, ticksOf, type Move, type Piece, type Round, type Step, type Tick, type WorkPiece } from '../workout/schedule';
import { itemLists, passesOf } from '../workout/walk';
import type { Block, Item, Part, Rest, Slot } from '../workout/workout';

/** A movement with the figure of this pass, as it stands on a line. */
export function lineOfMove({ slot, counts }: Move): string {
  return formatSlot(slotOfMove({ slot, counts }));
}
/** The slot as it is done in this pass: its count the figure of the pass. */
export function slotOfMove({ slot, counts }: Pick<Move, 'slot' | 'counts'>): Slot {
  return counts === null || slot.count.kind === 'fixed' ? slot : { ...slot, count: { kind: 'fixed', ...counts, low: null } };
}

export function restWords(rest: Rest): string {
  if (rest.open === undefined) return `Rest ${formatRest(rest)}`;
  const reckoned = rest.open === 'ratio' || rest.open === 'left' ? '' : ` (about ${formatClock(rest.high)})`;
  return `Rest ${formatRest(rest)}${reckoned}`;
}

/** `Round 2 of 3`, `15 (2 of 3)`, `Round 1 of 3 · 2 of 5`. */
export function roundWords(rounds: readonly Round[]): string {
  return rounds
    .map(({ number, of, rung }, depth) => (rung !== null ? `${rung} (${number} of ${of})` : depth === 0 ? `Round ${number} of ${of}` : `${number} of ${of}`))
    .join(' · ');
}

export function pieceWords(part: Part, piece: WorkPiece): string {
  const { number, of } = piece;
  switch (piece.is) {
    case 'set':
      return part.kind === 'amrap' ? `AMRAP ${number} of ${of}` : `Set ${number} of ${of}`;
    case 'window':
      return `Window ${number} of ${of}`;
    case 'station':
      return `Station ${number} of ${of}`;
    case 'interval':
      return part.kind === 'every' && part.untilFailure ? `Interval ${number}` : `${number} of ${of}`;
    case 'part':
      return partWords(part);
  }
}
function partWords(part: Part): string {
  switch (part.kind) {
    case 'amrap':
      return `AMRAP ${formatClock(part.seconds.high)}`;
    case 'forTime':
      if (part.score === 'reps' && part.capSeconds === null) return 'Sets to failure';
      return part.capSeconds === null ? 'For time' : `For time, cap ${formatClock(part.capSeconds)}`;
    case 'maxLoad':
      return `Max load in ${formatClock(part.seconds)}`;
    case 'quality':
      return 'For quality';
    default:
      return headOf(part);
  }
}

const spanOf = ({ low, high }: { low: number; high: number }): string => (low === high ? `${high}` : `${low}–${high}`);
const countOf = (count: number, one: string): string => `${count} ${one}${count === 1 ? '' : 's'}`;
const restBetween = (rest: Rest | null): string => (rest ? `, ${restWords(rest).toLowerCase()} between` : '');

/** What stands over a part on a page: its clock, its sets and rests, before any round. */
export function headOf(part: Part): string {
  switch (part.kind) {
    case 'rest':
      return part.untilSeconds !== null
        ? `Rest until ${formatClock(part.untilSeconds)}`
        : restWords(part.open ? { low: 0, high: part.seconds ?? 0, open: part.open } : { low: part.seconds ?? 0, high: part.seconds ?? 0 });
    case 'amrap':
      return part.sets === 1
        ? `AMRAP ${formatClock(part.seconds.high)}`
        : `${part.sets} × AMRAP ${formatClock(part.seconds.high)}${restBetween(part.restBetween)}`;
    case 'forTime': {
      if (part.score === 'reps' && part.capSeconds === null) return 'Sets to failure, all reps counted';
      const cap = part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)}${part.capPerSet && part.sets > 1 ? ' a set' : ''}`;
      return part.sets === 1 ? `For time${cap}` : `${countOf(part.sets, 'set')} for time${cap}${restBetween(part.restBetween)}`;
    }
    case 'every':
      if (part.untilFailure) return `Every ${formatClock(part.intervalSeconds)}, until the work no longer fits`;
      return `Every ${formatClock(part.intervalSeconds)}, ${countOf(part.count, 'time')}${part.capSeconds === null ? '' : `, cap ${formatClock(part.capSeconds)} each`} (${formatClock(part.count * part.intervalSeconds)})`;
    case 'windows':
      return `${countOf(part.count, 'window')} of ${formatClock(part.intervalSeconds)}, rest what is left${part.capSeconds === null ? '' : `; cap ${formatClock(part.capSeconds)} each`}`;
    case 'intervals': {
      const first = part.segments[0];
      const even = part.segments.every((segment) => segment.workSeconds === first?.workSeconds && segment.restSeconds === first.restSeconds);
      if (part.circuitRounds !== null) return `Circuit: ${countOf(part.circuitRounds, 'round')} of ${formatClock(first?.workSeconds ?? 0)} stations`;
      if (even && first)
        return `${countOf(part.segments.length, 'interval')}: ${formatClock(first.workSeconds)} work${first.restSeconds > 0 ? `, ${formatClock(first.restSeconds)} rest` : ''}`;
      return `Intervals: ${part.segments.map((segment) => `${formatClock(segment.workSeconds)} work${segment.restSeconds > 0 ? `, ${formatClock(segment.restSeconds)} rest` : ''}`).join(', ')}`;
    }
    case 'maxLoad':
      return `Max load in ${formatClock(part.seconds)}`;
    case 'strength':
      if (part.everySeconds !== null) return `${countOf(part.sets, 'set')}, one every ${formatClock(part.everySeconds)}`;
      return `${countOf(part.sets, 'set')}${part.restBetween === null ? ', rest 2–3 minutes between' : restBetween(part.restBetween)}`;
    case 'quality':
      return `For quality${part.seconds === null ? '' : `, ${formatClock(part.seconds)}`}`;
  }
}

/** Steps as lines; linked movements and the members of a bracket stand on one. @param behind a line of one movement; blank: nothing */
function linesOfSteps(steps: readonly Step[], behind: (move: Move) => string): string[] {
  const lines: string[] = [];
  let string: Slot[] = [];
  let told = '';
  const end = (): void => {
    if (string.length > 0) lines.push(`${formatString(string)}${string.length === 1 && told !== '' ? ` (${told})` : ''}`);
    string = [];
  };
  for (const step of steps) {
    if (step.kind === 'pause') {
      end();
      lines.push(restWords(step.rest));
      continue;
    }
    const last = string[string.length - 1];
    if (last && !joined(last, step.slot)) end();
    string.push(slotOfMove(step));
    told = behind(step);
  }
  end();
  return lines;
}
export const linesOfTick = ({ steps }: Tick, behind: (move: Move) => string = () => ''): string[] => linesOfSteps(steps, behind);
/** `3 rounds`, `21-15-9`, `3 rounds, rest 1:00 between`. */
export function blockWords(block: Block): string {
  const ladder = rungsOf(block);
  const passes = passesOf(block);
  const head = ladder
    ? ladder.join('-')
    : block.ladder || passes !== block.rounds.high
      ? countOf(passes, 'round')
      : `${spanOf(block.rounds)} round${block.rounds.high === 1 ? '' : 's'}`;
  return `${head}${restBetween(block.restBetween)}`;
}

const depthOf = (items: readonly Item[]): number =>
  Math.max(0, ...items.map((item) => (item.kind === 'block' && ticksOf([item], 0).length > 1 ? 1 + depthOf(item.items) : 0)));
/** Ticks of one piece: the boxes an athlete ticks off. */
const boxesOf = (piece: Piece | undefined): number =>
  piece?.kind === 'work' ? ticksOf(piece.items, piece.pass).filter(({ steps }) => steps.some(({ kind }) => kind === 'move')).length : 0;

/** "3 sets of 3 rounds: nine ticks", for what is nested; null where the header says it all. */
export function plainSentence(part: Part): string | null {
  const pieces = schedule(part).filter((piece) => piece.kind === 'work');
  const lists = itemLists(part);
  const depth = Math.max(0, ...lists.map(depthOf)) + (pieces.length > 1 ? 1 : 0);
  if (depth < 2 || part.kind === 'intervals' || part.kind === 'every') return null;
  const boxes = pieces.map(boxesOf);
  const total = boxes.reduce((sum, count) => sum + count, 0);
  const sets = part.kind === 'windows' ? 'window' : 'set';
  if (pieces.length > 1 && boxes.every((count) => count === boxes[0]))
    return `${countOf(pieces.length, sets)} of ${countOf(boxes[0]!, 'round')}: ${total} ticks.`;
  if (pieces.length > 1) return `${countOf(pieces.length, sets)} with ${boxes.join(', ')} rounds: ${total} ticks.`;
  return `Rounds within rounds: ${total} ticks in all.`;
}
