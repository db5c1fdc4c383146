/**
 * Lines below a header → items, by indentation: slots, rests, and blocks of rounds or rungs.
 * One reader serves a whole document: it hands out the numbers of links and brackets and collects what could not be read.
 */
import type { Block, Item, Pause, Range, Slot } from '../workout/workout';
import { readLadder, readTimeRange } from './figures';
import type { ReadProblem, Span } from './problems';
import { readClauses, readRepeat } from './read-header';
import { readSlots, type SlotContext } from './read-slot';
import type { Line } from './scan';

export const spanOfLine = (line: Line): Span => ({ line: line.number, column: line.indent + 1, length: Math.max(1, line.text.length) });
export const once: Range = { low: 1, high: 1 };

export class ItemReader {
  readonly problems: ReadProblem[] = [];
  private lastId = 0;
  /** line of every slot object read, kept beside the model so that the model stays free of places */
  readonly lines = new WeakMap<Slot, number>();
  readonly nextId = (): number => ++this.lastId;
  readonly report = (problem: ReadProblem): void => {
    this.problems.push(problem);
  };
  startPart(): void {
    this.lastId = 0;
  }

  slots(line: Line, text: string, bare: SlotContext['bare']): Slot[] {
    const found = readSlots(text, {
      line: line.number,
      column: line.indent + 1 + Math.max(0, line.text.indexOf(text)),
      bare,
      nextId: this.nextId,
      report: this.report,
    });
    for (const slot of found) this.lines.set(slot, line.number);
    return found;
  }

  /** A slot under an open ladder, as a growing count. */
  private growing(slot: Slot, rungs: readonly number[]): Slot {
    const grown: Slot = slot.count.kind === 'rung' ? { ...slot, count: { kind: 'growing', start: rungs[0]!, step: rungs[1]! - rungs[0]! } } : slot;
    this.lines.set(grown, this.lines.get(slot) ?? 1);
    return grown;
  }

  /** Lines of one level and what is indented below them → items. */
  items(lines: readonly Line[], bare: SlotContext['bare'], inLadder = false): Item[] {
    const items: Item[] = [];
    for (let at = 0; at < lines.length; at++) {
      const line = lines[at]!;
      let end = at + 1;
      while (end < lines.length && lines[end]!.indent > line.indent) end++;
      const children = lines.slice(at + 1, end);
      const repeat = readRepeat(line.text);
      const ladder = readLadder(line.text.replace(/(?:\s+reps)?(?:\s+of)?\s*:?\s*$/i, ''));
      const rest = /^rest\s+(.+)$/i.exec(line.text);
      const pause = rest ? readTimeRange(rest[1]!, 'seconds') : null;
      if (ladder?.open && !repeat) {
        // "3-6-9-…" goes on for ever: every movement below it grows by the same step
        const below = this.items(children.length > 0 ? children : lines.slice(at + 1), 'rung', true);
        items.push(...below.map((item) => (item.kind === 'slot' ? this.growing(item, ladder.rungs) : item)));
        at = children.length > 0 ? end - 1 : lines.length;
      } else if (repeat ?? ladder) {
        const inside = children.length > 0 ? children : lines.slice(at + 1);
        const clauses = readClauses(repeat?.rest ?? '');
        const below = this.items(inside, ladder && !ladder.open ? 'rung' : bare, Boolean(ladder));
        const block: Block = { kind: 'block', rounds: repeat?.count ?? once, ladder: ladder?.rungs ?? null, restBetween: clauses.restBetween, items: below };
        if (below.length === 0) this.report({ code: 'no_movement', span: spanOfLine(line), header: line.text });
        items.push(block);
        at = children.length > 0 ? end - 1 : lines.length;
      } else if (pause) {
        const item: Pause = { kind: 'pause', seconds: pause };
        items.push(item);
      } else {
        items.push(...this.slots(line, line.text.replace(/^(?:buy-?\s?in|cash-?\s?out)\s*:\s*/i, ''), bare));
        if (children.length > 0) items.push(...this.items(children, bare, inLadder));
        at = end - 1;
      }
    }
    return inLadder ? items : withOwnLadders(items, (lengths) => lines[0] && this.report({ code: 'ladders_disagree', span: spanOfLine(lines[0]), lengths }));
  }

  /** Numbered lines (`1: …`, `odd: …`, `minute 2: …`) → stations; unnumbered → one station; `alternate` → a station a line. */
  stations(lines: readonly Line[], alternate: boolean, bare: SlotContext['bare'], word: RegExp): Item[][] {
    const starts = lines.map((line) => word.exec(line.text));
    if (!starts.some(Boolean)) {
      if (!alternate) return [this.items(lines, bare)];
      const floor = Math.min(...lines.map((line) => line.indent));
      const groups: Line[][] = [];
      for (const line of lines) {
        if (line.indent === floor || groups.length === 0) groups.push([line]);
        else groups[groups.length - 1]!.push(line);
      }
      return groups.map((group) => this.items(group, bare));
    }
    const groups: Line[][] = [];
    lines.forEach((line, index) => {
      const start = starts[index];
      if (!start) {
        groups[groups.length - 1]?.push(line);
        return;
      }
      const text = line.text.slice(start[0].length);
      const lead = line.text.length - text.trimStart().length;
      groups.push(text.trim() === '' ? [] : [{ ...line, indent: line.indent + lead, text: text.trim() }]);
    });
    return groups.map((group) => (group.length === 1 && /^rest\b/i.test(group[0]!.text) ? [] : this.items(flattenIndent(group), bare)));
  }
}

/** The first line of a station is level with the ones below it, however it was indented. */
function flattenIndent(group: readonly Line[]): Line[] {
  if (group.length < 2) return [...group];
  const floor = Math.min(...group.slice(1).map((line) => line.indent));
  return group.map((line, index) => (index === 0 && !readRepeat(line.text) ? { ...line, indent: floor } : line));
}

/** Slots with ladders of their own make the whole level one block, walked a rung at a time. */
function withOwnLadders(items: Item[], disagree: (lengths: number[]) => void): Item[] {
  const lengths = items.flatMap((item) => (item.kind === 'slot' && item.count.kind === 'ladder' ? [item.count.rungs.length] : []));
  if (lengths.length === 0) return items;
  if (new Set(lengths).size > 1) disagree([...new Set(lengths)]);
  return [{ kind: 'block', rounds: once, ladder: null, restBetween: null, items }];
}
