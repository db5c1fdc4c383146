/** The opening of a part: its label, its header lines in any order, its clauses, and what is left as work. */
import { isWork } from './is-work';
import type { ItemReader } from './item-reader';
import { cutAtStations } from './inline-stations';
import { readStation, type SectionLabel } from './labels';
import { cursorOf, restOfLine, type Line } from './lines';
import { emptyHeader, hasClock, isBlockHeader, isClause, type Header } from './header';
import { readHeader } from './read-header';
import { readOnOffLines } from './on-off-lines';
import type { Settings } from './read-settings';

/** All that is known of a part before its work is read. */
export interface Opening {
  readonly header: Header;
  readonly first: Line;
  readonly work: readonly Line[];
  readonly settings: Settings;
  readonly reader: ItemReader;
  /** a header stood there, rather than work alone */
  readonly titled: boolean;
}

/** What a header line says, written over what the lines before it said. */
function merge(into: Header, next: Header): void {
  into.clock ??= next.clock;
  into.forTime ||= next.forTime;
  into.rounds ??= next.rounds;
  into.sets ??= next.sets;
  into.times ??= next.times;
  into.ladder ??= next.ladder;
  if (next.capSeconds !== null) {
    into.capSeconds = next.capSeconds;
    into.capPerSet = next.capPerSet;
  }
  into.restBetween ??= next.restBetween;
  into.build ||= next.build;
  into.alternate ||= next.alternate;
  into.score ??= next.score;
  into.vest ??= next.vest;
  into.team ??= next.team;
  into.noPartition ||= next.noPartition;
  into.optional ||= next.optional;
  into.untilFailure ||= next.untilFailure;
}
/** Would this header line add to what the lines above it said, rather than open a block of its own? */
function joins(header: Header, next: Header): boolean {
  if (next.clock && (header.clock || next.clock.kind === 'rest' || next.clock.kind === 'restUntil')) return false;
  if (next.ladder || next.rounds || next.sets) return hasClock(next) && !header.rounds && !header.sets && !header.ladder;
  return true;
}

/** What a line on the lowest level is to its part. */
type Role = 'header' | 'work' | 'frame';
/** `frame`: a block with its work indented below it, whose clauses (a cap, a team) are the part's all the same. */
function roleOf(
  next: Header,
  inline: Line | null,
  { header, work, first, indentedBelow }: { header: Header; work: readonly Line[]; first: boolean; indentedBelow: boolean },
): Role {
  const ownLadder = next.ladder !== null && !hasClock(next) && !next.rounds && !next.sets;
  if (work.length > 0) return isClause(next) && inline === null ? 'header' : 'work';
  if (!first) return !ownLadder && joins(header, next) ? 'header' : 'work';
  if ((ownLadder && inline) || startsWork(next, inline)) return 'work';
  return isBlockHeader(next) && inline === null && indentedBelow ? 'frame' : 'header';
}

/** `4 sets, rest 2:00 between` over an indented `AMRAP 4:00`: one header in two lines, not a block with a clock in it. */
function unnested(body: readonly Line[]): readonly Line[] {
  const [frame, inner, ...below] = body;
  if (!frame || !inner || inner.indent <= frame.indent || below.some(({ indent }) => indent < inner.indent)) return body;
  const [outer, clock] = [readHeader(cursorOf(frame)), readHeader(cursorOf(inner))];
  if (!outer || !isBlockHeader(outer) || outer.ladder || clock?.clock?.kind !== 'amrap' || clock.clock.seconds === null) return body;
  const step = inner.indent - frame.indent;
  return [frame, ...[inner, ...below].map((line) => ({ ...line, indent: line.indent - step }))];
}

/** `keep the pull: 5 pull-up, 10 ring dip`: words before the colon, work behind it. */
function workBehindWords(line: Line): { words: string; work: Line } | null {
  const at = line.text.indexOf(':');
  if (at <= 0) return null;
  const work = { ...line, column: line.column + at + 1, text: line.text.slice(at + 1) };
  const begins = work.text.length - work.text.trimStart().length;
  const trimmed = { ...work, column: work.column + begins, text: work.text.trim() };
  return trimmed.text !== '' && isWork(trimmed) ? { words: line.text.slice(0, at), work: trimmed } : null;
}

/** The header lines of a part, and the work below them. Clauses on lines of their own are taken wherever they stand on the lowest level. */
export function openPart(written: readonly Line[], label: SectionLabel | null, settings: Settings, reader: ItemReader): Opening {
  const body = unnested(written);
  const header = emptyHeader();
  const work: Line[] = [];
  const base = body[0]!.indent;
  let titled = false;
  const takeWords = (inline: Line): void => {
    const found = workBehindWords(inline);
    const cursor = cursorOf(found ? { ...inline, text: found.words } : inline);
    reader.note(inline, cursor, 0);
    if (found) work.push(...cutAtStations({ ...found.work, listed: true }));
  };
  body.forEach((line, index) => {
    const cursor = cursorOf(line);
    const next = line.indent <= base && !isStation(line) ? readHeader(cursor) : null;
    const inline = cursor.done ? null : restOfLine(line, cursor, cursor.at);
    const role = next ? roleOf(next, inline, { header, work, first: index === 0, indentedBelow: (body[index + 1]?.indent ?? 0) > line.indent }) : 'work';
    if (next && role === 'frame') merge(header, { ...next, rounds: null, sets: null, ladder: null, restBetween: null });
    if (!next || role !== 'header') {
      work.push(...cutAtStations(line));
      return;
    }
    merge(header, next);
    titled ||= hasClock(next);
    if (inline && (isWork(inline) || cursor.tokens[cursor.at - 1]?.text === ':')) work.push(...cutAtStations({ ...inline, listed: true }));
    else if (inline) takeWords(inline);
  });
  const onOff = hasClock(header) ? null : readOnOffLines(work);
  if (onOff) takeOnOff(header, work, onOff);
  if (!hasClock(header) && work[0] && isMinute(work[0])) header.clock = { kind: 'every', intervalSeconds: 60, totalSeconds: null, count: null };
  if (label?.kind === 'quality' && !hasClock(header)) header.clock = { kind: 'quality', seconds: null };
  if (label?.kind === 'strength' && !hasClock(header) && header.rounds === null) header.clock = { kind: 'strength' };
  settings.capSeconds ??= header.capSeconds;
  settings.vest ??= header.vest;
  settings.team ??= header.team;
  settings.score ??= header.score;
  settings.noPartition ||= header.noPartition;
  settings.optional ||= header.optional;
  return { header, first: body[0]!, work, settings, reader, titled };
}
/** Rounds over lines of work and rest are rounds of an interval clock; several of them take turns. */
function takeOnOff(header: Header, work: Line[], { segments, work: inside }: NonNullable<ReturnType<typeof readOnOffLines>>): void {
  header.clock = { kind: 'intervals', segments };
  header.times ??= header.rounds?.high ?? header.sets;
  header.rounds = null;
  header.sets = null;
  header.alternate ||= inside.length > 1;
  work.splice(0, work.length, ...inside);
}
/** `Min 1: …` without a header is an EMOM. */
const isMinute = (line: Line): boolean => {
  const station = readStation(cursorOf(line), false);
  return station !== null && (station.kind !== 'number' || station.word === 'min' || station.word === 'minute');
};
const isStation = (line: Line): boolean => readStation(cursorOf(line)) !== null;
/** `max cal in 2:00`, `every minute 5 squats` do not open a part when work goes with them. */
const startsWork = (header: Header, rest: Line | null): boolean =>
  header.clock?.kind === 'amrap' && header.clock.seconds === null && rest !== null && isWork(rest) && /remain|left/.test(rest.text);
