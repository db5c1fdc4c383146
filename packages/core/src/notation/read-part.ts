/** One paragraph → one part: its header names the kind, its clauses the clock, the lines below the work. */
import type { Item, Part, ScoreKind } from '../workout/workout';
import { spanOfLine, type ItemReader } from './item-reader';
import type { Span } from './problems';
import { readClauses, readHeader, readRepeat, type Clauses, type Header } from './read-header';
import { baseOf, takeSettings, type Settings } from './read-settings';
import type { Line } from './scan';

const hasMax = (items: readonly Item[]): boolean =>
  items.some((item) => (item.kind === 'slot' ? item.count.kind === 'max' : item.kind === 'block' && hasMax(item.items)));
const maxUnitScore = (items: readonly Item[]): ScoreKind => {
  const slot = items.flatMap((item) => (item.kind === 'slot' && item.count.kind === 'max' ? [item] : []))[0];
  return slot?.unit === 'm' ? 'distance' : slot?.unit === 'cal' ? 'calories' : 'reps';
};

const stationWord = /^(?:(?:minute|min|station|window)\s*)?(?:\d+|odd|even)\s*[:.)]\s*|^(?:odd|even)(?:\s+minutes?)?\s*:?\s+/i;
const windowWord = /^window\s*\d+\s*:?\s*/i;

export function readPart(lines: readonly Line[], reader: ItemReader): Part | null {
  reader.startPart();
  const { settings, body } = takeSettings(lines, reader.report);
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

function partOf(header: Header, clauses: Clauses, first: Line, rest: readonly Line[], settings: Settings, reader: ItemReader): Part | null {
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
function takeSets(lines: readonly Line[], reader: ItemReader, known: number | null): { sets: number; items: Item[]; clauses: Clauses | null } {
  const first = lines[0];
  const repeat = first ? readRepeat(first.text) : null;
  if (known === null && first && repeat?.what === 'sets') {
    const children = lines.slice(1).filter((line) => line.indent > first.indent);
    return { sets: repeat.count.high, items: reader.items(children.length > 0 ? children : lines.slice(1), 'missing'), clauses: readClauses(repeat.rest) };
  }
  return { sets: known ?? 1, items: reader.items(lines, 'missing'), clauses: null };
}

/** A part without a header that has ladders, rounds or sets is for time; a lone list of movements too. */
function readHeaderless(body: readonly Line[], settings: Settings, reader: ItemReader): Part | null {
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

function checkedWindow(part: Part, span: Span, reader: ItemReader): Part {
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
