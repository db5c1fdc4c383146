/** Lines of one part → part: its header lines name the kind and the clock, the lines below the work. */
import { blocksOfPart, mapBlocks, mapSlots, slotsOfItems, stepsOfPart } from '../workout/walk';
import { formatClock } from '../units/duration';
import { kilogramsToPounds, trimNumber } from '../units/mass';
import type { EveryPart, Item, Part, Prescription, Range, Rest, ScoreKind, Segment, Slot } from '../workout/workout';
import { readDuration } from '../text/figures';
import { framed } from './framed';
import { once, type BareCount, type ItemReader } from './item-reader';
import { readStation, type SectionLabel } from './labels';
import { most } from './limits';
import { cursorOf, spanOfLine, type Line } from './lines';
import { openPart, type Opening } from './open-part';
import { countWithin, itemsOf, lengthOf, range, takeSets, tellNoMovement, tellOnce, tellOpenRest } from './part-bounds';
import type { Clock } from './header';
import { baseOf, takeSettings } from './read-settings';
import { asStrength, strengthPart } from './read-strength';

const hasMax = (items: readonly Item[]): boolean => slotsOfItems(items).some((slot) => slot.count.kind === 'max');
const maxUnitScore = (items: readonly Item[]): ScoreKind => {
  const slot = slotsOfItems(items).find(({ count }) => count.kind === 'max');
  return slot?.unit === 'm' ? 'distance' : slot?.unit === 'cal' ? 'calories' : 'reps';
};

/** Rounds of nothing but "as many as possible": sets to failure, whose score is their reps. */
const allToFailure = (items: readonly Item[]): boolean => {
  const slots = slotsOfItems(items);
  return slots.length > 0 && slots.every(({ count }) => count.kind === 'max' && count.seconds === undefined);
};

/** @returns null when nothing of the lines is work or clock: settings and notes alone */
export function readPart(lines: readonly Line[], label: SectionLabel | null, reader: ItemReader): Part | null {
  reader.startPart();
  const { settings, body } = takeSettings(lines, reader.report);
  if (label) settings.name = label.name;
  if (body.length === 0) return null;
  const opening = openPart(body, label, settings, reader);
  const read = partOf(opening);
  if (!read) return null;
  const part = withLoadsSaidBefore(read, body, reader);
  tellUnusedCap(part, opening);
  tellLongRest(part, body, reader);
  const told = withinReach(part, opening.first, reader);
  const team = told.team ?? reader.said.team;
  if (told.team === null && team) reader.report({ code: 'team', span: spanOfLine(opening.first), size: team.size });
  return { ...told, team, interruption: reader.interruption, notes: [...settings.notes, ...reader.notes] };
}

/** A cap among the work of what has a clock of its own. */
function tellUnusedCap(part: Part, { reader, first }: Opening): void {
  const { capSeconds } = reader.said;
  if (capSeconds === null || part.kind === 'forTime' || part.kind === 'quality') return;
  const text = `cap ${formatClock(capSeconds)}`;
  reader.report({ code: 'unread_figure', span: spanOfLine(first), text });
  reader.notes.push(text);
}

type Mass = Extract<Prescription, { kind: 'mass' }>;
const massWords = ({ men, women, unit }: Mass): string =>
  `${[...new Set([men, women])].map((kg) => trimNumber(unit === 'lb' ? kilogramsToPounds(kg) : kg, 2)).join('/')} ${unit}`;

/** A movement that comes again without a load has the one it had before in its part (common practice), and it is said. */
function withLoadsSaidBefore(part: Part, lines: readonly Line[], reader: ItemReader): Part {
  const said = new Map<string, { load: Mass; implement: Slot['implement'] }>();
  return mapSlots(part, (slot) => {
    const { movement, load, implement } = slot;
    if (load?.kind === 'mass' && !load.sets) said.set(movement, { load, implement });
    const before = said.get(movement);
    if (load !== null || slot.build || slot.bracket || slot.own || !before) return slot;
    const line = lines.find(({ number }) => number === reader.lines.get(slot));
    if (line) reader.report({ code: 'load_as_before', span: spanOfLine(line), text: line.text, load: massWords(before.load) });
    return reader.replace(slot, { load: before.load, implement: implement ?? before.implement });
  });
}

/** Rests between rounds of twenty minutes and more, where a line says minutes: seconds were meant. */
function tellLongRest(part: Part, lines: readonly Line[], reader: ItemReader): void {
  const rests = [...('restBetween' in part ? [part.restBetween] : []), ...blocksOfPart(part).map(({ restBetween }) => restBetween)];
  const longest = Math.max(0, ...rests.map((rest) => (rest?.open ? 0 : (rest?.high ?? 0))));
  const line = longest >= 1200 ? lines.find(({ text }) => /\brest\b.*\d\s*(?:m|mins?|minutes?)\b|\d\s*(?:m|mins?|minutes?)\s+rest/i.test(text)) : undefined;
  if (line) reader.report({ code: 'long_rest', span: spanOfLine(line), header: line.text, seconds: longest });
}

function partOf(opening: Opening): Part | null {
  const { header, settings, reader, first } = opening;
  if (settings.team) reader.report({ code: 'team', span: spanOfLine(first), size: settings.team.size });
  const { clock } = header;
  if (clock === null) return forTime(opening);
  switch (clock.kind) {
    case 'rest':
    case 'restUntil':
      return restPart(opening, clock);
    case 'amrap':
      return amrap(opening, clock.seconds);
    case 'every':
      return every(opening, clock);
    case 'deathBy':
      return deathBy(opening);
    case 'intervals':
    case 'circuit':
      return intervals(opening, clock);
    case 'maxLoad':
      return maxLoad(opening, clock);
    case 'strength':
      return strengthPart(opening);
    case 'quality':
      return quality(opening, clock.seconds);
  }
}

function restPart(opening: Opening, clock: Extract<Clock, { kind: 'rest' | 'restUntil' }>): Part {
  const { settings, reader, first } = opening;
  const base = { ...baseOf(settings, 'done'), kind: 'rest' as const };
  for (const line of opening.work) reader.note(line, cursorOf(line), 0);
  if (clock.kind === 'restUntil') return { ...base, seconds: null, untilSeconds: clock.seconds, open: null };
  const { rest } = clock;
  if (clock.inMinutes && rest.high >= 1200) reader.report({ code: 'long_rest', span: spanOfLine(first), header: first.text, seconds: rest.high });
  tellOpenRest(rest, opening);
  return {
    ...base,
    seconds: rest.open ? (rest.open === 'left' ? 0 : rest.high) : Math.min(rest.high, most.seconds),
    untilSeconds: null,
    open: rest.open ?? null,
  };
}

function amrap(opening: Opening, seconds: Range | null): Part {
  const { header, settings, reader, work } = opening;
  const high = lengthOf(seconds?.high ?? null, 600, opening);
  tellOnce(opening);
  const items = itemsOf(opening, work.length === 1 ? 'max' : 'missing');
  tellNoMovement([items], opening);
  const laddered = header.ladder ? [reader.wrap({ ...header, rounds: null, sets: null }, items, null, opening.first)] : items;
  const lone = items.length === 1 && hasMax(items);
  const sets = countWithin(header.times ?? header.sets ?? header.rounds?.high ?? 1, opening);
  const restBetween = header.restBetween ?? reader.restBetween;
  tellOpenRest(restBetween, opening);
  return {
    ...baseOf(settings, lone ? maxUnitScore(items) : 'rounds'),
    kind: 'amrap',
    seconds: { low: Math.min(seconds?.low ?? high, high) || high, high },
    sets,
    restBetween,
    items: laddered,
  };
}

function forTime(opening: Opening): Part | null {
  const { header, settings, reader, titled } = opening;
  const span = spanOfLine(opening.first);
  const taken = takeSets(opening);
  const bare: BareCount = header.ladder ? 'rung' : 'missing';
  const lone = !titled && taken.work.length === 1 && header.rounds === null;
  const frame = framed(taken.work, opening);
  const before = reader.items(frame.before, 'missing');
  const read = reader.items(frame.inside, lone && timedMax(taken.work[0]!) ? 'max' : bare, 0, header.ladder !== null && !header.ladder.open);
  const after = reader.items(frame.after, 'missing');
  const items = withRestBetween(read, reader);
  if (items.length === 0 && !titled && header.rounds === null && header.ladder === null && header.sets === null) return null;
  settings.capSeconds ??= reader.said.capSeconds;
  const special = titled || before.length + after.length > 0 ? null : (asStrength(items, opening) ?? asTimedMax(items, opening));
  if (special) return special;
  tellNoMovement([items], opening);
  const between = header.restBetween ?? reader.restBetween;
  const sets = countWithin(taken.sets, opening);
  const wrapped = [...before, ...wrapForTime(items, sets > 1 ? null : between, opening), ...after];
  const restBetween = taken.rest ?? (sets > 1 ? between : null);
  tellOpenRest(restBetween ?? between, opening);
  const toFailure = !titled && settings.capSeconds === null && allToFailure(wrapped);
  const part: Part = {
    ...baseOf(settings, toFailure ? maxUnitScore(items) : sets > 1 ? 'eachSet' : 'time'),
    kind: 'forTime',
    capSeconds: settings.capSeconds !== null && settings.capSeconds <= 0 ? null : settings.capSeconds,
    capPerSet: header.capPerSet,
    sets,
    restBetween,
    items: wrapped,
  };
  if (part.capSeconds === null && part.window === null && !toFailure)
    reader.report(
      titled || settings.score === 'time'
        ? { code: 'no_cap', span, header: opening.first.text.replace(/[:\s]+$/, ''), titled: titled }
        : { code: 'cap_assumed_open', span },
    );
  return checkedWindow(part, opening);
}
/** `6 x 400 m run` over `rest 1:30`: a rest behind the last round is none, so it stands between them. */
function withRestBetween(items: Item[], { timesBlocks }: ItemReader): Item[] {
  const [block, rest] = items;
  if (items.length !== 2 || block?.kind !== 'block' || block.rounds.high <= 1 || block.restBetween !== null || rest?.kind !== 'pause') return items;
  const rested = { ...block, restBetween: rest.seconds };
  // sets of a times sign stay such
  if (timesBlocks.has(block)) timesBlocks.add(rested);
  return [rested];
}
function wrapForTime(items: Item[], restBetween: Rest | null, { header, reader, first }: Opening): Item[] {
  if (header.ladder?.open) {
    const grown = reader.climb(items, header.ladder.rungs, first);
    return header.rounds ? [reader.wrap({ ...header, ladder: null, sets: null }, grown, restBetween, first)] : grown;
  }
  return header.rounds || header.ladder ? [reader.wrap({ ...header, sets: null }, items, restBetween, first)] : items;
}
const timedMax = (line: Line): boolean => {
  const cursor = cursorOf(line);
  return (
    cursor.isWord(['max', 'maximum']) || cursor.try((c) => (readDuration(c, 'none', true) !== null && c.isWord(['max', 'maximum']) ? true : null)) === true
  );
};

/** A lone `max cal in 2:00` is an AMRAP of its time. */
function asTimedMax(items: readonly Item[], { settings, header }: Opening): Part | null {
  const slot = items.length === 1 && items[0]!.kind === 'slot' ? items[0] : null;
  if (!slot || slot.count.kind !== 'max' || slot.count.seconds === undefined || header.rounds) return null;
  return {
    ...baseOf(settings, maxUnitScore(items)),
    kind: 'amrap',
    seconds: range(slot.count.seconds),
    sets: 1,
    restBetween: null,
    items: [{ ...slot, count: { kind: 'max' } }],
  };
}

function checkedWindow(part: Part, { reader, first }: Opening): Part {
  if (
    part.kind === 'forTime' &&
    part.capSeconds !== null &&
    part.window?.unit === 'seconds' &&
    part.window.per === 'part' &&
    (part.window.low ?? 0) >= part.capSeconds
  )
    reader.report({ code: 'cap_before_window', span: spanOfLine(first), header: first.text, capSeconds: part.capSeconds, windowSeconds: part.window.low! });
  return part;
}

function every(opening: Opening, clock: Extract<Clock, { kind: 'every' }>): Part {
  const { header, settings, reader, work } = opening;
  const byWindow = work.some((line) => {
    const station = readStation(cursorOf(line), false);
    return station?.kind === 'number' && station.word === 'window';
  });
  const stations = reader.stations(work, header.alternate && !byWindow, 'missing');
  tellNoMovement(stations, opening);
  const intervalSeconds = lengthOf(clock.intervalSeconds, 60, opening);
  if (!byWindow && (header.untilFailure || growsWithoutEnd(opening, clock, stations)))
    return everyPart(opening, intervalSeconds, furthestDeath, stations, true);
  const count = intervalsOf(opening, clock, intervalSeconds, stations);
  if (byWindow) return windows(opening, intervalSeconds, count, stations);
  const slots = stations.flatMap(slotsOfItems);
  const steady = header.build || slots.some((slot) => slot.tempo !== null || slot.build);
  if (steady) return { ...baseOf(settings, 'load'), kind: 'strength', everySeconds: intervalSeconds, sets: count, restBetween: null, items: stations.flat() };
  checkIntervals(opening, stations, count, intervalSeconds);
  return everyPart(opening, intervalSeconds, count, stations);
}
function everyPart({ settings }: Opening, intervalSeconds: number, count: number, stations: readonly (readonly Item[])[], untilFailure = false): EveryPart {
  const score = untilFailure ? 'reps' : stations.some(hasMax) ? maxUnitScore(stations.flat()) : 'done';
  return { ...baseOf(settings, score), kind: 'every', intervalSeconds, count, capSeconds: settings.capSeconds, untilFailure, stations };
}
function intervalsOf(opening: Opening, clock: Extract<Clock, { kind: 'every' }>, intervalSeconds: number, stations: readonly (readonly Item[])[]): number {
  const { header, reader, first } = opening;
  const rounds = header.times ?? header.sets ?? (header.rounds ? header.rounds.high * Math.max(1, stations.length) : null);
  const said = clock.count ?? (clock.totalSeconds !== null ? Math.floor(clock.totalSeconds / intervalSeconds) : rounds);
  if (clock.count === null && clock.totalSeconds !== null && clock.totalSeconds % intervalSeconds !== 0 && said !== null)
    reader.report({ code: 'read_as', span: spanOfLine(first), text: first.text, as: `${said} intervals, ${formatClock(said * intervalSeconds)} in all` });
  if (said === null) reader.report({ code: 'no_duration', span: spanOfLine(first), header: first.text.replace(/[:\s]+$/, ''), usual: '10:00' });
  return countWithin(said ?? (stations.length > 1 ? stations.length : 10), opening);
}
function checkIntervals({ settings, reader, first }: Opening, stations: readonly (readonly Item[])[], count: number, intervalSeconds: number): void {
  const [span, header] = [spanOfLine(first), first.text];
  if (settings.capSeconds !== null && settings.capSeconds > intervalSeconds)
    reader.report({ code: 'cap_over_interval', span, header, capSeconds: settings.capSeconds, intervalSeconds });
  if (count % Math.max(1, stations.length) !== 0)
    reader.report({ code: 'minutes_do_not_add_up', span, header, intervals: count, stations: stations.length, intervalSeconds });
  for (const items of stations) {
    const holdSeconds = items.reduce((sum, item) => sum + (item.kind === 'slot' && item.unit === 's' && item.count.kind === 'fixed' ? item.count.men : 0), 0);
    if (holdSeconds > intervalSeconds) reader.report({ code: 'holds_over_interval', span, header, intervals: count, holdSeconds, intervalSeconds });
  }
}
function windows({ settings, reader, first }: Opening, intervalSeconds: number, count: number, stations: readonly (readonly Item[])[]): Part {
  const [span, header] = [spanOfLine(first), first.text];
  if (settings.capSeconds !== null && settings.capSeconds > intervalSeconds)
    reader.report({ code: 'cap_over_interval', span, header, capSeconds: settings.capSeconds, intervalSeconds });
  if (stations.length !== 1 && stations.length !== count)
    reader.report({ code: 'windows_do_not_add_up', span, header, intervals: count, windows: stations.length, intervalSeconds });
  return { ...baseOf(settings, 'eachSet'), kind: 'windows', intervalSeconds, count, capSeconds: settings.capSeconds, windows: stations };
}

/** Thirty growing intervals are further than anybody gets. */
const furthestDeath = 30;
/** Every minute one more, and nothing says until when: until a minute is not enough. */
const growsWithoutEnd = ({ header }: Opening, clock: Extract<Clock, { kind: 'every' }>, stations: readonly (readonly Item[])[]): boolean =>
  clock.count === null &&
  clock.totalSeconds === null &&
  !header.times &&
  !header.sets &&
  !header.rounds &&
  stations.flatMap(slotsOfItems).some(({ count }) => count.kind === 'growing');

/** Death by: one in the first minute, one more in each that follows. */
function deathBy(opening: Opening): Part {
  const { reader } = opening;
  const items = reader
    .items(opening.work, 'max')
    .map((item) =>
      item.kind === 'slot' && item.count.kind !== 'growing'
        ? reader.replace(item, { count: { kind: 'growing', start: item.count.kind === 'fixed' ? item.count.men : 1, step: 1 } })
        : item,
    );
  tellNoMovement([items], opening);
  return everyPart(opening, 60, furthestDeath, [items], true);
}

function intervals(opening: Opening, clock: Extract<Clock, { kind: 'intervals' | 'circuit' }>): Part {
  const { header, settings, reader, first } = opening;
  const stations = reader.stations(opening.work, header.alternate || clock.kind === 'circuit', 'max');
  tellNoMovement(stations, opening);
  const base = { ...baseOf(settings, 'reps'), kind: 'intervals' as const, stations };
  if (clock.kind === 'circuit') {
    const rounds = reader.withinRounds(header.rounds ?? once, first).high;
    const count = countWithin(rounds * Math.max(1, stations.length), opening);
    return {
      ...base,
      segments: Array.from({ length: count }, () => ({ workSeconds: lengthOf(clock.stationSeconds, 60, opening), restSeconds: 0 })),
      circuitRounds: rounds,
    };
  }
  return { ...base, segments: segmentsOf(opening, clock.segments, stations.length), circuitRounds: null };
}
/** @param stations rounds go through all of them, with the rest between rounds after each but the last */
function segmentsOf(opening: Opening, listed: readonly Segment[], stations: number): Segment[] {
  const { header, reader, first } = opening;
  const rounds = header.rounds?.high ?? header.sets;
  const aRound = rounds !== null && header.times === null ? Math.max(1, stations) : 1;
  const often = [header.times, rounds].filter((count): count is number => typeof count === 'number');
  if (often.length === 0 && listed.length === 1) reader.report({ code: 'no_rounds', span: spanOfLine(first), header: first.text.replace(/[:\s]+$/, '') });
  const times = often.length > 0 ? often.reduce((product, count) => product * count, aRound) : listed.length > 1 ? 1 : 8;
  const count = countWithin(times * listed.length, opening);
  const between = header.restBetween ?? reader.restBetween;
  const round = aRound * listed.length;
  const endsRound = (at: number): boolean => between !== null && (at + 1) % round === 0 && at + 1 < count;
  const restAfter = (at: number): number => (endsRound(at) ? between!.high : listed[at % listed.length]!.restSeconds);
  return Array.from({ length: count }, (_, at) => ({
    workSeconds: Math.min(Math.max(1, listed[at % listed.length]!.workSeconds), most.seconds),
    restSeconds: Math.min(restAfter(at), most.seconds),
  }));
}

/** A cap that stood among the work, taken as the time there is: it is no longer one that nothing uses. */
function timeSaid({ said }: ItemReader): number | null {
  const seconds = said.capSeconds;
  said.capSeconds = null;
  return seconds;
}
function maxLoad(opening: Opening, clock: Extract<Clock, { kind: 'maxLoad' }>): Part {
  const { settings, reader } = opening;
  const read = reader.items(opening.work, clock.reps === null ? 'missing' : 'max');
  const inside = slotsOfItems(read).flatMap(({ count }) => (count.kind === 'max' && count.seconds !== undefined ? [count.seconds] : []))[0] ?? null;
  const reps: Slot['count'] = { kind: 'fixed', men: clock.reps ?? 1, women: clock.reps ?? 1, low: null };
  const items = read.map((item) => (clock.reps !== null && item.kind === 'slot' && item.count.kind === 'max' ? reader.replace(item, { count: reps }) : item));
  tellNoMovement([items], opening);
  return {
    ...baseOf(settings, 'load'),
    kind: 'maxLoad',
    seconds: lengthOf(clock.seconds ?? inside ?? settings.capSeconds ?? timeSaid(reader), 900, opening),
    items,
  };
}

function quality(opening: Opening, seconds: number | null): Part {
  const { header, settings, reader, first } = opening;
  const frame = framed(opening.work, opening);
  const before = reader.items(frame.before, 'missing');
  const items = reader.items(frame.inside, header.ladder ? 'rung' : 'missing');
  const after = reader.items(frame.after, 'missing');
  tellNoMovement([items], opening);
  const rounds = header.rounds ?? (header.sets ? range(header.sets) : null);
  const wrapped = rounds || header.ladder ? [reader.wrap({ ...header, rounds, sets: null }, items, header.restBetween ?? reader.restBetween, first)] : items;
  const all = [...before, ...wrapped, ...after];
  const length = seconds ?? reader.said.capSeconds;
  return { ...baseOf(settings, 'done'), kind: 'quality', seconds: length === null ? null : lengthOf(length, 600, opening), items: all };
}

/** Rounds of rounds multiply: beyond what can be walked they are cut, the largest first, and it is said. */
function withinReach(part: Part, line: Line, reader: ItemReader): Part {
  const steps = stepsOfPart(part);
  if (steps <= most.steps) return part;
  reader.report({ code: 'limit', span: spanOfLine(line), limit: 'steps', found: steps, most: most.steps });
  let cut = part;
  for (let limit = 64; stepsOfPart(cut) > most.steps && limit >= 1; limit /= 2)
    cut = mapBlocks(cut, (block) => ({ ...block, rounds: { low: Math.min(block.rounds.low, limit), high: Math.min(block.rounds.high, limit) } }));
  return cut;
}
