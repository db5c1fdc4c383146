/**
 * One line of work → its items, in order. `|` (and `or`, and a slash between words) binds loosest, then `+`; a comma before a figure starts another movement.
 * `9 toes-to-bar`, `8 ring row | 12 plank row`, `3 x (1 lunge + 1 squat)`, `6 clean + 6 press, unbroken @ 60 kg`, `5 pull-ups, 10 push-ups, 15 squats`.
 */
import { movementOf } from '../movements/catalogue';
import type { Block, Interruption, Item, Rest, Slot } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import type { Token } from '../text/lexer';
import type { Draft } from './draft';
import { readDuration } from '../text/figures';
import { cursorOf, restOfLine, spanIn, spanOfLine, type Line } from './lines';
import { most } from './limits';
import type { ReadProblem, Span } from './problems';
import { cap, team } from './header-clauses';
import { emptyHeader, type Header } from './header';
import { readStep } from './read-count';
import { isRestNext, readRounds } from './member-ends';
import { readMember } from './read-member';
import { readRestAlone, restWays } from './read-rest';
import type { OwnMovements } from './read-own';
import { toSlot, type Inherited, type SlotContext } from './to-slot';
import type { MassUnit } from '../units/mass';

export interface LineContext {
  readonly bare: SlotContext['bare'];
  readonly room: MassUnit;
  readonly nextId: () => number;
  readonly own: OwnMovements;
  readonly mayLookNear: () => boolean;
  readonly report: (problem: ReadProblem) => void;
  /** keeps words as a note of the part, and says so */
  readonly keep: (text: string, span: Span) => void;
  /** sets of what was written with a times sign (`5x5`, `8 x 200 m`) */
  readonly timesBlocks: WeakSet<Block>;
}
export interface ReadLine {
  readonly items: readonly Item[];
  readonly interruption: Interruption | null;
  /** a cap or a team that was said among the work */
  readonly header: Header;
  /** `+3 each round` as a clause of the whole line */
  readonly step: number | null;
}
/** A fixed count that grows by so much a round. */
export function grown({ count }: Slot, step: number, start: number | null = null): Pick<Slot, 'count'> {
  const first = start ?? (count.kind === 'fixed' ? count.men : null);
  return { count: first === null ? count : { kind: 'growing', start: first, step } };
}

/** A string of linked movements, or one; a load or a hold at the very end goes to all members that have none. */
function readString(cursor: Cursor, context: SlotContext, bracket: Slot['bracket'], inherited: Inherited | null): { slots: Slot[]; drafts: Draft[] } {
  const drafts: Draft[] = [];
  do drafts.push(readWrapped(cursor, context));
  while (cursor.sign('+') && !cursor.done);
  const link = drafts.length > 1 && bracket === null ? context.nextId() : null;
  const slots = drafts.flatMap((draft) => toSlot(draft, cursor, context, { link, bracket }, inherited) ?? []);
  const last = slots[slots.length - 1];
  return { slots: last && drafts.length > 1 ? slots.map((slot) => withShared(slot, last)) : slots, drafts };
}
/** A member, which may stand in brackets of its own: `(1 lunge, each side) + 1 squat`. */
function readWrapped(cursor: Cursor, context: SlotContext): Draft {
  const isWrapped = cursor.sign('(');
  const draft = readMember(cursor, context);
  if (isWrapped) cursor.sign(')');
  return draft;
}
/** A load or a hold at the end of a string is for all of it; a movement that carries none is left without. */
const withShared = (slot: Slot, { load, hold }: Pick<Slot, 'load' | 'hold'>): Slot => ({
  ...slot,
  load: slot.load ?? (movementOf(slot.movement).load ? load : null),
  hold: slot.hold ?? hold,
});

/** `3 x (a + b + c)`: the bracket is one rep, done so many times. */
function readBracketed(cursor: Cursor, context: SlotContext): Slot[] | null {
  const start = cursor.at;
  const times = readOpening(cursor);
  if (times === null) return null;
  const close = closingOf(cursor);
  const bracket = { id: context.nextId(), times: Math.min(times, most.figure) };
  const inside = cursor.part(cursor.at, close);
  const { slots } = readString(inside, context, bracket, null);
  if (!inside.done) {
    cursor.at = start;
    return null;
  }
  cursor.at = Math.min(cursor.end, close + 1);
  const behind = readTail(cursor, context);
  return slots.map((slot) => withShared(slot, behind));
}
/** `3 x (`, `5 rounds of (`. */
function readOpening(cursor: Cursor): number | null {
  return cursor.try((c) => {
    const count = c.isNumber() ? c.next()!.value : NaN;
    c.word('x', 'rounds', 'sets', 'times');
    c.word('of');
    return count >= 1 && c.sign('(') ? count : null;
  });
}
/** Is all of a bracket one string of linked movements? In one, a comma before anything but a figure belongs to its member: `1 lunge, each side + 1 squat`. */
const isComposite = (cursor: Cursor): boolean => {
  const inside = cursor.part(cursor.at, closingOf(cursor));
  const outer = outermost(inside.tokens.slice(inside.at, inside.end));
  const isLinked = outer.some(({ text }) => text === '+');
  const ends = ({ text, kind }: Token, at: number): boolean =>
    kind === 'sign' && ([';', '|'].includes(text) || (text === ',' && !(isLinked && outer[at + 1]?.kind !== 'number')));
  return !outer.some(ends);
};
/** What stands in no bracket of its own. */
function outermost(tokens: readonly Token[]): Token[] {
  let depth = 0;
  return tokens.filter(({ text }) => {
    if (text === ')') depth--;
    const isOuter = depth === 0;
    if (text === '(') depth++;
    return isOuter;
  });
}
function closingOf(cursor: Cursor): number {
  let depth = 1;
  for (let at = cursor.at; at < cursor.end; at++) {
    const { text } = cursor.tokens[at]!;
    if (text === '(') depth++;
    else if (text === ')' && --depth === 0) return at;
  }
  return cursor.end;
}
/** What stands behind a bracket: a load and a hold for all of it. */
function readTail(cursor: Cursor, context: SlotContext): Draft {
  return readMember(cursor, context);
}

function readOption(cursor: Cursor, context: SlotContext, inherited: Inherited | null): { slots: Slot[]; drafts: Draft[] } {
  const bracketed = readBracketed(cursor, context);
  return bracketed ? { slots: bracketed, drafts: [] } : readString(cursor, context, null, inherited);
}

const orSign = (cursor: Cursor): boolean => cursor.sign('|', '/') || cursor.word('or');

/** A movement with the coach's other options behind it. */
function readPiece(cursor: Cursor, context: SlotContext): { slots: Slot[]; times: number | null; named: boolean } {
  const start = cursor.at;
  const { slots, drafts } = readOption(cursor, context, null);
  const alternatives: Slot[][] = [];
  const first = slots[0];
  for (const { from, to } of drafts[0]?.options ?? []) {
    const aside = readOption(cursor.part(from, to), context, first ? { count: first.count, unit: first.unit, unitSaid: first.unitSaid } : null);
    if (aside.slots.length > 0) alternatives.push(aside.slots);
  }
  while (!isRestNext(cursor) && orSign(cursor) && !cursor.done) {
    const option = readOption(cursor, context, first ? { count: first.count, unit: first.unit, unitSaid: first.unitSaid } : null);
    if (option.slots.length > 0) alternatives.push(option.slots);
  }
  const times = drafts[0]?.times ?? null;
  const named = drafts.some(({ name }) => name !== '');
  if (!first) return { slots: alternatives.flat(), times, named };
  tellSlash(cursor, start, slots, alternatives, context);
  return { slots: [{ ...first, alternatives }, ...slots.slice(1)], times, named };
}

/** `thrusters/pull-ups` could mean both; read as one or the other, it is said. Machines are the usual case and need no word. */
function tellSlash(cursor: Cursor, start: number, slots: readonly Slot[], alternatives: readonly (readonly Slot[])[], context: SlotContext): void {
  const text = cursor.text(start, cursor.at);
  const machines = [...slots, ...alternatives.flat()].every((slot) => movementOf(slot.movement).limit.by === 'engine');
  if (alternatives.length > 0 && !machines && /\p{L}\/\p{L}/u.test(text))
    context.report({ code: 'read_as', span: context.span(start, cursor.at), text, as: 'one or the other; write a comma where both are meant' });
}

const asRest = (read: ReturnType<typeof readRestAlone>): Rest | null => (read?.kind === 'rest' ? read.rest : null);

function timesBlock(times: number, items: readonly Item[], restBetween: Rest | null, context: LineContext, line: Line): Block {
  if (times > most.rounds) context.report({ code: 'limit', span: spanOfLine(line), limit: 'rounds', found: times, most: most.rounds });
  const rounds = Math.min(Math.floor(times), most.rounds);
  const block: Block = { kind: 'block', rounds: { low: rounds, high: rounds }, ladder: null, restBetween, items };
  context.timesBlocks.add(block);
  return block;
}

/** `every minute 5 squats` inside a part: work that interrupts the rest. */
function readInterruption(cursor: Cursor, context: SlotContext, line: Line): Interruption | null {
  const start = cursor.at;
  const seconds = cursor.try((c) => {
    if (!c.word('every')) return null;
    if (c.phrase('minute|min')) return (c.phrase('on', 'the', 'minute'), 60);
    const figure = c.peek();
    return readDuration(c, figure?.kind === 'number' && figure.value >= 15 ? 'seconds' : 'minutes', true);
  });
  if (seconds === null || seconds < 5) {
    cursor.at = start;
    return null;
  }
  cursor.phrase('do|perform|complete');
  cursor.sign(':', ',', '-');
  const items: Item[] = [];
  while (!cursor.done) {
    items.push(...readPiece(cursor, context).slots);
    if (!cursor.sign(',', ';', '|', '&', '.') && !cursor.word('and', 'then')) break;
  }
  if (items.length === 0) {
    cursor.at = start;
    return null;
  }
  context.report({ code: 'interruption', span: spanIn(line, cursor, start, cursor.at), text: cursor.text(start, cursor.at) });
  return { everySeconds: seconds, items };
}

/** A ladder or count and a colon at the head: commas part movements. */
function isListed(cursor: Cursor): boolean {
  for (let at = cursor.at; at < Math.min(cursor.end, cursor.at + 60); at++) {
    const token = cursor.tokens[at]!;
    if (token.kind === 'word' && token.text !== 'reps') return false;
    if (token.text === ':' || (token.text === '-' && cursor.tokens[at + 1]?.kind === 'number' && at > cursor.at)) return true;
  }
  return false;
}

/** A line as it is being read. */
interface Reading {
  readonly line: Line;
  readonly cursor: Cursor;
  readonly context: LineContext;
  readonly slots: SlotContext;
  readonly listed: boolean;
  items: Item[];
  readonly header: Header;
  interruption: Interruption | null;
  step: number | null;
  /** the ladder that goes on for the movements behind it */
  ladder: Slot['count'] | null;
}
/** A rule takes what stands at the cursor, or nothing. */
type LineRule = (reading: Reading) => boolean;

const glue: LineRule = ({ cursor }) => cursor.sign(',', ';', '/', '.', ':', '-', '!', '*', ')', ']', '&') || cursor.word('then', 'and', 'plus', 'straight');
const restRule: LineRule = ({ cursor, items, context, line }) => {
  const rest = cursor.try((c) => asRest(readRestAlone(c)));
  if (!rest) return false;
  pushRest(items, rest, context, line);
  if (cursor.isWord(restWays)) keepRest(cursor, line, context);
  return true;
};
/** `rest 2:00 walk`: how it is spent is told to the athlete. */
function keepRest(cursor: Cursor, line: Line, context: LineContext): void {
  const from = cursor.at;
  while (!cursor.done && cursor.peek()!.kind !== 'sign') cursor.next();
  context.keep(cursor.text(from, cursor.at), spanIn(line, cursor, from, cursor.at));
}
const clauseRule: LineRule = ({ cursor, header, items }) => {
  const partner = cursor.isWord(['synchro', 'sync', 'partner']);
  return cursor.try((c) => cap(c, header) || (items.length > 0 && !partner && team(c, header)) || null) ?? false;
};
/** `handstand, 10 min`: minutes that name nothing are the time there is. */
const minutesRule: LineRule = ({ cursor, header, line, context }) => {
  const from = cursor.at;
  const minutes = cursor.try((c) => {
    if (from === 0 || !c.isNumber()) return null;
    const { value } = c.next()!;
    return c.word('min', 'mins', 'minutes') && (c.done || c.isSign(',') || c.isSign(';')) ? value : null;
  });
  if (minutes === null) return false;
  const [span, text] = [spanIn(line, cursor, from, cursor.at), cursor.text(from, cursor.at)];
  if (header.capSeconds !== null) context.report({ code: 'unreadable', span, text, expected: 'a movement beside it' });
  else {
    context.report({ code: 'read_as', span, text, as: 'the time there is' });
    header.capSeconds = minutes * 60;
  }
  return true;
};
const stepRule: LineRule = (reading) => {
  const step = readStep(reading.cursor);
  if (step === null) return false;
  reading.step = step;
  reading.items = reading.items.map((item) => (item.kind === 'slot' ? { ...item, ...grown(item, step) } : item));
  return true;
};
/** `4 rounds of` before the rest of the line, or `5 rounds` behind all of it. */
const roundsRule: LineRule = (reading) => {
  const { cursor, line, context, listed } = reading;
  const start = cursor.at;
  const read = readRounds(cursor);
  if (!read || (!read.before && reading.items.length === 0)) {
    cursor.at = start;
    return false;
  }
  const inside = read.before ? readLine(restOfLine(line, cursor, cursor.at), context, listed) : null;
  const block = timesBlock(read.rounds.high, inside?.items ?? reading.items.splice(0), null, context, line);
  context.timesBlocks.delete(block);
  reading.items.push(block);
  if (!inside) return true;
  reading.interruption = inside.interruption ?? reading.interruption;
  reading.header.capSeconds ??= inside.header.capSeconds;
  reading.header.team ??= inside.header.team;
  cursor.at = cursor.end;
  return true;
};
const groupRule: LineRule = ({ cursor, line, context, items }) => {
  const group = readGroup(cursor, line, context);
  if (group) items.push(group);
  return group !== null;
};
const interruptionRule: LineRule = (reading) => {
  const found = readInterruption(reading.cursor, reading.slots, reading.line);
  if (found) reading.interruption = found;
  return found !== null;
};
/** A movement with its options; under a ladder that was said before, it goes by it. */
const pieceRule: LineRule = (reading) => {
  const { cursor, line, context, ladder } = reading;
  const from = cursor.at;
  const { slots, times, named } = readPiece(cursor, ladder ? { ...reading.slots, bare: 'rung' } : reading.slots);
  const open = (slot: Slot): boolean => slot.count.kind === 'max' || slot.count.kind === 'rung';
  const counted = reading.slots.listed && ladder ? slots.map((slot) => (open(slot) ? { ...slot, count: ladder } : slot)) : slots;
  const own = slots[0]?.count;
  if (own?.kind === 'ladder' || own?.kind === 'growing') reading.ladder = own;
  if (times !== null && times > 1 && counted.length > 0) reading.items.push(timesBlock(times, counted, null, context, line));
  else reading.items.push(...counted);
  if (slots.length === 0 && !named) reportUnread(cursor, from, line, context);
  if (cursor.at === from) cursor.next();
  return true;
};
const rules: readonly LineRule[] = [glue, restRule, clauseRule, minutesRule, stepRule, roundsRule, groupRule, interruptionRule, pieceRule];

/**
 * @param line what is left of a line behind its label or header
 * @param listed commas part movements even where no figure follows them
 */
export function readLine(line: Line, context: LineContext, listed = false): ReadLine {
  const cursor = cursorOf(line);
  const slots: SlotContext = { ...context, listed: listed || isListed(cursor), span: (from, to) => spanIn(line, cursor, from, to) };
  const reading: Reading = { line, cursor, context, slots, listed, items: [], header: emptyHeader(), interruption: null, step: null, ladder: null };
  while (!cursor.done) rules.some((rule) => rule(reading));
  const { items, interruption, header, step } = reading;
  return { items, interruption, header, step };
}

/** `5 x (200 m run, 10 push-ups)`: rounds on one line. */
function readGroup(cursor: Cursor, line: Line, context: LineContext): Block | null {
  const start = cursor.at;
  const times = readOpening(cursor);
  if (times === null || isComposite(cursor)) {
    cursor.at = start;
    return null;
  }
  const close = closingOf(cursor);
  const whole = restOfLine(line, cursor, cursor.at);
  const inside: Line = { ...whole, text: cursor.text(cursor.at, close) };
  cursor.at = Math.min(cursor.end, close + 1);
  const block = timesBlock(times, readLine(inside, context).items, null, context, line);
  context.timesBlocks.delete(block);
  return block;
}

/** A rest behind sets of a times sign stands between them; elsewhere it is a pause. */
function pushRest(items: Item[], rest: Rest, context: LineContext, line: Line): void {
  const before = items[items.length - 1];
  if (rest.open && rest.open !== 'left') context.report({ code: 'open_rest', span: spanOfLine(line), low: rest.low, high: rest.high });
  if (before?.kind === 'block' && context.timesBlocks.has(before) && before.restBetween === null) {
    const block = { ...before, restBetween: rest };
    context.timesBlocks.add(block);
    items[items.length - 1] = block;
  } else items.push({ kind: 'pause', seconds: rest });
}

function reportUnread(cursor: Cursor, from: number, line: Line, context: LineContext): void {
  const text = cursor.text(from, Math.max(cursor.at, from + 1));
  if (/[\p{L}\p{N}]/u.test(text))
    context.report({
      code: 'unreadable',
      span: spanIn(line, cursor, from, Math.max(cursor.at, from + 1)),
      text,
      expected: 'a count and a movement, such as “10 push-ups”',
    });
}
