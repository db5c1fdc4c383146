/**
 * Lines below a header → items, by indentation: slots, rests, and blocks of rounds or rungs.
 * One reader serves a whole document: it hands out the numbers of links and brackets and collects what could not be read.
 */
import type { MassUnit } from '../units/mass';
import { isEven } from '../text/figures';
import type { Block, Interruption, Item, Range, Rest, Slot, Team } from '../workout/workout';
import type { Cursor } from '../text/cursor';
import { headless, readFrame, readStation, readThen } from './labels';
import { most } from './limits';
import { mergeSets, setsBelow, setsOfItem, withName } from './listed-sets';
import { cursorOf, restOfLine, spanIn, spanOfLine, type Line } from './lines';
import type { ReadProblem, Span } from './problems';
import { readStartAndStep, type Growth } from './read-count';
import { hasClock, isBlockHeader, type Header } from './header';
import { readHeader } from './read-header';
import { grown, readLine } from './read-line';
import type { OwnMovements } from './read-own';
import type { SlotContext } from './to-slot';

export const once: Range = { low: 1, high: 1 };
/** unknown movements of one text for which near names are looked up */
const mostLooks = 40;
export type BareCount = SlotContext['bare'];

/** A line seen as what it may be over others: a block, a clause, or work. */
interface Opened {
  readonly header: Header;
  /** what is left of the line behind the header; null where nothing is */
  readonly inline: Line | null;
}

/** what could not be read stays as a note of its part */
const keptAsNote: ReadonlySet<ReadProblem['code']> = new Set<ReadProblem['code']>(['unreadable', 'zero_count', 'unread_words', 'penalty']);

export class ItemReader {
  readonly problems: ReadProblem[] = [];
  /** line of every slot read, kept beside the model so that the model stays free of places */
  readonly lines = new WeakMap<Slot, number>();
  readonly timesBlocks = new WeakSet<Block>();
  /** of the part that is being read */
  notes: string[] = [];
  interruption: Interruption | null = null;
  restBetween: Rest | null = null;
  /** a cap and a team that stood among the work */
  readonly said: { capSeconds: number | null; team: Team | null } = { capSeconds: null, team: null };
  /** a line that says how everything above it grows */
  private growth: Growth | null = null;
  private lastId = 0;

  constructor(
    readonly room: MassUnit,
    readonly own: OwnMovements,
  ) {}

  readonly nextId = (): number => ++this.lastId;
  private looked = 0;
  readonly mayLookNear = (): boolean => this.looked++ < mostLooks;
  readonly report = (problem: ReadProblem): void => {
    this.problems.push(problem);
    if (keptAsNote.has(problem.code) && 'text' in problem) this.notes.push(problem.text);
  };
  readonly keep = (text: string, span: Span): void => {
    this.notes.push(text);
    this.report(/\d/.test(text) ? { code: 'unread_figure', span, text } : { code: 'kept_as_note', span, text });
  };
  startPart(): void {
    this.lastId = 0;
    this.notes = [];
    this.interruption = null;
    this.restBetween = null;
    this.said.capSeconds = null;
    this.said.team = null;
  }

  /** One line of work → its items. */
  private work(line: Line, bare: BareCount, listed = line.listed === true): Item[] {
    const { items, interruption, header, step } = readLine(
      line,
      {
        bare,
        room: this.room,
        own: this.own,
        nextId: this.nextId,
        mayLookNear: this.mayLookNear,
        report: this.report,
        keep: this.keep,
        timesBlocks: this.timesBlocks,
      },
      listed,
    );
    this.interruption = interruption ?? this.interruption;
    this.said.capSeconds = header.capSeconds ?? this.said.capSeconds;
    this.said.team = header.team ?? this.said.team;
    this.place(items, line.number);
    if (step !== null && items.length === 0) this.growth = { start: null, step };
    return [...items];
  }
  private place(items: readonly Item[], number: number): void {
    for (const item of items)
      if (item.kind === 'slot') this.lines.set(item, number);
      else if (item.kind === 'block') this.place(item.items, number);
  }

  /** A copy of a slot that keeps its place. */
  replace(slot: Slot, change: Partial<Slot>): Slot {
    const changed = { ...slot, ...change };
    this.lines.set(changed, this.lines.get(slot) ?? 1);
    return changed;
  }

  /** Lines of one level and what is indented below them → items. */
  items(lines: readonly Line[], bare: BareCount, depth = 0, inLadder = false): Item[] {
    const first = lines[0];
    if (depth > most.nesting) {
      if (first) this.report({ code: 'limit', span: spanOfLine(first), limit: 'nesting', found: depth, most: most.nesting });
      return [];
    }
    const items: Item[] = [];
    for (let at = 0; at < lines.length;) {
      const below = childrenEnd(lines, at);
      const read = this.level(lines, at, below, bare, depth, inLadder);
      items.push(...read.items);
      this.grow(items);
      at = read.next;
    }
    if (!inLadder) this.tellLadders(items, null, lines);
    return inLadder ? items : withOwnLadders(items);
  }

  /** `+3 each round`, `start at 2, add 2 each minute` on a line of its own: everything above it grows. */
  private grow(items: Item[]): void {
    const { growth } = this;
    this.growth = null;
    if (growth)
      items.forEach((item, index) => {
        if (item.kind === 'slot') items[index] = this.replace(item, grown(item, growth.step, growth.start));
      });
  }

  /** Ladders side by side, or one under another, of different lengths: told at the line that is shorter. @param over the ladder they stand under */
  private tellLadders(items: readonly Item[], over: readonly number[] | null, lines: readonly Line[]): void {
    const laddered = items.flatMap((item) => (item.kind === 'slot' && item.count.kind === 'ladder' ? [{ slot: item, rungs: item.count.rungs }] : []));
    const longest = laddered.reduce<readonly number[]>((most, { rungs }) => (rungs.length > most.length ? rungs : most), over ?? []);
    const odd = laddered.find(({ rungs }) => rungs.length !== longest.length) ?? laddered.find(({ rungs }) => over !== null && rungs.length !== over.length);
    const line = odd && lines.find(({ number }) => number === this.lines.get(odd.slot));
    if (!odd || !line) return;
    const lengths = [...new Set([longest.length, odd.rungs.length, ...(over ? [over.length] : [])])].sort((a, b) => b - a);
    this.report({ code: 'ladders_disagree', span: spanOfLine(line), header: line.text, lengths, rungs: over ? null : longest });
  }

  /** The line at `at`, with what belongs to it. */
  private level(lines: readonly Line[], at: number, below: number, bare: BareCount, depth: number, inLadder: boolean): { items: Item[]; next: number } {
    const growth = readStartAndStep(cursorOf(lines[at]!));
    if (growth) {
      this.growth = growth;
      return { items: [], next: at + 1 };
    }
    const line = headless(lines[at]!);
    if (isPenalty(line)) {
      this.report({ code: 'penalty', span: spanOfLine(line), text: line.text });
      return { items: [], next: at + 1 };
    }
    const children = lines.slice(at + 1, below);
    if (isThen(line)) return { items: [], next: at + 1 };
    const opened = openLine(line);
    if (opened && isBlockHeader(opened.header))
      return this.block(line, opened, children.length > 0 ? children : this.covered(lines, at, opened), below, children.length > 0, bare, depth, at);
    if (opened && this.clause(line, opened)) return { items: this.items(children, bare, depth + 1, inLadder), next: below };
    const sets = setsBelow(line, children.length > 0 ? children : lines.slice(at + 1));
    if (sets > 0 && children.length === 0) return { items: this.listedSets(lines.slice(at + 1, at + 1 + sets), line.text, bare), next: at + 1 + sets };
    return { items: [...this.work(line, bare), ...this.items(children, bare, depth + 1, inLadder)], next: below };
  }

  /** `5 @ 60 %`, `3 @ 80 %` under the name of a lift → one block, a round for every set. */
  private listedSets(lines: readonly Line[], name: string, bare: BareCount): Item[] {
    const items = lines.flatMap((line) => this.work(withName(headless(line), name), bare));
    const sets = items.flatMap(setsOfItem);
    const slot = mergeSets(sets);
    if (!slot) return items;
    this.lines.set(slot, lines[0]!.number);
    const block: Block = { kind: 'block', rounds: { low: sets.length, high: sets.length }, ladder: null, restBetween: null, items: [slot] };
    this.timesBlocks.add(block);
    return [block];
  }

  /** A line that only says something of the part: a rest between its rounds. @returns false for work */
  private clause(line: Line, { header, inline }: Opened): boolean {
    if (header.clock?.kind === 'rest' || header.clock?.kind === 'restUntil' || (header.clock?.kind === 'amrap' && header.clock.seconds === null)) return false;
    if (header.clock?.kind === 'every' && inline !== null) return false;
    if (hasClock(header)) {
      this.report({ code: 'unreadable', span: spanOfLine(line), text: line.text, expected: 'one clock a part; leave a blank line before another part' });
      return inline === null;
    }
    if (header.restBetween) this.restBetween = header.restBetween;
    return header.restBetween !== null && inline === null;
  }

  /** The lines an unindented block covers: the rest of the part, up to another block, a cash-out or a "then". */
  private covered(lines: readonly Line[], at: number, opened: Opened): readonly Line[] {
    if (opened.inline !== null) return [];
    let end = at + 1;
    let work = false;
    for (; end < lines.length; end++) {
      const cursor = cursorOf(lines[end]!);
      const level = lines[end]!.indent <= lines[at]!.indent;
      if (level && (readFrame(cursor) === 'cashOut' || readThen(cursor) || cursor.isWord('then'))) break;
      const header = openLine(headless(lines[end]!));
      const opens = header !== null && isBlockHeader(header.header);
      if (level && opens && work) break;
      work ||= !opens;
    }
    return lines.slice(at + 1, end);
  }

  private block(
    line: Line,
    opened: Opened,
    inside: readonly Line[],
    below: number,
    indented: boolean,
    bare: BareCount,
    depth: number,
    at: number,
  ): { items: Item[]; next: number } {
    const { header, inline } = opened;
    const next = indented ? below : at + 1 + inside.length;
    const outer = this.restBetween;
    this.restBetween = null;
    const ladder = header.ladder;
    const inBare: BareCount = ladder ? 'rung' : bare;
    const work = [...(inline ? this.work(inline, inBare, true) : []), ...this.items(inside, inBare, depth + 1, ladder !== null)];
    const rest = header.restBetween ?? this.restBetween;
    this.restBetween = outer;
    if (work.length === 0) this.report({ code: 'no_movement', span: spanOfLine(line), header: line.text });
    if (ladder && !ladder.open) this.tellLadders(work, ladder.rungs, inside);
    if (ladder?.open) return { items: this.climb(work, ladder.rungs, line), next };
    return { items: [this.wrap(header, work, rest, line)], next };
  }

  /** Rounds, sets and a ladder of a header around their work. */
  wrap(header: Header, items: readonly Item[], restBetween: Rest | null, line: Line): Block {
    const rounds = header.rounds ?? (header.sets ? { low: header.sets, high: header.sets } : once);
    const within = this.withinRounds(rounds, line);
    if (header.ladder && within.high > 1)
      return {
        kind: 'block',
        rounds: within,
        ladder: null,
        restBetween,
        items: [{ kind: 'block', rounds: once, ladder: header.ladder.rungs, restBetween: null, items }],
      };
    return { kind: 'block', rounds: within, ladder: header.ladder?.rungs ?? null, restBetween, items };
  }
  withinRounds(rounds: Range, line: Line): Range {
    if (rounds.high <= most.rounds) return rounds;
    this.report({ code: 'limit', span: spanOfLine(line), limit: 'rounds', found: rounds.high, most: most.rounds });
    return { low: Math.min(rounds.low, most.rounds), high: most.rounds };
  }

  /** Slots under an open ladder, as growing counts; its first step is every step. */
  climb(items: readonly Item[], rungs: readonly number[], line: Line): Item[] {
    const [first = 1, second = first] = rungs;
    if (!isEven(rungs)) this.report({ code: 'read_as', span: spanOfLine(line), text: rungs.join('-'), as: `${first}, +${second - first} each round` });
    return items.map((item) => (item.kind === 'slot' ? this.growing(item, rungs) : item));
  }
  private growing(slot: Slot, rungs: readonly number[]): Slot {
    return slot.count.kind === 'rung' || slot.count.kind === 'max'
      ? this.replace(slot, { count: { kind: 'growing', start: rungs[0]!, step: (rungs[1] ?? 0) - rungs[0]! } })
      : slot;
  }

  /** Labelled lines (`1: …`, `odd: …`, `min 2: …`) → stations; without labels one station, or with `alternate` a station a line. */
  stations(lines: readonly Line[], alternate: boolean, bare: BareCount): Item[][] {
    const starts = lines.map((line) => {
      const cursor = cursorOf(line);
      return readStation(cursor) ? restOfLine(line, cursor, cursor.at) : null;
    });
    if (!starts.some(Boolean)) return alternate ? linesApart(lines).map((group) => this.items(group, bare)) : [this.items(lines, bare)];
    const groups: Line[][] = [];
    lines.forEach((line, index) => {
      const start = starts[index];
      if (!start) {
        if (groups.length === 0) groups.push([]);
        groups[groups.length - 1]!.push(line);
      } else groups.push(start.text.trim() === '' ? [] : [{ ...start, indent: line.indent + start.column - line.column }]);
    });
    return groups.map((group) => (group.length === 1 && isRest(group[0]!) ? [] : this.items(levelled(group), bare)));
  }

  /** Words that were read as something else than work. */
  note(line: Line, cursor: Cursor, from: number): void {
    this.keep(withoutLooseEnds(cursor.text(from, cursor.end)), spanIn(line, cursor, from, cursor.end));
  }
}

/** `every break: 5 burpees`: told to the athlete, and not reckoned with. */
const isPenalty = (line: Line): boolean => {
  const cursor = cursorOf(line);
  if (cursor.phrase('penalty')) return cursor.sign(':');
  if (!cursor.phrase('on|for|at?', 'every|each', 'time?', 'you?')) return false;
  return cursor.phrase('break|drop|stop|pause|rest', 'of|in?', 'the?', 'set|bar|hang|plank?') && cursor.sign(':', '-', ',', '=');
};
/** A bracket that closes what a header opened, and the colon behind it, say nothing of their own. */
const withoutLooseEnds = (text: string): string => {
  const plain = text.replace(/[:\s]+$/, '');
  return plain.endsWith(')') && !plain.includes('(') ? plain.slice(0, -1).trimEnd() : plain;
};
/** `then`, `rounds of:` on a line of its own: words between what stands above and below. */
const isThen = (line: Line): boolean => {
  const cursor = cursorOf(line);
  if (cursor.phrase('rounds|sets', 'of')) cursor.sign(':');
  else if (!readThen(cursor)) cursor.word('then');
  return cursor.at > 0 && cursor.done;
};
const isRest = (line: Line): boolean => cursorOf(line).isWord('rest');
function childrenEnd(lines: readonly Line[], at: number): number {
  let end = at + 1;
  while (end < lines.length && lines[end]!.indent > lines[at]!.indent) end++;
  return end;
}

/** @returns null for a line that is plain work: no header, or a ladder that belongs to the movement behind it */
function openLine(line: Line): Opened | null {
  const cursor = cursorOf(line);
  const header = readHeader(cursor);
  if (!header) return null;
  const inline = cursor.done ? null : restOfLine(line, cursor, cursor.at);
  const onlyLadder = header.ladder !== null && header.rounds === null && header.sets === null && !hasClock(header);
  return onlyLadder && inline !== null ? null : { header, inline };
}

/** Lines of the lowest level, each with what is indented below it. */
function linesApart(lines: readonly Line[]): Line[][] {
  const floor = Math.min(...lines.map((line) => line.indent));
  const groups: Line[][] = [];
  for (const line of lines) {
    if (line.indent === floor || groups.length === 0) groups.push([line]);
    else groups[groups.length - 1]!.push(line);
  }
  return groups;
}

/** The first line of a station is level with the ones below it, however it was indented. */
function levelled(group: readonly Line[]): Line[] {
  if (group.length < 2) return [...group];
  const floor = Math.min(...group.slice(1).map((line) => line.indent));
  const opened = openLine(group[0]!);
  return group.map((line, index) => (index === 0 && !(opened && isBlockHeader(opened.header)) ? { ...line, indent: floor } : line));
}

/** Slots with ladders of their own make the whole level one block, walked a rung at a time. */
function withOwnLadders(items: Item[]): Item[] {
  if (!items.some((item) => item.kind === 'slot' && item.count.kind === 'ladder')) return items;
  return [{ kind: 'block', rounds: once, ladder: null, restBetween: null, items }];
}
