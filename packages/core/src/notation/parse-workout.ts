/**
 * Whiteboard text → workout, with a diagnostic for whatever is missing or doubtful. Never throws and never refuses: what cannot be read is left out and said.
 * scan (lines) → paragraphs (parts) → header and settings → items, by indentation.
 */
import type { Block, Item, Part, Pause, QualityPart, Range, ScoreKind, Slot, Tier, Window, Workout } from '../workout/workout';
import { slotsOfPart } from '../workout/walk';
import { summarize, type WorkoutSummary } from '../workout/summary';
import { diagnose, type Diagnostic, type ReadProblem, type Span } from './problems';
import { readLadder, readColumns, readTimeRange, readWindow } from './figures';
import { poundsToKilograms } from '../units/mass';
import { readClauses, readHeader, readRepeat, type Clauses, type Header } from './read-header';
import { readSlots, type SlotContext } from './read-slot';
import { paragraphsOf, scanLines, type Line } from './scan';

export interface ParsedWorkout {
  readonly workout: Workout;
  readonly summary: WorkoutSummary;
  readonly diagnostics: readonly Diagnostic[];
  /** for each part of the workout above the tiers: the line of its first row, and the line of each slot in reading order */
  readonly places: readonly { readonly line: number; readonly slotLines: readonly number[] }[];
}

interface Settings {
  name: string | null;
  score: ScoreKind | null;
  window: Window | null;
  intent: string | null;
  capSeconds: number | null;
  optional: boolean;
  noPartition: boolean;
  startsAtFinishOrCap: boolean;
  alternate: boolean;
  vest: Part['vest'];
  notes: string[];
}

const scoreWords: readonly [RegExp, ScoreKind][] = [
  [/^(?:each|every|per) (?:set|round|window)/i, 'eachSet'],
  [/^(?:sum|total(?: of sets)?$)/i, 'sum'],
  [/^(?:total )?reps/i, 'reps'],
  [/^rounds/i, 'rounds'],
  [/^(?:total )?time/i, 'time'],
  [/^(?:max )?load|^weight/i, 'load'],
  [/^distance|^metres/i, 'distance'],
  [/^cal/i, 'calories'],
  [/^(?:done|none|no score|completed)/i, 'done'],
];

const spanOfLine = (line: Line): Span => ({ line: line.number, column: line.indent + 1, length: Math.max(1, line.text.length) });
const once: Range = { low: 1, high: 1 };

class Reader {
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

/** Takes the settings lines out of a paragraph. */
function takeSettings(lines: readonly Line[], reader: Reader): { settings: Settings; body: Line[] } {
  const settings: Settings = {
    name: null,
    score: null,
    window: null,
    intent: null,
    capSeconds: null,
    optional: false,
    noPartition: false,
    startsAtFinishOrCap: false,
    alternate: false,
    vest: null,
    notes: [],
  };
  const body: Line[] = [];
  for (const line of lines) {
    const labelled = /^(score|window|intent|stimulus|note|notes|cap|time cap|part)\s*:\s*(.+)$/i.exec(line.text);
    const label = labelled?.[1]?.toLowerCase();
    const value = labelled?.[2]?.trim() ?? '';
    const vest = /^with (?:a )?vest(?:\s*@?\s*(\d+(?:\.\d+)?(?:\s*\/\s*\d+(?:\.\d+)?)?)\s*(kg|lb|lbs)?)?$/i.exec(line.text);
    if (label === 'score') {
      const found = scoreWords.find(([pattern]) => pattern.test(value));
      if (found) settings.score = found[1];
      else
        reader.report({
          code: 'unreadable',
          span: spanOfLine(line),
          text: line.text,
          expected: 'time, rounds, reps, load, distance, calories, each set, sum or done',
        });
    } else if (label === 'window' && !/^\d+$/.test(value)) {
      const window = readWindow(value, null);
      if (window) settings.window = window;
      else reader.report({ code: 'unreadable', span: spanOfLine(line), text: line.text, expected: 'a window such as “8:00-11:00” or “7-10 rounds”' });
    } else if (label === 'intent' || label === 'stimulus') {
      settings.intent = settings.intent ? `${settings.intent}; ${value}` : value;
      settings.window ??=
        value
          .split(/[,;]/)
          .map((clause) => readWindow(clause, null))
          .find(Boolean) ?? null;
    } else if (label === 'note' || label === 'notes') settings.notes.push(value);
    else if (label === 'cap' || label === 'time cap' || /^(?:time )?cap \d/i.test(line.text))
      settings.capSeconds = readClauses(line.text.replace(':', ' ')).capSeconds ?? readClauses(`cap ${value}`).capSeconds;
    else if (label === 'part') settings.name = value;
    else if (/^optional\s*:?$/i.test(line.text)) settings.optional = true;
    else if (/^no partition(?:ing)?$/i.test(line.text)) settings.noPartition = true;
    else if (/^starts? at (?:the )?finish or cap$/i.test(line.text)) settings.startsAtFinishOrCap = true;
    else if (/^alternat(?:e|ing)\s*:?$/i.test(line.text)) settings.alternate = true;
    else if (vest) {
      const columns = readColumns(vest[1] ?? '9/6')!;
      const pounds = vest[2]?.toLowerCase().startsWith('lb') ?? false;
      settings.vest = {
        men: pounds ? poundsToKilograms(columns.men) : columns.men,
        women: pounds ? poundsToKilograms(columns.women) : columns.women,
        unit: pounds ? 'lb' : 'kg',
      };
    } else body.push(line);
  }
  return { settings, body };
}

function baseOf(settings: Settings, score: ScoreKind): Omit<QualityPart, 'kind' | 'seconds' | 'items'> {
  const said = settings.score ?? score;
  const window = settings.window && said === 'sum' && settings.window.per === 'part' ? { ...settings.window, per: 'workout' as const } : settings.window;
  return {
    name: settings.name,
    score: said,
    scoreSaid: settings.score !== null,
    window,
    intent: settings.intent,
    optional: settings.optional,
    noPartition: settings.noPartition,
    vest: settings.vest,
    startsAtFinishOrCap: settings.startsAtFinishOrCap,
    notes: settings.notes,
  };
}

const hasMax = (items: readonly Item[]): boolean =>
  items.some((item) => (item.kind === 'slot' ? item.count.kind === 'max' : item.kind === 'block' && hasMax(item.items)));
const maxUnitScore = (items: readonly Item[]): ScoreKind => {
  const slot = items.flatMap((item) => (item.kind === 'slot' && item.count.kind === 'max' ? [item] : []))[0];
  return slot?.unit === 'm' ? 'distance' : slot?.unit === 'cal' ? 'calories' : 'reps';
};

const stationWord = /^(?:(?:minute|min|station|window)\s*)?(?:\d+|odd|even)\s*[:.)]\s*|^(?:odd|even)(?:\s+minutes?)?\s*:?\s+/i;
const windowWord = /^window\s*\d+\s*:?\s*/i;

function readPart(lines: readonly Line[], reader: Reader): Part | null {
  reader.startPart();
  const { settings, body } = takeSettings(lines, reader);
  const first = body[0];
  if (!first) return null;
  const read = readHeader(first.text);
  const strengthLine = /^(\d+)\s*x\s*(\d+(?:-\d+)?)\s+(?=[a-z])/i.exec(first.text);
  if (!read && strengthLine) {
    const items = reader.items(
      body.map((line) => ({ ...line, text: line.text.replace(/^\d+\s*x\s*/i, '') })),
      'missing',
    );
    return { ...baseOf(settings, 'load'), kind: 'strength', everySeconds: null, sets: Number(strengthLine[1]), restBetween: null, items };
  }
  if (!read) return readHeaderless(body, settings, reader);
  const clauses = readClauses(read.rest);
  for (const clause of clauses.unread) settings.notes.push(clause);
  settings.capSeconds ??= clauses.capSeconds;
  return partOf(read.header, clauses, first, body.slice(1), settings, reader);
}

function partOf(header: Header, clauses: Clauses, first: Line, rest: readonly Line[], settings: Settings, reader: Reader): Part | null {
  const span = spanOfLine(first);
  const needMovements = (items: readonly (readonly Item[])[]): void => {
    if (items.every((list) => list.length === 0)) reader.report({ code: 'no_movement', span, header: first.text });
  };
  switch (header.kind) {
    case 'rest':
      if (header.seconds !== null && header.bareMinutes && header.seconds >= 1200) reader.report({ code: 'long_rest', span, seconds: header.seconds });
      return { ...baseOf(settings, 'done'), kind: 'rest', seconds: header.seconds, untilSeconds: header.untilSeconds };
    case 'amrap': {
      if (!header.seconds) reader.report({ code: 'no_duration', span, header: first.text });
      const items = reader.items(rest, rest.length === 1 ? 'max' : 'missing');
      needMovements([items]);
      const lone = items.length === 1 && hasMax(items);
      return {
        ...baseOf(settings, lone ? maxUnitScore(items) : 'rounds'),
        kind: 'amrap',
        seconds: header.seconds ?? { low: 600, high: 600 },
        sets: header.sets,
        restBetween: clauses.restBetween,
        items,
      };
    }
    case 'forTime': {
      const { sets, items, clauses: inner } = takeSets(rest, reader, header.sets);
      const wrapped: Item[] = header.rounds
        ? [{ kind: 'block', rounds: header.rounds, ladder: null, restBetween: header.sets ? null : clauses.restBetween, items }]
        : items;
      needMovements([items]);
      const part: Part = {
        ...baseOf(settings, sets > 1 ? 'eachSet' : 'time'),
        kind: 'forTime',
        capSeconds: settings.capSeconds,
        capPerSet: clauses.capPerSet,
        sets,
        restBetween: inner?.restBetween ?? (sets > 1 ? clauses.restBetween : null),
        items: wrapped,
      };
      if (part.capSeconds === null && part.window === null) reader.report({ code: 'no_cap', span });
      return checkedWindow(part, span, reader);
    }
    case 'every': {
      const byWindow = rest.some((line) => windowWord.test(line.text));
      const stations = byWindow ? reader.stations(rest, false, 'missing', windowWord) : reader.stations(rest, settings.alternate, 'missing', stationWord);
      needMovements(stations);
      const total = header.totalSeconds ?? null;
      const count = header.count ?? (total !== null ? Math.floor(total / header.intervalSeconds) : stations.length > 1 ? stations.length : 10);
      if (header.count === null && total === null) reader.report({ code: 'no_duration', span, header: first.text });
      if (settings.capSeconds !== null && settings.capSeconds > header.intervalSeconds)
        reader.report({ code: 'cap_over_interval', span, capSeconds: settings.capSeconds, intervalSeconds: header.intervalSeconds });
      if (byWindow) {
        if (stations.length !== 1 && stations.length !== count)
          reader.report({ code: 'windows_do_not_add_up', span, intervals: count, windows: stations.length });
        return {
          ...baseOf(settings, 'eachSet'),
          kind: 'windows',
          intervalSeconds: header.intervalSeconds,
          count,
          capSeconds: settings.capSeconds,
          windows: stations,
        };
      }
      const slots = stations.flatMap((items) => items.flatMap((item) => (item.kind === 'slot' ? [item] : [])));
      if (clauses.build || slots.some((slot) => slot.tempo !== null || slot.build))
        return { ...baseOf(settings, 'load'), kind: 'strength', everySeconds: header.intervalSeconds, sets: count, restBetween: null, items: stations.flat() };
      if (count % stations.length !== 0) reader.report({ code: 'minutes_do_not_add_up', span, intervals: count, stations: stations.length });
      for (const items of stations) {
        const held = items.reduce((sum, item) => sum + (item.kind === 'slot' && item.unit === 's' && item.count.kind === 'fixed' ? item.count.men : 0), 0);
        if (held > header.intervalSeconds) reader.report({ code: 'holds_over_interval', span, holdSeconds: held, intervalSeconds: header.intervalSeconds });
      }
      return {
        ...baseOf(settings, stations.some(hasMax) ? maxUnitScore(stations.flat()) : 'done'),
        kind: 'every',
        intervalSeconds: header.intervalSeconds,
        count,
        capSeconds: settings.capSeconds,
        stations,
      };
    }
    case 'intervals': {
      if (header.count === null) reader.report({ code: 'no_rounds', span });
      const stations = reader.stations(rest, settings.alternate, 'max', stationWord);
      needMovements(stations);
      const segments = Array.from({ length: header.count ?? 8 }, () => header.segments).flat();
      return { ...baseOf(settings, 'reps'), kind: 'intervals', segments, circuitRounds: null, stations };
    }
    case 'circuit': {
      const stations = reader.stations(rest, true, 'max', stationWord);
      needMovements(stations);
      const segments = Array.from({ length: header.rounds * stations.length }, () => ({ workSeconds: header.stationSeconds, restSeconds: 0 }));
      return { ...baseOf(settings, 'reps'), kind: 'intervals', segments, circuitRounds: header.rounds, stations };
    }
    case 'maxLoad': {
      const items = reader.items(rest, 'missing');
      needMovements([items]);
      return { ...baseOf(settings, 'load'), kind: 'maxLoad', seconds: header.seconds, items };
    }
    case 'strength': {
      const { sets, items, clauses: inner } = takeSets(rest, reader, null);
      needMovements([items]);
      return { ...baseOf(settings, 'load'), kind: 'strength', everySeconds: null, sets, restBetween: inner?.restBetween ?? clauses.restBetween, items };
    }
    case 'quality': {
      const items = reader.items(rest, 'missing');
      needMovements([items]);
      return {
        ...baseOf(settings, 'done'),
        kind: 'quality',
        seconds: header.seconds,
        items: header.rounds ? [{ kind: 'block', rounds: header.rounds, ladder: null, restBetween: clauses.restBetween, items }] : items,
      };
    }
  }
}

/** `3 sets, rest 1:00 between` at the head of a body. */
function takeSets(lines: readonly Line[], reader: Reader, known: number | null): { sets: number; items: Item[]; clauses: Clauses | null } {
  const first = lines[0];
  const repeat = first ? readRepeat(first.text) : null;
  if (known === null && first && repeat?.what === 'sets') {
    const children = lines.slice(1).filter((line) => line.indent > first.indent);
    return { sets: repeat.count.high, items: reader.items(children.length > 0 ? children : lines.slice(1), 'missing'), clauses: readClauses(repeat.rest) };
  }
  return { sets: known ?? 1, items: reader.items(lines, 'missing'), clauses: null };
}

/** A part without a header that has ladders, rounds or sets is for time; a lone list of movements too. */
function readHeaderless(body: readonly Line[], settings: Settings, reader: Reader): Part | null {
  const first = body[0]!;
  const clauses = readClauses(readRepeat(first.text)?.rest ?? '');
  settings.capSeconds ??= clauses.capSeconds;
  const { sets, items, clauses: inner } = takeSets(body, reader, null);
  if (items.length === 0) return null;
  if (clauses.forQuality) return { ...baseOf(settings, 'done'), kind: 'quality', seconds: null, items };
  const part: Part = {
    ...baseOf(settings, sets > 1 ? 'eachSet' : 'time'),
    kind: 'forTime',
    capSeconds: settings.capSeconds,
    capPerSet: clauses.capPerSet,
    sets,
    restBetween: inner?.restBetween ?? null,
    items,
  };
  if (part.capSeconds === null && part.window === null)
    reader.report({ code: settings.score === 'time' || clauses.forTime ? 'no_cap' : 'cap_assumed_open', span: spanOfLine(first) });
  return checkedWindow(part, spanOfLine(first), reader);
}

function checkedWindow(part: Part, span: Span, reader: Reader): Part {
  if (
    part.kind === 'forTime' &&
    part.capSeconds !== null &&
    part.window?.unit === 'seconds' &&
    part.window.per === 'part' &&
    (part.window.low ?? 0) >= part.capSeconds
  )
    reader.report({ code: 'cap_before_window', span, capSeconds: part.capSeconds, windowSeconds: part.window.low! });
  return part;
}

interface Section {
  readonly parts: Part[];
  readonly intent: string | null;
  readonly notes: string[];
  readonly starts: number[];
}

function readSection(lines: readonly Line[], reader: Reader): Section {
  const parts: Part[] = [];
  const starts: number[] = [];
  const notes: string[] = [];
  let intent: string | null = null;
  for (const paragraph of paragraphsOf(lines)) {
    const part = readPart(paragraph, reader);
    if (part) {
      parts.push(part);
      starts.push(paragraph[0]!.number);
      continue;
    }
    const { settings } = takeSettings(paragraph, { ...reader, report: () => undefined } as unknown as Reader);
    const previous = parts[parts.length - 1];
    if (!previous) {
      intent = settings.intent ?? intent;
      notes.push(...settings.notes);
    } else
      parts[parts.length - 1] = {
        ...previous,
        score: settings.score ?? previous.score,
        scoreSaid: previous.scoreSaid || settings.score !== null,
        window: settings.window ?? previous.window,
        intent: settings.intent ?? previous.intent,
        notes: [...previous.notes, ...settings.notes],
        ...(previous.kind === 'forTime' ? { capSeconds: settings.capSeconds ?? previous.capSeconds } : {}),
      };
  }
  return { parts, intent, notes, starts };
}

/**
 * Reads a workout as it stands on a whiteboard.
 * @param source the text; `# title`, parts separated by blank lines, `## tier name` for tiers
 * @returns the workout, its totals and the diagnostics, in the order of the lines; an empty text gives a workout without parts and one error
 */
export function parseWorkout(source: string): ParsedWorkout {
  const reader = new Reader();
  const lines = scanLines(source.replace(/^\uFEFF/, ''));
  let title: string | null = null;
  const main: Line[] = [];
  const tierLines: { name: string; lines: Line[] }[] = [];
  for (const line of lines) {
    const tier = /^##+\s*(?:tier\s*:?\s+)?(.+)$/i.exec(line.text);
    const heading = /^#\s*(.+)$/.exec(line.text);
    if (tier) tierLines.push({ name: tier[1]!.trim(), lines: [] });
    else if (heading && tierLines.length === 0) {
      title ??= heading[1]!.trim();
      main.push({ ...line, text: '' });
    } else (tierLines[tierLines.length - 1]?.lines ?? main).push(line);
  }
  const section = readSection(main, reader);
  const tiers: Tier[] = tierLines.map((each) => ({ name: each.name, parts: readSection(each.lines, reader).parts }));
  if (section.parts.length === 0 && reader.problems.length === 0) reader.report({ code: 'empty', span: { line: 1, column: 1, length: 1 } });
  const workout: Workout = { title, intent: section.intent, notes: section.notes, parts: section.parts, tiers };
  const diagnostics = reader.problems.map(diagnose).sort((a, b) => a.line - b.line || a.column - b.column);
  const places = section.parts.map((part, index) => ({
    line: section.starts[index]!,
    slotLines: slotsOfPart(part).map((slot) => reader.lines.get(slot) ?? section.starts[index]!),
  }));
  return { workout, summary: summarize(workout), diagnostics, places };
}
