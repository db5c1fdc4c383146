/** A part as a page shows it: what stands over it, its rows with their rounds, rests and minutes, and the boxes to tick. Made from the part and its schedule. */
import { formatClock } from '../units/duration';
import { rungsOf, schedule, ticksOf, type WorkPiece } from '../workout/schedule';
import { itemLists } from '../workout/walk';
import type { Item, Part, Slot } from '../workout/workout';
import { formatSlot, formatString, joined } from '../notation/format-workout';
import { blockWords, headOf, pieceWords, plainSentence, restWords } from './words';

export type PageRow =
  /** over the rows that are deeper: rounds, a ladder, a minute, a window */
  | { readonly kind: 'head'; readonly depth: number; readonly text: string }
  /** `slot`: its number in the part, in reading order */
  | { readonly kind: 'line'; readonly depth: number; readonly slot: number; readonly text: string }
  | { readonly kind: 'rest'; readonly depth: number; readonly text: string };
export interface TickRow {
  readonly label: string;
  readonly boxes: readonly string[];
}
export interface PagePart {
  readonly name: string | null;
  readonly header: string;
  /** one plain sentence for what is nested */
  readonly sentence: string | null;
  readonly rows: readonly PageRow[];
  readonly grid: readonly TickRow[];
  readonly notes: readonly string[];
}
/** more boxes than this are no help to anybody */
const mostBoxes = 60;

function rowsOfItems(items: readonly Item[], depth: number, next: () => number): PageRow[] {
  return items.flatMap((item, at): PageRow[] => {
    const before = items[at - 1];
    if (item.kind === 'slot' && isJoined(items, at)) {
      const opens = before?.kind !== 'slot' || !joined(before, item);
      const head: PageRow[] = opens
        ? [{ kind: 'head', depth, text: item.bracket ? `${item.bracket.times} rounds, each one rep` : 'Without putting it down' }]
        : [];
      return [...head, { kind: 'line', depth: depth + 1, slot: next(), text: lineText(item) }];
    }
    if (item.kind === 'pause') return [{ kind: 'rest', depth, text: restWords(item.seconds) }];
    if (item.kind === 'slot') return [{ kind: 'line', depth, slot: next(), text: lineText(item) }];
    const bare = item.ladder === null && item.rounds.high === 1 && rungsOf(item) === null;
    const inside = rowsOfItems(rungsOf(item) ? item.items.map(underRungs) : item.items, bare ? depth : depth + 1, next);
    return bare ? inside : [{ kind: 'head', depth, text: blockWords(item) }, ...inside];
  });
}
/** Under a ladder that is told once, a movement's own copy of it is not told again. */
const underRungs = (item: Item): Item => (item.kind === 'slot' && item.count.kind === 'ladder' ? { ...item, count: { kind: 'rung' } } : item);
/** Is this slot one of several that belong together? A bracket of one movement is a string of its own. */
function isJoined(items: readonly Item[], at: number): boolean {
  const item = items[at];
  if (item?.kind !== 'slot') return false;
  if (item.bracket) return true;
  return [items[at - 1], items[at + 1]].some((other) => other?.kind === 'slot' && joined(item, other));
}
/** A slot with the coach's other options behind it. */
export const lineText = (slot: Slot): string => [formatSlot(slot), ...slot.alternatives.map(formatString)].join(' or ');

/** What stands over one of several lists. */
function listHead(part: Part, list: number, lists: number): string {
  switch (part.kind) {
    case 'windows':
      return lists === 1 ? 'Each window' : `Window ${list + 1}`;
    case 'every': {
      const word = part.intervalSeconds === 60 ? 'Minute' : 'Interval';
      const turns = Array.from({ length: Math.ceil(Math.max(0, part.count - list) / lists) }, (_, turn) => list + 1 + turn * lists);
      return turns.length > 4 ? `${word} ${turns.slice(0, 3).join(', ')}, …` : `${word} ${turns.join(', ')}`;
    }
    default:
      return `Station ${list + 1}`;
  }
}

function rowsOf(part: Part): PageRow[] {
  let slot = 0;
  const next = (): number => slot++;
  const lists = itemLists(part);
  const several = lists.length > 1 || part.kind === 'windows';
  const rows = lists.flatMap((items, list): PageRow[] => {
    const head: PageRow[] = several ? [{ kind: 'head', depth: 0, text: listHead(part, list, lists.length) }] : [];
    const own: PageRow[] = items.length === 0 && several ? [{ kind: 'rest', depth: 1, text: 'Rest' }] : rowsOfItems(items, several ? 1 : 0, next);
    return [...head, ...own];
  });
  const { interruption } = part;
  if (!interruption) return rows;
  return [
    ...rows,
    { kind: 'head', depth: 0, text: `Every ${formatClock(interruption.everySeconds)}, in between` },
    ...rowsOfItems(interruption.items, 1, next),
  ];
}

function boxesOf(piece: WorkPiece): string[] {
  const ticks = ticksOf(piece.items, piece.pass).filter(({ steps }) => steps.some(({ kind }) => kind === 'move'));
  return ticks.map(({ rounds }, at) =>
    rounds.length === 0 ? (ticks.length === 1 ? '1' : `${at + 1}`) : rounds.map(({ number, rung }) => `${rung ?? number}`).join('.'),
  );
}
function gridOf(part: Part): TickRow[] {
  const pieces = schedule(part).flatMap((piece) => (piece.kind === 'work' && piece.mode !== 'again' ? [piece] : []));
  const rows = pieces.map((piece) => ({ label: piece.of > 1 ? pieceWords(part, piece) : '', boxes: boxesOf(piece) }));
  // a box a minute needs no line of its own
  if (rows.length > 1 && rows.every((row) => row.boxes.length === 1))
    return rows.length <= mostBoxes ? [{ label: '', boxes: rows.map((_, at) => `${at + 1}`) }] : [];
  const boxes = rows.reduce((sum, row) => sum + row.boxes.length, 0);
  return boxes > 1 && boxes <= mostBoxes ? rows : [];
}

const inOrder = 'In the order written: finish each movement before the next, none is split up between others.';

/** What stands under the work: what the text says of the whole part, then the coach's notes. */
const notesOf = (part: Part): readonly string[] => (part.noPartition ? [inOrder, ...part.notes] : part.notes);

export function pageOf(part: Part): PagePart {
  return { name: part.name, header: headOf(part), sentence: plainSentence(part), rows: rowsOf(part), grid: gridOf(part), notes: notesOf(part) };
}

/** The page as plain text, for a calendar entry or a message. */
export function pageText(parts: readonly Part[]): string {
  return parts
    .map((part) => {
      const page = pageOf(part);
      const rows = page.rows.map(({ depth, text }) => `${'  '.repeat(depth)}${text}`);
      return [page.name ? `${page.name}: ${page.header}` : page.header, ...rows, ...page.notes].join('\n');
    })
    .join('\n\n');
}
