/** Stations on one line (`min 1: 12 cal row; min 2: 10 burpees`, `odd: …, even: …`, `1) … 2) …`) → a line each. */
import type { Cursor } from '../text/cursor';
import { readStation, type Station } from './labels';
import { cursorOf, type Line } from './lines';

/** A label with its colon, dash or bracket, rather than words that happen to begin with "even" or "round". */
function stationAt(cursor: Cursor, at: number): Station | null {
  const ahead = cursor.part(at, cursor.end);
  const station = readStation(ahead);
  return station && ahead.tokens[ahead.at - 1]?.kind === 'sign' ? station : null;
}

/** Is this the station behind that one? Bare figures go up by one, other labels go on in kind. */
function follows(before: Station, next: Station): boolean {
  if (before.kind !== 'number') return next.kind !== 'number' && next.kind !== before.kind;
  return next.kind === 'number' && next.word === before.word && next.number === before.number + 1;
}

/** @returns the line as it is where it does not begin with a station or holds only one */
export function cutAtStations(line: Line): Line[] {
  const cursor = cursorOf(line);
  const { tokens } = cursor;
  let last = stationAt(cursor, 0);
  if (last === null) return [line];
  const starts = [0];
  for (let at = 1; at < tokens.length; at++) {
    const next = tokens[at]!.kind === 'sign' ? null : stationAt(cursor, at);
    if (next === null || !follows(last, next)) continue;
    starts.push(at);
    last = next;
  }
  return starts.map((from, index) => {
    const begin = tokens[from]!.at;
    const end = tokens[starts[index + 1] ?? tokens.length]?.at ?? line.text.length;
    return { ...line, column: line.column + begin, text: line.text.slice(begin, end).replace(/[\s,;|.]+$/, '') };
  });
}
